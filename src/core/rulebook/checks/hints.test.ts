import { describe, expect, it } from "vitest";
import { PROGRAMMES } from "../../../demo/programmes";
import { mes } from "../../../demo/rulebooks/mes";
import { withCoreFields } from "../core-fields";
import { type RulebookBody, rulebookSchema } from "../rulebook";
import type { Section } from "../section";
import { rulebookHints } from "./hints";
import { partTitle, placeOf } from "./part-place";

const body = rulebookSchema.parse(mes);
const hinted = (change: Partial<RulebookBody>) =>
  rulebookHints({ ...body, ...change }).map((h) => `${h.code} ${h.about}`);
const WORDS = { en: "Extra", fr: "De plus" };

describe("what is probably not meant in a rulebook", () => {
  it.each(PROGRAMMES.map((p) => [p.programme.code, p.rulebook] as const))("is nothing in %s", (_, own) =>
    expect(rulebookHints(rulebookSchema.parse(own))).toEqual([]),
  );

  const rule = (condition: RulebookBody["entryRules"][number]["rule"]) => ({
    entryRules: [{ key: "extra", title: WORDS, rule: condition, curable: null }],
  });
  it.each<readonly [string, Partial<RulebookBody>, readonly string[]]>([
    ["a rule as it was made", rule({ op: "fact", fact: "start", is: "known" }), ["always-true extra"]],
    ["a rule of no parts", rule({ op: "all", of: [{ op: "all", of: [] }] }), ["always-true extra"]],
    [
      "a fee of nought that nothing waits for",
      { fees: [...body.fees, { key: "tip", title: WORDS, per: "file", currency: "EUR", amounts: [] }] },
      ["fee-of-nought tip", "fee-unasked tip"],
    ],
    [
      "a reduction that is none",
      {
        fees: body.fees.map((f) => ({
          ...f,
          reductions: [{ title: WORDS, when: { op: "fact", fact: "group", is: "known" }, amounts: f.amounts }],
        })),
      },
      ["no-reduction handling"],
    ],
    [
      "a section that nobody has to fill in",
      { sections: [...body.sections, { key: "hats", core: null, scope: "file", title: WORDS, fields: [] }] },
      ["section-unasked hats"],
    ],
  ])("%s", (_, change, expected) => expect(hinted(change)).toEqual(expected));

  it("a rule over what only the office reads", () => {
    const sections = body.sections.map((s) =>
      s.key === "motivation" || s.core !== null
        ? s
        : { ...s, fields: s.fields.map((f, i) => (i === 0 ? { ...f, seenBy: "office" as const } : f)) },
    );
    const own = sections.find((s) => s.core === null && s.fields[0]?.seenBy === "office");
    const fact = `answers.${own?.key}.${own?.fields[0]?.key}`;
    expect(hinted({ sections, ...rule({ op: "not", of: { op: "fact", fact, is: "known" } }) })).toContain(
      "office-fills-in extra",
    );
  });
});

describe("the place of what is said of a rulebook", () => {
  it("is found by key, and called by its titles", () => {
    const field = body.sections.find((s) => s.key === "person")?.fields[0];
    const about = `person.${field?.key}: English`;
    expect(placeOf(body, { about })).toEqual({ area: "sections", index: 0, field: 0 });
    expect(partTitle(body, { about })).toBe(`${body.sections[0]?.title.en}: ${field?.title.en}`);
    expect(placeOf(body, { about: "passport", area: "requirements" })?.area).toBe("requirements");
    expect([placeOf(body, { about: "nowhere.at: all" }), partTitle(body, { about: "nowhere.at: all" })]).toEqual([
      null,
      "nowhere.at",
    ]);
  });
});

describe("a section of a known kind", () => {
  const section: Section = { key: "writers", core: "referees", scope: "file", title: WORDS, fields: [] };
  it("gets what its kind needs, once, and keeps what is there", () => {
    const whole = withCoreFields(section);
    expect(whole.fields.map((f) => `${f.key} ${f.kind}`)).toEqual(["name name", "email email", "role choice"]);
    expect(withCoreFields(whole)).toBe(whole);
    expect(withCoreFields({ ...section, core: null }).fields).toEqual([]);
  });
});
