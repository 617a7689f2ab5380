"use client";

import { Button } from "antd";
import { useMemo, useRef, useState } from "react";
import type { KnownFact } from "../../core/rulebook/facts";
import { readReferenceSet } from "../../core/standards/read-reference-set";
import type { ReferenceProblem } from "../../core/standards/reference-problems";
import type { ReferenceSet } from "../../core/standards/reference-set";
import { MoveButtons } from "../application/move-buttons.client";
import { moved } from "../form/fields/ranked-input.client";
import { DraftTools, ImportFile } from "../frame/draft-tools.client";
import { intoView } from "../frame/into-view";
import { type StoreDraft, useDraft } from "../frame/use-draft.client";
import { EMPTY_WORDS, KeyBox, Labelled, Words } from "../rulebook/part-fields.client";
import { CampusPart } from "./campus-part.client";
import { EntitlementPart } from "./entitlement-part.client";
import { FreeDays } from "./free-days.client";
import { GroupPart } from "./group-part.client";
import { InstitutionSelect } from "./institution-select.client";
import { OfficePart } from "./office-part.client";
import { PaperPart } from "./paper-part.client";
import type { PartProps } from "./part-props";
import { ScalePart } from "./scale-part.client";
import { TestPart } from "./test-part.client";
import { LIST_WORDS, LISTS, type ListName } from "./words";

/** The chosen thing: one of a list, or a page of its own. */
type Selected = { readonly list: ListName; readonly index: number } | "office" | "days";

function freeKey(stem: string, taken: readonly string[]): string {
  for (let n = taken.length + 1; ; n += 1) if (!taken.includes(`${stem}${n}`)) return `${stem}${n}`;
}

function withFresh(set: ReferenceSet, list: ListName): ReferenceSet {
  const key = freeKey(
    list.slice(0, -1),
    set[list].map((item) => item.key),
  );
  const item = { key, title: EMPTY_WORDS };
  switch (list) {
    case "groups":
      return { ...set, groups: [...set.groups, { ...item, when: { op: "all", of: [] } }] };
    case "scales":
      return { ...set, scales: [...set.scales, { ...item, best: "100", pass: "50", worst: "0" }] };
    case "tests":
      return {
        ...set,
        tests: [...set.tests, { ...item, language: "en", parts: [], total: null, validMonths: 24, levels: [] }],
      };
    case "areas":
      return { ...set, areas: [...set.areas, item] };
    case "entitlements":
      return { ...set, entitlements: [...set.entitlements, { ...item, entries: [] }] };
    case "graduates":
      return { ...set, graduates: [...set.graduates, item] };
    case "papers":
      return { ...set, papers: [...set.papers, { ...item, countries: [], numbers: [] }] };
    case "campuses":
      return { ...set, campuses: [...set.campuses, { ...item, x: 50, y: 50 }] };
  }
}

function ListPart(props: PartProps & { list: ListName; index: number }) {
  const { set, list, index, disabled, onChange } = props;
  const replace = <K extends ListName>(name: K, item: ReferenceSet[K][number]) =>
    onChange({ ...set, [name]: set[name].map((old, i) => (i === index ? item : old)) });
  if (list === "groups") return <GroupPart {...props} />;
  if (list === "scales") {
    const value = set.scales[index];
    return value ? <ScalePart value={value} disabled={disabled} onChange={(next) => replace("scales", next)} /> : null;
  }
  if (list === "tests") {
    const value = set.tests[index];
    return value ? <TestPart value={value} disabled={disabled} onChange={(next) => replace("tests", next)} /> : null;
  }
  if (list === "entitlements") {
    const value = set.entitlements[index];
    return value ? (
      <EntitlementPart value={value} disabled={disabled} onChange={(next) => replace("entitlements", next)} />
    ) : null;
  }
  if (list === "papers") {
    const value = set.papers[index];
    return value ? <PaperPart value={value} disabled={disabled} onChange={(next) => replace("papers", next)} /> : null;
  }
  if (list === "campuses") {
    const value = set.campuses[index];
    return value ? (
      <CampusPart
        value={value}
        map={set.map}
        others={set.campuses.filter((c) => c !== value)}
        disabled={disabled}
        onChange={(next) => replace("campuses", next)}
      />
    ) : null;
  }
  const value = set[list][index];
  return value ? (
    <div className="part-form plan-form">
      <KeyBox value={value.key} disabled={disabled} onChange={(key) => replace(list, { ...value, key })} />
      {list === "graduates" && !disabled ? (
        <Labelled label="Take the name from the register">
          {(id) => (
            <InstitutionSelect
              id={id}
              label="Take the name from the register"
              chosen={null}
              onChange={({ title }) => replace(list, { ...value, title: { en: title, fr: title } })}
            />
          )}
        </Labelled>
      ) : null}
      <Words
        label={list === "graduates" ? "Name of the institution" : "Title"}
        value={value.title}
        disabled={disabled}
        onChange={(title) => replace(list, { ...value, title })}
      />
    </div>
  ) : null;
}

function Contents({
  set,
  selected,
  writable,
  problems,
  select,
  onChange,
}: {
  set: ReferenceSet;
  selected: Selected;
  writable: boolean;
  problems: readonly ReferenceProblem[];
  select: (next: Selected) => void;
  onChange: (next: ReferenceSet) => void;
}) {
  const isWrong = (area: ReferenceProblem["area"], key: string) =>
    problems.some(
      (p) => p.area === area && (p.about === key || p.about.startsWith(`${key}:`) || p.about.startsWith(`${key}.`)),
    );
  const page = (value: "office" | "days", title: string) => (
    <li data-wrong={value === "office" && problems.some((p) => p.area === "office")}>
      <button type="button" className="outline-name" aria-current={selected === value} onClick={() => select(value)}>
        {title}
      </button>
    </li>
  );
  return (
    <nav className="outline" aria-label="The office’s standards">
      <section>
        <h2>The office</h2>
        <ol>
          {page("office", "Name, clock and targets")}
          {page("days", "Working days")}
        </ol>
      </section>
      {LISTS.map((list) => (
        <section key={list}>
          <h2>{LIST_WORDS[list].title}</h2>
          <ol>
            {set[list].map((item, index) => {
              const here = typeof selected === "object" && selected.list === list && selected.index === index;
              const name = item.title.en || item.key;
              return (
                // biome-ignore lint/suspicious/noArrayIndexKey: a key is being typed
                <li key={index} data-wrong={isWrong(list, item.key)}>
                  <button
                    type="button"
                    className="outline-name"
                    aria-current={here}
                    onClick={() => select({ list, index })}
                  >
                    {name}
                  </button>
                  {writable && here ? (
                    <MoveButtons
                      index={index}
                      count={set[list].length}
                      name={name}
                      move={(to) => {
                        onChange({ ...set, [list]: moved<unknown>(set[list], index, to) });
                        select({ list, index: to });
                      }}
                      remove={() => {
                        onChange({ ...set, [list]: (set[list] as readonly unknown[]).filter((_, i) => i !== index) });
                        select({ list, index: Math.max(0, index - 1) });
                      }}
                    />
                  ) : null}
                </li>
              );
            })}
          </ol>
          {writable ? (
            <Button
              size="small"
              type="text"
              onClick={() => {
                onChange(withFresh(set, list));
                select({ list, index: set[list].length });
              }}
            >
              + {LIST_WORDS[list].add}
            </Button>
          ) : null}
        </section>
      ))}
    </nav>
  );
}

/** What the office goes by, to be read or, while it is a draft, to be written. Every change is kept by itself, and can be taken back. */
export function StandardsEditor({
  first,
  edit,
  facts,
  problems,
  store,
}: {
  first: ReferenceSet;
  edit: number;
  facts: readonly KnownFact[];
  /** As the server found them when the page was made. */
  problems: readonly ReferenceProblem[];
  /** Null where it is only read. */
  store: StoreDraft<ReferenceSet> | null;
}) {
  const nowhere = useMemo<StoreDraft<ReferenceSet>>(() => async () => ({ refused: "" }), []);
  const draft = useDraft("standards", first, edit, store ?? nowhere);
  const [selected, setSelected] = useState<Selected>({ list: "groups", index: 0 });
  const part = useRef<HTMLDivElement>(null);
  const props: PartProps = { set: draft.body, facts, disabled: !store, onChange: draft.set };
  return (
    <div className="rulebook standards">
      {store ? (
        <div className="rulebook-tools">
          <DraftTools draft={draft}>
            <ImportFile read={readReferenceSet} take={draft.set} />
          </DraftTools>
        </div>
      ) : null}
      <Contents
        set={draft.body}
        selected={selected}
        writable={store !== null}
        problems={problems}
        select={(next) => {
          setSelected(next);
          intoView(part.current);
        }}
        onChange={draft.set}
      />
      <div ref={part} className="rulebook-part">
        {selected === "office" ? <OfficePart {...props} /> : null}
        {selected === "days" ? (
          <FreeDays
            value={draft.body.calendar}
            writable={store !== null}
            onChange={(calendar) => draft.set({ ...draft.body, calendar })}
          />
        ) : null}
        {typeof selected === "object" ? (
          <ListPart key={`${selected.list} ${selected.index}`} {...props} list={selected.list} index={selected.index} />
        ) : null}
      </div>
    </div>
  );
}
