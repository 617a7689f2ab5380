import { factName, type Section } from "../rulebook/section";
import { withEntry } from "../rules/compile";
import { judge } from "../rules/evaluate";
import type { FactList, FactSource } from "../rules/fact";
import { columnOf } from "../rules/fact";

/** The entries of the other list for which whoever issued them gives the lines of this section. */
export function fedEntries({ fedBy }: Pick<Section, "fedBy">, facts: FactSource): readonly string[] {
  if (!fedBy) return [];
  return facts
    .list(fedBy.list)
    .entries.filter((entry) => judge(fedBy.where, withEntry(facts, entry)).truth === "met")
    .map((entry) => entry.id);
}

/** Whether nobody has to type anything here: all lines come from whoever issued them. */
export function isWhollyFed(section: Pick<Section, "fedBy">, facts: FactSource): boolean {
  if (!section.fedBy) return false;
  const fed = fedEntries(section, facts);
  return fed.length > 0 && fed.length === facts.list(section.fedBy.list).entries.length;
}

/** The entries whose lines have not come yet: until then nobody knows what the list holds. */
export function unfedEntries(section: Pick<Section, "fedBy">, lines: FactList, facts: FactSource): readonly string[] {
  if (!section.fedBy) return [];
  const named = new Set(columnOf(lines, section.fedBy.by).map((f) => (f.kind === "value" ? f.value : null)));
  return fedEntries(section, facts).filter((entry) => !named.has(entry));
}

/** The same, from the facts alone. */
export const stillUnfed = (section: Section, facts: FactSource): readonly string[] =>
  section.fedBy ? unfedEntries(section, facts.list(factName(section)), facts) : [];
