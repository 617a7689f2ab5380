import { describe, expect, it } from "vitest";
import { INVENTED_TESTS } from "../../../tests/support/invented-tests";
import { vectorsOf } from "../../../tests/support/vectors";
import { referenceSet } from "../../demo/reference-set";
import { toShort } from "../numbers/ratio";
import { parseDay } from "../time/day";
import { checkScores, resultOf, type Scores, type TestDefinition, total, validOn } from "./test-definition";

const test = (key: string): TestDefinition => {
  const found = INVENTED_TESTS[key];
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
    (_, { input, expected }) => expect(resultOf(test(input.test), texts(input.scores)).level).toBe(expected),
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
    expect(het && resultOf(het, scores).level).toBe(level),
  );
  it.each([
    [{ L: "4", R: "4", W: "4", S: "4", M: "4" }, "C1"],
    [{ L: "6", R: "6", W: "6", S: "6", M: "3" }, "B2"],
    [{ L: "6", R: "6", W: "6", S: "6" }, null],
  ])("KLE %j is %s: no total, every part", (scores, level) =>
    expect(kle && resultOf(kle, scores as Scores).level).toBe(level),
  );
});
