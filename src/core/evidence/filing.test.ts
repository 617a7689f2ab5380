import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { changesFiling, coversAll, cutAt } from "./filing";

const passport = { requirement: "passport", scope: "file", entry: "" };
const transcript = { requirement: "transcript", scope: "file", entry: "e" };

describe("the pages of a bundle", () => {
  it("are cut where a new part begins, each part at its place", () => {
    const parts = cutAt(1, 7, [6, 3], (page) => (page === 3 ? transcript : passport));
    expect(parts.map((p) => [p.firstPage, p.lastPage, p.requirement])).toEqual([
      [1, 2, "passport"],
      [3, 5, "transcript"],
      [6, 7, "passport"],
    ]);
  });

  it("are all filed, each once, wherever they are cut", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 0, max: 20 }),
        fc.uniqueArray(fc.integer({ min: -3, max: 45 })),
        (first, more, at) => {
          expect(
            coversAll(
              first,
              first + more,
              cutAt(first, first + more, at, () => passport),
            ),
          ).toBe(true);
        },
      ),
    );
  });

  it.each([
    [
      "a page is missing",
      [
        [1, 2],
        [4, 5],
      ],
    ],
    [
      "a page stands twice",
      [
        [1, 3],
        [3, 5],
      ],
    ],
    ["the last is missing", [[1, 4]]],
    ["there are more than the document has", [[1, 6]]],
    [
      "a part is empty",
      [
        [1, 0],
        [1, 5],
      ],
    ],
    [
      "they stand in another order",
      [
        [3, 5],
        [1, 2],
      ],
    ],
    ["there are none", []],
  ])("are not all filed where %s", (_, ranges) => {
    const parts = ranges.map(([firstPage = 0, lastPage = 0]) => ({ ...passport, firstPage, lastPage }));
    expect(coversAll(1, 5, parts)).toBe(false);
  });

  it("change where they are filed only by a cut or another place", () => {
    const whole = cutAt(1, 5, [], () => passport);
    expect(changesFiling(passport, whole)).toBe(false);
    expect(changesFiling(transcript, whole)).toBe(true);
    expect(
      changesFiling(
        passport,
        cutAt(1, 5, [2], () => passport),
      ),
    ).toBe(true);
  });
});
