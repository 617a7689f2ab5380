import type { RulebookBody } from "../rulebook/rulebook";
import { factNames } from "../rules/names";

/** Of whom a fee is asked: of all, of those who accept a place, or of some. */
export type FeeDue = "always" | "with a place" | "in some cases";

export function feeDue({ when }: Pick<RulebookBody["fees"][number], "when">): FeeDue {
  if (when === undefined) return "always";
  return factNames(when).every((name) => name === "choice.answer") ? "with a place" : "in some cases";
}
