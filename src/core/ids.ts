/**
 * Values that must not be mixed up are different types. They are plain strings at run time; the brand is put on where a
 * row is read or an input is parsed.
 */
type Brand<T, Name extends string> = T & { readonly __brand: Name };

/** A calendar day without a zone, as `YYYY-MM-DD`. */
export type PlainDate = Brand<string, "PlainDate">;
/** A moment, as an ISO 8601 string in UTC with milliseconds. */
export type Instant = Brand<string, "Instant">;
