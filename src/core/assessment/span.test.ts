import { describe, expect, it } from "vitest";
import { toShort } from "../numbers/ratio";
import type { SpanDay } from "../rulebook/day-names";
import { entryOf, type Fact } from "../rules/fact";
import { parseDay } from "../time/day";
import { spanMeasure } from "./span";

const day = (text: string) => parseDay(text) ?? 0;
const DAYS = {
  today: () => day("2026-11-25"),
  start: day("2027-09-01"),
  closing: () => day("2027-01-15"),
  submission: null,
};
const MEASURE = {
  key: "practice",
  kind: "span" as const,
  title: { en: "practice", fr: "pratique" },
  list: "experience",
  where: { op: "fact" as const, fact: "it.what", is: "equals" as const, value: "job" },
};

type Row = readonly [start: string | null, end: string | null, what?: string | null];

interface Told {
  readonly open?: boolean;
  readonly confirmed?: boolean;
  readonly until?: SpanDay;
}

function practice(rows: readonly Row[], { open = false, confirmed = true, until }: Told = {}): string {
  const fact = (value: string | null): Fact =>
    value === null ? { kind: "unknown" } : { kind: "value", value, confirmed };
  const entries = rows.map(([start, end, what = "job"], i) =>
    entryOf(String(i), { start: fact(start), end: fact(end), what: fact(what) }),
  );
  const list = { entries, open };
  const measure = until ? { ...MEASURE, until } : MEASURE;
  const found = spanMeasure(measure, { scalar: () => ({ kind: "unknown" }), list: () => list }, DAYS);
  if (found.kind === "value") return `${toShort(found.value as never)} ${found.confirmed ? "confirmed" : "claimed"}`;
  if (found.kind === "range") return `${toShort(found.low)} to ${found.high ? toShort(found.high) : "any"}`;
  return "unknown";
}

describe("months over a list, up to the start of studies", () => {
  it.each<readonly [string, readonly Row[], string]>([
    ["nothing", [], "0 confirmed"],
    [
      "two jobs that overlap",
      [
        ["2024-01-01", "2024-12-31"],
        ["2024-07-01", "2025-06-30"],
      ],
      "18 confirmed",
    ],
    [
      "a job and what does not count",
      [
        ["2024-01-01", "2024-12-31"],
        ["2020-01-01", "2022-12-31", "voluntary"],
      ],
      "12 confirmed",
    ],
    ["what lies after the start does not count", [["2027-07-01", "2028-06-30"]], "2 confirmed"],
    ["a job that goes on counts until today, and may last until the start", [["2026-09-01", null]], "2 to 12"],
    ["a job that has not begun", [["2027-03-01", null]], "0 to 6"],
    ["a date known to its month", [["2024-01", "2024-12-31"]], "11 to 12"],
    ["dates known to their year", [["2023", "2024"]], "0 to 24"],
    ["an entry of which it is not known what it was", [["2024-01-01", "2024-12-31", null]], "0 to 12"],
    [
      "an entry without a start",
      [
        ["2024-01-01", "2024-12-31"],
        [null, "2025-01-01"],
      ],
      "12 to any",
    ],
  ])("%s", (_, rows, expected) => expect(practice(rows)).toBe(expected));

  it.each<readonly [SpanDay, string]>([
    ["today", "26 confirmed"],
    ["closing", "26 to 28"],
    ["submission", "26 to 28"],
    ["start", "26 to 36"],
  ])("a job that goes on, counted until %s", (until, expected) =>
    expect(practice([["2024-09-01", null]], { until })).toBe(expected),
  );

  it("are known only from below while the list may grow, and only claimed while nobody confirmed a date", () => {
    expect(practice([["2024-01-01", "2024-12-31"]], { open: true })).toBe("12 to any");
    expect(practice([["2024-01-01", "2024-12-31"]], { confirmed: false })).toBe("12 claimed");
  });
});
