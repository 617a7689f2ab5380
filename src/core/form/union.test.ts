import { describe, expect, it } from "vitest";
import { type Field, fieldSchema, type Section, sectionSchema } from "../rulebook/section";
import type { Condition } from "../rules/condition";
import { formConflicts, joinSections } from "./union";

const title = { en: "T", fr: "T" };
const field = (key: string, more: Partial<Field> = {}): Field =>
  fieldSchema.parse({ key, kind: "text", title, required: false, ...more });
const section = (fields: readonly Field[], more: Partial<Section> = {}): Section =>
  sectionSchema.parse({ key: "s", core: null, scope: "file", title, fields, ...more });
const options = (...values: readonly string[]) => values.map((value) => ({ value, title }));
const joined = (a: Partial<Field>, b: Partial<Field>) =>
  joinSections(section([field("f", a)]), section([field("f", b)])).fields[0];
const when = (value: string): Condition => ({ op: "fact", fact: "x", is: "equals", value });

describe("one form over several choices", () => {
  it("requires a field if any choice requires it", () => {
    expect(joined({ required: false }, { required: true })?.required).toBe(true);
    expect(joined({ required: false }, { required: false })?.required).toBe(false);
  });

  it.each([
    [{ most: 100 }, { most: 40 }, { most: 40 }],
    [{ most: 100 }, {}, { most: 100 }],
    [{ least: 1 }, { least: 3 }, { least: 3 }],
    [
      { length: { unit: "words", least: 100, most: 400, strict: false } },
      { length: { unit: "words", most: 300, strict: true } },
      { length: { unit: "words", least: 100, most: 300, strict: true } },
    ],
  ] satisfies readonly (readonly [Partial<Field>, Partial<Field>, Partial<Field>])[])(
    "of %j and %j the strictest limit wins",
    (a, b, result) => {
      expect(joined(a, b)).toMatchObject(result);
      expect(joined(b, a)).toMatchObject(result);
    },
  );

  it.each([
    [[{ key: "a" }, { key: "b" }], [{ key: "b", groups: ["home"] }], [{ key: "b", groups: ["home"] }]],
    [[{ key: "a" }], undefined, [{ key: "a" }]],
  ])("takes the papers that count for all choices: %j and %j", (mine, theirs, both) => {
    const paper = (papers: Field["papers"]) => ({ kind: "paper" as const, ...(papers ? { papers } : {}) });
    expect(joined(paper(mine), paper(theirs))?.papers).toEqual(both);
    expect(joined(paper(theirs), paper(mine))?.papers).toEqual(both);
  });

  it("is in conflict where no paper counts for both", () => {
    const asking = (key: string) => [section([field("f", { kind: "paper", papers: [{ key }] })])];
    expect(formConflicts(asking("a"), asking("b"))).toEqual([{ code: "no-common-option", section: "s", field: "f" }]);
    expect(formConflicts(asking("a"), asking("a"))).toEqual([]);
  });

  it("offers what all choices offer", () =>
    expect(
      joined({ kind: "choice", options: options("a", "b") }, { kind: "choice", options: options("b", "c") })?.options,
    ).toEqual(options("b")));

  it("shows a field where any choice shows it", () => {
    expect(joined({ when: when("a") }, {})?.when).toBeUndefined();
    expect(joined({ when: when("a") }, { when: when("a") })?.when).toEqual(when("a"));
    expect(joined({ when: when("a") }, { when: when("b") })?.when).toEqual({ op: "any", of: [when("a"), when("b")] });
  });

  it("adds the fields of the second after those of the first, and takes the stricter numbers of entries", () => {
    const both = joinSections(
      section([field("a")], { repeats: { min: 0, max: 5 } }),
      section([field("b"), field("a")], { repeats: { min: 1, max: 9 } }),
    );
    expect(both.fields.map((f) => f.key)).toEqual(["a", "b"]);
    expect(both.repeats).toEqual({ min: 1, max: 5 });
  });
});

describe("rulebooks that cannot share a form", () => {
  it.each<[string, Section, Section]>([
    ["section-kind", section([], { core: "courses" }), section([])],
    ["section-repeats", section([], { repeats: { min: 0, max: 2 } }), section([])],
    ["field-kind", section([field("f")]), section([field("f", { kind: "date" })])],
    [
      "no-common-option",
      section([field("f", { kind: "choice", options: options("a") })]),
      section([field("f", { kind: "choice", options: options("b") })]),
    ],
  ])("%s", (code, a, b) => expect(formConflicts([a], [b]).map((c) => c.code)).toEqual([code]));

  it("sections of single choices never meet", () =>
    expect(
      formConflicts([section([field("f")], { scope: "choice" })], [section([field("f", { kind: "date" })])]),
    ).toEqual([]));
});
