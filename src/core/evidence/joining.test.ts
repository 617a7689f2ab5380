import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { addPages, leftBehind } from "./joining";

const document = (evidenceId: string, firstPage: number, lastPage: number) => ({ evidenceId, firstPage, lastPage });

describe("pages that are put together", () => {
  it("are laid once, behind those that lie there", () => {
    const first = addPages([], "a", [2]);
    expect(addPages(first, "a", [1, 2, 3]).map((p) => p.page)).toEqual([2, 1, 3]);
    expect(addPages(first, "a", [2])).toBe(first);
  });

  it.each([
    ["nothing of a document of which nothing is laid", [], []],
    ["nothing of one that is laid whole", [1, 2, 3], []],
    ["what is left of one that is laid in part", [3, 1], [{ pages: [2] }]],
  ])("leave behind %s", (_what, laid, left) => {
    expect(leftBehind(addPages([], "a", laid), [document("a", 1, 3), document("b", 1, 2)])).toMatchObject(left);
  });

  it("and those left behind are together all pages of what was begun", () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 4, max: 9 })), (chosen) => {
        const laid = addPages([], "a", chosen);
        const left = leftBehind(laid, [document("a", 4, 9)]).flatMap((l) => l.pages);
        const expected = chosen.length === 0 ? 0 : 6 - chosen.length;
        expect(left.length).toBe(expected);
        expect(left.some((page) => chosen.includes(page))).toBe(false);
      }),
    );
  });
});
