"use client";

import { Button } from "antd";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { readComb } from "../../core/assessment/comb";
import type { Reader } from "../../core/form/readers";
import { formatDate } from "../../text/format";
import type { PeekData } from "../../views/assessment/peek";
import { CopiesForm } from "../copies/copies-form.client";
import { KeyList } from "../frame/key-list.client";
import { BESIDE_BOXES } from "../frame/keys";
import { Comb, CombBar } from "./comb";

export interface TurnLine {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly programmes: string;
  readonly turn: string;
  readonly turnWord: string;
  /** Who else owes a step in it. */
  readonly also: readonly { readonly turn: string; readonly word: string }[];
  /** As `combText` wrote it. */
  readonly comb: string;
  readonly deed: string;
  readonly left: string;
  readonly late: boolean;
  readonly due: string;
  /** Until when gaps can still be filled before the round closes; null where none can. */
  readonly mend: string | null;
  /** The same as day and month. */
  readonly mendDay: string;
  readonly last: string;
  readonly officer: string | null;
}

interface Props {
  readonly title: string;
  readonly total: number;
  readonly rows: readonly TurnLine[];
  readonly mine: boolean;
  readonly mineHref: string;
  readonly round: "open" | "closed" | null;
  readonly roundHref: string;
  /** Only files with statements like somebody else’s. */
  readonly alike: boolean;
  /** The answer that the list is narrowed to, in words, and the list without that. */
  readonly said: string | null;
  readonly saidHref: string;
  readonly alikeHref: string;
  /** The whole list as a table for spreadsheets. */
  readonly tableHref: string;
  readonly nextHref: string | null;
  readonly firstHref: string | null;
  readonly take: (ids: readonly string[]) => Promise<string | null>;
  readonly copy: (ids: readonly string[], reader: Reader, documents: boolean) => Promise<string | null>;
}

const KEYS = [
  ["j / ↓", "next file"],
  ["k / ↑", "previous file"],
  ["Enter", "open the file"],
  ["x", "mark or unmark the file"],
  ["t", "take the marked files, or this one"],
  ["/", "find anyone, any number"],
] as const;

export function TurnList({
  title,
  total,
  rows,
  mine,
  mineHref,
  round,
  roundHref,
  alike,
  alikeHref,
  said: answer,
  saidHref,
  tableHref,
  nextHref,
  firstHref,
  take,
  copy,
}: Props) {
  const router = useRouter();
  const [cursor, setCursor] = useState(0);
  const [marked, setMarked] = useState<ReadonlySet<string>>(new Set());
  const [said, setSaid] = useState<string | null>(null);
  /** The line on which the cursor has come to stand, for those who hear the page. */
  const [spoken, setSpoken] = useState("");
  const [copying, setCopying] = useState(false);
  const list = useRef<HTMLOListElement>(null);
  const row = rows[cursor];

  const move = (by: number) => {
    const to = Math.max(0, Math.min(rows.length - 1, cursor + by));
    setCursor(to);
    setSpoken(inWords(rows[to], to, rows.length));
    list.current?.children[to]?.scrollIntoView({ block: "nearest" });
  };
  const open = () => row && router.push(`/office/files/${row.number}`);
  const mark = (id: string) =>
    setMarked((all) => {
      const next = new Set(all);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  const takeThem = async () => {
    const ids = marked.size > 0 ? [...marked] : row ? [row.id] : [];
    const refused = await take(ids);
    setSaid(refused ?? `${ids.length} ${ids.length === 1 ? "file is" : "files are"} in your hands.`);
    setMarked(new Set());
  };
  const copyThem = async (reader: Reader, documents: boolean) => {
    const refused = await copy([...marked], reader, documents);
    setSaid(refused);
    if (refused) return;
    router.push("/office/copies");
  };
  useHotkeys("j,down", () => move(1), { ...BESIDE_BOXES, preventDefault: true }, [cursor, rows]);
  useHotkeys("k,up", () => move(-1), { ...BESIDE_BOXES, preventDefault: true }, [cursor, rows]);
  useHotkeys("enter", open, { ...BESIDE_BOXES, enabled: row !== undefined }, [cursor, rows]);
  useHotkeys("x", () => row && mark(row.id), BESIDE_BOXES, [cursor, rows]);
  useHotkeys("t", () => void takeThem(), BESIDE_BOXES, [cursor, rows, marked]);

  return (
    <>
      <section className="turn-list" aria-label={title}>
        <header>
          <h1>{title}</h1>
          <span className="quiet">
            {total} {total === 1 ? "file" : "files"} · {rows.filter((r) => r.late).length} late on this page · most
            urgent first
          </span>
          <span className="list-tools">
            <Link href={mineHref} className="filter">
              {mine ? "Mine only" : "Everybody’s"}
            </Link>
            <Link href={roundHref} className="filter">
              {round === "open" ? "Round still open" : round === "closed" ? "Gaps left, round closed" : "Any round"}
            </Link>
            {answer ? (
              <Link href={saidHref} className="filter">
                {answer} ×
              </Link>
            ) : null}
            <Link href={alikeHref} className="filter">
              {alike ? "Statements alike" : "Any statements"}
            </Link>
            {marked.size > 0 ? (
              <>
                <Button size="small" onClick={() => void takeThem()}>
                  Take {marked.size} <span className="key">t</span>
                </Button>{" "}
                <Button size="small" onClick={() => setCopying(true)}>
                  Copies
                </Button>
              </>
            ) : null}
          </span>
        </header>
        {copying && marked.size > 0 ? (
          <CopiesForm count={marked.size} order={copyThem} onCancel={() => setCopying(false)} />
        ) : null}
        {said ? (
          <p role="status" className="said">
            {said}
          </p>
        ) : null}
        {rows.length === 0 ? (
          <p className="empty">Nothing waits here. Choose another turn on the left, or press / to find a file.</p>
        ) : null}
        <ol ref={list}>
          {rows.map((line, i) => (
            // biome-ignore lint/a11y/useKeyWithClickEvents: the keyboard moves the cursor with j and k; the name is a link
            <li key={line.id} data-cursor={i === cursor} onClick={() => setCursor(i)}>
              <input
                type="checkbox"
                checked={marked.has(line.id)}
                onChange={() => mark(line.id)}
                aria-label={`Mark ${line.name}`}
              />
              <span className={line.late ? "left late" : "left"} title={line.due}>
                {line.left}
              </span>
              <Link href={`/office/files/${line.number}`} className="serif name" prefetch={false}>
                {line.name}
              </Link>
              <span className="quiet codes">{line.programmes}</span>
              <Comb text={line.comb} turn={line.turn} words={combWords(line.comb)} />
              <span className="deed">
                {line.turn === "office" ? null : (
                  <>
                    <span className="turn-word" data-turn={line.turn}>
                      {line.turnWord}
                    </span>{" "}
                  </>
                )}
                {line.deed}
                {line.also.map(({ turn, word }) => (
                  <span key={turn} className="turn-word also" data-turn={turn}>
                    {word}, too
                  </span>
                ))}
                {round === "open" && line.mend ? <span className="quiet"> · until {line.mendDay}</span> : null}
              </span>
              <span className="quiet last">{line.last}</span>
            </li>
          ))}
        </ol>
        <footer>
          {firstHref ? <Link href={firstHref}>First page</Link> : null}{" "}
          {nextHref ? <Link href={nextHref}>Next page</Link> : null}{" "}
          {rows.length > 0 ? (
            <a href={tableHref} download>
              Whole list as CSV
            </a>
          ) : null}
          <KeyList keys={KEYS} />
        </footer>
      </section>
      <p className="hidden-text" aria-live="polite">
        {spoken}
      </p>
      <aside className="peek" aria-label="A look at the file">
        {row ? (
          <Peek key={row.number} line={row} onOpen={open} onTake={() => void takeThem()} />
        ) : (
          <p className="quiet">No file is chosen.</p>
        )}
      </aside>
    </>
  );
}

/** A line as one would read it out. */
function inWords(line: TurnLine | undefined, at: number, of: number): string {
  if (!line) return "";
  const { name, programmes, turn, turnWord, deed, left, also } = line;
  const who = turn === "office" ? deed : `${turnWord}: ${deed}`;
  return [`${name}, ${programmes}`, who, ...also.map((a) => `${a.word}, too`), left, `line ${at + 1} of ${of}`].join(
    ". ",
  );
}

/** The comb in words: how many of each standing. */
function combWords(comb: string): string {
  const counts = new Map<string, number>();
  for (const bar of readComb(comb)) counts.set(bar.standing, (counts.get(bar.standing) ?? 0) + 1);
  return [...counts].map(([standing, count]) => `${count} ${standing}`).join(", ");
}

function Peek({ line, onOpen, onTake }: { line: TurnLine; onOpen: () => void; onTake: () => void }) {
  const [data, setData] = useState<PeekData | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    const stop = new AbortController();
    const wait = setTimeout(() => {
      fetch(`/api/peek/${line.number}`, { signal: stop.signal })
        .then(async (r) => {
          if (r.ok) setData((await r.json()) as PeekData);
          else setFailed(r.headers.get("x-request-id") ?? "—");
        })
        .catch(() => (stop.signal.aborted ? undefined : setFailed("no connection")));
    }, 120);
    return () => {
      clearTimeout(wait);
      stop.abort();
    };
  }, [line.number]);
  return (
    <>
      <h2 className="serif">{line.name}</h2>
      <p className="quiet">No. {line.number}</p>
      <p className="quiet who">
        {[data?.group, data?.birthDate ? `born ${formatDate("en", data.birthDate)}` : null].filter(Boolean).join(" · ")}
      </p>
      <h3>Next step</h3>
      <p>
        <span className="turn-word" data-turn={line.turn}>
          {line.turnWord}
        </span>
        : {line.deed.charAt(0).toLowerCase() + line.deed.slice(1)}
        {line.due ? (
          <>
            , <span className={line.late ? "late" : ""}>{line.left}</span>
          </>
        ) : null}
        .
      </p>
      {line.mend ? <p className="quiet">Its round is open until {line.mend}: gaps can still be filled.</p> : null}
      <div className="presses">
        <Button type="primary" onClick={onOpen}>
          Open <span className="key">↵</span>
        </Button>
        <Button onClick={onTake}>
          Take <span className="key">t</span>
        </Button>
      </div>
      {data ? (
        <>
          <h3>Choices</h3>
          {data.choices.map((c) => (
            <p key={c.code}>
              {c.rank} · {c.code} {c.title}{" "}
              <span className="quiet">{c.stage === "preparing" ? "preparing" : c.eligibility}</span>
            </p>
          ))}
          <h3>What is here</h3>
          <ul className="peek-list">
            {data.requirements.map((r) => (
              <li key={r.title}>
                <span className="comb">
                  <CombBar standing={r.standing} holds={false} />
                </span>
                <span>{r.title}</span> <span className="quiet">{r.note ?? r.standing}</span>
              </li>
            ))}
          </ul>
          {data.promise ? (
            <p className="quiet">
              Clock: {data.promise.used} of {data.promise.days} working days used by us.
            </p>
          ) : null}
          {line.officer ? <p className="quiet">In the hands of {line.officer}.</p> : null}
        </>
      ) : failed === null ? (
        <p className="quiet">Looking …</p>
      ) : (
        <p className="wrong" role="alert">
          This file could not be looked into ({failed}). The list stays as it is; opening the file tries again.
        </p>
      )}
    </>
  );
}
