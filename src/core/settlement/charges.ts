import { chargeAfterWithdrawal, isWithdrawn, withdrawnFee } from "../fees/after-withdrawal";
import type { ChargeFact, FileFacts } from "../file/facts";
import type { LoadedFile } from "../file/loaded-file";
import type { FeeDue } from "../file/result";

/** By how much a charge changes, in minor units of its currency, and why. */
export interface Adjustment {
  readonly chargeId: string;
  readonly by: number;
  readonly reason: "due changed" | "withdrawn" | "no longer due";
}

/** What is due and has no charge yet, and what charges have to be changed by. */
export interface ChargeChanges {
  readonly made: readonly FeeDue[];
  readonly adjusted: readonly Adjustment[];
}

/** Charges follow what is due; what was withdrawn owes nothing more. */
export function chargeChanges({ facts, rulebooks }: LoadedFile, fees: readonly FeeDue[]): ChargeChanges {
  const due = fees.filter((f) => !isWithdrawn(facts, f.scope));
  const isFor = (c: ChargeFact, f: FeeDue) => c.item === f.item && c.scope === f.scope;
  const adjusted = facts.charges.flatMap((known): Adjustment[] => {
    const own = due.find((f) => isFor(known, f));
    const withdrawn = isWithdrawn(facts, known.scope);
    const gone = withdrawn ? chargeAfterWithdrawal(known, withdrawnFee(rulebooks, known.item)) : 0;
    const by = (own ? own.amount.minor : gone) - known.minor;
    const reason = own ? "due changed" : withdrawn ? "withdrawn" : "no longer due";
    return by === 0 ? [] : [{ chargeId: known.id, by, reason }];
  });
  return { made: due.filter((f) => !facts.charges.some((c) => isFor(c, f))), adjusted };
}

/** The charges as they stand once those changes are made. */
export function withCharges(
  charges: FileFacts["charges"],
  made: readonly (FeeDue & { readonly id: string })[],
  adjusted: readonly Adjustment[],
): FileFacts["charges"] {
  return [
    ...charges.map((c) => ({
      ...c,
      minor: adjusted.reduce((sum, a) => (a.chargeId === c.id ? sum + a.by : sum), c.minor),
    })),
    ...made.map(({ id, item, scope, amount }) => ({
      id,
      item,
      scope,
      minor: amount.minor,
      currency: amount.currency,
      paidMinor: 0,
      paidAt: null,
      announcedAt: null,
    })),
  ];
}
