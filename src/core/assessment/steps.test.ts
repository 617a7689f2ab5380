import { describe, expect, it } from "vitest";
import { someone } from "../../demo/people";
import { referenceSet } from "../../demo/reference-set";
import { bmr } from "../../demo/rulebooks/from-school";
import { sampleFile, sampleRound, sampleRulebook } from "../../demo/sample-file";
import { AT } from "../../demo/sample-sections";
import { AnswerIndex } from "../answers/answer-index";
import type { AnswerFact } from "../file/facts";
import type { Instant } from "../ids";
import { unconfirmed } from "../requirements/unconfirmed";
import { makeOffice } from "../standards/reference-set";
import { assess } from "./assess";
import { contexts } from "./context";

const office = makeOffice(1, referenceSet);
const rulebooks = { [sampleRulebook.id]: sampleRulebook };
const rounds = { [sampleRound.id]: sampleRound };

const second = (section: string, entry: string, fields: Readonly<Record<string, string>>): readonly AnswerFact[] =>
  Object.entries(fields).map(([field, value]) => ({
    scope: "file",
    section,
    entry,
    field,
    value,
    version: 1,
    position: 90,
  }));

describe("what is confirmed beside a transcript", () => {
  const plain = sampleFile(someone("Ilse", "Maarteen-Quist"));
  const first = plain.answers.find((a) => a.section === "education" && a.entry !== "")?.entry ?? "";
  const facts = {
    ...plain,
    answers: [
      ...plain.answers,
      ...second("education", "master", { level: "7", title: "MSc", creditsPerYear: "60" }),
      ...second("courses", "named", { title: "Wave loads", credits: "9", degree: "master" }),
      ...second("courses", "unnamed", { title: "Tides", credits: "6" }),
    ],
  };
  const index = new AnswerIndex(facts);
  const at = Date.parse("2026-11-25T09:00:00Z");
  const all = contexts(facts, index, rulebooks, rounds, office, at);
  const { requirements } = assess({ facts, rulebooks, rounds, office, at });
  const coursesBeside = (degree: string): readonly string[] => {
    const transcript = requirements.find((r) => r.key === "transcript" && r.entry === degree);
    if (!transcript) throw new Error("no transcript");
    const open = unconfirmed({ contexts: all, index }, transcript).filter((v) => v.section === "courses");
    return [...new Set(open.map((v) => v.entry))];
  };

  it("is the courses of that degree, and those that name none", () => {
    expect(coursesBeside("master")).toContain("named");
    expect(coursesBeside("master")).toContain("unnamed");
    expect(coursesBeside(first)).not.toContain("named");
    expect(coursesBeside(first)).toContain("unnamed");
  });
});

describe("what was promised", () => {
  const [choice] = sampleFile(someone("Ana", "Vale")).choices;
  const rulebook = { ...sampleRulebook, body: bmr };
  const owed = (fields: Readonly<Record<string, string>>, submittedAt: Instant | null = AT) => {
    const facts = {
      ...sampleFile(someone("Ana", "Vale")),
      answers: second("sittings", "s", fields),
      evidence: [],
      choices: choice ? [{ ...choice, submittedAt }] : [],
    };
    return assess({ facts, rulebooks: { [rulebook.id]: rulebook }, rounds, office, at: Date.parse(AT) }).file.owed;
  };
  const steps = (...args: Parameters<typeof owed>) =>
    owed(...args)
      .filter((s) => s.requirement === "equivalence")
      .map((s) => [s.turn, s.kind, s.entry, s.due]);

  it("is waited for by the day that was stated, from the submission on", () => {
    const asked = { board: "other", equivalence: "asked", equivalenceDue: "2026-12-20" };
    expect(steps(asked)).toEqual([["third party", "await paper", "s", "2026-12-20"]]);
    expect(steps({ ...asked, equivalenceDue: "" })).toEqual([["third party", "await paper", "s", null]]);
    expect(steps(asked, null)).toEqual([]);
  });
  it("is owed by the applicant where nobody promised it, and by nobody where it is not asked for", () => {
    expect(steps({ board: "other", equivalence: "have" })).toEqual([["applicant", "supply", "s", null]]);
    expect(steps({ board: "northern" })).toEqual([]);
  });
});
