"use client";

import { Input } from "antd";
import { isCoreField } from "../../core/rulebook/core-fields";
import { FIELD_KINDS, type Field, factName } from "../../core/rulebook/section";
import { AppliesWhen } from "./conditions/applies-when.client";
import { CountingPapers } from "./counting-papers.client";
import { Limits, OnceInList, StatementLength } from "./field-limits.client";
import { FieldOptions } from "./field-options.client";
import { FieldTicks } from "./field-ticks.client";
import { KeeperPart } from "./keeper-part.client";
import { EMPTY_WORDS, type FormProps, KeyBox, Labelled, orNothing, Pick, put, Words } from "./part-fields.client";
import { FIELD_KIND_WORDS } from "./words";

/** Who sees what is answered. */
const SEEN_BY = [
  { value: "assessment", label: "everybody who works on the file" },
  { value: "office", label: "the admissions office only" },
  { value: "advisers", label: "advisers only, in confidence" },
  { value: "finance", label: "finance only" },
  { value: "figures", label: "figures only" },
] as const;

const WITH_OPTIONS: readonly Field["kind"][] = ["choice", "several", "ranked"];
const WITH_LIMITS: readonly Field["kind"][] = [
  "text",
  "longText",
  "name",
  "whole",
  "decimal",
  "money",
  "several",
  "ranked",
  "links",
];

/** One question of a form. */
export function FieldPart({ context, value, list, onChange }: FormProps<Field> & { list: string | null }) {
  const { disabled, body } = context;
  const lists = body.sections.filter((s) => s.repeats).map((s) => ({ value: s.key, label: s.title.en }));
  const siblings = body.sections
    .filter((s) => s.repeats && factName(s) === list)
    .flatMap((s) => s.fields.filter((f) => f.key !== value.key));
  const own = body.sections.find((s) => s.fields.includes(value));
  const beside = own?.fields ?? [];
  /** What belongs to the kind of its section keeps its short name and its kind. */
  const fixed = own !== undefined && isCoreField(own, value.key);
  const papers = beside.filter((f) => f.kind === "paper");
  const ofKinds = value.kind === "choice" && beside.some((f) => f.kind === "scale");
  return (
    <div className="plan-form part-form">
      <Words
        label="Label"
        disabled={disabled}
        value={value.title}
        onChange={(title) => onChange({ ...value, title })}
      />
      <Words
        label="Help beside it"
        disabled={disabled}
        value={value.help ?? EMPTY_WORDS}
        onChange={(help) => onChange(put(value, "help", orNothing(help)))}
      />
      <KeyBox disabled={disabled || fixed} value={value.key} onChange={(key) => onChange({ ...value, key })} />
      <Pick
        label="Kind"
        disabled={disabled || fixed}
        value={value.kind}
        options={FIELD_KINDS.map((kind) => ({ value: kind, label: FIELD_KIND_WORDS[kind] }))}
        onChange={(kind) => onChange({ ...value, kind })}
      />
      <Pick
        label="Seen by"
        disabled={disabled}
        value={value.seenBy}
        options={SEEN_BY}
        onChange={(seenBy) => onChange({ ...value, seenBy })}
      />
      <FieldTicks value={value} list={list} disabled={disabled} onChange={onChange} />
      <KeeperPart
        disabled={disabled}
        value={value.keptBy}
        onChange={(keptBy) => onChange(put(value, "keptBy", keptBy))}
      />
      {list !== null && value.kind === "choice" ? (
        <OnceInList value={value} siblings={siblings} disabled={disabled} onChange={onChange} />
      ) : null}
      {WITH_LIMITS.includes(value.kind) ? <Limits value={value} disabled={disabled} onChange={onChange} /> : null}
      {value.kind === "statement" ? <StatementLength value={value} disabled={disabled} onChange={onChange} /> : null}
      {value.kind === "money" ? (
        <Labelled label="Currency">
          {(id) => (
            <Input
              id={id}
              maxLength={3}
              disabled={disabled}
              value={value.currency ?? ""}
              onChange={(e) => onChange(put(value, "currency", e.target.value.toUpperCase() || undefined))}
            />
          )}
        </Labelled>
      ) : null}
      {value.kind === "entry" ? (
        <Pick
          label="An entry of"
          disabled={disabled}
          value={value.of ?? ""}
          options={lists}
          onChange={(of) => onChange({ ...value, of })}
        />
      ) : null}
      {value.kind === "paper" ? (
        <CountingPapers
          context={context}
          value={value.papers}
          onChange={(papers) => onChange(put(value, "papers", papers))}
        />
      ) : null}
      {value.kind === "text" && papers.length > 0 ? (
        <Pick
          label="Number of"
          disabled={disabled}
          value={value.numberOf ?? ""}
          options={[
            { value: "", label: "nothing" },
            ...papers.map((f) => ({ value: f.key, label: `the paper of “${f.title.en}”` })),
          ]}
          onChange={(of) => onChange(put(value, "numberOf", of === "" ? undefined : of))}
        />
      ) : null}
      {WITH_OPTIONS.includes(value.kind) ? (
        <FieldOptions
          disabled={disabled}
          value={value.options ?? []}
          scales={ofKinds ? context.office.scales : []}
          onChange={(options) => onChange({ ...value, options })}
        />
      ) : null}
      <AppliesWhen
        context={context}
        legend="It is asked"
        value={value}
        list={list}
        label="when the field applies"
        always="always,"
        onChange={onChange}
      />
    </div>
  );
}
