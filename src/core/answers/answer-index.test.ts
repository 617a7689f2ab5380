import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { answer, confirmation, indexOf } from "../../demo/sample-sections";
import type { AnswerFact, ConfirmationFact, Json } from "../file/facts";

const PLACES = ["jobs/a/name", "jobs/a/end", "jobs/b/name", "jobs/b/end", "jobs/c/note", "jobs//complete", "me//name"];
const VALUES: readonly Json[] = [null, "", "x", "y", true, ["x"]];

const placed = (at: string) => {
  const [section = "", entry = "", field = ""] = at.split("/");
  return { section, entry, field };
};
/** One answer and one confirmation a place at most, the answers in any order of the places. */
const file = fc.record({
  answers: fc
    .uniqueArray(
      fc.record({ at: fc.constantFrom(...PLACES), value: fc.constantFrom(...VALUES), version: fc.nat({ max: 3 }) }),
      { selector: (a) => a.at },
    )
    .map((all) => all.map((a) => answer(a.at, a.value, { version: a.version }))),
  confirmations: fc
    .uniqueArray(
      fc.record({ at: fc.constantFrom(...PLACES), value: fc.constantFrom(...VALUES), version: fc.nat({ max: 3 }) }),
      { selector: (c) => c.at },
    )
    .map((all) => all.map((c) => confirmation(c.at, c.value, c.version))),
});

describe("answers by their place", () => {
  it("are what a search through all of them finds, in whatever order they came", () => {
    fc.assert(
      fc.property(file, ({ answers, confirmations }) => {
        const index = indexOf(answers, confirmations);
        for (const at of PLACES) {
          const { section, entry, field } = placed(at);
          const here = (p: AnswerFact | ConfirmationFact) =>
            p.section === section && p.entry === entry && p.field === field;
          const [claim, confirmed] = [answers.find(here), confirmations.find(here)];
          const row = index.row("file", section, entry);
          expect(index.claim("file", section, entry, field)).toEqual(claim?.value ?? null);
          expect(index.confirmed("file", section, entry, field)).toBe(confirmed);
          expect(row.value(field)).toEqual((confirmed ? confirmed.value : claim?.value) ?? null);
          const stale = claim !== undefined && confirmed !== undefined && claim.version > confirmed.answerVersion;
          expect(row.isStale(field)).toBe(stale);
          const open = confirmed ? stale : (claim?.value ?? null) !== null && claim?.value !== "";
          expect(row.isUnconfirmed(field)).toBe(open);
        }
      }),
    );
  });

  it("keep entries in the order in which the applicant made them, and beside them what only the office knows of", () => {
    fc.assert(
      fc.property(file, ({ answers, confirmations }) => {
        const index = indexOf(answers, confirmations);
        const entries = (of: readonly { readonly section: string; readonly entry: string }[]) => [
          ...new Set(of.filter((a) => a.section === "jobs" && a.entry !== "").map((a) => a.entry)),
        ];
        expect(index.entries("file", "jobs")).toEqual(entries(answers));
        expect(index.list("file", "jobs").ids).toEqual(entries([...answers, ...confirmations]));
        expect(
          index
            .row("file", "jobs", "a")
            .answered()
            .map((a) => a.field)
            .sort(),
        ).toEqual(
          answers
            .filter((a) => a.section === "jobs" && a.entry === "a")
            .map((a) => a.field)
            .sort(),
        );
      }),
    );
  });

  it("are nothing where nobody has answered, in a section, an entry or a scope that is not there", () => {
    const index = indexOf([answer("jobs/a/name", "x")]);
    expect(index.claim("file", "jobs", "z", "name")).toBeNull();
    expect(index.claim("choice", "jobs", "a", "name")).toBeNull();
    expect(index.row("file", "none", "").value("name")).toBeNull();
    expect([index.entries("file", "none"), index.list("file", "none").ids]).toEqual([[], []]);
  });
});
