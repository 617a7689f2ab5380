import { describe, expect, it } from "vitest";
import { changedResults, isBeyond, isSameCandidate, leftOut, matchResults } from "./registry-answer";

const claim = (subject: string, mark: string) => ({ entry: subject, subject, mark });

describe("what a registry of examinations answers", () => {
  it("agrees, differs, lacks what is claimed, and has what nobody claimed", () => {
    const { known, unknown, unclaimed } = matchResults(
      [claim("biology", "72"), claim("chemistry", "80"), claim("history", "60")],
      [
        { subject: "biology", mark: "72.0" },
        { subject: "chemistry", mark: "68" },
        { subject: "physics", mark: "55" },
      ],
    );
    expect(known.map((k) => [k.subject, k.awarded, k.agrees])).toEqual([
      ["biology", "72.0", true],
      ["chemistry", "68", false],
    ]);
    expect(unknown.map((u) => u.subject)).toEqual(["history"]);
    expect(unclaimed.map((u) => u.subject)).toEqual(["physics"]);
  });
  it("has other results than it had: new ones, and such that differ", () => {
    const before = [
      { subject: "biology", mark: "72" },
      { subject: "history", mark: "60" },
      { subject: "physics", mark: "55" },
    ];
    const now = [
      { subject: "biology", mark: "72.0" },
      { subject: "physics", mark: "57" },
      { subject: "chemistry", mark: "80" },
    ];
    expect(changedResults(before, now)).toEqual({
      added: [{ subject: "chemistry", mark: "80" }],
      differing: [{ subject: "physics", mark: "57" }],
    });
    expect(changedResults(before, [])).toEqual({ added: [], differing: [] });
  });
  it("cannot know what lies before the first year of which it has results", () =>
    expect([isBeyond("2012", "2011"), isBeyond("2012", "2012"), isBeyond(null, "1999")]).toEqual([true, false, false]));
  it("knows sittings that nobody named, each once", () => {
    const northern = (year: string) => ({ board: "northern", year });
    expect(leftOut([northern("2023"), northern("2025"), northern("2023")], [northern("2025")])).toEqual([
      northern("2023"),
    ]);
    expect(leftOut([northern("2025")], [northern("2025"), { board: "strand", year: "2023" }])).toEqual([]);
    expect(leftOut([], [northern("2025")])).toEqual([]);
  });
  it("may have marks that are no numbers", () =>
    expect(matchResults([claim("biology", "A")], [{ subject: "biology", mark: " A" }]).known[0]?.agrees).toBe(true));
  it.each([
    ["Awa N’Diaye-Sarr", "N'DIAYE SARR AWA", true],
    ["Awa N’Diaye-Sarr", "Awa Ndiaye", true],
    ["Jane Vogt", "Jana Vogt", false],
    ["Awa N’Diaye-Sarr", "Aïssatou Sarr", false],
  ])("%s is %s in the registry: %s", (applicant, registered, same) =>
    expect(isSameCandidate(applicant, registered)).toBe(same),
  );
});
