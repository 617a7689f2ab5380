import type { Json } from "../file/facts";
import type { Gap } from "../file/gap";
import { checkScores, type Scores } from "../language/test-definition";
import { papersFor } from "../people/papers";
import type { Field, Section } from "../rulebook/section";
import { withEntry } from "../rules/compile";
import { judge } from "../rules/evaluate";
import type { Entry, FactSource } from "../rules/fact";
import type { ReferenceSet } from "../standards/reference-set";
import type { AnswerIndex, AnswerRow } from "./answer-index";
import { checkValue, fieldBeside } from "./check-value";
import { isWhollyFed } from "./given-by-registry";
import { repeatedEntries } from "./once";
import { COMPLETE_FIELD } from "./typed-facts";

function missing(field: Field, value: Json): boolean {
  if (field.kind === "agree") return value !== true;
  return value === null || value === "" || (Array.isArray(value) && value.length === 0);
}

/** Whether a section or a field applies; one whose condition is still open does not yet apply. */
export function applies(when: Section["when"], facts: FactSource): boolean {
  return when === undefined || judge(when, facts).truth === "met";
}

/** Short values that were found right, by office and field: courses repeat their credits and states, and an office reads the same form all day. */
type Right = WeakMap<Field, Set<string>>;
const right = new WeakMap<ReferenceSet, Right>();
const REPEATING: ReadonlySet<Field["kind"]> = new Set([
  "decimal",
  "whole",
  "money",
  "date",
  "country",
  "choice",
  "area",
  "scale",
  "test",
]);
const MOST_KEPT = 500;

function rightIn(office: ReferenceSet): Right {
  const known = right.get(office);
  if (known !== undefined) return known;
  const made: Right = new WeakMap();
  right.set(office, made);
  return made;
}

function isRight(field: Field, office: ReferenceSet, value: Json, beside: string | undefined): boolean {
  if (typeof value !== "string" || !REPEATING.has(field.kind)) return checkValue(field, office, value, beside) === null;
  const kept = rightIn(office);
  let known = kept.get(field);
  if (known?.has(value)) return true;
  if (checkValue(field, office, value, beside) !== null) return false;
  if (known === undefined || known.size >= MOST_KEPT) {
    known = new Set();
    kept.set(field, known);
  }
  known.add(value);
  return true;
}

function fieldGap(
  field: Field,
  office: ReferenceSet,
  value: Json,
  beside: Json,
  facts: FactSource,
): Gap["code"] | null {
  if (missing(field, value)) return field.required ? "missing" : null;
  const named = typeof beside === "string" ? beside : undefined;
  if (!isRight(field, office, value, named)) return "wrong";
  if (field.kind === "paper") return countsHere(field, office, value, facts) ? null : "wrong";
  return field.kind === "scores" && lacksScores(office, named, value as Scores) ? "missing" : null; // checkValue let only scores pass
}

function countsHere(field: Field, office: ReferenceSet, value: Json, facts: FactSource): boolean {
  return papersFor(office.papers, field.papers, facts).some((paper) => paper.key === value);
}

function lacksScores(office: ReferenceSet, test: string | undefined, scores: Scores): boolean {
  const definition = office.tests.find((t) => t.key === test);
  return definition !== undefined && checkScores(definition, scores).length > 0;
}

/** The fields of an entry (or of a plain section) that apply now. */
export function fieldsThatApply(
  section: Section,
  facts: FactSource,
  listName: string,
  entry: string,
): readonly Field[] {
  const found = entry === "" ? undefined : facts.list(listName).entries.find((e) => e.id === entry);
  const source = withEntry(facts, found);
  return section.fields.filter((field) => applies(field.when, source));
}

/** Everything that a section still lacks. An empty answer is a gap only where the field is required. */
export function sectionGaps(
  section: Section,
  scope: string,
  index: AnswerIndex,
  facts: FactSource,
  listName: string,
  office: ReferenceSet,
): readonly Gap[] {
  if (!applies(section.when, facts)) return [];
  const gaps: Gap[] = [];
  const add = (entry: string, field: string, code: Gap["code"]) =>
    gaps.push({ scope, section: section.key, entry, field, code });
  const read = (entry: string, row: AnswerRow, source: FactSource) => {
    for (const field of section.fields) {
      if (!applies(field.when, source)) continue;
      const beside = fieldBeside(field);
      const named = beside === null ? null : row.claim(beside);
      const claim = row.claim(field.key);
      const code = fieldGap(field, office, claim, named, facts);
      // What the office established itself is not asked of anybody.
      if (code && !(missing(field, claim) && !missing(field, row.value(field.key)))) add(entry, field.key, code);
    }
  };
  if (!section.repeats) {
    read("", index.row(scope, section.key, ""), facts);
    return gaps;
  }
  const entries = index.entries(scope, section.key);
  const known = facts.list(listName).entries;
  const view = { scalar: facts.scalar, list: facts.list, entry: undefined as Entry | undefined };
  entries.forEach((entry, i) => {
    view.entry = known[i]?.id === entry ? known[i] : known.find((e) => e.id === entry);
    read(entry, index.row(scope, section.key, entry), view);
  });
  const value = (entry: string, field: string): Json => index.claim(scope, section.key, entry, field);
  for (const field of section.fields)
    for (const entry of repeatedEntries(field, entries, value)) add(entry, field.key, "twice");
  if (isWhollyFed(section, facts)) return gaps;
  if (entries.length < section.repeats.min) add("", "entry", "too-few");
  else if (section.repeats.max > section.repeats.min && index.claim(scope, section.key, "", COMPLETE_FIELD) !== true)
    add("", COMPLETE_FIELD, "say-complete");
  return gaps;
}
