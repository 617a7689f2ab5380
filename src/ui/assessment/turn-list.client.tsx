"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import type { Reader } from "../../core/form/readers";
import { CopiesForm } from "../copies/copies-form.client";
import { keepList } from "../frame/kept-list";
import { KeyList } from "../frame/key-list.client";
import { BESIDE_BOXES } from "../frame/keys";
import { Peek } from "./peek.client";
import { inWords, Line, type TurnLine } from "./turn-line.client";
import { ListHead, type ListWays } from "./turn-list-head.client";

interface Props extends ListWays {
  /** Whether the reader keeps the books, too. */
  readonly forFinance: boolean;
  readonly rows: readonly TurnLine[];
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
  ["/, Ctrl K", "find anyone, any number, any page"],
  ["g and a letter", "to another page"],
] as const;

export function TurnList(props: Props) {
  const { title, rows, round, tableHref, nextHref, firstHref, take, copy } = props;
  const router = useRouter();
  const [cursor, setCursor] = useState(0);
  const [marked, setMarked] = useState<ReadonlySet<string>>(new Set());
  const [said, setSaid] = useState<string | null>(null);
  /** The line on which the cursor has come to stand, for those who hear the page. */
  const [spoken, setSpoken] = useState("");
  const [copying, setCopying] = useState(false);
  const list = useRef<HTMLOListElement>(null);
  const row = rows[cursor];

  useEffect(() => keepList({ title, files: rows.map(({ number, name }) => ({ number, name })) }), [title, rows]);

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
        <ListHead
          {...props}
          late={rows.filter((r) => r.late).length}
          marked={marked.size}
          take={takeThem}
          copy={() => setCopying(true)}
        />
        {copying && marked.size > 0 ? (
          <CopiesForm
            count={marked.size}
            forFinance={props.forFinance}
            order={copyThem}
            onCancel={() => setCopying(false)}
          />
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
