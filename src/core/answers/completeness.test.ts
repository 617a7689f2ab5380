import { describe, expect, it } from "vitest";
import { referenceSet } from "../../demo/reference-set";
import { answer, asField, equals, indexOf, section, sourceFor } from "../../demo/sample-sections";
import type { AnswerFact, Json } from "../file/facts";
import { factName, type Section } from "../rulebook/section";
import { sectionGaps } from "./completeness";
import { NOT_KNOWN } from "./not-known";

describe("the gaps of a section", () => {
  const jobs = section({
    key: "jobs",
    repeats: { min: 1, max: 5 },
    fields: [
      asField("employer", "text"),
      asField("ended", "yesNo", { mayBeUnknown: true }),
      asField("end", "date", { when: equals("it.ended", true) }),
      asField("note", "text", { required: false }),
    ],
  });
  const gapsOf = (of: Section, answers: readonly AnswerFact[], others: readonly Section[] = []) =>
    sectionGaps(of, "file", indexOf(answers), sourceFor([of, ...others], answers), factName(of), referenceSet).map(
      (g) => `${g.entry}/${g.field}: ${g.code}`,
    );
  const complete = answer("jobs//complete", true);

  it.each<[string, readonly AnswerFact[], readonly string[]]>([
    ["an empty list that needs an entry", [], ["/entry: too-few"]],
    [
      "an entry without its fields, and nobody said that is all",
      [answer("jobs/a/note", "x")],
      ["a/employer: missing", "a/ended: missing", "/complete: say-complete"],
    ],
    [
      "a field that an answer of the same entry calls for",
      [answer("jobs/a/employer", "X"), answer("jobs/a/ended", true), complete],
      ["a/end: missing"],
    ],
    ["none where that answer is no", [answer("jobs/a/employer", "X"), answer("jobs/a/ended", false), complete], []],
    [
      "a wrong value, also in a field that nobody must fill",
      [
        answer("jobs/a/employer", "X"),
        answer("jobs/a/ended", true),
        answer("jobs/a/end", "soon"),
        answer("jobs/a/note", "x".repeat(2001)),
        complete,
      ],
      ["a/end: wrong", "a/note: wrong"],
    ],
    [
      "none where somebody said not to know it, where that is an answer",
      [answer("jobs/a/employer", "X"), answer("jobs/a/ended", NOT_KNOWN), complete],
      [],
    ],
    [
      "a wrong value where it is none",
      [answer("jobs/a/employer", NOT_KNOWN), answer("jobs/a/ended", false), complete],
      ["a/employer: wrong"],
    ],
    [
      "each entry for itself",
      [
        answer("jobs/a/employer", "X"),
        answer("jobs/a/ended", false),
        answer("jobs/b/employer", "Y"),
        answer("jobs/b/ended", true),
        complete,
      ],
      ["b/end: missing"],
    ],
  ])("%s", (_, answers, gaps) => expect(gapsOf(jobs, answers)).toEqual(gaps));

  it("are none while the section does not apply, and none while that is still open", () => {
    const person = section({ key: "person", core: "person", fields: [asField("minor", "yesNo")] });
    const guardian = section({
      key: "guardian",
      fields: [asField("name", "name")],
      when: equals("person.minor", true),
    });
    const gaps = (answers: readonly AnswerFact[]) => gapsOf(guardian, answers, [person]);
    expect(gaps([])).toEqual([]);
    expect(gaps([answer("person//minor", false)])).toEqual([]);
    expect(gaps([answer("person//minor", true)])).toEqual(["/name: missing"]);
  });

  it("ask for a tick where something must be agreed to, and for every part of a test's scores", () => {
    const declare = section({ key: "declare", fields: [asField("truth", "agree")] });
    expect(gapsOf(declare, [answer("declare//truth", false)])).toEqual(["/truth: missing"]);
    const tests = section({
      key: "tests",
      core: "tests",
      repeats: { min: 1, max: 1 },
      fields: [asField("test", "test"), asField("scores", "scores")],
    });
    const scored = (scores: Json) => gapsOf(tests, [answer("tests/t/test", "het"), answer("tests/t/scores", scores)]);
    expect(scored({ L: "41", R: "43", W: "38" })).toEqual(["t/scores: missing"]);
    expect(scored({ L: "41", R: "43", W: "38", S: "99" })).toEqual(["t/scores: wrong"]);
    expect(scored({ L: "41", R: "43", W: "38", S: "40" })).toEqual([]);
  });

  it("of a list that holds just one number of entries need no word that it is whole", () => {
    const two = section({ ...jobs, repeats: { min: 2, max: 2 }, fields: [asField("employer", "text")] });
    expect(gapsOf(two, [answer("jobs/a/employer", "X")])).toEqual(["/entry: too-few"]);
    expect(gapsOf(two, [answer("jobs/a/employer", "X"), answer("jobs/b/employer", "Y")])).toEqual([]);
  });
});
