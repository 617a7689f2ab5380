import { isPossiblePhoneNumber } from "libphonenumber-js/min";
import { z } from "zod";
import type { Json } from "../file/facts";
import { checkScores, type Scores, type TestDefinition } from "../language/test-definition";
import { parseDecimal, toNumber } from "../numbers/ratio";
import { isOpenMail } from "../people/open-mail";
import { looksLike } from "../people/papers";
import { type Field, isListKind } from "../rulebook/section";
import type { Registers } from "../standards/reference-set";
import { registerOptions } from "../standards/register-options";
import { countIn } from "../text/counting";
import type { LocalText } from "../text/local-text";
import { parseDay, parseRough } from "../time/day";
import { readTypedDate } from "../time/typed-date";
import { isNotKnown, takesNotKnown } from "./not-known";

/** What is wrong with a typed value; the sentence for each code lives in the catalogue. */
export type ValueIssue =
  | { readonly code: "too-long"; readonly most: number }
  | { readonly code: "not-a-number" }
  | { readonly code: "not-a-date" }
  | { readonly code: "no-such-day" }
  | { readonly code: "short-year" }
  | { readonly code: "two-dates"; readonly days: readonly [string, string] }
  | { readonly code: "day-missing" }
  | { readonly code: "not-an-email" }
  | { readonly code: "open-to-anybody"; readonly domain: string }
  | { readonly code: "not-a-phone" }
  | { readonly code: "not-in-list" }
  | { readonly code: "out-of-range"; readonly least: number; readonly most: number }
  | { readonly code: "digits-in-name" }
  | { readonly code: "scores"; readonly parts: readonly ScoreRange[] }
  | { readonly code: "too-many-words"; readonly most: number; readonly now: number }
  | { readonly code: "too-few-words"; readonly least: number; readonly now: number }
  | { readonly code: "too-many-characters"; readonly most: number; readonly now: number }
  | { readonly code: "too-few-characters"; readonly least: number; readonly now: number }
  | { readonly code: "not-whole" }
  | { readonly code: "too-many-decimals"; readonly most: number }
  | { readonly code: "pick-more"; readonly least: number }
  | { readonly code: "pick-fewer"; readonly most: number }
  | { readonly code: "not-a-link" }
  | { readonly code: "address-incomplete" }
  | { readonly code: "not-this-number"; readonly like: readonly string[] }
  | { readonly code: "control-signs" }
  | { readonly code: "wrong-kind" };

/** What a part of a test may be. */
export interface ScoreRange {
  readonly title: LocalText;
  readonly least: number;
  readonly most: number;
  readonly step: number;
}

const rangeOf = ({ title, min, max, step }: TestDefinition["parts"][number]): ScoreRange => ({
  title,
  least: min,
  most: max,
  step,
});

const TEXT_LIMIT = 2000;
const country = z.string().regex(/^[A-Z]{2}$|^XX[A-C]$/u);
const email = z.email();
const CENTS = 2;
const MOST_LINKS = 20;
const LONGEST_LINK = 500;

/** Control characters never belong into what people write; line breaks and tabs do. */
const CONTROL = /[^\P{Cc}\t\n\r]/u;

const ADDRESS_PARTS = ["street", "postcode", "town", "region", "country"] as const;
/** An address: its lines, or that it is the same as the one named by the field. */
const addressSchema = z.union([
  z.strictObject({ same: z.literal(true) }),
  z.strictObject(Object.fromEntries(ADDRESS_PARTS.map((part) => [part, z.string().max(200).optional()]))),
]);

function checkText(field: Field, value: string): ValueIssue | null {
  if (CONTROL.test(value)) return { code: "control-signs" };
  const most = field.most ?? (field.kind === "longText" ? 20_000 : TEXT_LIMIT);
  return value.length > most && [...value].length > most ? { code: "too-long", most } : null;
}

function checkDecimal(field: Field, value: string): ValueIssue | null {
  const ratio = parseDecimal(value);
  if (ratio === null) return { code: "not-a-number" };
  const number = toNumber(ratio); // a range check, not a rounding decision
  const least = field.least ?? 0;
  const most = field.most ?? 100_000;
  return number < least || number > most ? { code: "out-of-range", least, most } : null;
}

function checkWhole(field: Field, value: string): ValueIssue | null {
  return checkDecimal(field, value) ?? (/^[+-]?\d+$/u.test(value.trim()) ? null : { code: "not-whole" });
}

function checkMoney(field: Field, value: string): ValueIssue | null {
  const wrong = checkDecimal({ ...field, most: field.most ?? 1e12 }, value);
  if (wrong) return wrong;
  const decimals = value.trim().split(/[.,]/u)[1]?.length ?? 0;
  return decimals > CENTS ? { code: "too-many-decimals", most: CENTS } : null;
}

/** Length as people count it. Below the least is said only of a statement that was begun: an empty one is a gap, not an error. */
function checkStatement(field: Field, value: string): ValueIssue | null {
  const text = checkText({ ...field, most: field.most ?? 40_000 }, value);
  if (text || !field.length?.strict) return text;
  const { unit, least = 0, most } = field.length;
  const now = countIn(unit, value);
  if (now > most)
    return unit === "words" ? { code: "too-many-words", most, now } : { code: "too-many-characters", most, now };
  if (now >= least) return null;
  return unit === "words" ? { code: "too-few-words", least, now } : { code: "too-few-characters", least, now };
}

function isLink(text: string): boolean {
  if (text.length > LONGEST_LINK || !URL.canParse(text)) return false;
  const { protocol, hostname } = new URL(text);
  return (protocol === "https:" || protocol === "http:") && hostname.includes(".");
}

/** Lists of picks and of links. The same pick twice is as wrong as one that is not offered. */
function checkList(field: Field, value: Json): ValueIssue | null {
  if (!Array.isArray(value) || !value.every((v) => typeof v === "string")) return { code: "wrong-kind" };
  const picked = value as readonly string[];
  if (picked.length === 0) return null;
  const most = field.most ?? (field.kind === "links" ? MOST_LINKS : Number.POSITIVE_INFINITY);
  if (field.kind === "countries")
    return picked.every((v) => country.safeParse(v).success) ? null : { code: "not-in-list" };
  if (field.kind === "links" && !picked.every(isLink)) return { code: "not-a-link" };
  if (field.kind !== "links" && !picked.every((v) => (field.options ?? []).some((o) => o.value === v)))
    return { code: "not-in-list" };
  if (new Set(picked).size !== picked.length) return { code: "not-in-list" };
  if (picked.length > most) return { code: "pick-fewer", most };
  return picked.length < (field.least ?? 0) ? { code: "pick-more", least: field.least ?? 0 } : null;
}

function checkAddress(value: Json): ValueIssue | null {
  const parsed = addressSchema.safeParse(value);
  if (!parsed.success) return { code: "wrong-kind" };
  if ("same" in parsed.data) return null;
  const { street, town, country: land } = parsed.data as Readonly<Record<string, string | undefined>>;
  if (land && !country.safeParse(land).success) return { code: "not-in-list" };
  return street && town && land ? null : { code: "address-incomplete" };
}

export function isScores(value: Json): value is Scores {
  if (typeof value !== "object" || value === null || Array.isArray(value)) return false;
  const scores = value as Readonly<Record<string, Json>>; // an object that is no list
  for (const part in scores) if (typeof scores[part] !== "string") return false;
  return true;
}

function checkScoresOf(office: Registers, test: string | undefined, value: Json): ValueIssue | null {
  if (!isScores(value)) return { code: "wrong-kind" };
  const definition = office.tests.find((t) => t.key === test);
  const wrong = definition ? checkScores(definition, value).filter((issue) => issue.code !== "missing") : [];
  const parts = definition?.parts.filter(({ key }) => wrong.some((w) => w.part === key)) ?? [];
  return parts.length > 0 ? { code: "scores", parts: parts.map(rangeOf) } : null;
}

/** The field of the same entry on which it hangs what a field may hold: scores on their test, the number of a paper on its kind. */
export const fieldBeside = (field: Pick<Field, "kind" | "numberOf">): string | null =>
  field.kind === "scores" ? "test" : (field.numberOf ?? null);

function inOptions(field: Field, office: Registers, value: string): boolean {
  if (field.kind === "scale" && value === "other") return true;
  // Where the form has narrowed the papers down to those that count for this person, it says so in the options.
  const options = field.kind === "paper" ? field.options : undefined;
  return (options ?? registerOptions(field.kind, office) ?? field.options ?? []).some((o) => o.value === value);
}

/** Why a text that is kept in a date's place is no date. */
function checkTypedDate(text: string): ValueIssue {
  const read = readTypedDate(text);
  if (read.kind === "two ways") return { code: "two-dates", days: read.values };
  if (read.kind === "unreadable") return { code: read.why === "unclear" ? "not-a-date" : read.why };
  return { code: parseDay(read.value) === null ? "day-missing" : "not-a-date" };
}

function checkString(field: Field, office: Registers, value: string, beside: string | undefined): ValueIssue | null {
  switch (field.kind) {
    case "decimal":
      return checkDecimal(field, value);
    case "whole":
      return checkWhole(field, value);
    case "money":
      return checkMoney(field, value);
    case "statement":
      return checkStatement(field, value);
    case "date":
      return parseDay(value) !== null || (field.rough && parseRough(value)) ? null : checkTypedDate(value);
    case "email":
      return checkEmail(field, value);
    case "phone":
      return value.trim().startsWith("+") && isPossiblePhoneNumber(value) ? null : { code: "not-a-phone" };
    case "country":
      return country.safeParse(value).success ? null : { code: "not-in-list" };
    case "name":
      return /\d|\p{Cc}/u.test(value) ? { code: "digits-in-name" } : checkText(field, value);
    case "choice":
    case "scale":
    case "area":
    case "test":
    case "paper":
    case "graduateOf":
      return inOptions(field, office, value) ? null : { code: "not-in-list" };
    default:
      return checkText(field, value) ?? checkNumber(office, value, field.numberOf === undefined ? undefined : beside);
  }
}

function checkEmail(field: Field, value: string): ValueIssue | null {
  if (!email.safeParse(value).success) return { code: "not-an-email" };
  const domain = value.slice(value.lastIndexOf("@") + 1).toLowerCase();
  return field.institutional && isOpenMail(domain) ? { code: "open-to-anybody", domain } : null;
}

function checkNumber(office: Registers, value: string, paper: string | undefined): ValueIssue | null {
  const numbers = office.papers.find((p) => p.key === paper)?.numbers ?? [];
  return looksLike(value, numbers) ? null : { code: "not-this-number", like: numbers };
}

/**
 * Checks one typed value against its field. An empty value is never wrong here: gaps never hinder saving.
 * @param beside what the field beside it names (`fieldBeside`)
 */
export function checkValue(field: Field, office: Registers, value: Json, beside?: string): ValueIssue | null {
  if (value === null || value === "") return null;
  if (isNotKnown(value)) return field.mayBeUnknown && takesNotKnown(field) ? null : { code: "wrong-kind" };
  if (field.kind === "agree" || field.kind === "yesNo")
    return typeof value === "boolean" ? null : { code: "wrong-kind" };
  if (isListKind(field.kind)) return checkList(field, value);
  if (field.kind === "address") return checkAddress(value);
  if (field.kind === "scores") return checkScoresOf(office, beside, value);
  return typeof value === "string" ? checkString(field, office, value, beside) : { code: "wrong-kind" };
}
