import type { LengthLimit, Section } from "../../../core/rulebook/section";
import { field } from "./field";

/** A statement for one choice, with its prompt where it is written and its limits counted live. */
export function statement(length: LengthLimit, prompt: { en: string; fr: string }): Section {
  return {
    key: "statement",
    core: null,
    scope: "choice",
    title: { en: "Your statement", fr: "Votre texte" },
    intro: prompt,
    fields: [
      field({ key: "text", kind: "statement", length }, "Statement", "Texte", {
        en: "Write it in English. Only those who judge this choice read it.",
        fr: "Rédigez-le en anglais. Seules les personnes qui jugent ce vœu le lisent.",
      }),
    ],
  };
}
