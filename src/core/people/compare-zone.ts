import countries from "i18n-iso-countries/index.js";
import { fitsZone, mayBeCut, type TravelDocument, zoneDate } from "./travel-document";

/** What an applicant states of a travel document; "" or empty where nothing is stated. */
export interface DocumentClaims {
  readonly given: string;
  readonly family: string;
  readonly birthDate: string;
  readonly citizenships: readonly string[];
  readonly number: string;
  readonly expiry: string;
}

export interface ZoneLine {
  readonly what: keyof DocumentClaims;
  /** As the zone says it: names in its own spelling, dates whole, the country as it is coded elsewhere. */
  readonly zone: string;
  /** Null where nothing is claimed. */
  readonly fits: boolean | null;
}

/** Codes of travel documents that ISO 3166 writes differently or not at all (ICAO Doc 9303, part 3). */
const ICAO: Readonly<Record<string, string>> = {
  D: "DE",
  GBD: "GB",
  GBN: "GB",
  GBO: "GB",
  GBP: "GB",
  GBS: "GB",
  RKS: "XK",
};

/** The alpha-2 code of a nationality in the zone; codes for stateless people and refugees stay as they are. */
export function countryOfZone(code: string): string {
  return ICAO[code] ?? countries.alpha3ToAlpha2(code) ?? code;
}

/** The code that the zone has for a country. */
export function zoneCountry(alpha2: string): string {
  return alpha2 === "DE" ? "D" : (countries.alpha2ToAlpha3(alpha2) ?? alpha2);
}

const plain = (text: string): string => text.toUpperCase().replace(/[^A-Z0-9]/gu, "");

/**
 * Holds the zone of a travel document against what is claimed. Names fit in either spelling that countries use; of several citizenships
 * one is enough.
 * @param today `2026-11-25`
 */
export function compareZone(zone: TravelDocument, claims: DocumentClaims, today: string): readonly ZoneLine[] {
  const country = countryOfZone(zone.nationality);
  const cut = mayBeCut(zone);
  const birth = zoneDate(zone.birth, "birth", today) ?? "";
  const expiry = zoneDate(zone.expiry, "expiry", today) ?? "";
  const line = (what: keyof DocumentClaims, said: string, claimed: boolean, fits: boolean): ZoneLine => ({
    what,
    zone: said,
    fits: claimed ? fits : null,
  });
  return [
    line("family", zone.family, claims.family !== "", fitsZone(claims.family, zone.family, cut)),
    // Who has one name has no given names there, either.
    line("given", zone.given, claims.given !== "" || zone.given === "", fitsZone(claims.given, zone.given, cut)),
    // An unknown day or month in the zone fits any.
    line("birthDate", birth, claims.birthDate !== "", birth !== "" && claims.birthDate.startsWith(birth)),
    line("citizenships", country, claims.citizenships.length > 0, claims.citizenships.includes(country)),
    line("number", zone.number, claims.number !== "", plain(claims.number) === zone.number),
    line("expiry", expiry, claims.expiry !== "", claims.expiry === expiry),
  ];
}
