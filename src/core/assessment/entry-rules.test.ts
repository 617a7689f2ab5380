import { describe, expect, it } from "vitest";
import { finding, look, NOW, office, person, SUBMITTED } from "../../../tests/support/sample-assessment";
import { courses, type someone } from "../../demo/people";
import type { Profile } from "../../demo/profile";
import { sampleFile, sampleRound, sampleRulebook } from "../../demo/sample-file";
import type { FileFacts } from "../file/facts";
import { assess } from "./assess";

describe("entry rules", () => {
  it.each([
    ["15.5", "met"],
    ["15.0", "met"],
    ["14.7", "met"],
    ["14.6", "not met"],
    ["10", "not met"],
    ["9.9", "not met"],
    ["20", "met"],
    ["20.5", "open"],
    ["good", "open"],
  ])("a grade of %s of 20 is %s: cut to one decimal, compared rounded, never guessed off the scale", (grade, found) =>
    expect(finding(person({ degree: { grade } }), "grade")[0]).toBe(found),
  );

  it("an inverted scale needs nothing else", () =>
    expect(finding(person({ degree: { scale: "down6", grade: "2.4" } }), "grade")[0]).toBe("met"));
  it("a scale that is not in the register is taken as entered", () =>
    expect(
      finding(person({ degree: { scale: "other", gradeBest: "5", gradePass: "3", grade: "4.2" } }), "grade")[0],
    ).toBe("met"));
  it("a scale whose best mark is its pass mark is a question, not an answer", () =>
    expect(
      finding(person({ degree: { scale: "other", gradeBest: "5", gradePass: "5", grade: "5" } }), "grade")[0],
    ).toBe("open"));

  it("180 ECTS from completed courses; courses in progress are the way to what is missing", () => {
    expect(finding(person(), "credits")).toEqual(["met", false]);
    expect(
      finding(person({ courses: courses(["15"], 1), degree: { status: "in progress", end: "2027-07-01" } }), "credits"),
    ).toEqual(["not met", true]);
    expect(finding(person({ courses: courses(["15"]).slice(1) }), "credits")).toEqual(["not met", false]);
  });

  const findings = (profile: Profile, overrides: FileFacts["overrides"] = []) => {
    const facts = sampleFile(profile, { submittedAt: SUBMITTED });
    const choice = facts.choices[0]?.id ?? "";
    return look({ ...facts, overrides: overrides.map((o) => ({ ...o, choice })) }).choices[0];
  };
  it("says what would be met if the courses in progress are passed, and only then", () => {
    const passed = (running: number) =>
      findings(person({ courses: courses(["15"], running) }))
        ?.findings.filter((f) => f.ifPassed)
        .map((f) => f.key);
    expect(passed(0)).toEqual([]);
    expect(passed(1)).toEqual(["credits"]);
    const short = findings(person({ courses: courses(["15"], 1).slice(3) }));
    expect(short?.findings.find((f) => f.key === "credits")).toMatchObject({ finding: "not met", ifPassed: false });
  });
  it("an override takes the place of what was worked out, shows it, and decides eligibility", () => {
    const low = person({ degree: { grade: "14.6" } });
    expect(findings(low)?.eligibility).toBe("not eligible");
    const after = findings(low, [{ choice: "", rule: "grade", finding: "met" }]);
    expect(after?.eligibility).toBe("eligible");
    expect(after?.findings.find((f) => f.key === "grade")).toMatchObject({
      finding: "met",
      overrides: "not met",
      basis: "confirmed",
      trace: { truth: "not met" },
    });
  });
  it("a rule about who may choose the programme bars a draft that does not meet it, until an override", () => {
    const gated = {
      ...sampleRulebook,
      body: {
        ...sampleRulebook.body,
        entryRules: sampleRulebook.body.entryRules.map((r) => (r.key === "grade" ? { ...r, gate: true } : r)),
      },
    };
    const barred = (profile: Profile, overrides: FileFacts["overrides"] = []) =>
      assess({
        facts: { ...sampleFile(profile), overrides },
        rulebooks: { [gated.id]: gated },
        rounds: { [sampleRound.id]: sampleRound },
        office,
        at: Date.parse(NOW),
      }).choices[0];
    const low = person({ degree: { grade: "14.6" } });
    const choice = barred(low);
    expect(choice?.barredBy).toEqual(["grade"]);
    expect(barred(person())?.barredBy).toEqual([]);
    expect(barred(low, [{ choice: choice?.id ?? "", rule: "grade", finding: "met" }])?.barredBy).toEqual([]);
    expect(findings(low)?.barredBy).toEqual([]); // the same rule where it is no gate
  });
  it("an override to not met cannot be mended on a condition", () =>
    expect(
      findings(person(), [{ choice: "", rule: "credits", finding: "not met" }])?.findings.find(
        (f) => f.key === "credits",
      ),
    ).toMatchObject({ finding: "not met", way: null }));
  it("an override of one choice or of another rule changes nothing here", () =>
    expect(
      findings(person({ degree: { grade: "14.6" } }), [{ choice: "", rule: "luck", finding: "met" }])?.eligibility,
    ).toBe("not eligible"));

  it("two of thirty courses typed is not “180 ECTS not met”: an open list is known only from below", () => {
    const facts = sampleFile(person({ courses: courses(["15"]).slice(0, 2) }));
    const typing = {
      ...facts,
      answers: facts.answers.filter((a) => !(a.section === "courses" && a.field === "complete")),
    };
    expect(look(typing).choices[0]?.findings.find((f) => f.key === "credits")?.finding).toBe("open");
  });

  it("local credits count by the credits of a full-time year", () => {
    expect(finding(person({ degree: { creditsPerYear: "120" } }), "credits")[0]).toBe("not met");
    expect(finding(person({ degree: { creditsPerYear: "" } }), "credits")[0]).toBe("open");
  });

  it.each([
    [{ status: "in progress", end: "2027-08-31" }, "met"],
    [{ status: "in progress", end: "2027-09-01" }, "met"],
    [{ status: "in progress", end: "2027-09-02" }, "not met"],
    [{ status: "completed", end: "2025-07-15", level: "5" }, "not met"],
  ] as const)("a first degree that is %j is %s", (degree, found) =>
    expect(finding(person({ degree }), "firstDegree")[0]).toBe(found),
  );

  const test = (date: string, scores?: Record<string, string>, expected?: string): Partial<Profile> => ({
    english: { way: "test", test: "het", date, ...(scores ? { scores } : {}), ...(expected ? { expected } : {}) },
  });
  const c1 = { L: "38", R: "38", W: "38", S: "38" };
  it.each([
    ["valid on the first day of study", test("2026-03-01", c1), "met", false],
    ["one day too old", test("2026-02-28", c1), "not met", false],
    ["one part below", test("2026-10-01", { ...c1, W: "33" }), "not met", false],
    ["off the scale", test("2026-10-01", { ...c1, W: "51" }), "open", false],
    ["pending, out before the start", test("2026-11-10", undefined, "2027-08-31"), "open", true],
    ["pending, out after the start", test("2026-11-10", undefined, "2027-09-02"), "not met", false],
  ])("English by a test: %s", (_, change, found, curable) =>
    expect(finding(person(change as Parameters<typeof someone>[2]), "english")).toEqual([found, curable]),
  );

  it.each([
    ["2023-09-01", "2025-09-01", "met"],
    ["2023-09-02", "2025-08-31", "not met"],
  ])("English by study from %s to %s is %s: two full years", (start, end, found) =>
    expect(finding(person({ english: { way: "taught" }, degree: { language: "en", start, end } }), "english")[0]).toBe(
      found,
    ),
  );
});
