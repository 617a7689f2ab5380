import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { office } from "../../../tests/support/sample-assessment";
import { workingBetween } from "../calendar/working-days";
import { TURNS, type TurnFact } from "../file/facts";
import type { Instant } from "../ids";
import { dayAt, toInstant } from "../time/zone";
import { isOwn, timeSpent } from "./spent";

const at = (day: string) => `2026-${day}T10:00:00.000Z` as Instant;

/** The days on which each party had a file add up to the whole, and only the office's own count as its own. */
describe("who had a file for how long", () => {
  const turns: readonly TurnFact[] = [
    { turn: "applicant", from: at("11-01") },
    { turn: "office", from: at("11-12") },
    { turn: "applicant", from: at("11-16") },
    { turn: "payment", from: at("11-18") },
    { turn: "office", from: at("11-20") },
  ];

  it("counts from the submission, the day of the change with whom it was before", () => {
    const spent = timeSpent(turns, at("11-12"), at("11-25"), office);
    expect(spent.stretches).toEqual([
      { turn: "office", from: "2026-11-12", to: "2026-11-16", days: 2 },
      { turn: "applicant", from: "2026-11-16", to: "2026-11-18", days: 2 },
      { turn: "payment", from: "2026-11-18", to: "2026-11-20", days: 2 },
      { turn: "office", from: "2026-11-20", to: null, days: 3 },
    ]);
    expect([spent.since, spent.own, spent.others]).toEqual(["2026-11-12", 5, 4]);
  });

  it("ends the last stretch where nothing follows, and takes turns that follow each other as one", () => {
    const again = [
      ...turns,
      { turn: "office" as const, from: at("11-23") },
      { turn: "nobody" as const, from: at("11-24") },
    ];
    const { stretches, own, others } = timeSpent(again, at("11-12"), at("11-25"), office, true);
    expect(stretches.slice(-2)).toEqual([
      { turn: "office", from: "2026-11-20", to: "2026-11-24", days: 2 },
      { turn: "nobody", from: "2026-11-24", to: "2026-11-25", days: 1 },
    ]);
    expect([own, others]).toEqual([4, 4]);
  });

  it("adds up, whatever the turns are", () => {
    const hour = 3_600_000;
    const start = Date.parse(at("11-01"));
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...TURNS), fc.integer({ min: 1, max: 200 })), {
          minLength: 1,
          maxLength: 20,
        }),
        fc.integer({ min: 1, max: 900 }),
        (changes, hours) => {
          let from = start;
          const made = changes.map(([turn, after]): TurnFact => {
            const fact = { turn, from: toInstant(from) };
            from += after * hour;
            return fact;
          });
          const until = start + hours * hour;
          const { stretches, own, others } = timeSpent(made, toInstant(start), toInstant(until), office);
          const days = stretches.reduce((sum, s) => sum + s.days, 0);
          const nobody = stretches.reduce((sum, s) => (s.turn === "nobody" ? sum + s.days : sum), 0);
          const whole = workingBetween(office.calendar, dayAt(office.zone, start), dayAt(office.zone, until));
          expect(days).toBe(whole);
          expect(own + others + nobody).toBe(whole);
          expect(own).toBe(stretches.filter((s) => isOwn(s.turn)).reduce((sum, s) => sum + s.days, 0));
        },
      ),
    );
  });
});
