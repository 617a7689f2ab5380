import { AnswerIndex } from "../core/answers/answer-index";
import { typedFacts } from "../core/answers/typed-facts";
import type { AnswerFact, ChoiceFact, ConfirmationFact, Json } from "../core/file/facts";
import type { Instant, PlainDate } from "../core/ids";
import { planSection, scalarPlaces } from "../core/rulebook/plan";
import { type Field, type Section, sectionSchema } from "../core/rulebook/section";
import type { Condition } from "../core/rules/condition";
import type { FactSource } from "../core/rules/fact";
import { sampleRound } from "./sample-file";

const title = { en: "x", fr: "x" };

/** A field that is required and serves assessment, unless it is told otherwise. */
export const asField = (key: string, kind: Field["kind"], more: Partial<Field> = {}): Field => ({
  key,
  kind,
  title,
  required: true,
  seenBy: "assessment",
  ...more,
});

/** A section of the whole file that does not repeat, unless it is told otherwise. */
export const section = (more: Partial<Section> & Pick<Section, "key" | "fields">): Section =>
  sectionSchema.parse({ core: null, scope: "file", title, ...more });

/** @param place section, entry and field: `jobs/a/employer`, `person//name` */
export const answer = (place: string, value: Json, more: Partial<AnswerFact> = {}): AnswerFact => {
  const [of = "", entry = "", field = ""] = place.split("/");
  return { scope: "file", section: of, entry, field, value, version: 1, position: 0, ...more };
};
export const confirmation = (place: string, value: Json, answerVersion = 1): ConfirmationFact => {
  const { version, position, ...rest } = answer(place, value);
  return { ...rest, at: "2026-11-20T09:00:00.000Z" as Instant, answerVersion };
};
export const indexOf = (answers: readonly AnswerFact[], confirmations: readonly ConfirmationFact[] = []) =>
  new AnswerIndex({ answers, confirmations });
export const choice = (id: string, change: Partial<ChoiceFact> = {}): ChoiceFact => ({
  id,
  rank: 1,
  rulebookId: "r",
  roundId: sampleRound.id,
  programme: "X",
  start: "2027-09-01" as PlainDate,
  language: "en",
  campus: null,
  mode: null,
  track: null,
  otherTracks: [],
  extendedTo: null,
  submittedAt: null,
  withdrawnAt: null,
  completeAt: null,
  decision: null,
  ...change,
});
export const AT = "2026-11-20T09:00:00.000Z" as Instant;

/** The facts that these sections give a choice with the id `c1`. */
export function sourceFor(sections: readonly Section[], answers: readonly AnswerFact[], closed = false): FactSource {
  const planned = sections.map(planSection);
  const plan = { sections: planned, scalars: scalarPlaces(planned) };
  const { scalar, list } = typedFacts(indexOf(answers), plan, "c1", closed);
  return {
    scalar: (name) => scalar(name) ?? { kind: "unknown" },
    list: (name) => list(name) ?? { entries: [], open: true },
  };
}

export const equals = (fact: string, value: string | boolean): Condition => ({ op: "fact", fact, is: "equals", value });
