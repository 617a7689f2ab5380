import { z } from "zod";
import { AnswerIndex } from "../../core/answers/answer-index";
import { answerValue } from "../../core/answers/answer-value";
import { COMPLETE_FIELD } from "../../core/answers/typed-facts";
import { contexts } from "../../core/assessment/context";
import type { ChoiceContext } from "../../core/file/choice-context";
import type { AnswerFact, FileFacts, Round } from "../../core/file/facts";
import type { Mode } from "../../core/file/mode";
import type { Instant, PlainDate } from "../../core/ids";
import type { Rulebook } from "../../core/rulebook/rulebook";
import type { Office } from "../../core/standards/reference-set";

/** A file that exists for one reading only: what somebody enters to try a rulebook out. Nothing of it is stored. */
const MOST_ANSWERS = 2000;

export const trialAnswersSchema = z
  .array(
    z.object({ section: z.string().max(60), entry: z.string().max(40), field: z.string().max(60), value: answerValue }),
  )
  .max(MOST_ANSWERS)
  .default([]);
export type TrialAnswers = z.output<typeof trialAnswersSchema>;

export interface TrialChoice {
  /** The first day of study. */
  readonly start: string;
  /** The language in which the programme is taught. */
  readonly language: string;
  readonly campus: string | null;
  readonly mode: Mode | null;
  readonly track: string | null;
  /** The applicant group that is assumed; null to have it found from the answers. */
  readonly group: string | null;
}

export interface Trial {
  readonly facts: FileFacts;
  readonly rulebooks: Readonly<Record<string, Rulebook>>;
  readonly rounds: Readonly<Record<string, Round>>;
  readonly index: AnswerIndex;
  readonly contexts: readonly ChoiceContext[];
}

const NOWHERE = "2000-01-01T00:00:00.000Z" as Instant;
const CHOICE = "trial";
const FAR = "9000-01-01T00:00:00.000Z" as Instant;

/** A round that is open for everybody. */
const openRound = ({ set }: Office): Round => ({
  id: CHOICE,
  opensAt: NOWHERE,
  closings: set.groups.map((g) => ({ group: g.key, at: FAR })),
  closedAt: null,
  promiseDays: 1,
});

/** A list in which something stands counts as whole: the trial answers for what was entered. */
function answerFacts({ body }: Rulebook, answers: TrialAnswers): readonly AnswerFact[] {
  const choiceSections = new Set(body.sections.filter((s) => s.scope === "choice").map((s) => s.key));
  const begun = [...new Set(answers.flatMap((a) => (a.entry === "" ? [] : [a.section])))];
  const whole = begun.map((section) => ({ section, entry: "", field: COMPLETE_FIELD, value: true }));
  return [...answers, ...whole].map((a, position) => ({
    ...a,
    scope: choiceSections.has(a.section) ? CHOICE : "file",
    version: 1,
    position,
  }));
}

/**
 * A file with one choice on a rulebook, holding what was entered.
 * @param at epoch milliseconds: rules may speak of today
 */
export function trialOf(
  rulebook: Rulebook,
  choice: TrialChoice,
  answers: TrialAnswers,
  office: Office,
  at: number,
): Trial {
  const { group, start, ...options } = choice;
  const facts: FileFacts = {
    application: { id: CHOICE, number: "", createdAt: NOWHERE, withdrawnAt: null, groupSinceSubmission: group },
    answers: answerFacts(rulebook, answers),
    confirmations: [],
    choices: [
      {
        id: CHOICE,
        rank: 1,
        rulebookId: rulebook.id,
        roundId: CHOICE,
        programme: "",
        start: start as PlainDate, // a date column
        ...options,
        otherTracks: [],
        extendedTo: null,
        submittedAt: null,
        withdrawnAt: null,
        completeAt: null,
        decision: null,
      },
    ],
    evidence: [],
    excuses: [],
    overrides: [],
    rulings: [],
    references: [],
    announced: [],
    papers: [],
    tasks: [],
    deeds: [],
    earlyCases: [],
    registryMisses: [],
    registryChanges: [],
    issued: [],
    signatures: [],
    charges: [],
    asks: [],
    reopenings: [],
    correctionRequests: [],
    unanswered: [],
    returnedMails: [],
    turns: [],
  };
  const index = new AnswerIndex(facts);
  const rulebooks = { [rulebook.id]: rulebook };
  const rounds = { [CHOICE]: openRound(office) };
  return { facts, rulebooks, rounds, index, contexts: contexts(facts, index, rulebooks, rounds, office, at) };
}
