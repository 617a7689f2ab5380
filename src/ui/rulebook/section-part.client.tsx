"use client";

import { Checkbox } from "antd";
import { CORE_KINDS, type Section } from "../../core/sections/definition";
import { AppliesWhen } from "./applies-when.client";
import {
  EMPTY_WORDS,
  type FormProps,
  KeyBox,
  NumberBox,
  orNothing,
  Pick,
  plain,
  put,
  Words,
} from "./part-fields.client";

/** A section of the form. */
export function SectionPart({ context, value, onChange }: FormProps<Section>) {
  const { disabled } = context;
  return (
    <div className="plan-form part-form">
      <Words
        label="Title"
        disabled={disabled}
        value={value.title}
        onChange={(title) => onChange({ ...value, title })}
      />
      <Words
        label="What stands above it"
        long
        disabled={disabled}
        value={value.intro ?? EMPTY_WORDS}
        onChange={(intro) => onChange(put(value, "intro", orNothing(intro)))}
      />
      <KeyBox disabled={disabled} value={value.key} onChange={(key) => onChange({ ...value, key })} />
      <Pick
        label="What Unvex knows it as"
        disabled={disabled}
        value={value.core ?? "own"}
        options={[{ value: "own" as const, label: "a section of our own" }, ...plain(CORE_KINDS)]}
        onChange={(core) => onChange({ ...value, core: core === "own" ? null : core })}
      />
      <Pick
        label="Filled in"
        disabled={disabled}
        value={value.scope}
        options={[
          { value: "file" as const, label: "once for the application" },
          { value: "choice" as const, label: "once for this choice" },
        ]}
        onChange={(scope) => onChange({ ...value, scope })}
      />
      <div className="plan-field">
        <Checkbox
          disabled={disabled}
          checked={value.repeats !== undefined}
          onChange={(e) => onChange(put(value, "repeats", e.target.checked ? { min: 1, max: 10 } : undefined))}
        >
          a list of entries
        </Checkbox>
      </div>
      {value.repeats ? (
        <>
          <NumberBox
            label="Entries, at least"
            disabled={disabled}
            value={value.repeats.min}
            onChange={(min) => onChange({ ...value, repeats: { max: 10, ...value.repeats, min: min ?? 0 } })}
          />
          <NumberBox
            label="Entries, at most"
            disabled={disabled}
            value={value.repeats.max}
            onChange={(max) => onChange({ ...value, repeats: { min: 0, ...value.repeats, max: max ?? 1 } })}
          />
        </>
      ) : null}
      {value.repeats ? (
        <div className="plan-field">
          <Checkbox
            disabled={disabled}
            checked={value.grows === true}
            onChange={(e) => onChange(put(value, "grows", e.target.checked ? true : undefined))}
          >
            results that come after submission may be added, until the decision
          </Checkbox>
        </div>
      ) : null}
      <AppliesWhen
        context={context}
        legend="It is asked"
        value={value}
        list={null}
        label="when the section applies"
        always="of everybody,"
        onChange={onChange}
      />
    </div>
  );
}
