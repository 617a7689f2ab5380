import { weightedMean } from "../grades/mean";
import { modifiedBavarian } from "../grades/modified-bavarian";
import { onScale, readMark } from "../grades/scale";
import { checkScores, levelOf, type Scores, total, validOn } from "../language/test-definition";
import { parseDecimal, type Ratio, toFixed, toShort, whole } from "../numbers/ratio";
import type { Office } from "../office/reference-set";
import type { Measure } from "../rulebook/rulebook";
import { CEFR } from "../rules/compare";
import { withEntry } from "../rules/compile";
import type { Condition } from "../rules/condition";
import { judge } from "../rules/evaluate";
import type { Entry, Fact, FactSource } from "../rules/fact";
import { UNKNOWN } from "../rules/fact";
import { degreeOf } from "../sections/typed-facts";
import { type Day, monthsBetween, parseDay } from "../time/day";
import { spanMeasure } from "./span";

/** A text field of an entry with whether it was confirmed; null while unknown. */
function text(entry: Entry | undefined, field: string): { readonly value: string; readonly confirmed: boolean } | null {
  const fact = entry?.fields[field];
  return fact?.kind === "value" && typeof fact.value === "string"
    ? { value: fact.value, confirmed: fact.confirmed }
    : null;
}

function number(
  entry: Entry | undefined,
  field: string,
): { readonly value: Ratio; readonly confirmed: boolean } | null {
  const fact = entry?.fields[field];
  return fact?.kind === "value" && typeof fact.value === "object" && "n" in fact.value
    ? { value: fact.value, confirmed: fact.confirmed }
    : null;
}

function endOf(entry: Entry): string {
  return text(entry, "end")?.value ?? text(entry, "expectedEnd")?.value ?? "";
}

function countingDegree(measure: { readonly degree: Condition }, facts: FactSource): Entry | undefined {
  return facts
    .list("degrees")
    .entries.filter((entry) => judge(measure.degree, withEntry(facts, entry)).truth === "met")
    .reduce<Entry | undefined>(
      (last, entry) => (last === undefined || endOf(entry) > endOf(last) ? entry : last),
      undefined,
    );
}

interface Scale {
  readonly best: Ratio;
  readonly pass: Ratio;
  readonly worst: Ratio | null;
  readonly letters: { label: string; points: string }[] | undefined;
  readonly confirmed: boolean;
}

/** The scale of a degree: from the office's register, or its best and pass marks as entered. Null while it is unknown. */
function scaleOf(degree: Entry, office: Office): Scale | null {
  const named = text(degree, "scale");
  if (!named) return null;
  const known = office.set.scales.find((s) => s.key === named.value);
  const best = known ? parseDecimal(known.best) : (number(degree, "gradeBest")?.value ?? null);
  const pass = known ? parseDecimal(known.pass) : (number(degree, "gradePass")?.value ?? null);
  if (!best || !pass) return null;
  const own = number(degree, "gradeBest")?.confirmed === true && number(degree, "gradePass")?.confirmed === true;
  return {
    best,
    pass,
    worst: known ? parseDecimal(known.worst) : null,
    letters: known?.letters,
    confirmed: named.confirmed && (known !== undefined || own),
  };
}

interface Achieved {
  readonly mark: Ratio;
  readonly from: "final grade" | "mean of courses";
  readonly credits: Ratio | null;
  readonly confirmed: boolean;
}

/** The final grade; while there is none, the credit-weighted mean of the completed graded courses. */
function achieved(degree: Entry, scale: Scale, facts: FactSource): Achieved | null {
  const final = text(degree, "grade");
  if (final) {
    const mark = readMark(final.value, scale.letters);
    return mark ? { mark, from: "final grade", credits: null, confirmed: final.confirmed } : null;
  }
  let confirmed = true;
  const rows: { credits: Ratio; mark: Ratio }[] = [];
  const list = facts.list("courses");
  for (const course of list.entries) {
    if (degreeOf(course, facts.list("degrees"))?.id !== degree.id || text(course, "status")?.value !== "completed")
      continue;
    const grade = text(course, "grade");
    if (!grade) continue;
    const credits = number(course, "credits");
    const mark = readMark(grade.value, scale.letters);
    if (!credits || !mark) return null;
    if (!credits.confirmed || !grade.confirmed) confirmed = false;
    rows.push({ credits: credits.value, mark });
  }
  const mean = list.open ? null : weightedMean(rows);
  return mean ? { mark: mean.mean, from: "mean of courses", credits: mean.credits, confirmed } : null;
}

function gradeMeasure(measure: Extract<Measure, { kind: "grade" }>, facts: FactSource, office: Office): Fact {
  const degree = countingDegree(measure, facts);
  const scale = degree ? scaleOf(degree, office) : null;
  if (!degree || !scale) return UNKNOWN;
  const got = achieved(degree, scale, facts);
  // A mark outside its scale means that the scale is wrong: an open fact and a question, never a guess.
  if (!got || (scale.worst && !onScale(got.mark, scale.best, scale.worst))) return UNKNOWN;
  const result = modifiedBavarian(scale.best, scale.pass, got.mark, measure.decimals, measure.rounding);
  if (result.status === "error") return UNKNOWN;
  const shown = result.status === "ok" ? result.rounded : whole(5);
  const value = measure.compare === "rounded" ? shown : result.exact;
  return {
    kind: "value",
    value,
    confirmed: scale.confirmed && got.confirmed,
    detail: {
      kind: "grade",
      from: got.from,
      best: toShort(scale.best),
      pass: toShort(scale.pass),
      got: toShort(got.mark, 4),
      credits: got.credits ? toShort(got.credits) : null,
      exact: toShort(result.exact, 4),
      shown: result.status === "ok" ? toFixed(shown, measure.decimals) : "not passed",
      compare: measure.compare,
    },
  };
}

function scoresIn(value: unknown): Scores {
  return typeof value === "object" && value !== null ? (value as Scores) : {}; // answers of kind "scores" are checked when saved
}

/** The best level over single valid sittings of the accepted tests; a sitting off its scale is not known, not failed. */
function levelMeasure(
  measure: Extract<Measure, { kind: "level" }>,
  facts: FactSource,
  office: Office,
  start: Day,
  scoresOf: (entry: string) => { readonly value: unknown; readonly confirmed: boolean },
): Fact {
  let best: Fact = UNKNOWN;
  let bestAt = -1;
  const list = facts.list("tests");
  let perhaps = list.open;
  for (const sitting of list.entries) {
    const name = text(sitting, "test");
    const date = text(sitting, "date");
    const definition = office.set.tests.find((t) => t.key === name?.value);
    const day = date ? parseDay(date.value) : null;
    if (!name || !definition || !measure.tests.includes(definition.key)) continue;
    const scores = scoresOf(sitting.id);
    const values = scoresIn(scores.value);
    const status = text(sitting, "status");
    if (status?.value === "pending") {
      const expected = text(sitting, "expected");
      const expectedDay = expected ? parseDay(expected.value) : null;
      if (expectedDay === null || expectedDay <= start) perhaps = true;
      continue;
    }
    if (day === null || checkScores(definition, values).length > 0) {
      perhaps = true;
      continue;
    }
    if (!validOn(definition, day, start)) continue;
    const level = levelOf(definition, values);
    const at = level ? CEFR.indexOf(level) : 0;
    if (at <= bestAt) continue;
    bestAt = at;
    const sum = total(definition, values);
    best = {
      kind: "value",
      value: level ?? "pre-A1",
      confirmed: scores.confirmed && name.confirmed && (date?.confirmed ?? false),
      detail: {
        kind: "level",
        test: definition.key,
        date: date?.value ?? "",
        scores: values,
        total: sum ? toShort(sum) : null,
        level,
      },
    };
  }
  if (best.kind === "value") return { ...best, mayRise: perhaps };
  return perhaps ? UNKNOWN : { kind: "value", value: "pre-A1", confirmed: true };
}

/** Months of degree study taught in a language, from the degrees that the condition lets through. */
function monthsMeasure(measure: Extract<Measure, { kind: "studyMonths" }>, facts: FactSource): Fact {
  let months = 0;
  let confirmed = true;
  const list = facts.list("degrees");
  for (const degree of list.entries) {
    const language = text(degree, "language");
    const start = text(degree, "start");
    const from = start ? parseDay(start.value) : null;
    const to = parseDay(endOf(degree));
    if (language?.value !== measure.language || judge(measure.degree, withEntry(facts, degree)).truth !== "met")
      continue;
    if (from === null || to === null) return UNKNOWN;
    months += monthsBetween(from, to + 1);
    if (!language.confirmed || !start?.confirmed) confirmed = false;
  }
  const detail = { kind: "years" as const, language: measure.language, months };
  if (list.open) return { kind: "range", low: whole(months), high: null, confirmed };
  return { kind: "value", value: whole(months), confirmed, detail };
}

/** Works out a measure of a rulebook. */
export function measureFact(
  measure: Measure,
  facts: FactSource,
  office: Office,
  start: Day,
  scoresOf: (entry: string) => { readonly value: unknown; readonly confirmed: boolean },
): Fact {
  switch (measure.kind) {
    case "grade":
      return gradeMeasure(measure, facts, office);
    case "level":
      return levelMeasure(measure, facts, office, start, scoresOf);
    case "studyMonths":
      return monthsMeasure(measure, facts);
    case "span":
      return spanMeasure(measure, facts, start);
  }
}
