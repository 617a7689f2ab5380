import type { ChoiceContext } from "../file/choice-context";
import type { Assessment, ExplainedAssessment, ExplainedFinding, FindingResult } from "../file/result";
import { evaluate } from "../rules/evaluate";
import type { Trace } from "../rules/trace";
import { type AssessInput, assessIn, type Prepared, prepare } from "./assess";

/** A finding of a rule that the rulebook does not hold has nothing to show. */
const NO_TRACE: Trace = { op: "all", truth: "open", confirmed: true, parts: [], needed: 0 };

/** Why the rules of a choice came out as they did: worked out only for who reads it. */
export function explainFindings(
  { rulebook, source }: ChoiceContext,
  findings: readonly FindingResult[],
): readonly ExplainedFinding[] {
  const rules = new Map(rulebook.body.entryRules.map((r) => [r.key, r.rule]));
  return findings.map((finding) => {
    const rule = rules.get(finding.key);
    return { ...finding, trace: rule ? evaluate(rule, source) : NO_TRACE };
  });
}

/** An assessment with the reasons of all its findings. */
export function explain({ all }: Prepared, { choices, ...assessment }: Assessment): ExplainedAssessment {
  return {
    ...assessment,
    choices: choices.map((choice) => {
      const context = all.find((c) => c.choice.id === choice.id);
      return { ...choice, findings: context ? explainFindings(context, choice.findings) : [] };
    }),
  };
}

/** Assesses a file for somebody who reads why. */
export function assessAndExplain(input: AssessInput): ExplainedAssessment {
  const prepared = prepare(input);
  return explain(prepared, assessIn(prepared, input));
}
