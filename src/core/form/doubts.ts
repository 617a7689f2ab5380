import type { Json } from "../file/facts";
import { onScale, onStep, readMark } from "../grades/scale";
import { type Scores, total } from "../language/test-definition";
import { compare, isPositive, parseDecimal, toShort } from "../numbers/ratio";
import { signedOtherwise } from "../people/signed-name";
import type { Field } from "../rulebook/section";
import type { ReferenceSet } from "../standards/reference-set";
import { monthsBetween, parseDay, parseRough } from "../time/day";

/**
 * What is implausible in an answer that may still be right: said to whoever gives it, at once, and never in the way. A wrong value is
 * something else (`check-value`): that is not taken.
 */
export type Doubt =
  | { readonly code: "not-a-mark" }
  | { readonly code: "off-scale"; readonly worst: string; readonly best: string }
  | { readonly code: "off-step"; readonly step: string }
  | { readonly code: "no-pass"; readonly pass: string }
  | { readonly code: "best-is-pass" }
  | { readonly code: "unusual-scale" }
  | { readonly code: "as-printed" }
  | { readonly code: "ends-before-start" }
  | { readonly code: "ends-too-early"; readonly start: string }
  | { readonly code: "expected-after-start"; readonly start: string }
  | { readonly code: "unlikely-age"; readonly years: string }
  | { readonly code: "total-differs"; readonly total: string }
  | { readonly code: "signed-otherwise"; readonly name: string };

/** What an answer is held against that stands elsewhere. */
export interface Beside {
  readonly scales: ReferenceSet["scales"];
  readonly tests: ReferenceSet["tests"];
  /** The first day of study, as late as any of the choices begins; null while nothing is chosen. */
  readonly start: string | null;
  /** The applicant's name as the form has it; "" while unknown. */
  readonly name: string;
  /** The scales of the picked kind of qualification; null where any will do. */
  readonly usual: readonly string[] | null;
}

type Values = Readonly<Record<string, Json>>;

const text = (values: Values, field: string): string => {
  const value = values[field];
  return typeof value === "string" ? value.trim() : "";
};

/** A final grade on the scale that stands beside it. */
function gradeDoubt(values: Values, scales: ReferenceSet["scales"]): Doubt | null {
  const grade = text(values, "grade");
  const scale = scales.find((s) => s.key === text(values, "scale"));
  if (grade === "" || !scale) return null;
  const mark = readMark(grade, scale.letters);
  const [best, pass, worst] = [scale.best, scale.pass, scale.worst].map(parseDecimal);
  if (!mark) return { code: "not-a-mark" };
  if (!best || !pass || !worst) return null;
  if (!onScale(mark, best, worst)) return { code: "off-scale", worst: scale.worst, best: scale.best };
  const step = scale.step === undefined ? null : parseDecimal(scale.step);
  if (step && isPositive(step) && !onStep(mark, best, step)) return { code: "off-step", step: scale.step ?? "" };
  const fails = compare(best, pass) > 0 ? compare(mark, pass) < 0 : compare(mark, pass) > 0;
  return fails && text(values, "status") === "completed" ? { code: "no-pass", pass: scale.pass } : null;
}

/** The total that a certificate prints beside the one that its parts give by the test's own method. */
function totalDoubt(values: Values, tests: ReferenceSet["tests"]): Doubt | null {
  const stated = parseDecimal(text(values, "statedTotal"));
  const test = tests.find((t) => t.key === text(values, "test"));
  const { scores } = values;
  if (!stated || !test || typeof scores !== "object" || scores === null || Array.isArray(scores)) return null;
  const computed = total(test, scores as Scores); // texts by part: other values were not taken
  return computed === null || compare(computed, stated) === 0
    ? null
    : { code: "total-differs", total: toShort(computed) };
}

const YOUNGEST = 14;
const OLDEST = 90;

/** How old somebody would be on the first day of study: day and month, or the century, are easily mistaken. */
function ageDoubt(born: string, start: string | null): Doubt | null {
  const [birth, first] = [parseDay(born), parseDay(start ?? "")];
  if (birth === null || first === null) return null;
  const years = birth >= first ? 0 : Math.floor(monthsBetween(birth, first) / 12);
  return years < YOUNGEST || years > OLDEST ? { code: "unlikely-age", years: String(years) } : null;
}

function firstDay(date: string): number | null {
  return parseDay(date) ?? parseRough(date)?.from ?? null;
}

function lastDay(date: string): number | null {
  return parseDay(date) ?? parseRough(date)?.to ?? null;
}

/** What must stand beside a field that can be doubted. */
const NEEDED: ReadonlyMap<string, readonly string[]> = new Map([
  ["grade", ["scale"]],
  ["scale", []],
  ["mark", ["printed"]],
  ["gradePass", ["gradeBest"]],
  ["end", ["start"]],
  ["expectedEnd", ["start"]],
  ["birthDate", []],
  ["passportExpiry", []],
  ["statedTotal", ["scores"]],
  ["signature", []],
]);

/**
 * Whether a field of a section can be doubted at all: for the many cells of a grid that never are.
 * @param scales those of the entries that the section names: a course's grade is on the scale of its degree
 */
export function canBeDoubted(
  { key }: Pick<Field, "key">,
  fields: readonly Pick<Field, "key">[],
  scales: Readonly<Record<string, string>> = {},
): boolean {
  if (key === "grade" && Object.keys(scales).length > 0) return true;
  return NEEDED.get(key)?.every((needed) => fields.some((f) => f.key === needed)) ?? false;
}

/**
 * The doubt about one field of an entry, if there is one.
 * @param values the entry's fields
 */
export function doubtOf(
  field: Pick<Field, "key" | "kind">,
  values: Values,
  { scales, tests, start, name, usual }: Beside,
): Doubt | null {
  switch (field.key) {
    case "grade":
      return gradeDoubt(values, scales);
    case "scale": {
      const scale = text(values, "scale");
      return usual !== null && scale !== "" && !usual.includes(scale) ? { code: "unusual-scale" } : null;
    }
    case "mark": {
      // An equivalence body's mark is on our scale: the number that the result sheet has is hardly the same.
      const [mark, printed] = [parseDecimal(text(values, "mark")), parseDecimal(text(values, "printed"))];
      return mark && printed && compare(mark, printed) === 0 ? { code: "as-printed" } : null;
    }
    case "gradePass": {
      const [best, pass] = [parseDecimal(text(values, "gradeBest")), parseDecimal(text(values, "gradePass"))];
      return best && pass && compare(best, pass) === 0 ? { code: "best-is-pass" } : null;
    }
    case "end":
    case "expectedEnd": {
      const [from, to] = [firstDay(text(values, "start")), lastDay(text(values, field.key))];
      if (from !== null && to !== null && to < from) return { code: "ends-before-start" };
      const [expected, begin] = [firstDay(text(values, "expectedEnd")), parseDay(start ?? "")];
      const late = field.key === "expectedEnd" && expected !== null && begin !== null && expected > begin;
      return late ? { code: "expected-after-start", start: start ?? "" } : null;
    }
    case "birthDate":
      return ageDoubt(text(values, "birthDate"), start);
    case "passportExpiry": {
      const [needed, end] = [parseDay(start ?? ""), parseDay(text(values, "passportExpiry"))];
      return needed !== null && end !== null && end < needed ? { code: "ends-too-early", start: start ?? "" } : null;
    }
    case "statedTotal":
      return totalDoubt(values, tests);
    case "signature":
      return field.kind === "name" && signedOtherwise(text(values, "signature"), name)
        ? { code: "signed-otherwise", name }
        : null;
    default:
      return null;
  }
}
