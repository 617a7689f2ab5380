"use client";

import { Button, Input, Select } from "antd";
import type { Field } from "../../core/rulebook/section";
import type { LocalText } from "../../core/text/local-text";
import { EMPTY_WORDS } from "./part-fields.client";

const LANGUAGES = [
  ["en", "English"],
  ["fr", "French"],
] as const;

/** The answers that a field offers, as they are stored and in both languages. */
export function FieldOptions({
  value,
  scales,
  disabled,
  onChange,
}: {
  value: NonNullable<Field["options"]>;
  /** Where the answer says of which kind a qualification is: what kinds may be marked on; none elsewhere. */
  scales: readonly { readonly key: string; readonly title: LocalText }[];
  disabled: boolean;
  onChange: (next: NonNullable<Field["options"]>) => void;
}) {
  const change = (index: number, part: Partial<(typeof value)[number]>) =>
    onChange(value.map((o, i) => (i === index ? { ...o, ...part } : o)));
  return (
    <fieldset className="plan-wide">
      <legend>Answers to choose from</legend>
      {value.map((option, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: an option is known by its place while it is typed
        <div key={i} className="option-line">
          <Input
            size="small"
            aria-label={`Answer ${i + 1}, stored as`}
            disabled={disabled}
            value={option.value}
            onChange={(e) => change(i, { value: e.target.value })}
          />
          {LANGUAGES.map(([language, word]) => (
            <Input
              key={language}
              size="small"
              aria-label={`Answer ${i + 1}, ${word}`}
              placeholder={word}
              disabled={disabled}
              value={option.title[language]}
              onChange={(e) => change(i, { title: { ...option.title, [language]: e.target.value } })}
            />
          ))}
          {scales.length > 0 ? (
            <Select
              size="small"
              mode="multiple"
              aria-label={`Answer ${i + 1}, its grade scales`}
              placeholder="any grade scale"
              disabled={disabled}
              value={option.scales ?? []}
              options={scales.map((s) => ({ value: s.key, label: s.title.en }))}
              showSearch={{ optionFilterProp: "label" }}
              onChange={(picked) => change(i, { scales: picked.length > 0 ? picked : undefined })}
            />
          ) : null}
          {disabled ? null : (
            <Button
              size="small"
              type="text"
              aria-label={`Remove answer ${i + 1}`}
              onClick={() => onChange(value.filter((_, j) => j !== i))}
            >
              ×
            </Button>
          )}
        </div>
      ))}
      {disabled ? null : (
        <Button
          size="small"
          onClick={() => onChange([...value, { value: `answer${value.length + 1}`, title: EMPTY_WORDS }])}
        >
          Add an answer
        </Button>
      )}
    </fieldset>
  );
}
