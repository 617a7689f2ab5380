"use client";

import { Button, Input, Select } from "antd";
import { useState } from "react";
import type { ClaimedValue, FileData } from "../../views/assessment/file-data";
import { type Confirm, FITS_A_CELL, optionsFor } from "./correct-value.client";

/** The last word of each field that all lines share, such as the degree of all courses: a further line has it, too. */
function shared(values: readonly ClaimedValue[], like: ClaimedValue): string | null {
  const own = new Set(values.filter((v) => v.field === like.field).map((v) => v.confirmed ?? v.claim));
  const [one] = own;
  return own.size === 1 && typeof one === "string" && like.kind === "entry" ? one : null;
}

/** A line that the document shows and the applicant has left out: its values are confirmed as they are typed. */
export function AddLine({
  values,
  data,
  onConfirm,
}: {
  values: readonly ClaimedValue[];
  data: FileData;
  onConfirm: Confirm;
}) {
  const [typed, setTyped] = useState<Readonly<Record<string, string>> | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const fields = [...new Map(values.map((v) => [v.field, v])).values()].filter((v) => FITS_A_CELL.has(v.kind));
  const [first] = fields;
  if (!first) return null;
  if (typed === null)
    return (
      <p>
        <Button size="small" onClick={() => setTyped({})}>
          Add a line that stands in the document
        </Button>
      </p>
    );
  const asked = fields.filter((f) => shared(values, f) === null);
  const put = (field: string, text: string) => setTyped({ ...typed, [field]: text });
  const add = async () => {
    const entry = crypto.randomUUID();
    const line = fields.flatMap((f) => {
      const value = (shared(values, f) ?? typed[f.field] ?? "").trim();
      return value === "" ? [] : [{ scope: f.scope, section: f.section, entry, field: f.field, value }];
    });
    const refused = await onConfirm(line, "Added from the document.");
    setSaid(refused);
    if (refused === null) setTyped(null);
  };
  const filled = asked.some((f) => (typed[f.field] ?? "").trim() !== "");
  return (
    <form
      className="add-line"
      action={() => void add()}
      onKeyDown={(e) => {
        if (e.key === "Escape") setTyped(null);
        e.stopPropagation();
      }}
    >
      {asked.map((f, i) => {
        const options = optionsFor(f, data);
        return (
          <div key={f.field}>
            <span aria-hidden="true">{f.title.en}</span>
            {options ? (
              <Select
                size="small"
                aria-label={`${f.title.en} of the new line`}
                value={typed[f.field]}
                options={[...options]}
                showSearch={{ optionFilterProp: "label" }}
                popupMatchSelectWidth={false}
                onChange={(value: string) => put(f.field, value)}
              />
            ) : (
              <Input
                size="small"
                autoFocus={i === 0}
                aria-label={`${f.title.en} of the new line`}
                value={typed[f.field] ?? ""}
                onChange={(e) => put(f.field, e.target.value)}
              />
            )}
          </div>
        );
      })}
      <p>
        <Button size="small" type="primary" htmlType="submit" disabled={!filled}>
          Add and confirm it
        </Button>{" "}
        <Button size="small" type="text" onClick={() => setTyped(null)}>
          Leave it
        </Button>
      </p>
      {said ? (
        <p className="wrong" role="alert">
          {said}
        </p>
      ) : null}
    </form>
  );
}
