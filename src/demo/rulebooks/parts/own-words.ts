import type { LengthLimit, Section } from "../../../core/rulebook/section";
import type { LocalText } from "../../../core/text/local-text";
import { field } from "./field";

const IN_ENGLISH = { en: "Write it in English.", fr: "Rédigez-le en anglais." };

/** A statement for one choice, with its prompt where it is written and its limits counted live. */
export function statement(length: LengthLimit, prompt: LocalText, tongue: LocalText = IN_ENGLISH): Section {
  return {
    key: "statement",
    core: null,
    scope: "choice",
    title: { en: "Your statement", fr: "Votre texte" },
    intro: prompt,
    fields: [
      field({ key: "text", kind: "statement", length }, "Statement", "Texte", {
        en: `${tongue.en} Only those who judge this choice read it.`,
        fr: `${tongue.fr} Seules les personnes qui jugent ce vœu le lisent.`,
      }),
    ],
  };
}
