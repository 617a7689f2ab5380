"use client";

import { listOf } from "../../core/rulebook/conditions";
import {
  atLeastProof,
  type DocumentRequirement,
  MOMENTS,
  type Picture,
  PROOF_LEVELS,
  reachedBy,
} from "../../core/rulebook/requirement";
import { PROOF_WORDS } from "../../text/words/office";
import { OptionalCondition } from "./conditions/condition-builder.client";
import { type FormProps, NumberBox, Pick, plain, put } from "./part-fields.client";

/** What a portrait is brought to where nothing else is said. */
const PORTRAIT: Picture = { width: 480, height: 600 };

/** A higher proof that is needed by a later moment: the levels above the first, the moments after its own. */
export function LaterProof({
  disabled,
  value,
  onChange,
}: {
  disabled: boolean;
  value: DocumentRequirement;
  onChange: (next: DocumentRequirement) => void;
}) {
  const levels = PROOF_LEVELS.filter((level) => !atLeastProof(value.proof, level));
  const { laterProof: later } = value;
  if (levels.length === 0 && !later) return null;
  const moments = MOMENTS.filter((moment) => !reachedBy(moment, value.neededBy));
  return (
    <>
      <Pick
        label="Later it needs more"
        disabled={disabled}
        value={later?.level ?? ""}
        options={[
          { value: "", label: "no, this is enough" },
          ...levels.map((level) => ({ value: level, label: PROOF_WORDS[level] })),
        ]}
        onChange={(level) =>
          onChange(
            put(
              value,
              "laterProof",
              level === "" ? undefined : { level, neededBy: later?.neededBy ?? moments.at(-1) ?? "enrolment" },
            ),
          )
        }
      />
      {later ? (
        <Pick
          label="Needed by"
          disabled={disabled}
          value={later.neededBy}
          options={plain(moments)}
          onChange={(neededBy) => onChange(put(value, "laterProof", { ...later, neededBy }))}
        />
      ) : null}
    </>
  );
}

/** Whether a picture of one size is asked for instead of any document. */
export function PictureSize({
  disabled,
  value,
  onChange,
}: {
  disabled: boolean;
  value: Picture | undefined;
  onChange: (picture: Picture | undefined) => void;
}) {
  return (
    <>
      <Pick
        label="What is sent"
        disabled={disabled}
        value={value ? "picture" : "document"}
        options={[
          { value: "document", label: "any document" },
          { value: "picture", label: "a picture, cropped to a size" },
        ]}
        onChange={(kind) => onChange(kind === "picture" ? PORTRAIT : undefined)}
      />
      {value ? (
        <>
          <NumberBox
            label="Width in pixels"
            disabled={disabled}
            value={value.width}
            onChange={(width) => onChange({ ...value, width: width ?? value.width })}
          />
          <NumberBox
            label="Height in pixels"
            disabled={disabled}
            value={value.height}
            onChange={(height) => onChange({ ...value, height: height ?? value.height })}
          />
        </>
      ) : null}
    </>
  );
}

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
