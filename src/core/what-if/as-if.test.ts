import { describe, expect, it } from "vitest";
import { someone } from "../../demo/people";
import { referenceSet } from "../../demo/reference-set";
import { mmh } from "../../demo/rulebooks/mmh";
import { sampleFile, sampleRound, sampleRulebook } from "../../demo/sample-file";
import { assess } from "../assessment/assess";
import type { FileFacts } from "../file/facts";
import type { Instant } from "../ids";
import { makeOffice } from "../standards/reference-set";
import { asIf, type ChoiceChange } from "./as-if";

const other = { id: "rulebook-mmh", version: 1, body: mmh };
const ELSEWHERE: ChoiceChange = { rulebookId: other.id, programme: "MMH" };
const facts = sampleFile(someone("Ilse", "Maarteen-Quist", { citizenships: ["IE"], residence: "IE" }), {
  submittedAt: "2026-11-20T09:00:00.000Z" as Instant,
});
const input = (own: FileFacts) => ({
  facts: own,
  rulebooks: { [sampleRulebook.id]: sampleRulebook, [other.id]: other },
  rounds: { [sampleRound.id]: sampleRound },
  office: makeOffice(1, referenceSet),
  at: Date.parse("2026-11-25T09:00:00.000Z"),
});

/** A choice as if it were on another programme. */
describe("a choice elsewhere", () => {
  it("is what the assessment says when nothing is changed", () => {
    const { choices } = assess(input(facts));
    expect(asIf(input(facts), "choice-1", {})).toMatchObject({
      eligibility: choices[0]?.eligibility,
      findings: choices[0]?.findings,
    });
  });

  it("is held to the rules of the other programme, and asked for what that wants", () => {
    const there = asIf(input(facts), "choice-1", ELSEWHERE);
    expect(there?.findings.map((f) => f.key)).toEqual(mmh.entryRules.map((r) => r.key));
    expect(there?.missing.map((r) => r.key)).toEqual(expect.arrayContaining(["curriculum", "portfolio"]));
  });

  it("leaves the file as it is", () => {
    const before = JSON.stringify(facts);
    asIf(input(facts), "choice-1", ELSEWHERE);
    expect(JSON.stringify(facts)).toBe(before);
  });

  it("takes overrides along within its programme, and none to another one", () => {
    const [rule] = sampleRulebook.body.entryRules.filter((r) => mmh.entryRules.some((m) => m.key === r.key));
    const own = { ...facts, overrides: [{ choice: "choice-1", rule: rule?.key ?? "", finding: "not met" as const }] };
    const overridden = (change: ChoiceChange) =>
      asIf(input(own), "choice-1", change)?.findings.find((f) => f.key === rule?.key)?.overrides;
    expect(overridden({})).not.toBeNull();
    expect(overridden(ELSEWHERE)).toBeNull();
  });

  it("is nothing where the file has no such choice", () => expect(asIf(input(facts), "choice-9", {})).toBeNull());
});
