import { AnswerIndex } from "../answers/answer-index";
import { readClock } from "../calendar/clock";
import { closingOf } from "../catalogue/round-state";
import { feesDue } from "../fees/fees-due";
import type { ChoiceContext } from "../file/choice-context";
import { type DecisionFact, type FileFacts, type Round, TURNS } from "../file/facts";
import {
  type Assessment,
  type ChoiceResult,
  type FileResult,
  type RequirementResult,
  STAGES,
  type Stage,
  type Step,
} from "../file/result";
import { withStandings } from "../requirements/standing-facts";
import { requirementResults } from "../requirements/standings";
import { enoughToSubmit, isSettled } from "../requirements/to-submit";
import { reachedBy } from "../rulebook/requirement";
import type { Rulebook } from "../rulebook/rulebook";
import type { Office } from "../standards/reference-set";
import { returnDays } from "../steps/ask-steps";
import { formatDay } from "../time/day";
import { dayAt, requireDay, startOfDay, toInstant } from "../time/zone";
import { awaitedOf } from "./awaited";
import { comb } from "./comb";
import { contexts } from "./context";
import { eligibilityOf, findingsOf } from "./findings";
import { owedSteps, pausesOf } from "./steps";

export interface AssessInput {
  readonly facts: FileFacts;
  readonly rulebooks: Readonly<Record<string, Rulebook>>;
  readonly rounds: Readonly<Record<string, Round>>;
  readonly office: Office;
  /** Epoch milliseconds. */
  readonly at: number;
}

/** A file's answers by place, and what the rules of each choice see of it: made once, however often it is assessed. */
export interface Prepared {
  readonly index: AnswerIndex;
  readonly all: readonly ChoiceContext[];
}

export function prepare({ facts, rulebooks, rounds, office, at }: AssessInput): Prepared {
  const index = new AnswerIndex(facts);
  return { index, all: contexts(facts, index, rulebooks, rounds, office, at) };
}

/**
 * Works out one file, whole: where each requirement stands, what each entry rule finds and why, what is owed, which stage the
 * file is in, whose turn it is and by when. Pure: the same facts, versions and instant give the same result.
 */
export const assess = (input: AssessInput): Assessment => assessIn(prepare(input), input);

/** The same of a file that is prepared already. */
export function assessIn({ index, all }: Prepared, { facts, office, at }: AssessInput): Assessment {
  const live = all.filter((c) => c.choice.withdrawnAt === null && facts.application.withdrawnAt === null);
  const asked = live.length > 0 ? live : all;
  const fees = feesDue(asked);
  const requirements = requirementResults(asked.map((context) => ({ context, facts, index, office, fees })));
  const pauses = pausesOf(facts, office);
  const choices = all.map((context) => choiceResult(context, facts, requirements, office, pauses, at));
  const owed = owedSteps({ facts, index, office, contexts: all, requirements, choices, today: dayAt(office.zone, at) });
  return {
    file: fileResult(all, facts, choices, owed, requirements, office, at),
    requirements,
    choices,
    fees,
    awaited: awaitedOf(all, choices, office),
  };
}

const MINUTE = 60_000;

const closes = ({ round, group, choice }: ChoiceContext): number => closingOf(round, group, choice.extendedTo);

/** The office may take what arrives some minutes after the closing, from drafts that were there. */
const accepts = (context: ChoiceContext, office: Office): number => closes(context) + office.set.graceMinutes * MINUTE;

function roundState(context: ChoiceContext, office: Office, at: number): ChoiceResult["round"] {
  if (at < Date.parse(context.round.opensAt) || context.round.waits) return "not yet open";
  return at < accepts(context, office) ? "open" : "closed";
}

/** Complete: everything needed by review is accepted as far as it has to be proved by then, excused or not needed, no ask is open, and no correction is awaited or unread. */
function isComplete(choiceId: string, requirements: readonly RequirementResult[], facts: FileFacts): boolean {
  const own = requirements.filter((r) => r.choices.includes(choiceId) && reachedBy(r.neededBy, "review"));
  return (
    own.every(isSettled) &&
    own.every((r) => r.kind !== "document" || !r.owedProof || !reachedBy(r.owedProof.neededBy, "review")) &&
    facts.asks.every((a) => a.answeredAt !== null) &&
    facts.reopenings.every((r) => r.readAt !== null)
  );
}

/** The exclusive end of the day by which a released offer asks for an answer; null while none is asked for. */
function offerEnds({ releasedAt, answerBy, answer }: DecisionFact, office: Office): number | null {
  return releasedAt === null || answerBy === null || answer !== null
    ? null
    : startOfDay(office.zone, requireDay(answerBy) + 1);
}

function stageOf(
  context: ChoiceContext,
  facts: FileFacts,
  requirements: readonly RequirementResult[],
  office: Office,
  at: number,
): Pick<ChoiceResult, "stage" | "closedAs"> {
  const { choice } = context;
  if (choice.withdrawnAt !== null || facts.application.withdrawnAt !== null)
    return { stage: "closed", closedAs: "withdrawn" };
  if (choice.submittedAt === null)
    return roundState(context, office, at) === "closed"
      ? { stage: "closed", closedAs: "lapsed" }
      : { stage: "preparing", closedAs: null };
  const { decision } = choice;
  if (decision?.answer === "declined") return { stage: "closed", closedAs: "declined" };
  if (decision?.answer === "accepted") return { stage: "answered", closedAs: null };
  const ends = decision ? offerEnds(decision, office) : null;
  if (ends !== null && at >= ends) return { stage: "closed", closedAs: "offer lapsed" };
  if (decision?.releasedAt)
    return decision.kind === "refusal"
      ? { stage: "closed", closedAs: "refused" }
      : { stage: "decided", closedAs: null };
  return { stage: isComplete(choice.id, requirements, facts) ? "complete" : "submitted", closedAs: null };
}

function choiceResult(
  context: ChoiceContext,
  facts: FileFacts,
  requirements: readonly RequirementResult[],
  office: Office,
  pauses: ReturnType<typeof pausesOf>,
  at: number,
): ChoiceResult {
  const { choice, round } = context;
  const findings = findingsOf(withStandings(context, requirements), facts.overrides);
  const today = dayAt(office.zone, at);
  const complete = choice.completeAt === null ? null : dayAt(office.zone, Date.parse(choice.completeAt));
  const clock = complete === null ? null : readClock(complete, round.promiseDays, pauses, today, office.calendar);
  return {
    id: choice.id,
    programme: choice.programme,
    rank: choice.rank,
    ...stageOf(context, facts, requirements, office, at),
    findings,
    eligibility: eligibilityOf(findings),
    barredBy: findings.filter((f) => f.gate && f.finding === "not met").map((f) => f.key),
    opensAt: round.opensAt,
    closesAt: toInstant(closes(context)),
    acceptsUntil: toInstant(accepts(context, office)),
    round: roundState(context, office, at),
    missing: requirements
      .filter((r) => r.choices.includes(choice.id) && !enoughToSubmit(r))
      .map((r) => ({ requirement: r.key, scope: r.scope, entry: r.entry })),
    promise: clock && {
      days: round.promiseDays,
      used: clock.used,
      due: clock.due === null ? null : formatDay(clock.due),
    },
  };
}

function fileStage(choices: readonly ChoiceResult[]): Stage {
  const live = choices.filter((c) => c.stage !== "closed");
  const submitted = live.filter((c) => c.stage !== "preparing");
  if (submitted.length > 0)
    return submitted.reduce<Stage>(
      (least, c) => (STAGES.indexOf(c.stage) < STAGES.indexOf(least) ? c.stage : least),
      "answered",
    );
  return live.length > 0 ? "preparing" : "closed";
}

/** What the office owes before the submission. */
const IN_DRAFTS: readonly Step["kind"][] = ["rule", "answer message", "reach applicant"];

/**
 * The turn is the first in the fixed order that owes something; the next step is that turn's earliest due. A draft is the applicant's, but
 * for a ruling that was asked for before the submission, and what was asked in words.
 */
export function nextStep(owed: readonly Step[], preparing: boolean): Step | null {
  for (const turn of TURNS) {
    const own = owed.filter(
      (s) => s.turn === turn && (!preparing || turn === "applicant" || IN_DRAFTS.includes(s.kind)),
    );
    const first = own.reduce<Step | null>(
      (best, s) => (best === null || (s.dueAt ?? "9999") < (best.dueAt ?? "9999") ? s : best),
      null,
    );
    if (first) return first;
  }
  return null;
}

function fileResult(
  all: readonly ChoiceContext[],
  facts: FileFacts,
  choices: readonly ChoiceResult[],
  owed: readonly Step[],
  requirements: readonly RequirementResult[],
  office: Office,
  at: number,
): FileResult {
  const stage = fileStage(choices);
  const next = nextStep(owed, stage === "preparing");
  const incomplete = all.filter(({ choice }) => choices.some((c) => c.id === choice.id && c.stage === "submitted"));
  const mend = incomplete.map(closes).filter((t) => t > at);
  const tomorrow = startOfDay(office.zone, dayAt(office.zone, at) + 1);
  const returns = stage === "closed" ? [] : returnDays(facts.asks, office).map((day) => startOfDay(office.zone, day));
  const changes = all
    .flatMap((context) => {
      const { choice, round } = context;
      const day = stage !== "closed" && context.restsOnToday() ? [tomorrow] : [];
      if (choice.submittedAt === null)
        return [...day, Date.parse(round.opensAt), closes(context), accepts(context, office)];
      if (incomplete.includes(context)) return [...day, closes(context)];
      return choice.decision ? [offerEnds(choice.decision, office) ?? at] : day;
    })
    .concat(returns)
    .filter((t) => t > at);
  return {
    group: all[0]?.group ?? null,
    stage,
    turn: next?.turn ?? (stage === "preparing" ? "applicant" : "nobody"),
    next,
    owed,
    dueAt: next?.dueAt ?? null,
    validUntil: changes.length > 0 ? toInstant(Math.min(...changes)) : null,
    mendUntil: mend.length > 0 ? toInstant(Math.min(...mend)) : null,
    comb: comb(requirements, next),
  };
}
