"use client";

import { Checkbox, Input, InputNumber } from "antd";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import { AppliesWhen } from "./applies-when.client";
import { ConditionBuilder } from "./condition-builder.client";
import { EMPTY_WORDS, type FormProps, KeyBox, Labelled, Pick, put, Words } from "./part-fields.client";

/** Entry rules and fees. */
type EntryRule = RulebookBody["entryRules"][number];

export function EntryRulePart({ context, value, onChange }: FormProps<EntryRule>) {
  const { disabled } = context;
  const { curable } = value;
  return (
    <div className="plan-form part-form">
      <Words
        label="In words"
        disabled={disabled}
        value={value.title}
        onChange={(title) => onChange({ ...value, title })}
      />
      <KeyBox disabled={disabled} value={value.key} onChange={(key) => onChange({ ...value, key })} />
      <fieldset className="plan-wide">
        <legend>It is met when</legend>
        <ConditionBuilder
          context={context}
          value={value.rule}
          list={null}
          label="the rule"
          onChange={(rule) => onChange({ ...value, rule })}
        />
      </fieldset>
      <div className="plan-wide">
        <Checkbox
          disabled={disabled}
          checked={value.shownToApplicant === true}
          onChange={(e) => onChange(put(value, "shownToApplicant", e.target.checked || undefined))}
        >
          Applicants see how it stands after they submitted, in the same numbers
        </Checkbox>
      </div>
      <div className="plan-wide">
        <Checkbox
          disabled={disabled}
          checked={value.gate === true}
          onChange={(e) => onChange(put(value, "gate", e.target.checked || undefined))}
        >
          Whoever does not meet it may not choose the programme; a lead officer can make an exception
        </Checkbox>
      </div>
      <div className="plan-wide">
        <Checkbox
          disabled={disabled}
          checked={curable !== null}
          onChange={(e) =>
            onChange({
              ...value,
              curable: e.target.checked ? { way: EMPTY_WORDS, possible: { op: "all", of: [] } } : null,
            })
          }
        >
          It may still be met later, so an offer can be made on that condition
        </Checkbox>
      </div>
      {curable ? (
        <>
          <Words
            label="How"
            disabled={disabled}
            value={curable.way}
            onChange={(way) => onChange({ ...value, curable: { ...curable, way } })}
          />
          <fieldset className="plan-wide">
            <legend>That is possible when</legend>
            <ConditionBuilder
              context={context}
              value={curable.possible}
              list={null}
              label="when it is possible"
              onChange={(possible) => onChange({ ...value, curable: { ...curable, possible } })}
            />
          </fieldset>
        </>
      ) : null}
    </div>
  );
}

type FeeItem = RulebookBody["fees"][number];
const CENTS = 100;

export function FeePart({ context, value, onChange }: FormProps<FeeItem>) {
  const { disabled, groups } = context;
  const minorOf = (group: string) => value.amounts.find((a) => a.group === group)?.minor ?? 0;
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
      {groups.map((g) => (
        <Labelled key={g.key} label={`Amount, ${g.title}`}>
          {(id) => (
            <InputNumber
              id={id}
              disabled={disabled}
              min={0}
              precision={2}
              value={minorOf(g.key) / CENTS}
              onChange={(amount) =>
                onChange({
                  ...value,
                  amounts: groups.map(({ key }) => ({
                    group: key,
                    minor: key === g.key ? Math.round((amount ?? 0) * CENTS) : minorOf(key),
                  })),
                })
              }
            />
          )}
        </Labelled>
      ))}
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
