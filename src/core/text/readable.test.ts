import { describe, expect, it } from "vitest";
import { isTooDeep, isUnreadable, readableQuestion } from "./readable";

const nested = (depth: number): unknown => (depth === 0 ? "x" : [nested(depth - 1)]);

describe("what can be kept as text", () => {
  it.each([
    ["plain", "Nilufar", false],
    ["a character that is written as two", "𐍈 and 👩🏽‍🎓", false],
    ["a NUL", "a\0b", true],
    ["half a character", "a\ud800", true],
    ["its other half", "\udfff", true],
    ["within a list", { a: [{ b: "x\0" }] }, true],
    ["as a name", { "a\0": 1 }, true],
    ["bytes", { bytes: new Uint8Array([0, 0]), name: "a.pdf" }, false],
    ["no text", { a: null, b: 1, c: undefined, d: true }, false],
  ])("%s", (_, value, unreadable) => expect(isUnreadable(value)).toBe(unreadable));
});

describe("what is nested", () => {
  it.each([
    [59, false],
    [60, false],
    [61, true],
    [3000, true],
  ])("%d times", (depth, tooDeep) => expect(isTooDeep(nested(depth))).toBe(tooDeep));
});

describe("a question with what is kept nowhere", () => {
  it("is asked without it, and any other as it is", () => {
    expect(readableQuestion({ find: "a\0b\ud800", more: ["x\0", 1] })).toEqual({ find: "ab", more: ["x", 1] });
    const asked = { find: "ab" };
    expect(readableQuestion(asked)).toBe(asked);
  });
});
