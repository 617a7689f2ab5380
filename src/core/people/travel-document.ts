/** The machine-readable zone of passports and cards (ICAO Doc 9303). */
const WEIGHTS = [7, 3, 1] as const;

function signValue(sign: string): number {
  if (sign === "<") return 0;
  const digit = "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ".indexOf(sign);
  return digit < 0 ? Number.NaN : digit;
}

/** The check digit over a field: values weighted 7, 3, 1, their sum modulo 10. Null where a sign may not stand there. */
export function checkDigit(field: string): string | null {
  const sum = [...field].reduce((all, sign, i) => all + signValue(sign) * (WEIGHTS[i % 3] ?? 0), 0);
  return Number.isNaN(sum) ? null : String(sum % 10);
}

/** The part whose check digit does not fit. */
export type ZoneError = "documentNumber" | "birthDate" | "expiry" | "optional" | "composite";

export interface TravelDocument {
  readonly errors: readonly ZoneError[];
  readonly issuer: string;
  readonly family: string;
  readonly given: string;
  readonly number: string;
  readonly nationality: string;
  /** As it stands there, `740812`; unknown parts are `<<`. */
  readonly birth: string;
  readonly sex: string;
  readonly expiry: string;
}

const blanks = (text: string): string => text.replace(/</gu, " ").replace(/ +/gu, " ").trim();

function namesOf(field: string): { readonly family: string; readonly given: string } {
  const [family = "", ...given] = field.replace(/<+$/u, "").split("<<");
  return { family: blanks(family), given: blanks(given.join(" ")) };
}

interface Checked {
  readonly name: ZoneError;
  readonly field: string;
  readonly digit: string;
}

function failed(checks: readonly Checked[]): readonly ZoneError[] {
  return checks.filter(({ field, digit }) => checkDigit(field) !== digit).map((c) => c.name);
}

/** Optional data without anything in it may have a filler for its digit. */
const optional = (field: string, digit: string): readonly Checked[] =>
  /^<*$/u.test(field) && digit === "<" ? [] : [{ name: "optional", field, digit }];

const TD3_LINE = 44;
const TD2_LINE = 36;
const TD1_LINE = 30;

/** The second line of passports and of two-line cards, which differ in their length alone. */
function twoLines(first: string, second: string): TravelDocument {
  const end = second.length - 1;
  const passport = second.length === TD3_LINE;
  const rest = passport ? optional(second.slice(28, 42), second[42] ?? "") : [];
  const composite = second.slice(0, 10) + second.slice(13, 20) + second.slice(21, end);
  return {
    errors: failed([
      { name: "documentNumber", field: second.slice(0, 9), digit: second[9] ?? "" },
      { name: "birthDate", field: second.slice(13, 19), digit: second[19] ?? "" },
      { name: "expiry", field: second.slice(21, 27), digit: second[27] ?? "" },
      ...rest,
      { name: "composite", field: composite, digit: second[end] ?? "" },
    ]),
    issuer: blanks(first.slice(2, 5)),
    ...namesOf(first.slice(5)),
    number: second.slice(0, 9).replace(/</gu, ""),
    nationality: blanks(second.slice(10, 13)),
    birth: second.slice(13, 19),
    sex: second[20] ?? "<",
    expiry: second.slice(21, 27),
  };
}

/** Cards with three lines; a number longer than nine signs goes on in the optional data. */
function threeLines(first: string, second: string, third: string): TravelDocument {
  const long = first[14] === "<" ? /^([A-Z0-9]+)([0-9])(?=<|$)/u.exec(first.slice(15)) : null;
  const number = long ? first.slice(5, 14) + long[1] : first.slice(5, 14);
  return {
    errors: failed([
      { name: "documentNumber", field: number, digit: (long ? long[2] : first[14]) ?? "" },
      { name: "birthDate", field: second.slice(0, 6), digit: second[6] ?? "" },
      { name: "expiry", field: second.slice(8, 14), digit: second[14] ?? "" },
      {
        name: "composite",
        field: first.slice(5, 30) + second.slice(0, 7) + second.slice(8, 15) + second.slice(18, 29),
        digit: second[29] ?? "",
      },
    ]),
    issuer: blanks(first.slice(2, 5)),
    ...namesOf(third),
    number: number.replace(/</gu, ""),
    nationality: blanks(second.slice(15, 18)),
    birth: second.slice(0, 6),
    sex: second[7] ?? "<",
    expiry: second.slice(8, 14),
  };
}

/**
 * Reads the two lines of a passport (44 signs each) or the lines of a card (two of 36, or three of 30). Nothing is corrected: a number
 * whose check digit is wrong was misread or mistyped, and somebody has to look.
 * @returns null when the lines are not of a travel document
 */
export function readZone(text: string): TravelDocument | null {
  const lines = text
    .toUpperCase()
    .split(/\s*\n\s*/u)
    .map((line) => line.replace(/\s/gu, ""))
    .filter((line) => line !== "");
  if (lines.some((line) => /[^A-Z0-9<]/u.test(line))) return null;
  const [first = "", second = "", third = ""] = lines;
  const lengths = lines.map((line) => line.length).join(" ");
  if (lengths === `${TD3_LINE} ${TD3_LINE}` || lengths === `${TD2_LINE} ${TD2_LINE}`) return twoLines(first, second);
  return lengths === `${TD1_LINE} ${TD1_LINE} ${TD1_LINE}` ? threeLines(first, second, third) : null;
}

const CENTURY = 100;
const EXPIRY_BACK = 20;

/**
 * A date of the zone with its century. A birth is the latest such year that is not after today; an expiry lies within twenty years
 * before and seventy-nine years after this one.
 * @param today `2026-11-25`
 * @returns as much of the date as is known, `1974-08-12`, `1974-08` or `1974`; null where the year is not
 */
export function zoneDate(yymmdd: string, kind: "birth" | "expiry", today: string): string | null {
  const [year, month = "", day = ""] = [yymmdd.slice(0, 2), yymmdd.slice(2, 4), yymmdd.slice(4, 6)];
  if (!/^\d\d$/u.test(year ?? "")) return null;
  const rest = [month, day].reduce((date, part) => (/^\d\d$/u.test(part) ? `${date}-${part}` : date), "");
  const thisYear = Number(today.slice(0, 4));
  let full = Math.floor(thisYear / CENTURY) * CENTURY + Number(year);
  if (kind === "birth") {
    while (`${full}${rest}` > today) full -= CENTURY;
  } else {
    while (full < thisYear - EXPIRY_BACK) full += CENTURY;
    while (full > thisYear + CENTURY - 1 - EXPIRY_BACK) full -= CENTURY;
  }
  return `${full}${rest}`;
}

const SPELT: Readonly<Record<string, readonly [string, string]>> = {
  Ä: ["AE", "A"],
  Å: ["AA", "A"],
  Ö: ["OE", "O"],
  Ü: ["UE", "U"],
  Ø: ["OE", "O"],
  Æ: ["AE", "AE"],
  ß: ["SS", "SS"],
  Ñ: ["N", "N"],
  Þ: ["TH", "TH"],
  Ð: ["D", "D"],
  Ł: ["L", "L"],
};

/** A name as the zone writes it, in both spellings that countries use. */
export function zoneNames(name: string): readonly [string, string] {
  const write = (which: 0 | 1) =>
    [...name.normalize("NFC").replace(/ß/gu, "SS").toUpperCase()]
      .map((sign) => SPELT[sign]?.[which] ?? sign)
      .join("")
      .normalize("NFKD")
      .replace(/[\p{M}'’ʼ`.]/gu, "")
      .replace(/[^A-Z]+/gu, " ")
      .trim();
  return [write(0), write(1)];
}

/** The shortest field of names, that of cards with three lines: names that fill it may have been cut. */
const LEAST_NAMES = 30;

/** Whether the names of a document fill their field, so that they may have been cut. */
export function mayBeCut({ family, given }: Pick<TravelDocument, "family" | "given">): boolean {
  return family.length + given.length + 2 >= LEAST_NAMES;
}

/** Whether a name could stand for what the zone says; of names that may have been cut only the common beginning is compared. */
export function fitsZone(name: string, zone: string, cut: boolean): boolean {
  return zoneNames(name).some((written) => written === zone || (cut && zone !== "" && written.startsWith(zone)));
}
