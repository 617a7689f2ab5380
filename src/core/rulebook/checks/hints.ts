import type { Condition } from "../../rules/condition";
import { factNames } from "../../rules/names";
import { conditionsOf } from "../conditions";
import { minorFor } from "../fee-item";
import type { AreaKey } from "../parts";
import type { RulebookBody } from "../rulebook";
import { factName } from "../section";

/** What keeps nobody from publishing a rulebook, and is probably not meant. */
export interface RulebookHint {
  readonly code:
    | "always-true"
    | "fee-of-nought"
    | "fee-unasked"
    | "no-reduction"
    | "section-unasked"
    | "office-fills-in";
  readonly about: string;
  readonly area: AreaKey;
}

/** A condition as it is made anew in the editor, or one that leaves nothing open. */
const isAlwaysTrue = (c: Condition): boolean =>
  (c.op === "all" && c.of.every(isAlwaysTrue)) || (c.op === "fact" && c.is === "known" && c.fact === "start");

/** Rules that everybody meets, fees that nobody pays, and sections that nobody has to fill in. */
export function rulebookHints(body: RulebookBody): readonly RulebookHint[] {
  const asked = new Set(body.requirements.flatMap((r) => (r.kind === "sections" ? r.sections : [])));
  const charged = new Set(body.requirements.flatMap((r) => (r.kind === "fee" ? [r.item] : [])));
  const hidden = new Set(
    body.sections.flatMap((s) =>
      s.fields.filter((f) => f.seenBy !== "assessment").map((f) => `${factName(s)}.${f.key}`),
    ),
  );
  return [
    ...body.entryRules
      .filter((r) => isAlwaysTrue(r.rule))
      .map((r) => ({ code: "always-true", about: r.key, area: "entryRules" }) as const),
    ...body.fees
      .filter((f) => f.amounts.every((a) => a.minor === 0))
      .map((f) => ({ code: "fee-of-nought", about: f.key, area: "fees" }) as const),
    ...body.fees
      .filter((f) => f.reductions?.some((r) => f.amounts.every((a) => a.minor <= minorFor(r.amounts, a.group))))
      .map((f) => ({ code: "no-reduction", about: f.key, area: "fees" }) as const),
    ...body.fees
      .filter((f) => !charged.has(f.key))
      .map((f) => ({ code: "fee-unasked", about: f.key, area: "fees" }) as const),
    ...body.sections
      // What may stay empty need not be asked for.
      .filter((s) => !asked.has(s.key) && s.repeats?.min !== 0)
      .map((s) => ({ code: "section-unasked", about: s.key, area: "sections" }) as const),
    ...conditionsOf(body)
      .filter(({ condition, list }) => factNames(condition, list).some((name) => hidden.has(name)))
      .map(({ where, area }) => ({ code: "office-fills-in", about: where, area }) as const),
  ];
}
