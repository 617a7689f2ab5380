import { describe, expect, it } from "vitest";
import type { Instant } from "../ids";
import { type ContactKind, type ContactNote, contactState } from "./contact-notes";

const PLACE = { scope: "file", section: "contact", entry: "", field: "phone", version: 2 };
const day = (n: number) => `2026-12-0${n}T09:00:00.000Z` as Instant;
const note = (kind: ContactKind, on: number, change: Partial<ContactNote> = {}): ContactNote => ({
  ...PLACE,
  kind,
  at: day(on),
  ...change,
});

describe("where somebody is reached", () => {
  it("says by what it is known", () =>
    expect(
      [[], [note("talked", 1), note("confirmed", 2), note("no answer", 3)]].map((n) => contactState(n, PLACE).last),
    ).toEqual([null, "confirmed"]));

  it.each<readonly [string, readonly ContactNote[], string, number | null, number | null]>([
    ["nothing was noted", [], "not confirmed", null, null],
    ["somebody answered", [note("talked", 1)], "holds", 1, null],
    ["the applicant said so", [note("confirmed", 1)], "holds", 1, null],
    ["the number is dead", [note("dead", 1)], "fails", 1, null],
    ["a letter came back", [note("returned", 1)], "fails", 1, null],
    ["nobody answered", [note("no answer", 1)], "not confirmed", null, null],
    ["nobody answered, later than somebody did", [note("talked", 1), note("no answer", 2)], "holds", 1, null],
    ["it failed after it was confirmed", [note("confirmed", 1), note("returned", 2)], "fails", 2, null],
    ["it was confirmed after it failed", [note("returned", 1), note("confirmed", 2)], "holds", 2, null],
    ["what came later stands first", [note("returned", 2), note("confirmed", 1)], "fails", 2, null],
    ["it was asked for", [note("asked", 1)], "not confirmed", null, 1],
    ["it failed and was asked for", [note("returned", 1), note("asked", 2)], "fails", 1, 2],
    ["it was asked for and answered", [note("asked", 1), note("confirmed", 2)], "holds", 2, null],
    ["another version failed", [note("returned", 1, { version: 1 })], "not confirmed", null, null],
    ["another number failed", [note("dead", 1, { section: "guardian" })], "not confirmed", null, null],
  ])("%s", (_, notes, reached, since, askedAt) =>
    expect(contactState(notes, PLACE)).toMatchObject({
      reached,
      since: since === null ? null : day(since),
      askedAt: askedAt === null ? null : day(askedAt),
    }),
  );
});
