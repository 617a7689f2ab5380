"use client";

import { Select } from "antd";
import { useMemo, useRef, useState } from "react";
import { rulebookHints } from "../../core/rulebook/checks/hints";
import { type PartPlace, placeOf } from "../../core/rulebook/checks/part-place";
import { partProblems, rulebookProblems } from "../../core/rulebook/checks/problems";
import { knownFacts } from "../../core/rulebook/facts";
import { type AreaKey, partsIn, type SharedPart, takePart } from "../../core/rulebook/parts";
import { readRulebook } from "../../core/rulebook/read-rulebook";
import { renameFee, renameField, renameMeasure, renameRequirement, renameSection } from "../../core/rulebook/rename";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import { factName, type Section } from "../../core/rulebook/section";
import { conditionSentence } from "../../text/words/condition";
import { DraftTools, ImportFile } from "../frame/draft-tools.client";
import { intoView } from "../frame/into-view";
import { type StoreDraft, useDraft } from "../frame/use-draft.client";
import { EntryRulePart } from "./entry-rule-part.client";
import { FeePart } from "./fee-part.client";
import { FieldPart } from "./field-part.client";
import { MeasurePart } from "./measure-part.client";
import { Outline, type Selected } from "./outline.client";
import type { PartContext } from "./part-fields.client";
import { RequirementPart } from "./requirement-part.client";
import { SectionPart } from "./section-part.client";
import { Sharing } from "./sharing.client";
import { hintSentence, problemSentence } from "./words";

export type ShareElement = (
  edit: number,
  element: { readonly area: AreaKey; readonly key: string; readonly into: string | null },
) => Promise<{ readonly edit: number; readonly body: RulebookBody } | { readonly refused: string }>;

/** The part that is chosen, with its form; a change gives back the whole rulebook. */
function ChosenPart({
  body,
  selected,
  context,
  set,
}: {
  body: RulebookBody;
  selected: Selected;
  context: PartContext;
  set: (next: RulebookBody) => void;
}) {
  const { area, index } = selected;
  const replace = <K extends AreaKey>(name: K, item: RulebookBody[K][number]) =>
    set({ ...body, [name]: body[name].map((old, i) => (i === index ? item : old)) });
  switch (area) {
    case "sections": {
      const section = body.sections[index];
      if (!section) return null;
      const field = selected.field === undefined ? undefined : section.fields[selected.field];
      if (field)
        return (
          <FieldPart
            context={context}
            value={field}
            list={section.repeats ? factName(section) : null}
            onChange={(next) =>
              next.key === field.key
                ? replace("sections", {
                    ...section,
                    fields: section.fields.map((f, i) => (i === selected.field ? next : f)),
                  })
                : set(renameField(body, index, field.key, next.key))
            }
          />
        );
      return (
        <SectionPart
          context={context}
          value={section}
          onChange={(next: Section) =>
            next.key === section.key ? replace("sections", next) : set(renameSection(body, index, next.key))
          }
        />
      );
    }
    case "requirements": {
      const value = body.requirements[index];
      return value ? (
        <RequirementPart
          context={context}
          value={value}
          onChange={(next) =>
            next.key === value.key ? replace("requirements", next) : set(renameRequirement(body, index, next.key))
          }
        />
      ) : null;
    }
    case "entryRules": {
      const value = body.entryRules[index];
      return value ? (
        <EntryRulePart context={ofEntryRules(context)} value={value} onChange={(next) => replace("entryRules", next)} />
      ) : null;
    }
    case "measures": {
      const value = body.measures[index];
      return value ? (
        <MeasurePart
          context={context}
          value={value}
          onChange={(next) =>
            next.key === value.key ? replace("measures", next) : set(renameMeasure(body, index, next.key))
          }
        />
      ) : null;
    }
    case "fees": {
      const value = body.fees[index];
      return value ? (
        <FeePart
          context={context}
          value={value}
          onChange={(next) => (next.key === value.key ? replace("fees", next) : set(renameFee(body, index, next.key)))}
        />
      ) : null;
    }
  }
}

/** Entry rules are read last, so they may speak of how requirements were settled, too. */
const ofEntryRules = (context: PartContext): PartContext => ({
  ...context,
  facts: { ...context.facts, scalars: [...context.facts.standings, ...context.facts.scalars] },
});

/** What the chosen rule says, read as one sentence. */
function Sentence({
  body,
  selected,
  titles,
}: {
  body: RulebookBody;
  selected: Selected;
  titles: Readonly<Record<string, string>>;
}) {
  if (selected.area !== "entryRules") return null;
  const rule = body.entryRules[selected.index];
  if (!rule) return null;
  const sentence = conditionSentence(rule.rule, titles);
  return <p className="rule-sentence">{`${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`}</p>;
}

/** Sentences about parts of the rulebook, each leading to its part. */
function Findings<Found extends { readonly code: string; readonly about: string; readonly area?: AreaKey }>({
  found,
  say,
  body,
  choose,
}: {
  found: readonly Found[];
  say: (found: Found) => string;
  body: RulebookBody;
  choose: (place: PartPlace) => void;
}) {
  return (
    <ul className="plain-list">
      {found.map((one) => {
        const place = placeOf(body, one);
        return (
          <li key={`${one.code} ${one.about}`}>
            {place ? (
              <button type="button" className="link-button" onClick={() => choose(place)}>
                {say(one)}
              </button>
            ) : (
              say(one)
            )}
          </li>
        );
      })}
    </ul>
  );
}

/** A rulebook, to be read or, while it is a draft, to be written. Every change is kept by itself, and can be taken back. */
export function RulebookEditor({
  name,
  first,
  edit: firstEdit,
  writable,
  groups,
  office,
  titlesOf,
  parts = null,
  store,
  share,
  at,
}: {
  first: RulebookBody;
  /** The section that is shown first; the first one where it is left out, or there is none of that name. */
  at?: string;
  /** What tells this draft from all others. */
  name: string;
  edit: number;
  writable: boolean;
  groups: PartContext["groups"];
  office: PartContext["office"];
  titlesOf: Readonly<Record<string, string>>;
  /** The parts that may be put in; null where a shared part itself is written. */
  parts?: readonly SharedPart[] | null;
  store: StoreDraft<RulebookBody>;
  share?: ShareElement;
}) {
  const draft = useDraft(name, first, firstEdit, store);
  const { body, set } = draft;
  const [selected, setSelected] = useState<Selected>({
    area: "sections",
    index: Math.max(
      0,
      first.sections.findIndex((s) => s.key === at),
    ),
  });
  const part = useRef<HTMLDivElement>(null);
  const facts = useMemo(
    () =>
      knownFacts(
        body,
        groups.map((g) => g.key),
      ),
    [body, groups],
  );
  const problems = useMemo(() => (parts === null ? partProblems(body) : rulebookProblems(body)), [body, parts]);
  const hints = useMemo(() => (parts === null || !writable ? [] : rulebookHints(body)), [body, parts, writable]);
  const titles = useMemo(
    () => ({
      ...titlesOf,
      ...Object.fromEntries(
        [...facts.standings, ...facts.scalars].flatMap((f) => (f.title ? [[f.name, f.title] as const] : [])),
      ),
    }),
    [titlesOf, facts],
  );

  const choose = (next: Selected) => {
    setSelected(next);
    intoView(part.current);
  };

  /** Everything is kept first, so that the shared element is the one that stands here. */
  const shareChosen = async (area: AreaKey, key: string, into: string | null): Promise<string | null> =>
    share ? draft.through((edit) => share(edit, { area, key, into })) : null;

  const copied = parts !== null && body[selected.area][selected.index]?.part !== undefined;
  const context: PartContext = { facts, office, disabled: !writable || copied, body, groups };
  const offered = (parts ?? []).filter((p) => !partsIn(body).includes(p.key));
  return (
    <div className="rulebook">
      <div className="rulebook-tools">
        {writable ? (
          <DraftTools draft={draft}>
            <ImportFile read={readRulebook} take={set} />
            {offered.length > 0 ? (
              <Select<string>
                size="small"
                aria-label="Put a shared part in"
                placeholder="Put a shared part in"
                value={null}
                popupMatchSelectWidth={false}
                options={offered.map((p) => ({ value: p.key, label: p.title.en }))}
                onChange={(key) => {
                  const part = offered.find((p) => p.key === key);
                  if (part) set(takePart(body, part));
                }}
              />
            ) : null}
            {problems.length === 0 ? (
              <span className="quiet">
                {parts === null ? "Nothing is wrong with it." : "Nothing keeps it from being published."}
              </span>
            ) : null}
          </DraftTools>
        ) : null}
      </div>
      {problems.length > 0 ? (
        <aside className="rulebook-problems" aria-label="What keeps it from being published">
          <strong>
            {problems.length} {problems.length === 1 ? "thing" : "things"} to correct
          </strong>
          <Findings found={problems} say={(p) => problemSentence(body, p)} body={body} choose={choose} />
        </aside>
      ) : null}
      {hints.length > 0 ? (
        <aside className="rulebook-problems" aria-label="What is probably not meant">
          <strong>Worth a look</strong>
          <Findings found={hints} say={(h) => hintSentence(body, h)} body={body} choose={choose} />
        </aside>
      ) : null}
      <Outline body={body} selected={selected} writable={writable} problems={problems} select={choose} set={set} />
      <div ref={part} className="rulebook-part" data-part={`${selected.area}-${selected.index}`}>
        {parts ? (
          <Sharing body={body} selected={selected} parts={parts} writable={writable} set={set} share={shareChosen} />
        ) : null}
        <Sentence body={body} selected={selected} titles={titles} />
        <ChosenPart body={body} selected={selected} context={context} set={set} />
      </div>
    </div>
  );
}
