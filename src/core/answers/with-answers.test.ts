import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { answer } from "../../demo/sample-sections";
import type { AnswerFact } from "../file/facts";
import { answerKey } from "../file/place";
import { inFileOrder } from "./with-answers";

const PLACES = ["b", "a"].flatMap((section) =>
  ["", "e1", "e2"].flatMap((entry) => ["z", "y", "x"].map((field) => `${section}/${entry}/${field}`)),
);

/** Answers at some places, entry by entry as a database reads them or in any order at all. */
const anyAnswers = fc
  .record({
    at: fc.shuffledSubarray(PLACES),
    positions: fc.array(fc.nat({ max: 2 }), { minLength: 20, maxLength: 20 }),
    read: fc.boolean(),
  })
  .map(({ at, positions, read }) =>
    (read ? at.sort() : at).map((place, i) => ({
      ...answer(place, "v"),
      // Those of an entry mostly have one position, and need not.
      position: positions[read ? Math.floor(i / 3) : i] ?? 0,
    })),
  );

const keyOf = (a: AnswerFact) => [a.section, String(a.position), a.entry, a.field].join("\u0001");

describe("the order of a file's answers", () => {
  it("is by section, position, entry and field, whatever they come in", () =>
    fc.assert(
      fc.property(anyAnswers, (answers) => {
        const ordered = inFileOrder(answers);
        expect(ordered.map(keyOf)).toEqual(answers.map(keyOf).sort());
        expect(new Set(ordered.map(answerKey))).toEqual(new Set(answers.map(answerKey)));
      }),
      { numRuns: 1000 },
    ));

  it("leaves what is in order as it is, and nothing as nothing", () => {
    const answers = ["a//x", "a/e1/x", "a/e1/y"].map((at) => answer(at, "v"));
    expect(inFileOrder(answers)).toEqual(answers);
    expect(inFileOrder([])).toEqual([]);
  });
});
