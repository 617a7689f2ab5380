"use client";

import { Button, Input, InputNumber } from "antd";
import { newCondition } from "../../core/rulebook/building";
import { type FeeItem, minorFor } from "../../core/rulebook/fee-item";
import { AppliesWhen } from "./conditions/applies-when.client";
import { ConditionBuilder } from "./conditions/condition-builder.client";
import {
  EMPTY_WORDS,
  type FormProps,
  KeyBox,
  Labelled,
  type PartContext,
  Pick,
  put,
  Words,
} from "./part-fields.client";

const CENTS = 100;

/** What each applicant group pays. */
function AmountBoxes({
  context: { disabled, groups },
  of,
  value,
  onChange,
}: {
  context: PartContext;
  /** What the amounts are of, where the form has several lists of them. */
  of?: string;
  value: FeeItem["amounts"];
  onChange: (amounts: FeeItem["amounts"]) => void;
}) {
  return groups.map((g) => (
    <Labelled key={g.key} label={of ? `${of}, ${g.title}` : `Amount, ${g.title}`}>
      {(id) => (
        <InputNumber
          id={id}
          disabled={disabled}
          min={0}
          precision={2}
          value={minorFor(value, g.key) / CENTS}
          onChange={(amount) =>
            onChange(
              groups.map(({ key }) => ({
                group: key,
                minor: key === g.key ? Math.round((amount ?? 0) * CENTS) : minorFor(value, key),
              })),
            )
          }
        />
      )}
    </Labelled>
  ));
}

/** Other amounts for some: the first that somebody comes under is asked instead of the whole. */
function Reductions({ context, value, onChange }: FormProps<FeeItem>) {
  const { disabled } = context;
  const all = value.reductions ?? [];
  const set = (next: NonNullable<FeeItem["reductions"]>) =>
    onChange(put(value, "reductions", next.length > 0 ? next : undefined));
  return (
    <fieldset className="plan-wide">
      <legend>Reductions{all.length > 1 ? "; the first whose condition is met counts" : ""}</legend>
      {all.map((reduction, i) => {
        const change = (next: typeof reduction) => set(all.map((r, j) => (j === i ? next : r)));
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a reduction has no other name than its place
          <div key={i} className="plan-form part-form">
            <Words
              label={`Reduction ${i + 1}`}
              disabled={disabled}
              value={reduction.title}
              onChange={(title) => change({ ...reduction, title })}
            />
            <AmountBoxes
              context={context}
              of={`Reduction ${i + 1}`}
              value={reduction.amounts}
              onChange={(amounts) => change({ ...reduction, amounts })}
            />
            <div className="plan-wide">
              <span className="quiet">for those of whom it holds that</span>
              <ConditionBuilder
                context={context}
                value={reduction.when}
                list={null}
                label={`reduction ${i + 1}`}
                onChange={(when) => change({ ...reduction, when })}
                onRemove={() => set(all.filter((_, j) => j !== i))}
              />
            </div>
          </div>
        );
      })}
      {disabled ? null : (
        <Button
          size="small"
          disabled={all.length >= 10}
          onClick={() =>
            set([
              ...all,
              {
                title: EMPTY_WORDS,
                when: newCondition("fact", context.facts, null, null),
                amounts: value.amounts.map((a) => ({ ...a, minor: 0 })),
              },
            ])
          }
        >
          Add a reduction
        </Button>
      )}
      {all.length === 0 && disabled ? <p className="quiet">None.</p> : null}
    </fieldset>
  );
}

export function FeePart({ context, value, onChange }: FormProps<FeeItem>) {
  const { disabled } = context;
  return (
    <div className="plan-form part-form">
      <Words
        label="Title"
        disabled={disabled}
        value={value.title}
        onChange={(title) => onChange({ ...value, title })}
      />
      <KeyBox disabled={disabled} value={value.key} onChange={(key) => onChange({ ...value, key })} />
      <Pick
        label="Charged"
        disabled={disabled}
        value={value.per}
        options={[
          { value: "file" as const, label: "once for the application" },
          { value: "choice" as const, label: "for this choice" },
        ]}
        onChange={(per) => onChange({ ...value, per })}
      />
      <Labelled label="Currency">
        {(id) => (
          <Input
            id={id}
            maxLength={3}
            disabled={disabled}
            value={value.currency}
            onChange={(e) => onChange({ ...value, currency: e.target.value.toUpperCase() })}
          />
        )}
      </Labelled>
      <AmountBoxes context={context} value={value.amounts} onChange={(amounts) => onChange({ ...value, amounts })} />
      <Reductions context={context} value={value} onChange={onChange} />
      <Pick
        label="When it is paid and then withdrawn"
        disabled={disabled}
        value={value.whenWithdrawn ?? "kept"}
        options={[
          { value: "kept" as const, label: "it is kept" },
          { value: "returned" as const, label: "it is given back" },
        ]}
        onChange={(whenWithdrawn) => onChange({ ...value, whenWithdrawn })}
      />
      <AppliesWhen
        context={context}
        legend="It is due"
        value={value}
        list={null}
        label="when the fee is due"
        always="always,"
        onChange={onChange}
      />
    </div>
  );
}
