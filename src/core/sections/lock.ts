import type { ChoiceFact } from "../assessment/facts";

/** What may still be done to a section: everything, only additions, or nothing. */
export type Openness = "all" | "add" | "none";

/** How open a section is to its applicant. */
export function openness(scope: string, usedBy: readonly ChoiceFact[]): Openness {
  if (mayChange(scope, usedBy, false)) return "all";
  return mayChange(scope, usedBy, true) ? "add" : "none";
}

/**
 * Whether an answer may still be changed. What a submitted choice uses is locked with it; a choice that is still being
 * prepared may only add to what the file holds.
 * @param scope `file` or a choice
 * @param usedBy the live choices whose rulebook has the section
 * @param empty whether nothing stands there yet
 */
export function mayChange(scope: string, usedBy: readonly ChoiceFact[], empty: boolean): boolean {
  const live = usedBy.filter((c) => c.withdrawnAt === null);
  if (scope !== "file") return live.some((c) => c.id === scope && c.submittedAt === null);
  if (live.every((c) => c.submittedAt === null)) return live.length > 0;
  return empty && live.some((c) => c.submittedAt === null);
}
