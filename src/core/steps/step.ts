import type { AnswerIndex } from "../answers/answer-index";
import { addWorking } from "../calendar/working-days";
import type { ChoiceContext } from "../file/choice-context";
import type { FileFacts, Turn } from "../file/facts";
import type { ChoiceResult, RequirementResult, Step, StepKind } from "../file/result";
import type { Office } from "../standards/reference-set";
import { type Day, formatDay } from "../time/day";
import { dayAt, startOfDay, toInstant } from "../time/zone";

/** What the open steps of a file are read from. */
export interface StepInput {
  readonly facts: FileFacts;
  readonly index: AnswerIndex;
  readonly office: Office;
  readonly contexts: readonly ChoiceContext[];
  readonly requirements: readonly RequirementResult[];
  readonly choices: readonly ChoiceResult[];
  /** The day that it is in the office's zone. */
  readonly today: Day;
}

/** One open step of the file. */
export function step(input: StepInput, turn: Turn, kind: StepKind, due: Day | null, about: Partial<Step> = {}): Step {
  return {
    turn,
    kind,
    ...about,
    due: due === null ? null : formatDay(due),
    dueAt: due === null ? null : toInstant(startOfDay(input.office.zone, due + 1)),
  };
}

/** What a step says of the requirement that it is about. */
export function about(result: RequirementResult): Partial<Step> {
  return { requirement: result.key, title: result.title, scope: result.scope, entry: result.entry };
}

/** A target in working days from an instant. A year without a calendar leaves the due day open. */
export function target(input: StepInput, from: string | null, days: number): Day | null {
  return from === null ? null : addWorking(input.office.calendar, dayAt(input.office.zone, Date.parse(from)), days);
}

/** The later of two instants, where there are any. */
export function later(a: string | null, b: string | null): string | null {
  return a === null ? b : b === null || a > b ? a : b;
}
