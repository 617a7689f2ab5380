"use client";

import { Button, Checkbox, Input, Select } from "antd";
import type { Json } from "../../../core/file/facts";
import { countIn } from "../../../core/text/counting";
import { sentence } from "../../../text/sentence";
import { countryOptions } from "../../../text/words/code-lists";
import type { FieldInputProps } from "./field-input-props";
import { RankedPicks } from "./ranked-picks.client";

/** Inputs of the field kinds that hold more than one plain value. */
const textsOf = (value: Json): readonly string[] =>
  Array.isArray(value) ? value.filter((v): v is string => typeof v === "string") : [];

/** A longer text with its length counted while it is written, as people count. */
export function StatementInput({
  id,
  field,
  value,
  locale,
  disabled,
  invalid,
  describedBy,
  onChange,
  onLeave,
}: FieldInputProps) {
  const text = typeof value === "string" ? value : "";
  const { length } = field;
  const now = length ? countIn(length.unit, text) : 0;
  const outside = length !== undefined && now > 0 && (now > length.most || now < (length.least ?? 0));
  return (
    <>
      <Input.TextArea
        id={id}
        disabled={disabled}
        status={invalid ? "error" : ""}
        aria-describedby={[describedBy, `${id}-count`].filter(Boolean).join(" ")}
        aria-required={field.required}
        value={text}
        autoSize={{ minRows: 8, maxRows: 28 }}
        onChange={(e) => onChange(e.target.value)}
        onBlur={() => onLeave(value)}
      />
      {length ? (
        <p id={`${id}-count`} className="count" data-outside={outside}>
          {sentence(locale, length.unit === "words" ? "field.words" : "field.characters", {
            now,
            least: length.least ?? 0,
            most: length.most,
          })}
          {length.strict ? "" : ` · ${sentence(locale, "field.advice")}`}
        </p>
      ) : null}
    </>
  );
}

/** Several answers to tick. */
export function SeveralInput({ id, field, value, locale, disabled, onChange, onLeave }: FieldInputProps) {
  return (
    <Checkbox.Group
      className="ticks"
      disabled={disabled}
      value={[...textsOf(value)]}
      options={(field.options ?? []).map((o, i) => ({
        value: o.value,
        label: o.title[locale],
        ...(i === 0 ? { id } : {}),
      }))}
      onChange={(picked) => {
        onChange(picked);
        onLeave(picked);
      }}
    />
  );
}

/** Picks in the order of preference. */
export function RankedInput({ id, field, value, locale, disabled, onChange, onLeave }: FieldInputProps) {
  return (
    <RankedPicks
      id={id}
      options={(field.options ?? []).map((o) => ({ value: o.value, label: o.title[locale] }))}
      picked={textsOf(value)}
      most={field.most}
      disabled={disabled}
      locale={locale}
      onOrder={(next) => {
        onChange(next);
        onLeave(next);
      }}
    />
  );
}

/** Addresses of pages, one a line. */
export function LinksInput({
  id,
  field,
  value,
  locale,
  disabled,
  invalid,
  describedBy,
  onChange,
  onLeave,
}: FieldInputProps) {
  const known = textsOf(value);
  const rows = known.length === 0 ? [""] : known;
  const most = field.most ?? 20;
  const set = (index: number, text: string) => rows.map((r, i) => (i === index ? text : r));
  const settled = (all: readonly string[]) => all.map((r) => r.trim()).filter((r) => r !== "");
  return (
    <div className="links">
      {rows.map((row, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a line has no other name than its number
        <div key={i} className="link-row">
          <Input
            id={i === 0 ? id : `${id}-${i}`}
            type="url"
            inputMode="url"
            disabled={disabled}
            status={invalid ? "error" : ""}
            aria-describedby={describedBy}
            aria-label={sentence(locale, "field.link", { no: i + 1 })}
            value={row}
            onChange={(e) => onChange(set(i, e.target.value))}
            onBlur={() => onLeave(settled(rows))}
          />
          {disabled || rows.length === 1 ? null : (
            <Button
              aria-label={sentence(locale, "field.removeLink", { no: i + 1 })}
              onClick={() => {
                const rest = rows.filter((_, j) => j !== i);
                onChange(rest);
                onLeave(settled(rest));
              }}
            >
              ×
            </Button>
          )}
        </div>
      ))}
      {disabled || rows.length >= most ? null : (
        <Button size="small" onClick={() => onChange([...rows, ""])}>
          {sentence(locale, "field.addLink")}
        </Button>
      )}
    </div>
  );
}

const ADDRESS_LINES = ["street", "postcode", "town", "region"] as const;

/** A postal address, or that it is the same as another one of the form. */
export function AddressInput({
  id,
  field,
  value,
  named,
  locale,
  disabled,
  invalid,
  describedBy,
  onChange,
  onLeave,
}: FieldInputProps) {
  const address =
    typeof value === "object" && value !== null && !Array.isArray(value)
      ? (value as Readonly<Record<string, Json>>)
      : {};
  const other = field.sameAs ? named[field.sameAs.split(".")[0] ?? ""] : undefined;
  const same = address.same === true;
  const leave = (next: Json) => {
    onChange(next);
    onLeave(next);
  };
  const line = (part: string) => (typeof address[part] === "string" ? (address[part] as string) : "");
  return (
    <div className="address" aria-describedby={describedBy}>
      {other ? (
        <Checkbox
          id={`${id}-same`}
          disabled={disabled}
          checked={same}
          onChange={(e) => leave(e.target.checked ? { same: true } : null)}
        >
          {sentence(locale, "field.sameAs", { section: other[locale] })}
        </Checkbox>
      ) : null}
      {same ? null : (
        <>
          {ADDRESS_LINES.map((part, i) => (
            <div key={part} data-part={part}>
              <label htmlFor={i === 0 ? id : `${id}-${part}`}>{sentence(locale, `field.${part}`)}</label>
              <Input
                id={i === 0 ? id : `${id}-${part}`}
                disabled={disabled}
                status={invalid ? "error" : ""}
                value={line(part)}
                onChange={(e) => onChange({ ...address, [part]: e.target.value })}
                onBlur={() => onLeave(address)}
              />
            </div>
          ))}
          <div data-part="country">
            <label htmlFor={`${id}-country`}>{sentence(locale, "field.country")}</label>
            <Select
              id={`${id}-country`}
              disabled={disabled}
              status={invalid ? "error" : ""}
              style={{ width: "100%" }}
              showSearch={{ optionFilterProp: "label" }}
              placeholder={sentence(locale, "form.choose")}
              options={countryOptions(locale)}
              value={line("country") || undefined}
              onChange={(country?: string) => leave({ ...address, country: country ?? "" })}
            />
          </div>
        </>
      )}
    </div>
  );
}
