import type { RulebookBody } from "../rulebook/rulebook";
import { evaluate } from "../rules/evaluate";
import { factNames } from "../rules/names";
import { factName } from "../sections/definition";
import type { ChoiceContext } from "./context";
import type { Eligibility, FindingResult } from "./result";

/** What each entry rule of a choice finds, and why. */
export function findingsOf({ rulebook, source }: ChoiceContext): readonly FindingResult[] {
  return rulebook.body.entryRules.map((entryRule) => {
    const trace = evaluate(entryRule.rule, source);
    const curable =
      trace.truth !== "met" &&
      entryRule.curable !== null &&
      evaluate(entryRule.curable.possible, source).truth !== "not met";
    return {
      key: entryRule.key,
      title: entryRule.title,
      finding: trace.truth,
      canChange: trace.truth === "open",
      basis: trace.confirmed ? "confirmed" : "claimed",
      trace,
      way: curable ? (entryRule.curable?.way ?? null) : null,
    };
  });
}

/** Over all entry rules: one that is not met and cannot be mended decides; open ones that all can be met later make conditions. */
export function eligibilityOf(findings: readonly FindingResult[]): Eligibility {
  if (findings.every((f) => f.finding === "met")) return "eligible";
  if (findings.some((f) => f.finding === "not met" && f.way === null)) return "not eligible";
  return findings.every((f) => f.finding === "met" || f.way !== null) ? "eligible on conditions" : "open";
}

const inputsByRulebook = new WeakMap<RulebookBody, ReadonlyMap<string, ReadonlySet<string>>>();

const usedByRulebook = new WeakMap<RulebookBody, ReadonlySet<string>>();

/** All fields whose values some entry rule uses. */
export function usedFields(body: RulebookBody): ReadonlySet<string> {
  const known = usedByRulebook.get(body) ?? new Set([...ruleInputs(body).values()].flatMap((fields) => [...fields]));
  usedByRulebook.set(body, known);
  return known;
}

const MEASURE_INPUTS = {
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
} as const;

/** The fields (`section.field`, by the keys of the rulebook) whose values each entry rule uses, worked out once a rulebook. */
export function ruleInputs(body: RulebookBody): ReadonlyMap<string, ReadonlySet<string>> {
  const known = inputsByRulebook.get(body);
  if (known) return known;
  const sectionOf = new Map(body.sections.map((s) => [factName(s), s.key]));
  const toField = (name: string): string => {
    const dot = name.lastIndexOf(".");
    const list = name.slice(0, dot);
    const field = name.slice(dot + 1);
    return `${sectionOf.get(list) ?? list}.${field}`;
  };
  const expand = (name: string): readonly string[] => {
    if (name === "courses.ects") return ["courses.credits", "degrees.creditsPerYear"];
    if (!name.startsWith("measure.")) return [name];
    const measure = body.measures.find((m) => m.key === name.slice(8));
    return measure ? MEASURE_INPUTS[measure.kind] : [];
  };
  const result = new Map(
    body.entryRules.map((rule) => [rule.key, new Set(factNames(rule.rule).flatMap(expand).map(toField))]),
  );
  inputsByRulebook.set(body, result);
  return result;
}
