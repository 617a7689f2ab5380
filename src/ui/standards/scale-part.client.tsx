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
