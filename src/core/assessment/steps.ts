import { awaitedFromRegistry } from "../answers/given-by-registry";
import type { Pause } from "../calendar/clock";
import type { ChoiceContext } from "../file/choice-context";
import { text } from "../file/entries";
import type { FileFacts } from "../file/facts";
import { requirementKey, resultKey } from "../file/place";
import {
  type ChoiceResult,
  type DocumentResult,
  type RequirementResult,
  type SectionsResult,
  type Step,
  shownBeside,
} from "../file/result";
import { countUnconfirmed } from "../requirements/unconfirmed";
import { reachedBy } from "../rulebook/requirement";
import type { Office } from "../standards/reference-set";
import { askDue, askSteps } from "../steps/ask-steps";
import { about, later, type StepInput, step, target } from "../steps/step";
import { type Day, formatDay, parseDay } from "../time/day";
import { dayAt, requireDay } from "../time/zone";
import { type CasePlace, casesAsked, earlyWish } from "./cases-asked";

/** The first submission among the choices that a requirement serves: nothing is owed on it before. */
function submittedAt(input: StepInput, result: RequirementResult): string | null {
  let first: string | null = null;
  for (const { choice } of input.contexts)
    if (
      choice.submittedAt !== null &&
      result.choices.includes(choice.id) &&
      (first === null || choice.submittedAt < first)
    )
      first = choice.submittedAt;
  return first;
}

function answered(input: StepInput, result: RequirementResult): boolean {
  return input.contexts.some((c) => result.choices.includes(c.choice.id) && c.choice.decision?.answer === "accepted");
}

function cameAt({ facts }: StepInput, result: RequirementResult): string | null {
  if (result.kind === "reference") return facts.references.find((r) => r.id === result.request)?.givenAt ?? null;
  if (result.kind !== "document") return null;
  return evidenceOf(facts, result).reduce<string | null>((last, e) => later(last, e.suppliedAt), null);
}

const evidenceOf = (facts: FileFacts, result: DocumentResult) =>
  facts.evidence.filter((e) => result.evidence.includes(e.id));

/** What the office does itself has its own target, from the submission or, where it comes after the offer, from the answer to it. */
function deedDue(input: StepInput, result: RequirementResult): Day | null {
  const answers = input.contexts
    .filter((c) => result.choices.includes(c.choice.id))
    .map((c) => c.choice.decision?.answeredAt ?? null);
  const from = answers.reduce(later, submittedAt(input, result));
  return target(input, from, input.office.set.targets.check);
}

function missingStep(input: StepInput, result: RequirementResult): Step {
  if (result.kind === "fee") return step(input, "payment", "pay", askDue(input, result), about(result));
  if (result.kind === "deed") return step(input, "office", "do", deedDue(input, result), about(result));
  if (result.kind === "reference")
    return step(input, "applicant", "name referee", askDue(input, result), about(result));
  if (result.kind === "sections" && !mayFill(input, result)) {
    const due = target(input, submittedAt(input, result), input.office.set.targets.check);
    return step(input, "office", "check", due, about(result));
  }
  return step(input, "applicant", "supply", askDue(input, result), about(result));
}

/** Whether the applicant can fill in what is missing: after submission the office opens the section, or fills it in itself. */
function mayFill(input: StepInput, result: RequirementResult): boolean {
  const serves = input.contexts.filter(({ choice }) => result.choices.includes(choice.id));
  return (
    serves.some(({ choice }) => choice.submittedAt === null) ||
    input.facts.reopenings.some((r) => r.answeredAt === null)
  );
}

/** The first day on which a pending test result is expected, as it was stated. */
function resultDay(input: StepInput, result: RequirementResult): Day | null {
  const days = input.contexts
    .filter((c) => result.choices.includes(c.choice.id))
    .flatMap(({ source }) => source.list("tests").entries)
    .filter((t) => text(t, "status")?.value === "pending")
    .flatMap((t) => parseDay(text(t, "expected")?.value ?? "") ?? []);
  return days.length === 0 ? null : Math.min(...days);
}

/** Lines that a registry has to give; once it could not, the office looks why. */
function registryStep(input: StepInput, result: SectionsResult): Step {
  const awaited = input.contexts
    .filter((c) => result.choices.includes(c.choice.id))
    .flatMap(({ rulebook, source }) =>
      rulebook.body.sections
        .filter((s) => result.sections.includes(s.key))
        .flatMap((s) => awaitedFromRegistry(s, source)),
    );
  if (!awaited.some((entry) => input.facts.registryMisses.includes(entry)))
    return step(input, "third party", "await registry", null, about(result));
  const due = target(input, submittedAt(input, result), input.office.set.targets.check);
  return step(input, "office", "check", due, about(result));
}

function promisedStep(input: StepInput, result: RequirementResult): Step {
  if (result.kind === "fee") return step(input, "payment", "book payment", null, about(result));
  if (result.kind === "reference") return step(input, "third party", "give reference", null, about(result));
  if (input.facts.signatures.some((s) => s.requirement === result.key))
    return step(input, "third party", "await signature", null, about(result));
  if (result.kind === "sections") return registryStep(input, result);
  if (result.kind === "deed") return missingStep(input, result);
  if (!result.shows.some((field) => field.startsWith("tests.")))
    return step(input, "third party", "await paper", parseDay(result.promisedFor ?? ""), about(result));
  return step(input, "third party", "await result", resultDay(input, result), about(result));
}

function requirementStep(input: StepInput, result: RequirementResult): readonly Step[] {
  const submitted = submittedAt(input, result);
  if (submitted === null) return [];
  if (!reachedBy(result.neededBy, "decision") && !answered(input, result)) return [];
  switch (result.standing) {
    case "to check":
      return [
        step(
          input,
          "office",
          "check",
          target(input, later(submitted, cameAt(input, result)), input.office.set.targets.check),
          about(result),
        ),
      ];
    case "returned":
      return [step(input, "applicant", "supply again", askDue(input, result), about(result))];
    case "missing":
      return [missingStep(input, result)];
    case "promised":
      return [promisedStep(input, result)];
    case "accepted":
    case "excused":
    case "not needed":
      return proofStep(input, result);
  }
}

/** A higher proof is owed from the submission on where it is needed by the decision, and once the offer was accepted where it is not. */
function proofStep(input: StepInput, result: RequirementResult): readonly Step[] {
  if (result.kind !== "document" || !result.owedProof) return [];
  const { level, neededBy } = result.owedProof;
  const early = reachedBy(neededBy, "decision");
  if (!early && !answered(input, result)) return [];
  const travels = input.facts.announced.find((p) => requirementKey(p) === resultKey(result));
  if (travels) return [step(input, "third party", "await paper", requireDay(travels.expectedOn), about(result))];
  const start = input.contexts.find((c) => c.choice.decision?.answer === "accepted")?.choice.start;
  const due = early ? askDue(input, result) : start ? requireDay(start) : null;
  return [step(input, "applicant", "prove", due, { ...about(result), proof: level })];
}

function confirmSteps(input: StepInput): readonly Step[] {
  return input.requirements
    .filter(
      (r) =>
        (r.kind === "document" || r.kind === "sections") &&
        r.standing === "accepted" &&
        submittedAt(input, r) !== null &&
        r.choices.some((id) => undecided(input, id)),
    )
    .flatMap((result) => {
      const count = countUnconfirmed(input, result);
      if (count === 0) return [];
      const judged =
        result.kind === "document"
          ? evidenceOf(input.facts, result).reduce<string | null>((last, e) => later(last, e.judgedAt), null)
          : null;
      return [
        step(
          input,
          "office",
          "confirm",
          target(input, later(submittedAt(input, result), judged), input.office.set.targets.check),
          { ...about(result), count },
        ),
      ];
    });
}

function undecided(input: StepInput, choiceId: string): boolean {
  const choice = input.contexts.find((c) => c.choice.id === choiceId)?.choice;
  return choice !== undefined && choice.decision === null && choice.withdrawnAt === null;
}

/** What an entry rule waits for a ruling on: a case that stands in no list and that nobody has looked at. */
function rulingSteps(input: StepInput): readonly Step[] {
  const due = (from: string | null) => target(input, from, input.office.set.targets.check);
  const asked = new Map<string, Step>();
  for (const context of input.contexts) {
    const { choice } = context;
    if (!undecided(input, choice.id)) continue;
    for (const { measure, cases } of casesAsked(context, input.facts.rulings, input.office)) {
      if (asked.has(measure.question)) continue;
      // Before the submission only what the applicant asked for is ruled on.
      const wish = (c: CasePlace) => earlyWish(input.facts, measure.question, c);
      const open = cases.filter((c) => c.answer === null && (choice.submittedAt !== null || wish(c) !== undefined));
      const from = choice.submittedAt ?? open.flatMap((c) => wish(c)?.askedAt ?? []).sort()[0] ?? null;
      if (open.length > 0 && !cases.some((c) => c.answer === "accepted"))
        asked.set(
          measure.question,
          step(input, "office", "rule", due(from), { title: measure.title, count: open.length }),
        );
    }
  }
  return [...asked.values()];
}

/** Sections that were asked for or opened again: the office answers the request, the applicant corrects and sends them, then the office reads what changed. */
function reopeningSteps(input: StepInput): readonly Step[] {
  const { check } = input.office.set.targets;
  return [
    ...input.facts.correctionRequests.map((r) =>
      step(input, "office", "answer request", target(input, r.askedAt, check)),
    ),
    ...input.facts.reopenings
      .filter((r) => r.readAt === null)
      .map((r) =>
        r.answeredAt === null
          ? step(input, "applicant", "correct", requireDay(r.due), { count: r.sections.length })
          : step(input, "office", "read changes", target(input, r.answeredAt, check)),
      ),
  ];
}

function draftStep(input: StepInput, result: ChoiceResult): Step {
  const count = result.missing.length;
  const kind = count === 0 ? "submit" : "fill";
  return {
    turn: "applicant",
    kind,
    scope: result.id,
    count,
    due: formatDay(dayAt(input.office.zone, Date.parse(result.closesAt) - 1)),
    dueAt: result.closesAt,
  };
}

function decisionStep(input: StepInput, context: ChoiceContext, result: ChoiceResult): readonly Step[] {
  const { decision } = context.choice;
  const due = result.promise?.due ? requireDay(result.promise.due) : null;
  if (result.stage === "complete") {
    if (decision) return [step(input, "office", "release", due, { scope: result.id })];
    return [step(input, "office", "decide", due, { scope: result.id })];
  }
  const open =
    decision?.releasedAt && decision.answer === null && decision.kind !== "waiting list" && result.stage === "decided";
  return open
    ? [
        step(input, "applicant", "answer offer", decision.answerBy ? requireDay(decision.answerBy) : null, {
          scope: result.id,
        }),
      ]
    : [];
}

/** Results that a registry has otherwise now than they were confirmed: an officer says which count, beside their paper where there is one. */
const registrySteps = (input: StepInput): readonly Step[] =>
  input.facts.registryChanges.map(({ section, entry, at }) => {
    const asked =
      input.requirements.find((r) => r.entry === entry && shownBeside(r).includes(`${section}.candidate`)) ??
      input.requirements.find((r) => r.kind === "sections" && r.sections.includes(section));
    return step(
      input,
      "office",
      "read results",
      target(input, at, input.office.set.targets.check),
      asked ? about(asked) : {},
    );
  });

/** What the applicant wrote: the first that nobody has answered. */
function messageSteps(input: StepInput): readonly Step[] {
  const { unanswered } = input.facts;
  const [first] = unanswered;
  if (!first) return [];
  const due = target(input, first.at, input.office.set.targets.answer);
  return [step(input, "office", "answer message", due, { count: unanswered.length })];
}

/** Mail that came back: nobody knows whether the applicant reads what we write. */
function returnedSteps(input: StepInput): readonly Step[] {
  const { returnedMails } = input.facts;
  const [first] = returnedMails;
  if (!first) return [];
  const due = target(input, first.at, input.office.set.targets.answer);
  return [step(input, "office", "reach applicant", due, { count: returnedMails.length })];
}

/** Papers that came and nobody has looked at. */
const paperSteps = (input: StepInput): readonly Step[] =>
  input.facts.papers.map((paper) => {
    const result = input.requirements.find((r) => resultKey(r) === requirementKey(paper));
    const due = target(input, paper.notedAt, input.office.set.targets.check);
    return step(input, "office", "inspect", due, result ? about(result) : {});
  });

/** What officers made work of themselves, by the day that they gave it. */
const taskSteps = (input: StepInput): readonly Step[] =>
  input.facts.tasks.map(({ title, due }) =>
    step(input, "office", "task", requireDay(due), { title: { en: title, fr: title } }),
  );

/** Every open step of the file: who must do what by when. A step that waits for an unmet requirement is not owed by anyone yet. */
export function owedSteps(input: StepInput): readonly Step[] {
  const live = input.choices.filter((c) => c.stage !== "closed");
  const wanted = (r: RequirementResult) => r.choices.some((id) => live.some((c) => c.id === id));
  const before = [...confirmSteps(input), ...rulingSteps(input)];
  const steps = [
    ...input.requirements.filter(wanted).flatMap((r) => requirementStep(input, r)),
    ...(live.length > 0
      ? [
          ...before,
          ...askSteps(input),
          ...reopeningSteps(input),
          ...registrySteps(input),
          ...messageSteps(input),
          ...returnedSteps(input),
          ...paperSteps(input),
          ...taskSteps(input),
        ]
      : []),
  ];
  for (const result of live) {
    const context = input.contexts.find((c) => c.choice.id === result.id);
    if (!context) continue;
    if (result.stage === "preparing") steps.push(draftStep(input, result));
    else if (before.length === 0 || result.stage !== "complete" || context.choice.decision)
      steps.push(...decisionStep(input, context, result));
  }
  return steps.some(lacksCalendar) ? [...steps, step(input, "office", "load calendar", null)] : steps;
}

/** The office's own targets are always days; one that could not be worked out fell into a year without a calendar. */
function lacksCalendar({ kind, due }: Step): boolean {
  return (
    due === null &&
    [
      "check",
      "confirm",
      "rule",
      "read changes",
      "read results",
      "answer request",
      "answer message",
      "reach applicant",
      "inspect",
      "read answer",
      "follow up",
    ].includes(kind)
  );
}

/** The days on which the office's and the faculty's clock stood still, from the recorded turns. */
export function pausesOf(facts: FileFacts, office: Office): readonly Pause[] {
  return facts.turns.flatMap((interval, i) => {
    if (interval.turn === "office" || interval.turn === "faculty") return [];
    const next = facts.turns[i + 1];
    return [
      {
        from: dayAt(office.zone, Date.parse(interval.from)),
        to: next ? dayAt(office.zone, Date.parse(next.from)) : null,
      },
    ];
  });
}
