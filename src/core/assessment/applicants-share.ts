import type {
  Assessment,
  DocumentResult,
  ExplainedAssessment,
  ExplainedChoice,
  FileResult,
  FindingResult,
  RequirementResult,
  Step,
} from "../file/result";
import type { Trace } from "../rules/trace";
import { nextStep } from "./assess";

/**
 * How the entry rules stand that the rulebook lets applicants see, once it is submitted: before, the check before applying says it, and
 * only who may not choose the programme at all reads why.
 * What a lead officer decided is said without the working, which would contradict it.
 */
function toldFindings({ findings, stage }: Pick<ExplainedChoice, "findings" | "stage">): readonly ApplicantFinding[] {
  if (stage === "preparing") return findings.filter((f) => f.gate && f.finding === "not met");
  return findings
    .filter((f) => f.shownToApplicant)
    .map((f) => (f.overrides === null ? f : { ...f, overrides: null, ifPassed: false, trace: null }));
}

declare const cut: unique symbol;

/**
 * What an applicant may see of an assessment. It is another type than the office's whole one, in both directions: a page that shows an
 * applicant the whole, or that works for the office with what was cut, does not compile.
 */
export interface ApplicantAssessment {
  readonly [cut]: true;
  readonly file: ApplicantFile;
  readonly choices: readonly ApplicantChoice[];
  readonly requirements: readonly ApplicantRequirement[];
  readonly fees: Assessment["fees"];
}

export interface ApplicantFinding extends FindingResult {
  /** Null for what a lead officer decided. */
  readonly trace: Trace | null;
}
export interface ApplicantChoice extends Omit<ExplainedChoice, "eligibility" | "findings"> {
  readonly findings: readonly ApplicantFinding[];
}
export type ApplicantRequirement =
  | Exclude<RequirementResult, DocumentResult>
  | Omit<DocumentResult, "shows" | "checks">;

export interface ApplicantFile extends Omit<FileResult, "owed" | "next"> {
  /** What the applicant owes, by the nearest day, or else what others do next; null where nobody has to do anything. */
  readonly next: Step | null;
  /** Whatever else the applicant owes, by the nearest day. */
  readonly besides: readonly Step[];
  /** What others do meanwhile; null where nobody does, or where it is the next step itself. */
  readonly others: Step | null;
}

const byDay = (a: Step, b: Step): number => ((a.dueAt ?? "9999") < (b.dueAt ?? "9999") ? -1 : 1);

/** What the applicant has to do: their own steps, and what is to be paid; by the nearest day, without a day last. */
export const owedByApplicant = (owed: readonly Step[]): readonly Step[] =>
  [...owed.filter((s) => s.turn === "applicant" || s.kind === "pay")].sort(byDay);

/** What officers have made work of stays with them: a file in which only that is left waits for nobody. */
function withoutTasks(file: FileResult): FileResult {
  const owed = file.owed.filter((s) => s.kind !== "task");
  if (file.next?.kind !== "task") return { ...file, owed };
  const next = nextStep(owed, file.stage === "preparing");
  return { ...file, owed, next, turn: next?.turn ?? "nobody", dueAt: next?.dueAt ?? null };
}

/** The applicant reads first what they owe themselves, whoever's turn the file is in the office's list. */
function fileShare(result: FileResult): ApplicantFile {
  const { owed, next, ...file } = withoutTasks(result);
  const [first, ...besides] = owedByApplicant(owed);
  const others =
    file.stage === "preparing"
      ? null
      : nextStep(
          owed.filter((s) => s.turn !== "applicant" && s.kind !== "pay"),
          false,
        );
  if (first) return { ...file, turn: first.turn, dueAt: first.dueAt, next: first, besides, others };
  return file.stage === "preparing"
    ? { ...file, turn: "applicant", next: null, besides: [], others: null }
    : { ...file, next, besides: [], others: null };
}

function requirementShare(result: RequirementResult): ApplicantRequirement {
  if (result.kind !== "document") return result;
  const { shows: _shows, checks: _checks, ...share } = result;
  return share;
}

/** What the applicant may know of the assessment: of the entry rules what the rulebook tells, and nothing of a decision before its release. */
export function applicantsShare(assessment: ExplainedAssessment, released: ReadonlySet<string>): ApplicantAssessment {
  const share: Omit<ApplicantAssessment, typeof cut> = {
    fees: assessment.fees,
    file: fileShare(assessment.file),
    choices: assessment.choices.map(({ eligibility: _eligibility, ...c }) => ({
      ...c,
      findings: toldFindings({ ...c }),
      promise: released.has(c.id) ? null : c.promise,
    })),
    requirements: assessment.requirements.map(requirementShare),
  };
  return share as ApplicantAssessment; // only this function cuts, so only it gives the mark
}
