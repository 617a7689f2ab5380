import { describe, expect, it } from "vitest";
import { type Actor, ROLES, type Role } from "../../core/rights/actor";
import { groupsFor, pageAt } from "./office-pages";

const somebody = (...roles: readonly Role[]): Actor => ({
  kind: "person",
  id: "p",
  name: "Runa Okonjo",
  grants: roles.map((role) => ({ role, scope: "*" })),
});
const words = (...roles: readonly Role[]) => groupsFor(somebody(...roles)).map((g) => g.word);

/** The head of the office: groups that follow the work, for those who work there. */
describe("the pages of the office", () => {
  it("stand in at most six groups for every role, and only in those that it works with", () => {
    expect(words("officer")).toEqual(["Turns", "Arrivals", "Plan", "Figures"]);
    expect(words("finance")).toEqual(["Money"]);
    expect(words("adviser")).toEqual(["In confidence"]);
    expect(words("standards keeper")).toEqual(["Plan"]);
    expect(words("administrator")).toEqual(["Plan", "Office"]);
    expect(words("assessor")).toEqual([]);
    for (const role of ROLES) expect(words(role).length).toBeLessThanOrEqual(6);
  });

  it("have a letter each, which leads to one page", () => {
    const letters = groupsFor(somebody(...ROLES)).flatMap((g) => g.pages.map((p) => p.letter));
    expect(letters).toEqual([...new Set(letters)]);
    expect(letters.every((letter) => /^[a-z]$/u.test(letter))).toBe(true);
  });

  it.each([
    ["/office", "Turns"],
    ["/office/files/27-00001", "Turns"],
    ["/office/programmes/MTE/sites", "Programmes"],
    ["/office/rulebooks/parts/english", "Rulebooks"],
    ["/office/no-permission", undefined],
    ["/office/poster", undefined],
  ])("%s is at the place of %s", (path, word) => {
    expect(pageAt(groupsFor(somebody(...ROLES)), path)?.word).toBe(word);
  });

  it("is at no place of somebody else's", () =>
    expect(pageAt(groupsFor(somebody("finance")), "/office/files/27-00001")).toBeUndefined());
});
