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

export interface Slot {
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
  /** The entry that was indexed last: a file's answers come entry by entry. */
  private last: { scope: string; section: string; entry: string; fields: Map<string, Slot> } | null = null;

  constructor(facts: Pick<FileFacts, "answers" | "confirmations">) {
    for (const answer of facts.answers) this.slot(answer).answer = answer;
    for (const confirmation of facts.confirmations) this.slot(confirmation).confirmation = confirmation;
  }

  private slot({ scope, section, entry, field }: Pick<AnswerFact, "scope" | "section" | "entry" | "field">): Slot {
    const { last } = this;
    const fields =
      last !== null && last.entry === entry && last.section === section && last.scope === scope
        ? last.fields
        : this.fieldsAt(scope, section, entry);
    const known = fields.get(field);
    if (known !== undefined) return known;
    const made: Slot = { answer: undefined, confirmation: undefined };
    fields.set(field, made);
    return made;
  }

  private fieldsAt(scope: string, section: string, entry: string): Map<string, Slot> {
    const sections = getOrMake(this.scopes, scope, () => new Map<string, SectionAnswers>());
    const answers = getOrMake(sections, section, (): SectionAnswers => ({ entries: [], fields: new Map() }));
    const fields = getOrMake(answers.fields, entry, () => {
      if (entry !== "") answers.entries.push(entry);
      return new Map<string, Slot>();
    });
    this.last = { scope, section, entry, fields };
    return fields;
  }

  /** Entry ids in the order in which they were added. */
  entries(scope: string, section: string): readonly string[] {
    return this.scopes.get(scope)?.get(section)?.entries ?? NO_ENTRIES;
  }

  /** The fields of every entry of a section, by entry: what a walk over a whole list looks at. */
  rows(scope: string, section: string): ReadonlyMap<string, ReadonlyMap<string, Readonly<Slot>>> {
    return this.scopes.get(scope)?.get(section)?.fields ?? NO_ROWS;
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
const NO_ROWS: ReadonlyMap<string, ReadonlyMap<string, Readonly<Slot>>> = new Map();
const NO_ENTRIES: readonly string[] = [];

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

function fieldFact(field: Field, slot: Readonly<Slot>): Fact {
  const { confirmation, answer } = slot;
  const confirmed = confirmation !== undefined;
  const value = toScalar(field.kind, (confirmation ? confirmation.value : answer?.value) ?? null);
  if (value === null) return UNKNOWN;
  if (typeof value === "string" && PICKED.includes(field.kind)) return pickFact(value, confirmed);
  return typeof value === "object" && "n" in value ? numberFact(value, confirmed) : { kind: "value", value, confirmed };
}

/** What is picked from a list repeats within a file and from file to file: one fact each is enough. Nothing that is typed is kept. */
const PICKED: readonly Field["kind"][] = ["choice", "area", "scale", "test", "paper", "country", "language"];
const claimedPicks = new Map<string, Fact>();
const confirmedPicks = new Map<string, Fact>();
const MOST_PICKS = 5000;

function pickFact(value: string, confirmed: boolean): Fact {
  const picks = confirmed ? confirmedPicks : claimedPicks;
  const known = picks.get(value);
  if (known) return known;
  if (picks.size >= MOST_PICKS) picks.clear();
  const fact: Fact = { kind: "value", value, confirmed };
  picks.set(value, fact);
  return fact;
}

/** Numbers that were read are kept (`parseDecimal`), so their facts can be, too: a course has as many credits as most others. */
const claimedNumbers = new WeakMap<Ratio, Fact>();
const confirmedNumbers = new WeakMap<Ratio, Fact>();

function numberFact(value: Ratio, confirmed: boolean): Fact {
  const known = (confirmed ? confirmedNumbers : claimedNumbers).get(value);
  if (known) return known;
  const fact: Fact = { kind: "value", value, confirmed };
  (confirmed ? confirmedNumbers : claimedNumbers).set(value, fact);
  return fact;
}

/** @param more what is worked out for each entry beside what it states */
function listFact(
  index: AnswerIndex,
  scope: string,
  planned: PlannedSection,
  closed: boolean,
  more?: (fields: Record<string, Fact>) => void,
): FactList {
  const { section, facts: fields } = planned;
  const entries: Entry[] = [];
  for (const [id, slots] of index.rows(scope, section.key)) {
    if (id === "") continue;
    // Copied from one that has every field: the entries of a list then share one shape, which is what makes reading them fast.
    const values: Record<string, Fact> = { ...planned.blank };
    for (const field of fields) {
      const slot = slots.get(field.key);
      if (slot !== undefined) values[field.key] = fieldFact(field, slot);
    }
    more?.(values);
    entries.push({ id, fields: values });
  }
  const complete = index.claim(scope, section.key, "", COMPLETE_FIELD) === true;
  return { entries, open: !closed && !complete };
}

type NumberFact = Extract<Fact, { kind: "value" }> & { readonly value: Ratio };

const isNumber = (fact: Fact | undefined): fact is NumberFact =>
  fact?.kind === "value" && typeof fact.value === "object" && "n" in fact.value;

/** The degree that a course belongs to: the one it names, or the only one there is. */
export function degreeOf({ fields }: Pick<Entry, "fields">, degrees: FactList | undefined): Entry | undefined {
  return degreeNamed(fields, degrees);
}

function degreeNamed(course: Entry["fields"], degrees: FactList | undefined): Entry | undefined {
  const named = course.degree;
  if (named?.kind === "value") return degrees?.entries.find((d) => d.id === named.value);
  return degrees?.entries.length === 1 ? degrees.entries[0] : undefined;
}

/** Adds `ects` to a course: local credits by the credits of a full-time year at its institution. */
function addEcts(course: Record<string, Fact>, degrees: FactList | undefined): void {
  const { credits } = course;
  const perYear = degreeNamed(course, degrees)?.fields.creditsPerYear;
  const value = isNumber(credits) && isNumber(perYear) ? ects(credits.value, perYear.value) : null;
  course.ects =
    value && isNumber(credits) && isNumber(perYear)
      ? numberFact(value, credits.confirmed && perYear.confirmed)
      : UNKNOWN;
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
    for (const field of facts) {
      const slot = slots.get(field.key);
      if (slot !== undefined) scalars.set(`${name}.${field.key}`, fieldFact(field, slot));
    }
  }
  const source: FactSource = {
    scalar: (name) => scalars.get(name) ?? UNKNOWN,
    list: (name) => lists.get(name) ?? { entries: [], open: true },
  };
  const readList = (planned: PlannedSection, more?: (fields: Record<string, Fact>) => void) => {
    const { section, name } = planned;
    // A list that does not concern this person is empty and whole: nothing more can come from it.
    const concerned = section.when === undefined || judge(section.when, source).truth !== "not met";
    lists.set(
      name,
      concerned ? listFact(index, scopeOf(section), planned, closed, more) : { entries: [], open: false },
    );
  };
  // Courses are read last: what their credits are worth hangs on the degrees.
  for (const planned of sections) if (planned.section.repeats && planned.name !== "courses") readList(planned);
  for (const planned of sections)
    if (planned.section.repeats && planned.name === "courses")
      readList(planned, (fields) => addEcts(fields, lists.get("degrees")));
  return { scalars, lists };
}
