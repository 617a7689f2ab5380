import { z } from "zod";
import type { Json } from "../assessment/facts";
import { checkScores, type Scores } from "../language/test-definition";
import { parseDecimal } from "../numbers/ratio";
import type { ReferenceSet } from "../office/reference-set";
import { parseDay } from "../time/day";
import type { Field } from "./definition";

/** What is wrong with a typed value; the sentence for each code lives in the catalogue. */
export type ValueIssue =
  | { readonly code: "too-long"; readonly most: number }
  | { readonly code: "not-a-number" }
  | { readonly code: "not-a-date" }
  | { readonly code: "not-an-email" }
  | { readonly code: "not-a-phone" }
  | { readonly code: "not-in-list" }
  | { readonly code: "out-of-range"; readonly least: number; readonly most: number }
  | { readonly code: "digits-in-name" }
  | { readonly code: "scores"; readonly parts: readonly string[] }
  | { readonly code: "wrong-kind" };

const TEXT_LIMIT = 2000;
const country = z.string().regex(/^[A-Z]{2}$|^XX[A-C]$/u);
const email = z.email();

function checkText(field: Field, value: string): ValueIssue | null {
  const most = field.most ?? (field.kind === "longText" ? 20_000 : TEXT_LIMIT);
  return [...value].length > most ? { code: "too-long", most } : null;
}

function checkDecimal(field: Field, value: string): ValueIssue | null {
  const ratio = parseDecimal(value);
  if (ratio === null) return { code: "not-a-number" };
  const number = Number(ratio.n) / Number(ratio.d); // a range check, not a rounding decision
  const least = field.least ?? 0;
  const most = field.most ?? 100_000;
  return number < least || number > most ? { code: "out-of-range", least, most } : null;
}

const isScores = (value: Json): value is Scores =>
  typeof value === "object" &&
  value !== null &&
  !Array.isArray(value) &&
  Object.values(value).every((v) => typeof v === "string");

function inOptions(field: Field, office: ReferenceSet, value: string): boolean {
  if (field.kind === "scale") return value === "other" || office.scales.some((s) => s.key === value);
  if (field.kind === "area") return office.areas.some((a) => a.key === value);
  if (field.kind === "test") return office.tests.some((t) => t.key === value);
  return (field.options ?? []).some((o) => o.value === value);
}

function checkString(field: Field, office: ReferenceSet, value: string): ValueIssue | null {
  switch (field.kind) {
    case "decimal":
      return checkDecimal(field, value);
    case "date":
      return parseDay(value) === null ? { code: "not-a-date" } : null;
    case "email":
      return email.safeParse(value).success ? null : { code: "not-an-email" };
    case "phone":
      return /^\+?[\d\s()/.-]{6,25}$/u.test(value) ? null : { code: "not-a-phone" };
    case "country":
      return country.safeParse(value).success ? null : { code: "not-in-list" };
    case "name":
      return /\d|\p{Cc}/u.test(value) ? { code: "digits-in-name" } : checkText(field, value);
    case "choice":
    case "scale":
    case "area":
    case "test":
      return inOptions(field, office, value) ? null : { code: "not-in-list" };
    default:
      return checkText(field, value);
  }
}

/**
 * Checks one typed value against its field. An empty value is never wrong here: gaps never hinder saving.
 * @param test the test that the entry names, for a field of scores
 */
export function checkValue(field: Field, office: ReferenceSet, value: Json, test?: string): ValueIssue | null {
  if (value === null || value === "") return null;
  if (field.kind === "agree" || field.kind === "yesNo")
    return typeof value === "boolean" ? null : { code: "wrong-kind" };
  if (field.kind === "countries") {
    const all = Array.isArray(value) ? value : [];
    return Array.isArray(value) && all.every((v) => country.safeParse(v).success) ? null : { code: "not-in-list" };
  }
  if (field.kind === "scores") {
    if (!isScores(value)) return { code: "wrong-kind" };
    const definition = office.tests.find((t) => t.key === test);
    const wrong = definition ? checkScores(definition, value).filter((issue) => issue.code !== "missing") : [];
    return wrong.length > 0 ? { code: "scores", parts: wrong.map((w) => w.part) } : null;
  }
  return typeof value === "string" ? checkString(field, office, value) : { code: "wrong-kind" };
}
