import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { language } from "../../demo/rulebooks/parts/language";
import { schools } from "../../demo/rulebooks/parts/school";
import { education } from "../../demo/rulebooks/parts/studies";
import { readEntitlements, writeEntitlements } from "../rulings/entitlement-table";
import { caseFields, caseOf, caseTitle, type Entitlement, entitledBy, nearnessOf, type RuledCase } from "./ruled-case";

const about = (change: Partial<RuledCase> = {}): RuledCase => ({
  country: "PT",
  institution: "Universidade de Alvor",
  title: "Mestrado em Ciências do Mar",
  level: "7",
  ...change,
});

describe("where a case stands in a section", () => {
  it.each([
    [education, { country: "country", institution: "institution", title: "title", level: "level" }],
    [language, { country: "country", institution: "place", title: "ground", level: null }],
    [schools, { country: "country", institution: "name", title: "stage", level: null }],
  ])("%#: by what its fields are", (section, fields) => expect(caseFields(section)).toEqual(fields));

  it("what is not known is empty", () =>
    expect(caseOf(caseFields(education), (field) => (field === "country" ? "PT" : null))).toEqual({
      country: "PT",
      institution: "",
      title: "",
      level: "",
    }));

  it("a picked title has a name in each language, a typed one is as it was typed", () => {
    expect(caseTitle(language, about({ title: "work" })).fr).toBe("Deux ans de travail en anglais");
    expect(caseTitle(education, about()).fr).toBe("Mestrado em Ciências do Mar");
  });
});

describe("how near an earlier case is", () => {
  it.each([
    ["in all that is known", about(), "same"],
    [
      "with another spelling",
      about({ institution: "UNIVERSIDADE DE ALVOR", title: "Mestrado em Ciencias do Mar" }),
      "same",
    ],
    ["another title there", about({ title: "Mestrado em Direito" }), "same institution"],
    ["another level there", about({ level: "6" }), "same institution"],
    ["elsewhere in the country", about({ institution: "Instituto do Sal", title: "Mestrado" }), "same country"],
    ["elsewhere, another level", about({ institution: "Instituto do Sal", level: "6" }), null],
    ["in another country", about({ country: "BR" }), null],
    ["an institution that nobody named is like no other", about({ institution: "" }), "same country"],
  ])("%s", (_, before, near) => expect(nearnessOf(about(), before)).toBe(near));
});

describe("a list of what is accepted", () => {
  const accepts = (entry: Entitlement, change: Partial<RuledCase> = {}) =>
    entitledBy({ entries: [entry] }, about(change)) !== undefined;

  it.each<readonly [string, Entitlement, boolean]>([
    ["a whole country", { country: "PT" }, true],
    ["another country", { country: "ES" }, false],
    ["a level", { country: "PT", level: "7" }, true],
    ["another level", { country: "PT", level: "6" }, false],
    ["words of the title in any order, accents forgiven", { country: "PT", title: "ciencias mestrado" }, true],
    ["a word that does not occur", { country: "PT", title: "mestrado direito" }, false],
    ["a part of a word is not the word", { country: "PT", title: "mestra" }, false],
    ["an institution", { country: "PT", institution: "universidade de ALVOR" }, true],
    ["another institution", { country: "PT", institution: "Instituto do Sal" }, false],
  ])("%s", (_, entry, expected) => expect(accepts(entry)).toBe(expected));

  it("never accepts what is not known", () => {
    expect(accepts({ country: "PT", level: "7" }, { level: "" })).toBe(false);
    expect(accepts({ country: "PT", institution: "Universidade de Alvor" }, { institution: "" })).toBe(false);
    expect(accepts({ country: "PT" }, { country: "" })).toBe(false);
  });
});

describe("the list as a table", () => {
  const words = fc.string({ minLength: 1, maxLength: 40 }).filter((s) => s.trim() === s && !s.includes("\r"));
  const entry = fc.record(
    { country: fc.constantFrom("PT", "FR", "DE"), institution: words, title: words, level: fc.constantFrom("6", "7") },
    { requiredKeys: ["country"] },
  );

  it("comes back as it went out, whatever stands in it", () =>
    fc.assert(
      fc.property(fc.uniqueArray(entry, { selector: (e) => JSON.stringify(e), maxLength: 20 }), (entries) => {
        const back = readEntitlements(writeEntitlements(entries));
        expect(back.wrong).toEqual([]);
        expect(back.entries).toEqual(entries);
      }),
    ));

  it.each<readonly [string, string, readonly Entitlement[], readonly string[]]>([
    ["columns in another order and language", "Diplôme;Pays\nMaster;fr\n", [{ country: "FR", title: "Master" }], []],
    ["a line twice", "country,level\nPT,7\nPT,7\n", [{ country: "PT", level: "7" }], []],
    ["a country in words", "country,level\nPortugal,7\nPT,6\n", [{ country: "PT", level: "6" }], ["2 country"]],
    ["no name of a column", "PT,7\nFR,7\n", [], ["1 columns"]],
    ["nothing at all", "", [], ["1 columns"]],
    ["a text that is too long", `country,title\nPT,${"x".repeat(400)}\n`, [], ["2 too-long"]],
  ])("%s", (_, text, entries, wrong) => {
    const read = readEntitlements(text);
    expect([read.entries, read.wrong.map((w) => `${w.line} ${w.what}`)]).toEqual([entries, wrong]);
  });

  it("never fails on a broken file", () =>
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), (text) => {
        expect(Array.isArray(readEntitlements(text).entries)).toBe(true);
      }),
    ));
});
