"use client";

import { Button, Select } from "antd";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { ReferenceSet } from "../../core/office/reference-set";
import { knownFacts } from "../../core/rulebook/facts";
import { partsIn, type SharedPart, takePart } from "../../core/rulebook/parts";
import { partProblems, rulebookProblems } from "../../core/rulebook/problems";
import { readRulebook } from "../../core/rulebook/read-rulebook";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import { factName, type Section } from "../../core/sections/definition";
import { conditionSentence } from "../../text/condition";
import { Outline, type Selected } from "./outline.client";
import type { PartContext } from "./part-fields.client";
import { RequirementPart } from "./requirement-part.client";
import { EntryRulePart, FeePart, MeasurePart } from "./rule-parts.client";
import { FieldPart, SectionPart } from "./section-parts.client";
import { Sharing } from "./sharing.client";
import { problemSentence } from "./words";

const PAUSE_MS = 700;
const MOST_UNDO = 100;

type Saved = { readonly kind: "saved" | "saving" | "unsaved" } | { readonly kind: "refused"; readonly text: string };

export type StoreDraft = (
  edit: number,
  body: RulebookBody,
) => Promise<{ readonly edit: number } | { readonly refused: string }>;

export type ShareElement = (
  edit: number,
  element: { readonly area: keyof RulebookBody; readonly key: string; readonly into: string | null },
) => Promise<{ readonly edit: number; readonly body: RulebookBody } | { readonly refused: string }>;

const SAVED_WORDS = { saved: "Saved.", saving: "Saving …", unsaved: "Not saved yet." } as const;

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
  const replace = <K extends keyof RulebookBody>(name: K, item: RulebookBody[K][number]) =>
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
              replace("sections", {
                ...section,
                fields: section.fields.map((f, i) => (i === selected.field ? next : f)),
              })
            }
          />
        );
      return <SectionPart context={context} value={section} onChange={(next: Section) => replace("sections", next)} />;
    }
    case "requirements": {
      const value = body.requirements[index];
      return value ? (
        <RequirementPart context={context} value={value} onChange={(next) => replace("requirements", next)} />
      ) : null;
    }
    case "entryRules": {
      const value = body.entryRules[index];
      return value ? (
        <EntryRulePart context={context} value={value} onChange={(next) => replace("entryRules", next)} />
      ) : null;
    }
    case "measures": {
      const value = body.measures[index];
      return value ? (
        <MeasurePart context={context} value={value} onChange={(next) => replace("measures", next)} />
      ) : null;
    }
    case "fees": {
      const value = body.fees[index];
      return value ? <FeePart context={context} value={value} onChange={(next) => replace("fees", next)} /> : null;
    }
  }
}

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

/** A rulebook, to be read or, while it is a draft, to be written. Every change is kept by itself, and can be taken back. */
export function RulebookEditor({
  first,
  edit: firstEdit,
  writable,
  groups,
  office,
  titlesOf,
  parts = null,
  store,
  share,
}: {
  first: RulebookBody;
  edit: number;
  writable: boolean;
  groups: PartContext["groups"];
  office: Pick<ReferenceSet, "scales" | "tests" | "areas">;
  titlesOf: Readonly<Record<string, string>>;
  /** The parts that may be put in; null where a shared part itself is written. */
  parts?: readonly SharedPart[] | null;
  store: StoreDraft;
  share?: ShareElement;
}) {
  const [body, setBody] = useState(first);
  const [selected, setSelected] = useState<Selected>({ area: "sections", index: 0 });
  const [saved, setSaved] = useState<Saved>({ kind: "saved" });
  const [broken, setBroken] = useState<readonly string[]>([]);
  const [past, setPast] = useState<readonly RulebookBody[]>([]);
  const [future, setFuture] = useState<readonly RulebookBody[]>([]);
  const part = useRef<HTMLDivElement>(null);
  const edit = useRef(firstEdit);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const busy = useRef<Promise<void>>(Promise.resolve());
  const facts = useMemo(
    () =>
      knownFacts(
        body,
        groups.map((g) => g.key),
      ),
    [body, groups],
  );
  const problems = useMemo(() => (parts === null ? partProblems(body) : rulebookProblems(body)), [body, parts]);
  const titles = useMemo(
    () => ({
      ...titlesOf,
      ...Object.fromEntries(facts.scalars.flatMap((f) => (f.title ? [[f.name, f.title] as const] : []))),
    }),
    [titlesOf, facts],
  );

  /** Keeps a state of the draft, one after another: each save carries the number that the one before it gave. */
  const keep = useCallback(
    (next: RulebookBody) => {
      busy.current = busy.current.then(async () => {
        setSaved({ kind: "saving" });
        const outcome = await store(edit.current, next).catch(() => ({
          refused: "There is no connection. The change stays on this page; make another to try again.",
        }));
        if ("refused" in outcome) setSaved({ kind: "refused", text: outcome.refused });
        else {
          edit.current = outcome.edit;
          setSaved({ kind: "saved" });
        }
      });
      return busy.current;
    },
    [store],
  );
  const save = useCallback(
    (next: RulebookBody) => {
      setSaved({ kind: "unsaved" });
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void keep(next), PAUSE_MS);
    },
    [keep],
  );
  useEffect(() => {
    const warn = (e: BeforeUnloadEvent) => saved.kind !== "saved" && e.preventDefault();
    window.addEventListener("beforeunload", warn);
    return () => window.removeEventListener("beforeunload", warn);
  }, [saved]);

  const set = (next: RulebookBody) => {
    setPast((all) => [...all.slice(-MOST_UNDO), body]);
    setFuture([]);
    setBody(next);
    save(next);
  };
  const step = (
    from: readonly RulebookBody[],
    setFrom: (next: readonly RulebookBody[]) => void,
    to: readonly RulebookBody[],
    setTo: (next: readonly RulebookBody[]) => void,
  ) => {
    const target = from.at(-1);
    if (!target) return;
    setFrom(from.slice(0, -1));
    setTo([...to, body]);
    setBody(target);
    save(target);
  };

  const choose = (next: Selected) => {
    setSelected(next);
    // The form of the chosen part begins where it can be seen.
    if ((part.current?.getBoundingClientRect().top ?? 0) < 0) part.current?.scrollIntoView({ block: "start" });
  };

  /** Everything is kept first, so that the shared element is the one that stands here. */
  const shareChosen = async (area: keyof RulebookBody, key: string, into: string | null): Promise<string | null> => {
    if (!share) return null;
    clearTimeout(timer.current);
    await keep(body);
    const outcome = await share(edit.current, { area, key, into });
    if ("refused" in outcome) return outcome.refused;
    edit.current = outcome.edit;
    setPast((all) => [...all.slice(-MOST_UNDO), body]);
    setBody(outcome.body);
    return null;
  };

  const copied = parts !== null && body[selected.area][selected.index]?.part !== undefined;
  const context: PartContext = { facts, office, disabled: !writable || copied, body, groups };
  const offered = (parts ?? []).filter((p) => !partsIn(body).includes(p.key));
  return (
    <div className="rulebook">
      <div className="rulebook-tools">
        {writable ? (
          <>
            <Button size="small" disabled={past.length === 0} onClick={() => step(past, setPast, future, setFuture)}>
              Undo
            </Button>
            <Button size="small" disabled={future.length === 0} onClick={() => step(future, setFuture, past, setPast)}>
              Redo
            </Button>
            <label className="file-press">
              Import from a file
              <input
                type="file"
                accept="application/json,.json"
                onChange={async (e) => {
                  const input = e.target;
                  const [file] = input.files ?? [];
                  if (!file) return;
                  const read = readRulebook(await file.text());
                  input.value = "";
                  if ("wrong" in read) setBroken(read.wrong);
                  else {
                    setBroken([]);
                    set(read.body);
                  }
                }}
              />
            </label>
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
            <span role="status" className={saved.kind === "refused" ? "wrong" : "quiet"}>
              {saved.kind === "refused" ? saved.text : SAVED_WORDS[saved.kind]}
            </span>
          </>
        ) : null}
      </div>
      {broken.length > 0 ? (
        <div role="alert" className="wrong">
          <p>The file was not taken over. What is wrong with it:</p>
          <ul className="plain-list">
            {broken.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </div>
      ) : null}
      {problems.length > 0 ? (
        <aside className="rulebook-problems" aria-label="What keeps it from being published">
          <strong>
            {problems.length} {problems.length === 1 ? "thing" : "things"} to mend
          </strong>
          <ul className="plain-list">
            {problems.map((p) => (
              <li key={`${p.code} ${p.about}`}>{problemSentence(p)}</li>
            ))}
          </ul>
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
