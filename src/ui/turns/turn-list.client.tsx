"use client";

import { Button } from "antd";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import type { Reader } from "../../core/form/readers";
import type { ManyLine } from "../../core/turns/many";
import { CopiesForm } from "../copies/copies-form.client";
import { keepList } from "../frame/kept-list";
import { KeyList } from "../frame/key-list.client";
import { BESIDE_BOXES } from "../frame/keys";
import { type KeepList, KeepListForm } from "./keep-list.client";
import { DEED_WORDS, type ManyDeed, ManyForm, type ManyWays } from "./many.client";
import { Narrow } from "./narrow.client";
import { Peek } from "./peek.client";
import { inWords, Line, type TurnLine } from "./turn-line.client";
import { ListHead, type ListWays } from "./turn-list-head.client";
import { useHeldCursor, useListWatch } from "./use-live-list.client";

interface Props extends ListWays {
  /** Whether the reader keeps the books, too. */
  readonly forFinance: boolean;
  /** Whether the reader may share lists with all officers. */
  readonly leads: boolean;
  readonly rows: readonly TurnLine[];
  /** Nothing is called as it was typed: these are close to it. */
  readonly near: boolean;
  /** The list as a name is kept for it. */
  readonly here: string;
  /** The day by which asks are answered as a rule. */
  readonly due: string;
  readonly round: "open" | "closed" | null;
  /** The whole list as a table for spreadsheets. */
  readonly tableHref: string;
  /** What the list was when it was read, and where it is asked whether it is still that. */
  readonly digest: string;
  readonly digestHref: string;
  readonly nextHref: string | null;
  readonly firstHref: string | null;
  readonly take: (ids: readonly string[]) => Promise<string | null>;
  readonly copy: (ids: readonly string[], reader: Reader, documents: boolean) => Promise<string | null>;
  readonly keep: KeepList;
  readonly many: ManyWays;
}

const KEYS = [
  ["j / ↓", "next file"],
  ["k / ↑", "previous file"],
  ["Enter", "open the file"],
  ["x", "mark or unmark the file"],
  ["Shift x", "mark all on this page, or none"],
  ["t", "take the marked files, or this one"],
  ["h, q, e", "hand on the marked files, ask in them, remind them"],
  ["n", "narrow the list"],
  ["/, Ctrl K", "find anyone, any number, any page"],
  ["g and a letter", "to another page"],
] as const;

const DEEDS: readonly (readonly [deed: ManyDeed, key: string | null])[] = [
  ["hand", "h"],
  ["ask", "q"],
  ["remind", "e"],
  ["excuse", null],
];

type Open = ManyDeed | "copies" | "narrow" | "keep" | null;

export function TurnList(props: Props) {
  const { title, rows, round, tableHref, nextHref, firstHref, take, copy, query, many } = props;
  const router = useRouter();
  const [marked, setMarked] = useState<ReadonlySet<string>>(new Set());
  const [said, setSaid] = useState<string | null>(null);
  /** What was handed on last, to be taken back. */
  const [handed, setHanded] = useState<readonly ManyLine[]>([]);
  /** The line on which the cursor has come to stand, for those who hear the page. */
  const [spoken, setSpoken] = useState("");
  const [open, setOpen] = useState<Open>(null);
  /** On which files the form that is open works. */
  const [ids, setIds] = useState<readonly string[]>([]);
  const list = useRef<HTMLOListElement>(null);
  const [cursor, setCursor] = useHeldCursor(rows, list);
  const [news, setNews] = useState<string | null>(null);
  useListWatch(rows, props.digest, props.digestHref, open !== null, setNews);
  const row = rows[cursor];

  useEffect(() => keepList({ title, files: rows.map(({ number, name }) => ({ number, name })) }), [title, rows]);

  const move = (by: number) => {
    setNews(null);
    const to = Math.max(0, Math.min(rows.length - 1, cursor + by));
    setCursor(to);
    setSpoken(inWords(rows[to], to, rows.length));
    list.current?.children[to]?.scrollIntoView({ block: "nearest" });
  };
  const openFile = () => row && router.push(`/office/files/${row.number}`);
  const mark = (id: string) =>
    setMarked((all) => {
      const next = new Set(all);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  const markAll = () =>
    setMarked((all) => (rows.every((r) => all.has(r.id)) ? new Set() : new Set(rows.map((r) => r.id))));
  // What has left the list is not worked on unseen.
  const stillMarked = rows.filter((r) => marked.has(r.id)).map((r) => r.id);
  const chosen = () => (stillMarked.length > 0 ? stillMarked : row ? [row.id] : []);
  const takeThem = async () => {
    const those = chosen();
    const refused = await take(those);
    setSaid(refused ?? `${those.length} ${those.length === 1 ? "file is" : "files are"} in your hands.`);
    setMarked(new Set());
  };
  const begin = (deed: ManyDeed) => {
    const those = chosen();
    if (those.length === 0) return;
    setIds(those);
    setOpen(deed);
  };
  const copyThem = async (reader: Reader, documents: boolean) => {
    const refused = await copy(stillMarked, reader, documents);
    setSaid(refused);
    if (refused) return;
    router.push("/office/copies");
  };
  const finish = (what: string, lines: readonly ManyLine[]) => {
    setOpen(null);
    setSaid(what);
    setHanded(lines.filter((l) => l.done && l.before !== undefined));
    setMarked(new Set());
    router.refresh();
  };
  const takeBack = async () => {
    const before = new Map<string | null, string[]>();
    for (const { id, before: officer = null } of handed) before.set(officer, [...(before.get(officer) ?? []), id]);
    for (const [officerId, those] of before)
      for (let from = 0; from < those.length; from += 25)
        await many.doToSome(those.slice(from, from + 25), { do: "hand", officerId }, true);
    setSaid("They are where they were.");
    setHanded([]);
    router.refresh();
  };
  const toggle = (what: "narrow" | "keep") => setOpen((now) => (now === what ? null : what));
  useHotkeys("j,down", () => move(1), { ...BESIDE_BOXES, preventDefault: true }, [cursor, rows]);
  useHotkeys("k,up", () => move(-1), { ...BESIDE_BOXES, preventDefault: true }, [cursor, rows]);
  useHotkeys("enter", openFile, { ...BESIDE_BOXES, enabled: row !== undefined }, [cursor, rows]);
  useHotkeys("x", () => row && mark(row.id), BESIDE_BOXES, [cursor, rows]);
  useHotkeys("shift+x", markAll, BESIDE_BOXES, [rows]);
  useHotkeys("t", () => void takeThem(), BESIDE_BOXES, [cursor, rows, marked]);
  useHotkeys("h", () => begin("hand"), { ...BESIDE_BOXES, preventDefault: true }, [cursor, rows, marked]);
  useHotkeys("q", () => begin("ask"), { ...BESIDE_BOXES, preventDefault: true }, [cursor, rows, marked]);
  useHotkeys("e", () => begin("remind"), { ...BESIDE_BOXES, preventDefault: true }, [cursor, rows, marked]);
  useHotkeys("n", () => toggle("narrow"), BESIDE_BOXES, []);
  useHotkeys("esc", () => setOpen(null), BESIDE_BOXES, []);

  return (
    <>
      <section className="turn-list" aria-label={title}>
        <ListHead
          {...props}
          late={rows.filter((r) => r.late).length}
          narrowing={open === "narrow"}
          narrow={() => toggle("narrow")}
          keep={() => toggle("keep")}
        />
        {stillMarked.length > 0 ? (
          <p className="marked">
            <strong>{stillMarked.length} marked</strong>
            <Button size="small" onClick={() => void takeThem()}>
              Take <span className="key">t</span>
            </Button>
            {DEEDS.map(([deed, key]) => (
              <Button key={deed} size="small" onClick={() => begin(deed)}>
                {DEED_WORDS[deed]} {key ? <span className="key">{key}</span> : null}
              </Button>
            ))}
            <Button size="small" onClick={() => setOpen("copies")}>
              Copies
            </Button>
            <button type="button" className="bare" onClick={() => setMarked(new Set())}>
              Unmark
            </button>
          </p>
        ) : null}
        {open === "narrow" ? (
          <div className="list-panel">
            <Narrow query={query} total={props.total} />
          </div>
        ) : null}
        {open === "keep" ? (
          <KeepListForm
            query={props.here}
            mayShare={props.leads}
            keep={props.keep}
            onDone={(name) => {
              setOpen(null);
              if (name !== null) setSaid(`“${name}” stands on the left now.`);
            }}
          />
        ) : null}
        {open === "copies" && stillMarked.length > 0 ? (
          <CopiesForm
            count={stillMarked.length}
            forFinance={props.forFinance}
            order={copyThem}
            onCancel={() => setOpen(null)}
          />
        ) : null}
        {open === "hand" || open === "ask" || open === "remind" || open === "excuse" ? (
          <ManyForm
            key={`${open} ${ids.join()}`}
            deed={open}
            ids={ids}
            due={props.due}
            ways={many}
            onDone={finish}
            onCancel={() => setOpen(null)}
          />
        ) : null}
        {said ? (
          <p role="status" className="said">
            {said}{" "}
            {handed.length > 0 ? (
              <button type="button" className="bare" onClick={() => void takeBack()}>
                Take it back
              </button>
            ) : null}
          </p>
        ) : null}
        {props.near ? <p className="said">Nothing is called exactly so. These are close to it.</p> : null}
        {rows.length === 0 ? (
          <p className="empty">Nothing waits here. Choose another turn on the left, or press / to find a file.</p>
        ) : null}
        <ol ref={list}>
          {rows.map((line, i) => (
            <Line
              key={line.id}
              line={line}
              round={round}
              here={i === cursor}
              marked={marked.has(line.id)}
              choose={() => setCursor(i)}
              mark={() => mark(line.id)}
            />
          ))}
        </ol>
        {news ? (
          <p role="status" className="list-news">
            {news}{" "}
            <button type="button" className="bare" onClick={() => setNews(null)}>
              Seen
            </button>
          </p>
        ) : null}
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
          <Peek key={row.number} line={row} onOpen={openFile} onTake={() => void takeThem()} />
        ) : (
          <p className="quiet">No file is chosen.</p>
        )}
      </aside>
    </>
  );
}
