"use client";

import { Checkbox } from "antd";
import { carriesByKind } from "../../core/answers/carry-over";
import { withCoreFields } from "../../core/rulebook/core-fields";
import { CORE_KINDS, factName, type Section } from "../../core/rulebook/section";
import { AppliesWhen } from "./conditions/applies-when.client";
import { ConditionBuilder } from "./conditions/condition-builder.client";
import { EMPTY_WORDS, type FormProps, KeyBox, NumberBox, orNothing, Pick, put, Words } from "./part-fields.client";
import { CORE_KIND_WORDS } from "./words";

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
        label="What is done with its answers"
        disabled={disabled}
        value={value.core ?? "own"}
        options={[
          { value: "own" as const, label: "nothing but what rules read: a section of our own" },
          ...CORE_KINDS.map((kind) => ({ value: kind, label: CORE_KIND_WORDS[kind] })),
        ]}
        onChange={(core) => onChange(withCoreFields({ ...value, core: core === "own" ? null : core }))}
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
      <div className="plan-field">
        <Checkbox
          disabled={disabled || carriesByKind(value)}
          checked={value.carries === true || carriesByKind(value)}
          onChange={(e) => onChange(put(value, "carries", e.target.checked ? true : undefined))}
        >
          its answers are taken over into the next application of the same person
        </Checkbox>
      </div>
      {value.repeats ? <FedBy context={context} value={value} onChange={onChange} /> : null}
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

/** Which lines nobody types, since a registry gives them: those of some entries of a list that a field names. */
function FedBy({ context, value, onChange }: FormProps<Section>) {
  const { disabled, body } = context;
  const { fromRegistry } = value;
  const naming = value.fields.flatMap((f) => {
    const of = f.kind === "entry" ? body.sections.find((s) => s.key === f.of && s.repeats) : undefined;
    return of ? [{ by: f.key, list: factName(of), title: of.title.en }] : [];
  });
  if (naming.length === 0 && !fromRegistry) return null;
  return (
    <fieldset className="plan-wide">
      <legend>Lines that a registry gives</legend>
      <Pick
        label="For entries of"
        disabled={disabled}
        value={fromRegistry?.by ?? ""}
        options={[
          { value: "", label: "no list: all are typed" },
          ...naming.map((n) => ({ value: n.by, label: n.title })),
        ]}
        onChange={(by) => {
          const list = naming.find((n) => n.by === by)?.list;
          onChange(
            put(value, "fromRegistry", list === undefined ? undefined : { list, by, where: { op: "all", of: [] } }),
          );
        }}
      />
      {fromRegistry ? (
        <ConditionBuilder
          context={context}
          value={fromRegistry.where}
          list={fromRegistry.list}
          label="for which entries"
          onChange={(where) => onChange({ ...value, fromRegistry: { ...fromRegistry, where } })}
        />
      ) : null}
    </fieldset>
  );
}
