"use client";

import { Button, Input, Select } from "antd";
import { type KeyboardEvent, useRef, useState } from "react";
import type { Json } from "../../core/file/facts";
import { creditsByArea } from "../../core/grades/credits-by-area";
import { parseDecimal, toShort } from "../../core/numbers/ratio";
import { valueText } from "../../text/words/value-text";
import type { ClaimedValue, FileData } from "../../views/assessment/file-data";
import { AddLine } from "./add-line.client";
import { type Confirm, FITS_A_CELL, optionsFor, placeOf } from "./correct-value.client";

/** Takes out a line that the office has added. */
export type TakeBack = (line: {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
}) => Promise<string | null>;

interface Props {
  readonly values: readonly ClaimedValue[];
  readonly data: FileData;
  readonly onConfirm: Confirm;
  readonly onTakeBack: TakeBack;
  /** Whether the document was supplied, so that values can be confirmed from it. */
  readonly judged: boolean;
}

interface At {
  readonly row: number;
  readonly column: number;
}

const MOST_AREA_KEYS = 9;

/** The reason of whoever corrects a line beside the document and gives none. */
const AS_THE_DOCUMENT = "As the document has it.";

/** How far a key moves, in rows and columns. */
const MOVES: Readonly<Record<string, readonly [number, number]>> = {
  ArrowDown: [1, 0],
  ArrowUp: [-1, 0],
  ArrowRight: [0, 1],
  ArrowLeft: [0, -1],
  Home: [0, -1000],
  End: [0, 1000],
  PageDown: [10, 0],
  PageUp: [-10, 0],
};

const known = (value: ClaimedValue | undefined): Json => value?.confirmed ?? value?.claim ?? null;
const textOf = (value: ClaimedValue | undefined): string => {
  const now = known(value);
  return typeof now === "string" ? now : "";
};
const fits = (value: ClaimedValue | undefined): boolean => value !== undefined && FITS_A_CELL.has(value.kind);
const isSettled = (value: ClaimedValue | undefined): boolean =>
  value === undefined || value.claim === null || value.state === "confirmed" || value.state === "changed";

/** What the credits come to by subject area, and how many of them are confirmed. */
function Totals({ rows, data }: { rows: readonly (readonly ClaimedValue[])[]; data: FileData }) {
  const of = (row: readonly ClaimedValue[], field: string) => row.find((v) => v.field === field);
  const lines = rows.map((row) => ({
    area: textOf(of(row, "area")) || null,
    credits: parseDecimal(textOf(of(row, "credits"))),
    status: textOf(of(row, "status")) || null,
    confirmed: ["area", "credits", "status"].every((field) => isSettled(of(row, field))),
  }));
  const titleOf = (key: string | null) => data.office.areas.find((a) => a.key === key)?.title.en ?? "no area";
  return (
    <dl className="area-totals">
      {creditsByArea(lines).map((sum) => (
        <div key={sum.area ?? ""}>
          <dt>{titleOf(sum.area)}</dt>
          <dd>
            <strong>{toShort(sum.completed)}</strong>
            <span className="quiet">
              {" "}
              credits, {toShort(sum.confirmed)} confirmed
              {sum.running.n > 0 ? `, ${toShort(sum.running)} running` : ""}
            </span>
          </dd>
        </div>
      ))}
    </dl>
  );
}

/** Changes one cell where it stands: Enter confirms what is typed, Escape leaves it as it was. */
function CellEditor({
  value,
  data,
  onDone,
}: {
  value: ClaimedValue;
  data: FileData;
  onDone: (next: string | null) => void;
}) {
  const [text, setText] = useState(textOf(value));
  const options = optionsFor(value, data);
  const keys = (e: KeyboardEvent) => {
    if (e.key === "Escape") onDone(null);
    if (e.key === "Enter" && !options) onDone(text.trim());
    e.stopPropagation();
  };
  if (options)
    return (
      <Select
        autoFocus
        defaultOpen
        size="small"
        aria-label={value.title.en}
        value={text}
        options={options}
        popupMatchSelectWidth={false}
        showSearch={{ optionFilterProp: "label" }}
        onChange={onDone}
        onBlur={() => onDone(null)}
        onInputKeyDown={keys}
      />
    );
  return (
    <Input
      autoFocus
      size="small"
      aria-label={value.title.en}
      value={text}
      onChange={(e) => setText(e.target.value)}
      onKeyDown={keys}
      onBlur={() => onDone(null)}
    />
  );
}

/** Beside a line that stands in the document alone. */
function Added({ line, judged, onTakeBack }: { line: ClaimedValue; judged: boolean; onTakeBack: TakeBack }) {
  const { scope, section, entry } = line;
  return (
    <span className="added">
      added{" "}
      {judged ? (
        <Button
          size="small"
          type="text"
          onKeyDown={(e) => e.stopPropagation()} // Enter presses it, and changes no cell
          onClick={() => void onTakeBack({ scope, section, entry })}
        >
          take it out
        </Button>
      ) : null}
    </span>
  );
}

/** The columns of the lines; one that names the same entry in all of them says nothing and is left out. */
function columnsOf(values: readonly ClaimedValue[]): readonly (readonly [string, string])[] {
  const fields = [...new Map(values.map((v) => [v.field, v.title.en]))];
  return fields.filter(([field]) => {
    const own = values.filter((v) => v.field === field);
    return own[0]?.kind !== "entry" || new Set(own.map(textOf)).size > 1;
  });
}

/**
 * A list beside its document, such as a transcript's courses: the arrows move, Enter changes a cell, v confirms the line as it is
 * claimed, a digit puts the course into another subject area.
 */
export function TranscriptGrid({ values, data, onConfirm, onTakeBack, judged }: Props) {
  const [at, setAt] = useState<At>({ row: 0, column: 0 });
  const [editing, setEditing] = useState(false);
  const [note, setNote] = useState("");
  const table = useRef<HTMLTableElement>(null);
  const entries = [...new Set(values.map((v) => v.entry))];
  const fields = columnsOf(values);
  const rows = entries.map((entry) => values.filter((v) => v.entry === entry));
  const isAdded = (row: readonly ClaimedValue[]) => row.every((v) => v.claim === null);
  const cellAt = ({ row, column }: At) => rows[row]?.find((v) => v.field === fields[column]?.[0]);
  const areas = fields.some(([field]) => field === "area") ? data.office.areas.slice(0, MOST_AREA_KEYS) : [];
  const goTo = (row: number, column: number) => {
    const next = {
      row: Math.max(0, Math.min(rows.length - 1, row)),
      column: Math.max(0, Math.min(fields.length - 1, column)),
    };
    setAt(next);
    setEditing(false);
    table.current?.querySelector<HTMLElement>(`[data-cell="${next.row}-${next.column}"]`)?.focus();
  };
  const confirmRow = async (row: readonly ClaimedValue[]) => {
    const open = row.filter((v) => !isSettled(v) || v.state === "stale");
    if (open.length > 0) await onConfirm(open.map(placeOf), note.trim() || null);
    goTo(at.row + 1, at.column);
  };
  const assign = async (row: readonly ClaimedValue[], area: string) => {
    const value = row.find((v) => v.field === "area");
    if (!value) return;
    await onConfirm([{ ...placeOf(value), value: area }], note.trim() || AS_THE_DOCUMENT);
    goTo(at.row + 1, at.column);
  };
  const change = async (value: ClaimedValue, next: string | null) => {
    setEditing(false);
    if (next !== null && next !== "" && (next !== textOf(value) || !isSettled(value)))
      await onConfirm([{ ...placeOf(value), value: next }], note.trim() || AS_THE_DOCUMENT);
    goTo(at.row, at.column);
  };
  const keys = (e: KeyboardEvent) => {
    if (editing || e.ctrlKey || e.metaKey || e.altKey) return;
    const move = MOVES[e.key];
    const row = rows[at.row] ?? [];
    const area = /^[1-9]$/u.test(e.key) ? areas[Number(e.key) - 1] : undefined;
    const act =
      (move ? () => goTo(at.row + move[0], at.column + move[1]) : undefined) ??
      (judged && e.key === "Enter" && fits(cellAt(at))
        ? () => setEditing(true)
        : judged && e.key === "v"
          ? () => void confirmRow(row)
          : judged && area
            ? () => void assign(row, area.key)
            : undefined);
    if (!act) return;
    e.preventDefault();
    act();
  };
  return (
    <>
      <div className="value-grid">
        {/* biome-ignore lint/a11y/noNoninteractiveElementToInteractiveRole: a table whose cells take the keyboard is a grid */}
        <table className="plain-table" role="grid" aria-label="Claimed line by line" ref={table} onKeyDown={keys}>
          <thead>
            <tr>
              {fields.map(([field, title]) => (
                <th key={field} scope="col">
                  {title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, r) => (
              <tr key={entries[r]} aria-current={r === at.row ? "true" : undefined}>
                {fields.map(([field], c) => {
                  const value = row.find((v) => v.field === field);
                  const here = r === at.row && c === at.column;
                  const claim = value ? valueText("en", value, value.claim, data.office) : "";
                  return (
                    <td
                      key={field}
                      data-cell={`${r}-${c}`}
                      data-state={value?.state}
                      data-kind={value?.kind}
                      tabIndex={here ? 0 : -1}
                      title={value?.state === "changed" ? `claimed: ${claim}` : value?.state}
                      onFocus={() => (here ? undefined : setAt({ row: r, column: c }))}
                      onDoubleClick={() => (judged && fits(value) ? setEditing(true) : undefined)}
                    >
                      {here && editing && value ? (
                        <CellEditor value={value} data={data} onDone={(next) => void change(value, next)} />
                      ) : value ? (
                        valueText("en", value, known(value), data.office)
                      ) : null}
                      {c === 0 && value && isAdded(row) ? (
                        <Added line={value} judged={judged} onTakeBack={onTakeBack} />
                      ) : null}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {judged ? (
        <div className="grid-foot">
          <p className="quiet">
            <span>
              <span className="key">v</span> confirm the line as claimed
            </span>
            <span>
              <span className="key">Enter</span> change a cell
            </span>
            {areas.map((area, i) => (
              <span key={area.key}>
                <span className="key">{i + 1}</span> {area.title.en}
              </span>
            ))}
          </p>
          <AddLine values={values} data={data} onConfirm={onConfirm} />
          <Input
            size="small"
            aria-label="Note kept with what is confirmed"
            placeholder="Note kept with what you confirm: where it stands"
            value={note}
            onChange={(e) => setNote(e.target.value)}
          />
        </div>
      ) : null}
      {areas.length > 0 ? <Totals rows={rows} data={data} /> : null}
    </>
  );
}
