import { evaluate, judge } from "../rules/evaluate";
import type { ChoiceContext } from "./context";
import type { Eligibility, FindingResult } from "./result";

/** What each entry rule of a choice finds, and why. */
export function findingsOf({ rulebook, source }: ChoiceContext): readonly FindingResult[] {
  return rulebook.body.entryRules.map((entryRule) => {
    const trace = evaluate(entryRule.rule, source);
    const curable =
      trace.truth !== "met" &&
      entryRule.curable !== null &&
      judge(entryRule.curable.possible, source).truth !== "not met";
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
