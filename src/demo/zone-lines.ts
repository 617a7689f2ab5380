import { zoneCountry } from "../core/people/compare-zone";
import { checkDigit, zoneNames } from "../core/people/travel-document";
import type { Profile } from "./profile";

const LINE = 44;
const NUMBER = 9;

/** The two machine-readable lines of an invented passport. */
export function zoneLines(p: Profile): readonly [string, string] {
  const country = zoneCountry(p.citizenships[0] ?? "").padEnd(3, "<");
  const part = (name: string) => zoneNames(name)[0].replace(/ /gu, "<");
  const names = p.given === "" ? part(p.family) : `${part(p.family)}<<${part(p.given)}`;
  const digit = (field: string) => checkDigit(field) ?? "<";
  const number = p.passportNumber
    .toUpperCase()
    .replace(/[^A-Z0-9]/gu, "")
    .slice(0, NUMBER)
    .padEnd(NUMBER, "<");
  const day = (date: string) => date.replace(/-/gu, "").slice(2);
  const birth = day(p.birthDate);
  const expiry = day(p.passportOnPaper ?? p.passportExpiry);
  const checked = [number, birth, expiry].map((field) => field + digit(field));
  const optional = `${"<".repeat(14)}<`;
  const composite = digit(checked.join("") + optional);
  return [
    `P<${country}${names}`.slice(0, LINE).padEnd(LINE, "<"),
    `${checked[0]}${country}${checked[1]}<${checked[2]}${optional}${composite}`,
  ];
}
