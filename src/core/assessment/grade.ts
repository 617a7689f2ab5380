import { degreeOf } from "../answers/typed-facts";
import { countingDegrees, lastDegree, number, text } from "../file/entries";
import { localCredits } from "../grades/ects";
import { type Carried, carryOver, isHigherBetter, type SourceScale, USUAL_METHOD } from "../grades/method";
import { percentageOf } from "../grades/percentage";
import { onScale, readMark } from "../grades/scale";
import { type Attempt, type Summary, summarise, USUAL_MEAN } from "../grades/summary";
import { add, compare, divide, parseDecimal, type Ratio, round, toFixed, toShort, whole, ZERO } from "../numbers/ratio";
import type { Measure } from "../rulebook/rulebook";
import type { Entry, Fact, FactSource } from "../rules/fact";
import { UNKNOWN } from "../rules/fact";
import type { Office } from "../standards/reference-set";

type GradeMeasure = Extract<Measure, { kind: "grade" }>;

interface Scale extends SourceScale {
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
    key: known?.key ?? null,
    best,
    pass,
    worst: known ? parseDecimal(known.worst) : null,
    percent: known?.percent
      ? { multiplier: parseDecimal(known.percent.multiplier), offset: parseDecimal(known.percent.offset) }
      : null,
    letters: known?.letters,
    confirmed: named.confirmed && (known !== undefined || own),
  };
}

/** The courses of a degree that a measure counts; `open` while more may come. */
function coursesOf(measure: GradeMeasure, degree: Entry, facts: FactSource) {
  const list = facts.list("courses");
  const degrees = facts.list("degrees");
  const entries = list.entries.filter((course) => {
    const area = text(course, "area")?.value;
    return (
      degreeOf(course, degrees)?.id === degree.id &&
      (measure.areas === undefined || (area !== undefined && measure.areas.includes(area)))
    );
  });
  return { entries, open: list.open };
}

const ATTEMPTS: Readonly<Record<string, Attempt["status"]>> = {
  completed: "passed",
  failed: "failed",
  "in progress": "in_progress",
  registered: "in_progress",
  withdrawn: "withdrawn",
};

function attemptOf(course: Entry, scale: Scale): Attempt {
  const written = text(course, "grade");
  const grade = written ? readMark(written.value, scale.letters) : null;
  const status = ATTEMPTS[text(course, "status")?.value ?? ""] ?? "in_progress";
  const failed = grade !== null && scale.pass !== null && beyond(grade, scale.pass, scale);
  const grading = text(course, "grading")?.value;
  return {
    code: text(course, "code")?.value ?? text(course, "title")?.value ?? course.id,
    credits: number(course, "credits")?.value ?? null,
    grade,
    status: status === "passed" && failed ? "failed" : status,
    grading: grading === "pass_fail" || grading === "ungraded" ? grading : "graded",
    origin: text(course, "origin")?.value === "transfer" ? "transfer" : "home",
    date: text(course, "date")?.value ?? "",
  };
}

/** Whether a mark is worse than another on a scale. */
function beyond(mark: Ratio, other: Ratio, scale: Scale): boolean {
  return isHigherBetter(scale) ? compare(mark, other) < 0 : compare(mark, other) > 0;
}

interface Achieved {
  readonly mark: Ratio;
  readonly from: "final grade" | "mean of courses";
  readonly summary: Summary | null;
  readonly confirmed: boolean;
}

/** The mean of the courses that count; null while something that counts is not known. */
function meanOfCourses(measure: GradeMeasure, degree: Entry, scale: Scale, facts: FactSource): Achieved | null {
  const courses = coursesOf(measure, degree, facts);
  if (courses.open) return null;
  const perYear = number(degree, "creditsPerYear")?.value ?? null;
  const last = measure.lastEcts === undefined ? null : localCredits(measure.lastEcts, perYear);
  if (measure.lastEcts !== undefined && last === null) return null;
  const attempts = courses.entries.map((course) => attemptOf(course, scale));
  const off = attempts.some(
    ({ grade }) =>
      grade !== null && scale.best !== null && scale.worst !== null && !onScale(grade, scale.best, scale.worst),
  );
  const summary = summarise(attempts, measure.mean ?? USUAL_MEAN, isHigherBetter(scale) ? "higher" : "lower", last);
  if (summary.mean === null || off) return null;
  const confirmed = courses.entries.every((course) => {
    const grade = course.at("grade");
    return grade.kind !== "value" || (grade.confirmed && number(course, "credits")?.confirmed === true);
  });
  return { mark: summary.mean, from: "mean of courses", summary, confirmed };
}

/** The final grade; while there is none, or where the courses count in any case, their credit-weighted mean. */
function achieved(measure: GradeMeasure, degree: Entry, scale: Scale, facts: FactSource): Achieved | null {
  const final = measure.basis === "courses" ? null : text(degree, "grade");
  if (!final) return meanOfCourses(measure, degree, scale, facts);
  const mark = readMark(final.value, scale.letters);
  return mark ? { mark, from: "final grade", summary: null, confirmed: final.confirmed } : null;
}

type Detail = Extract<NonNullable<Extract<Fact, { kind: "value" }>["detail"]>, { kind: "grade" }>;

const areasOf = ({ areas }: GradeMeasure, office: Office): Detail["areas"] =>
  areas === undefined ? [] : office.set.areas.filter((a) => areas.includes(a.key)).map((a) => a.title);

/** What a degree came to on our scale, and by what. */
interface Graded {
  readonly carried: Carried;
  readonly confirmed: boolean;
  readonly detail: Pick<
    Detail,
    "from" | "best" | "pass" | "got" | "credits" | "courses" | "setAside" | "areas" | "degrees"
  >;
}

/** The fact with its rounding and comparing as the measure names them; unknown where no number came out. */
function gradeFact(measure: GradeMeasure, { carried: { conversion, formula, band }, confirmed, detail }: Graded): Fact {
  if (conversion.status === "unknown" || conversion.status === "error") return UNKNOWN;
  const passed = conversion.status === "ok";
  const { exact } = conversion;
  const rounded = round(exact, measure.decimals, measure.rounding);
  return {
    kind: "value",
    // What did not pass is compared as it is: rounded it might read as a pass.
    value: measure.compare === "rounded" && passed ? rounded : exact,
    confirmed,
    detail: {
      kind: "grade",
      method: measure.method?.kind ?? USUAL_METHOD.kind,
      ...detail,
      lastEcts: measure.lastEcts ?? null,
      formula,
      band,
      exact: toShort(exact, 4),
      shown: toFixed(rounded, measure.decimals),
      passed,
      rounding: measure.rounding,
      compare: measure.compare,
    },
  };
}

/** The percentage from the marks of the courses, which needs no scale. */
function gradedByMarks(
  measure: GradeMeasure,
  of: "sums" | "rows",
  degree: Entry,
  facts: FactSource,
  office: Office,
): Graded | null {
  const courses = coursesOf(measure, degree, facts);
  const rows = courses.entries
    .filter((c) => text(c, "status")?.value === "completed")
    .map((c) => ({ got: number(c, "marksObtained"), total: number(c, "marksTotal") }));
  if (courses.open) return null;
  const plain = rows.map(({ got, total }) => ({ got: got?.value ?? null, total: total?.value ?? null }));
  const conversion = percentageOf(plain, of);
  const confirmed = rows.every(({ got, total }) => got?.confirmed === true && total?.confirmed === true);
  const sums = of === "sums" && conversion.status === "ok" ? [sumOf(plain, "got"), sumOf(plain, "total")] : null;
  const formula = sums ? `100 × ${sums[0]} ÷ ${sums[1]}` : null;
  return {
    carried: { conversion, formula, band: null },
    confirmed,
    detail: {
      from: "marks of courses",
      best: null,
      pass: null,
      got: conversion.status === "ok" ? toShort(conversion.exact, 4) : "",
      credits: null,
      courses: rows.length,
      setAside: 0,
      areas: areasOf(measure, office),
      degrees: [],
    },
  };
}

function sumOf(
  rows: readonly { readonly got: Ratio | null; readonly total: Ratio | null }[],
  of: "got" | "total",
): string {
  return toShort(rows.reduce<Ratio>((sum, row) => add(sum, row[of] ?? ZERO), ZERO));
}

/** A degree's grade on our scale, by the method of the measure; null while something of it is not known. */
function graded(measure: GradeMeasure, degree: Entry, facts: FactSource, office: Office): Graded | null {
  const method = measure.method ?? USUAL_METHOD;
  if (method.kind === "marks") return gradedByMarks(measure, method.of, degree, facts, office);
  const scale = scaleOf(degree, office);
  const got = scale && achieved(measure, degree, scale, facts);
  if (!scale || !got) return null;
  // A mark outside its scale means that the scale is wrong: an open fact and a question, never a guess.
  if (scale.best && scale.worst && !onScale(got.mark, scale.best, scale.worst)) return null;
  return {
    carried: carryOver(method, scale, got.mark),
    confirmed: scale.confirmed && got.confirmed,
    detail: {
      from: got.from,
      best: scale.best && toShort(scale.best),
      pass: scale.pass && toShort(scale.pass),
      got: toShort(got.mark, 4),
      credits: got.summary && toShort(got.summary.creditsInMean),
      courses: got.summary?.counted.length ?? 0,
      setAside: got.summary?.setAside ?? 0,
      areas: got.summary ? areasOf(measure, office) : [],
      degrees: [],
    },
  };
}

/** The mean of what several degrees came to, each on its own scale; it passed where each of them did. */
function meanOfDegrees(degrees: readonly (readonly [Entry, Graded])[]): Graded | null {
  const reached = degrees.flatMap(([degree, { carried, detail }]) => {
    const { conversion } = carried;
    return conversion.status === "ok" || conversion.status === "not_passed" ? [{ degree, conversion, detail }] : [];
  });
  if (reached.length < degrees.length) return null;
  const sum = reached.reduce<Ratio>((all, { conversion }) => add(all, conversion.exact), ZERO);
  const exact = divide(sum, whole(reached.length));
  const clamped = reached.some(({ conversion }) => conversion.status === "ok" && conversion.clamped);
  const passed = reached.every(({ conversion }) => conversion.status === "ok");
  const shown = reached.map(({ conversion }) => toShort(conversion.exact, 4));
  return {
    carried: {
      conversion: passed ? { status: "ok", exact, clamped } : { status: "not_passed", exact, kept: false },
      formula: `(${shown.join(" + ")}) ÷ ${reached.length}`,
      band: null,
    },
    confirmed: degrees.every(([, { confirmed }]) => confirmed),
    detail: {
      from: "mean of degrees",
      best: null,
      pass: null,
      got: toShort(exact, 4),
      credits: null,
      courses: 0,
      setAside: 0,
      areas: [],
      degrees: reached.map(({ degree, detail: { got, best, pass } }, i) => ({
        title: text(degree, "title")?.value ?? text(degree, "institution")?.value ?? "?",
        got,
        best,
        pass,
        exact: shown[i] ?? "",
      })),
    },
  };
}

/** The grade of the degree that counts on our scale, or the mean of all that do, by the method of the measure. */
export function gradeMeasure(measure: GradeMeasure, facts: FactSource, office: Office): Fact {
  const counting = countingDegrees(measure.degree, facts);
  const last = lastDegree(counting);
  if (!last) return UNKNOWN;
  if (measure.several !== "mean" || counting.length === 1) {
    const one = graded(measure, last, facts, office);
    return one ? gradeFact(measure, one) : UNKNOWN;
  }
  // Another degree may still be entered, and would move the mean.
  if (facts.list("degrees").open) return UNKNOWN;
  const each = counting.flatMap((degree) => {
    const one = graded(measure, degree, facts, office);
    return one ? [[degree, one] as const] : [];
  });
  const mean = each.length === counting.length ? meanOfDegrees(each) : null;
  return mean ? gradeFact(measure, mean) : UNKNOWN;
}
