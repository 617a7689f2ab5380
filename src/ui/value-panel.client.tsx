"use client";

import { Button, Input, Select } from "antd";
import { useState } from "react";
import type { RequirementResult } from "../core/assessment/result";
import type { ClaimedValue, FileData } from "../views/file-data";
import { valueText } from "./value-text";

type Confirm = (
  value: {
    readonly scope: string;
    readonly section: string;
    readonly entry: string;
    readonly field: string;
    readonly value?: string;
  },
  note: string | null,
) => Promise<string | null>;

const MENDABLE = new Set([
  "text",
  "name",
  "decimal",
  "whole",
  "date",
  "institution",
  "choice",
  "scale",
  "area",
  "test",
]);

function optionsFor(value: ClaimedValue, data: FileData) {
  switch (value.kind) {
    case "scale":
      return data.office.scales.map((s) => ({ value: s.key, label: s.title.en }));
    case "area":
      return data.office.areas.map((a) => ({ value: a.key, label: a.title.en }));
    case "test":
      return data.office.tests.map((t) => ({ value: t.key, label: t.title.en }));
    case "choice":
      return (value.options ?? []).map((o) => ({ value: o.value, label: o.title.en }));
    default:
      return null;
  }
}

/** Changes a value to what the document says, with a note; the claim stays beside it. */
function Mend({
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
    const refused = await onConfirm(
      { scope: value.scope, section: value.section, entry: value.entry, field: value.field, value: text.trim() },
      note.trim() || null,
    );
    if (!refused) onDone();
  };
  return (
    <div className="mend">
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

function Line({
  value,
  data,
  onConfirm,
  judged,
}: {
  value: ClaimedValue;
  data: FileData;
  onConfirm: Confirm;
  judged: boolean;
}) {
  const [open, setOpen] = useState(false);
  const claim = valueText("en", value, value.claim, data.office);
  return (
    <li data-state={value.state}>
      <span className="quiet">{value.title.en}</span>
      <span>
        {value.state === "changed" || value.state === "stale" ? (
          <>
            <strong>{valueText("en", value, value.confirmed, data.office)}</strong> <s className="quiet">{claim}</s>
          </>
        ) : (
          claim
        )}
      </span>
      <span className="quiet">
        {value.state === "stale" ? "changed since" : value.state === "claimed" && !value.used ? "" : value.state}
        {judged && MENDABLE.has(value.kind) ? (
          <button
            type="button"
            className="link-button"
            onClick={() => setOpen(!open)}
            aria-label={`Mend ${value.title.en}`}
          >
            mend
          </button>
        ) : null}
      </span>
      {open ? <Mend value={value} data={data} onConfirm={onConfirm} onDone={() => setOpen(false)} /> : null}
    </li>
  );
}

/** A list section beside its document: one line an entry, such as a transcript's courses. */
function Grid({
  values,
  data,
  onConfirm,
  judged,
}: {
  values: readonly ClaimedValue[];
  data: FileData;
  onConfirm: Confirm;
  judged: boolean;
}) {
  const [mending, setMending] = useState<ClaimedValue | null>(null);
  const entries = [...new Set(values.map((v) => v.entry))];
  const fields = [...new Map(values.map((v) => [v.field, v.title.en]))];
  return (
    <div className="value-grid">
      <table className="plain-table">
        <thead>
          <tr>
            {fields.map(([field, title]) => (
              <th key={field}>{title}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {entries.map((entry) => (
            <tr key={entry}>
              {fields.map(([field]) => {
                const value = values.find((v) => v.entry === entry && v.field === field);
                if (!value) return <td key={field} />;
                const text = valueText("en", value, value.confirmed ?? value.claim, data.office);
                return (
                  <td key={field} data-state={value.state} data-kind={value.kind}>
                    {judged && MENDABLE.has(value.kind) ? (
                      <button
                        type="button"
                        className="cell-button"
                        onClick={() => setMending(value)}
                        title={
                          value.state === "changed"
                            ? `claimed: ${valueText("en", value, value.claim, data.office)}`
                            : value.state
                        }
                      >
                        {text}
                      </button>
                    ) : (
                      text
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {mending ? (
        <Mend
          key={`${mending.entry}-${mending.field}`}
          value={mending}
          data={data}
          onConfirm={onConfirm}
          onDone={() => setMending(null)}
        />
      ) : null}
    </div>
  );
}

/** The claim beside what was confirmed, for the fields that a requirement shows. */
export function ValuePanel({
  data,
  requirement,
  onConfirm,
}: {
  data: FileData;
  requirement: RequirementResult;
  onConfirm: Confirm;
}) {
  const names =
    requirement.kind === "sections"
      ? data.values.filter((v) => requirement.sections.includes(v.section)).map((v) => `${v.section}.${v.field}`)
      : requirement.shows;
  const own = data.values
    .filter(
      (v) =>
        names.includes(`${v.section}.${v.field}`) &&
        (requirement.entry === "" ||
          v.entry === requirement.entry ||
          !data.values.some((o) => o.section === v.section && o.entry === requirement.entry)),
    )
    .filter((v) => v.claim !== null || v.confirmed !== null);
  if (own.length === 0) return null;
  const open = data.shows[`${requirement.scope}|${requirement.key}|${requirement.entry}`] ?? [];
  const judged = data.assessment.file.stage !== "preparing" && (requirement.kind === "document" || open.length > 0);
  const sections = [...new Set(own.map((v) => v.section))];
  return (
    <div className="claimed">
      {sections.map((key) => {
        const values = own.filter((v) => v.section === key);
        const many = new Set(values.map((v) => v.entry)).size > 1;
        return (
          <div key={key}>
            <h3>Claimed: {data.sections.find((s) => s.key === key)?.title.en}</h3>
            {many ? (
              <Grid values={values} data={data} onConfirm={onConfirm} judged={judged} />
            ) : (
              <ul className="value-list">
                {values.map((v) => (
                  <Line key={`${v.entry}-${v.field}`} value={v} data={data} onConfirm={onConfirm} judged={judged} />
                ))}
              </ul>
            )}
          </div>
        );
      })}
      {requirement.checks.map((check) => (
        <p key={check.key} className={check.trace.truth === "not met" ? "wrong strong" : "quiet"}>
          {check.trace.truth === "met" ? "Holds" : check.trace.truth === "not met" ? "Does not hold" : "Open"}:{" "}
          {check.title.en}
        </p>
      ))}
    </div>
  );
}
