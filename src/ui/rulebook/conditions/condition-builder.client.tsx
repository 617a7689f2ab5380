"use client";

import { Button, InputNumber, Select } from "antd";
import { factsIn, firstLimit, newCondition } from "../../../core/rulebook/building";
import { comparisonsFor, type KnownFact, standingFactOf } from "../../../core/rulebook/facts";
import type { Comparison, Condition, ConditionOf, ConditionOp, Limit } from "../../../core/rules/condition";
import { comparisonWord } from "../../../text/words/condition";
import { type BuilderContext, LimitInput, titleOf } from "./limit-input.client";

/** A condition put together as a sentence: words to choose from, only facts that exist, only comparisons that can be judged. */
interface Props {
  readonly context: BuilderContext;
  readonly value: Condition;
  /** The list whose entries are looked at, inside "where". */
  readonly list: string | null;
  readonly label: string;
  readonly onChange: (next: Condition) => void;
  readonly onRemove?: (() => void) | undefined;
}

const KINDS: readonly { readonly value: ConditionOp; readonly label: string }[] = [
  { value: "fact", label: "a fact" },
  { value: "all", label: "all of these" },
  { value: "any", label: "one of these" },
  { value: "atLeast", label: "at least some of these" },
  { value: "not", label: "not this" },
  { value: "some", label: "an entry of a list" },
  { value: "count", label: "the number of entries" },
  { value: "sum", label: "a sum over a list" },
];

function headOf({ name, section }: KnownFact): string {
  if (standingFactOf(name) !== null) return "How what is asked for was settled";
  return section ?? (name.startsWith("measure.") ? "Computed values" : "The choice and its days");
}

/** The facts to choose from, under the section that asks for each. */
function factOptions(all: readonly KnownFact[], list: string | null) {
  const heads = [...new Set(all.map(headOf))];
  return heads.map((label) => ({
    label,
    options: all.filter((f) => headOf(f) === label).map((f) => ({ value: f.name, label: titleOf(f, list) })),
  }));
}

function FactRow({ context, value, list, onChange }: Props & { value: ConditionOf<"fact"> }) {
  const all = factsIn(context.facts, list);
  const fact = all.find((f) => f.name === value.fact);
  const comparisons = fact ? comparisonsFor(fact.type) : (["known"] as const);
  const withLimit = (is: Comparison, limit: Limit | undefined): Condition => ({
    op: "fact",
    fact: value.fact,
    is,
    ...(limit === undefined ? {} : { value: limit }),
  });
  return (
    <>
      <Select
        size="small"
        aria-label="Fact"
        style={{ minWidth: 200 }}
        popupMatchSelectWidth={false}
        status={fact ? "" : "error"}
        disabled={context.disabled}
        showSearch={{ optionFilterProp: "label" }}
        value={fact ? value.fact : `${value.fact} (not asked for)`}
        options={factOptions(all, list)}
        onChange={(name: string) => {
          const next = all.find((f) => f.name === name);
          const is = next ? (comparisonsFor(next.type)[0] ?? "known") : "known";
          const limit = next ? firstLimit(next, is) : undefined;
          onChange({ op: "fact", fact: name, is, ...(limit === undefined ? {} : { value: limit }) });
        }}
      />
      <Select
        size="small"
        aria-label="Comparison"
        disabled={context.disabled || !fact}
        value={value.is}
        options={comparisons.map((c) => ({ value: c, label: comparisonWord(c, fact?.type === "date") }))}
        onChange={(is: Comparison) => {
          const many = (c: Comparison) => c === "oneOf" || c === "includesOneOf";
          onChange(
            withLimit(
              is,
              fact && many(is) === many(value.is) && is !== "known" && value.value !== undefined
                ? value.value
                : fact && firstLimit(fact, is),
            ),
          );
        }}
      />
      {fact ? (
        <LimitInput
          fact={fact}
          is={value.is}
          value={value.value}
          context={context}
          onChange={(limit) => onChange(withLimit(value.is, limit))}
        />
      ) : null}
    </>
  );
}

function ListSelect({
  context,
  value,
  onChange,
}: {
  context: BuilderContext;
  value: string;
  onChange: (name: string) => void;
}) {
  return (
    <Select
      size="small"
      aria-label="List"
      style={{ minWidth: 130 }}
      disabled={context.disabled}
      value={value}
      options={context.facts.lists.map((l) => ({ value: l.name, label: l.title }))}
      onChange={onChange}
    />
  );
}

const NUMBER: KnownFact = { name: "", type: "number", title: "", options: [], section: null, register: null };

function Counted({ context, value, onChange }: Props & { value: ConditionOf<"count" | "sum"> }) {
  const sum = value.op === "sum" ? value : null;
  const name = value.list;
  const numbers = context.facts.lists.find((l) => l.name === name)?.facts.filter((f) => f.type === "number") ?? [];
  return (
    <>
      {sum ? (
        <Select
          size="small"
          aria-label="What is added up"
          style={{ minWidth: 130 }}
          disabled={context.disabled}
          value={sum.field}
          options={numbers.map((f) => ({ value: f.name.slice(3), label: titleOf(f, name) }))}
          onChange={(field: string) => onChange({ ...sum, field })}
        />
      ) : null}
      {sum ? <span>over</span> : null}
      <ListSelect
        context={context}
        value={name}
        onChange={(next) => {
          const number = context.facts.lists.find((l) => l.name === next)?.facts.find((f) => f.type === "number");
          const { is, value: limit } = value;
          onChange(
            sum
              ? { op: "sum", list: next, field: number?.name.slice(3) ?? "", is, value: limit }
              : { op: "count", list: next, is, value: limit },
          );
        }}
      />
      <Select
        size="small"
        aria-label="Comparison"
        disabled={context.disabled}
        value={value.is}
        options={(["atLeast", "atMost", "over", "under", "equals"] as const).map((c) => ({
          value: c,
          label: comparisonWord(c, false),
        }))}
        onChange={(is: Comparison) => onChange({ ...value, is })}
      />
      <LimitInput
        fact={NUMBER}
        is={value.is}
        value={value.value}
        context={context}
        onChange={(limit) => onChange({ ...value, value: limit })}
      />
    </>
  );
}

function Where({
  context,
  list,
  where,
  onChange,
}: {
  context: BuilderContext;
  list: string;
  where: Condition | undefined;
  onChange: (next: Condition | undefined) => void;
}) {
  if (where === undefined || (where.op === "all" && where.of.length === 0))
    return context.disabled ? null : (
      <Button size="small" type="text" onClick={() => onChange(newCondition("fact", context.facts, list, null))}>
        only those where …
      </Button>
    );
  return (
    <div className="condition-inner">
      <span>where</span>
      <ConditionBuilder
        context={context}
        value={where}
        list={list}
        label="where"
        onChange={onChange}
        onRemove={() => onChange(undefined)}
      />
    </div>
  );
}

const JOINTS = { all: "and", any: "or", atLeast: "also" } as const;

function Group({
  context,
  parts,
  list,
  joint,
  onChange,
}: {
  context: BuilderContext;
  parts: readonly Condition[];
  /** The word that joins one part with the next. */
  joint: (typeof JOINTS)[keyof typeof JOINTS];
  list: string | null;
  onChange: (next: readonly Condition[]) => void;
}) {
  return (
    <div className="condition-inner">
      {parts.map((part, i) => (
        <ConditionBuilder
          // biome-ignore lint/suspicious/noArrayIndexKey: a part of a rule has no other name than its place
          key={i}
          context={context}
          value={part}
          list={list}
          label={`part ${i + 1}`}
          onChange={(next) => onChange(parts.map((p, j) => (j === i ? next : p)))}
          onRemove={() => onChange(parts.filter((_, j) => j !== i))}
        />
      ))}
      {context.disabled ? null : (
        <Button
          size="small"
          type="text"
          onClick={() => onChange([...parts, newCondition("fact", context.facts, list, null)])}
        >
          {joint} …
        </Button>
      )}
    </div>
  );
}

export function ConditionBuilder(props: Props) {
  const { context, value, list, label, onChange, onRemove } = props;
  return (
    <fieldset className="condition" aria-label={label}>
      <div className="condition-line">
        <Select
          size="small"
          aria-label="Kind of condition"
          className="condition-shape"
          variant={value.op === "fact" ? "borderless" : "outlined"}
          disabled={context.disabled}
          value={value.op}
          options={KINDS.filter(
            (s) => list === null || s.value === value.op || !["some", "count", "sum"].includes(s.value),
          ).map((s) => ({ ...s }))}
          onChange={(next: ConditionOp) => onChange(newCondition(next, context.facts, list, value))}
        />
        {value.op === "fact" ? <FactRow {...props} value={value} /> : null}
        {value.op === "atLeast" ? (
          <InputNumber
            size="small"
            aria-label="How many"
            min={1}
            max={value.of.length}
            disabled={context.disabled}
            value={value.count}
            onChange={(n) => onChange({ ...value, count: n ?? 1 })}
          />
        ) : null}
        {value.op === "some" ? (
          <ListSelect
            context={context}
            value={value.list}
            onChange={(next) => onChange({ op: "some", list: next, where: { op: "all", of: [] } })}
          />
        ) : null}
        {value.op === "count" || value.op === "sum" ? <Counted {...props} value={value} /> : null}
        {onRemove && !context.disabled ? (
          <Button size="small" type="text" aria-label={`Remove ${label}`} onClick={onRemove}>
            ×
          </Button>
        ) : null}
      </div>
      {value.op === "all" || value.op === "any" || value.op === "atLeast" ? (
        <Group
          context={context}
          parts={value.of}
          list={list}
          joint={JOINTS[value.op]}
          onChange={(of) => onChange({ ...value, of })}
        />
      ) : null}
      {value.op === "not" ? (
        <div className="condition-inner">
          <ConditionBuilder
            context={context}
            value={value.of}
            list={list}
            label="not"
            onChange={(of) => onChange({ op: "not", of })}
          />
        </div>
      ) : null}
      {value.op === "some" ? (
        <Where
          context={context}
          list={value.list}
          where={value.where}
          onChange={(where) => onChange({ op: "some", list: value.list, where: where ?? { op: "all", of: [] } })}
        />
      ) : null}
      {value.op === "count" || value.op === "sum" ? (
        <Where
          context={context}
          list={value.list}
          where={value.where}
          onChange={(where) => {
            const { where: _old, ...rest } = value;
            onChange(where ? { ...rest, where } : rest);
          }}
        />
      ) : null}
    </fieldset>
  );
}

/** A condition that may be left out: "always", until somebody says when. */
export function OptionalCondition({
  context,
  value,
  list,
  label,
  always,
  onChange,
}: {
  context: BuilderContext;
  value: Condition | undefined;
  list: string | null;
  label: string;
  always: string;
  onChange: (next: Condition | undefined) => void;
}) {
  if (value === undefined)
    return (
      <p className="condition-none">
        {context.disabled ? always.replace(/,$/u, ".") : always}{" "}
        {context.disabled ? null : (
          <Button size="small" onClick={() => onChange(newCondition("fact", context.facts, list, null))}>
            only when …
          </Button>
        )}
      </p>
    );
  return (
    <ConditionBuilder
      context={context}
      value={value}
      list={list}
      label={label}
      onChange={onChange}
      onRemove={() => onChange(undefined)}
    />
  );
}
