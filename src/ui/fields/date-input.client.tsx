"use client";

import { DatePicker, Input, Select } from "antd";
import dayjs from "dayjs";
import customParseFormat from "dayjs/plugin/customParseFormat";
import { useState } from "react";
import type { Json } from "../../core/assessment/facts";
import { say } from "../../text/say";
import type { FieldInputProps } from "./field-input-props";

dayjs.extend(customParseFormat);

const MONTH_FORMATS = ["MMM YYYY", "MMMM YYYY", "YYYY-MM", "M/YYYY"];
const DATE_FORMATS = ["D MMM YYYY", "D MMMM YYYY", "YYYY-MM-DD", "D/M/YYYY", "D.M.YYYY"];

const PRECISIONS = [
  { picker: "date", stored: "YYYY-MM-DD", shape: /^\d{4}-\d{2}-\d{2}$/u },
  { picker: "month", stored: "YYYY-MM", shape: /^\d{4}-\d{2}$/u },
  { picker: "year", stored: "YYYY", shape: /^\d{4}$/u },
] as const;
type Precision = (typeof PRECISIONS)[number]["picker"];

/** A day; where the field allows it, the month or the year alone. */
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
  const known = typeof value === "string" ? PRECISIONS.find((p) => p.shape.test(value)) : undefined;
  const [wanted, setWanted] = useState<Precision>(known?.picker ?? "date");
  const precision = PRECISIONS.find((p) => p.picker === (field.rough ? wanted : "date")) ?? PRECISIONS[0];
  const put = (picked: Json) => {
    onChange(picked);
    onLeave(picked);
  };
  const picker = (
    <DatePicker
      id={id}
      style={{ width: "100%" }}
      disabled={disabled}
      status={invalid ? "error" : ""}
      picker={precision.picker}
      format={precision.picker === "date" ? DATE_FORMATS : precision.picker === "month" ? MONTH_FORMATS : "YYYY"}
      placeholder={precision.picker === "date" ? "3 Feb 2027" : precision.picker === "month" ? "Feb 2027" : "2027"}
      value={typeof value === "string" && value !== "" ? dayjs(value) : null}
      onChange={(date: dayjs.Dayjs | null) => put(date?.isValid() ? date.format(precision.stored) : null)}
      aria-describedby={describedBy}
      aria-required={field.required}
      preserveInvalidOnBlur
    />
  );
  if (!field.rough) return picker;
  return (
    <span className="rough-date">
      <Select<Precision>
        aria-label={say(locale, "field.known")}
        disabled={disabled}
        value={wanted}
        options={PRECISIONS.map((p) => ({ value: p.picker, label: say(locale, `field.known.${p.picker}`) }))}
        onChange={(next) => {
          setWanted(next);
          const shorter = PRECISIONS.find((p) => p.picker === next);
          // What is known already is kept as far as the wanted precision goes; a year alone never becomes a day.
          if (typeof value === "string" && shorter && value.length > shorter.stored.length)
            put(value.slice(0, shorter.stored.length));
          else if (typeof value === "string" && value !== "" && shorter && value.length < shorter.stored.length)
            put(null);
        }}
      />
      {picker}
    </span>
  );
}

const YEAR_FORMATS = ["YYYY"];
const TYPED = [
  [DATE_FORMATS, "YYYY-MM-DD"],
  [MONTH_FORMATS, "YYYY-MM"],
  [YEAR_FORMATS, "YYYY"],
] as const;

/** What somebody typed as a day, a month or a year; as it was typed where it is none of them. */
function typedDate(text: string): string {
  const clean = text.trim();
  for (const [formats, stored] of TYPED) {
    const read = dayjs(clean, [...formats], true);
    if (read.isValid()) return read.format(stored);
  }
  return clean;
}

/** The same in one cell of a grid: typed as a day, a month or a year, as precisely as it is known. */
export function RoughDateText({
  id,
  field,
  value,
  disabled,
  invalid,
  describedBy,
  onChange,
  onLeave,
}: FieldInputProps) {
  const text = typeof value === "string" ? value : "";
  return (
    <Input
      id={id}
      disabled={disabled}
      status={invalid ? "error" : ""}
      placeholder="2025-06"
      aria-describedby={describedBy}
      aria-required={field.required}
      aria-invalid={invalid}
      value={text}
      onChange={(e) => onChange(e.target.value)}
      onBlur={() => {
        const read = typedDate(text);
        if (read !== text) onChange(read);
        onLeave(read === "" ? null : read);
      }}
    />
  );
}
