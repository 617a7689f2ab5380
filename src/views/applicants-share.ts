import { nextStep } from "../core/assessment/assess";
import type { Assessment, ChoiceResult, FileResult, FindingResult } from "../core/assessment/result";

/**
 * How the entry rules stand that the rulebook lets applicants see, once it is submitted: before, the check before applying says it, and
 * only who may not choose the programme at all reads why.
 * What a lead officer decided is said without the working, which would contradict it.
 */
function toldFindings({ findings, stage }: ChoiceResult): readonly FindingResult[] {
  if (stage === "preparing") return findings.filter((f) => f.gate && f.finding === "not met");
  return findings
    .filter((f) => f.told)
    .map((f) =>
      f.overrides === null
        ? f
        : { ...f, overrides: null, ifPassed: false, trace: { op: "all", truth: f.finding, confirmed: true } },
    );
}

/** Whoever prepares goes on, whatever else was asked of the office in the meantime. */
function fileShare(file: FileResult): FileResult {
  if (file.stage !== "preparing") return file;
  const next = nextStep(
    file.owed.filter((s) => s.turn === "applicant"),
    true,
  );
  return { ...file, turn: "applicant", next };
}

/** What the applicant may know of the assessment: of the entry rules what the rulebook tells, and nothing of a decision before its release. */
export function applicantsShare(assessment: Assessment, released: ReadonlySet<string>): Assessment {
  return {
    ...assessment,
    file: fileShare(assessment.file),
    awaited: [],
    choices: assessment.choices.map((c) => ({
      ...c,
      findings: toldFindings(c),
      eligibility: "open",
      promise: released.has(c.id) ? null : c.promise,
    })),
    requirements: assessment.requirements.map((r) => ({ ...r, shows: [], checks: [] })),
  };
}
