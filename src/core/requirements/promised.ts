import type { ChoiceContext } from "../file/choice-context";
import type { FileFacts } from "../file/facts";
import { type RequirementPlace, requirementKey } from "../file/place";
import type { PlainDate } from "../ids";
import type { DocumentRequirement } from "../rulebook/requirement";
import { factName } from "../rulebook/section";
import type { FactSource } from "../rules/fact";
import { parseDay } from "../time/day";

/** The day that was stated with a promise. */
export function promisedDay(
  { promisedFor }: DocumentRequirement,
  { rulebook }: ChoiceContext,
  source: FactSource,
): PlainDate | null {
  const [key, field = ""] = promisedFor?.split(".") ?? [];
  const section = rulebook.body.sections.find((s) => s.key === key);
  if (!section) return null;
  const fact = source.entry ? source.entry.at(field) : source.scalar(`${factName(section)}.${field}`);
  return fact.kind === "value" && typeof fact.value === "string" && parseDay(fact.value) !== null
    ? (fact.value as PlainDate) // it reads as a day
    : null;
}

/** What was said of a paper that is on its way to a place otherwise than by upload. */
export const announcedAt = (
  { announced }: FileFacts,
  place: RequirementPlace,
): FileFacts["announced"][number] | undefined => announced.find((p) => requirementKey(p) === requirementKey(place));
