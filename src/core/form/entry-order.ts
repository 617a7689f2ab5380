import type { AnswerIndex } from "../answers/answer-index";
import type { Section } from "../rulebook/section";

/** The fields by which a list goes through time, the first that a section has. */
const TIMES: readonly string[] = ["start", "from", "date", "year", "left", "end"];

/**
 * The entries of a list by their dates, whatever the order in which they were typed; what has no date stays behind, as it was typed.
 * Rough dates (`2024`, `2024-06`) stand before the days within them.
 */
export function entriesInOrder(index: AnswerIndex, scope: string, section: Section): readonly string[] {
  const list = index.list(scope, section.key);
  const entries = [...list.ids];
  const field = TIMES.find((key) => section.fields.some((f) => f.key === key));
  if (field === undefined) return entries;
  const place = list.find(field);
  const when = (entry: string): string => {
    const value = list.valueAt(place, list.placeOf(entry));
    return typeof value === "string" && value !== "" ? value : "9999";
  };
  return entries.sort((a, b) => (when(a) < when(b) ? -1 : when(a) > when(b) ? 1 : 0));
}
