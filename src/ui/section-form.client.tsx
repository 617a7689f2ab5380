"use client";

import { Button, Checkbox } from "antd";
import { useEffect, useId, useMemo, useRef, useState } from "react";
import type { Json } from "../core/assessment/facts";
import type { ReferenceSet } from "../core/office/reference-set";
import type { ValueIssue } from "../core/sections/check-value";
import type { Field } from "../core/sections/definition";
import type { Locale } from "../core/text/local-text";
import { formatMoment } from "../text/format";
import { isTextKey, say } from "../text/say";
import type { FormSection } from "../views/my-application";
import { type FieldState, type Place, placeKey, type SaveStatus, useAutosave } from "./autosave.client";
import { AgreeInput, FieldInput } from "./field-input.client";

const COMPLETE = "complete";

interface Props {
  readonly applicationId: string;
  readonly number: string;
  readonly personId: string;
  readonly zone: string;
  readonly locale: Locale;
  readonly sections: readonly FormSection[];
  readonly office: Pick<ReferenceSet, "scales" | "tests" | "areas">;
}

function valuesOf(sections: readonly FormSection[]): Record<string, Json> {
  return Object.fromEntries(
    sections.flatMap((s) => [
      ...s.entries.flatMap((e) =>
        Object.entries(e.values).map(
          ([field, v]) => [placeKey({ scope: s.scope, section: s.key, entry: e.id, field }), v.value] as const,
        ),
      ),
      ...(s.repeats
        ? [[placeKey({ scope: s.scope, section: s.key, entry: "", field: COMPLETE }), s.complete] as const]
        : []),
    ]),
  );
}

function versionsOf(sections: readonly FormSection[]): Record<string, number> {
  return Object.fromEntries(
    sections.flatMap((s) =>
      s.entries.flatMap((e) =>
        Object.entries(e.values).map(
          ([field, v]) => [placeKey({ scope: s.scope, section: s.key, entry: e.id, field }), v.version] as const,
        ),
      ),
    ),
  );
}

/** Whether something stands in a field on the server: what a submitted choice uses is closed, gaps may be filled. */
function isStored(section: FormSection, entry: string, field: string): boolean {
  const value = section.entries.find((e) => e.id === entry)?.values[field]?.value;
  return value !== undefined && value !== null && value !== "";
}

function mayRemove(section: FormSection, entry: string): boolean {
  return section.open === "all" || (section.open === "add" && !section.entries.some((e) => e.id === entry));
}

function issueText(locale: Locale, issue: ValueIssue): string {
  const key = `issue.${issue.code}`;
  if (!isTextKey(key)) return "";
  const values: Record<string, string | number> = {};
  for (const [name, value] of Object.entries(issue))
    if (name !== "code") values[name] = Array.isArray(value) ? value.join(", ") : String(value);
  return say(locale, key, values);
}

/** What a value looks like in a sentence about two values of one field. */
function shown(locale: Locale, value: Json): string {
  if (value === null || value === "") return say(locale, "form.nothing");
  if (typeof value === "boolean") return say(locale, value ? "form.yes" : "form.no");
  return typeof value === "string" ? value : JSON.stringify(value);
}

export function SaveLine({ status, locale, zone }: { status: SaveStatus; locale: Locale; zone: string }) {
  const text =
    status.kind === "saved"
      ? say(locale, "save.saved", { time: formatMoment(locale, status.at, zone).split(", ").at(-1) ?? "" })
      : say(
          locale,
          status.kind === "saving"
            ? "save.saving"
            : status.kind === "waiting"
              ? "save.waiting"
              : status.kind === "signedOut"
                ? "save.signedOut"
                : "save.idle",
        );
  return (
    <p className="save-line" role="status" data-kind={status.kind}>
      {text}
    </p>
  );
}

/** The sections of one page of the form, saved field by field. */
export function SectionForm({ applicationId, number, personId, zone, locale, sections: initial, office }: Props) {
  const [sections, setSections] = useState(initial);
  const [values, setValues] = useState(() => valuesOf(initial));
  const [added, setAdded] = useState<Readonly<Record<string, readonly string[]>>>({});
  const [removed, setRemoved] = useState<
    readonly {
      readonly section: FormSection;
      readonly entry: string;
      readonly values: Readonly<Record<string, Json>>;
    }[]
  >([]);
  const keys = useMemo(() => new Set(initial.map((s) => `${s.scope}|${s.key}`)), [initial]);
  const autosave = useAutosave({
    applicationId,
    number,
    personId,
    versions: useMemo(() => versionsOf(initial), [initial]),
    onSections: (fresh) => setSections(fresh.filter((s) => keys.has(`${s.scope}|${s.key}`))),
  });
  const { unsent } = autosave;
  useEffect(() => {
    const waiting = unsent();
    if (Object.keys(waiting).length > 0) setValues((all) => ({ ...all, ...waiting }));
  }, [unsent]);

  const set = (place: Place, value: Json) => setValues((all) => ({ ...all, [placeKey(place)]: value }));
  const saved = useRef<Record<string, string>>({});
  if (Object.keys(saved.current).length === 0)
    saved.current = Object.fromEntries(Object.entries(valuesOf(initial)).map(([k, v]) => [k, JSON.stringify(v)]));
  const leave = (place: Place, value: Json) => {
    const key = placeKey(place);
    const text = JSON.stringify(value ?? null);
    if (saved.current[key] === text || (saved.current[key] === undefined && (value === null || value === ""))) return;
    saved.current[key] = text;
    autosave.save([{ ...place, value }]);
  };

  const entriesOf = (section: FormSection): readonly string[] => {
    const gone = new Set(removed.filter((r) => r.section.key === section.key).map((r) => r.entry));
    const known = section.entries.map((e) => e.id);
    return [...known, ...(added[section.key] ?? []).filter((id) => !known.includes(id))].filter((id) => !gone.has(id));
  };

  const takeOut = (section: FormSection, entry: string) => {
    const own = Object.fromEntries(
      Object.entries(values)
        .filter(([key]) => key.startsWith(`${section.scope}|${section.key}|${entry}|`))
        .map(([key, value]) => [key.split("|")[3] ?? "", value]),
    );
    setRemoved((all) => [...all, { section, entry, values: own }]);
    autosave.remove({ scope: section.scope, section: section.key, entry });
  };

  const bringBack = (index: number) => {
    const item = removed[index];
    if (!item) return;
    setRemoved((all) => all.filter((_, i) => i !== index));
    setAdded((all) => ({ ...all, [item.section.key]: [...(all[item.section.key] ?? []), item.entry] }));
    autosave.save(
      Object.entries(item.values).map(([field, value]) => ({
        scope: item.section.scope,
        section: item.section.key,
        entry: item.entry,
        field,
        value,
      })),
    );
  };

  return (
    <div className="section-form">
      <SaveLine status={autosave.status} locale={locale} zone={zone} />
      {sections.map((section) => {
        if (!section.applies) return sections.length > 1 ? null : <p key={section.key}>{say(locale, "form.notNow")}</p>;
        const entries = section.repeats ? entriesOf(section) : [""];
        const context = {
          section,
          locale,
          office,
          values,
          states: autosave.fields,
          set,
          leave,
          resolve: autosave.resolve,
        };
        return (
          <section key={`${section.scope}|${section.key}`} aria-label={section.title[locale]} id={section.key}>
            {sections.length > 1 ? <h2>{section.title[locale]}</h2> : null}
            {section.programme ? <p className="quiet">{section.programme}</p> : null}
            {section.intro ? <p className="measure quiet">{section.intro[locale]}</p> : null}
            {section.open === "all" ? null : (
              <p className="notice">{say(locale, section.open === "add" ? "app.addOnly" : "app.readOnly")}</p>
            )}
            {section.core === "courses" ? (
              <CourseGrid context={context} entries={entries} onRemove={(entry) => takeOut(section, entry)} />
            ) : (
              entries.map((entry, i) => (
                <fieldset key={entry} className={section.repeats ? "entry" : undefined}>
                  {section.repeats ? <legend>{say(locale, "form.entry", { no: i + 1 })}</legend> : null}
                  <EntryFields context={context} entry={entry} />
                  {section.repeats && mayRemove(section, entry) ? (
                    <Button type="text" onClick={() => takeOut(section, entry)}>
                      {say(locale, "form.remove")}
                    </Button>
                  ) : null}
                </fieldset>
              ))
            )}
            {removed.map((item, i) =>
              item.section.key === section.key ? (
                <p key={item.entry} role="status" className="notice">
                  {say(locale, "form.removed")}{" "}
                  <Button size="small" onClick={() => bringBack(i)}>
                    {say(locale, "form.undo")}
                  </Button>
                </p>
              ) : null,
            )}
            {section.repeats && section.open !== "none" ? (
              <ListFoot
                section={section}
                locale={locale}
                count={entries.length}
                complete={
                  values[placeKey({ scope: section.scope, section: section.key, entry: "", field: COMPLETE })] === true
                }
                onAdd={() =>
                  setAdded((all) => ({ ...all, [section.key]: [...(all[section.key] ?? []), crypto.randomUUID()] }))
                }
                onComplete={(complete) => {
                  const place = { scope: section.scope, section: section.key, entry: "", field: COMPLETE };
                  set(place, complete);
                  leave(place, complete);
                }}
              />
            ) : null}
          </section>
        );
      })}
    </div>
  );
}

interface FieldContext {
  readonly section: FormSection;
  readonly locale: Locale;
  readonly office: Props["office"];
  readonly values: Readonly<Record<string, Json>>;
  readonly states: Readonly<Record<string, FieldState>>;
  readonly set: (place: Place, value: Json) => void;
  readonly leave: (place: Place, value: Json) => void;
  readonly resolve: (place: Place, value: Json, keepMine: boolean) => void;
}

function fieldProps(
  { section, locale, office, values, states, set, leave }: FieldContext,
  entry: string,
  field: Field,
  id: string,
) {
  const place = { scope: section.scope, section: section.key, entry, field: field.key };
  const key = placeKey(place);
  const state = states[key] ?? {};
  const wrong = state.issue
    ? issueText(locale, state.issue)
    : section.gaps.some((g) => g.entry === entry && g.field === field.key && g.code === "wrong")
      ? say(locale, "refused.invalid-input")
      : null;
  const test = values[placeKey({ ...place, field: "test" })];
  return {
    place,
    state,
    wrong,
    input: {
      id,
      field,
      locale,
      office,
      value: values[key] ?? null,
      test: typeof test === "string" ? test : null,
      disabled:
        section.open === "none" ||
        state.locked === true ||
        (section.open === "add" && isStored(section, entry, field.key)),
      invalid: wrong !== null,
      describedBy: [field.help ? `${id}-help` : "", wrong ? `${id}-wrong` : ""].filter(Boolean).join(" ") || undefined,
      onChange: (value: Json) => set(place, value),
      onLeave: (value: Json) => leave(place, value),
    },
  };
}

function Conflict({
  context,
  place,
  state,
  value,
}: {
  context: FieldContext;
  place: Place;
  state: FieldState;
  value: Json;
}) {
  if (!state.conflict) return null;
  const theirs = state.conflict.value;
  return (
    <div className="conflict" role="alert">
      <p>
        {say(context.locale, "save.conflict", {
          theirs: shown(context.locale, theirs),
          yours: shown(context.locale, value),
        })}
      </p>
      <Button size="small" onClick={() => context.resolve(place, value, true)}>
        {say(context.locale, "save.keepMine")}
      </Button>{" "}
      <Button
        size="small"
        onClick={() => {
          context.set(place, theirs);
          context.resolve(place, theirs, false);
        }}
      >
        {say(context.locale, "save.takeTheirs")}
      </Button>
    </div>
  );
}

function FieldRow({ context, entry, field }: { context: FieldContext; entry: string; field: Field }) {
  const id = `${context.section.key}-${entry}-${field.key}`;
  const { place, state, wrong, input } = fieldProps(context, entry, field, id);
  return (
    <div className="field" data-kind={field.kind}>
      {field.kind === "agree" ? (
        <AgreeInput {...input} />
      ) : (
        <>
          <label htmlFor={id}>
            {field.title[context.locale]}{" "}
            {field.required ? null : <span className="quiet">({say(context.locale, "form.optional")})</span>}
          </label>
          {field.help ? (
            <p id={`${id}-help`} className="help">
              {field.help[context.locale]}
            </p>
          ) : null}
          <FieldInput {...input} />
        </>
      )}
      {wrong ? (
        <p id={`${id}-wrong`} className="wrong" role="alert">
          {wrong}
        </p>
      ) : null}
      {state.locked ? <p className="wrong">{say(context.locale, "save.locked")}</p> : null}
      <Conflict context={context} place={place} state={state} value={input.value} />
    </div>
  );
}

/** Which fields apply now. A new entry shows those that have no condition until its first answers are saved. */
function shownFields(section: FormSection, entry: string): readonly Field[] {
  const known = section.entries.find((e) => e.id === entry);
  return section.fields.filter((f) => (known ? known.shown.includes(f.key) : f.when === undefined));
}

function EntryFields({ context, entry }: { context: FieldContext; entry: string }) {
  return shownFields(context.section, entry).map((field) => (
    <FieldRow key={field.key} context={context} entry={entry} field={field} />
  ));
}

function CourseGrid({
  context,
  entries,
  onRemove,
}: {
  context: FieldContext;
  entries: readonly string[];
  onRemove: (entry: string) => void;
}) {
  const prefix = useId();
  const { section, locale } = context;
  return (
    <div className="course-grid">
      <div className="course-head" aria-hidden="true">
        {section.fields.map((f) => (
          <span key={f.key}>{f.title[locale]}</span>
        ))}
        <span />
      </div>
      {entries.map((entry, row) => (
        <div key={entry} className="course-row">
          {section.fields.map((field) => {
            const id = `${prefix}-${entry}-${field.key}`;
            const { place, state, wrong, input } = fieldProps(context, entry, field, id);
            return (
              <div key={field.key} data-field={field.key}>
                <label htmlFor={id} className="cell-label">
                  {field.title[locale]} {row + 1}
                </label>
                <FieldInput {...input} />
                {wrong ? (
                  <p id={`${id}-wrong`} className="wrong" role="alert">
                    {wrong}
                  </p>
                ) : null}
                <Conflict context={context} place={place} state={state} value={input.value} />
              </div>
            );
          })}
          <div>
            {section.open ? (
              <Button
                type="text"
                aria-label={`${say(locale, "form.remove")} ${row + 1}`}
                onClick={() => onRemove(entry)}
              >
                ×
              </Button>
            ) : null}
          </div>
        </div>
      ))}
    </div>
  );
}

function ListFoot({
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
        {say(locale, isTextKey(key) ? key : "form.add")}
      </Button>
      {count > 0 ? (
        <Checkbox checked={complete} onChange={(e) => onComplete(e.target.checked)}>
          {say(locale, "form.complete")} <span className="help">{say(locale, "form.completeHelp")}</span>
        </Checkbox>
      ) : null}
    </div>
  );
}
