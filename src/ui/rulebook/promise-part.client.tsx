import { listOf } from "../../core/rulebook/conditions";
import type { DocumentRequirement } from "../../core/rulebook/requirement";
import { OptionalCondition } from "./condition-builder.client";
import { type FormProps, Pick, put } from "./part-fields.client";

/** When a document that was not supplied counts as promised, and for which day. */
export function PromisePart({ context, value, onChange }: FormProps<DocumentRequirement>) {
  const { body, disabled } = context;
  const days = body.sections
    .filter((s) => (value.perEntryOf === undefined ? !s.repeats : s.key === value.perEntryOf))
    .flatMap((s) => s.fields.filter((f) => f.kind === "date").map((f) => ({ section: s, field: f })));
  return (
    <fieldset className="plan-wide">
      <legend>Not supplied yet, but promised: it may wait</legend>
      <OptionalCondition
        context={context}
        value={value.promise}
        list={listOf(value, body)}
        label="when it is promised"
        always="never,"
        onChange={(promise) => onChange(put(value, "promise", promise))}
      />
      {value.promise ? (
        <Pick
          label="Promised for the day in"
          disabled={disabled}
          value={value.promisedFor ?? ""}
          options={[
            { value: "", label: "no field" },
            ...days.map(({ section, field }) => ({
              value: `${section.key}.${field.key}`,
              label: `${section.title.en}: ${field.title.en}`,
            })),
          ]}
          onChange={(day) => onChange(put(value, "promisedFor", day === "" ? undefined : day))}
        />
      ) : null}
    </fieldset>
  );
}
