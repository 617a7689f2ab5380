"use client";

import { Button, Select } from "antd";
import { useId, useState } from "react";
import type { ListProblem } from "../../core/results/owner-list";
import { formatDate } from "../../text/format";
import { scoresInOrder } from "../../text/words/office";
import type { LookedAt, OwnerListsPage } from "../../views/results/owner-lists";
import { useAsking } from "../frame/unanswered.client";

const PROBLEMS: Readonly<Record<ListProblem["code"], string>> = {
  "no-number": "there is no number",
  "no-name": "there is no name",
  "no-day": "the day is not one; write it as 2026-10-03 or 3.10.2026",
  "not-a-birth-date": "the date of birth is not a day",
  "score-missing": "a score is missing or no number",
  "score-range": "a score lies outside the test’s range",
  "score-step": "a score is not one that the test gives",
  twice: "the number stands twice for this day; the first one counts",
};

interface Chosen {
  readonly name: string;
  readonly text: string;
}

/** What a list was read as, before it is taken in. */
function Look({
  seen,
  parts,
  take,
  busy,
}: {
  seen: LookedAt;
  parts: OwnerListsPage["tests"][number]["parts"];
  take: () => void;
  busy: boolean;
}) {
  if (seen.kind === "no table")
    return (
      <p role="alert" className="wrong">
        This is no table. Save the list as CSV, with the names of the columns in its first line.
      </p>
    );
  if (seen.kind === "columns missing")
    return (
      <p role="alert" className="wrong">
        The first line does not name these columns: {seen.missing.join(", ")}. Name them so, and choose the file again.
      </p>
    );
  const wrong = seen.problems.length + seen.moreProblems;
  return (
    <div className="list-look">
      <table className="plain-table">
        <caption>
          {seen.lines} {seen.lines === 1 ? "result" : "results"}; the first ones as they were read
        </caption>
        <thead>
          <tr>
            <th>Number</th>
            <th>Name</th>
            <th>Born</th>
            <th>Day of the test</th>
            <th>Scores</th>
          </tr>
        </thead>
        <tbody>
          {seen.first.map((r) => (
            <tr key={`${r.number} ${r.takenOn}`}>
              <td>{r.number}</td>
              <td>{r.name}</td>
              <td>{r.birthDate ? formatDate("en", r.birthDate) : "—"}</td>
              <td>{formatDate("en", r.takenOn)}</td>
              <td>{scoresInOrder(parts, r.scores)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {wrong > 0 ? (
        <>
          <p>
            {wrong} {wrong === 1 ? "line is" : "lines are"} left out:
          </p>
          <ul className="plain-list">
            {seen.problems.map((p) => (
              <li key={`${p.line} ${p.code}`}>
                Line {p.line}: {PROBLEMS[p.code]}
                {p.about ? <span className="quiet"> ({p.about})</span> : null}
              </li>
            ))}
          </ul>
          {seen.moreProblems > 0 ? <p className="quiet">and {seen.moreProblems} more</p> : null}
        </>
      ) : null}
      {seen.lines > 0 ? (
        <div className="presses">
          <Button type="primary" loading={busy} onClick={take}>
            Take in {seen.lines} {seen.lines === 1 ? "result" : "results"}
          </Button>
        </div>
      ) : null}
    </div>
  );
}

/** A list of results is chosen, looked at, and taken in. */
export function ListTaking({
  tests,
  look,
  take,
}: {
  tests: OwnerListsPage["tests"];
  look: (test: string, text: string) => Promise<LookedAt | null>;
  take: (test: string, fileName: string, text: string) => Promise<string | null>;
}) {
  const id = useId();
  const [test, setTest] = useState<string | null>(null);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [seen, setSeen] = useState<LookedAt | null>(null);
  const [said, setSaid] = useState<{ readonly words: string; readonly wrong: boolean } | null>(null);
  const [busy, begin] = useAsking();
  const parts = tests.find((t) => t.key === test)?.parts ?? [];
  const read = (key: string | null, list: Chosen | null) =>
    begin(async () => {
      setSeen(key && list ? await look(key, list.text) : null);
    });
  const choose = async (file: File | undefined) => {
    setSaid(null);
    const list = file ? { name: file.name, text: await file.text() } : null;
    setChosen(list);
    read(test, list);
  };
  const takeIn = () =>
    begin(async () => {
      if (!test || !chosen || seen?.kind !== "list") return;
      const refused = await take(test, chosen.name, chosen.text);
      setSaid({
        words: refused ?? `${seen.lines} taken in. The files they belong to are found in a moment.`,
        wrong: refused !== null,
      });
      if (refused !== null) return;
      setChosen(null);
      setSeen(null);
    });
  return (
    <section className="list-taking" aria-label="Take in a list">
      <div className="presses">
        <label htmlFor={`${id}-test`}>Test</label>
        <Select
          id={`${id}-test`}
          className="start-pick"
          showSearch={{ optionFilterProp: "label" }}
          placeholder="Whose list it is"
          value={test}
          options={tests.map((t) => ({ value: t.key, label: t.title }))}
          onChange={(key: string) => {
            setTest(key);
            read(key, chosen);
          }}
        />
        <label htmlFor={`${id}-file`}>List, as CSV</label>
        <input
          key={chosen ? "chosen" : "none"}
          id={`${id}-file`}
          type="file"
          accept=".csv,.txt,text/csv,text/plain"
          onChange={(e) => void choose(e.target.files?.[0])}
        />
      </div>
      <p className="quiet">
        Columns: number, name (or given names and family name), date
        {parts.length > 0 ? `, ${parts.map((p) => p.title).join(", ")}` : ", and one for each part of the test"}; a date
        of birth, if there is one.
      </p>
      {seen ? <Look seen={seen} parts={parts} take={takeIn} busy={busy} /> : null}
      {said ? (
        <p role={said.wrong ? "alert" : "status"} className={said.wrong ? "wrong" : undefined}>
          {said.words}
        </p>
      ) : null}
    </section>
  );
}
