"use client";

import { Checkbox, Input, Radio, Select } from "antd";
import type { Json } from "../../../core/file/facts";
import { registerOptions } from "../../../core/standards/register-options";
import { sentence } from "../../../text/sentence";
import { countryOptions, languageOptions } from "../../../text/words/code-lists";
import { isCalled } from "../../../text/words/other-names";
import { DateInput } from "./date-input.client";
import type { FieldInputProps } from "./field-input-props";
import { InstitutionInput } from "./institution-input.client";
import { ScaleInput } from "./scale-input.client";
import { AddressInput, LinksInput, RankedInput, SeveralInput, StatementInput } from "./special-inputs.client";

function optionsOf({ field, office, locale }: Pick<FieldInputProps, "field" | "office" | "locale">) {
  switch (field.kind) {
    case "country":
    case "countries":
      return countryOptions(locale);
    case "language":
      return languageOptions(locale);
    default:
      return (field.options ?? registerOptions(field.kind, office) ?? []).map((o) => ({
        value: o.value,
        label: o.title[locale],
      }));
  }
}

/** Countries and languages are found by their names in other languages, too. */
function searchIn(kind: FieldInputProps["field"]["kind"]) {
  if (kind !== "country" && kind !== "countries" && kind !== "language") return { optionFilterProp: "label" };
  const type = kind === "language" ? "language" : "region";
  return {
    filterOption: (typed: string, option?: { readonly value: string; readonly label: string }) =>
      option !== undefined && isCalled(type, option.value, option.label, typed),
  };
}

function Choice(props: FieldInputProps) {
  const { field, value, locale, onChange, onLeave } = props;
  const options = optionsOf(props);
  if (field.kind === "entry" && options.length === 0)
    return (
      <p className="help">
        {sentence(locale, "field.noEntries", { section: props.named[field.of ?? ""]?.[locale] ?? "" })}
      </p>
    );
  const pick = (picked: Json) => {
    onChange(picked);
    onLeave(picked);
  };
  const shared = {
    id: props.id,
    disabled: props.disabled,
    options: options.map((o) =>
      props.taken.has(o.value) && o.value !== value
        ? { ...o, label: sentence(locale, "field.used", { label: o.label }), disabled: true }
        : o,
    ),
    placeholder: sentence(locale, "form.choose"),
    style: { width: "100%" },
    status: props.invalid ? ("error" as const) : ("" as const),
    "aria-describedby": props.describedBy,
    "aria-required": field.required,
    showSearch: searchIn(field.kind),
  };
  if (field.kind === "countries")
    return (
      <Select
        {...shared}
        mode="multiple"
        value={Array.isArray(value) ? (value as string[]) : []}
        onChange={(picked: string[]) => pick(picked)}
      />
    );
  return (
    <Select
      {...shared}
      allowClear={!field.required}
      value={typeof value === "string" && value !== "" ? value : undefined}
      onChange={(picked?: string) => pick(picked ?? null)}
    />
  );
}

function Scores({ id, value, office, test, locale, disabled, onChange, onLeave }: FieldInputProps) {
  const definition = office.tests.find((t) => t.key === test);
  const scores =
    typeof value === "object" && value !== null && !Array.isArray(value)
      ? (value as Readonly<Record<string, Json>>)
      : {};
  if (!definition) return <p className="help">{sentence(locale, "form.choose")}</p>;
  return (
    <div className="scores">
      {definition.parts.map((part) => (
        <div key={part.key}>
          <label htmlFor={`${id}-${part.key}`}>
            {sentence(locale, "form.score", { part: part.title[locale], min: part.min, max: part.max })}
          </label>
          <Input
            id={`${id}-${part.key}`}
            inputMode="numeric"
            disabled={disabled}
            value={String(scores[part.key] ?? "")}
            onChange={(e) => onChange({ ...scores, [part.key]: e.target.value.trim() })}
            onBlur={() => onLeave(scores)}
          />
        </div>
      ))}
    </div>
  );
}

export function FieldInput(props: FieldInputProps) {
  const { id, field, value, locale, disabled, invalid, describedBy, onChange, onLeave } = props;
  const text = typeof value === "string" ? value : "";
  const shared = {
    id,
    disabled,
    status: invalid ? ("error" as const) : ("" as const),
    "aria-describedby": describedBy,
    "aria-required": field.required,
    "aria-invalid": invalid,
    value: text,
    onBlur: () => onLeave(value),
  };
  switch (field.kind) {
    case "date":
      return <DateInput {...props} />;
    case "scores":
      return <Scores {...props} />;
    case "country":
    case "countries":
    case "language":
    case "choice":
    case "area":
    case "test":
    case "paper":
    case "graduateOf":
    case "entry":
      return <Choice {...props} />;
    case "scale":
      return <ScaleInput {...props} />;
    case "several":
      return <SeveralInput {...props} />;
    case "ranked":
      return <RankedInput {...props} />;
    case "links":
      return <LinksInput {...props} />;
    case "address":
      return <AddressInput {...props} />;
    case "statement":
      return <StatementInput {...props} />;
    case "agree":
      return null; // drawn with its label by the field row
    case "yesNo":
      return (
        <Radio.Group
          id={id}
          disabled={disabled}
          value={value}
          onChange={(e) => {
            onChange(e.target.value);
            onLeave(e.target.value);
          }}
          options={[
            { value: true, label: sentence(locale, "form.yes") },
            { value: false, label: sentence(locale, "form.no") },
          ]}
        />
      );
    case "longText":
      return <Input.TextArea {...shared} autoSize={{ minRows: 4 }} onChange={(e) => onChange(e.target.value)} />;
    case "whole":
    case "decimal":
    case "money":
      return (
        <Input
          {...shared}
          inputMode={field.kind === "whole" ? "numeric" : "decimal"}
          suffix={field.kind === "money" ? field.currency : undefined}
          onChange={(e) => onChange(e.target.value)}
          onBlur={() => onLeave(text.trim().replace(",", "."))}
        />
      );
    case "email":
    case "phone":
      return (
        <Input
          {...shared}
          type={field.kind === "email" ? "email" : "tel"}
          onChange={(e) => onChange(e.target.value)}
          onBlur={() => onLeave(text.trim())}
        />
      );
    case "institution":
      return <InstitutionInput {...props} />;
    case "text":
    case "name":
      return <Input {...shared} onChange={(e) => onChange(e.target.value)} />;
  }
}

/** A box to tick, with its sentence as label. */
export function AgreeInput({ id, field, value, locale, disabled, onChange, onLeave }: FieldInputProps) {
  return (
    <>
      <Checkbox
        id={id}
        disabled={disabled}
        checked={value === true}
        onChange={(e) => {
          onChange(e.target.checked);
          onLeave(e.target.checked);
        }}
      >
        {field.title[locale]}
      </Checkbox>
      {field.help ? (
        <details className="agreed-text">
          <summary>{sentence(locale, "form.agreedText")}</summary>
          <div className="measure written">{field.help[locale]}</div>
        </details>
      ) : null}
    </>
  );
}
