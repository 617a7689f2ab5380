import { factNames } from "../rules/names";
import { type Field, factName, type Section } from "../sections/definition";
import type { Measure, RulebookBody } from "./rulebook";

/** One section as an assessment reads it: the name that rules know it by, and the fields that may become facts. */
export interface PlannedSection {
  readonly section: Section;
  readonly name: string;
  readonly facts: readonly Field[];
}

/** What follows from a rulebook alone, worked out once for all the files that stand on it. */
export interface Plan {
  readonly sections: readonly PlannedSection[];
  /** The fields (`section.field`, by the keys of the rulebook) whose values each entry rule uses. */
  readonly inputs: ReadonlyMap<string, ReadonlySet<string>>;
  /** All fields whose values some entry rule uses. */
  readonly used: ReadonlySet<string>;
  /** The fields beside each document that some entry rule uses, by the key of the requirement: those that must be confirmed. */
  readonly toConfirm: ReadonlyMap<string, readonly { readonly section: Section; readonly fields: readonly Field[] }[]>;
}

const MEASURE_INPUTS: Readonly<Record<Measure["kind"], readonly string[]>> = {
  grade: [
    "degrees.grade",
    "degrees.scale",
    "degrees.gradeBest",
    "degrees.gradePass",
    "courses.grade",
    "courses.credits",
  ],
  level: ["tests.scores", "tests.test", "tests.date"],
  studyMonths: ["degrees.language", "degrees.start", "degrees.end", "degrees.expectedEnd"],
};

function inputsOf(body: RulebookBody): Plan["inputs"] {
  const sectionOf = new Map(body.sections.map((s) => [factName(s), s.key]));
  const toField = (name: string): string => {
    const dot = name.lastIndexOf(".");
    const list = name.slice(0, dot);
    return `${sectionOf.get(list) ?? list}.${name.slice(dot + 1)}`;
  };
  const expand = (name: string): readonly string[] => {
    if (name === "courses.ects") return ["courses.credits", "degrees.creditsPerYear"];
    if (!name.startsWith("measure.")) return [name];
    const measure = body.measures.find((m) => m.key === name.slice(8));
    return measure ? MEASURE_INPUTS[measure.kind] : [];
  };
  return new Map(body.entryRules.map((rule) => [rule.key, new Set(factNames(rule.rule).flatMap(expand).map(toField))]));
}

function toConfirm(body: RulebookBody, used: ReadonlySet<string>): Plan["toConfirm"] {
  return new Map(
    body.requirements.flatMap((requirement) => {
      if (requirement.kind !== "document") return [];
      const shown = body.sections.map((section) => ({
        section,
        fields: section.fields.filter((f) => {
          const name = `${section.key}.${f.key}`;
          return used.has(name) && requirement.shows.includes(name);
        }),
      }));
      return [[requirement.key, shown.filter((s) => s.fields.length > 0)] as const];
    }),
  );
}

const plans = new WeakMap<RulebookBody, Plan>();

/** The plan of a rulebook; published ones never change, so each is planned once a process. */
export function planOf(body: RulebookBody): Plan {
  const known = plans.get(body);
  if (known) return known;
  const inputs = inputsOf(body);
  const used = new Set([...inputs.values()].flatMap((fields) => [...fields]));
  const plan: Plan = {
    sections: body.sections.map((section) => ({
      section,
      name: factName(section),
      facts: section.fields.filter((f) => f.seenBy === "assessment"),
    })),
    inputs,
    used,
    toConfirm: toConfirm(body, used),
  };
  plans.set(body, plan);
  return plan;
}
