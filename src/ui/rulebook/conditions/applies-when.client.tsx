"use client";

import type { Condition } from "../../../core/rules/condition";
import { type PartContext, put } from "../part-fields.client";
import { OptionalCondition } from "./condition-builder.client";

/** When a part of a rulebook applies: always, until somebody says when. */
export function AppliesWhen<T extends { readonly when?: Condition | undefined }>({
  context,
  legend,
  value,
  list,
  label,
  always,
  onChange,
}: {
  context: PartContext;
  legend: string;
  value: T;
  list: string | null;
  label: string;
  always: string;
  onChange: (next: T) => void;
}) {
  return (
    <fieldset className="plan-wide">
      <legend>{legend}</legend>
      <OptionalCondition
        context={context}
        value={value.when}
        list={list}
        label={label}
        always={always}
        onChange={(when) => onChange(put(value, "when", when))}
      />
    </fieldset>
  );
}
