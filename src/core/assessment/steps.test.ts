import { describe, expect, it } from "vitest";
import { someone } from "../../demo/people";
import { referenceSet } from "../../demo/reference-set";
import { sampleFile, sampleRound, sampleRulebook } from "../../demo/sample-file";
import { makeOffice } from "../office/reference-set";
import { AnswerIndex } from "../sections/answer-index";
import { assess } from "./assess";
import { contexts } from "./context";
import type { AnswerFact } from "./facts";
import { unconfirmed } from "./steps";

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
  const all = contexts(facts, index, rulebooks, rounds, office);
  const { requirements } = assess({ facts, rulebooks, rounds, office, at: Date.parse("2026-11-25T09:00:00Z") });
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
