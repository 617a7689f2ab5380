import type { ChoiceFact, FileFacts } from "../file/facts";

/** What may still be done to a section: everything, only additions, or nothing. */
export type Openness = "all" | "add" | "none";

/** What the office opened again after submission: one section whole, elsewhere only what then is missing. */
export type Reopened = "none" | "gaps" | "whole";

/** What the office has opened of a section that was submitted. */
export function reopenedOf(
  { reopenings }: Pick<FileFacts, "reopenings">,
  place: { readonly scope: string; readonly section: string },
  hasGaps: boolean,
): Reopened {
  const open = reopenings.filter((r) => r.answeredAt === null);
  if (open.some((r) => r.sections.some((s) => s.scope === place.scope && s.section === place.section))) return "whole";
  return open.length > 0 && hasGaps ? "gaps" : "none";
}

/** How open a section is to its applicant. */
export function openness(scope: string, usedBy: readonly ChoiceFact[], reopened: Reopened, grows = false): Openness {
  if (mayChange(scope, usedBy, false, reopened, grows)) return "all";
  return mayChange(scope, usedBy, true, reopened, grows) ? "add" : "none";
}

/**
 * Whether an answer may still be changed. What a submitted choice uses is locked with it, unless the office opened it again; a choice
 * that is still being prepared may only add to what the file holds, and so may everybody where results come later.
 * @param scope `file` or a choice
 * @param usedBy the live choices whose rulebook has the section
 * @param empty whether nothing stands there yet
 * @param grows whether the section takes results after submission, until the decision
 */
export function mayChange(
  scope: string,
  usedBy: readonly ChoiceFact[],
  empty: boolean,
  reopened: Reopened,
  grows = false,
): boolean {
  const live = usedBy.filter((c) => c.withdrawnAt === null && (scope === "file" || c.id === scope));
  if (live.length === 0) return false;
  if (reopened === "whole" || (reopened === "gaps" && empty)) return true;
  if (live.every((c) => c.submittedAt === null)) return true;
  return empty && live.some((c) => c.submittedAt === null || (grows && c.decision === null));
}
