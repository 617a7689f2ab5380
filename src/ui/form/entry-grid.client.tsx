"use client";

import { Button } from "antd";
import { type CSSProperties, useId, useState } from "react";
import type { Json } from "../../core/file/facts";
import { answerKey } from "../../core/file/place";
import { canBeDoubted } from "../../core/form/doubts";
import type { FormSection } from "../../core/form/form-sections";
import type { Field } from "../../core/rulebook/section";
import { sentence } from "../../text/sentence";
import { DoubtNote } from "./doubt-note";
import type { FieldContext } from "./field-context";
import { FieldInput } from "./fields/field-input.client";
import { HeldNote } from "./held-change.client";
import { fieldProps, mayRemove, shownFields } from "./section-fields.client";

/** Kinds that fit into one cell, with the width that they ask for. */
const CELL_WIDTHS: Readonly<Partial<Record<Field["kind"], string>>> = {
  text: "minmax(58px, 0.8fr)",
  name: "minmax(130px, 1.4fr)",
  choice: "minmax(118px, 1.2fr)",
  area: "minmax(138px, 1.4fr)",
  entry: "minmax(104px, 1.2fr)",
  country: "minmax(120px, 1.2fr)",
  language: "minmax(110px, 1fr)",
  date: "minmax(120px, 1fr)",
  whole: "86px",
  decimal: "72px",
};
const LEAST_FOR_GRID = 20;
const MOST_COLUMNS = 8;
const LONG_TEXT = 100;

const cellWidth = (field: Field): string => (field.rough ? "minmax(86px, 0.8fr)" : wholeWidth(field));

const wholeWidth = (field: Field): string =>
  field.kind === "text" && (field.most ?? 0) > LONG_TEXT
    ? "minmax(150px, 2.2fr)"
    : (CELL_WIDTHS[field.kind] ?? "minmax(90px, 1fr)");

/** The columns of a grid: fields that apply to some entry, or to a new one. */
export function columnsOf(section: FormSection): readonly Field[] {
  return section.fields.filter(
    ({ key }) => section.fresh.includes(key) || section.entries.some((e) => e.shown.includes(key)),
  );
}

/** Whether a list is long and narrow enough to be filled in as a grid, a line an entry. */
export function fitsGrid(section: FormSection): boolean {
  return (
    section.repeats !== null &&
    section.repeats.max >= LEAST_FOR_GRID &&
    columnsOf(section).length <= MOST_COLUMNS &&
    section.fields.every((f) => CELL_WIDTHS[f.kind] !== undefined && !f.mayBeUnknown)
  );
}

/** The cells of a column that are empty and asked for, each with what stands next above it. */
function fillings({ section, values }: FieldContext, entries: readonly string[], field: Field) {
  let above: Json = null;
  return entries.flatMap((entry) => {
    if (!shownFields(section, entry).includes(field)) return [];
    const place = { scope: section.scope, section: section.key, entry, field: field.key };
    const value = values[answerKey(place)] ?? null;
    if (value !== null && value !== "") above = value;
    else if (above !== null) return [{ place, value: above }];
    return [];
  });
}

/** What is written anew in every line: to fill it downwards would only make mistakes. */
const OWN_WORDS: readonly Field["kind"][] = ["text", "name"];

/** The head of a column. Where cells are empty below one that is filled, they can be filled with what stands above them. */
function ColumnHead({ context, entries, field }: { context: FieldContext; entries: readonly string[]; field: Field }) {
  const [filled, setFilled] = useState<ReturnType<typeof fillings>>([]);
  const { locale, section } = context;
  const fills = OWN_WORDS.includes(field.kind) || section.open !== "all" ? [] : fillings(context, entries, field);
  const put = (cells: typeof filled, empty: boolean) => {
    for (const { place, value } of cells) {
      context.set(place, empty ? null : value);
      context.leave(place, empty ? null : value);
    }
    setFilled(empty ? [] : cells);
  };
  const asked = fills.length > 0 ? fills : filled;
  const empties = fills.length === 0;
  const label = sentence(locale, empties ? "form.emptyAgain" : "form.fillDown", {
    field: field.title[locale],
    count: asked.length,
  });
  return (
    <span>
      <span aria-hidden="true">{field.title[locale]}</span>
      {asked.length > 0 ? (
        <Button
          size="small"
          type="text"
          className="fill-down"
          title={label}
          aria-label={label}
          onClick={() => put(asked, empties)}
        >
          {empties ? "↶" : "↓"}
        </Button>
      ) : null}
    </span>
  );
}

export function EntryGrid({
  context,
  entries,
  onRemove,
}: {
  context: FieldContext;
  entries: readonly string[];
  onRemove: (entry: string) => void;
}) {
  const prefix = useId();
  const { section, locale } = context;
  const fields = columnsOf(section);
  const doubted = fields.filter((field) => canBeDoubted(field, fields, section.scales));
  const columns = { "--columns": `${fields.map(cellWidth).join(" ")} 36px` } as CSSProperties;
  return (
    <div className="entry-grid" style={columns}>
      <div className="entry-grid-head">
        {fields.map((f) => (
          <ColumnHead key={f.key} context={context} entries={entries} field={f} />
        ))}
        <span />
      </div>
      {entries.map((entry, row) => (
        <div key={entry} className="entry-grid-row">
          {fields.map((field) => {
            if (!shownFields(section, entry).includes(field)) return <div key={field.key} data-empty="true" />;
            const id = `${prefix}-${entry}-${field.key}`;
            const { place, wrong, input } = fieldProps(context, entry, field, id);
            return (
              <div key={field.key} data-field={field.key}>
                <label htmlFor={id} className="cell-label">
                  {sentence(locale, "form.inLine", { what: field.title[locale], no: row + 1 })}
                </label>
                <FieldInput {...input} />
                {wrong ? (
                  <p id={`${id}-wrong`} className="wrong" role="alert">
                    {wrong}
                  </p>
                ) : null}
                <HeldNote context={context} place={place} field={field} />
              </div>
            );
          })}
          <div>
            {mayRemove(section, entry) ? (
              <Button
                type="text"
                aria-label={sentence(locale, "form.inLine", { what: sentence(locale, "form.remove"), no: row + 1 })}
                onClick={() => onRemove(entry)}
              >
                ×
              </Button>
            ) : null}
          </div>
          {doubted.map((field) => (
            <DoubtNote key={field.key} context={context} entry={entry} field={field} />
          ))}
        </div>
      ))}
    </div>
  );
}
