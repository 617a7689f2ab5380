import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { changedPlaces, type SubmittedAnswer } from "./submissions";

const answers = (held: Readonly<Record<string, number>>): SubmittedAnswer[] =>
  Object.entries(held).map(([place, version]) => ({ place, version }));

describe("what differs between two submissions", () => {
  it.each([
    ["nothing", { a: 1, b: 2 }, { a: 1, b: 2 }, []],
    ["an answer that was changed", { a: 1 }, { a: 3 }, ["a: 1 -> 3"]],
    ["an answer that is new", { a: 1 }, { a: 1, b: 1 }, ["b: null -> 1"]],
    ["an answer that is gone, after the others", { a: 1, b: 1 }, { b: 2 }, ["b: 1 -> 2", "a: 1 -> null"]],
  ] as const)("%s", (_, before, after, expected) =>
    expect(changedPlaces(answers(before), answers(after)).map((c) => `${c.place}: ${c.before} -> ${c.after}`)).toEqual(
      expected,
    ),
  );

  it("turns the one into the other", () => {
    const held = fc.dictionary(fc.constantFrom("a", "b", "c", "d", "e"), fc.integer({ min: 1, max: 4 }));
    fc.assert(
      fc.property(held, held, (before, after) => {
        const made = new Map(Object.entries(before));
        for (const { place, after: version } of changedPlaces(answers(before), answers(after)))
          if (version === null) made.delete(place);
          else made.set(place, version);
        expect(Object.fromEntries(made)).toEqual({ ...after });
      }),
    );
  });
});
