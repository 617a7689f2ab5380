import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { office, person, SUBMITTED } from "../../../tests/support/sample-assessment";
import { sampleFile, sampleRound, sampleRulebook } from "../../demo/sample-file";
import type { AnswerFact, FileFacts, Json } from "../file/facts";
import type { Instant } from "../ids";
import { type AssessInput, assess } from "./assess";
import { assessAndExplain } from "./explain";

const FILE = sampleFile(person(), { submittedAt: SUBMITTED });
const VALUES: readonly Json[] = [
  null,
  "",
  "12",
  "2019",
  "2026-10-01",
  "completed",
  "in progress",
  "pending",
  "to20",
  true,
  ["IE"],
];

/** A file in which some answers are others, are gone, or are confirmed as they stand or as something else. */
const anyFile = fc
  .record({
    changed: fc.array(fc.tuple(fc.nat(), fc.constantFrom(...VALUES)), { maxLength: 6 }),
    gone: fc.array(fc.nat(), { maxLength: 3 }),
    confirmed: fc.array(fc.tuple(fc.nat(), fc.option(fc.constantFrom(...VALUES)), fc.boolean()), { maxLength: 40 }),
  })
  .map(({ changed, gone, confirmed }): FileFacts => {
    const at = (n: number) => n % FILE.answers.length;
    const out = new Set(gone.map(at));
    const other = new Map(changed.map(([n, value]) => [at(n), value]));
    const answers = FILE.answers
      .map((a, i): AnswerFact => (other.has(i) ? { ...a, value: other.get(i) ?? null, version: 2 } : a))
      .filter((_, i) => !out.has(i));
    const confirmations = [...new Map(confirmed.map((c) => [at(c[0]), c])).values()].flatMap(([n, value, stale]) => {
      const answer = FILE.answers[at(n)];
      if (!answer) return [];
      const { scope, section, entry, field } = answer;
      const when = "2026-11-21T09:00:00.000Z" as Instant;
      return [{ scope, section, entry, field, value: value ?? answer.value, at: when, answerVersion: stale ? 0 : 1 }];
    });
    return { ...FILE, answers, confirmations };
  });

const inputOf = (facts: FileFacts): AssessInput => ({
  facts,
  rulebooks: { [sampleRulebook.id]: sampleRulebook },
  rounds: { [sampleRound.id]: sampleRound },
  office,
  at: Date.parse("2026-11-25T09:00:00Z"),
});

describe("reasons of findings", () => {
  it("say what the verdicts say, for any file, and change nothing else of its assessment", () =>
    fc.assert(
      fc.property(anyFile, (facts) => {
        const plain = assess(inputOf(facts));
        const explained = assessAndExplain(inputOf(facts));
        for (const { finding, overrides, basis, trace } of explained.choices.flatMap((c) => c.findings)) {
          // What is open part by part may be certain all the same; nothing else differs.
          if (trace.truth !== "open") expect(finding).toBe(trace.truth);
          expect([overrides, basis]).toEqual([null, trace.confirmed ? "confirmed" : "claimed"]);
        }
        const choices = explained.choices.map((c) => ({
          ...c,
          findings: c.findings.map(({ trace: _trace, ...finding }) => finding),
        }));
        expect({ ...explained, choices }).toEqual(plain);
      }),
      { numRuns: 400 },
    ));
});
