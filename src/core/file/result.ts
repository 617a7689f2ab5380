import type { Instant, PlainDate } from "../ids";
import type { Money } from "../rulebook/fee-item";
import type { Moment, ProofLevel, Standing } from "../rulebook/requirement";
import type { Trace } from "../rules/trace";
import type { Truth } from "../rules/truth";
import type { LocalText } from "../text/local-text";
import type { Turn } from "./facts";
import type { Gap } from "./gap";

export const STAGES = ["preparing", "submitted", "complete", "in review", "decided", "answered", "closed"] as const;
export type Stage = (typeof STAGES)[number];

export const STEP_KINDS = [
  "fill",
  "submit",
  "check",
  "confirm",
  "rule",
  "decide",
  "release",
  "supply",
  "supply again",
  "answer ask",
  "read answer",
  "follow up",
  "correct",
  "read changes",
  "read results",
  "answer request",
  "answer message",
  "reach applicant",
  "name referee",
  "pay",
  "book payment",
  "give reference",
  "await result",
  "await signature",
  "await paper",
  "await registry",
  "do",
  "inspect",
  "task",
  "answer offer",
  "prove",
  "load calendar",
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** One open step: who must do what by when. A step names ids and keys, never sentences. */
export interface Step {
  readonly turn: Turn;
  readonly kind: StepKind;
  readonly requirement?: string;
  readonly title?: LocalText;
  readonly scope?: string;
  readonly entry?: string;
  /** How many things are open in it (fields to fill, values to confirm). */
  readonly count?: number;
  /** For `prove`: how far it has to be proved. */
  readonly proof?: ProofLevel;
  readonly due: PlainDate | null;
  /** The instant after which it is late. */
  readonly dueAt: Instant | null;
}

interface Stands {
  readonly key: string;
  readonly title: LocalText;
  readonly scope: string;
  readonly entry: string;
  readonly standing: Standing;
  readonly neededBy: Moment;
  readonly toSubmit: Standing | null;
  /** The choices that ask for it. */
  readonly choices: readonly string[];
}

export interface SectionsResult extends Stands {
  readonly kind: "sections";
  /** The sections that answer it. */
  readonly sections: readonly string[];
  readonly gaps: readonly Gap[];
}

export interface DocumentResult extends Stands {
  readonly kind: "document";
  readonly proof: ProofLevel;
  /** A higher level that is still to come by a later moment. */
  readonly owedProof: { readonly level: ProofLevel; readonly neededBy: Moment } | null;
  /** The day for which it is promised, where one was stated. */
  readonly promisedFor: PlainDate | null;
  readonly evidence: readonly string[];
  readonly checks: readonly { readonly key: string; readonly title: LocalText; readonly truth: Truth }[];
  /** The fields whose values stand beside it, as `section.field`. */
  readonly shows: readonly string[];
  /** For a returned one: the reason code or the text that the officer gave. */
  readonly reason: string | null;
}

export interface ReferenceResult extends Stands {
  readonly kind: "reference";
  /** The request that answers it; null while there is none. */
  readonly request: string | null;
}

export interface FeeResult extends Stands {
  readonly kind: "fee";
  /** Null where none is due. */
  readonly amount: Money | null;
  readonly charges: readonly string[];
}

/** Something that the office does itself. */
export interface DeedResult extends Stands {
  readonly kind: "deed";
}

/** Where one requirement stands, by what answers it. */
export type RequirementResult = SectionsResult | DocumentResult | ReferenceResult | FeeResult | DeedResult;

/** Of any requirement but sections there is nothing to fill in. */
export const gapsOf = (
  result: Pick<SectionsResult, "kind" | "gaps"> | { readonly kind: Exclude<RequirementResult["kind"], "sections"> },
): readonly Gap[] => (result.kind === "sections" ? result.gaps : []);

/** As what a document is accepted unless something else is said: as it has to be proved, and as a copy at least. */
export const acceptedAs = (result: RequirementResult | undefined): ProofLevel =>
  result?.kind === "document" && result.proof !== "claimed" ? result.proof : "copy";

/** Whether something has come that the office may judge. */
export const isSupplied = (
  result: RequirementResult,
): result is DocumentResult | (ReferenceResult & { readonly request: string }) =>
  result.kind === "document" ? result.evidence.length > 0 : result.kind === "reference" && result.request !== null;

/** Only beside a document stand values that it shows. */
export const shownBeside = (result: RequirementResult): readonly string[] =>
  result.kind === "document" ? result.shows : [];

export interface FindingResult {
  readonly key: string;
  readonly title: LocalText;
  readonly finding: Truth;
  /** What the rule itself came to, where a lead officer overrode it. */
  readonly overrides: Truth | null;
  readonly canChange: boolean;
  readonly basis: "claimed" | "confirmed";
  /** Whether the rulebook lets the applicant see it. */
  readonly shownToApplicant: boolean;
  /** Whether it decides who may choose the programme at all. */
  readonly gate: boolean;
  /** It is not met yet and would be if the courses in progress are passed. */
  readonly ifPassed: boolean;
  /** How it may still be met, while that is possible. */
  readonly way: LocalText | null;
}

/** A finding with its reasons, down to the numbers. */
export interface ExplainedFinding extends FindingResult {
  readonly trace: Trace;
}

export const ELIGIBILITIES = ["eligible", "eligible on conditions", "not eligible", "open"] as const;
export type Eligibility = (typeof ELIGIBILITIES)[number];

/** How a choice ended without an answer that was accepted. */
export const CLOSED_AS = ["withdrawn", "refused", "declined", "lapsed", "offer lapsed"] as const;

export interface ChoiceResult {
  readonly id: string;
  readonly programme: string;
  readonly rank: number;
  readonly stage: Stage;
  readonly closedAs: (typeof CLOSED_AS)[number] | null;
  readonly findings: readonly FindingResult[];
  readonly eligibility: Eligibility;
  readonly opensAt: Instant;
  readonly closesAt: Instant;
  /** The same with the office's grace. */
  readonly acceptsUntil: Instant;
  readonly round: "not yet open" | "open" | "closed";
  /** The rules about who may choose the programme that are not met: while there is one, it cannot be submitted. */
  readonly barredBy: readonly string[];
  /** What still keeps it from being submitted. */
  readonly missing: readonly { readonly requirement: string; readonly scope: string; readonly entry: string }[];
  /** The day by which the decision was promised; null while the clock stands still or has not begun. */
  readonly promise: { readonly days: number; readonly used: number; readonly due: PlainDate | null } | null;
}

/** Whether every finding stands on confirmed values: what an unconditional offer needs. */
export function allConfirmed(findings: readonly FindingResult[]): boolean {
  return findings.every((f) => f.basis === "confirmed");
}

export interface FileResult {
  readonly group: string | null;
  readonly stage: Stage;
  readonly turn: Turn;
  readonly next: Step | null;
  readonly owed: readonly Step[];
  readonly dueAt: Instant | null;
  readonly validUntil: Instant | null;
  /** Until when a submitted choice that is not complete can still be mended before its round closes; null where none can. */
  readonly mendUntil: Instant | null;
  readonly comb: readonly Bar[];
}

export interface Bar {
  readonly key: string;
  readonly title: LocalText;
  readonly standing: Standing;
  readonly holds: boolean;
}

export interface FeeDue {
  readonly item: string;
  readonly title: LocalText;
  readonly scope: string;
  readonly amount: Money;
  /** By what it is less than the whole; null for the whole. */
  readonly reduction: LocalText | null;
}

export const AWAITED_KINDS = ["result", "degree", "courses", "registry", "one part short", "paper ends"] as const;
export type AwaitedKind = (typeof AWAITED_KINDS)[number];

/** Something of a submitted file that the office waits for, or follows: by kind, in words that stand in the file, and by when. */
export interface Awaited {
  readonly kind: AwaitedKind;
  readonly about: string;
  /** The day that was stated, `2027-06`, `2027` or whole; null where none was. */
  readonly due: string | null;
}

export interface Assessment {
  readonly file: FileResult;
  readonly requirements: readonly RequirementResult[];
  readonly choices: readonly ChoiceResult[];
  readonly fees: readonly FeeDue[];
  readonly awaited: readonly Awaited[];
}

export interface ExplainedChoice extends ChoiceResult {
  readonly findings: readonly ExplainedFinding[];
}

/** An assessment with the reasons of its findings, for whoever reads them. */
export interface ExplainedAssessment extends Assessment {
  readonly choices: readonly ExplainedChoice[];
}
