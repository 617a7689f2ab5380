"use client";

import { Button, Checkbox, Input, Select } from "antd";
import { takesNotKnown } from "../../core/answers/not-known";
import { canBeCounted } from "../../core/figures/tally";
import { FIELD_KINDS, type Field, factName } from "../../core/rulebook/section";
import type { LocalText } from "../../core/text/local-text";
import { AppliesWhen } from "./applies-when.client";
import { CountingPapers } from "./counting-papers.client";
import { KeeperPart } from "./keeper-part.client";
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
import { FIELD_KIND_WORDS } from "./words";

/** Who sees what is answered. */
const SEEN_BY = [
  { value: "assessment", label: "everybody who works on the file" },
  { value: "office", label: "the admissions office only" },
  { value: "finance", label: "finance only" },
  { value: "figures", label: "figures only" },
] as const;

function Options({
  value,
  scales,
  disabled,
  onChange,
}: {
  value: NonNullable<Field["options"]>;
  /** Where the answer says of which kind a qualification is: what kinds may be marked on; none elsewhere. */
  scales: readonly { readonly key: string; readonly title: LocalText }[];
  disabled: boolean;
  onChange: (next: NonNullable<Field["options"]>) => void;
}) {
  const change = (index: number, part: Partial<(typeof value)[number]>) =>
    onChange(value.map((o, i) => (i === index ? { ...o, ...part } : o)));
  return (
    <fieldset className="plan-wide">
      <legend>Answers to choose from</legend>
      {value.map((option, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: an option is known by its place while it is typed
        <div key={i} className="option-line">
          <Input
            size="small"
            aria-label={`Answer ${i + 1}, stored as`}
            disabled={disabled}
            value={option.value}
            onChange={(e) => change(i, { value: e.target.value })}
          />
          <Input
            size="small"
            aria-label={`Answer ${i + 1}, English`}
            placeholder="English"
            disabled={disabled}
            value={option.title.en}
            onChange={(e) => change(i, { title: { ...option.title, en: e.target.value } })}
          />
          <Input
            size="small"
            aria-label={`Answer ${i + 1}, French`}
            placeholder="French"
            disabled={disabled}
            value={option.title.fr}
            onChange={(e) => change(i, { title: { ...option.title, fr: e.target.value } })}
          />
          {scales.length > 0 ? (
            <Select
              size="small"
              mode="multiple"
              aria-label={`Answer ${i + 1}, its grade scales`}
              placeholder="any grade scale"
              disabled={disabled}
              value={option.scales ?? []}
              options={scales.map((s) => ({ value: s.key, label: s.title.en }))}
              showSearch={{ optionFilterProp: "label" }}
              onChange={(picked) => change(i, { scales: picked.length > 0 ? picked : undefined })}
            />
          ) : null}
          {disabled ? null : (
            <Button
              size="small"
              type="text"
              aria-label={`Remove answer ${i + 1}`}
              onClick={() => onChange(value.filter((_, j) => j !== i))}
            >
              ×
            </Button>
          )}
        </div>
      ))}
      {disabled ? null : (
        <Button
          size="small"
          onClick={() => onChange([...value, { value: `answer${value.length + 1}`, title: EMPTY_WORDS }])}
        >
          Add an answer
        </Button>
      )}
    </fieldset>
  );
}

const WITH_OPTIONS: readonly Field["kind"][] = ["choice", "several", "ranked"];
const WITH_LIMITS: readonly Field["kind"][] = [
  "text",
  "longText",
  "name",
  "whole",
  "decimal",
  "money",
  "several",
  "ranked",
  "links",
];

/** Stands for a field whose answers may come again; the empty word for one whose answers may not. */
const ANYTIME = "*";

export function FieldPart({ context, value, list, onChange }: FormProps<Field> & { list: string | null }) {
  const { disabled, body } = context;
  const lists = body.sections.filter((s) => s.repeats).map((s) => ({ value: s.key, label: s.title.en }));
  const length = value.length;
  const siblings = body.sections
    .filter((s) => s.repeats && factName(s) === list)
    .flatMap((s) => s.fields.filter((f) => f.key !== value.key));
  const beside = body.sections.find((s) => s.fields.includes(value))?.fields ?? [];
  const papers = beside.filter((f) => f.kind === "paper");
  const ofKinds = value.kind === "choice" && beside.some((f) => f.kind === "scale");
  return (
    <div className="plan-form part-form">
      <Words
        label="Label"
        disabled={disabled}
        value={value.title}
        onChange={(title) => onChange({ ...value, title })}
      />
      <Words
        label="Help beside it"
        disabled={disabled}
        value={value.help ?? EMPTY_WORDS}
        onChange={(help) => onChange(put(value, "help", orNothing(help)))}
      />
      <KeyBox disabled={disabled} value={value.key} onChange={(key) => onChange({ ...value, key })} />
      <Pick
        label="Kind"
        disabled={disabled}
        value={value.kind}
        options={FIELD_KINDS.map((kind) => ({ value: kind, label: FIELD_KIND_WORDS[kind] }))}
        onChange={(kind) => onChange({ ...value, kind })}
      />
      <Pick
        label="Seen by"
        disabled={disabled}
        value={value.seenBy}
        options={SEEN_BY}
        onChange={(seenBy) => onChange({ ...value, seenBy })}
      />
      <div className="plan-field">
        <Checkbox
          disabled={disabled}
          checked={value.required}
          onChange={(e) => onChange({ ...value, required: e.target.checked })}
        >
          must be answered
        </Checkbox>
      </div>
      {takesNotKnown(value) ? (
        <div className="plan-field">
          <Checkbox
            disabled={disabled}
            checked={value.mayBeUnknown ?? false}
            onChange={(e) => onChange(put(value, "mayBeUnknown", e.target.checked || undefined))}
          >
            “I do not know” is an answer
          </Checkbox>
        </div>
      ) : null}
      {value.kind === "date" ? (
        <div className="plan-field">
          <Checkbox
            disabled={disabled}
            checked={value.rough ?? false}
            onChange={(e) => onChange(put(value, "rough", e.target.checked || undefined))}
          >
            the month or the year is enough
          </Checkbox>{" "}
          <Checkbox
            disabled={disabled}
            checked={value.ends ?? false}
            onChange={(e) => onChange(put(value, "ends", e.target.checked || undefined))}
          >
            a paper ends on it: the office is told before
          </Checkbox>
        </div>
      ) : null}
      <KeeperPart
        disabled={disabled}
        value={value.keptBy}
        onChange={(keptBy) => onChange(put(value, "keptBy", keptBy))}
      />
      {value.kind === "address" ? (
        <div className="plan-field">
          <Checkbox
            disabled={disabled}
            checked={value.forLetters ?? false}
            onChange={(e) => onChange(put(value, "forLetters", e.target.checked || undefined))}
          >
            letters go to this address and not to the contact address
          </Checkbox>
        </div>
      ) : null}
      {list === null && canBeCounted(value) && value.seenBy !== "figures" ? (
        <div className="plan-field">
          <Checkbox
            disabled={disabled}
            checked={value.counted ?? false}
            onChange={(e) => onChange(put(value, "counted", e.target.checked || undefined))}
          >
            its answers are counted in the figures
          </Checkbox>
        </div>
      ) : null}
      {list !== null && value.kind === "choice" ? (
        <Pick
          label="The same answer again in the list"
          disabled={disabled}
          value={value.once === undefined ? ANYTIME : (value.once.within ?? "")}
          options={[
            { value: ANYTIME, label: "is allowed" },
            { value: "", label: "is not allowed" },
            ...siblings.map((f) => ({ value: f.key, label: `not with the same ${f.title.en || f.key}` })),
          ]}
          onChange={(within) =>
            onChange(
              put(
                value,
                "once",
                within === ANYTIME
                  ? undefined
                  : { except: value.once?.except ?? [], ...(within === "" ? {} : { within }) },
              ),
            )
          }
        />
      ) : null}
      {WITH_LIMITS.includes(value.kind) ? (
        <>
          <NumberBox
            label="At least"
            disabled={disabled}
            value={value.least}
            onChange={(least) => onChange(put(value, "least", least))}
          />
          <NumberBox
            label="At most"
            disabled={disabled}
            value={value.most}
            onChange={(most) => onChange(put(value, "most", most))}
          />
        </>
      ) : null}
      {value.kind === "statement" ? (
        <>
          <Pick
            label="Counted in"
            disabled={disabled}
            value={length?.unit ?? "words"}
            options={plain(["words", "characters"] as const)}
            onChange={(unit) => onChange({ ...value, length: { most: 500, strict: true, ...length, unit } })}
          />
          <NumberBox
            label="At least"
            disabled={disabled}
            value={length?.least}
            onChange={(least) =>
              onChange({
                ...value,
                length: put({ unit: "words" as const, most: 500, strict: true, ...length }, "least", least),
              })
            }
          />
          <NumberBox
            label="At most"
            disabled={disabled}
            value={length?.most}
            onChange={(most) =>
              onChange({ ...value, length: { unit: "words", strict: true, ...length, most: most ?? 500 } })
            }
          />
          <div className="plan-field">
            <Checkbox
              disabled={disabled}
              checked={length?.strict ?? true}
              onChange={(e) =>
                onChange({ ...value, length: { unit: "words", most: 500, ...length, strict: e.target.checked } })
              }
            >
              a limit, not a guide
            </Checkbox>
          </div>
        </>
      ) : null}
      {value.kind === "money" ? (
        <Labelled label="Currency">
          {(id) => (
            <Input
              id={id}
              maxLength={3}
              disabled={disabled}
              value={value.currency ?? ""}
              onChange={(e) => onChange(put(value, "currency", e.target.value.toUpperCase() || undefined))}
            />
          )}
        </Labelled>
      ) : null}
      {value.kind === "entry" ? (
        <Pick
          label="An entry of"
          disabled={disabled}
          value={value.of ?? ""}
          options={lists}
          onChange={(of) => onChange({ ...value, of })}
        />
      ) : null}
      {value.kind === "paper" ? (
        <CountingPapers
          context={context}
          value={value.papers}
          onChange={(papers) => onChange(put(value, "papers", papers))}
        />
      ) : null}
      {value.kind === "text" && papers.length > 0 ? (
        <Pick
          label="Number of"
          disabled={disabled}
          value={value.numberOf ?? ""}
          options={[
            { value: "", label: "nothing" },
            ...papers.map((f) => ({ value: f.key, label: `the paper of “${f.title.en}”` })),
          ]}
          onChange={(of) => onChange(put(value, "numberOf", of === "" ? undefined : of))}
        />
      ) : null}
      {WITH_OPTIONS.includes(value.kind) ? (
        <Options
          disabled={disabled}
          value={value.options ?? []}
          scales={ofKinds ? context.office.scales : []}
          onChange={(options) => onChange({ ...value, options })}
        />
      ) : null}
      <AppliesWhen
        context={context}
        legend="It is asked"
        value={value}
        list={list}
        label="when the field applies"
        always="always,"
        onChange={onChange}
      />
    </div>
  );
}
