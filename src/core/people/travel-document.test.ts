import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { vectorsOf } from "../../../tests/support/vectors";
import { checkDigit, fitsZone, mayBeCut, readZone, zoneDate, zoneNames } from "./travel-document";

describe("check digits", () => {
  it.each(vectorsOf<{ field: string }, string>("mrzCheck"))("%s", (_, { input, expected }) =>
    expect(checkDigit(input.field)).toBe(expected),
  );
  it("there is none over a sign that may not stand there", () => expect(checkDigit("A-1")).toBeNull());
  it("change with any single digit", () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[0-9]{6}$/u), fc.nat(5), fc.integer({ min: 1, max: 9 }), (field, at, by) => {
        const digit = (Number(field[at]) + by) % 10;
        return checkDigit(field) !== checkDigit(field.slice(0, at) + digit + field.slice(at + 1));
      }),
    );
  });
});

const FIRST = "P<UTOERIKSSON<<ANNA<MARIA<<<<<<<<<<<<<<<<<<<";
const SECOND = "L898902C36UTO7408122F1204159ZE184226B<<<<<10";

describe("the machine-readable zone", () => {
  it.each(vectorsOf<{ line1: string; line2: string }, { ok: boolean }>("mrzTd3"))("%s", (_, { input, expected }) => {
    const read = readZone(`${input.line1}\n${input.line2}`);
    expect(read && { ok: read.errors.length === 0, ...read }).toEqual(expected);
  });
  it("is read in lower case and with blanks, as people type it", () =>
    expect(readZone(`  ${FIRST.toLowerCase()} \r\n\n ${SECOND.slice(0, 20)} ${SECOND.slice(20)}`)?.errors).toEqual([]));
  it("of a two-line card", () =>
    expect(readZone("I<UTOERIKSSON<<ANNA<MARIA<<<<<<<<<<<\nD231458907UTO7408122F1204159<<<<<<<6")).toMatchObject({
      errors: [],
      family: "ERIKSSON",
      number: "D23145890",
    }));
  it("of a three-line card", () =>
    expect(
      readZone("I<UTOD231458907<<<<<<<<<<<<<<<\n7408122F1204159UTO<<<<<<<<<<<6\nERIKSSON<<ANNA<MARIA<<<<<<<<<<"),
    ).toMatchObject({ errors: [], given: "ANNA MARIA", nationality: "UTO", birth: "740812", expiry: "120415" }));
  it("of a person with one name", () => {
    const first = "P<UTOSUHARTI<<<<<<<<<<<<<<<<<<<<<<<<<<<<<<<<";
    expect(readZone(`${first}\n${SECOND}`)).toMatchObject({ family: "SUHARTI", given: "" });
  });
  it.each([
    ["one line", FIRST],
    ["a line cut off", `${FIRST}\n${SECOND.slice(1)}`],
    ["signs that do not belong there", `${FIRST.replace("<", "?")}\n${SECOND}`],
    ["nothing", ""],
  ])("%s is none", (_, text) => expect(readZone(text)).toBeNull());
  it("never passes with one digit of a date changed", () => {
    fc.assert(
      fc.property(fc.integer({ min: 13, max: 18 }), fc.integer({ min: 1, max: 9 }), (at, by) => {
        const digit = (Number(SECOND[at]) + by) % 10;
        const read = readZone(`${FIRST}\n${SECOND.slice(0, at)}${digit}${SECOND.slice(at + 1)}`);
        return read?.errors.includes("birthDate") === true;
      }),
    );
  });
  it("never throws, whatever is pasted", () => {
    fc.assert(
      fc.property(fc.array(fc.string({ unit: "grapheme", maxLength: 50 }), { maxLength: 4 }), (lines) => {
        readZone(lines.join("\n"));
        return true;
      }),
    );
  });
});

describe("dates in the zone", () => {
  it.each(vectorsOf<{ yymmdd: string; kind: "birth" | "expiry"; today: string }, string>("century"))(
    "%s",
    (_, { input, expected }) => expect(zoneDate(input.yymmdd, input.kind, input.today)).toBe(expected),
  );
  it.each([
    ["261125", "birth", "2026-11-25"],
    ["261126", "birth", "1926-11-26"],
    ["0402<<", "birth", "2004-02"],
    ["04<<<<", "birth", "2004"],
    ["<<<<<<", "birth", null],
    ["060101", "expiry", "2006-01-01"],
    ["050101", "expiry", "2105-01-01"],
  ] as const)("%s as a %s is %s", (text, kind, expected) => expect(zoneDate(text, kind, "2026-11-25")).toBe(expected));
});

describe("names in the zone", () => {
  it.each([
    ["Müller", ["MUELLER", "MULLER"]],
    ["Åse Groß-Ørsted", ["AASE GROSS OERSTED", "ASE GROSS ORSTED"]],
    ["O’Brien", ["OBRIEN", "OBRIEN"]],
    ["Łukasz Muñoz", ["LUKASZ MUNOZ", "LUKASZ MUNOZ"]],
  ])("%s is written %j", (name, expected) => expect(zoneNames(name)).toEqual(expected));
  it.each([
    ["Müller", "MULLER", true],
    ["Müller", "MUELLER", true],
    ["Miller", "MUELLER", false],
    ["Anneliese Wilhelmina", "ANNELIESE WIL", false],
    ["Ann", "ANNA", false],
    ["", "", true],
  ])("%s fits %s: %s", (name, zone, fits) => expect(fitsZone(name, zone, false)).toBe(fits));
  it("that fill their field may have been cut", () => {
    expect(fitsZone("Anneliese Wilhelmina", "ANNELIESE WIL", true)).toBe(true);
    expect(fitsZone("Anna", "ANNELIESE WIL", true)).toBe(false);
    expect(mayBeCut({ family: "VON DER VOGTLIN HAASENSTEIN", given: "ANNELIESE W" })).toBe(true);
    expect(mayBeCut({ family: "ERIKSSON", given: "ANNA MARIA" })).toBe(false);
  });
});
