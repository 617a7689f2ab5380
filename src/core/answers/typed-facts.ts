import type { Json } from "../file/facts";
import { ects } from "../grades/ects";
import { parseDecimal, type Ratio } from "../numbers/ratio";
import type { Plan, PlannedSection } from "../rulebook/plan";
import type { Field, Section } from "../rulebook/section";
import { judge } from "../rules/evaluate";
import { columnOf, type Entry, type Fact, type FactList, type FactSource, type Scalar, UNKNOWN } from "../rules/fact";
import type { Judgement } from "../rules/truth";
import type { AnswerIndex, AnswerSheet } from "./answer-index";
import { entriesAwaited } from "./given-by-registry";

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

type ReadFact = (value: Json, confirmed: boolean) => Fact;

/** Facts that repeat within a file and from file to file: one each is enough. */
function kept(scalarOf: (text: string) => Scalar | null): ReadFact {
  const claimed = new Map<string, Fact>();
  const confirmed = new Map<string, Fact>();
  return (text, isConfirmed) => {
    if (typeof text !== "string" || text === "") return UNKNOWN;
    const facts = isConfirmed ? confirmed : claimed;
    const known = facts.get(text);
    if (known !== undefined) return known;
    const value = scalarOf(text);
    if (value === null) return UNKNOWN;
    const fact: Fact = { kind: "value", value, confirmed: isConfirmed };
    if (facts.size >= MOST_KEPT) facts.clear();
    if (text.length <= LONGEST_KEPT) facts.set(text, fact);
    return fact;
  };
}
const MOST_KEPT = 5000;
const LONGEST_KEPT = 40;

const readPick = kept((text) => text);
const readNumber = kept(parseDecimal);

const readOther: ReadFact = (value, confirmed) => {
  if (value === null || value === "") return UNKNOWN;
  if (typeof value === "string" || typeof value === "boolean") return { kind: "value", value, confirmed };
  if (!Array.isArray(value) || value.length === 0 || !value.every((v) => typeof v === "string")) return UNKNOWN;
  return { kind: "value", value, confirmed };
};

/** What is picked from a list is kept, and numbers; nothing else that is typed. */
const READERS: Partial<Record<Field["kind"], ReadFact>> = {
  choice: readPick,
  area: readPick,
  graduateOf: readPick,
  scale: readPick,
  test: readPick,
  paper: readPick,
  country: readPick,
  language: readPick,
  decimal: readNumber,
  whole: readNumber,
  money: readNumber,
};
const readerOf = (field: Field): ReadFact => READERS[field.kind] ?? readOther;

function factAt(read: ReadFact, sheet: AnswerSheet, field: number, entry: number): Fact {
  const confirmation = sheet.confirmationAt(field, entry);
  return confirmation === undefined
    ? read(sheet.claimAt(field, entry)?.value ?? null, false)
    : read(confirmation.value, true);
}

function fieldFact(field: Field, sheet: AnswerSheet): Fact {
  const place = sheet.find(field.key);
  return place < 0 ? UNKNOWN : factAt(readerOf(field), sheet, place, 0);
}

/** Of a ranking, what stands first in it. */
function firstFact(ranking: Fact): Fact {
  if (ranking.kind !== "value" || !Array.isArray(ranking.value)) return UNKNOWN;
  const [value] = ranking.value;
  return value === undefined ? UNKNOWN : { ...ranking, value };
}

/** A list kept by its fields: each is read for all entries when it is first asked for. */
class TypedList implements FactList {
  readonly judged = new Map<string, readonly Judgement[]>();
  private readonly columns = new Map<string, readonly Fact[]>();
  private made: readonly Entry[] | null = null;

  constructor(
    private readonly sheet: AnswerSheet,
    readonly open: boolean,
    private readonly planned: PlannedSection,
    /** For courses: the degrees, by which their credits are worth what they are. */
    private readonly degrees: FactList | null,
    private readonly listOf: (section: string) => FactList | undefined,
  ) {}

  get entries(): readonly Entry[] {
    this.made ??= this.sheet.ids.map((id, i) => new TypedEntry(id, this, i));
    return this.made;
  }

  column(field: string): readonly Fact[] {
    const known = this.columns.get(field);
    if (known !== undefined) return known;
    const made = this.read(field);
    this.columns.set(field, made);
    return made;
  }

  private read(name: string): readonly Fact[] {
    const field = this.planned.byKey.get(name);
    if (field === undefined && name === "ects" && this.planned.section.core === "courses")
      return ectsOf(this, this.degrees);
    const dot = name.indexOf(".");
    if (dot > 0) return this.through(name.slice(0, dot), name.slice(dot + 1));
    const { sheet } = this;
    const place = sheet.find(name);
    if (field === undefined || place < 0) return sheet.ids.map(() => UNKNOWN);
    const read = readerOf(field);
    return sheet.ids.map((_, i) => factAt(read, sheet, place, i));
  }

  /** A field of the entries that are named here, `sitting.board` of a subject: of another list, confirmed where both are. */
  private through(name: string, field: string): readonly Fact[] {
    const named = this.planned.byKey.get(name);
    const others = named?.of === undefined ? undefined : this.listOf(named.of);
    return this.column(name).map((entry) => {
      if (entry.kind !== "value") return UNKNOWN;
      const fact = others?.entries.find((e) => e.id === entry.value)?.at(field) ?? UNKNOWN;
      return fact.kind === "value" && fact.confirmed && !entry.confirmed ? { ...fact, confirmed: false } : fact;
    });
  }
}

class TypedEntry implements Entry {
  constructor(
    readonly id: string,
    private readonly list: TypedList,
    private readonly place: number,
  ) {}

  at(field: string): Fact {
    return this.list.column(field)[this.place] ?? UNKNOWN;
  }
}

type NumberFact = Extract<Fact, { kind: "value" }> & { readonly value: Ratio };

const isNumber = (fact: Fact): fact is NumberFact =>
  fact.kind === "value" && typeof fact.value === "object" && "n" in fact.value;

/** Where the degree stands that a course belongs to: the one it names, or the only one there is. */
function placeOfDegree(named: Fact, degrees: FactList | null): number {
  if (degrees === null) return -1;
  if (named.kind === "value") return degrees.entries.findIndex((d) => d.id === named.value);
  return degrees.entries.length === 1 ? 0 : -1;
}

export const degreeOf = (course: Entry, degrees: FactList): Entry | undefined =>
  degrees.entries[placeOfDegree(course.at("degree"), degrees)];

/** What courses are worth in ECTS: local credits by the credits of a full-time year at their institution. */
function ectsOf(courses: FactList, degrees: FactList | null): readonly Fact[] {
  const named = columnOf(courses, "degree");
  const perYear = degrees === null ? [] : columnOf(degrees, "creditsPerYear");
  return columnOf(courses, "credits").map((credits, i) => {
    const year = perYear[placeOfDegree(named[i] ?? UNKNOWN, degrees)] ?? UNKNOWN;
    if (!isNumber(credits) || !isNumber(year)) return UNKNOWN;
    const value = ects(credits.value, year.value);
    if (value === null) return UNKNOWN;
    const confirmed = credits.confirmed && year.confirmed;
    return value === credits.value && confirmed === credits.confirmed ? credits : { kind: "value", value, confirmed };
  });
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
  waits: boolean,
  degrees: FactList | null,
  listOf: (section: string) => FactList | undefined,
): FactList {
  const { key } = planned.section;
  const open = waits || (!closed && index.claim(scope, key, "", COMPLETE_FIELD) !== true);
  return new TypedList(index.list(scope, key), open, planned, degrees, listOf);
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
    const whole = fieldFact(place.field, index.outside(scopeOf(place.section), place.section.key));
    const fact = place.first ? firstFact(whole) : whole;
    scalars.set(name, fact);
    return fact;
  };
  const source: FactSource = {
    scalar: (name) => scalar(name) ?? UNKNOWN,
    list: (name) => list(name) ?? UNREAD,
  };
  const listOf = (section: string): FactList | undefined => {
    const planned = sections.find((s) => s.section.key === section);
    return planned === undefined ? undefined : list(planned.name);
  };
  const list = (name: string): FactList | undefined => {
    const ready = lists.get(name);
    if (ready !== undefined) return ready;
    const planned = sections.find((s) => s.name === name && s.section.repeats !== undefined);
    if (planned === undefined) return undefined;
    const { section } = planned;
    lists.set(name, UNREAD); // while its own condition is read
    const concerned = section.when === undefined || judge(section.when, source).truth !== "not met";
    const degrees = name === "courses" ? (list("degrees") ?? null) : null;
    if (!concerned) {
      lists.set(name, NOT_CONCERNED);
      return NOT_CONCERNED;
    }
    const made = (waits: boolean) => listFact(index, scopeOf(section), planned, closed, waits, degrees, listOf);
    const stated = made(false);
    const known = entriesAwaited(section, stated, source).length > 0 ? made(true) : stated;
    lists.set(name, known);
    return known;
  };
  return { scalar, list };
}
