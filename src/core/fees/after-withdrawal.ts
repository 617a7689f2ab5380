import type { ChargeFact, FileFacts } from "../file/facts";
import type { Rulebook } from "../rulebook/rulebook";

/** What becomes of a paid fee when what it was paid for is withdrawn. */
export type WithdrawnFee = "kept" | "returned";

/** Whether nobody stands behind a charge any more: its choice, or every choice of the file, was withdrawn. */
export function isWithdrawn({ application, choices }: FileFacts, scope: string): boolean {
  if (application.withdrawnAt !== null) return true;
  const behind = choices.filter((c) => scope === "file" || c.id === scope);
  return behind.length > 0 && behind.every((c) => c.withdrawnAt !== null);
}

/** What the rulebooks of a file say of a paid fee; where they differ, the applicant gets the better one. */
export function withdrawnFee(rulebooks: Readonly<Record<string, Rulebook>>, item: string): WithdrawnFee {
  const items = Object.values(rulebooks).flatMap((r) => r.body.fees.filter((f) => f.key === item));
  return items.some((f) => f.whenWithdrawn === "returned") ? "returned" : "kept";
}

/**
 * The amount at which a withdrawn charge stands, in minor units: what was paid and is kept; nothing is owed beyond it.
 */
export function chargeAfterWithdrawal(charge: Pick<ChargeFact, "minor" | "paidMinor">, rule: WithdrawnFee): number {
  return rule === "returned" ? 0 : Math.min(charge.minor, charge.paidMinor);
}
