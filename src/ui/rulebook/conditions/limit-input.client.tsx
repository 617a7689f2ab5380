"use client";

import { Input, InputNumber, Select } from "antd";
import type { KnownFact, KnownFacts } from "../../../core/rulebook/facts";
import type { Comparison, Limit } from "../../../core/rules/condition";
import type { Registers } from "../../../core/standards/reference-set";
import { registerOptions } from "../../../core/standards/register-options";
import { countryOptions, languageOptions } from "../../../text/words/code-lists";
import { factWord } from "../../../text/words/trace";
import { DayInput } from "../../form/fields/day-input.client";

/** What a comparison is held against: an input that fits the type of the fact. */
export interface BuilderContext {
  readonly facts: KnownFacts;
  readonly office: Registers;
  readonly disabled: boolean;
}

export const titleOf = (fact: KnownFact, list: string | null): string =>
  fact.title ?? factWord(fact.name, {}, list ?? "it");

function offeredFor(fact: KnownFact, office: BuilderContext["office"]): { value: string; label: string }[] {
  switch (fact.register) {
    case "country":
    case "countries":
      return countryOptions("en");
    case "language":
      return languageOptions("en");
    case null:
      return fact.options.map((o) => ({ value: o.value, label: o.title }));
    default:
      return (registerOptions(fact.register, office) ?? []).map((o) => ({ value: o.value, label: o.title.en }));
  }
}

/** A day that is another fact, moved; nothing stands there of what moves it by nothing. */
const movedLimit = (fact: string, months: number | null | undefined, days: number | null | undefined): Limit => ({
  fact,
  ...(months ? { plusMonths: months } : {}),
  ...(days ? { plusDays: days } : {}),
});

function DateLimit({
  value,
  facts,
  disabled,
  onChange,
}: {
  value: Limit | undefined;
  facts: readonly KnownFact[];
  disabled: boolean;
  onChange: (limit: Limit) => void;
}) {
  const other = typeof value === "object" && !Array.isArray(value) ? value : null;
  const dates = facts.filter((f) => f.type === "date");
  return (
    <>
      <Select
        size="small"
        aria-label="Compared with"
        disabled={disabled}
        value={other ? other.fact : "day"}
        options={[{ value: "day", label: "a day" }, ...dates.map((f) => ({ value: f.name, label: titleOf(f, null) }))]}
        onChange={(picked: string) => onChange(picked === "day" ? "" : { fact: picked })}
      />
      {other ? (
        <>
          <InputNumber
            size="small"
            aria-label="Months after it, or before it if negative"
            disabled={disabled}
            value={other.plusMonths ?? 0}
            onChange={(months) => onChange(movedLimit(other.fact, months, other.plusDays))}
          />
          <span>months and</span>
          <InputNumber
            size="small"
            aria-label="Days after it, or before it if negative"
            disabled={disabled}
            value={other.plusDays ?? 0}
            onChange={(days) => onChange(movedLimit(other.fact, other.plusMonths, days))}
          />
          <span>days after (negative: before)</span>
        </>
      ) : (
        <DayInput
          size="small"
          label="Day"
          disabled={disabled}
          value={typeof value === "string" ? value : ""}
          precision="day"
          locale="en"
          onTake={onChange}
        />
      )}
    </>
  );
}

const COUNTRIES: readonly KnownFact["register"][] = ["country", "countries"];

/** Another fact with whose value this one may be held: a country with countries, a test with a test. */
function comparable(fact: KnownFact, facts: readonly KnownFact[]): readonly KnownFact[] {
  const same = (f: KnownFact) =>
    f.register === fact.register || (COUNTRIES.includes(f.register) && COUNTRIES.includes(fact.register));
  return fact.register === null ? [] : facts.filter((f) => f.name !== fact.name && f.register !== null && same(f));
}

function AgainstFact({
  value,
  others,
  disabled,
  fresh,
  onChange,
}: {
  value: Limit | undefined;
  others: readonly KnownFact[];
  disabled: boolean;
  /** What stands there once values are chosen again. */
  fresh: Limit;
  onChange: (limit: Limit) => void;
}) {
  const other = typeof value === "object" && !Array.isArray(value) ? value.fact : null;
  return (
    <Select
      size="small"
      aria-label="Compared with"
      disabled={disabled}
      value={other ?? "values"}
      options={[
        { value: "values", label: "these values" },
        ...others.map((f) => ({ value: f.name, label: titleOf(f, null) })),
      ]}
      onChange={(picked: string) => onChange(picked === "values" ? fresh : { fact: picked })}
    />
  );
}

/** What a comparison is held against. Where another fact can stand there, that can be chosen, too. */
export function LimitInput(props: LimitProps) {
  const { fact, is, value, context, onChange } = props;
  const others = is === "known" ? [] : comparable(fact, context.facts.scalars);
  if (others.length === 0) return <ValueInput {...props} />;
  const byFact = typeof value === "object" && !Array.isArray(value);
  return (
    <>
      <AgainstFact
        value={value}
        others={others}
        disabled={context.disabled}
        fresh={is === "oneOf" || is === "includesOneOf" ? [] : ""}
        onChange={onChange}
      />
      {byFact ? null : <ValueInput {...props} />}
    </>
  );
}

interface LimitProps {
  readonly fact: KnownFact;
  readonly is: Comparison;
  readonly value: Limit | undefined;
  readonly context: BuilderContext;
  readonly onChange: (limit: Limit) => void;
}

function ValueInput({ fact, is, value, context, onChange }: LimitProps) {
  const { disabled, office, facts } = context;
  if (is === "known") return null;
  const options = offeredFor(fact, office);
  if (is === "oneOf" || is === "includesOneOf")
    return (
      <Select
        size="small"
        mode="multiple"
        aria-label="Values"
        style={{ minWidth: 220 }}
        disabled={disabled}
        maxTagCount={6}
        showSearch={{ optionFilterProp: "label" }}
        options={options}
        value={Array.isArray(value) ? value : []}
        onChange={(picked: string[]) => onChange(picked)}
      />
    );
  if (fact.type === "yesNo")
    return (
      <Select
        size="small"
        aria-label="Value"
        disabled={disabled}
        value={value === true ? "yes" : "no"}
        options={[
          { value: "yes", label: "yes" },
          { value: "no", label: "no" },
        ]}
        onChange={(picked: string) => onChange(picked === "yes")}
      />
    );
  if (fact.type === "date")
    return <DateLimit value={value} facts={facts.scalars} disabled={disabled} onChange={onChange} />;
  if (options.length > 0)
    return (
      <Select
        size="small"
        aria-label="Value"
        style={{ minWidth: 160 }}
        disabled={disabled}
        showSearch={{ optionFilterProp: "label" }}
        options={options}
        value={value === undefined ? null : String(value)}
        onChange={(picked: string) => onChange(fact.type === "number" ? Number(picked) : picked)}
      />
    );
  return (
    <Input
      size="small"
      aria-label="Value"
      style={{ width: 110 }}
      inputMode={fact.type === "number" ? "decimal" : "text"}
      disabled={disabled}
      value={typeof value === "string" || typeof value === "number" ? String(value) : ""}
      onChange={(e) => onChange(e.target.value)}
    />
  );
}
