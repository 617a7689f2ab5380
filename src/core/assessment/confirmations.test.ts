import { describe, expect, it } from "vitest";
import { someone } from "../../demo/people";
import { referenceSet } from "../../demo/reference-set";
import { sampleFile, sampleRound, sampleRulebook } from "../../demo/sample-file";
import type { FileFacts } from "../file/facts";
import type { Instant } from "../ids";
import { makeOffice } from "../standards/reference-set";
import { assess } from "./assess";

const office = makeOffice(1, referenceSet);
const NOW = "2026-11-25T09:00:00.000Z";
const SUBMITTED = "2026-11-20T09:00:00.000Z" as Instant;
const home = { citizenships: ["IE"], residence: "IE" };

function look(facts: FileFacts, at = NOW) {
  return assess({
    facts,
    rulebooks: { [sampleRulebook.id]: sampleRulebook },
    rounds: { [sampleRound.id]: sampleRound },
    office,
    at: Date.parse(at),
  });
}
const person = (change: Parameters<typeof someone>[2] = {}) =>
  someone("Ilse", "Maarteen-Quist", { ...home, ...change });
const ALL = ["passport", "certificate", "transcript", "motivation", "english"] as const;
const accepted = ALL.map((requirement) => ({
  requirement,
  judgement: "accepted" as const,
  judgedAt: "2026-11-23T09:00:00.000Z" as Instant,
}));

describe("confirmations", () => {
  const withConfirmed = (value: string, answerVersion = 1): FileFacts => {
    const facts = sampleFile(person(), { submittedAt: SUBMITTED, evidence: accepted });
    const grade = facts.answers.find((a) => a.section === "education" && a.field === "grade");
    if (!grade) throw new Error("no grade");
    return {
      ...facts,
      confirmations: [
        {
          scope: "file",
          section: "education",
          entry: grade.entry,
          field: "grade",
          value,
          at: SUBMITTED,
          answerVersion,
        },
      ],
    };
  };
  it("take the place of the claim in every rule", () =>
    expect(look(withConfirmed("14")).choices[0]?.findings.find((f) => f.key === "grade")?.finding).toBe("not met"));
  it("that are older than the claim stay in force and become a step of the office", () => {
    const { file } = look(withConfirmed("15.5", 0));
    expect(file.owed.find((s) => s.kind === "confirm" && s.requirement === "certificate")?.count).toBeGreaterThan(0);
  });
  it("of a scale alone leave a finding on claims", () =>
    expect(look(withConfirmed("15.5")).choices[0]?.findings.find((f) => f.key === "grade")?.basis).toBe("claimed"));
});
