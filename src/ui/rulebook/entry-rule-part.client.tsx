"use client";

import { Checkbox } from "antd";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import { ConditionBuilder } from "./conditions/condition-builder.client";
import { EMPTY_WORDS, type FormProps, KeyBox, put, Words } from "./part-fields.client";

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
