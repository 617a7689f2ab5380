import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { INSTITUTION_KINDS, type InstitutionInput, RECOGNITIONS } from "./institution";
import { readRegister, writeRegister } from "./register-table";

const one = (change: Partial<InstitutionInput> = {}): InstitutionInput => ({
  name: "Universidade de Alvor",
  otherNames: ["Alvor University", "UdA"],
  country: "PT",
  kind: "university",
  languages: ["pt", "en"],
  scales: ["to20"],
  creditsPerYear: 60,
  recognition: "recognised",
  note: "Seen in 2025, “as stated”",
  fingerprints: [],
  ...change,
});

describe("the register as a table", () => {
  const name = fc
    .string({ minLength: 2, maxLength: 40 })
    .filter((s) => s.trim() === s && s.length > 1 && !/[|;\r]/u.test(s));
  const institution = fc.record({
    name: name.filter((s) => /[a-z]/u.test(s)),
    otherNames: fc.array(name, { maxLength: 3 }),
    country: fc.constantFrom("PT", "FR", "NG"),
    kind: fc.constantFrom(...INSTITUTION_KINDS),
    languages: fc.array(fc.constantFrom("pt", "en", "fr"), { maxLength: 3 }),
    scales: fc.array(fc.constantFrom("to20", "down6"), { maxLength: 2 }),
    creditsPerYear: fc.option(fc.integer({ min: 1, max: 2000 })),
    recognition: fc.constantFrom(...RECOGNITIONS),
    note: fc.string({ maxLength: 60 }).filter((s) => s.trim() === s && !s.includes("\r")),
    fingerprints: fc.constant([] as string[]),
  });

  it("comes back as it went out", () =>
    fc.assert(
      fc.property(
        fc.uniqueArray(institution, { selector: (i) => `${i.name.toLowerCase()} ${i.country}`, maxLength: 8 }),
        (all) => {
          const back = readRegister(writeRegister(all));
          expect(back.wrong).toEqual([]);
          for (const i of back.institutions) expect(all).toContainEqual(i);
        },
      ),
    ));

  it.each<readonly [string, string, readonly string[], readonly string[]]>([
    ["the least that is needed", "name,country\nUniversidade de Alvor,pt\n", ["Universidade de Alvor PT other"], []],
    [
      "columns in any order, pasted",
      "Country\tKind\tName\nFR\tschool\tLycée du Port\n",
      ["Lycée du Port FR school"],
      [],
    ],
    ["a name twice: its last line", "name,country,kind\nAlvor,PT,school\nALVOR,PT,college\n", ["ALVOR PT college"], []],
    ["a kind that there is not", "name,country,kind\nAlvor,PT,academy\nMerrow,IE,\n", ["Merrow IE other"], ["2 kind"]],
    ["a country in words", "name,country\nAlvor,Portugal\n", [], ["2 country"]],
    ["credits that are no number", "name,country,credits of a year\nAlvor,PT,many\n", [], ["2 credits of a year"]],
    ["no name", "name,country\n,PT\n", [], ["2 name"]],
    ["no names of columns", "Alvor,PT\n", [], ["1 null"]],
    ["nothing", "", [], ["1 null"]],
  ])("%s", (_, text, found, wrong) => {
    const read = readRegister(text);
    expect([
      read.institutions.map((i) => `${i.name} ${i.country} ${i.kind}`),
      read.wrong.map((w) => `${w.line} ${w.column}`),
    ]).toEqual([found, wrong]);
  });

  it("keeps several names in one cell apart, and texts with commas and quotes whole", () =>
    expect(readRegister(writeRegister([one()])).institutions).toEqual([one()]));

  it("never fails on a broken file", () =>
    fc.assert(
      fc.property(fc.string({ maxLength: 400 }), (text) => {
        expect(readRegister(`name,country\n${text}`).institutions.every((i) => i.name.length > 1)).toBe(true);
      }),
    ));
});
