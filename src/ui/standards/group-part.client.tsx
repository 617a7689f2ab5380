"use client";

import { Checkbox } from "antd";
import { registerOptions } from "../../core/standards/register-options";
import { conditionSentence } from "../../text/words/condition";
import { ConditionBuilder } from "../rulebook/conditions/condition-builder.client";
import { KeyBox, put, Words } from "../rulebook/part-fields.client";
import type { PartProps } from "./part-props";

/** One applicant group: who is in it, as a sentence and as the condition behind it. */
export function GroupPart({ set, facts, disabled, onChange, index }: PartProps & { index: number }) {
  const group = set.groups[index];
  if (!group) return null;
  const change = (next: typeof group) =>
    onChange({ ...set, groups: set.groups.map((g, i) => (i === index ? next : g)) });
  const always = group.when.op === "all" && group.when.of.length === 0;
  const titles = Object.fromEntries(
    facts.flatMap((f) => [
      ...(f.title ? [[f.name, f.title] as const] : []),
      ...f.options.map((o) => [`${f.name}=${o.value}`, o.title] as const),
      ...((f.register && registerOptions(f.register, set)) ?? []).map(
        (o) => [`${f.name}=${o.value}`, o.title.en] as const,
      ),
    ]),
  );
  return (
    <div className="part-form">
      <p className="rule-sentence">
        {always
          ? "In this group is everybody who is in none above."
          : `Somebody is in this group when ${index === 0 ? "" : "in none above, and when "}${conditionSentence(group.when, titles)}.`}
      </p>
      <div className="plan-form">
        <KeyBox value={group.key} disabled={disabled} onChange={(key) => change({ ...group, key })} />
        <Words
          label="Title"
          value={group.title}
          disabled={disabled}
          onChange={(title) => change({ ...group, title })}
        />
        <Checkbox
          disabled={disabled}
          checked={group.visaFree ?? false}
          onChange={(e) => change(put(group, "visaFree", e.target.checked || undefined))}
        >
          its people need no visa to study here
        </Checkbox>
      </div>
      <ConditionBuilder
        context={{ facts: { scalars: facts, standings: [], lists: [] }, office: set, disabled }}
        value={group.when}
        list={null}
        label="in this group when"
        onChange={(when) => change({ ...group, when })}
        onRemove={always ? undefined : () => change({ ...group, when: { op: "all", of: [] } })}
      />
    </div>
  );
}
