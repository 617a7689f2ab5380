"use client";

import { Button } from "antd";
import { useState } from "react";
import type { Json } from "../../core/file/facts";
import { answerKey } from "../../core/file/place";
import type { FormSection } from "../../core/form/form-sections";
import type { Registers } from "../../core/standards/reference-set";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import { EntryGrid, fitsGrid } from "./entry-grid.client";
import type { FieldContext } from "./field-context";
import { EntryFields, firstEntry } from "./section-fields.client";

/** An answer of somebody who tries a form out: it is stored nowhere but in the page. */
export interface TrialAnswer {
  readonly section: string;
  readonly entry: string;
  readonly field: string;
  readonly value: Json;
}

type Values = Readonly<Record<string, Json>>;

/** Values are kept by section, entry and field: a section that belongs to a choice has no other choice beside it here. */
const keyOf = ({ section, entry, field }: Omit<TrialAnswer, "value">) =>
  answerKey({ scope: "file", section, entry, field });

function toAnswers(values: Values): TrialAnswer[] {
  return Object.entries(values).flatMap(([key, value]) => {
    const [, section = "", entry = "", field = ""] = key.split("|");
    return value === null || value === "" ? [] : [{ section, entry, field, value }];
  });
}

export interface TrialForm {
  readonly sections: readonly FormSection[];
  readonly values: Values;
  readonly left: Values;
  readonly entriesOf: (section: FormSection) => readonly string[];
  readonly set: (place: Omit<TrialAnswer, "value">, value: Json) => void;
  readonly leave: (place: Omit<TrialAnswer, "value">, value: Json) => void;
  readonly add: (section: FormSection) => void;
  readonly remove: (section: FormSection, entry: string) => void;
  readonly fill: (answers: readonly TrialAnswer[]) => void;
}

/** The state of a form that is tried out. `onAnswers` is called with everything that was entered as soon as a field is left. */
export function useTrialForm(
  sections: readonly FormSection[],
  onAnswers: (answers: readonly TrialAnswer[]) => void,
): TrialForm {
  const [values, setValues] = useState<Values>({});
  const [left, setLeft] = useState<Values>({});
  const [added, setAdded] = useState<Readonly<Record<string, readonly string[]>>>({});

  const entriesOf = (section: FormSection): readonly string[] => {
    if (!section.repeats) return [""];
    const typed = Object.keys(values)
      .filter((key) => key.startsWith(`file|${section.key}|`))
      .map((key) => key.split("|")[2] ?? "");
    const entries = [...new Set([...typed, ...(added[section.key] ?? [])])].filter((id) => id !== "");
    return entries.length > 0 ? entries : [firstEntry(section)];
  };
  return {
    sections,
    values,
    left,
    entriesOf,
    set: (place, value) => setValues((all) => ({ ...all, [keyOf(place)]: value })),
    leave: (place, value) => {
      const next = { ...values, [keyOf(place)]: value };
      setValues(next);
      setLeft((all) => ({ ...all, [keyOf(place)]: value }));
      onAnswers(toAnswers(next));
    },
    add: (section) =>
      setAdded((all) => ({
        ...all,
        [section.key]: [...new Set([...(all[section.key] ?? []), ...entriesOf(section), crypto.randomUUID()])],
      })),
    remove: (section, entry) => {
      const rest = Object.fromEntries(
        Object.entries(values).filter(([key]) => !key.startsWith(`file|${section.key}|${entry}|`)),
      );
      setValues(rest);
      setAdded((all) => ({ ...all, [section.key]: (all[section.key] ?? []).filter((id) => id !== entry) }));
      onAnswers(toAnswers(rest));
    },
    fill: (answers) => {
      setValues(Object.fromEntries(answers.map(({ value, ...place }) => [keyOf(place), value])));
      if (answers.length === 0) setAdded({});
      onAnswers(answers);
    },
  };
}

/** The sections that apply, to be filled in for a trial. */
export function TrialSections({
  form,
  locale,
  office,
  intro = false,
}: {
  form: TrialForm;
  locale: Locale;
  office: Registers;
  /** Whether each section’s words of introduction are shown. */
  intro?: boolean;
}) {
  return (
    <div className="section-form check-form">
      {form.sections.map((shown) => {
        if (!shown.applies) return null;
        const section = { ...shown, scope: "file" };
        const context: FieldContext = {
          section,
          locale,
          office,
          starts: null,
          legalName: "",
          values: form.values,
          left: form.left,
          stateOf: () => ({}),
          set: form.set,
          leave: form.leave,
          resolve: () => undefined,
          letGo: () => undefined,
          look: null,
        };
        const entries = form.entriesOf(section);
        return (
          <section key={section.key} aria-label={section.title[locale]}>
            <h2>{section.title[locale]}</h2>
            {intro && section.intro ? <p className="measure quiet">{section.intro[locale]}</p> : null}
            {fitsGrid(section) ? (
              <EntryGrid context={context} entries={entries} onRemove={(entry) => form.remove(section, entry)} />
            ) : (
              entries.map((entry, i) => (
                <fieldset key={entry} className={section.repeats ? "entry" : undefined}>
                  {section.repeats ? <legend>{sentence(locale, "form.entry", { no: i + 1 })}</legend> : null}
                  <EntryFields context={context} entry={entry} />
                  {section.repeats ? (
                    <Button type="text" onClick={() => form.remove(section, entry)}>
                      {sentence(locale, "form.remove")}
                    </Button>
                  ) : null}
                </fieldset>
              ))
            )}
            {section.repeats ? (
              <p>
                <Button onClick={() => form.add(section)}>{sentence(locale, "form.add")}</Button>
              </p>
            ) : null}
          </section>
        );
      })}
    </div>
  );
}
