"use client";

import { Button, Checkbox, Input } from "antd";
import { useMemo, useRef, useState } from "react";
import type { KnownFact } from "../../core/rulebook/facts";
import { readReferenceSet } from "../../core/standards/read-reference-set";
import type { ReferenceProblem } from "../../core/standards/reference-problems";
import type { ReferenceSet } from "../../core/standards/reference-set";
import { registerOptions } from "../../core/standards/register-options";
import { conditionSentence } from "../../text/words/condition";
import { MoveButtons } from "../application/move-buttons.client";
import { moved } from "../form/fields/ranked-input.client";
import { DraftTools, ImportFile } from "../frame/draft-tools.client";
import { intoView } from "../frame/into-view";
import { type StoreDraft, useDraft } from "../frame/use-draft.client";
import { ConditionBuilder } from "../rulebook/conditions/condition-builder.client";
import { EMPTY_WORDS, KeyBox, Labelled, NumberBox, put, Words } from "../rulebook/part-fields.client";
import { CampusPart } from "./campus-part.client";
import { EntitlementPart } from "./entitlement-part.client";
import { FreeDays } from "./free-days.client";
import { InstitutionSelect } from "./institution-select.client";
import { PaperPart } from "./paper-part.client";
import { ScalePart } from "./scale-part.client";
import { TestPart } from "./test-part.client";
import { LIST_WORDS, LISTS, type ListName } from "./words";

/** The chosen thing: one of a list, or a page of its own. */
type Selected = { readonly list: ListName; readonly index: number } | "office" | "days";

interface PartProps {
  readonly set: ReferenceSet;
  readonly facts: readonly KnownFact[];
  readonly disabled: boolean;
  readonly onChange: (next: ReferenceSet) => void;
}

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

const TARGETS = [
  ["check", "To check what came in"],
  ["answer", "To answer a question"],
  ["ask", "For an applicant to answer an ask"],
  ["acceptOffer", "For an applicant to answer an offer"],
] as const;

function OfficePart({ set, disabled, onChange }: PartProps) {
  const outlines = (kind: "land" | "water") => (
    <Labelled label={kind === "land" ? "Map: outlines of the land" : "Map: lines of the water"} wide>
      {(id) => (
        <Input.TextArea
          id={id}
          autoSize={{ minRows: 2, maxRows: 8 }}
          disabled={disabled}
          value={(set.map?.[kind] ?? []).join("\n")}
          onChange={(e) => {
            const lines = e.target.value.split("\n");
            const drawn = lines.length === 1 && lines[0] === "" ? [] : lines;
            const map = { land: set.map?.land ?? [], water: set.map?.water ?? [], [kind]: drawn };
            onChange({ ...set, map: map.land.length + map.water.length === 0 ? null : map });
          }}
        />
      )}
    </Labelled>
  );
  return (
    <div className="part-form plan-form">
      <Words
        label="Name of the office"
        value={set.name}
        disabled={disabled}
        onChange={(name) => onChange({ ...set, name })}
      />
      <Labelled label="Time zone">
        {(id) => (
          <Input
            id={id}
            disabled={disabled}
            value={set.zone}
            onChange={(e) => onChange({ ...set, zone: e.target.value.trim() })}
          />
        )}
      </Labelled>
      <Labelled label="Currency (three letters)">
        {(id) => (
          <Input
            id={id}
            maxLength={3}
            disabled={disabled}
            value={set.currency}
            onChange={(e) => onChange({ ...set, currency: e.target.value.toUpperCase() })}
          />
        )}
      </Labelled>
      <NumberBox
        label="Minutes of grace after a closing"
        value={set.graceMinutes}
        disabled={disabled}
        onChange={(n) => onChange({ ...set, graceMinutes: n ?? 0 })}
      />
      <NumberBox
        label="Days until drafts never submitted are erased (empty: kept)"
        value={set.keepDraftsDays ?? undefined}
        disabled={disabled}
        onChange={(n) => onChange({ ...set, keepDraftsDays: n ?? null })}
      />
      <NumberBox
        label="Days for which closed files are kept, at least (empty: for good)"
        value={set.keepFilesDays ?? undefined}
        disabled={disabled}
        onChange={(n) => onChange({ ...set, keepFilesDays: n ?? null })}
      />
      <fieldset className="plan-wide plan-form">
        <legend>Targets, in working days</legend>
        {TARGETS.map(([name, label]) => (
          <NumberBox
            key={name}
            label={label}
            value={set.targets[name]}
            disabled={disabled}
            onChange={(n) => onChange({ ...set, targets: { ...set.targets, [name]: n ?? 0 } })}
          />
        ))}
      </fieldset>
      <p className="plan-wide quiet">
        The map is drawn by path data, one shape a line, in a square of 100 by 100 from the upper left corner.
      </p>
      {outlines("land")}
      {outlines("water")}
    </div>
  );
}

function GroupPart({ set, facts, disabled, onChange, index }: PartProps & { index: number }) {
  const group = set.groups[index];
  if (!group) return null;
  const change = (next: typeof group) =>
    onChange({ ...set, groups: set.groups.map((g, i) => (i === index ? next : g)) });
  const always = group.when.op === "all" && group.when.of.length === 0;
  const titles = Object.fromEntries(
    facts.flatMap((f) => [
      ...(f.title ? [[f.name, f.title] as const] : []),
      ...f.options.map((o) => [`${f.name}=${o.value}`, o.title] as const),
      ...((f.register && registerOptions(f.register, set)) ?? []).map(
        (o) => [`${f.name}=${o.value}`, o.title.en] as const,
      ),
    ]),
  );
  return (
    <div className="part-form">
      <p className="rule-sentence">
        {always
          ? "In this group is everybody who is in none above."
          : `Somebody is in this group when ${index === 0 ? "" : "in none above, and when "}${conditionSentence(group.when, titles)}.`}
      </p>
      <div className="plan-form">
        <KeyBox value={group.key} disabled={disabled} onChange={(key) => change({ ...group, key })} />
        <Words
          label="Title"
          value={group.title}
          disabled={disabled}
          onChange={(title) => change({ ...group, title })}
        />
        <Checkbox
          disabled={disabled}
          checked={group.visaFree ?? false}
          onChange={(e) => change(put(group, "visaFree", e.target.checked || undefined))}
        >
          its people need no visa to study here
        </Checkbox>
      </div>
      <ConditionBuilder
        context={{ facts: { scalars: facts, standings: [], lists: [] }, office: set, disabled }}
        value={group.when}
        list={null}
        label="in this group when"
        onChange={(when) => change({ ...group, when })}
        onRemove={always ? undefined : () => change({ ...group, when: { op: "all", of: [] } })}
      />
    </div>
  );
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
