import { Temporal } from "temporal-polyfill";
import type { Instant, PlainDate } from "../ids";
import { toInstant } from "../time/zone";

/** One start with its rounds, as far as a copy needs it. */
export interface CopiedIntake {
  readonly startsOn: PlainDate;
  readonly rounds: readonly {
    readonly key: string;
    readonly opensAt: Instant;
    readonly closings: readonly { readonly group: string; readonly at: Instant }[];
  }[];
}

/** The same day so many years later; 29 February becomes the 28th where the year has no other. */
export function dayYearsLater(day: PlainDate, years: number): PlainDate {
  return Temporal.PlainDate.from(day).add({ years }).toString() as PlainDate; // toString has the branded shape
}

/** The same wall time on the same day so many years later: summer time in that year decides the instant. */
export function momentYearsLater(moment: Instant, years: number, zone: string): Instant {
  const at = Temporal.Instant.from(moment).toZonedDateTimeISO(zone).add({ years });
  return toInstant(at.epochMilliseconds);
}

/** A start and its rounds, moved to another year. */
export function yearsLater(intake: CopiedIntake, years: number, zone: string): CopiedIntake {
  return {
    startsOn: dayYearsLater(intake.startsOn, years),
    rounds: intake.rounds.map((round) => ({
      key: round.key,
      opensAt: momentYearsLater(round.opensAt, years, zone),
      closings: round.closings.map((c) => ({ group: c.group, at: momentYearsLater(c.at, years, zone) })),
    })),
  };
}
