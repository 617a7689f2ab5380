import { describe, expect, it } from "vitest";
import { erasureOf, type KeptFile } from "./erasure";

const DAY = 86_400_000;
const file: KeptFile = {
  number: "27-00001",
  stage: "closed",
  wasSubmitted: true,
  lastEventAt: 0,
  wasPaid: false,
  isErased: false,
};

describe("what of a person may be erased", () => {
  it.each([
    ["a draft, whatever its stage", { wasSubmitted: false, stage: "preparing" as const }, "draft", true, null],
    ["a file that is worked on", { stage: "in review" as const }, "open", false, null],
    ["a closed file before its days are over", { lastEventAt: 10 * DAY }, "kept", false, 110 * DAY],
    ["a closed file on the day", {}, "over", true, null],
    ["a file that is erased", { isErased: true }, "erased already", false, null],
  ])("%s", (_, facts, why, goes, until) => {
    const [judged] = erasureOf([{ ...file, ...facts }], 100, 100 * DAY).files;
    expect(judged).toMatchObject({ why, goes, until: until === null ? null : new Date(until).toISOString() });
  });

  it("keeps closed files for good where the office has no rule", () => {
    expect(erasureOf([file], null, 1000 * DAY).files[0]).toMatchObject({ why: "kept for good", goes: false });
  });

  it("lets the person go with the last file, and where there is none", () => {
    const draft = { ...file, wasSubmitted: false };
    expect(erasureOf([draft, { ...file, isErased: true }], 100, 0).personGoes).toBe(true);
    expect(erasureOf([draft, file], 100, 0).personGoes).toBe(false);
    expect(erasureOf([], 100, 0)).toEqual({ files: [], personGoes: true });
  });
});
