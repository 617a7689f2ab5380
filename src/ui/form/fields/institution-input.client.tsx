"use client";

import { AutoComplete, Input } from "antd";
import { countryName } from "../../../text/format";
import { sentence } from "../../../text/sentence";
import type { FieldInputProps } from "./field-input-props";
import { LEAST_TYPED, useRegister } from "./use-register.client";

/** The name of a school or university, with what the register knows of it; one that is not in the list can be written as it is. */
export function InstitutionInput({
  id,
  value,
  locale,
  disabled,
  invalid,
  describedBy,
  country,
  onChange,
  onLeave,
  onProposal,
}: FieldInputProps) {
  const { found, look, forget } = useRegister(country ?? "");
  const text = typeof value === "string" ? value : "";

  return (
    <AutoComplete
      id={id}
      value={text}
      disabled={disabled}
      style={{ width: "100%" }}
      options={[
        ...found.suggestions.map((s) => ({
          value: s.name,
          label: (
            <span className="institution-hit">
              {s.name}{" "}
              <span className="quiet">{[countryName(locale, s.country), s.by].filter(Boolean).join(" · ")}</span>
            </span>
          ),
        })),
      ]}
      onSearch={look}
      onChange={(next: string) => onChange(next)}
      onSelect={(name: string) => {
        onChange(name);
        onLeave(name);
        const chosen = found.suggestions.find((s) => s.name === name);
        if (chosen) onProposal?.({ ...chosen.proposal });
      }}
      onBlur={() => {
        // What comes now would lie over the fields that follow.
        forget();
        onLeave(text.trim());
      }}
      notFoundContent={
        text.trim().length >= LEAST_TYPED && found.typed === text ? sentence(locale, "form.notInRegister") : null
      }
    >
      <Input maxLength={200} status={invalid ? "error" : ""} aria-describedby={describedBy} aria-invalid={invalid} />
    </AutoComplete>
  );
}
