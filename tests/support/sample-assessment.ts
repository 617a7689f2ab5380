import { assessAndExplain } from "../../src/core/assessment/explain";
import type { FileFacts } from "../../src/core/file/facts";
import type { Instant } from "../../src/core/ids";
import { makeOffice } from "../../src/core/standards/reference-set";
import { someone } from "../../src/demo/people";
import type { Profile } from "../../src/demo/profile";
import { referenceSet } from "../../src/demo/reference-set";
import { type SampleChange, sampleFile, sampleRound, sampleRulebook } from "../../src/demo/sample-file";

/** Assessments of a sample file without a database: somebody's form, with what a test changes of it. */

export const office = makeOffice(1, referenceSet);
export const NOW = "2026-11-25T09:00:00.000Z";
export const SUBMITTED = "2026-11-20T09:00:00.000Z" as Instant;
export const home = { citizenships: ["IE"], residence: "IE" };

export function look(facts: FileFacts, at = NOW) {
  return assessAndExplain({
    facts,
    rulebooks: { [sampleRulebook.id]: sampleRulebook },
    rounds: { [sampleRound.id]: sampleRound },
    office,
    at: Date.parse(at),
  });
}
export const of = (profile: Profile, change: SampleChange = {}, at = NOW) => look(sampleFile(profile, change), at);
export const person = (change: Parameters<typeof someone>[2] = {}) =>
  someone("Ilse", "Maarteen-Quist", { ...home, ...change });
export const finding = (profile: Profile, key: string, submitted = true) => {
  const found = of(profile, submitted ? { submittedAt: SUBMITTED } : {}).choices[0]?.findings.find(
    (f) => f.key === key,
  );
  return [found?.finding, found?.way !== null];
};
export const ALL = ["passport", "certificate", "transcript", "motivation", "english"] as const;
export const accepted = ALL.map((requirement) => ({
  requirement,
  judgement: "accepted" as const,
  judgedAt: "2026-11-23T09:00:00.000Z" as Instant,
}));
