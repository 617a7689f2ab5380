import { checkValue } from "../answers/check-value";
import type { Json } from "../file/facts";
import type { Field } from "../rulebook/section";

/** A degree as a file of student results names it; what it does not say is empty. Days as `2026-07-01`. */
export interface NamedDegree {
  readonly institution: string;
  readonly country: string;
  readonly title: string;
  readonly status: "completed" | "failed" | "in progress" | "";
  readonly grade: string;
  readonly language: string;
  /** Of the European Qualifications Framework, whose levels 6 to 8 are those of ISCED. */
  readonly level: string;
  readonly start: string;
  readonly date: string;
}

type Registers = Parameters<typeof checkValue>[1];

/** The qualifications framework and ISCED count alike from the bachelor's degree on; below, nothing is guessed. */
const ALIKE_LEVELS = ["6", "7", "8"];

/**
 * A degree as the values of an entry of the form: for each field that the form has and the file says something of. What the form would
 * not take is left out, to be filled in by hand; a degree that was not passed has no status there.
 * @param countries the codes that the form offers
 */
export function degreeValues(
  degree: NamedDegree,
  fields: readonly Field[],
  registers: Registers,
  countries: ReadonlySet<string>,
): Readonly<Record<string, Json>> {
  const { institution, country, title, status, grade, language, level, start, date } = degree;
  const said: Readonly<Record<string, string>> = {
    institution,
    country: countries.has(country.toUpperCase()) ? country.toUpperCase() : "",
    title,
    status: status === "failed" ? "" : status,
    grade,
    language: language.toLowerCase().slice(0, 2),
    level: ALIKE_LEVELS.includes(level) ? level : "",
    start,
    end: status === "completed" ? date : "",
  };
  return Object.fromEntries(
    fields.flatMap((field) => {
      const value = said[field.key] ?? "";
      return value !== "" && checkValue(field, registers, value) === null ? [[field.key, value]] : [];
    }),
  );
}
