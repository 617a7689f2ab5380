import type { SectionPlace } from "../answers/reopening";
import { type RequirementPlace, requirementKey, resultKey } from "../file/place";
import type { RequirementResult } from "../file/result";
import { reachedBy } from "../rulebook/requirement";

/** Why something is asked for: it has not come, was sent back, ends too early or fails another check, has to be proved further, … */
export const ASK_GROUNDS = ["missing", "again", "check", "proof", "referee", "fee"] as const;
export type AskGround = (typeof ASK_GROUNDS)[number];

/** What a file lacks, and an ask would be sent for. */
export interface AskDraft {
  readonly place: RequirementPlace;
  readonly ground: AskGround;
  readonly result: RequirementResult;
  /** Whether it is asked for already. */
  readonly asked: boolean;
}

function groundOf(result: RequirementResult): AskGround | null {
  const lacking = result.standing === "missing" || result.standing === "returned";
  switch (result.kind) {
    case "document":
      if (result.standing === "returned") return result.checks.some((c) => c.key === result.reason) ? "check" : "again";
      if (result.standing === "missing") return "missing";
      return result.standing === "accepted" && result.owedProof && reachedBy(result.owedProof.neededBy, "decision")
        ? "proof"
        : null;
    case "reference":
      return lacking ? "referee" : null;
    case "fee":
      return result.standing === "missing" ? "fee" : null;
    case "sections":
    case "deed":
      return null;
  }
}

/** What is lacking in a submitted file and an applicant can be asked for, in the rulebook's order. */
export function draftAsks(
  requirements: readonly RequirementResult[],
  asks: readonly (RequirementPlace & { readonly answeredAt: string | null })[],
): readonly AskDraft[] {
  const open = new Set(asks.filter((a) => a.answeredAt === null).map(requirementKey));
  return requirements.flatMap((result) => {
    const ground = groundOf(result);
    if (ground === null) return [];
    const place = { requirement: result.key, scope: result.scope, entry: result.entry };
    return [{ place, ground, result, asked: open.has(resultKey(result)) }];
  });
}

/** The sections of a submitted file in which something is missing: they are opened for correction. */
export function sectionsLacking(requirements: readonly RequirementResult[]): readonly SectionPlace[] {
  const places = requirements.flatMap((r) =>
    r.kind === "sections" ? r.gaps.map(({ scope, section }) => ({ scope, section })) : [],
  );
  return places.filter((p, i) => places.findIndex((q) => q.scope === p.scope && q.section === p.section) === i);
}
