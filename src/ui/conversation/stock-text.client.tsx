"use client";

import { Select } from "antd";
import { fieldsIn, merge } from "../../core/conversation/merge";
import type { TextUse } from "../../core/conversation/text-uses";
import type { WritingAids } from "../../views/conversation/writing-aids";

/** Adds a text of the office to what is written, filled in for the file; nothing where the office keeps none for this use. */
export function StockText({
  id,
  use,
  label = "Add a text of the office",
  aids: { locale, values, texts },
  text,
  onText,
}: {
  id: string;
  use: TextUse;
  label?: string;
  aids: WritingAids;
  text: string;
  onText: (text: string) => void;
}) {
  const offered = texts.filter((t) => t.uses.includes(use));
  if (offered.length === 0) return null;
  const take = (textId: string) => {
    const chosen = offered.find((t) => t.id === textId);
    if (!chosen) return;
    const { text: filled } = merge(chosen[locale], values);
    onText(text.trim() === "" ? filled : `${text.trimEnd()}${use === "message" ? "\n\n" : " "}${filled}`);
  };
  return (
    <div className="field">
      <label htmlFor={id}>{label}</label>
      <Select
        id={id}
        value={null}
        placeholder="Choose one; it is filled in for this file"
        onChange={take}
        showSearch={{ optionFilterProp: "label" }}
        options={offered.map((t) => ({ value: t.id, label: t.name }))}
        style={{ width: "100%" }}
      />
    </div>
  );
}

/** What stands in braces still and has to be seen to before anything is sent. */
export function FieldsLeft({ text }: { text: string }) {
  const left = fieldsIn(text);
  return left.length > 0 ? (
    <p className="wrong">
      {left.map((field) => `{${field}}`).join(", ")} {left.length === 1 ? "is" : "are"} not filled in: write what
      belongs there, or take it out.
    </p>
  ) : null;
}
