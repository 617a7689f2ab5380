import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { isCounted, tally } from "./tally";
import { FEWEST_SHOWN, withheld } from "./withheld";

const OPTIONS = ["fair", "friends", "web"].map((value) => ({ value, title: { en: value, fr: value } }));

describe("counting answers", () => {
  it.each([
    [
      "a choice, in the order of its answers",
      "choice",
      [
        ["web", 3],
        ["fair", 1],
      ],
      [
        ["fair", 1],
        ["friends", 0],
        ["web", 3],
      ],
      4,
    ],
    [
      "an answer that is no longer offered stands after them",
      "choice",
      [
        ["radio", 2],
        ["web", 1],
      ],
      [
        ["fair", 0],
        ["friends", 0],
        ["web", 1],
        ["radio", 2],
      ],
      3,
    ],
    [
      "several picks, each person once for each",
      "several",
      [
        [["fair", "web", "web"], 2],
        [["web"], 1],
      ],
      [
        ["fair", 2],
        ["friends", 0],
        ["web", 3],
      ],
      3,
    ],
    [
      "the first of a ranked list",
      "ranked",
      [[["web", "fair"], 2]],
      [
        ["fair", 0],
        ["friends", 0],
        ["web", 2],
      ],
      2,
    ],
    [
      "nothing and blanks are no answers",
      "choice",
      [
        ["", 4],
        [null, 2],
        [[], 1],
      ],
      [
        ["fair", 0],
        ["friends", 0],
        ["web", 0],
      ],
      0,
    ],
  ] as const)("%s", (_what, kind, answers, lines, answered) => {
    const found = tally(
      { kind, options: OPTIONS },
      answers.map(([value, people]) => ({ value: value as never, people })),
    );
    expect(found.lines.map((l) => [l.value, l.count])).toEqual(lines);
    expect(found.answered).toBe(answered);
  });

  it("yes, no, and those who do not know", () =>
    expect(
      tally({ kind: "yesNo" }, [
        { value: false, people: 2 },
        { value: { notKnown: true }, people: 7 },
        { value: true, people: 1 },
      ]),
    ).toEqual({
      answered: 10,
      notKnown: 7,
      lines: [
        { value: "yes", count: 1 },
        { value: "no", count: 2 },
      ],
    }));

  it("countries by how many", () =>
    expect(
      tally({ kind: "country" }, [
        { value: "SE", people: 1 },
        { value: "FI", people: 1 },
        { value: "NO", people: 4 },
      ]).lines.map((l) => l.value),
    ).toEqual(["NO", "FI", "SE"]));

  it.each([
    [{ kind: "choice", seenBy: "figures" }, {}, true],
    [{ kind: "choice", seenBy: "assessment" }, {}, false],
    [{ kind: "choice", seenBy: "assessment", counted: true }, {}, true],
    [{ kind: "choice", seenBy: "figures" }, { repeats: { min: 0, max: 3 } }, false],
    [{ kind: "longText", seenBy: "figures" }, {}, false],
  ] as const)("%j in %j is counted: %s", (field, section, counted) => expect(isCounted(section, field)).toBe(counted));
});

describe("small groups", () => {
  it.each([
    ["nothing small", [12, 8, 0], true, [false, false, false]],
    ["a small one alone takes the next along, or it follows from the sum", [12, 8, 3], true, [false, true, true]],
    ["two small ones that are small together take a third along", [12, 8, 1, 2], true, [false, true, true, true]],
    ["two small ones that are not", [12, 8, 4, 2], true, [false, false, true, true]],
    ["a zero is taken along only where there is nothing else", [3, 0], true, [true, true]],
    ["without a sum nothing follows", [12, 8, 3], false, [false, false, true]],
    ["one alone", [2], true, [true]],
    ["nobody", [0, 0], true, [false, false]],
  ] as const)("%s", (_what, counts, summed, hidden) => expect(withheld(counts, summed)).toEqual(hidden));

  it("cannot be told from the sum: there are always two withheld, of five people or more, or nothing else is left", () =>
    fc.assert(
      fc.property(fc.array(fc.nat(40), { maxLength: 9 }), (counts) => {
        const kept = withheld(counts, true);
        const hidden = counts.filter((_, i) => kept[i]);
        expect(counts.every((count, i) => kept[i] || count === 0 || count >= FEWEST_SHOWN)).toBe(true);
        if (hidden.length === 0) return;
        const sum = hidden.reduce((a, b) => a + b, 0);
        expect((hidden.length > 1 && sum >= FEWEST_SHOWN) || hidden.length === counts.length).toBe(true);
      }),
    ));
});
