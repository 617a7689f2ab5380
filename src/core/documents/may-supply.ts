import type { FileFacts } from "../assessment/facts";
import type { Assessment } from "../assessment/result";
import { isSettled } from "../requirements/standings";

export interface RequirementPlace {
  readonly requirement: string;
  readonly scope: string;
  readonly entry: string;
}

/** Whether the applicant may supply a document now: while preparing, when it is missing or returned, or when the office asked. */
export function maySupply(facts: FileFacts, assessment: Assessment, place: RequirementPlace): boolean {
  const result = assessment.requirements.find(
    (r) => r.key === place.requirement && r.scope === place.scope && r.entry === place.entry,
  );
  if (result?.kind !== "document" || facts.application.withdrawnAt !== null) return false;
  const choices = facts.choices.filter((c) => result.choices.includes(c.id) && c.withdrawnAt === null);
  const closed = assessment.choices
    .filter((c) => choices.some((f) => f.id === c.id))
    .every((c) => c.stage === "closed");
  if (choices.length === 0 || closed) return false;
  if (choices.every((c) => c.submittedAt === null)) return true;
  const asked = facts.asks.some(
    (a) =>
      a.answeredAt === null &&
      a.requirement === place.requirement &&
      a.scope === place.scope &&
      a.entry === place.entry,
  );
  return asked || (!isSettled(result) && result.standing !== "to check");
}
