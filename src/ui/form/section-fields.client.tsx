"use client";

import { Button, Checkbox } from "antd";
import { checkValue, fieldBeside } from "../../core/answers/check-value";
import { isNotKnown, NOT_KNOWN, takesNotKnown } from "../../core/answers/not-known";
import { repeatedEntries, takenElsewhere } from "../../core/answers/once";
import type { Json } from "../../core/file/facts";
import { type AnswerPlace, answerKey, sectionKey } from "../../core/file/place";
import type { FormSection } from "../../core/form/form-sections";
import { usualFirst, usualScales } from "../../core/form/usual-scales";
import { type Field, keeperLink } from "../../core/rulebook/section";
import { isCompared } from "../../core/statements/form-words";
import type { Locale } from "../../core/text/local-text";
import { isTextKey, sentence } from "../../text/sentence";
import { DoubtNote } from "./doubt-note";
import { entryValues } from "./entry-values";
import type { FieldContext } from "./field-context";
import { AgreeInput, FieldInput } from "./fields/field-input.client";
import { HeldNote } from "./held-change.client";
import { issueText } from "./issue-text";
import { LikenessNote } from "./likeness-note.client";

const storedIn = (section: FormSection, entry: string, field: string): Json =>
  section.entries.find((e) => e.id === entry)?.values[field]?.value ?? null;

/** Whether something stands in a field on the server: what a submitted choice uses is closed, gaps may be filled. */
function isStored(section: FormSection, entry: string, field: string): boolean {
  const value = storedIn(section, entry, field);
  return value !== null && value !== "";
}

export function mayRemove(section: FormSection, entry: string): boolean {
  return section.open === "all" || (section.open === "add" && !section.entries.some((e) => e.id === entry));
}

/** The entries of a list as they stand on the page, in order: the stored ones, then those that were just added. */
function entriesIn(section: FormSection, values: FieldContext["values"]): readonly string[] {
  const prefix = `${sectionKey({ scope: section.scope, section: section.key })}|`;
  const typed = Object.keys(values)
    .filter((key) => key.startsWith(prefix))
    .map((key) => key.slice(prefix.length).split("|")[0] ?? "");
  return [...new Set([...section.entries.map((e) => e.id), ...typed])].filter((id) => id !== "");
}

const FREE = { taken: new Set<string>(), twice: false } as const;

/** What other entries have taken, and whether this one repeats it; nothing is looked at for a field that may repeat. */
function onceIn(section: FormSection, values: FieldContext["values"], field: Field, entry: string) {
  if (!field.once) return FREE;
  const entries = entriesIn(section, values);
  const read = (of: string, name: string): Json =>
    values[answerKey({ scope: section.scope, section: section.key, entry: of, field: name })] ?? null;
  return {
    taken: takenElsewhere(field, entry, entries, read),
    twice: repeatedEntries(field, entries, read).includes(entry),
  };
}

/** The country beside an institution, and what the register proposes for the fields around it: only what is empty is filled. */
function studiedAt({ section, values, left, set, leave }: FieldContext, entry: string) {
  const placeOf = (field: string) => ({ scope: section.scope, section: section.key, entry, field });
  const readField = (field: string) => values[answerKey(placeOf(field))] ?? null;
  // What is still being typed is not looked up.
  const [country, institution] = ["country", "institution"].map(
    (field) => left[answerKey(placeOf(field))] ?? storedIn(section, entry, field),
  );
  return {
    country: typeof country === "string" ? country : null,
    institution: typeof institution === "string" ? institution : null,
    onProposal: (proposal: Readonly<Record<string, Json>>) => {
      for (const { key } of section.fields) {
        const proposed = proposal[key];
        const now = readField(key);
        if (proposed === undefined || (now !== null && now !== "")) continue;
        set(placeOf(key), proposed);
        leave(placeOf(key), proposed);
      }
    },
  };
}

export function fieldProps(context: FieldContext, entry: string, field: Field, id: string) {
  const { section, locale, office, values, left, stateOf, set, leave } = context;
  const place = { scope: section.scope, section: section.key, entry, field: field.key };
  const key = answerKey(place);
  const state = stateOf(key);
  const closed = state.held?.why === "locked";
  const value = closed ? storedIn(section, entry, field.key) : (values[key] ?? null);
  const beside = fieldBeside(field);
  const named = beside === null ? null : values[answerKey({ ...place, field: beside })];
  // What was left is judged here at once, by the same check as on the server, also while the line is down.
  const isGap = section.gaps.some((g) => g.entry === entry && g.field === field.key && g.code === "wrong");
  const judged = left[key] ?? (state.issue === undefined && isGap ? value : undefined);
  const issue =
    judged === undefined
      ? state.issue
      : checkValue(field, office, judged, typeof named === "string" ? named : undefined);
  const { taken, twice } = onceIn(section, values, field, entry);
  const wrong = issue
    ? issueText(locale, issue)
    : twice
      ? sentence(locale, "issue.twice")
      : isGap
        ? sentence(locale, "refused.invalid-input")
        : null;
  return {
    place,
    wrong,
    input: {
      id,
      field,
      locale,
      office:
        field.kind === "scale"
          ? { ...office, scales: usualFirst(office.scales, usualScales(section.fields, entryValues(context, entry))) }
          : office,
      named: section.named,
      taken,
      value,
      test: typeof named === "string" ? named : null,
      disabled: section.open === "none" || closed || (section.open === "add" && isStored(section, entry, field.key)),
      invalid: wrong !== null,
      describedBy: [field.help ? `${id}-help` : "", wrong ? `${id}-wrong` : ""].filter(Boolean).join(" ") || undefined,
      onChange: (value: Json) => set(place, value),
      onLeave: (value: Json) => leave(place, value),
      ...(field.kind === "institution" || field.kind === "scale" ? studiedAt(context, entry) : {}),
    },
  };
}

/** A text as it was left here, or as it stood when the page was opened. */
function leftText({ left, section }: FieldContext, place: AnswerPlace): string {
  const value = left[answerKey(place)] ?? storedIn(section, place.entry, place.field);
  return typeof value === "string" ? value : "";
}

function FieldRow({ context, entry, field }: { context: FieldContext; entry: string; field: Field }) {
  const id = `${context.section.key}-${entry}-${field.key}`;
  const { place, wrong, input } = fieldProps(context, entry, field, id);
  return (
    <div className="field" data-kind={field.kind}>
      {field.kind === "agree" ? (
        <AgreeInput {...input} />
      ) : (
        <>
          <label id={`${id}-label`} htmlFor={id}>
            {field.title[context.locale]}{" "}
            {field.required ? null : <span className="quiet">({sentence(context.locale, "form.optional")})</span>}
          </label>
          {field.help ? (
            <p id={`${id}-help`} className="help">
              {field.help[context.locale]}
            </p>
          ) : null}
          {field.keptBy ? (
            <p className="help">
              {sentence(context.locale, "field.keptBy", { name: field.keptBy.name[context.locale] })}{" "}
              {keeperLink(field.keptBy) ? (
                <a href={keeperLink(field.keptBy) ?? ""} target="_blank" rel="noopener noreferrer">
                  {sentence(context.locale, "field.keptByLink")}
                </a>
              ) : null}
            </p>
          ) : null}
          {isNotKnown(input.value) ? null : <FieldInput {...input} />}
          {field.mayBeUnknown && takesNotKnown(field) ? (
            <Checkbox
              {...(isNotKnown(input.value) ? { id } : {})}
              aria-describedby={`${id}-label`}
              checked={isNotKnown(input.value)}
              disabled={input.disabled}
              onChange={(e) => {
                const value = e.target.checked ? NOT_KNOWN : null;
                input.onChange(value);
                input.onLeave(value);
              }}
            >
              {sentence(context.locale, "form.doNotKnow")}
            </Checkbox>
          ) : null}
        </>
      )}
      {wrong ? (
        <p id={`${id}-wrong`} className="wrong" role="alert">
          {wrong}
        </p>
      ) : null}
      {wrong ? null : <DoubtNote context={context} entry={entry} field={field} />}
      {context.look && isCompared(field) && !input.disabled ? (
        <LikenessNote place={place} text={leftText(context, place)} locale={context.locale} look={context.look} />
      ) : null}
      <HeldNote context={context} place={place} field={field} />
    </div>
  );
}

/** Which fields apply now. A new entry shows those that apply whatever it says, until its first answers are saved. */
export function shownFields(section: FormSection, entry: string): readonly Field[] {
  const known = section.entries.find((e) => e.id === entry);
  return section.fields.filter((f) => (known?.shown ?? section.fresh).includes(f.key));
}

export function EntryFields({ context, entry }: { context: FieldContext; entry: string }) {
  return shownFields(context.section, entry).map((field) => (
    <FieldRow key={field.key} context={context} entry={entry} field={field} />
  ));
}

/** The id of the entry that stands ready in a list in which nothing stands yet, so that people can type at once. */
export const firstEntry = (section: Pick<FormSection, "key">): string => `first-${section.key}`;

export function ListFoot({
  section,
  locale,
  count,
  complete,
  onAdd,
  onComplete,
}: {
  section: FormSection;
  locale: Locale;
  count: number;
  complete: boolean;
  onAdd: () => void;
  onComplete: (complete: boolean) => void;
}) {
  const key = `form.add.${section.key}`;
  const full = section.repeats !== null && count >= section.repeats.max;
  return (
    <div className="list-foot">
      <Button onClick={onAdd} disabled={full}>
        {sentence(locale, isTextKey(key) ? key : "form.add")}
      </Button>
      {count > 0 || section.repeats?.min === 0 ? (
        <Checkbox
          checked={complete}
          disabled={section.open !== "all" && complete}
          onChange={(e) => onComplete(e.target.checked)}
        >
          {sentence(locale, count > 0 ? "form.complete" : "form.none")}{" "}
          <span className="help">{sentence(locale, count > 0 ? "form.completeHelp" : "form.noneHelp")}</span>
        </Checkbox>
      ) : null}
    </div>
  );
}
