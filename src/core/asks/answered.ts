import type { FileFacts } from "../file/facts";
import { requirementKey, resultKey } from "../file/place";
import type { RequirementResult } from "../file/result";

/** When what a reference or a fee stands on came about last; null for what has not, and for documents, whose arrival ends asks itself. */
function cameAbout(result: RequirementResult, { references, charges }: FileFacts): string | null {
  const last = (instants: readonly (string | null)[]) =>
    instants.reduce((a, b) => (a === null || (b !== null && b > a) ? b : a), null);
  if (result.kind === "reference") {
    const request = references.find((r) => r.id === result.request);
    return request ? last([request.askedAt, request.givenAt]) : null;
  }
  if (result.kind !== "fee" || result.standing === "missing") return null;
  return last(charges.filter((c) => result.charges.includes(c.id)).flatMap((c) => [c.paidAt, c.announcedAt]));
}

/** The open asks that were answered since by naming a referee or by paying. @returns their ids */
export function asksAnswered(facts: FileFacts, requirements: readonly RequirementResult[]): readonly string[] {
  return facts.asks
    .filter((ask) => {
      if (ask.answeredAt !== null || ask.wants !== "evidence") return false;
      const result = requirements.find((r) => resultKey(r) === requirementKey(ask));
      const at = result ? cameAbout(result, facts) : null;
      return at !== null && at > ask.askedAt;
    })
    .map((ask) => ask.id);
}
