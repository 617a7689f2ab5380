"use client";

import { useEffect, useMemo, useRef, useState } from "react";
import type { Json } from "../../core/file/facts";
import { type AnswerPlace, answerKey, entryKey, readAnswerKey, sectionKey } from "../../core/file/place";
import type { FormSection } from "../../core/form/form-sections";
import { useAutosave } from "./autosave.client";
import { useFollowParts } from "./parts.client";
import { firstEntry, shownFields } from "./section-fields.client";
import { isAtEntry } from "./unsent";

/** Where an applicant says of a list: that is all. */
const completePlace = (section: Pick<FormSection, "scope" | "key">): AnswerPlace => ({
  scope: section.scope,
  section: section.key,
  entry: "",
  field: "complete",
});

function valuesOf(sections: readonly FormSection[]): Record<string, Json> {
  return Object.fromEntries(
    sections.flatMap((s) => [
      ...s.entries.flatMap((e) =>
        Object.entries(e.values).map(
          ([field, v]) => [answerKey({ scope: s.scope, section: s.key, entry: e.id, field }), v.value] as const,
        ),
      ),
      ...(s.repeats ? [[answerKey(completePlace(s)), s.complete] as const] : []),
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
      ...(s.repeats ? [[answerKey(completePlace(s)), s.completeVersion] as const] : []),
    ]),
  );
}

const placeOf = (section: FormSection, entry: string) => ({ scope: section.scope, section: section.key, entry });

/** What a page of the form holds while it is filled in: its values, its entries, and how they are saved. */
export function useFormPage({
  applicationId,
  personId,
  sections: initial,
}: {
  readonly applicationId: string;
  readonly personId: string;
  readonly sections: readonly FormSection[];
}) {
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
    onParts: useFollowParts(),
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
        .map(([key, value]) => [readAnswerKey(key).field, value]),
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
  const isLeftToRegistry = (section: FormSection): boolean =>
    section.fromRegistry && !entriesOf(section).some((entry) => isBegun(section, entry));

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

  const addEntry = (section: FormSection) =>
    setAdded((all) => ({
      ...all,
      [section.key]: [...new Set([...(all[section.key] ?? []), ...entriesOf(section), crypto.randomUUID() as string])],
    }));

  const isComplete = (section: FormSection): boolean => values[answerKey(completePlace(section))] === true;
  const setComplete = (section: FormSection, complete: boolean) => {
    set(completePlace(section), complete);
    leave(completePlace(section), complete);
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

  return {
    sections,
    values,
    left,
    removed,
    autosave,
    set,
    leave,
    entriesOf,
    addEntry,
    takeOut,
    takeIn,
    bringBack,
    begunIn,
    isLeftToRegistry,
    isOnPage,
    isComplete,
    setComplete,
  };
}

export type FormPage = ReturnType<typeof useFormPage>;
