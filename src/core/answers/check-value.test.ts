import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { referenceSet } from "../../demo/reference-set";
import type { Json } from "../file/facts";
import { type Field, fieldSchema } from "../rulebook/section";
import { checkValue } from "./check-value";
import { NOT_KNOWN } from "./not-known";

const title = { en: "A field", fr: "Un champ" };
const field = (kind: Field["kind"], more: Partial<Field> = {}): Field =>
  fieldSchema.parse({ key: "field", kind, title, required: true, ...more });
const options = [{ value: "a", title }];
const code = (kind: Field["kind"], value: Json, more: Partial<Field> = {}, test?: string) =>
  checkValue(field(kind, more), referenceSet, value, test)?.code ?? "fine";
const KINDS = fieldSchema.shape.kind.options;

describe("a typed value", () => {
  it.each<[Field["kind"], Json, string, Partial<Field>?]>([
    ["text", "x".repeat(2000), "fine"],
    ["text", "x".repeat(2001), "too-long"],
    ["text", "abcd", "too-long", { most: 3 }],
    ["text", "🌊🌊🌊", "fine", { most: 3 }],
    ["longText", "x".repeat(20_000), "fine"],
    ["longText", "x".repeat(20_001), "too-long"],
    ["text", 5, "wrong-kind"],
    ["text", ["a"], "wrong-kind"],
    ["name", "Adaeze", "fine"],
    ["name", "Ní Dhónaill-O’Shea", "fine"],
    ["name", "王小明", "fine"],
    ["name", "R2 D2", "digits-in-name"],
    ["name", "two\nlines", "digits-in-name"],
    ["date", "2027-02-28", "fine"],
    ["date", "2027-02-29", "no-such-day"],
    ["decimal", NOT_KNOWN, "fine", { mayBeUnknown: true }],
    ["address", NOT_KNOWN, "fine", { mayBeUnknown: true }],
    ["several", NOT_KNOWN, "fine", { mayBeUnknown: true, options }],
    ["decimal", NOT_KNOWN, "wrong-kind"],
    ["agree", NOT_KNOWN, "wrong-kind", { mayBeUnknown: true }],
    ["scores", NOT_KNOWN, "wrong-kind", { mayBeUnknown: true }],
    ["date", "28/02/2027", "not-a-date"],
    ["date", "2027", "day-missing"],
    ["date", "31.02.1999", "no-such-day"],
    ["date", "3/2/99", "short-year"],
    ["date", "soon", "not-a-date"],
    ["date", "2027", "fine", { rough: true }],
    ["date", "2027-02", "fine", { rough: true }],
    ["date", "2027-13", "not-a-date", { rough: true }],
    ["country", "SR", "fine"],
    ["country", "XXA", "fine"],
    ["country", "XXD", "not-in-list"],
    ["country", "sr", "not-in-list"],
    ["countries", ["SR", "NL"], "fine"],
    ["countries", [], "fine"],
    ["countries", ["Suriname"], "not-in-list"],
    ["countries", "SR", "wrong-kind"],
    ["decimal", "15.5", "fine"],
    ["decimal", "15,5", "fine"],
    ["decimal", "fifteen", "not-a-number"],
    ["decimal", "1e3", "not-a-number"],
    ["decimal", "-1", "out-of-range"],
    ["decimal", "61", "out-of-range", { least: 1, most: 60 }],
    ["decimal", "60", "fine", { least: 1, most: 60 }],
    ["email", "a.b@c.example", "fine"],
    ["email", "a.b@c", "not-an-email"],
    ["email", "nobody", "not-an-email"],
    ["phone", "+597 42 13 00", "fine"],
    ["phone", "(01) 555-0199", "not-a-phone"],
    ["phone", "+49 30 5550 1234", "fine"],
    ["whole", "12", "fine"],
    ["whole", "12.5", "not-whole"],
    ["whole", "101", "out-of-range", { most: 100 }],
    ["whole", "a dozen", "not-a-number"],
    ["money", "1250.50", "fine"],
    ["money", "1250,5", "fine"],
    ["money", "1250.505", "too-many-decimals"],
    ["money", "-1", "out-of-range"],
    ["statement", "one two three", "fine", { length: { unit: "words", least: 3, most: 3, strict: true } }],
    ["statement", "one two", "too-few-words", { length: { unit: "words", least: 3, most: 5, strict: true } }],
    ["statement", "a b c d e f", "too-many-words", { length: { unit: "words", most: 5, strict: true } }],
    ["statement", "a b c d e f", "fine", { length: { unit: "words", most: 5, strict: false } }],
    ["statement", "👩‍🔬👩‍🔬", "fine", { length: { unit: "characters", most: 2, strict: true } }],
    ["statement", "abc", "too-many-characters", { length: { unit: "characters", most: 2, strict: true } }],
    ["statement", "a\u0007b", "control-signs"],
    ["text", "tab\tand line\nbreak", "fine"],
    ["text", "bell \u0007", "control-signs"],
    ["several", ["a"], "fine", { options }],
    ["several", ["a", "a"], "not-in-list", { options }],
    ["several", ["b"], "not-in-list", { options }],
    ["ranked", [], "fine", { options, least: 1 }],
    ["ranked", ["a"], "pick-more", { options, least: 2 }],
    ["ranked", ["a", "b"], "pick-fewer", { options: [...options, { value: "b", title }], most: 1 }],
    ["ranked", "a", "wrong-kind", { options }],
    ["links", ["https://work.example/film"], "fine"],
    ["links", ["work.example"], "not-a-link"],
    ["links", ["javascript:alert(1)"], "not-a-link"],
    ["links", ["https://localhost/x"], "not-a-link"],
    ["links", ["https://a.example", "https://b.example"], "pick-fewer", { most: 1 }],
    ["address", { same: true }, "fine"],
    ["address", { street: "1 Quay", town: "Cork", country: "IE" }, "fine"],
    ["address", { street: "1 Quay", town: "Cork" }, "address-incomplete"],
    ["address", { street: "1 Quay", town: "Cork", country: "Ireland" }, "not-in-list"],
    ["address", { planet: "Mars" }, "wrong-kind"],
    ["address", "1 Quay, Cork", "wrong-kind"],
    ["phone", "call me", "not-a-phone"],
    ["phone", "12345", "not-a-phone"],
    ["choice", "a", "fine", { options }],
    ["choice", "b", "not-in-list", { options }],
    ["choice", "a", "not-in-list"],
    ["scale", "to20", "fine"],
    ["scale", "other", "fine"],
    ["scale", "to21", "not-in-list"],
    ["area", "natural", "fine"],
    ["area", "magic", "not-in-list"],
    ["test", "het", "fine"],
    ["test", "xyz", "not-in-list"],
    ["yesNo", false, "fine"],
    ["yesNo", "no", "wrong-kind"],
    ["agree", true, "fine"],
    ["agree", "yes", "wrong-kind"],
    ["email", "tove@gmx.net", "fine"],
    ["email", "tove@GMX.net", "open-to-anybody", { institutional: true }],
    ["email", "tove@mail.yahoo.co.uk", "open-to-anybody", { institutional: true }],
    ["email", "tove@gmx.halden.example", "fine", { institutional: true }],
    ["email", "tove@halden-sound.example", "fine", { institutional: true }],
  ])("of kind %s, %j, is %s", (kind, value, expected, more = {}) => expect(code(kind, value, more)).toBe(expected));

  it("names the limit that it passed, so that the sentence can", () => {
    expect(checkValue(field("text", { most: 3 }), referenceSet, "abcd")).toEqual({ code: "too-long", most: 3 });
    expect(checkValue(field("decimal", { least: 1, most: 60 }), referenceSet, "0")).toEqual({
      code: "out-of-range",
      least: 1,
      most: 60,
    });
  });

  it("of scores is judged by the test that the entry names; a part still to come is no mistake", () => {
    expect(code("scores", { L: "41" }, {}, "het")).toBe("fine");
    expect(checkValue(field("scores"), referenceSet, { L: "51", R: "43" }, "het")).toEqual({
      code: "scores",
      parts: [{ title: { en: "Listening", fr: "Écoute" }, least: 0, most: 50, step: 1 }],
    });
    expect(code("scores", { L: "41" })).toBe("fine"); // no test named yet
    expect(code("scores", { L: 41 }, {}, "het")).toBe("wrong-kind");
    expect(code("scores", "41", {}, "het")).toBe("wrong-kind");
    expect(code("scores", ["41"], {}, "het")).toBe("wrong-kind");
  });

  it.each([
    ["R4417720", "passport", "fine"],
    ["R44 17720", "passport", "fine"],
    ["R441772012", "passport", "not-this-number"],
    ["2008/0519", "birthCertificate", "fine"],
    ["2008-0519", "birthCertificate", "not-this-number"],
    ["2008-0519", "no such paper", "fine"],
    ["2008-0519", undefined, "fine"],
  ])("the number %s of %s: %s", (value, paper, expected) => {
    expect(code("text", value, { numberOf: "paper" }, paper)).toBe(expected);
    expect(code("text", value, {}, paper)).toBe("fine");
  });

  it("a paper is one of the office's, or of those that the form has left", () => {
    expect(code("paper", "passport")).toBe("fine");
    expect(code("paper", "library card")).toBe("not-in-list");
    expect(code("paper", "passport", { options })).toBe("not-in-list");
  });

  it("that is empty is never wrong: gaps never hinder saving", () => {
    for (const kind of KINDS) for (const empty of [null, ""]) expect(code(kind, empty)).toBe("fine");
  });

  it("of whatever kind and shape is answered, never thrown at", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...KINDS),
        fc.jsonValue(),
        fc.option(fc.constantFrom("het", "kle", "no such")),
        (kind, value, test) => {
          const issue = checkValue(field(kind), referenceSet, value as Json, test ?? undefined);
          return issue === null || issue.code.length > 0;
        },
      ),
      { numRuns: 2000 },
    );
  });
});
