import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Instant, PlainDate } from "../ids";
import { dayYearsLater, momentYearsLater, yearsLater } from "./next-cycle";

const ZONE = "Europe/Dublin";

describe("a cycle copied to another year", () => {
  it.each([
    ["2027-09-01", 1, "2028-09-01"],
    ["2028-02-29", 1, "2029-02-28"],
    ["2028-02-29", 4, "2032-02-29"],
  ])("%s, %i years later, is %s", (day, years, expected) =>
    expect(dayYearsLater(day as PlainDate, years)).toBe(expected),
  );

  it.each([
    ["winter time stays winter time", "2027-01-09T18:00:00.000Z", "2028-01-09T18:00:00.000Z"],
    ["summer time stays summer time", "2027-06-09T17:00:00.000Z", "2028-06-09T17:00:00.000Z"],
    [
      "the wall time counts where summer time begins on another day",
      "2027-03-27T18:00:00.000Z",
      "2028-03-27T17:00:00.000Z",
    ],
  ])("%s", (_, moment, expected) => expect(momentYearsLater(moment as Instant, 1, ZONE)).toBe(expected));

  it("keeps the order of openings and closings, and comes back", () => {
    const day = fc.integer({ min: Date.UTC(2025, 0, 1), max: Date.UTC(2030, 0, 1) });
    const instant = (ms: number) => new Date(ms).toISOString() as Instant;
    fc.assert(
      fc.property(day, fc.integer({ min: 1, max: 300 }), fc.integer({ min: 1, max: 3 }), (opens, days, years) => {
        const intake = {
          startsOn: "2027-09-01" as PlainDate,
          rounds: [
            {
              key: "1",
              opensAt: instant(opens),
              closings: [{ group: "home", at: instant(opens + days * 86_400_000) }],
            },
          ],
        };
        const [round] = yearsLater(intake, years, ZONE).rounds;
        return round !== undefined && round.opensAt < (round.closings[0]?.at ?? "");
      }),
    );
  });
});
