import type { Locale } from "../../core/text/local-text";
import { formatMoney } from "../../text/format";
import { sentence } from "../../text/sentence";
import type { MyApplication } from "../../views/application/application-data";

/** What withdrawing means for the fees: what was paid and is kept, what comes back, or that nothing is owed any more. */
export function withdrawalFees(
  locale: Locale,
  { charges }: Pick<MyApplication, "charges">,
  scopes: readonly string[],
): string {
  const own = charges.filter((c) => scopes.includes(c.scope) && c.minor > 0);
  const sum = (which: "kept" | "returned") => {
    const paid = own.filter((c) => c.whenWithdrawn === which && c.paidMinor > 0);
    const [first] = paid;
    return first
      ? formatMoney(locale, { minor: paid.reduce((all, c) => all + c.paidMinor, 0), currency: first.currency })
      : null;
  };
  const [kept, returned] = [sum("kept"), sum("returned")];
  return [
    kept ? sentence(locale, "withdraw.kept", { amount: kept }) : null,
    returned ? sentence(locale, "withdraw.returned", { amount: returned }) : null,
    own.some((c) => c.paidMinor < c.minor) ? sentence(locale, "withdraw.owed") : null,
  ]
    .filter((line) => line !== null)
    .join(" ");
}
