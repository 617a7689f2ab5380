import { applies } from "../answers/completeness";
import type { ChoiceContext } from "../file/choice-context";
import type { FeeDue } from "../file/result";
import { minorFor } from "../rulebook/fee-item";

/**
 * What is due by the fee items of all choices. An item for the file that comes from several choices is due once, at the
 * highest amount; an item for a choice is due for each. Nothing is due while the group is unknown.
 */
export function feesDue(choices: readonly ChoiceContext[]): readonly FeeDue[] {
  const due = new Map<string, FeeDue>();
  for (const { choice, rulebook, source, group } of choices) {
    for (const item of rulebook.body.fees) {
      if (!applies(item.when, source)) continue;
      const reduction = item.reductions?.find((r) => applies(r.when, source));
      const minor = minorFor((reduction ?? item).amounts, group);
      if (minor === 0) continue;
      const scope = item.per === "file" ? "file" : choice.id;
      const known = due.get(`${scope}|${item.key}`);
      if (known && known.amount.minor >= minor) continue;
      due.set(`${scope}|${item.key}`, {
        item: item.key,
        title: item.title,
        scope,
        amount: { minor, currency: item.currency },
        reduction: reduction?.title ?? null,
      });
    }
  }
  return [...due.values()];
}
