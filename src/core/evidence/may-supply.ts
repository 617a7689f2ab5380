import type { FileFacts } from "../file/facts";
import type { Assessment } from "../file/result";
import { isSettled } from "../requirements/to-submit";
import type { Rulebook } from "../rulebook/rulebook";

export interface RequirementPlace {
  readonly requirement: string;
  readonly scope: string;
  readonly entry: string;
}

/** The sections that take results after submission, of the choices of a file. */
export function growingSections(
  facts: Pick<FileFacts, "choices">,
  rulebooks: Readonly<Record<string, Rulebook>>,
): ReadonlySet<string> {
  const bodies = facts.choices.flatMap((c) => rulebooks[c.rulebookId]?.body.sections ?? []);
  return new Set(bodies.filter((s) => s.grows).map((s) => s.key));
}

/**
 * Whether the applicant may supply a document now: while preparing, when it is missing or returned, when the office asked, or, until the
 * decision, where it shows results that come later.
 */
export function maySupply(
  facts: FileFacts,
  assessment: Assessment,
  place: RequirementPlace,
  growing: ReadonlySet<string>,
): boolean {
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
  const grows =
    result.shows.some((field) => growing.has(field.split(".")[0] ?? "")) && choices.some((c) => c.decision === null);
  return asked || grows || (!isSettled(result) && result.standing !== "to check");
}
