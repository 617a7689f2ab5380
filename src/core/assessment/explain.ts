import type { ChoiceContext } from "../file/choice-context";
import type { Assessment, ExplainedAssessment, ExplainedFinding, FindingResult } from "../file/result";
import { withStandings } from "../requirements/standing-facts";
import { evaluate } from "../rules/evaluate";
import { type AssessInput, assessIn, type Prepared, prepare } from "./assess";

/** Why the rules of a choice came out as they did: worked out only for who reads it. */
export function explainFindings(
  { rulebook, source }: ChoiceContext,
  findings: readonly FindingResult[],
): readonly ExplainedFinding[] {
  const rules = new Map(rulebook.body.entryRules.map((r) => [r.key, r.rule]));
  return findings.flatMap((finding) => {
    const rule = rules.get(finding.key);
    return rule ? [{ ...finding, trace: evaluate(rule, source) }] : [];
  });
}

/** An assessment with the reasons of all its findings. */
export function explain({ all }: Prepared, { choices, ...assessment }: Assessment): ExplainedAssessment {
  return {
    ...assessment,
    choices: choices.map((choice) => {
      const context = all.find((c) => c.choice.id === choice.id);
      return {
        ...choice,
        findings: context ? explainFindings(withStandings(context, assessment.requirements), choice.findings) : [],
      };
    }),
  };
}

/** Assesses a file for somebody who reads why. */
export function assessAndExplain(input: AssessInput): ExplainedAssessment {
  const prepared = prepare(input);
  return explain(prepared, assessIn(prepared, input));
}
