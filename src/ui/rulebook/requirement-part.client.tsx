"use client";

import { Button, Checkbox, Select } from "antd";
import { listOf } from "../../core/rulebook/conditions";
import { MOMENTS, PROOF_LEVELS, type Requirement } from "../../core/rulebook/requirement";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import { PROOF_WORDS } from "../../text/words/office";
import { AppliesWhen } from "./conditions/applies-when.client";
import { ConditionBuilder } from "./conditions/condition-builder.client";
import { LaterProof, PictureSize, PromisePart } from "./document-part.client";
import {
  EMPTY_WORDS,
  type FormProps,
  KeyBox,
  Labelled,
  NumberBox,
  orNothing,
  Pick,
  plain,
  put,
  Words,
} from "./part-fields.client";
import { TakesPart } from "./takes-part.client";
import { TemplateList } from "./template-list.client";

/** One thing that a file must have, of any kind. */
const TO_SUBMIT = [
  { value: "", label: "it stands as the moment above asks" },
  { value: "promised", label: "it is promised at least" },
  { value: "to check", label: "it is supplied" },
  { value: "accepted", label: "it is accepted, or paid" },
] as const;

type SignedBy = NonNullable<Extract<Requirement, { kind: "document" }>["signedBy"]>;

/** Whether somebody whom the form names may sign it by a link, and what they sign. */
function Signature({
  disabled,
  sections,
  value,
  onChange,
}: {
  disabled: boolean;
  sections: RulebookBody["sections"];
  value: SignedBy | undefined;
  onChange: (signedBy: SignedBy | undefined) => void;
}) {
  const naming = sections.filter(
    (s) => !s.repeats && ["name", "email"].every((key) => s.fields.some((f) => f.key === key)),
  );
  const [first] = naming;
  if (!value && !first) return null;
  return (
    <>
      <div className="plan-wide">
        <Pick
          label="Signed by a link"
          disabled={disabled}
          value={value?.section ?? ""}
          options={[
            { value: "", label: "nobody: it is sent" },
            ...naming.map((s) => ({ value: s.key, label: `whom “${s.title.en}” names` })),
          ]}
          onChange={(section) => onChange(section === "" ? undefined : { sentence: EMPTY_WORDS, ...value, section })}
        />
      </div>
      {value ? (
        <Words
          long
          label="What is signed"
          disabled={disabled}
          value={value.sentence}
          onChange={(sentence) => onChange({ ...value, sentence })}
        />
      ) : null}
    </>
  );
}

function RequirementKind({ context, value, onChange }: FormProps<Requirement>) {
  const { disabled, body } = context;
  switch (value.kind) {
    case "sections":
      return (
        <Labelled label="Sections that answer it" wide>
          {(id) => (
            <Select
              id={id}
              mode="multiple"
              showSearch={{ optionFilterProp: "label" }}
              disabled={disabled}
              value={value.sections}
              options={body.sections.map((s) => ({ value: s.key, label: s.title.en }))}
              onChange={(next: string[]) => onChange({ ...value, sections: next })}
            />
          )}
        </Labelled>
      );
    case "document": {
      const lists = body.sections.filter((s) => s.repeats).map((s) => ({ value: s.key, label: s.title.en }));
      const fields = body.sections.flatMap((s) =>
        s.fields.map((f) => ({ value: `${s.key}.${f.key}`, label: `${s.title.en}: ${f.title.en}` })),
      );
      return (
        <>
          <Pick
            label="What counts as proof"
            disabled={disabled}
            value={value.proof}
            options={PROOF_LEVELS.map((level) => ({ value: level, label: PROOF_WORDS[level] }))}
            onChange={(proof) => onChange({ ...value, proof })}
          />
          <LaterProof disabled={disabled} value={value} onChange={onChange} />
          <Pick
            label="Once for each entry of"
            disabled={disabled}
            value={value.perEntryOf ?? ""}
            options={[{ value: "", label: "no list: once" }, ...lists]}
            onChange={(of) => onChange(put(value, "perEntryOf", of === "" ? undefined : of))}
          />
          <PictureSize
            disabled={disabled}
            value={value.picture}
            onChange={(picture) => onChange(put(value, "picture", picture))}
          />
          <TakesPart disabled={disabled} value={value} onChange={onChange} />
          <div className="plan-wide">
            <Checkbox
              disabled={disabled}
              checked={value.governsName === true}
              onChange={(e) => onChange(put(value, "governsName", e.target.checked || undefined))}
            >
              The name counts as it stands on this document
            </Checkbox>
          </div>
          <div className="plan-wide">
            <Checkbox
              disabled={disabled}
              checked={value.keptBack === true}
              onChange={(e) => onChange(put(value, "keptBack", e.target.checked || undefined))}
            >
              Copies of the file that the office passes on leave it out
            </Checkbox>
          </div>
          <div className="plan-wide">
            <Checkbox
              disabled={disabled}
              checked={value.forFinance === true}
              onChange={(e) => onChange(put(value, "forFinance", e.target.checked || undefined))}
            >
              Finance reads it, too
            </Checkbox>
          </div>
          <Signature
            disabled={disabled}
            sections={body.sections}
            value={value.signedBy}
            onChange={(signedBy) => onChange(put(value, "signedBy", signedBy))}
          />
          <TemplateList
            disabled={disabled}
            value={value.templates ?? []}
            onChange={(templates) =>
              onChange(put(value, "templates", templates.length === 0 ? undefined : [...templates]))
            }
          />
          <Labelled label="Values that stand beside it when it is checked" wide>
            {(id) => (
              <Select
                id={id}
                mode="multiple"
                showSearch={{ optionFilterProp: "label" }}
                disabled={disabled}
                value={value.shows}
                options={fields}
                onChange={(shows: string[]) => onChange({ ...value, shows })}
              />
            )}
          </Labelled>
          <PromisePart context={context} value={value} onChange={onChange} />
          <fieldset className="plan-wide">
            <legend>What must hold for it to be accepted</legend>
            {value.checks.map((check, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a check is known by its place while it is typed
              <div key={i} className="check-part">
                <div className="plan-form">
                  <Words
                    label="In words"
                    disabled={disabled}
                    value={check.title}
                    onChange={(title) =>
                      onChange({ ...value, checks: value.checks.map((c, j) => (j === i ? { ...c, title } : c)) })
                    }
                  />
                </div>
                <ConditionBuilder
                  context={context}
                  value={check.rule}
                  list={listOf(value, context.body)}
                  label="what must hold"
                  onChange={(rule) =>
                    onChange({ ...value, checks: value.checks.map((c, j) => (j === i ? { ...c, rule } : c)) })
                  }
                  onRemove={() => onChange({ ...value, checks: value.checks.filter((_, j) => j !== i) })}
                />
              </div>
            ))}
            {disabled ? null : (
              <Button
                size="small"
                onClick={() =>
                  onChange({
                    ...value,
                    checks: [
                      ...value.checks,
                      {
                        key: `check${value.checks.length + 1}`,
                        title: EMPTY_WORDS,
                        rule: { op: "fact", fact: "start", is: "known" },
                      },
                    ],
                  })
                }
              >
                Add a check
              </Button>
            )}
          </fieldset>
        </>
      );
    }
    case "reference": {
      const roles =
        body.sections.find((s) => s.core === "referees")?.fields.find((f) => f.key === "role")?.options ?? [];
      return (
        <>
          <NumberBox
            label="How many"
            disabled={disabled}
            value={value.count}
            onChange={(count) => onChange({ ...value, count: count ?? 1 })}
          />
          <Pick
            label="From somebody who"
            disabled={disabled}
            value={value.role}
            options={[{ value: "any", label: "anybody" }, ...roles.map((o) => ({ value: o.value, label: o.title.en }))]}
            onChange={(role) => onChange({ ...value, role })}
          />
        </>
      );
    }
    case "fee":
      return (
        <Pick
          label="Fee item"
          disabled={disabled}
          value={value.item}
          options={body.fees.map((f) => ({ value: f.key, label: f.title.en }))}
          onChange={(item) => onChange({ ...value, item })}
        />
      );
    case "deed":
      return (
        <p className="quiet">
          It stands among the office’s turns once it is needed, until somebody says that it is done. Applicants read
          that you do it.
        </p>
      );
  }
}

/** A requirement of another kind, with what both kinds share. */
export function requirementOf(
  kind: Requirement["kind"],
  value: Pick<Requirement, "key" | "title" | "scope" | "neededBy">,
): Requirement {
  const { key, title, scope, neededBy } = value;
  const shared = { key, title, scope, neededBy };
  switch (kind) {
    case "sections":
      return { ...shared, kind, sections: [] };
    case "document":
      return { ...shared, kind, proof: "copy", checks: [], shows: [] };
    case "reference":
      return { ...shared, kind, count: 1, role: "any" };
    case "fee":
      return { ...shared, kind, item: "" };
    case "deed":
      return { ...shared, kind, neededBy: neededBy === "submission" ? "review" : neededBy };
  }
}

export function RequirementPart({ context, value, onChange }: FormProps<Requirement>) {
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
        label="Help beside it"
        long
        disabled={disabled}
        value={value.help ?? EMPTY_WORDS}
        onChange={(help) => onChange(put(value, "help", orNothing(help)))}
      />
      <KeyBox disabled={disabled} value={value.key} onChange={(key) => onChange({ ...value, key })} />
      <Pick
        label="What it is"
        disabled={disabled}
        value={value.kind}
        options={[
          { value: "sections" as const, label: "sections to fill in" },
          { value: "document" as const, label: "a document" },
          { value: "reference" as const, label: "references" },
          { value: "fee" as const, label: "a fee" },
          { value: "deed" as const, label: "something that the office does" },
        ]}
        onChange={(kind) => onChange(requirementOf(kind, value))}
      />
      <Pick
        label="Asked"
        disabled={disabled}
        value={value.scope}
        options={[
          { value: "file" as const, label: "once for the application" },
          { value: "choice" as const, label: "once for this choice" },
        ]}
        onChange={(scope) => onChange({ ...value, scope })}
      />
      <Pick
        label="Needed by"
        disabled={disabled}
        value={value.neededBy}
        options={plain(MOMENTS)}
        onChange={(neededBy) => onChange({ ...value, neededBy })}
      />
      {value.kind === "deed" ? null : (
        <Pick
          label="Before the applicant can submit"
          disabled={disabled}
          value={value.toSubmit ?? ""}
          options={TO_SUBMIT}
          onChange={(least) => onChange(put(value, "toSubmit", least === "" ? undefined : least))}
        />
      )}
      <RequirementKind context={context} value={value} onChange={onChange} />
      <AppliesWhen
        context={context}
        legend="It is asked"
        value={value}
        list={listOf(value, context.body)}
        label="when the requirement applies"
        always="of everybody,"
        onChange={onChange}
      />
    </div>
  );
}
