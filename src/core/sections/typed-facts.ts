import type { AnswerFact, ConfirmationFact, FileFacts, Json } from "../assessment/facts";
import { ects } from "../grades/ects";
import { parseDecimal, type Ratio } from "../numbers/ratio";
import { evaluate } from "../rules/evaluate";
import type { Entry, Fact, FactList, FactSource, Scalar } from "../rules/fact";
import { UNKNOWN } from "../rules/fact";
import { type Field, factName, type Section } from "./definition";

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

/** Answers and confirmations of one scope, found by their place. */
export class AnswerIndex {
  private readonly answers = new Map<string, AnswerFact>();
  private readonly confirmations = new Map<string, ConfirmationFact>();
  private readonly entriesOf = new Map<string, string[]>();

  constructor(facts: Pick<FileFacts, "answers" | "confirmations">) {
    for (const a of facts.answers) {
      this.answers.set(place(a.scope, a.section, a.entry, a.field), a);
      if (a.entry === "") continue;
      const key = `${a.scope}|${a.section}`;
      const known = this.entriesOf.get(key);
      if (!known) this.entriesOf.set(key, [a.entry]);
      else if (!known.includes(a.entry)) known.push(a.entry);
    }
    for (const c of facts.confirmations) this.confirmations.set(place(c.scope, c.section, c.entry, c.field), c);
  }

  /** Entry ids in the order in which they were added. */
  entries(scope: string, section: string): readonly string[] {
    return this.entriesOf.get(`${scope}|${section}`) ?? [];
  }

  claim(scope: string, section: string, entry: string, field: string): Json {
    return this.answers.get(place(scope, section, entry, field))?.value ?? null;
  }

  confirmed(scope: string, section: string, entry: string, field: string): ConfirmationFact | undefined {
    return this.confirmations.get(place(scope, section, entry, field));
  }

  isStale(confirmation: ConfirmationFact): boolean {
    const answer = this.answers.get(
      place(confirmation.scope, confirmation.section, confirmation.entry, confirmation.field),
    );
    return answer !== undefined && answer.version > confirmation.answerVersion;
  }
}

function place(scope: string, section: string, entry: string, field: string): string {
  return `${scope}|${section}|${entry}|${field}`;
}

function toScalar(kind: Field["kind"], value: Json): Scalar | null {
  if (value === null || value === "") return null;
  if (kind === "decimal") return typeof value === "string" ? parseDecimal(value) : null;
  if (typeof value === "string" || typeof value === "boolean") return value;
  if (Array.isArray(value)) return value.length > 0 && value.every((v) => typeof v === "string") ? value : null;
  return null;
}

function fieldFact(index: AnswerIndex, scope: string, section: Section, entry: string, field: Field): Fact {
  const confirmation = index.confirmed(scope, section.key, entry, field.key);
  const value = toScalar(
    field.kind,
    confirmation ? confirmation.value : index.claim(scope, section.key, entry, field.key),
  );
  return value === null ? UNKNOWN : { kind: "value", value, confirmed: confirmation !== undefined };
}

function listFact(index: AnswerIndex, scope: string, section: Section, closed: boolean): FactList {
  const fields = section.fields.filter((f) => f.seenBy === "assessment");
  const entries: Entry[] = index.entries(scope, section.key).map((id) => {
    const values: Record<string, Fact> = { id: { kind: "value", value: id, confirmed: true } };
    for (const field of fields) values[field.key] = fieldFact(index, scope, section, id, field);
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
  sections: readonly Section[],
  choiceId: string,
  closed: boolean,
): TypedFacts {
  const scalars = new Map<string, Fact>();
  const lists = new Map<string, FactList>();
  const scopeOf = (section: Section) => (section.scope === "file" ? "file" : choiceId);
  for (const section of sections.filter((s) => !s.repeats))
    for (const field of section.fields)
      if (field.seenBy === "assessment")
        scalars.set(`${factName(section)}.${field.key}`, fieldFact(index, scopeOf(section), section, "", field));
  const source: FactSource = {
    scalar: (name) => scalars.get(name) ?? UNKNOWN,
    list: (name) => lists.get(name) ?? { entries: [], open: true },
  };
  for (const section of sections.filter((s) => s.repeats)) {
    // A list that does not concern this person is empty and whole: nothing more can come from it.
    const concerned = section.when === undefined || evaluate(section.when, source).truth !== "not met";
    lists.set(
      factName(section),
      concerned ? listFact(index, scopeOf(section), section, closed) : { entries: [], open: false },
    );
  }
  const courses = lists.get("courses");
  if (courses) lists.set("courses", withEcts(courses, lists.get("degrees")));
  return { scalars, lists };
}
