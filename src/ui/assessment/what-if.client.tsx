"use client";

import { Button } from "antd";
import { useRef, useState } from "react";
import type { Json } from "../../core/file/facts";
import { answerKey } from "../../core/file/place";
import type { ExplainedFinding } from "../../core/file/result";
import type { Field } from "../../core/rulebook/section";
import type { Supposed } from "../../core/what-if/supposing";
import type { FactTitles } from "../../text/words/trace";
import type { FileData } from "../../views/assessment/file-data";
import type { WhatIf as Data, SupposableSection } from "../../views/assessment/what-if";
import { FieldInput } from "../form/fields/field-input.client";
import { TraceTree } from "./trace-tree";

type Changes = Readonly<Record<string, Supposed>>;

const WORDS = { met: "Met", "not met": "Not met", open: "Open" } as const;
const RUNNING: readonly Json[] = ["in progress", "registered"];
/** Lists with more entries than this are folded, an entry a line. */
const MOST_UNFOLDED = 3;
/** While somebody types, nothing is asked. */
const PAUSE_MS = 200;

interface EntryProps {
  readonly section: SupposableSection;
  readonly entry: SupposableSection["entries"][number];
  readonly changes: Changes;
  readonly office: FileData["office"];
  readonly set: (change: Supposed) => void;
}

/** Whether a field asks for something here: one that hangs on another answer stands only beside it. */
function hangsOn({ when }: Field, values: Readonly<Record<string, Json>>): boolean {
  return (
    !(when?.op === "fact" && when.is === "equals" && when.fact.startsWith("it.")) ||
    values[when.fact.slice(3)] === when.value
  );
}

function EntryInputs({ section, entry, changes, office, set }: EntryProps) {
  const place = (field: string) => ({ scope: section.scope, section: section.key, entry: entry.id, field });
  const valueAt = (field: string): Json => {
    const change = changes[answerKey(place(field))];
    return change ? change.value : (entry.values[field] ?? null);
  };
  const values = Object.fromEntries(section.fields.map((f) => [f.key, valueAt(f.key)]));
  const test = valueAt("test");
  return (
    <div className="what-if-fields">
      {section.fields
        .filter((field) => hangsOn(field, values))
        .map((field) => {
          const id = `if-${answerKey(place(field.key)).replace(/\W/gu, "-")}`;
          return (
            <div
              key={field.key}
              className="field"
              data-changed={changes[answerKey(place(field.key))] ? "true" : undefined}
            >
              <label htmlFor={id}>{field.title.en}</label>
              <FieldInput
                id={id}
                field={field}
                value={valueAt(field.key)}
                locale="en"
                office={office}
                named={{}}
                taken={new Set()}
                test={typeof test === "string" ? test : null}
                disabled={false}
                invalid={false}
                describedBy={undefined}
                onChange={(value) => set({ ...place(field.key), value })}
                onLeave={() => undefined}
              />
            </div>
          );
        })}
    </div>
  );
}

function SectionInputs({
  section,
  added,
  onAdd,
  ...rest
}: Omit<EntryProps, "entry"> & { readonly added: readonly string[]; readonly onAdd: () => void }) {
  const entries = [...section.entries, ...added.map((id): EntryProps["entry"] => ({ id, values: {} }))];
  const folded = entries.length > MOST_UNFOLDED;
  return (
    <section aria-label={section.title.en}>
      <h2>{section.title.en}</h2>
      {entries.map((entry, i) => {
        const inputs = <EntryInputs section={section} entry={entry} {...rest} />;
        if (!folded || added.includes(entry.id)) return <div key={entry.id}>{inputs}</div>;
        const title = entry.values.title;
        return (
          <details key={entry.id}>
            <summary>{typeof title === "string" && title !== "" ? title : `Entry ${i + 1}`}</summary>
            {inputs}
          </details>
        );
      })}
      {section.repeats ? (
        <Button size="small" onClick={onAdd}>
          Suppose one more
        </Button>
      ) : null}
    </section>
  );
}

function Outcome({ before, after, titles }: { before: ExplainedFinding; after: ExplainedFinding; titles: FactTitles }) {
  const turned = before.finding !== after.finding;
  return (
    <details className="finding" data-finding={after.finding} data-turned={turned ? "true" : undefined}>
      <summary>
        <strong>{WORDS[after.finding]}</strong> · {after.title.en}{" "}
        {turned ? <span className="turned">was {before.finding}</span> : <span className="quiet">as before</span>}
      </summary>
      <ul className="trace">
        <TraceTree trace={after.trace} titles={titles} locale="en" marksClaims />
      </ul>
    </details>
  );
}

/** Tries other answers out: what the entry rules would find. The file is not touched, and nobody is told. */
export function WhatIf({
  first,
  office,
  titles,
  overridden,
  suppose,
}: {
  first: Data;
  office: FileData["office"];
  titles: FactTitles;
  /** Whether a finding of the file is overridden. */
  overridden: boolean;
  suppose: (changes: Supposed[]) => Promise<Data | null>;
}) {
  const [changes, setChanges] = useState<Changes>({});
  const [added, setAdded] = useState<Readonly<Record<string, readonly string[]>>>({});
  const [choices, setChoices] = useState(first.choices);
  const [failed, setFailed] = useState(false);
  const asked = useRef(0);
  const put = (next: Changes) => {
    setChanges(next);
    asked.current += 1;
    const turn = asked.current;
    const ask = async () => {
      if (turn !== asked.current) return;
      const found = await suppose(Object.values(next)).catch(() => null);
      // Only the answer to what was supposed last counts.
      if (turn !== asked.current) return;
      setFailed(found === null);
      if (found) setChoices(found.choices);
    };
    setTimeout(() => void ask(), PAUSE_MS);
  };
  const set = (change: Supposed) => put({ ...changes, [answerKey(change)]: change });
  const running = first.sections.flatMap((s) =>
    s.key === "courses" || s.fields.some((f) => f.key === "credits")
      ? s.entries
          .filter((e) => RUNNING.includes(e.values.status ?? null))
          .map((e) => ({ scope: s.scope, section: s.key, entry: e.id, field: "status", value: "completed" }))
      : [],
  );
  const count = Object.keys(changes).length;
  return (
    <div className="what-if">
      <div className="what-if-given">
        <p>
          Change what you like and see what the entry rules would find. The file stays as it is, and nobody is told.
        </p>
        {overridden ? (
          <p className="quiet">Overrides are left out here: you see what the rules themselves come to.</p>
        ) : null}
        <div className="presses">
          {running.length > 0 ? (
            <Button onClick={() => put({ ...changes, ...Object.fromEntries(running.map((c) => [answerKey(c), c])) })}>
              Suppose the running courses are passed
            </Button>
          ) : null}
          <Button
            disabled={count === 0}
            onClick={() => {
              setAdded({});
              put({});
            }}
          >
            Back to the file
          </Button>
          <span className="quiet" role="status">
            {count === 0 ? "Nothing is supposed." : `${count} ${count === 1 ? "value is" : "values are"} supposed.`}
          </span>
        </div>
        {first.sections.map((section) => (
          <SectionInputs
            key={`${section.scope}-${section.key}`}
            section={section}
            changes={changes}
            office={office}
            set={set}
            added={added[section.key] ?? []}
            onAdd={() =>
              setAdded((all) => ({ ...all, [section.key]: [...(all[section.key] ?? []), crypto.randomUUID()] }))
            }
          />
        ))}
      </div>
      <section className="what-if-found" aria-live="polite" aria-label="What would be found">
        {failed ? <p className="wrong">This could not be worked out. Load the page again.</p> : null}
        {choices.map((choice) => (
          <div key={choice.id}>
            <h2>
              {choice.code}: {choice.after.eligibility}{" "}
              {choice.after.eligibility === choice.before.eligibility ? null : (
                <span className="turned">was {choice.before.eligibility}</span>
              )}
            </h2>
            {choice.before.findings.map((before, i) => {
              const after = choice.after.findings[i];
              return after ? <Outcome key={before.key} before={before} after={after} titles={titles} /> : null;
            })}
          </div>
        ))}
      </section>
    </div>
  );
}
