import type { RulebookBody } from "../rulebook/rulebook";
import { compareLists, type Difference } from "./parts";

/** What differs between two rulebooks. */
const AREAS = ["section", "field", "requirement", "entry rule", "measure", "fee"] as const;
export type RulebookDifference = Difference<(typeof AREAS)[number]>;

/** The order of sections and requirements counts only where it changes; what stands in each is compared by its key. */
export function compareRulebooks(before: RulebookBody, after: RulebookBody): readonly RulebookDifference[] {
  const fields = after.sections.flatMap((b) => {
    const a = before.sections.find((s) => s.key === b.key);
    return a ? compareLists("field", a.fields, b.fields, `${b.key}.`) : [];
  });
  return [
    ...compareLists("section", before.sections, after.sections, "", ["fields"]),
    ...fields,
    ...compareLists("requirement", before.requirements, after.requirements),
    ...compareLists("entry rule", before.entryRules, after.entryRules),
    ...compareLists("measure", before.measures, after.measures),
    ...compareLists("fee", before.fees, after.fees),
  ];
}
