import { describe, expect, it } from "vitest";
import { courses, someone } from "../../demo/people";
import { referenceSet } from "../../demo/reference-set";
import { sampleFile, sampleRound, sampleRulebook } from "../../demo/sample-file";
import { assess } from "../assessment/assess";
import type { FileFacts } from "../file/facts";
import type { Instant } from "../ids";
import { makeOffice } from "../standards/reference-set";
import { supposing } from "./supposing";

const office = makeOffice(1, referenceSet);
const SUBMITTED = "2026-11-20T09:00:00.000Z" as Instant;
const finding = (facts: FileFacts, key: string) =>
  assess({
    facts,
    rulebooks: { [sampleRulebook.id]: sampleRulebook },
    rounds: { [sampleRound.id]: sampleRound },
    office,
    at: Date.parse("2026-11-25T09:00:00Z"),
  }).choices[0]?.findings.find((f) => f.key === key);

const file = (change: Parameters<typeof someone>[2] = {}) =>
  sampleFile(someone("Ilse", "Maarteen-Quist", { citizenships: ["IE"], residence: "IE", ...change }), {
    submittedAt: SUBMITTED,
  });
const degree = (facts: FileFacts) => facts.answers.find((a) => a.section === "education")?.entry ?? "";

describe("supposing other answers", () => {
  it("another grade turns the finding, and the file stays as it was", () => {
    const facts = file({ degree: { grade: "14.6" } });
    const before = JSON.stringify(facts);
    const place = { scope: "file", section: "education", entry: degree(facts), field: "grade" };
    expect(finding(facts, "grade")?.finding).toBe("not met");
    expect(finding(supposing(facts, [{ ...place, value: "15" }]), "grade")?.finding).toBe("met");
    expect(JSON.stringify(facts)).toBe(before);
  });
  it("one more course adds its credits", () => {
    const facts = file({ courses: courses(["15"]).slice(1) });
    expect(finding(facts, "credits")?.finding).toBe("not met");
    const course = (field: string, value: string) => ({
      scope: "file",
      section: "courses",
      entry: "new",
      field,
      value,
    });
    const more = supposing(facts, [
      course("title", "One more"),
      course("credits", "7.5"),
      course("area", "natural"),
      course("status", "completed"),
    ]);
    expect(finding(more, "credits")?.finding).toBe("met");
  });
  it("what is supposed takes the place of what was confirmed, and stands on a claim", () => {
    const facts = file();
    const place = { scope: "file", section: "education", entry: degree(facts), field: "grade" };
    const confirmed: FileFacts = {
      ...facts,
      confirmations: [{ ...place, value: "12", at: SUBMITTED, answerVersion: 1 }],
    };
    expect(finding(confirmed, "grade")?.finding).toBe("not met");
    expect(finding(supposing(confirmed, [{ ...place, value: "16" }]), "grade")).toMatchObject({
      finding: "met",
      basis: "claimed",
    });
  });
  it("shows what the rules come to where a finding was overridden", () => {
    const facts = file({ degree: { grade: "14.6" } });
    const choice = facts.choices[0]?.id ?? "";
    const overridden: FileFacts = { ...facts, overrides: [{ choice, rule: "grade", finding: "met" }] };
    expect(finding(overridden, "grade")?.finding).toBe("met");
    expect(finding(supposing(overridden, []), "grade")?.finding).toBe("not met");
  });
});
