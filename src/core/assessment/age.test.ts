import { describe, expect, it } from "vitest";
import { toShort } from "../numbers/ratio";
import type { Fact } from "../rules/fact";
import { parseDay } from "../time/day";
import { ageMeasure } from "./age";

const day = (text: string) => parseDay(text) ?? Number.NaN;
const DAYS = {
  today: () => day("2026-11-25"),
  start: day("2027-09-01"),
  closing: () => day("2027-01-15"),
  submission: null,
};
const MEASURE = { key: "age", kind: "age" as const, title: { en: "age", fr: "âge" }, of: "person.birthDate" };

function age(
  born: string | null,
  change: Partial<typeof MEASURE & { on: "closing" | "submission"; leap: "28 February" }> = {},
) {
  const fact: Fact = born === null ? { kind: "unknown" } : { kind: "value", value: born, confirmed: false };
  const found = ageMeasure(
    { ...MEASURE, ...change },
    { scalar: () => fact, list: () => ({ entries: [], open: true }) },
    DAYS,
  );
  if (found.kind === "value") return `${toShort(found.value as never)} ${found.confirmed ? "confirmed" : "claimed"}`;
  return found.kind === "range" ? `${toShort(found.low)} to ${found.high ? toShort(found.high) : "any"}` : "unknown";
}

describe("an age for rules to read", () => {
  it.each([
    ["2009-09-01", {}, "18 claimed"],
    ["2009-09-02", {}, "17 claimed"],
    ["2009-01-20", { on: "closing" }, "17 claimed"],
    ["2009-01-20", { on: "submission" }, "17 claimed"],
    ["2009", {}, "17 to 18"],
    ["unreadable", {}, "unknown"],
    [null, {}, "unknown"],
  ] as const)("born %s, %j: %s", (born, change, expected) => expect(age(born, change)).toBe(expected));
});
