import type { ChoiceContext } from "../file/choice-context";
import { isRunning } from "../file/entries";
import type { FileFacts } from "../file/facts";
import type { Eligibility, FindingResult } from "../file/result";
import type { Condition } from "../rules/condition";
import { judge } from "../rules/evaluate";
import type { Fact, FactSource } from "../rules/fact";
import { certainTruth } from "../rules/verdict";

const COMPLETED: Fact = { kind: "value", value: "completed", confirmed: false };

/** The same facts as if the courses in progress were passed; null where none is. Grades stay as they are: nobody knows those yet. */
function ifAllPassed(source: FactSource): FactSource | null {
  const courses = source.list("courses");
  if (!courses.entries.some(isRunning)) return null;
  const entries = courses.entries.map((course) =>
    isRunning(course)
      ? { id: course.id, at: (field: string) => (field === "status" ? COMPLETED : course.at(field)) }
      : course,
  );
  const passed = { entries, open: courses.open };
  return { ...source, list: (name) => (name === "courses" ? passed : source.list(name)) };
}

/** What each entry rule of a choice finds; a lead officer's override takes its place and shows what it overrides. */
export function findingsOf(
  { choice, rulebook, source }: ChoiceContext,
  overrides: FileFacts["overrides"],
): readonly FindingResult[] {
  // Most files have every rule met or no course running: what would be is worked out only where it can matter.
  let passed: FactSource | null | undefined;
  const wouldBe = (rule: Condition): boolean => {
    if (passed === undefined) passed = ifAllPassed(source);
    return passed !== null && judge(rule, passed).truth === "met";
  };
  return rulebook.body.entryRules.map((entryRule) => {
    const judged = judge(entryRule.rule, source);
    const override = overrides.find((o) => o.choice === choice.id && o.rule === entryRule.key);
    const truth = judged.truth === "open" ? certainTruth(entryRule.rule, source) : judged.truth;
    const finding = override?.finding ?? truth;
    const curable =
      finding !== "met" &&
      override === undefined &&
      entryRule.curable !== null &&
      judge(entryRule.curable.possible, source).truth !== "not met";
    return {
      key: entryRule.key,
      title: entryRule.title,
      finding,
      overrides: override ? truth : null,
      canChange: finding === "open",
      // Who overrides a finding has established it.
      basis: override || judged.confirmed ? "confirmed" : "claimed",
      shownToApplicant: entryRule.shownToApplicant === true,
      gate: entryRule.gate === true,
      ifPassed: finding !== "met" && wouldBe(entryRule.rule),
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
