"use client";

import { DayInput } from "./day-input.client";
import type { FieldInputProps } from "./field-input-props";

/** A day; where the field allows it, the month or the year alone. What cannot be read is kept as it was typed. */
export function DateInput({
  id,
  value,
  locale,
  disabled,
  invalid,
  describedBy,
  field,
  onChange,
  onLeave,
}: FieldInputProps) {
  const put = (text: string) => {
    const next = text === "" ? null : text;
    onChange(next);
    onLeave(next);
  };
  return (
    <DayInput
      id={id}
      value={typeof value === "string" ? value : ""}
      precision={field.rough ? "rough" : "day"}
      locale={locale}
      disabled={disabled}
      invalid={invalid}
      describedBy={describedBy}
      required={field.required ?? false}
      keepsText
      onTake={put}
    />
  );
}
