"use client";

import { Checkbox, Input, InputNumber, Select } from "antd";
import type { Measure, RulebookBody } from "../../core/rulebook/rulebook";
import { AppliesWhen } from "./applies-when.client";
import { ConditionBuilder, OptionalCondition } from "./condition-builder.client";
import {
  EMPTY_WORDS,
  type FormProps,
  KeyBox,
  Labelled,
  NumberBox,
  Pick,
  plain,
  put,
  Words,
} from "./part-fields.client";

/** Entry rules, the computed values that they read, and fees. */
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
          checked={curable !== null}
          onChange={(e) =>
            onChange({ ...value, curable: e.target.checked ? { way: EMPTY_WORDS, possible: { all: [] } } : null })
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

const EVERY_DEGREE = { all: [] } as const;

export function MeasurePart({ context, value, onChange }: FormProps<Measure>) {
  const { disabled, office } = context;
  const shared = { key: value.key, title: value.title };
  const spans = context.facts.lists.filter((l) =>
    ["it.start", "it.end"].every((name) => l.facts.some((f) => f.name === name && f.type === "date")),
  );
  const make: Readonly<Record<Measure["kind"], () => Measure>> = {
    grade: () => ({
      ...shared,
      kind: "grade",
      degree: EVERY_DEGREE,
      decimals: 1,
      rounding: "truncate",
      compare: "rounded",
    }),
    level: () => ({ ...shared, kind: "level", language: "en", tests: office.tests.map((t) => t.key) }),
    span: () => ({ ...shared, kind: "span", list: spans[0]?.name ?? "" }),
    studyMonths: () => ({ ...shared, kind: "studyMonths", language: "en", degree: EVERY_DEGREE }),
  };
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
        label="What is worked out"
        disabled={disabled}
        value={value.kind}
        options={[
          { value: "grade" as const, label: "the grade on our scale" },
          { value: "level" as const, label: "the level of a language" },
          { value: "studyMonths" as const, label: "months of study in a language" },
          { value: "span" as const, label: "months over a list, overlaps counted once" },
        ]}
        onChange={(kind) => onChange(make[kind]())}
      />
      {value.kind === "grade" ? (
        <>
          <NumberBox
            label="Decimals"
            disabled={disabled}
            value={value.decimals}
            onChange={(decimals) => onChange({ ...value, decimals: decimals ?? 1 })}
          />
          <Pick
            label="Rounding"
            disabled={disabled}
            value={value.rounding}
            options={plain(["truncate", "half_up", "half_even"] as const)}
            onChange={(rounding) => onChange({ ...value, rounding })}
          />
          <Pick
            label="Compared"
            disabled={disabled}
            value={value.compare}
            options={plain(["rounded", "exact"] as const)}
            onChange={(compare) => onChange({ ...value, compare })}
          />
        </>
      ) : value.kind === "span" ? (
        <Pick
          label="Over the list"
          disabled={disabled}
          value={value.list}
          options={spans.map((l) => ({ value: l.name, label: l.title }))}
          onChange={(list) => onChange({ ...shared, kind: "span", list })}
        />
      ) : (
        <Labelled label="Language">
          {(id) => (
            <Input
              id={id}
              maxLength={2}
              disabled={disabled}
              value={value.language}
              onChange={(e) => onChange({ ...value, language: e.target.value })}
            />
          )}
        </Labelled>
      )}
      {value.kind === "level" ? (
        <Labelled label="Tests that count">
          {(id) => (
            <Select
              id={id}
              mode="multiple"
              showSearch={{ optionFilterProp: "label" }}
              disabled={disabled}
              value={value.tests}
              options={office.tests.map((t) => ({ value: t.key, label: t.title.en }))}
              onChange={(tests: string[]) => onChange({ ...value, tests })}
            />
          )}
        </Labelled>
      ) : value.kind === "span" ? (
        <fieldset className="plan-wide">
          <legend>Which entries count</legend>
          <OptionalCondition
            context={context}
            value={value.where}
            list={value.list}
            label="which entries"
            always="All of them."
            onChange={(where) => onChange(put(value, "where", where))}
          />
        </fieldset>
      ) : (
        <fieldset className="plan-wide">
          <legend>Of degrees where</legend>
          <ConditionBuilder
            context={context}
            value={value.degree}
            list="degrees"
            label="which degrees"
            onChange={(degree) => onChange({ ...value, degree })}
          />
        </fieldset>
      )}
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
