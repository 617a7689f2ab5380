"use client";

import { Button, Progress } from "antd";
import { useState } from "react";
import type { InstitutionInput } from "../../core/standards/institution";
import { type RegisterLines, readRegister } from "../../core/standards/register-table";
import { useAsking } from "../frame/unanswered.client";

/** What became of lines, by how many; and those that were left out, with why. */
export interface TakenLines {
  readonly added: number;
  readonly changed: number;
  readonly same: number;
  readonly left: readonly { readonly name: string; readonly why: string }[];
}

interface Props {
  /** How many of these names the register knows already. */
  readonly look: (names: readonly Pick<InstitutionInput, "name" | "country">[]) => Promise<number>;
  readonly take: (lines: readonly InstitutionInput[]) => Promise<TakenLines | string>;
}

const AT_ONCE = 100;
const LOOKED_AT = 1000;
const MOST_SAID = 10;
const MOST_BYTES = 4_000_000;
const NOTHING: TakenLines = { added: 0, changed: 0, same: 0, left: [] };

const plus = (a: TakenLines, b: TakenLines): TakenLines => ({
  added: a.added + b.added,
  changed: a.changed + b.changed,
  same: a.same + b.same,
  left: [...a.left, ...b.left],
});

function List({ lines, total }: { lines: readonly string[]; total: number }) {
  return (
    <ul className="plain-list wrong">
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
      {total > lines.length ? <li>and {total - lines.length} more</li> : null}
    </ul>
  );
}

const wrongLine = ({ line, column }: RegisterLines["wrong"][number]): string =>
  column === null
    ? "The first line has to name the columns, with “name” and “country” among them."
    : `Line ${line} is left out: look at its ${column}.`;

/** Takes a register in from CSV: looked at first, then taken in by and by, with what was left out said line by line. */
export function TakeRegister({ look, take }: Props) {
  const [read, setRead] = useState<(RegisterLines & { readonly known: number }) | null>(null);
  const [done, setDone] = useState(0);
  const [busy, asking] = useAsking();
  const [result, setResult] = useState<TakenLines | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const total = read?.institutions.length ?? 0;

  const choose = async (file: File) => {
    setResult(null);
    setFailed(null);
    setDone(0);
    if (file.size > MOST_BYTES) return setFailed("The file is larger than 4 MB. Send it in parts.");
    const lines = readRegister(await file.text());
    let known = 0;
    for (let from = 0; from < lines.institutions.length; from += LOOKED_AT)
      known += await look(lines.institutions.slice(from, from + LOOKED_AT));
    setRead({ ...lines, known });
  };
  const begin = async () => {
    if (!read) return;
    let all = NOTHING;
    for (let from = 0; from < total; from += AT_ONCE) {
      const part = await take(read.institutions.slice(from, from + AT_ONCE));
      if (typeof part === "string") {
        setFailed(`${part} The first ${from} lines were taken in.`);
        break;
      }
      all = plus(all, part);
      setDone(Math.min(total, from + AT_ONCE));
    }
    setResult(all);
    setRead(null);
  };

  return (
    <details className="take-register">
      <summary>Take a register in from CSV</summary>
      <p className="quiet">
        Columns: name, other names, country, kind, languages, scales, credits of a year, recognition, note. Several
        names stand in one cell with | between them. Names are added and never taken away.
      </p>
      <input
        type="file"
        aria-label="A CSV file of institutions"
        accept=".csv,.tsv,.txt,text/csv"
        disabled={busy}
        onChange={async (e) => {
          const [file] = e.target.files ?? [];
          e.target.value = "";
          if (file) await choose(file);
        }}
      />
      {read ? (
        <div role="status">
          <p>
            {total} {total === 1 ? "institution" : "institutions"} read: {total - read.known} new, {read.known} in the
            register already.
          </p>
          <List lines={read.wrong.slice(0, MOST_SAID).map(wrongLine)} total={read.wrong.length} />
          {busy ? <Progress percent={Math.round((done / Math.max(1, total)) * 100)} /> : null}
          <Button type="primary" loading={busy} disabled={total === 0} onClick={() => asking(begin)}>
            Take {total} in
          </Button>
        </div>
      ) : null}
      {result ? (
        <div role="status">
          <p>
            {result.added} added, {result.changed} changed, {result.same} as they were.
          </p>
          <List
            lines={result.left.slice(0, MOST_SAID).map(({ name, why }) => `${name}: ${why}`)}
            total={result.left.length}
          />
        </div>
      ) : null}
      {failed ? (
        <p role="alert" className="wrong">
          {failed}
        </p>
      ) : null}
    </details>
  );
}
