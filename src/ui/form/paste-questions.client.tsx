"use client";

import { Select } from "antd";
import { useId } from "react";
import { fold } from "../../core/people/fold";
import type { Field } from "../../core/rulebook/section";
import type { Meanings, OpenCell } from "../../core/tables/to-entries";
import type { Locale } from "../../core/text/local-text";
import { formatDate } from "../../text/format";
import { sentence } from "../../text/sentence";
import type { FieldContext } from "./field-context";

const LEFT_EMPTY = "";

type Offered = readonly { readonly value: string; readonly label: string }[];

/** What may be picked in a field; nothing for one that is written. */
export const offeredIn = (field: Field, office: FieldContext["office"], locale: Locale): Offered =>
  (field.kind === "area" ? office.areas.map((a) => ({ value: a.key, title: a.title })) : (field.options ?? [])).map(
    ({ value, title }) => ({ value, label: title[locale] }),
  );

/** A cell that was asked about, and what was said of it. */
export interface Answered {
  readonly open: OpenCell;
  /** What the cell stands for; "" to leave it empty, null while nothing was said. */
  readonly value: string | null;
}

export const meaningsOf = (answers: readonly Answered[]): Meanings => {
  const meanings: Record<string, Record<string, string>> = {};
  for (const { open, value } of answers)
    if (value !== null) meanings[open.field] = { ...meanings[open.field], [fold(open.cell)]: value };
  return meanings;
};

/** By what one cell is the same as another: its field and its folded text. */
export const cellKey = ({ field, cell }: Pick<OpenCell, "field" | "cell">) => `${field} ${fold(cell)}`;

const isSame = (a: OpenCell, b: OpenCell) => cellKey(a) === cellKey(b);

/** Days in figures in one column are all written in one order: who says it of one has said it of all. */
function withAnswer(answers: readonly Answered[], open: readonly OpenCell[], to: OpenCell, value: string) {
  const order = to.days?.indexOf(value) ?? 0;
  const isMeant = (o: OpenCell) => (to.days ? o.field === to.field && o.days !== null : isSame(o, to));
  const said = (o: OpenCell): Answered => ({ open: o, value: o.days?.[order] ?? value });
  return [...answers.map((a) => (isMeant(a.open) ? said(a.open) : a)), ...open.filter(isMeant).map(said)];
}

/** What a cell means that is not in the list, or that can be read in two ways: asked once, and held for all its lines. */
export function OpenCells({
  open,
  answers,
  fields,
  office,
  locale,
  say,
}: {
  open: readonly OpenCell[];
  answers: readonly Answered[];
  fields: readonly Field[];
  office: FieldContext["office"];
  locale: Locale;
  say: (next: readonly Answered[]) => void;
}) {
  const id = useId();
  const all = [...answers, ...open.map((o) => ({ open: o, value: null }))];
  // Of the days of one column the first stands for all.
  const asked = all.filter(
    ({ open: o }, i) => o.days === null || all.findIndex((a) => a.open.field === o.field && a.open.days !== null) === i,
  );
  if (asked.length === 0) return null;
  return (
    <fieldset className="paste-columns" aria-label={sentence(locale, "paste.asked")}>
      {asked.map(({ open: o, value }) => {
        const field = fields.find((f) => f.key === o.field);
        if (!field) return null;
        const days = o.days?.map((day) => ({ value: day, label: formatDate(locale, day) }));
        const choose = `${id}-${cellKey(o)}`;
        return (
          <div key={choose}>
            <label htmlFor={choose}>
              {sentence(locale, "paste.means", {
                cell: o.cell.slice(0, 60),
                field: field.title[locale],
                count: o.lines,
              })}
            </label>
            <Select<string>
              id={choose}
              value={value}
              placeholder={sentence(locale, "paste.choose")}
              popupMatchSelectWidth={false}
              showSearch={{ optionFilterProp: "label" }}
              options={[
                ...(days ?? offeredIn(field, office, locale)),
                { value: LEFT_EMPTY, label: sentence(locale, "paste.leaveEmpty") },
              ]}
              onChange={(picked) => say(withAnswer(answers, open, o, picked))}
            />
          </div>
        );
      })}
    </fieldset>
  );
}
