import type { Field, Section } from "../rulebook/section";
import { type ComparedWord, comparedWords } from "./compared-words";

/** Who reads them decides nothing, and nobody who reads the file sees them. */
const NOT_COMPARED: readonly Field["seenBy"][] = ["advisers", "finance", "figures"];

/** Whether what is written in a field is held against what others wrote. */
export const isCompared = ({ kind, seenBy }: Pick<Field, "kind" | "seenBy">): boolean =>
  kind === "statement" && !NOT_COMPARED.includes(seenBy);

/** What the form itself says where a statement is written, in all its languages. */
export function formWords(section: Pick<Section, "title" | "intro">, field: Field): readonly ComparedWord[] {
  const texts = [section.title, section.intro, field.title, field.help].flatMap((t) => (t ? [t.en, t.fr] : []));
  return comparedWords(texts.join("\n"));
}
