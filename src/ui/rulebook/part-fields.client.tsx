"use client";

import { Input, InputNumber, Select } from "antd";
import { type ReactNode, useId, useState } from "react";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import type { ReferenceSet, Registers } from "../../core/standards/reference-set";
import type { LocalText } from "../../core/text/local-text";
import type { BuilderContext } from "./conditions/limit-input.client";

/** The forms of a rulebook's parts. Each changes one part and gives it back whole. */
export interface PartContext extends BuilderContext {
  readonly office: Registers & Pick<ReferenceSet, "entitlements">;
  readonly body: RulebookBody;
  readonly groups: readonly { readonly key: string; readonly title: string }[];
}

export interface FormProps<T> {
  readonly context: PartContext;
  readonly value: T;
  readonly onChange: (next: T) => void;
}

export function Labelled({
  label,
  children,
  wide = false,
}: {
  label: string;
  children: (id: string) => ReactNode;
  wide?: boolean;
}) {
  const id = useId();
  return (
    <div className={wide ? "plan-field plan-wide" : "plan-field"}>
      <label htmlFor={id}>{label}</label>
      {children(id)}
    </div>
  );
}

export function Words({
  label,
  value,
  disabled,
  long = false,
  onChange,
}: {
  label: string;
  value: LocalText;
  disabled: boolean;
  long?: boolean;
  onChange: (next: LocalText) => void;
}) {
  const Box = long ? Input.TextArea : Input;
  const size = long ? { autoSize: { minRows: 2 } } : {};
  return (
    <>
      <Labelled label={`${label}, English`}>
        {(id) => (
          <Box
            {...size}
            id={id}
            disabled={disabled}
            value={value.en}
            onChange={(e) => onChange({ ...value, en: e.target.value })}
          />
        )}
      </Labelled>
      <Labelled label={`${label}, French`}>
        {(id) => (
          <Box
            {...size}
            id={id}
            disabled={disabled}
            value={value.fr}
            onChange={(e) => onChange({ ...value, fr: e.target.value })}
          />
        )}
      </Labelled>
    </>
  );
}

export const EMPTY_WORDS: LocalText = { en: "", fr: "" };
export const orNothing = (text: LocalText): LocalText | undefined =>
  text.en === "" && text.fr === "" ? undefined : text;

/** Puts a value under a name, or takes the name out where there is none: exact optional properties want it so. */
export function put<T extends object, K extends keyof T>(whole: T, name: K, value: T[K] | undefined): T {
  const { [name]: _old, ...rest } = whole;
  return (value === undefined ? rest : { ...rest, [name]: value }) as T; // the same object but for one name
}

export function NumberBox({
  label,
  value,
  disabled,
  onChange,
}: {
  label: string;
  value: number | undefined;
  disabled: boolean;
  onChange: (next: number | undefined) => void;
}) {
  return (
    <Labelled label={label}>
      {(id) => (
        <InputNumber id={id} disabled={disabled} value={value ?? null} onChange={(n) => onChange(n ?? undefined)} />
      )}
    </Labelled>
  );
}

export function Pick<T extends string>({
  label,
  value,
  options,
  disabled,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly { readonly value: T; readonly label: string }[];
  disabled: boolean;
  onChange: (next: T) => void;
}) {
  return (
    <Labelled label={label}>
      {(id) => (
        <Select<T>
          id={id}
          disabled={disabled}
          value={value}
          options={options.map((o) => ({ ...o }))}
          onChange={(next) => onChange(next)}
          showSearch={{ optionFilterProp: "label" }}
        />
      )}
    </Labelled>
  );
}

export const plain = <T extends string>(values: readonly T[]) => values.map((value) => ({ value, label: value }));

const KEY = /^[a-z][A-Za-z0-9]*$/u;

/** The short name of a part. It counts once it is whole: what names the part is carried along, and half a name may be another's. */
export function KeyBox({
  value,
  disabled,
  onChange,
}: {
  value: string;
  disabled: boolean;
  onChange: (next: string) => void;
}) {
  const [typed, setTyped] = useState(value);
  const [shown, setShown] = useState(value);
  if (shown !== value) {
    setShown(value);
    setTyped(value);
  }
  const keep = () => {
    if (typed === value) return;
    if (KEY.test(typed)) onChange(typed);
    else setTyped(value);
  };
  return (
    <Labelled label="Short name (for rules)">
      {(id) => (
        <Input
          id={id}
          disabled={disabled}
          value={typed}
          status={KEY.test(typed) ? "" : "error"}
          onChange={(e) => setTyped(e.target.value.replace(/[^A-Za-z0-9]/gu, ""))}
          onBlur={keep}
          onPressEnter={keep}
        />
      )}
    </Labelled>
  );
}
