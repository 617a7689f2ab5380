import { describe, expect, it } from "vitest";
import { compareZone, countryOfZone, type DocumentClaims, zoneCountry } from "./compare-zone";
import { readZone } from "./travel-document";

const ZONE = readZone("P<UTOERIKSSON<<ANNA<MARIA<<<<<<<<<<<<<<<<<<<\nL898902C36UTO7408122F1204159ZE184226B<<<<<10");
const CLAIMS: DocumentClaims = {
  given: "Anna Maria",
  family: "Eriksson",
  birthDate: "1974-08-12",
  citizenships: ["SE", "UTO"],
  number: "L 898902-C3",
  expiry: "2012-04-15",
};

function misfits(change: Partial<DocumentClaims>): readonly string[] {
  if (!ZONE) throw new Error("the specimen is not read");
  return compareZone(ZONE, { ...CLAIMS, ...change }, "2026-11-25")
    .filter((l) => l.fits !== true)
    .map((l) => `${l.what} ${l.fits === null ? "unstated" : "differs"}`);
}

describe("a travel document held against what is claimed", () => {
  it.each<[string, Partial<DocumentClaims>, readonly string[]]>([
    ["everything fits", {}, []],
    ["another day of birth", { birthDate: "1974-08-13" }, ["birthDate differs"]],
    ["given names left out", { given: "Anna" }, ["given differs"]],
    ["no given names stated", { given: "" }, ["given unstated"]],
    ["none of the citizenships", { citizenships: ["SE"] }, ["citizenships differs"]],
    ["a number with an O for a zero", { number: "L8989O2C3" }, ["number differs"]],
    ["an end that is claimed too late", { expiry: "2022-04-15" }, ["expiry differs"]],
  ])("%s", (_, change, expected) => expect(misfits(change)).toEqual(expected));

  it("says dates with their century and the country as it is coded elsewhere", () => {
    const lines = ZONE ? compareZone(ZONE, CLAIMS, "2026-11-25") : [];
    expect(lines.map((l) => l.zone)).toEqual([
      "ERIKSSON",
      "ANNA MARIA",
      "1974-08-12",
      "UTO",
      "L898902C3",
      "2012-04-15",
    ]);
  });
});

describe("countries of travel documents", () => {
  it.each([
    ["D", "DE"],
    ["SUR", "SR"],
    ["GBN", "GB"],
    ["RKS", "XK"],
    ["XXA", "XXA"],
    ["UTO", "UTO"],
  ])("%s is %s", (zone, country) => expect(countryOfZone(zone)).toBe(country));
  it.each([
    ["DE", "D"],
    ["SR", "SUR"],
    ["XXB", "XXB"],
  ])("%s is written %s", (country, zone) => expect(zoneCountry(country)).toBe(zone));
});
