import type { Field } from "../../../core/rulebook/section";

/**
 * Fields as the demo's rulebooks write them. The standard sections of this folder are shared by several rulebooks; publishing
 * copies them in, so a published rulebook stands alone.
 */
type FieldInput = Partial<Field> & Pick<Field, "key" | "kind">;

/** A field with the defaults of most fields: required, seen in the assessment. */
export function field(input: FieldInput, en: string, fr: string, help?: { en: string; fr: string }): Field {
  return { required: true, seenBy: "assessment", title: { en, fr }, ...(help ? { help } : {}), ...input };
}

export const option = (value: string, en: string, fr: string) => ({ value, title: { en, fr } });
