import type { Json } from "../assessment/facts";
import { ects } from "../grades/ects";
import { parseDecimal, type Ratio } from "../numbers/ratio";
import type { Plan, PlannedSection } from "../rulebook/plan";
import { judge } from "../rules/evaluate";
import { type Entry, type Fact, type FactList, type FactSource, type Scalar, UNKNOWN } from "../rules/fact";
import type { AnswerIndex, AnswerRow } from "./answer-index";
import type { Field, Section } from "./definition";

/**
 * The typed facts that rules see, built from answers and confirmations by the definitions of the sections.
 * A confirmed value takes the place of the claim, also when the claim has changed since (the confirmation is then stale
 * and the office owes a look at it). Fields kept from assessment never enter. Each value is read when it is first asked for: rules look
 * at a part of what a file holds.
 */
export interface TypedFacts {
  readonly scalar: (name: string) => Fact | undefined;
  readonly list: (name: string) => FactList | undefined;
}

/** The field, in a list section, by which an applicant says "that is all". */
export const COMPLETE_FIELD = "complete";

function toScalar(kind: Field["kind"], value: Json): Scalar | null {
  if (value === null || value === "") return null;
  if (kind === "decimal" || kind === "whole" || kind === "money")
    return typeof value === "string" ? parseDecimal(value) : null;
  if (typeof value === "string" || typeof value === "boolean") return value;
  if (Array.isArray(value)) return value.length > 0 && value.every((v) => typeof v === "string") ? value : null;
  return null;
}

function fieldFact(field: Field, row: AnswerRow): Fact {
  const place = row.layout.find(field.key);
  if (place < 0) return UNKNOWN;
  const confirmation = row.confirmationAt(place);
  const confirmed = confirmation !== undefined;
  const value = toScalar(field.kind, (confirmation ? confirmation.value : row.answerAt(place)?.value) ?? null);
  if (value === null) return UNKNOWN;
  if (typeof value === "string" && PICKED.has(field.kind)) return pickFact(value, confirmed);
  return typeof value === "object" && "n" in value ? numberFact(value, confirmed) : { kind: "value", value, confirmed };
}

/** What is picked from a list repeats within a file and from file to file: one fact each is enough. Nothing that is typed is kept. */
const PICKED: ReadonlySet<Field["kind"]> = new Set(["choice", "area", "scale", "test", "paper", "country", "language"]);
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

/** An entry of a list. What rules ask for of it is read once. */
class TypedEntry implements Entry {
  private readonly facts: (Fact | undefined)[];

  constructor(
    readonly id: string,
    private readonly row: AnswerRow,
    private readonly planned: PlannedSection,
    /** For a course: the degrees, by which its credits are worth what they are. */
    private readonly degrees: FactList | null,
  ) {
    this.facts = [...planned.blank];
  }

  get places(): ReadonlyMap<string, number> {
    return this.planned.places;
  }

  at(field: string): Fact {
    const place = this.planned.places.get(field);
    return place === undefined ? UNKNOWN : this.read(place);
  }

  read(place: number): Fact {
    const known = this.facts[place];
    if (known !== undefined) return known;
    const defined = this.planned.facts[place];
    const fact = defined ? fieldFact(defined, this.row) : ectsOf(this, this.degrees);
    this.facts[place] = fact;
    return fact;
  }
}

type NumberFact = Extract<Fact, { kind: "value" }> & { readonly value: Ratio };

const isNumber = (fact: Fact): fact is NumberFact =>
  fact.kind === "value" && typeof fact.value === "object" && "n" in fact.value;

/** The degree that a course belongs to: the one it names, or the only one there is. */
export function degreeOf(course: Entry, degrees: FactList | null): Entry | undefined {
  const named = course.at("degree");
  if (named.kind === "value") return degrees?.entries.find((d) => d.id === named.value);
  return degrees?.entries.length === 1 ? degrees.entries[0] : undefined;
}

/** What a course is worth in ECTS: local credits by the credits of a full-time year at its institution. */
function ectsOf(course: Entry, degrees: FactList | null): Fact {
  const credits = course.at("credits");
  const perYear = degreeOf(course, degrees)?.at("creditsPerYear") ?? UNKNOWN;
  if (!isNumber(credits) || !isNumber(perYear)) return UNKNOWN;
  const value = ects(credits.value, perYear.value);
  return value ? numberFact(value, credits.confirmed && perYear.confirmed) : UNKNOWN;
}

/** A list of which nothing is known yet. */
const UNREAD: FactList = { entries: [], open: true };
/** A list that does not concern this person is empty and whole: nothing more can come from it. */
const NOT_CONCERNED: FactList = { entries: [], open: false };

function listFact(
  index: AnswerIndex,
  scope: string,
  planned: PlannedSection,
  closed: boolean,
  degrees: FactList | null,
): FactList {
  const { key } = planned.section;
  const entries: Entry[] = [];
  for (const [id, row] of index.rows(scope, key))
    if (id !== "") entries.push(new TypedEntry(id, row, planned, degrees));
  return { entries, open: !closed && index.claim(scope, key, "", COMPLETE_FIELD) !== true };
}

/**
 * Reads the facts of the sections of one choice.
 * @param closed whether submission has closed the lists
 */
export function typedFacts(
  index: AnswerIndex,
  { sections, scalars: places }: Pick<Plan, "sections" | "scalars">,
  choiceId: string,
  closed: boolean,
): TypedFacts {
  const scopeOf = (section: Section) => (section.scope === "file" ? "file" : choiceId);
  const scalars = new Map<string, Fact>();
  const lists = new Map<string, FactList>();
  const scalar = (name: string): Fact | undefined => {
    const known = scalars.get(name);
    if (known !== undefined) return known;
    const place = places.get(name);
    if (place === undefined) return undefined;
    const fact = fieldFact(place.field, index.row(scopeOf(place.section), place.section.key, ""));
    scalars.set(name, fact);
    return fact;
  };
  const source: FactSource = {
    scalar: (name) => scalar(name) ?? UNKNOWN,
    list: (name) => list(name) ?? UNREAD,
  };
  const list = (name: string): FactList | undefined => {
    const known = lists.get(name);
    if (known !== undefined) return known;
    const planned = sections.find((s) => s.name === name && s.section.repeats !== undefined);
    if (planned === undefined) return undefined;
    const { section } = planned;
    lists.set(name, UNREAD); // while its own condition is read
    const concerned = section.when === undefined || judge(section.when, source).truth !== "not met";
    const degrees = name === "courses" ? (list("degrees") ?? null) : null;
    const made = concerned ? listFact(index, scopeOf(section), planned, closed, degrees) : NOT_CONCERNED;
    lists.set(name, made);
    return made;
  };
  return { scalar, list };
}
