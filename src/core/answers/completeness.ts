import type { Json } from "../file/facts";
import type { Gap } from "../file/gap";
import { checkScores, resultOf, type Scores } from "../language/test-definition";
import { papersFor } from "../people/papers";
import type { Field, Section } from "../rulebook/section";
import { withEntry } from "../rules/compile";
import type { Condition } from "../rules/condition";
import { judge, judgeEach } from "../rules/evaluate";
import type { FactList, FactSource } from "../rules/fact";
import type { Judgement } from "../rules/truth";
import type { ReferenceSet } from "../standards/reference-set";
import type { AnswerIndex, AnswerSheet } from "./answer-index";
import { checkValue, fieldBeside, isScores } from "./check-value";
import { isAllFromRegistry } from "./given-by-registry";
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

/** A field with what is kept of it while an office's standards hold. */
interface FieldCheck {
  readonly field: Field;
  readonly beside: string | null;
  /** Short values that were found right: courses repeat their credits and states, and an office reads the same form all day. */
  readonly right: Set<string> | null;
}

type Checks = WeakMap<Section, readonly FieldCheck[]>;
const checks = new WeakMap<ReferenceSet, Checks>();
const REPEATING: ReadonlySet<Field["kind"]> = new Set([
  "decimal",
  "whole",
  "money",
  "date",
  "country",
  "language",
  "choice",
  "area",
  "scale",
  "test",
  "graduateOf",
  "text",
]);
const MOST_KEPT = 500;
const LONGEST_KEPT = 40;

function checksOf(section: Section, office: ReferenceSet): readonly FieldCheck[] {
  let kept = checks.get(office);
  if (kept === undefined) {
    kept = new WeakMap();
    checks.set(office, kept);
  }
  const known = kept.get(section);
  if (known !== undefined) return known;
  const made = section.fields.map((field): FieldCheck => {
    const beside = fieldBeside(field);
    return { field, beside, right: beside === null && REPEATING.has(field.kind) ? new Set() : null };
  });
  kept.set(section, made);
  return made;
}

function isRight({ field, right }: FieldCheck, office: ReferenceSet, value: Json, beside: string | undefined): boolean {
  if (right === null || typeof value !== "string") return checkValue(field, office, value, beside) === null;
  if (right.has(value)) return true;
  if (checkValue(field, office, value, beside) !== null) return false;
  if (value.length > LONGEST_KEPT) return true;
  if (right.size >= MOST_KEPT) right.clear();
  right.add(value);
  return true;
}

function fieldGap(
  check: FieldCheck,
  office: ReferenceSet,
  value: Json,
  beside: Json,
  facts: FactSource,
): Gap["code"] | null {
  const { field } = check;
  if (missing(field, value)) return field.required && !field.byOffice ? "missing" : null;
  const named = typeof beside === "string" ? beside : undefined;
  if (field.kind === "scores") return scoresGap(check, office, named, value);
  if (!isRight(check, office, value, named)) return "wrong";
  return field.kind === "paper" && !countsHere(field, office, value, facts) ? "wrong" : null;
}

function countsHere(field: Field, office: ReferenceSet, value: Json, facts: FactSource): boolean {
  const named = office.papers.filter((paper) => paper.key === value);
  return papersFor(named, field.papers, facts).length > 0;
}

function scoresGap(check: FieldCheck, office: ReferenceSet, test: string | undefined, value: Json): Gap["code"] | null {
  const definition = office.tests.find((t) => t.key === test);
  if (definition !== undefined && isScores(value)) {
    const { complete, offScale } = resultOf(definition, value);
    if (complete && !offScale) return null; // nearly all
  }
  if (!isRight(check, office, value, test)) return "wrong";
  return definition !== undefined && checkScores(definition, value as Scores).length > 0 ? "missing" : null; // checkValue let only scores pass
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

/** How a field's condition comes out for each entry of a list. */
function judgeEntries(when: Condition, sheet: AnswerSheet, list: FactList, facts: FactSource): readonly Judgement[] {
  if (list.entries.length === sheet.ids.length && list.entries[0]?.id === sheet.ids[0])
    return judgeEach(when, list, facts);
  // Of two sections with one name rules see the first alone.
  return sheet.ids.map((id) =>
    judge(
      when,
      withEntry(
        facts,
        list.entries.find((e) => e.id === id),
      ),
    ),
  );
}

interface Lack {
  readonly entry: number;
  readonly field: number;
  readonly code: Gap["code"];
}

/** What is missing or wrong in one field, entry by entry. */
function fieldLacks(
  check: FieldCheck,
  order: number,
  entries: number,
  sheet: AnswerSheet,
  asked: readonly Judgement[] | null,
  facts: FactSource,
  office: ReferenceSet,
  lacks: Lack[],
): void {
  const { right } = check;
  const place = sheet.find(check.field.key);
  const beside = check.beside === null ? -1 : sheet.find(check.beside);
  const claims = sheet.claimsOf(place);
  for (let entry = 0; entry < entries; entry += 1) {
    if (asked !== null && asked[entry]?.truth !== "met") continue;
    const claim = (entry < claims.length ? claims[entry]?.value : null) ?? null;
    if (right !== null && typeof claim === "string" && right.has(claim)) continue;
    const code = fieldGap(check, office, claim, sheet.claimAt(beside, entry)?.value ?? null, facts);
    // What the office established itself is not asked of anybody.
    if (code && !(missing(check.field, claim) && !missing(check.field, sheet.valueAt(place, entry))))
      lacks.push({ entry, field: order, code });
  }
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
  const { repeats } = section;
  const sheet = repeats ? index.list(scope, section.key) : index.outside(scope, section.key);
  const lacks: Lack[] = [];
  const checks = checksOf(section, office);
  let order = 0;
  for (const check of checks) {
    const { when } = check.field;
    if (repeats || applies(when, facts)) {
      const asked = repeats && when !== undefined ? judgeEntries(when, sheet, facts.list(listName), facts) : null;
      fieldLacks(check, order, repeats ? sheet.claimed : 1, sheet, asked, facts, office, lacks);
    }
    order += 1;
  }
  const gap = (entry: string, field: string, code: Gap["code"]): Gap => ({
    scope,
    section: section.key,
    entry,
    field,
    code,
  });
  if (lacks.length > 1) lacks.sort((a, b) => a.entry - b.entry || a.field - b.field);
  const gaps = lacks.map(({ entry, field, code }) =>
    gap(sheet.ids[entry] ?? "", section.fields[field]?.key ?? "", code),
  );
  return repeats ? [...gaps, ...listGaps(section, repeats, scope, index, facts, gap)] : gaps;
}

/** What a list lacks as a whole: values that stand in it twice, entries, the word that these are all. */
function listGaps(
  section: Section,
  repeats: NonNullable<Section["repeats"]>,
  scope: string,
  index: AnswerIndex,
  facts: FactSource,
  gap: (entry: string, field: string, code: Gap["code"]) => Gap,
): readonly Gap[] {
  const entries = index.entries(scope, section.key);
  const value = (entry: string, field: string): Json => index.claim(scope, section.key, entry, field);
  const lacks: Gap[] = [];
  for (const field of section.fields)
    if (field.once)
      for (const entry of repeatedEntries(field, entries, value)) lacks.push(gap(entry, field.key, "twice"));
  if (isAllFromRegistry(section, facts)) return lacks;
  if (entries.length < repeats.min) return [...lacks, gap("", "entry", "too-few")];
  // A list that was filled under an earlier rulebook, or by a file, may be longer than this one takes.
  for (const entry of entries.slice(repeats.max)) lacks.push(gap(entry, "entry", "too-many"));
  const saysComplete = repeats.max > repeats.min && index.claim(scope, section.key, "", COMPLETE_FIELD) !== true;
  return saysComplete ? [...lacks, gap("", COMPLETE_FIELD, "say-complete")] : lacks;
}
