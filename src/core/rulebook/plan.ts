import { factNames } from "../rules/names";
import { firstOf } from "./facts";
import type { Measure, RulebookBody } from "./rulebook";
import { caseFields } from "./ruled-case";
import { type Field, factName, linkedFields, type Section } from "./section";

/** One section as an assessment reads it: the name that rules know it by, and the fields that may become facts. */
export interface PlannedSection {
  readonly section: Section;
  readonly name: string;
  readonly facts: readonly Field[];
  /** The same by their keys. */
  readonly byKey: ReadonlyMap<string, Field>;
}

/** What follows from a rulebook alone, worked out once for all the files that stand on it. */
export interface Plan {
  readonly sections: readonly PlannedSection[];
  /** Where facts outside lists stand, by the names that rules use. */
  readonly scalars: ReadonlyMap<string, ScalarPlace>;
  /** The dates on which papers end. */
  readonly endings: readonly { readonly section: Section; readonly field: Field }[];
  /** The fields (`section.field`, by the keys of the rulebook) whose values each entry rule uses. */
  readonly inputs: ReadonlyMap<string, ReadonlySet<string>>;
  /** All fields whose values some entry rule uses. */
  readonly used: ReadonlySet<string>;
  /**
   * The fields that some entry rule uses, by the key of the requirement with which they are confirmed: beside the document that shows
   * them, or with the sections in which they were filled in where no document does.
   */
  readonly toConfirm: ReadonlyMap<string, readonly FieldsToConfirm[]>;
}

/** Where a fact outside lists stands; `first` where it is only what was ranked first. */
export interface ScalarPlace {
  readonly section: Section;
  readonly field: Field;
  readonly first?: true;
}

export interface FieldsToConfirm {
  readonly section: Section;
  readonly fields: readonly Field[];
  /** The field by which an entry of the section names one of another list. */
  readonly link: Field | undefined;
}

/** The facts that a measure reads. */
function inputsOfMeasure(measure: Measure, sections: readonly Section[]): readonly string[] {
  switch (measure.kind) {
    case "grade":
      return [
        "degrees.grade",
        "degrees.scale",
        "degrees.gradeBest",
        "degrees.gradePass",
        "courses.grade",
        "courses.credits",
        "courses.degree",
        ...(measure.areas ? ["courses.area"] : []),
        ...(measure.lastEcts ? ["courses.date", "degrees.creditsPerYear"] : []),
        ...(measure.method?.kind === "marks" ? ["courses.marksObtained", "courses.marksTotal"] : []),
      ];
    case "level":
    case "proof":
      return ["tests.scores", "tests.test", "tests.date"];
    case "age":
      return [measure.of];
    case "ruling": {
      const section = sections.find((s) => factName(s) === measure.of);
      const fields = section ? Object.values(caseFields(section)) : [];
      return fields.flatMap((field) => (field === null ? [] : [`${measure.of}.${field}`]));
    }
    case "studyMonths":
      return ["degrees.language", "degrees.start", "degrees.end", "degrees.expectedEnd"];
    case "span":
      return [
        `${measure.list}.start`,
        `${measure.list}.end`,
        ...(measure.where ? factNames(measure.where, measure.list) : []),
      ];
  }
}

function inputsOf(body: RulebookBody): Plan["inputs"] {
  const sectionOf = new Map(body.sections.map((s) => [factName(s), s.key]));
  const toField = (name: string): string => {
    const dot = name.lastIndexOf(".");
    const list = name.slice(0, dot);
    return `${sectionOf.get(list) ?? list}.${name.slice(dot + 1)}`;
  };
  const reached = new Map(
    body.sections.flatMap((s) =>
      linkedFields(s, body.sections).map((r) => [
        `${factName(s)}.${r.name}`,
        [`${factName(s)}.${r.by.key}`, `${factName(r.section)}.${r.field.key}`],
      ]),
    ),
  );
  const rankings = body.sections.flatMap((s) =>
    s.fields.filter((f) => f.kind === "ranked").map((f) => `${factName(s)}.${f.key}`),
  );
  const expand = (name: string): readonly string[] => {
    const through = reached.get(name);
    if (through) return through;
    const ranking = rankings.find((r) => firstOf(r) === name);
    if (ranking) return [ranking];
    if (name === "courses.ects") return ["courses.credits", "courses.degree", "degrees.creditsPerYear"];
    if (!name.startsWith("measure.")) return [name];
    const measure = body.measures.find((m) => m.key === name.slice(8));
    return measure ? inputsOfMeasure(measure, body.sections) : [];
  };
  // What the choice itself gives has no field and is nobody’s claim.
  const claims = (name: string) => sectionOf.has(name.slice(0, Math.max(0, name.lastIndexOf("."))));
  return new Map(
    body.entryRules.map((rule) => [
      rule.key,
      new Set(factNames(rule.rule).flatMap(expand).filter(claims).map(toField)),
    ]),
  );
}

function toConfirm(body: RulebookBody, used: ReadonlySet<string>): Plan["toConfirm"] {
  const shown = new Set(body.requirements.flatMap((r) => (r.kind === "document" ? r.shows : [])));
  const fieldsOf = (wanted: (name: string) => boolean) =>
    body.sections
      .map((section) => ({
        section,
        fields: section.fields.filter((f) => wanted(`${section.key}.${f.key}`)),
        link: section.fields.find((f) => f.kind === "entry"),
      }))
      .filter((s) => s.fields.length > 0);
  return new Map(
    body.requirements.flatMap((r) => {
      if (r.kind === "document")
        return [[r.key, fieldsOf((name) => used.has(name) && r.shows.includes(name))] as const];
      if (r.kind !== "sections") return [];
      const bare = fieldsOf((name) => used.has(name) && !shown.has(name));
      return [[r.key, bare.filter(({ section }) => r.sections.includes(section.key))] as const];
    }),
  );
}

/** What follows from one section alone. */
export function planSection(section: Section): PlannedSection {
  const facts = section.fields.filter((f) => f.seenBy === "assessment");
  return { section, name: factName(section), facts, byKey: new Map(facts.map((f) => [f.key, f])) };
}

export function scalarPlaces(sections: readonly PlannedSection[]): Plan["scalars"] {
  return new Map(
    sections
      .filter(({ section }) => section.repeats === undefined)
      .flatMap(({ section, name, facts }) =>
        facts.flatMap((field): (readonly [string, ScalarPlace])[] => {
          const fact = `${name}.${field.key}`;
          const whole = [fact, { section, field }] as const;
          return field.kind === "ranked" ? [whole, [firstOf(fact), { section, field, first: true }]] : [whole];
        }),
      ),
  );
}

const plans = new WeakMap<RulebookBody, Plan>();

/** The plan of a rulebook; published ones never change, so each is planned once a process. */
export function planOf(body: RulebookBody): Plan {
  const known = plans.get(body);
  if (known) return known;
  const inputs = inputsOf(body);
  const used = new Set([...inputs.values()].flatMap((fields) => [...fields]));
  const sections = body.sections.map(planSection);
  const plan: Plan = {
    sections,
    scalars: scalarPlaces(sections),
    endings: sections.flatMap(({ section, facts }) =>
      facts.filter((f) => f.ends === true && f.kind === "date").map((field) => ({ section, field })),
    ),
    inputs,
    used,
    toConfirm: toConfirm(body, used),
  };
  plans.set(body, plan);
  return plan;
}
