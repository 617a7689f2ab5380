import { describe, expect, it } from "vitest";
import { vectorsOf } from "../../../tests/support/vectors";
import { referenceSet } from "../../demo/reference-set";
import { toShort } from "../numbers/ratio";
import { parseDay } from "../time/day";
import { checkScores, levelOf, type Scores, type TestDefinition, total, validOn } from "./test-definition";

/** The invented tests of the worked cases. */
function definition(
  key: string,
  range: readonly [number, number, number],
  sum: TestDefinition["total"],
  validMonths: number | null,
  levels: readonly (readonly [TestDefinition["levels"][number]["level"], number | null, number])[],
): TestDefinition {
  const parts = ["L", "R", "W", "S"].map((part) => ({
    key: part,
    title: { en: part, fr: part },
    min: range[0],
    max: range[1],
    step: range[2],
  }));
  return {
    key,
    title: { en: key, fr: key },
    language: "en",
    parts,
    total: sum,
    validMonths,
    levels: levels.map(([level, all, every]) => ({ level, total: all, every })),
  };
}
const TESTS: Readonly<Record<string, TestDefinition>> = {
  norvane: definition("norvane", [0, 9, 0.5], { method: "mean", round: "half" }, 24, [
    ["B1", 4, 4],
    ["B2", 5.5, 5],
    ["C1", 7, 6.5],
    ["C2", 8.5, 8],
  ]),
  quillmark: definition("quillmark", [0, 30, 1], { method: "sum", round: "none" }, 24, [
    ["B1", 42, 9],
    ["B2", 72, 17],
    ["C1", 95, 22],
  ]),
  tessaly: definition("tessaly", [80, 230, 1], { method: "mean", round: "whole" }, null, [
    ["B1", 140, 130],
    ["B2", 160, 150],
    ["C1", 180, 170],
    ["C2", 200, 190],
  ]),
  brindle: definition("brindle", [0, 5, 1], null, 36, [
    ["B2", null, 3],
    ["C1", null, 4],
  ]),
};
const test = (key: string): TestDefinition => {
  const found = TESTS[key];
  if (!found) throw new Error(key);
  return found;
};
const texts = (scores: Readonly<Record<string, number>>): Scores =>
  Object.fromEntries(Object.entries(scores).map(([part, score]) => [part, String(score)]));
const day = (text: string) => parseDay(text) ?? 0;

describe("test results", () => {
  it.each(vectorsOf<{ test: string; scores: Record<string, number> }, number>("testTotal"))(
    "%s",
    (_, { input, expected }) => {
      const sum = total(test(input.test), texts(input.scores));
      expect(sum && Number(toShort(sum))).toBe(expected);
    },
  );
  it.each(vectorsOf<{ test: string; scores: Record<string, number> }, string>("testCefr"))(
    "%s",
    (_, { input, expected }) => expect(levelOf(test(input.test), texts(input.scores))).toBe(expected),
  );
  it.each(vectorsOf<{ test: string; date: string; reference: string }, boolean>("testValid"))(
    "%s",
    (_, { input, expected }) => expect(validOn(test(input.test), day(input.date), day(input.reference))).toBe(expected),
  );
  it.each(vectorsOf<{ test: string; scores: Record<string, number> }, string[]>("testCheck"))(
    "%s",
    (_, { input, expected }) => {
      const named = { range: "out_of_range", step: "off_step", missing: "missing" };
      expect(checkScores(test(input.test), texts(input.scores)).map((i) => `${i.part}:${named[i.code]}`)).toEqual(
        expected,
      );
    },
  );
});

describe("the demo's own tests", () => {
  const het = referenceSet.tests.find((t) => t.key === "het");
  const kle = referenceSet.tests.find((t) => t.key === "kle");
  it.each([
    [{ L: "38", R: "38", W: "38", S: "38" }, "C1"],
    [{ L: "34", R: "42", W: "38", S: "37" }, "C1"],
    [{ L: "33", R: "44", W: "40", S: "40" }, "B2"],
    [{ L: "45", R: "45", W: "45", S: "44" }, "C2"],
    [{ L: "37", R: "38", W: "37", S: "38" }, "C1"],
    [{ L: "10", R: "10", W: "10", S: "10" }, null],
  ])("HET %j is %s: the mean rounds halves up, and every part counts", (scores, level) =>
    expect(het && levelOf(het, scores)).toBe(level),
  );
  it.each([
    [{ L: "4", R: "4", W: "4", S: "4", M: "4" }, "C1"],
    [{ L: "6", R: "6", W: "6", S: "6", M: "3" }, "B2"],
    [{ L: "6", R: "6", W: "6", S: "6" }, null],
  ])("KLE %j is %s: no total, every part", (scores, level) =>
    expect(kle && levelOf(kle, scores as Scores)).toBe(level),
  );
});
