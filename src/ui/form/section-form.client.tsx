"use client";

import { Button } from "antd";
import { useEffect, useMemo, useRef, useState } from "react";
import type { Json } from "../../core/file/facts";
import { type AnswerPlace, answerKey, entryKey, sectionKey } from "../../core/file/place";
import type { FormSection } from "../../core/form/form-sections";
import type { Registers } from "../../core/standards/reference-set";
import type { Locale } from "../../core/text/local-text";
import { formatMoment } from "../../text/format";
import { sentence } from "../../text/sentence";
import { type SaveStatus, useAutosave } from "./autosave.client";
import { DegreeFile } from "./degree-file.client";
import { EntryGrid, fitsGrid } from "./entry-grid.client";
import { HeldElsewhere } from "./held-change.client";
import type { LookForLikeness } from "./likeness-note.client";
import { PasteTable } from "./paste-table.client";
import { RunningSums } from "./running-sums";
import { EntryFields, firstEntry, ListFoot, mayRemove, shownFields } from "./section-fields.client";
import { isAtEntry } from "./unsent";

const COMPLETE = "complete";

interface Props {
  readonly applicationId: string;
  readonly number: string;
  readonly personId: string;
  readonly zone: string;
  readonly locale: Locale;
  readonly sections: readonly FormSection[];
  readonly office: Registers;
  /** The latest first day of study among the choices; null while nothing is chosen. */
  readonly starts: string | null;
  /** The applicant's name as it stands in the form; "" while unknown. */
  readonly legalName: string;
  readonly look: LookForLikeness;
}

function valuesOf(sections: readonly FormSection[]): Record<string, Json> {
  return Object.fromEntries(
    sections.flatMap((s) => [
      ...s.entries.flatMap((e) =>
        Object.entries(e.values).map(
          ([field, v]) => [answerKey({ scope: s.scope, section: s.key, entry: e.id, field }), v.value] as const,
        ),
      ),
      ...(s.repeats
        ? [[answerKey({ scope: s.scope, section: s.key, entry: "", field: COMPLETE }), s.complete] as const]
        : []),
    ]),
  );
}

function versionsOf(sections: readonly FormSection[]): Record<string, number> {
  return Object.fromEntries(
    sections.flatMap((s) => [
      ...s.entries.flatMap((e) =>
        Object.entries(e.values).map(
          ([field, v]) => [answerKey({ scope: s.scope, section: s.key, entry: e.id, field }), v.version] as const,
        ),
      ),
      ...(s.repeats
        ? [[answerKey({ scope: s.scope, section: s.key, entry: "", field: COMPLETE }), s.completeVersion] as const]
        : []),
    ]),
  );
}

const placeOf = (section: FormSection, entry: string) => ({ scope: section.scope, section: section.key, entry });

export function SaveLine({ status, locale, zone }: { status: SaveStatus; locale: Locale; zone: string }) {
  const text =
    status.kind === "saved"
      ? sentence(locale, "save.saved", { time: formatMoment(locale, status.at, zone).split(", ").at(-1) ?? "" })
      : sentence(
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
export function SectionForm({
  applicationId,
  number,
  personId,
  zone,
  locale,
  sections: initial,
  office,
  starts,
  legalName,
  look,
}: Props) {
  const [sections, setSections] = useState(initial);
  const [values, setValues] = useState(() => valuesOf(initial));
  const [left, setLeft] = useState<Readonly<Record<string, Json>>>({});
  const [added, setAdded] = useState<Readonly<Record<string, readonly string[]>>>({});
  const [removed, setRemoved] = useState<
    readonly {
      readonly section: FormSection;
      readonly entry: string;
      readonly values: Readonly<Record<string, Json>>;
      /** Taken out together with others: no line for each. */
      readonly quiet?: boolean;
      /** The server keeps it: it was submitted. */
      readonly kept?: boolean;
    }[]
  >([]);
  const page = useMemo(() => initial.map((s) => sectionKey({ scope: s.scope, section: s.key })), [initial]);
  const autosave = useAutosave({
    applicationId,
    personId,
    versions: useMemo(() => versionsOf(initial), [initial]),
    page,
    onSections: setSections,
    onKeptEntry: (entry) =>
      setRemoved((all) =>
        all.map((r) => (isAtEntry({ ...entry, field: "" }, placeOf(r.section, r.entry)) ? { ...r, kept: true } : r)),
      ),
  });
  const { waiting } = autosave;
  useEffect(() => {
    const typed = waiting();
    if (Object.keys(typed).length > 0) setValues((all) => ({ ...all, ...typed }));
  }, [waiting]);

  const set = (place: AnswerPlace, value: Json) => setValues((all) => ({ ...all, [answerKey(place)]: value }));
  const saved = useRef<Record<string, string>>({});
  if (Object.keys(saved.current).length === 0)
    saved.current = Object.fromEntries(Object.entries(valuesOf(initial)).map(([k, v]) => [k, JSON.stringify(v)]));
  const leave = (place: AnswerPlace, value: Json) => {
    const key = answerKey(place);
    setLeft((all) => ({ ...all, [key]: value ?? null }));
    const text = JSON.stringify(value ?? null);
    if (saved.current[key] === text || (saved.current[key] === undefined && (value === null || value === ""))) return;
    saved.current[key] = text;
    autosave.save([{ ...place, value }]);
  };

  const entriesOf = (section: FormSection): readonly string[] => {
    const gone = new Set(removed.filter((r) => r.section.key === section.key && !r.kept).map((r) => r.entry));
    const known = section.entries.map((e) => e.id);
    const all = [...known, ...(added[section.key] ?? []).filter((id) => !known.includes(id))].filter(
      (id) => !gone.has(id),
    );
    const ready = firstEntry(section);
    const waits = all.length === 0 && section.open === "all" && (section.repeats?.min ?? 0) > 0 && !gone.has(ready);
    return waits ? [ready] : all;
  };

  const takeOut = (section: FormSection, entry: string) => {
    const own = Object.fromEntries(
      Object.entries(values)
        .filter(([key]) => key.startsWith(`${entryKey({ scope: section.scope, section: section.key, entry })}|`))
        .map(([key, value]) => [key.split("|")[3] ?? "", value]),
    );
    setRemoved((all) => [...all, { section, entry, values: own }]);
    autosave.remove(placeOf(section, entry));
  };

  const isBegun = (section: FormSection, entry: string): boolean =>
    Object.entries(values).some(
      ([key, value]) =>
        key.startsWith(`${entryKey({ scope: section.scope, section: section.key, entry })}|`) &&
        value !== null &&
        value !== "",
    );

  /** Nothing was typed where nothing has to be. */
  const isOnlyFed = (section: FormSection): boolean =>
    section.fed && !entriesOf(section).some((entry) => isBegun(section, entry));

  /** Adds entries with all that is known of them, saved together; what it gives back takes them out again. */
  const takeIn = (section: FormSection, rows: readonly Readonly<Record<string, Json>>[]) => {
    const place = { scope: section.scope, section: section.key };
    const fresh = rows.map((row) => ({ entry: crypto.randomUUID() as string, row }));
    const changes = fresh.flatMap(({ entry, row }) =>
      Object.entries(row).map(([field, value]) => ({ ...place, entry, field, value })),
    );
    const keep = entriesOf(section).filter((entry) => entry !== firstEntry(section) || isBegun(section, entry));
    setAdded((all) => ({
      ...all,
      [section.key]: [...new Set([...(all[section.key] ?? []), ...keep, ...fresh.map((f) => f.entry)])],
    }));
    setValues((all) => ({ ...all, ...Object.fromEntries(changes.map((c) => [answerKey(c), c.value])) }));
    for (const change of changes) saved.current[answerKey(change)] = JSON.stringify(change.value);
    autosave.save(changes);
    return () => {
      for (const { entry } of fresh) autosave.remove({ ...place, entry });
      setRemoved((all) => [...all, ...fresh.map(({ entry, row }) => ({ section, entry, values: row, quiet: true }))]);
    };
  };

  const begunIn = (section: FormSection, entries: readonly string[]) =>
    entries.filter((entry) => entry !== firstEntry(section) || isBegun(section, entry)).length;

  /** Whether a field of that place is shown here, so that what is said of it stands beside it. */
  const isOnPage = (place: AnswerPlace): boolean =>
    sections.some(
      (s) =>
        s.applies &&
        s.scope === place.scope &&
        s.key === place.section &&
        (s.repeats ? entriesOf(s) : [""]).includes(place.entry) &&
        shownFields(s, place.entry).some((f) => f.key === place.field),
    );

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
      <HeldElsewhere
        context={{ locale, office, values, set, resolve: autosave.resolve, letGo: autosave.letGo }}
        held={Object.values(autosave.held).filter((h) => !isOnPage(h))}
      />
      {sections.map((section) => {
        if (!section.applies)
          return sections.length > 1 ? null : <p key={section.key}>{sentence(locale, "form.notNow")}</p>;
        const entries = section.repeats ? entriesOf(section) : [""];
        const context = {
          section,
          locale,
          office,
          starts,
          legalName,
          values,
          left,
          stateOf: autosave.stateOf,
          set,
          leave,
          resolve: autosave.resolve,
          letGo: autosave.letGo,
          look,
        };
        return (
          <section
            key={sectionKey({ scope: section.scope, section: section.key })}
            aria-label={section.title[locale]}
            id={section.key}
          >
            {sections.length > 1 ? <h2>{section.title[locale]}</h2> : null}
            {section.intro ? <p className="measure quiet">{section.intro[locale]}</p> : null}
            {section.open === "all" ? null : (
              <p className="notice">
                {sentence(
                  locale,
                  section.open === "none" ? "app.readOnly" : section.grows ? "app.growing" : "app.addOnly",
                )}
              </p>
            )}
            {section.fed ? <p className="notice">{sentence(locale, "form.fed")}</p> : null}
            {section.reopened ? <p className="notice">{sentence(locale, "reopened.here")}</p> : null}
            {isOnlyFed(section) ? null : fitsGrid(section) ? (
              <EntryGrid context={context} entries={entries} onRemove={(entry) => takeOut(section, entry)} />
            ) : (
              entries.map((entry, i) => (
                <fieldset key={entry} className={section.repeats ? "entry" : undefined}>
                  {section.repeats ? <legend>{sentence(locale, "form.entry", { no: i + 1 })}</legend> : null}
                  <EntryFields context={context} entry={entry} />
                  {section.repeats && mayRemove(section, entry) ? (
                    <Button type="text" onClick={() => takeOut(section, entry)}>
                      {sentence(locale, "form.remove")}
                    </Button>
                  ) : null}
                </fieldset>
              ))
            )}
            {removed.map((item, i) =>
              item.section.key === section.key && (item.kept || !item.quiet) ? (
                <p key={item.entry} role="status" className="notice">
                  {sentence(locale, item.kept ? "form.kept" : "form.removed")}{" "}
                  {item.kept ? null : (
                    <Button size="small" onClick={() => bringBack(i)}>
                      {sentence(locale, "form.undo")}
                    </Button>
                  )}
                </p>
              ) : null,
            )}
            {section.core === "education" && section.repeats && section.open === "all" ? (
              <DegreeFile
                application={{ id: applicationId, number }}
                section={section}
                locale={locale}
                office={office}
                room={section.repeats.max - begunIn(section, entries)}
                take={(values) => takeIn(section, [values])}
              />
            ) : null}
            {fitsGrid(section) && section.open === "all" && !isOnlyFed(section) ? (
              <PasteTable
                application={{ id: applicationId, number }}
                section={section}
                locale={locale}
                office={office}
                count={begunIn(section, entries)}
                take={(rows) => takeIn(section, rows)}
              />
            ) : null}
            <RunningSums sums={section.sums} locale={locale} />
            {section.repeats && section.open !== "none" && !isOnlyFed(section) ? (
              <ListFoot
                section={section}
                locale={locale}
                count={entries.length}
                complete={
                  values[answerKey({ scope: section.scope, section: section.key, entry: "", field: COMPLETE })] === true
                }
                onAdd={() =>
                  setAdded((all) => ({
                    ...all,
                    [section.key]: [...new Set([...(all[section.key] ?? []), ...entries, crypto.randomUUID()])],
                  }))
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
