/**
 * Identifiers of different things are different types, so that one is never passed for another.
 * They are plain strings at run time; a brand is put on where a row is read or an input is parsed.
 */
type Brand<T, Name extends string> = T & { readonly __brand: Name };

export type PersonId = Brand<string, "PersonId">;
export type ApplicationId = Brand<string, "ApplicationId">;
export type ChoiceId = Brand<string, "ChoiceId">;
export type IntakeId = Brand<string, "IntakeId">;
export type RoundId = Brand<string, "RoundId">;
export type RulebookId = Brand<string, "RulebookId">;

/** A calendar day without a zone, as `YYYY-MM-DD`. */
export type PlainDate = Brand<string, "PlainDate">;
/** A moment, as an ISO 8601 string in UTC with milliseconds. */
export type Instant = Brand<string, "Instant">;
