import { factName, type Section } from "../rulebook/section";
import { withEntry } from "../rules/compile";
import { judge } from "../rules/evaluate";
import type { FactList, FactSource } from "../rules/fact";
import { columnOf } from "../rules/fact";

/** The entries of the other list for which whoever issued them gives the lines of this section. */
export function registryEntries({ fromRegistry }: Pick<Section, "fromRegistry">, facts: FactSource): readonly string[] {
  if (!fromRegistry) return [];
  return facts
    .list(fromRegistry.list)
    .entries.filter((entry) => judge(fromRegistry.where, withEntry(facts, entry)).truth === "met")
    .map((entry) => entry.id);
}

/** Whether nobody has to type anything here: all lines come from whoever issued them. */
export function isAllFromRegistry(section: Pick<Section, "fromRegistry">, facts: FactSource): boolean {
  if (!section.fromRegistry) return false;
  const given = registryEntries(section, facts);
  return given.length > 0 && given.length === facts.list(section.fromRegistry.list).entries.length;
}

/** The entries whose lines have not come yet: until then nobody knows what the list holds. */
export function entriesAwaited(
  section: Pick<Section, "fromRegistry">,
  lines: FactList,
  facts: FactSource,
): readonly string[] {
  if (!section.fromRegistry) return [];
  const named = new Set(columnOf(lines, section.fromRegistry.by).map((f) => (f.kind === "value" ? f.value : null)));
  return registryEntries(section, facts).filter((entry) => !named.has(entry));
}

/** The same, from the facts alone. */
export const awaitedFromRegistry = (section: Section, facts: FactSource): readonly string[] =>
  section.fromRegistry ? entriesAwaited(section, facts.list(factName(section)), facts) : [];
