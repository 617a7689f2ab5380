"use client";

import { Checkbox } from "antd";
import { takesNotKnown } from "../../core/answers/not-known";
import { canBeCounted } from "../../core/figures/tally";
import type { Field } from "../../core/rulebook/section";
import { put } from "./part-fields.client";

type Ticked = "mayBeUnknown" | "rough" | "ends" | "institutional" | "forLetters" | "counted" | "earlier" | "byOffice";

interface Props {
  readonly value: Field;
  /** The list in which the field stands; null outside lists. */
  readonly list: string | null;
  readonly disabled: boolean;
  readonly onChange: (next: Field) => void;
}

/** What is said of a field by a tick, as far as it can be said of its kind. */
export function FieldTicks({ value, list, disabled, onChange }: Props) {
  const offered: readonly (readonly [Ticked, boolean, string])[] = [
    ["mayBeUnknown", takesNotKnown(value), "“I do not know” is an answer"],
    ["rough", value.kind === "date", "the month or the year is enough"],
    ["ends", value.kind === "date", "a document is valid until this day: the office is told before it ends"],
    [
      "institutional",
      value.kind === "email",
      "an address at an institution; those that anybody can open are not taken",
    ],
    ["forLetters", value.kind === "address", "letters go to this address and not to the contact address"],
    [
      "earlier",
      list === null && (value.kind === "yesNo" || value.kind === "text"),
      "filled in where Unvex knows of an earlier application: yes, and its number",
    ],
    ["byOffice", value.seenBy === "assessment", "the office fills it in; applicants do not see it"],
    [
      "counted",
      list === null && canBeCounted(value) && value.seenBy !== "figures",
      "its answers are counted in the figures",
    ],
  ];
  return (
    <>
      <div className="plan-field">
        <Checkbox
          disabled={disabled}
          checked={value.required}
          onChange={(e) => onChange({ ...value, required: e.target.checked })}
        >
          must be answered
        </Checkbox>
      </div>
      {offered
        .filter(([, fits]) => fits)
        .map(([name, , words]) => (
          <div key={name} className="plan-field">
            <Checkbox
              disabled={disabled}
              checked={value[name] ?? false}
              onChange={(e) => onChange(put(value, name, e.target.checked || undefined))}
            >
              {words}
            </Checkbox>
          </div>
        ))}
    </>
  );
}
