import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { formatDay, parseDay, parseRough, type RoughDate } from "../time/day";
import { type Episode, timeline } from "./timeline";

const TODAY = parseDay("2026-11-28") ?? 0;

function date(text: string): RoughDate {
  const day = parseDay(text);
  const rough = day === null ? parseRough(text) : { from: day, to: day };
  if (!rough) throw new Error(text);
  return rough;
}

const episode = (label: string, from: string, to: string | null, list = "education"): Episode => ({
  id: label,
  label,
  list,
  from: date(from),
  to: to === null ? null : date(to),
  expected: false,
});

/** What is said of a line: its order, its gaps, what lies over each other, what is reversed. */
function said(...episodes: readonly Episode[]): string {
  const line = timeline(episodes, TODAY);
  if (!line) return "nothing";
  return [
    line.episodes.map((e) => e.label).join(" "),
    ...line.gaps.map((g) => `gap ${formatDay(g.from)} ${formatDay(g.to)} ${g.months}`),
    ...line.overlaps.map((o) => `${o.a}+${o.b} ${o.months}`),
    ...line.reversed.map((label) => `reversed ${label}`),
  ].join("; ");
}

describe("somebody's years in order", () => {
  it.each<readonly [string, readonly Episode[], string]>([
    ["nothing", [], "nothing"],
    [
      "typed in any order",
      [episode("MSc", "2024-09-01", "2026-07-01"), episode("BSc", "2021-09-01", "2024-07-15")],
      "BSc MSc",
    ],
    [
      "a summer between is no gap",
      [episode("BSc", "2021-09-01", "2024-06-30"), episode("MSc", "2024-09-29", null)],
      "BSc MSc",
    ],
    [
      "a year between is one",
      [episode("BSc", "2021-09-01", "2024-06-30"), episode("MSc", "2025-09-01", null)],
      "BSc MSc; gap 2024-07-01 2025-09-01 14",
    ],
    [
      "a job fills it",
      [
        episode("BSc", "2021-09-01", "2024-06-30"),
        episode("job", "2024-08-01", "2025-08-31", "experience"),
        episode("MSc", "2025-09-01", null),
      ],
      "BSc job MSc",
    ],
    [
      "two studies at once",
      [episode("BSc", "2021-09-01", "2024-06-30"), episode("BA", "2023-09-01", "2026-06-30")],
      "BSc BA; BSc+BA 10",
    ],
    [
      "a study and a job at once are nothing to ask about",
      [episode("BSc", "2021-09-01", "2024-06-30"), episode("job", "2022-01-01", "2024-01-01", "experience")],
      "BSc job",
    ],
    ["an end before its beginning", [episode("BSc", "2024-09-01", "2021-06-30")], "; reversed BSc"],
    [
      "dates known to their year are taken at their widest for gaps and at their narrowest for overlaps",
      [episode("BSc", "2020", "2023"), episode("MSc", "2023", "2025")],
      "BSc MSc",
    ],
  ])("%s", (_, episodes, expected) => expect(said(...episodes)).toBe(expected));

  it("has no day in a gap on which something was done, and none between its ends in neither", () => {
    const some = fc.array(
      fc.tuple(fc.integer({ min: 15_000, max: 20_000 }), fc.integer({ min: 0, max: 900 })).map(
        ([from, length]): Episode => ({
          id: `${from} ${length}`,
          label: `${from}`,
          list: "education",
          from: { from, to: from },
          to: { from: from + length, to: from + length },
          expected: false,
        }),
      ),
      { minLength: 1, maxLength: 6 },
    );
    fc.assert(
      fc.property(some, (episodes) => {
        const line = timeline(episodes, TODAY);
        if (!line) return false;
        const at = (d: number) => episodes.some((e) => d >= e.from.from && d <= (e.to?.to ?? TODAY));
        const inGap = (d: number) => line.gaps.some((g) => d >= g.from && d < g.to);
        for (let d = line.from; d < line.to; d += 7) if (at(d) && inGap(d)) return false;
        return line.gaps.every((g) => !at(g.from) && !at(g.to - 1) && at(g.from - 1) && at(g.to));
      }),
    );
  });
});
