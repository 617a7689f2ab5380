"use client";

import { AutoComplete, Input } from "antd";
import { useEffect, useRef, useState } from "react";
import { countryName } from "../../text/format";
import { say } from "../../text/say";
import type { Suggestion } from "../../views/institutions";
import type { FieldInputProps } from "./field-input-props";

const PAUSE_MS = 250;
const LEAST_TYPED = 2;

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
  const [found, setFound] = useState<readonly Suggestion[]>([]);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const asked = useRef("");
  useEffect(() => () => clearTimeout(timer.current), []);
  const text = typeof value === "string" ? value : "";

  const look = (typed: string) => {
    clearTimeout(timer.current);
    asked.current = typed;
    if (typed.trim().length < LEAST_TYPED) {
      setFound([]);
      return;
    }
    timer.current = setTimeout(async () => {
      const query = new URLSearchParams({ typed, country: country ?? "" });
      const suggestions = await fetch(`/api/institutions?${query}`)
        .then((r) => (r.ok ? (r.json() as Promise<readonly Suggestion[]>) : []))
        .catch(() => []); // without a line the name is simply typed
      if (asked.current === typed) setFound(suggestions);
    }, PAUSE_MS);
  };

  return (
    <AutoComplete
      id={id}
      value={text}
      disabled={disabled}
      style={{ width: "100%" }}
      options={[
        ...found.map((s) => ({
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
        const chosen = found.find((s) => s.name === name);
        if (chosen) onProposal?.({ ...chosen.proposal });
      }}
      onBlur={() => {
        // What comes now would lie over the fields that follow.
        clearTimeout(timer.current);
        asked.current = "";
        setFound([]);
        onLeave(text.trim());
      }}
      notFoundContent={
        text.trim().length >= LEAST_TYPED && asked.current === text ? say(locale, "form.notInRegister") : null
      }
    >
      <Input maxLength={200} status={invalid ? "error" : ""} aria-describedby={describedBy} aria-invalid={invalid} />
    </AutoComplete>
  );
}
