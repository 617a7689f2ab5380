"use client";

import { Input, Select } from "antd";
import type { SpanDay } from "../../core/rulebook/day-names";
import type { Measure } from "../../core/rulebook/rulebook";
import { CEFR } from "../../core/rules/compare";
import { LEAP_BIRTHDAYS } from "../../core/time/age";
import { ConditionBuilder, OptionalCondition } from "./conditions/condition-builder.client";
import { GradePart } from "./grade-part.client";
import { MinimumsPart } from "./minimums-part.client";
import { type FormProps, KeyBox, Labelled, Pick, put, Words } from "./part-fields.client";
import { RulingPart } from "./ruling-part.client";

type Level = Extract<Measure, { kind: "level" }>;
type OfTests = Level | Extract<Measure, { kind: "proof" }>;

const EVERY_DEGREE = { op: "all", of: [] } as const;

const KINDS = [
  { value: "grade", label: "the grade on our scale" },
  { value: "proof", label: "whether a test reaches its minimum" },
  { value: "level", label: "the level of a language" },
  { value: "studyMonths", label: "months of study in a language" },
  { value: "span", label: "months over a list, overlaps counted once" },
  { value: "age", label: "somebody’s age on a day" },
  { value: "ruling", label: "whether a case is accepted, by a list or a ruling" },
] as const;

const DAYS = [
  { value: "start", label: "the first day of study" },
  { value: "closing", label: "the closing of the round" },
  { value: "submission", label: "the day of submission" },
] as const;
const SPAN_DAY_OPTIONS = [...DAYS, { value: "today", label: "today, whenever it is looked at" }] as const;

/** On which day a result has to be valid, and until when one that is pending is waited for. */
function ResultDays({
  value,
  disabled,
  onChange,
}: {
  value: OfTests;
  disabled: boolean;
  onChange: (m: OfTests) => void;
}) {
  return (
    <>
      <Pick
        label="A result has to be valid on"
        disabled={disabled}
        value={value.validOn ?? "start"}
        options={DAYS}
        onChange={(validOn) => onChange(put(value, "validOn", validOn === "start" ? undefined : validOn))}
      />
      <Pick
        label="A pending result is waited for until"
        disabled={disabled}
        value={value.resultBy ?? "start"}
        options={[
          { value: "start", label: "the first day of study" },
          { value: "closing", label: "the closing of the round" },
        ]}
        onChange={(by) => onChange(put(value, "resultBy", by === "start" ? undefined : by))}
      />
    </>
  );
}

function LevelFields({ context, value, onChange }: FormProps<Level>) {
  const { disabled, office } = context;
  const said = context.facts.scalars.filter(
    (f) => f.options.length > 0 && f.options.every((o) => CEFR.some((level) => level === o.value)),
  );
  return (
    <>
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
      <Pick
        label="Counted"
        disabled={disabled}
        value={value.mode ?? "single"}
        options={[
          { value: "single", label: "the best single sitting" },
          { value: "combine", label: "the best of each part over all valid sittings" },
        ]}
        onChange={(mode) => onChange(put(value, "mode", mode === "single" ? undefined : mode))}
      />
      <Pick
        label="Compared with the level that applicants state for themselves"
        disabled={disabled}
        value={value.stated ?? ""}
        options={[
          { value: "", label: "nobody is asked" },
          ...said.map((f) => ({ value: f.name, label: f.title ?? f.name })),
        ]}
        onChange={(stated) => onChange(put(value, "stated", stated === "" ? undefined : stated))}
      />
    </>
  );
}

/** A value that is worked out from the facts, for rules to read. */
export function MeasurePart({ context, value, onChange }: FormProps<Measure>) {
  const { disabled, office } = context;
  const shared = { key: value.key, title: value.title };
  const spans = context.facts.lists.filter((l) =>
    ["it.start", "it.end"].every((name) => l.facts.some((f) => f.name === name && f.type === "date")),
  );
  const births = context.facts.scalars.filter((f) => f.type === "date" && f.title !== null);
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
    proof: () => ({ ...shared, kind: "proof", minimums: [] }),
    span: () => ({ ...shared, kind: "span", list: spans[0]?.name ?? "" }),
    age: () => ({ ...shared, kind: "age", of: births[0]?.name ?? "" }),
    ruling: () => ({ ...shared, kind: "ruling", of: context.facts.lists[0]?.name ?? "", question: "" }),
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
      <Pick<Measure["kind"]>
        label="What is worked out"
        disabled={disabled}
        value={value.kind}
        options={KINDS}
        onChange={(kind) => onChange(make[kind]())}
      />
      {value.kind === "grade" ? <GradePart context={context} value={value} onChange={onChange} /> : null}
      {value.kind === "proof" ? <MinimumsPart context={context} value={value} onChange={onChange} /> : null}
      {value.kind === "level" ? <LevelFields context={context} value={value} onChange={onChange} /> : null}
      {value.kind === "level" || value.kind === "proof" ? (
        <ResultDays value={value} disabled={disabled} onChange={onChange} />
      ) : null}
      {value.kind === "level" || value.kind === "studyMonths" ? (
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
      ) : null}
      {value.kind === "span" ? (
        <>
          <Pick
            label="Over the list"
            disabled={disabled}
            value={value.list}
            options={spans.map((l) => ({ value: l.name, label: l.title }))}
            onChange={(list) => onChange({ ...shared, kind: "span", list })}
          />
          <Pick<SpanDay>
            label="Months count until"
            disabled={disabled}
            value={value.until ?? "start"}
            options={SPAN_DAY_OPTIONS}
            onChange={(until) => onChange(put(value, "until", until === "start" ? undefined : until))}
          />
          <p className="quiet plan-wide">
            An entry without an end counts until today; until that day it may go on, so both numbers are shown.
          </p>
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
        </>
      ) : null}
      {value.kind === "age" ? (
        <>
          <Pick
            label="Date of birth"
            disabled={disabled}
            value={value.of}
            options={births.map((f) => ({ value: f.name, label: f.title ?? f.name }))}
            onChange={(of) => onChange({ ...value, of })}
          />
          <Pick
            label="Counted on"
            disabled={disabled}
            value={value.on ?? "start"}
            options={DAYS}
            onChange={(on) => onChange(put(value, "on", on === "start" ? undefined : on))}
          />
          <Pick
            label="Born on 29 February, in common years"
            disabled={disabled}
            value={value.leap ?? "1 March"}
            options={LEAP_BIRTHDAYS.map((day) => ({ value: day, label: `has a birthday on ${day}` }))}
            onChange={(leap) => onChange(put(value, "leap", leap === "1 March" ? undefined : leap))}
          />
        </>
      ) : null}
      {value.kind === "ruling" ? <RulingPart context={context} value={value} onChange={onChange} /> : null}
      {value.kind === "grade" || value.kind === "studyMonths" ? (
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
      ) : null}
    </div>
  );
}
