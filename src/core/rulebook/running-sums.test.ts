import { describe, expect, it } from "vitest";
import { schools } from "../../demo/rulebooks/parts/school";
import { courses } from "../../demo/rulebooks/parts/studies";
import { parseDecimal, whole, ZERO } from "../numbers/ratio";
import type { Condition, ConditionOf } from "../rules/condition";
import { entryOf, type FactSource } from "../rules/fact";
import { EMPTY_RULEBOOK, type RulebookBody } from "./rulebook";
import { runningSums } from "./running-sums";

const twelve: ConditionOf<"sum"> = { op: "sum", list: "schools", field: "years", is: "atLeast", value: 12 };

const body = (rule: Condition): RulebookBody => ({
  ...EMPTY_RULEBOOK,
  entryRules: [{ key: "rule", title: { en: "The rule", fr: "La règle" }, rule, curable: null }],
});

function schooling(years: readonly string[], open = true): FactSource {
  const entries = years.map((y, i) =>
    entryOf(String(i), {
      years: { kind: "value", value: parseDecimal(y) ?? ZERO, confirmed: false },
      language: { kind: "value", value: i === 0 ? "en" : "fr", confirmed: false },
    }),
  );
  return { scalar: () => ({ kind: "unknown" }), list: () => ({ entries, open }) };
}

const sums = (rule: Condition, years: readonly string[] = ["6", "4.5"]) =>
  runningSums(body(rule), schools, schooling(years)).map((s) => `${s.title.en}: ${s.now} of ${s.least}`);

describe("how far a list has come", () => {
  it.each<readonly [string, Condition, readonly string[]]>([
    ["a rule that is the sum", twelve, ["The rule: 10.5 of 12"]],
    [
      "one among others that all have to hold",
      { op: "all", of: [{ op: "fact", fact: "group", is: "known" }, twelve] },
      ["The rule: 10.5 of 12"],
    ],
    [
      "one way of several may be nobody’s way",
      { op: "any", of: [twelve, { op: "fact", fact: "group", is: "known" }] },
      [],
    ],
    [
      "only the entries that count",
      { ...twelve, where: { op: "fact", fact: "it.language", is: "equals", value: "en" } },
      ["The rule: 6 of 12"],
    ],
    ["the opposite is no aim", { op: "not", of: twelve }, []],
    ["an upper bound is no aim", { ...twelve, is: "atMost" }, []],
    ["two sums are not told by one number", { op: "all", of: [twelve, { ...twelve, value: 3 }] }, []],
    ["a bound that is another fact", { ...twelve, value: { fact: "start" } }, []],
    ["another list", { ...twelve, list: "courses" }, []],
  ])("%s", (_, rule, expected) => expect(sums(rule)).toEqual(expected));

  it("counts the months of a measure over its list, and of no other measure", () => {
    const months: FactSource = {
      ...schooling([]),
      scalar: () => ({ kind: "value", value: whole(14), confirmed: false }),
    };
    const over = (list: string): RulebookBody => ({
      ...body({ op: "all", of: [{ op: "fact", fact: "measure.practice", is: "atLeast", value: 12 }] }),
      measures: [{ key: "practice", kind: "span", title: { en: "months", fr: "mois" }, list }],
    });
    expect(runningSums(over("schools"), schools, months)).toMatchObject([{ now: "14", least: "12" }]);
    expect(runningSums(over("experience"), schools, months)).toEqual([]);
    expect(runningSums({ ...over("schools"), measures: [] }, schools, months)).toEqual([]);
  });

  it("starts at nothing", () => expect(sums(twelve, [])).toEqual(["The rule: 0 of 12"]));

  it("is told under its own list alone", () =>
    expect(runningSums(body(twelve), courses, schooling(["6"]))).toEqual([]));
});
