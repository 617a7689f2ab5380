import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { parseDay } from "./day";
import { coveredMonths, merged, type Stretch } from "./stretches";

const day = (text: string) => parseDay(text) ?? Number.NaN;
const stretch = (from: string, to: string): Stretch => ({ from: day(from), to: day(to) });

describe("months that stretches cover together", () => {
  it.each<readonly [string, readonly Stretch[], number]>([
    ["nothing", [], 0],
    ["one year", [stretch("2024-09-01", "2025-09-01")], 12],
    ["a month that has 28 days", [stretch("2026-02-01", "2026-03-01")], 1],
    ["a day less than a month", [stretch("2026-02-01", "2026-02-28")], 0],
    ["two jobs at once, counted once", [stretch("2024-01-01", "2025-01-01"), stretch("2024-07-01", "2025-07-01")], 18],
    ["one inside the other", [stretch("2024-01-01", "2025-01-01"), stretch("2024-03-01", "2024-05-01")], 12],
    [
      "one that begins where the other ended",
      [stretch("2024-01-01", "2024-02-16"), stretch("2024-02-16", "2024-03-01")],
      2,
    ],
    [
      "two halves of a month apart from each other",
      [stretch("2024-01-01", "2024-01-17"), stretch("2024-03-01", "2024-03-15")],
      1,
    ],
    ["an end before its start", [stretch("2025-01-01", "2024-01-01")], 0],
  ])("%s", (_, stretches, months) => expect(coveredMonths(stretches)).toBe(months));

  const stretches = fc.array(
    fc.tuple(fc.integer({ min: 19_000, max: 20_000 }), fc.integer({ min: -20, max: 400 })).map(([from, length]) => ({
      from,
      to: from + length,
    })),
    { maxLength: 8 },
  );
  const daysOf = (all: readonly Stretch[]) => {
    const days = new Set<number>();
    for (const { from, to } of all) for (let d = from; d < to; d += 1) days.add(d);
    return [...days].sort((a, b) => a - b);
  };

  it("are the same days once merged, in whatever order they were given", () => {
    fc.assert(
      fc.property(stretches, (all) => {
        const whole = merged([...all].reverse());
        expect(daysOf(whole)).toEqual(daysOf(all));
        expect(whole.every((s, i) => i === 0 || s.from > (whole[i - 1]?.to ?? 0))).toBe(true);
      }),
    );
  });

  it("never become fewer by one more stretch that lies within", () => {
    fc.assert(
      fc.property(stretches, (all) => {
        const [first] = merged(all);
        const inner = first ? [{ from: first.from, to: first.to }] : [];
        expect(coveredMonths([...all, ...inner])).toBe(coveredMonths(all));
      }),
    );
  });
});
