import { describe, expect, it } from "vitest";
import { RETURN_REASONS } from "../core/evidence/return-reasons";
import { STEP_KINDS } from "../core/file/result";
import { TEMPLATES } from "../core/mail/templates";
import { REASONS } from "../core/record/outcome";
import { STANDINGS } from "../core/rulebook/requirement";
import { formatDate, formatMoment, formatMoney } from "./format";
import { isTextKey, pickLocale, sentence } from "./sentence";
import { en } from "./sentences/en";
import { fr } from "./sentences/fr";
import { countryOptions } from "./words/code-lists";
import { builtInWords, faultOf, fieldsOf, sampleValues } from "./words/mail-words";
import { renderMail } from "./words/render-mail";

describe("the catalogues", () => {
  it.each(Object.keys(en) as (keyof typeof en)[])("%s says the same in both languages and can be printed", (key) => {
    const names = fieldsOf(en[key]) ?? [];
    expect(fieldsOf(fr[key])).toEqual(names);
    for (const locale of ["en", "fr"] as const)
      expect(sentence(locale, key, Object.fromEntries(names.map((n) => [n, 2])))).not.toMatch(/[{}]/u);
  });

  it.each([
    ...REASONS.map((r) => `refused.${r}`),
    ...STEP_KINDS.map((k) => `next.${k}`),
    ...STANDINGS.map((s) => `standing.${s}`),
    ...RETURN_REASONS.map((r) => `return.${r}`),
    ...TEMPLATES.flatMap((t) => [`mail.${t}.subject`, `mail.${t}.body`]),
  ])("there is a sentence for %s", (key) => expect(isTextKey(key)).toBe(true));

  it.each([
    [undefined, "fr-CA,en;q=0.8", "fr"],
    [undefined, "de,fr;q=0.5", "fr"],
    [undefined, null, "en"],
    ["en", "fr", "en"],
    ["xx", "fr", "fr"],
  ])("the language of a reader who chose %s and whose browser asks for %s is %s", (chosen, asked, locale) =>
    expect(pickLocale(chosen, asked)).toBe(locale),
  );
});

describe("dates, moments and money", () => {
  it.each([
    ["en", "2027-02-03", "3 Feb 2027"],
    ["fr", "2027-02-03", "3 févr. 2027"],
  ] as const)("in %s %s is %s", (locale, date, shown) => expect(formatDate(locale, date)).toBe(shown));
  it("a closing is another day elsewhere, and the zone decides", () => {
    expect(formatMoment("en", "2027-01-15T23:00:00Z", "Europe/Berlin")).toBe("16 Jan 2027, 00:00");
    expect(formatMoment("en", "2027-01-15T23:00:00Z", "Pacific/Pago_Pago")).toBe("15 Jan 2027, 12:00");
  });
  it.each([
    ["en", 6000, "EUR", "60.00 EUR"],
    ["fr", 123456, "EUR", "1 234,56 EUR"],
    ["en", 500, "JPY", "500 JPY"],
    ["en", 1500, "KWD", "1.500 KWD"],
  ] as const)("in %s %i minor units of %s: %s", (locale, minor, currency, shown) =>
    expect(formatMoney(locale, { minor, currency }).replace(/\s/gu, " ")).toBe(shown),
  );
  it("countries stand in the reader's order, those without a country among them", () => {
    const french = countryOptions("fr").map((o) => o.label);
    expect(french).toContain("Apatride");
    expect(french.indexOf("Égypte")).toBeLessThan(french.indexOf("Finlande"));
  });
});

describe("mails", () => {
  it("name the document in the reader's language and say why it goes back", () => {
    const values = {
      name: "Élodie",
      number: "27-00008",
      documentEn: "Transcript of records",
      documentFr: "Relevé de notes",
      reasonTextEn: "Pages are missing.",
      reasonTextFr: "Des pages manquent.",
      text: "Page 2.",
      due: "2026-12-09",
      link: "/my/27-00008",
    };
    const mail = renderMail("fr", "evidence-returned", values, "https://apply.example.org");
    expect(mail.subject).toBe("No 27-00008 : à fournir de nouveau : Relevé de notes");
    expect(mail.body).toContain("Des pages manquent. Page 2.");
    expect(mail.body).toContain("9 déc. 2026");
    expect(mail.body).toContain("https://apply.example.org/my/27-00008");
  });
  it.each(TEMPLATES)("%s is read with made-up values in both languages, and keeps its link", (template) => {
    for (const locale of ["en", "fr"] as const) {
      const { subject, body } = renderMail(locale, template, sampleValues(template), "https://apply.example");
      expect(`${subject}${body}`).not.toMatch(/[{}]|undefined|NaN/u);
      expect(faultOf(template, builtInWords(locale, template))).toBeNull();
    }
  });
  it.each([
    ["a brace that stands open", "{number", "{link}", { kind: "braces" }],
    ["a field of another mail", "{number}", "{moment} {link}", { kind: "unknown field", fields: ["moment"] }],
    ["no way on", "{number}", "Please answer by {due}.", { kind: "no link" }],
    ["nothing wrong", "{number}, {name}", "It’s here: {link}", null],
  ])("say what is wrong with words of the office: %s", (_, subject, body, fault) =>
    expect(faultOf("asked", { subject, body })).toEqual(fault),
  );
  it("take a name for a name: in one line, and leading nowhere", () => {
    const greeting = (name: string) => renderMail("en", "confirm-address", { name }, null).body.split("\n")[0];
    expect(greeting("Kit\n\nPay at https://evil.example/x now\u202e")).toBe("Dear Kit Pay at … now,");
    expect(greeting("Go to www.evil.example")).toBe("Dear Go to …,");
    expect(greeting("Ana-María O’Brien, jr.")).toBe("Dear Ana-María O’Brien, jr.,");
    expect(greeting("x".repeat(500))).toHaveLength("Dear ,".length + 120);
  });
  it("show no link in the copy that stays in the account", () =>
    expect(renderMail("en", "confirm-address", { name: "Kit" }, null).body).toContain(
      "(The link was in the mail itself.)",
    ));
});
