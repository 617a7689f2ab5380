"use client";

import { Button, Input, Select } from "antd";
import { useState } from "react";
import type { ClaimedValue, FileData } from "../../views/assessment/file-data";

/** One value to confirm: as it was claimed, or as what it is given here. */
export interface Confirming {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly field: string;
  readonly value?: string;
}
export type Confirm = (values: readonly Confirming[], note: string | null) => Promise<string | null>;

export const CORRECTABLE = new Set([
  "text",
  "name",
  "decimal",
  "whole",
  "date",
  "institution",
  "choice",
  "entry",
  "scale",
  "area",
  "test",
  "paper",
]);

export function optionsFor(value: ClaimedValue, data: FileData) {
  switch (value.kind) {
    case "scale":
      return data.office.scales.map((s) => ({ value: s.key, label: s.title.en }));
    case "area":
      return data.office.areas.map((a) => ({ value: a.key, label: a.title.en }));
    case "test":
      return data.office.tests.map((t) => ({ value: t.key, label: t.title.en }));
    case "paper":
      return data.office.papers.map((p) => ({ value: p.key, label: p.title.en }));
    case "choice":
    case "entry":
      return (value.options ?? []).map((o) => ({ value: o.value, label: o.title.en }));
    default:
      return null;
  }
}

export const placeOf = ({ scope, section, entry, field }: ClaimedValue) => ({ scope, section, entry, field });

/** Changes a value to what the document says, with a note; the claim stays beside it. */
export function CorrectValue({
  value,
  data,
  onConfirm,
  onDone,
}: {
  value: ClaimedValue;
  data: FileData;
  onConfirm: Confirm;
  onDone: () => void;
}) {
  const [text, setText] = useState(
    typeof value.confirmed === "string" ? value.confirmed : typeof value.claim === "string" ? value.claim : "",
  );
  const [note, setNote] = useState("");
  const options = optionsFor(value, data);
  const send = async () => {
    const refused = await onConfirm([{ ...placeOf(value), value: text.trim() }], note.trim() || null);
    if (!refused) onDone();
  };
  return (
    <div className="correct-value">
      {options ? (
        <Select
          aria-label={value.title.en}
          value={text}
          options={options}
          onChange={setText}
          style={{ width: "100%" }}
        />
      ) : (
        <Input aria-label={value.title.en} value={text} onChange={(e) => setText(e.target.value)} autoFocus />
      )}
      <Input
        aria-label="Note"
        placeholder="Note: where it stands"
        value={note}
        onChange={(e) => setNote(e.target.value)}
      />
      <div className="presses">
        <Button size="small" type="primary" onClick={() => void send()}>
          Confirm
        </Button>
        <Button size="small" onClick={onDone}>
          Not now
        </Button>
      </div>
    </div>
  );
}
