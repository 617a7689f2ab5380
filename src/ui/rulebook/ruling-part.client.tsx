"use client";

import { Input } from "antd";
import type { Measure } from "../../core/rulebook/rulebook";
import { factName } from "../../core/rulebook/section";
import { OptionalCondition } from "./conditions/condition-builder.client";
import { type FormProps, Labelled, Pick, put } from "./part-fields.client";

type Ruling = Extract<Measure, { kind: "ruling" }>;

const NO_LIST = "none";

/** What is ruled on, under which question rulings are kept, and the list that answers it without one. */
export function RulingPart({ context, value, onChange }: FormProps<Ruling>) {
  const { disabled, office, body } = context;
  const lists = [{ value: NO_LIST, label: "none: everything is ruled on" }].concat(
    office.entitlements.map((l) => ({ value: l.key, label: l.title.en || l.key })),
  );
  const section = body.sections.find((s) => factName(s) === value.of);
  return (
    <>
      <Pick
        label="Ruled on"
        disabled={disabled}
        value={value.of}
        options={body.sections.map((s) => ({ value: factName(s), label: s.title.en || s.key }))}
        onChange={(of) => onChange(put({ ...value, of }, "where", undefined))}
      />
      <Labelled label="Question under which rulings are kept">
        {(id) => (
          <Input
            id={id}
            maxLength={60}
            disabled={disabled}
            placeholder="for example: first degree"
            value={value.question}
            onChange={(e) => onChange({ ...value, question: e.target.value })}
          />
        )}
      </Labelled>
      <Pick
        label="Accepted without reading"
        disabled={disabled}
        value={value.entitlement ?? NO_LIST}
        options={lists}
        onChange={(key) => onChange(put(value, "entitlement", key === NO_LIST ? undefined : key))}
      />
      <fieldset className="plan-wide">
        <legend>Which cases</legend>
        <OptionalCondition
          context={context}
          value={value.where}
          list={section?.repeats ? value.of : null}
          label="which cases"
          always="All of them."
          onChange={(where) => onChange(put(value, "where", where))}
        />
      </fieldset>
    </>
  );
}
