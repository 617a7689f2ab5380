"use client";

import { Button, Input } from "antd";
import type { GradeScale } from "../../core/grades/scale";
import { KeyBox, Labelled, put, Words } from "../rulebook/part-fields.client";
import { ScaleCurve } from "./curve";

interface Props {
  readonly value: GradeScale;
  readonly disabled: boolean;
  readonly onChange: (next: GradeScale) => void;
}

const MARKS = [
  ["best", "Best mark that can be awarded"],
  ["pass", "Lowest mark that passes"],
  ["worst", "Worst mark"],
] as const;

const NO_STATEMENT = { multiplier: "", offset: "0", source: "" };
const STATEMENT = [
  ["multiplier", "Percentage: mark times"],
  ["offset", "Percentage: plus"],
  ["source", "Percentage: where the issuer states it"],
] as const;

/** What percentage a mark stands for by the issuer's own statement; without one nothing is assumed. */
function PercentFields({ value, disabled, onChange }: Props) {
  const percent = value.percent ?? NO_STATEMENT;
  return STATEMENT.map(([name, label]) => (
    <Labelled key={name} label={label}>
      {(id) => (
        <Input
          id={id}
          disabled={disabled}
          value={value.percent ? percent[name] : ""}
          onChange={(e) => {
            const next = { ...percent, [name]: e.target.value };
            const none = next.multiplier.trim() === "" && next.source.trim() === "";
            onChange(put(value, "percent", none ? undefined : next));
          }}
        />
      )}
    </Labelled>
  ));
}

/** One grade scale, with the curve that it makes on ours. */
export function ScalePart({ value, disabled, onChange }: Props) {
  const letters = value.letters ?? [];
  const withLetters = (next: GradeScale["letters"]) =>
    onChange(put(value, "letters", next && next.length > 0 ? next : undefined));
  const row = (index: number, change: Partial<(typeof letters)[number]>) =>
    withLetters(letters.map((l, i) => (i === index ? { ...l, ...change } : l)));
  return (
    <div className="part-form plan-form">
      <KeyBox value={value.key} disabled={disabled} onChange={(key) => onChange({ ...value, key })} />
      <Words
        label="Title"
        value={value.title}
        disabled={disabled}
        onChange={(title) => onChange({ ...value, title })}
      />
      {MARKS.map(([name, label]) => (
        <Labelled key={name} label={label}>
          {(id) => (
            <Input
              id={id}
              disabled={disabled}
              value={value[name]}
              onChange={(e) => onChange({ ...value, [name]: e.target.value.trim() })}
            />
          )}
        </Labelled>
      ))}
      <Labelled label="Step between marks (empty: none)">
        {(id) => (
          <Input
            id={id}
            disabled={disabled}
            value={value.step ?? ""}
            onChange={(e) => onChange(put(value, "step", e.target.value.trim() || undefined))}
          />
        )}
      </Labelled>
      <PercentFields value={value} disabled={disabled} onChange={onChange} />
      <fieldset className="plan-wide letters">
        <legend>Letters, each with its points (none: marks are numbers)</legend>
        {letters.map((letter, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: letters have no other name while they are typed
          <span key={i} className="letter-row">
            <Input
              aria-label={`Letter ${i + 1}`}
              disabled={disabled}
              value={letter.label}
              onChange={(e) => row(i, { label: e.target.value })}
            />
            <Input
              aria-label={`Points of letter ${i + 1}`}
              disabled={disabled}
              value={letter.points}
              onChange={(e) => row(i, { points: e.target.value.trim() })}
            />
            {disabled ? null : (
              <Button
                size="small"
                type="text"
                aria-label={`Remove letter ${letter.label}`}
                onClick={() => withLetters(letters.filter((_, n) => n !== i))}
              >
                ×
              </Button>
            )}
          </span>
        ))}
        {disabled ? null : (
          <Button size="small" onClick={() => withLetters([...letters, { label: "", points: "" }])}>
            Add a letter
          </Button>
        )}
      </fieldset>
      <div className="plan-wide">
        <ScaleCurve scale={value} />
      </div>
    </div>
  );
}
