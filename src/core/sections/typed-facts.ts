import type { AnswerFact, ConfirmationFact, FileFacts, Json } from "../assessment/facts";
import { ects } from "../grades/ects";
import { parseDecimal, type Ratio } from "../numbers/ratio";
import type { PlannedSection } from "../rulebook/plan";
import { judge } from "../rules/evaluate";
import type { Entry, Fact, FactList, FactSource, Scalar } from "../rules/fact";
import { UNKNOWN } from "../rules/fact";
import type { Field, Section } from "./definition";

/**
 * The typed facts that rules see, built from answers and confirmations by the definitions of the sections.
 * A confirmed value takes the place of the claim, also when the claim has changed since (the confirmation is then stale
 * and the office owes a look at it). Fields kept from assessment never enter.
 */
export interface TypedFacts {
  readonly scalars: ReadonlyMap<string, Fact>;
  readonly lists: ReadonlyMap<string, FactList>;
}

/** The field, in a list section, by which an applicant says "that is all". */
export const COMPLETE_FIELD = "complete";

interface Slot {
  answer: AnswerFact | undefined;
  confirmation: ConfirmationFact | undefined;
}

/** One section's answers: its entries in the order in which they were added, and the fields of each ("" outside lists). */
interface SectionAnswers {
  readonly entries: string[];
  readonly fields: Map<string, Map<string, Slot>>;
}

function getOrMake<Key, Value>(map: Map<Key, Value>, key: Key, make: () => Value): Value {
  const known = map.get(key);
  if (known !== undefined) return known;
  const made = make();
  map.set(key, made);
  return made;
}

/**
 * Answers and confirmations by their place. Looked up thousands of times for one file, so the places are nested maps:
 * joining their parts into one key costs more than the whole rest of an assessment.
 */
export class AnswerIndex {
  private readonly scopes = new Map<string, Map<string, SectionAnswers>>();

  constructor(facts: Pick<FileFacts, "answers" | "confirmations">) {
    for (const answer of facts.answers) this.slot(answer).answer = answer;
    for (const confirmation of facts.confirmations) this.slot(confirmation).confirmation = confirmation;
  }

  private slot({ scope, section, entry, field }: Pick<AnswerFact, "scope" | "section" | "entry" | "field">): Slot {
    const sections = getOrMake(this.scopes, scope, () => new Map<string, SectionAnswers>());
    const answers = getOrMake(sections, section, (): SectionAnswers => ({ entries: [], fields: new Map() }));
    const fields = getOrMake(answers.fields, entry, () => {
      if (entry !== "") answers.entries.push(entry);
      return new Map<string, Slot>();
    });
    return getOrMake(fields, field, (): Slot => ({ answer: undefined, confirmation: undefined }));
  }

  /** Entry ids in the order in which they were added. */
  entries(scope: string, section: string): readonly string[] {
    return this.scopes.get(scope)?.get(section)?.entries ?? [];
  }

  /** The fields of one entry, or of a section outside lists. */
  fieldsOf(scope: string, section: string, entry: string): ReadonlyMap<string, Readonly<Slot>> {
    return this.scopes.get(scope)?.get(section)?.fields.get(entry) ?? NO_FIELDS;
  }

  claim(scope: string, section: string, entry: string, field: string): Json {
    return this.fieldsOf(scope, section, entry).get(field)?.answer?.value ?? null;
  }

  confirmed(scope: string, section: string, entry: string, field: string): ConfirmationFact | undefined {
    return this.fieldsOf(scope, section, entry).get(field)?.confirmation;
  }

  isStale(confirmation: ConfirmationFact): boolean {
    return isStale(this.fieldsOf(confirmation.scope, confirmation.section, confirmation.entry).get(confirmation.field));
  }
}

const NO_FIELDS: ReadonlyMap<string, Readonly<Slot>> = new Map();

function isStale(slot: Readonly<Slot> | undefined): boolean {
  return (
    slot?.answer !== undefined &&
    slot.confirmation !== undefined &&
    slot.answer.version > slot.confirmation.answerVersion
  );
}

/** Whether the office still owes a look at a value: it is claimed and not confirmed, or the claim has changed since. */
export function isUnconfirmed(slot: Readonly<Slot> | undefined): boolean {
  if (slot?.confirmation) return isStale(slot);
  const claim = slot?.answer?.value ?? null;
  return claim !== null && claim !== "";
}

function toScalar(kind: Field["kind"], value: Json): Scalar | null {
  if (value === null || value === "") return null;
  if (kind === "decimal" || kind === "whole" || kind === "money")
    return typeof value === "string" ? parseDecimal(value) : null;
  if (typeof value === "string" || typeof value === "boolean") return value;
  if (Array.isArray(value)) return value.length > 0 && value.every((v) => typeof v === "string") ? value : null;
  return null;
}

function fieldFact(field: Field, slot: Readonly<Slot> | undefined): Fact {
  if (slot === undefined) return UNKNOWN;
  const { confirmation, answer } = slot;
  const value = toScalar(field.kind, (confirmation ? confirmation.value : answer?.value) ?? null);
  return value === null ? UNKNOWN : { kind: "value", value, confirmed: confirmation !== undefined };
}

function listFact(index: AnswerIndex, scope: string, planned: PlannedSection, closed: boolean): FactList {
  const { section, facts: fields } = planned;
  const entries: Entry[] = index.entries(scope, section.key).map((id) => {
    const slots = index.fieldsOf(scope, section.key, id);
    const values: Record<string, Fact> = { id: { kind: "value", value: id, confirmed: true } };
    for (const field of fields) values[field.key] = fieldFact(field, slots.get(field.key));
    return { id, fields: values };
  });
  const complete = index.claim(scope, section.key, "", COMPLETE_FIELD) === true;
  return { entries, open: !closed && !complete };
}

function numberIn(fact: Fact | undefined): { readonly value: Ratio; readonly confirmed: boolean } | null {
  return fact?.kind === "value" && typeof fact.value === "object" && "n" in fact.value
    ? { value: fact.value, confirmed: fact.confirmed }
    : null;
}

/** The degree that a course belongs to: the one it names, or the only one there is. */
export function degreeOf(course: Entry, degrees: FactList | undefined): Entry | undefined {
  const named = course.fields.degree;
  if (named?.kind === "value") return degrees?.entries.find((d) => d.id === named.value);
  return degrees?.entries.length === 1 ? degrees.entries[0] : undefined;
}

/** Adds `ects` to every course: local credits by the credits of a full-time year at its institution. */
function withEcts(courses: FactList, degrees: FactList | undefined): FactList {
  const entries = courses.entries.map((course) => {
    const credits = numberIn(course.fields.credits);
    const perYear = numberIn(degreeOf(course, degrees)?.fields.creditsPerYear);
    const value = credits && perYear ? ects(credits.value, perYear.value) : null;
    const fact: Fact =
      value && credits && perYear
        ? { kind: "value", value, confirmed: credits.confirmed && perYear.confirmed }
        : UNKNOWN;
    return { id: course.id, fields: { ...course.fields, ects: fact } };
  });
  return { entries, open: courses.open };
}

/**
 * Builds the facts of the sections of one choice.
 * @param closed whether submission has closed the lists
 */
export function typedFacts(
  index: AnswerIndex,
  sections: readonly PlannedSection[],
  choiceId: string,
  closed: boolean,
): TypedFacts {
  const scalars = new Map<string, Fact>();
  const lists = new Map<string, FactList>();
  const scopeOf = (section: Section) => (section.scope === "file" ? "file" : choiceId);
  for (const { section, name, facts } of sections) {
    if (section.repeats) continue;
    const slots = index.fieldsOf(scopeOf(section), section.key, "");
    for (const field of facts) scalars.set(`${name}.${field.key}`, fieldFact(field, slots.get(field.key)));
  }
  const source: FactSource = {
    scalar: (name) => scalars.get(name) ?? UNKNOWN,
    list: (name) => lists.get(name) ?? { entries: [], open: true },
  };
  for (const planned of sections) {
    const { section, name } = planned;
    if (!section.repeats) continue;
    // A list that does not concern this person is empty and whole: nothing more can come from it.
    const concerned = section.when === undefined || judge(section.when, source).truth !== "not met";
    lists.set(name, concerned ? listFact(index, scopeOf(section), planned, closed) : { entries: [], open: false });
  }
  const courses = lists.get("courses");
  if (courses) lists.set("courses", withEcts(courses, lists.get("degrees")));
  return { scalars, lists };
}
