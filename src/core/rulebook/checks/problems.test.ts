import { describe, expect, it } from "vitest";
import { PROGRAMMES } from "../../../demo/programmes";
import { bmr } from "../../../demo/rulebooks/from-school";
import { mes } from "../../../demo/rulebooks/mes";
import type { Condition } from "../../rules/condition";
import { type RulebookBody, rulebookSchema } from "../rulebook";
import { rulebookProblems } from "./problems";

const reads = (fact: string): Condition => ({ op: "fact", fact, is: "known" });
const found = (body: RulebookBody) => rulebookProblems(body).map((p) => `${p.code} ${p.about}`);

/** The demo's rulebook with one thing changed, as a plain copy. */
function changed(change: (body: RulebookBody) => Partial<RulebookBody>): RulebookBody {
  const copy = rulebookSchema.parse(JSON.parse(JSON.stringify(mes)));
  return { ...copy, ...change(copy) };
}
const withRule = (rule: Condition) =>
  changed((b) => ({
    entryRules: [{ key: "extra", title: { en: "Extra", fr: "De plus" }, rule, curable: null }, ...b.entryRules],
  }));

describe("what keeps a rulebook from being published", () => {
  it.each(PROGRAMMES.map((p) => [p.programme.code, p.rulebook] as const))("is nothing in %s", (_, body) =>
    expect(found(rulebookSchema.parse(body))).toEqual([]),
  );

  it.each<[string, (body: RulebookBody) => Partial<RulebookBody>, readonly string[]]>([
    [
      "a text that is missing in one language",
      (b) => ({ fees: b.fees.map((f) => ({ ...f, title: { ...f.title, fr: " " } })) }),
      ["missing-text handling: French"],
    ],
    [
      "a section that is asked for only where it was filled in",
      (b) => ({
        sections: b.sections.map((s) => (s.key === "citizenship" ? { ...s, when: reads("citizenship.residence") } : s)),
      }),
      ["asks-itself citizenship"],
    ],
    [
      "a comparison with nothing",
      (b) => ({
        fees: b.fees.map((f) => ({
          ...f,
          when: { op: "fact" as const, fact: "group", is: "equals" as const, value: "" },
        })),
      }),
      ["compares-nothing handling"],
    ],
    [
      "referees who cannot be written to",
      (b) => ({
        sections: b.sections.map((s) =>
          s.core === "referees"
            ? { ...s, fields: s.fields.map((f) => (f.key === "email" ? { ...f, key: "address" } : f)) }
            : s,
        ),
      }),
      ["core-field referees: email"],
    ],
    [
      "no declaration before submission",
      (b) => ({
        requirements: b.requirements.map((r) =>
          r.kind === "sections" && r.sections.includes("declaration") ? { ...r, neededBy: "decision" as const } : r,
        ),
      }),
      ["no-declaration "],
    ],
    [
      "a requirement that no section answers",
      (b) => ({
        requirements: b.requirements.map((r) =>
          r.kind === "sections" && r.key === "form" ? { ...r, sections: [] } : r,
        ),
      }),
      ["no-sections form"],
    ],
    [
      "a deed of the office that would keep an applicant from submitting",
      (b) => ({
        requirements: [
          ...b.requirements,
          {
            key: "papers",
            kind: "deed",
            title: { en: "Papers", fr: "Papiers" },
            scope: "choice",
            neededBy: "submission",
          },
        ],
      }),
      ["deed-too-early papers"],
    ],
    [
      "an owner of a value whose page is no address of the web",
      (b) => ({
        sections: b.sections.map((section) => ({
          ...section,
          fields: section.fields.map((f) =>
            f.key === "phone" ? { ...f, keptBy: { name: { en: "Register", fr: "" }, link: "javascript:alert(1)" } } : f,
          ),
        })),
      }),
      ["missing-text contact.phone: French", "keeper-link contact.phone"],
    ],
    ["a form that asks for nothing", () => ({ requirements: [] }), ["nothing-asked "]],
    [
      "a rule that nobody can meet",
      (b) => ({
        entryRules: b.entryRules.map((r) =>
          r.key === "grade"
            ? {
                ...r,
                rule: {
                  op: "all",
                  of: [r.rule, { op: "fact", fact: "measure.grade", is: "over" as const, value: "2.5" }],
                },
              }
            : r,
        ),
      }),
      ["never-met grade"],
    ],
    [
      "two rules that exclude each other",
      (b) => ({
        entryRules: [
          ...b.entryRules,
          {
            key: "worse",
            title: { en: "Worse", fr: "Pire" },
            rule: { op: "fact", fact: "measure.grade", is: "atLeast" as const, value: "3" },
            curable: null,
          },
        ],
      }),
      ["contradicts grade: worse"],
    ],
    [
      "a choice without options",
      (b) => ({
        sections: b.sections.map((s) =>
          s.key === "english" ? { ...s, fields: s.fields.map((f) => ({ ...f, options: [] })) } : s,
        ),
      }),
      [
        "no-options english.way",
        "no-options english.selfLevel",
        "no-options english.ground",
        "no-options english.local",
      ],
    ],
    [
      "identity papers of which none counts",
      (b) => ({
        sections: b.sections.map((s) =>
          s.key === "citizenship" ? { ...s, fields: s.fields.map((f) => (f.papers ? { ...f, papers: [] } : f)) } : s,
        ),
      }),
      ["no-papers citizenship.paper"],
    ],
    [
      "the number of a paper that nobody is asked for",
      (b) => ({
        sections: b.sections.map((s) =>
          s.key === "citizenship"
            ? { ...s, fields: s.fields.map((f) => (f.numberOf ? { ...f, numberOf: "residence" } : f)) }
            : s,
        ),
      }),
      ["no-paper-field citizenship.passportNumber"],
    ],
    [
      "a reference of a role that nobody can have",
      (b) => ({ requirements: b.requirements.map((r) => (r.kind === "reference" ? { ...r, role: "captain" } : r)) }),
      ["unknown-role reference: captain"],
    ],
  ])("%s", (_, change, problems) => expect(found(changed(change))).toEqual(problems));

  it("is nothing in the demo's", () => expect(found(mes)).toEqual([]));

  it.each([
    ["a fact of a section that is not there", reads("person.shoeSize"), ["unknown-fact extra: person.shoeSize"]],
    ["a measure that nobody works out", reads("measure.luck"), ["unknown-fact extra: measure.luck"]],
    [
      "a field of a list that it does not have",
      { op: "some", list: "degrees", where: reads("it.colour") },
      ["unknown-fact extra: degrees.colour"],
    ],
    [
      "a sum over something that is no field",
      { op: "sum", list: "courses", field: "weight", is: "atLeast", value: 10 },
      ["unknown-fact extra: courses.weight"],
    ],
    [
      "a count of a list that is not there",
      { op: "count", list: "boats", is: "atLeast", value: 1 },
      ["unknown-fact extra: boats"],
    ],
    [
      "a limit that is a fact which is not there",
      { op: "fact", fact: "person.birthDate", is: "atMost", value: { fact: "answers.boat.built" } },
      ["unknown-fact extra: answers.boat.built"],
    ],
    [
      "the same under all, any, not and at least n of",
      { op: "all", of: [{ op: "any", of: [{ op: "not", of: { op: "atLeast", count: 1, of: [reads("x.y")] } }] }] },
      ["unknown-fact extra: x.y"],
    ],
  ] as const)("is a rule that reads %s", (_, rule, problems) =>
    expect(found(withRule(rule as Condition))).toEqual(problems),
  );

  it.each([
    reads("start"),
    reads("group"),
    reads("person.birthDate"),
    reads("measure.grade"),
    { op: "count", list: "degrees", is: "atLeast", value: 1 } as const,
    { op: "sum", list: "courses", field: "ects", is: "atLeast", value: 10 } as const,
  ])("is not a rule that reads what is asked for or given: %j", (rule) => expect(found(withRule(rule))).toEqual([]));

  it("is a condition on a section, a field, a requirement or a fee that reads something unknown", () => {
    const when = reads("nobody.asks");
    const broken = changed((b) => ({
      sections: b.sections.map((s, i) =>
        i === 0 ? { ...s, when, fields: s.fields.map((f, k) => (k === 0 ? { ...f, when } : f)) } : s,
      ),
      requirements: b.requirements.map((r, i) => (i === 0 ? { ...r, when } : r)),
      fees: b.fees.map((f, i) => (i === 0 ? { ...f, when } : f)),
    }));
    const first = broken.sections[0];
    expect(rulebookProblems(broken).map((p) => p.about)).toEqual([
      `${first?.key}: nobody.asks`,
      `${first?.key}.${first?.fields[0]?.key}: nobody.asks`,
      `${broken.requirements[0]?.key}: nobody.asks`,
      `${broken.fees[0]?.key}: nobody.asks`,
    ]);
  });

  it("is a rule that reads how something was settled where that is not known yet", () => {
    const settled: Condition = { op: "fact", fact: "requirement.passport", is: "equals", value: "accepted" };
    expect(found(withRule(settled))).toEqual([]);
    expect(found(changed((b) => ({ fees: b.fees.map((f) => ({ ...f, when: settled })) })))).toEqual([
      "standing-elsewhere handling",
    ]);
    expect(found(withRule({ ...settled, fact: "requirement.luck" }))).toEqual(["unknown-fact extra: requirement.luck"]);
  });

  it("is a feed for lines that name no entry of its list", () => {
    const fromRegistry = (change: object) =>
      rulebookProblems({
        ...bmr,
        sections: bmr.sections.map((s) =>
          s.fromRegistry ? { ...s, fromRegistry: { ...s.fromRegistry, ...change } } : s,
        ),
      }).map((p) => `${p.code} ${p.about}`);
    expect(fromRegistry({})).toEqual([]);
    expect(fromRegistry({ by: "mark" })).toEqual(["unknown-registry-list subjects: sittings"]);
    expect(fromRegistry({ list: "schools", where: { op: "all", of: [] } })).toEqual([
      "unknown-registry-list subjects: schools",
    ]);
    expect(fromRegistry({ where: { op: "fact", fact: "it.hat", is: "known" } })).toEqual([
      "unknown-fact subjects: sittings.hat",
    ]);
  });

  it("is a way through an entry that leads nowhere", () => {
    const through = (fact: string) => {
      const rule: Condition = { op: "some", list: "subjects", where: { op: "fact", fact, is: "known" } };
      return rulebookProblems({ ...bmr, entryRules: bmr.entryRules.map((r, i) => (i === 0 ? { ...r, rule } : r)) });
    };
    expect(through("it.sitting.board")).toEqual([]);
    expect(through("it.sitting.hat").map((p) => p.code)).toEqual(["unknown-fact"]);
    expect(through("it.mark.board").map((p) => p.code)).toEqual(["unknown-fact"]);
  });

  it("is a second document on which the name counts as it stands there, unless it is asked of some alone", () => {
    const other = (when: object) =>
      changed((b) => ({
        requirements: b.requirements.flatMap((r) =>
          r.key === "passport" ? [r, { ...r, key: "card", ...when }] : [r],
        ) as RulebookBody["requirements"],
      }));
    expect(found(other({}))).toEqual(["two-govern card"]);
    expect(found(other({ when: { op: "fact", fact: "group", is: "equals", value: "home" } }))).toEqual([]);
    expect(found(other({ governsName: undefined }))).toEqual([]);
  });

  it("is a requirement that leads nowhere, each with its own name for it", () => {
    const title = { en: "Lost", fr: "Perdu" };
    const common = { title, scope: "file" as const, neededBy: "submission" as const };
    const lost = rulebookSchema.shape.requirements.parse([
      { ...common, key: "a", kind: "sections", sections: ["nowhere"] },
      { ...common, key: "b", kind: "document", proof: "copy", shows: ["person.hat"] },
      { ...common, key: "c", kind: "fee", item: "tip" },
      { ...common, key: "d", kind: "reference", count: 1, role: "any" },
    ]);
    expect(found(changed(() => ({ requirements: lost })))).toEqual([
      "unknown-section a: nowhere",
      "unknown-field b: person.hat",
      "unknown-fee c: tip",
      "no-declaration ",
    ]);
  });

  it("is a key that comes twice, among sections, requirements and rules alike", () => {
    const twice = <T>(all: readonly T[]) => [...all, ...all.slice(0, 1)];
    const body = changed((b) => ({
      sections: twice(b.sections),
      requirements: twice(b.requirements),
      entryRules: twice(b.entryRules),
    }));
    expect(found(body)).toEqual([
      `duplicate-key ${body.sections[0]?.key}`,
      `duplicate-key ${body.requirements[0]?.key}`,
      `duplicate-key ${body.entryRules[0]?.key}`,
    ]);
  });
});
