"use client";

import { Button, Input, InputNumber, Select } from "antd";
import type { TestDefinition } from "../../core/language/test-definition";
import { CEFR } from "../../core/rules/compare";
import { languageOptions } from "../../text/words/code-lists";
import { EMPTY_WORDS, KeyBox, NumberBox, Pick, Words } from "../rulebook/part-fields.client";

interface Props {
  readonly value: TestDefinition;
  readonly disabled: boolean;
  readonly onChange: (next: TestDefinition) => void;
}

type Part = TestDefinition["parts"][number];
type Level = TestDefinition["levels"][number];

const TOTALS = [
  { value: "none", label: "no total, the parts alone" },
  { value: "mean none", label: "mean of the parts, unrounded" },
  { value: "mean half", label: "mean, rounded to halves" },
  { value: "mean whole", label: "mean, rounded to whole points" },
  { value: "sum none", label: "sum of the parts" },
] as const;
type Total = (typeof TOTALS)[number]["value"];

function totalOf(total: TestDefinition["total"]): Total {
  const value = total ? `${total.method} ${total.round}` : "none";
  return TOTALS.find((t) => t.value === value)?.value ?? "none";
}

function readTotal(value: Total): TestDefinition["total"] {
  if (value === "none") return null;
  const [method, round] = value.split(" ") as [
    NonNullable<TestDefinition["total"]>["method"],
    "none" | "half" | "whole",
  ]; // made of both above
  return { method, round };
}

function PartsTable({ value, disabled, onChange }: Props) {
  const set = (index: number, change: Partial<Part>) =>
    onChange({ ...value, parts: value.parts.map((p, i) => (i === index ? { ...p, ...change } : p)) });
  const number = (i: number, name: "min" | "max" | "step", label: string) => (
    <InputNumber
      size="small"
      disabled={disabled}
      aria-label={`${label} of part ${i + 1}`}
      value={value.parts[i]?.[name] ?? null}
      onChange={(n) => set(i, { [name]: n ?? 0 })}
    />
  );
  return (
    <table className="plain-table test-table">
      <thead>
        <tr>
          <th>Part</th>
          <th>English</th>
          <th>French</th>
          <th>From</th>
          <th>To</th>
          <th>Step</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {value.parts.map((p, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a part's key is being typed
          <tr key={i}>
            <td>
              <Input
                size="small"
                aria-label={`Key of part ${i + 1}`}
                disabled={disabled}
                value={p.key}
                onChange={(e) => set(i, { key: e.target.value.replace(/[^A-Za-z0-9]/gu, "") })}
              />
            </td>
            {(["en", "fr"] as const).map((language) => (
              <td key={language}>
                <Input
                  size="small"
                  aria-label={`Title of part ${i + 1}, ${language === "en" ? "English" : "French"}`}
                  disabled={disabled}
                  value={p.title[language]}
                  onChange={(e) => set(i, { title: { ...p.title, [language]: e.target.value } })}
                />
              </td>
            ))}
            <td>{number(i, "min", "Lowest score")}</td>
            <td>{number(i, "max", "Highest score")}</td>
            <td>{number(i, "step", "Step")}</td>
            <td>
              {disabled ? null : (
                <Button
                  size="small"
                  type="text"
                  aria-label={`Remove part ${p.title.en || p.key}`}
                  onClick={() => onChange({ ...value, parts: value.parts.filter((_, n) => n !== i) })}
                >
                  ×
                </Button>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function LevelsTable({ value, disabled, onChange }: Props) {
  const set = (index: number, change: Partial<Level>) =>
    onChange({ ...value, levels: value.levels.map((l, i) => (i === index ? { ...l, ...change } : l)) });
  return (
    <table className="plain-table test-table">
      <thead>
        <tr>
          <th>Level</th>
          <th>{value.total ? "Total at least" : ""}</th>
          <th>Every part at least</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {value.levels.map((l, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a level is being chosen
          <tr key={i}>
            <td>
              <Select<Level["level"]>
                size="small"
                style={{ minWidth: 90 }}
                aria-label={`Level ${i + 1}`}
                disabled={disabled}
                value={l.level}
                options={CEFR.map((level) => ({ value: level, label: level }))}
                onChange={(level) => set(i, { level })}
              />
            </td>
            <td>
              {value.total ? (
                <InputNumber
                  size="small"
                  aria-label={`Total for ${l.level}`}
                  disabled={disabled}
                  value={l.total}
                  onChange={(n) => set(i, { total: n })}
                />
              ) : null}
            </td>
            <td>
              <InputNumber
                size="small"
                aria-label={`Every part for ${l.level}`}
                disabled={disabled}
                value={l.every}
                onChange={(n) => set(i, { every: n ?? 0 })}
              />
            </td>
            <td>
              {disabled ? null : (
                <Button
                  size="small"
                  type="text"
                  aria-label={`Remove level ${l.level}`}
                  onClick={() => onChange({ ...value, levels: value.levels.filter((_, n) => n !== i) })}
                >
                  ×
                </Button>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const NO_LANGUAGE = "none";

/** A test as data: its parts, its total, how long a result is valid, and the level that scores stand for. */
export function TestPart(props: Props) {
  const { value, disabled, onChange } = props;
  const nextLevel =
    CEFR.find((level) => value.levels.every((l) => CEFR.indexOf(l.level) < CEFR.indexOf(level))) ?? "C2";
  return (
    <div className="part-form plan-form">
      <KeyBox value={value.key} disabled={disabled} onChange={(key) => onChange({ ...value, key })} />
      <Words
        label="Title"
        value={value.title}
        disabled={disabled}
        onChange={(title) => onChange({ ...value, title })}
      />
      <Pick
        label="Language"
        value={value.language ?? NO_LANGUAGE}
        options={[{ value: NO_LANGUAGE, label: "none: a standardised test" }, ...languageOptions("en")]}
        disabled={disabled}
        onChange={(language) => onChange({ ...value, language: language === NO_LANGUAGE ? null : language })}
      />
      <NumberBox
        label="Valid for so many months (empty: for ever)"
        value={value.validMonths ?? undefined}
        disabled={disabled}
        onChange={(months) => onChange({ ...value, validMonths: months ?? null })}
      />
      <Pick<Total>
        label="Total"
        value={totalOf(value.total)}
        options={TOTALS}
        disabled={disabled}
        onChange={(total) => {
          const next = readTotal(total);
          onChange({
            ...value,
            total: next,
            levels: value.levels.map((l) => ({ ...l, total: next ? l.total : null })),
          });
        }}
      />
      <fieldset className="plan-wide">
        <legend>Parts and the range of their scores</legend>
        <PartsTable {...props} />
        {disabled ? null : (
          <Button
            size="small"
            onClick={() =>
              onChange({
                ...value,
                parts: [...value.parts, { key: "", title: EMPTY_WORDS, min: 0, max: 100, step: 1 }],
              })
            }
          >
            Add a part
          </Button>
        )}
      </fieldset>
      <fieldset className="plan-wide">
        <legend>Levels of the Common European Framework</legend>
        <LevelsTable {...props} />
        {disabled ? null : (
          <Button
            size="small"
            onClick={() =>
              onChange({ ...value, levels: [...value.levels, { level: nextLevel, total: null, every: 0 }] })
            }
          >
            Add a level
          </Button>
        )}
      </fieldset>
    </div>
  );
}
