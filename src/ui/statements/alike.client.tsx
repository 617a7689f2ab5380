"use client";

import { Button, Input } from "antd";
import Link from "next/link";
import { useId, useState } from "react";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import type { Piece } from "../../core/statements/pieces";
import { formatMoment } from "../../text/format";
import type { AlikeStatements, StatementComparison } from "../../views/statements/likeness";
import { OfficeDay } from "../frame/office-day.client";
import { useAsking } from "../frame/unanswered.client";

type Verdict = "harmless" | "copied" | "undecided";
const SAID = { harmless: "Nothing in it", copied: "Copied" } as const;

const whose = ({ other, programmes }: AlikeStatements): string =>
  other ? `${other.number} ${other.name}` : `a file of ${programmes.join(", ")} that is not yours to open`;

function Line({ number, alike, current }: { number: string; alike: AlikeStatements; current: boolean }) {
  const { said } = alike;
  return (
    <li>
      <span>
        {alike.title}: {alike.words} of {alike.of} words stand in the statement of {whose(alike)}
        {alike.other ? <span className="quiet"> {alike.programmes.join(", ")}</span> : null}
        {said ? (
          <span className="quiet">
            {" "}
            · {SAID[said.verdict].toLowerCase()}, said {said.by} on <OfficeDay at={said.at} />
            {said.note ? `: ${said.note}` : ""}
          </span>
        ) : null}
      </span>
      <Link
        href={`/office/files/${number}?show=alike&with=${alike.otherId}`}
        aria-current={current ? "page" : undefined}
      >
        Read them side by side
      </Link>
    </li>
  );
}

/** The statements of a file that are like somebody else's; what nobody has judged stands open, the rest is folded away. */
export function AlikeLines({
  number,
  likenesses,
  shown,
}: {
  number: string;
  likenesses: readonly AlikeStatements[];
  shown: string | null;
}) {
  if (likenesses.length === 0) return null;
  const harmless = likenesses.filter((l) => l.said?.verdict === "harmless");
  const rest = likenesses.filter((l) => l.said?.verdict !== "harmless");
  const lines = (all: readonly AlikeStatements[]) =>
    all.map((l) => <Line key={l.otherId + l.statementId} number={number} alike={l} current={l.otherId === shown} />);
  return (
    <aside className="doubles" aria-label="Statements like somebody else’s">
      <ul className="plain-list">{lines(rest)}</ul>
      {harmless.length > 0 ? (
        <details open={harmless.some((l) => l.otherId === shown)}>
          <summary className="quiet">
            {harmless.length} {harmless.length === 1 ? "likeness was" : "likenesses were"} judged to be nothing
          </summary>
          <ul className="plain-list">{lines(harmless)}</ul>
        </details>
      ) : null}
    </aside>
  );
}

const letter = (passage: number): string =>
  passage < 26 ? String.fromCharCode(97 + passage) : String(passage + 1 - 26);

/** A text with its shared passages underlined and lettered. */
function Marked({ pieces }: { pieces: readonly Piece[] }) {
  return (
    <p className="pre-line alike-text">
      {pieces.map(({ text, passage }, i) =>
        passage === null ? (
          // biome-ignore lint/suspicious/noArrayIndexKey: pieces of one text, never moved
          <span key={i}>{text}</span>
        ) : (
          // biome-ignore lint/suspicious/noArrayIndexKey: as above
          <mark key={i}>
            <sup>{letter(passage)}</sup>
            {text}
          </mark>
        ),
      )}
    </p>
  );
}

interface Stretch {
  readonly from: number;
  readonly to: number;
}

const WIDTH = 1000;
const BANDS = { own: 6, other: 58 } as const;

/** Where each passage lies in a text, as parts of a band of the width. */
function stretchesOf(pieces: readonly Piece[]): ReadonlyMap<number, Stretch> {
  const length = pieces.reduce((sum, p) => sum + p.text.length, 0);
  const stretches = new Map<number, Stretch>();
  let at = 0;
  for (const { text, passage } of pieces) {
    const to = at + text.length;
    if (passage !== null) stretches.set(passage, { from: (at / length) * WIDTH, to: (to / length) * WIDTH });
    at = to;
  }
  return stretches;
}

/** Both texts as lines, from their first word to their last, with what they share tied together. */
function Ties({ own, other }: { own: readonly Piece[]; other: readonly Piece[] }) {
  const [mine, theirs] = [stretchesOf(own), stretchesOf(other)];
  const ties = [...mine].flatMap(([passage, a]) => {
    const b = theirs.get(passage);
    return b ? [{ passage, a, b }] : [];
  });
  return (
    <svg className="alike-ties" viewBox={`0 0 ${WIDTH} 64`} preserveAspectRatio="none" role="img">
      <title>Where the shared passages stand in both statements</title>
      {ties.map(({ passage, a, b }) => (
        <polygon
          key={passage}
          className="tie"
          points={`${a.from},${BANDS.own} ${a.to},${BANDS.own} ${b.to},${BANDS.other} ${b.from},${BANDS.other}`}
        />
      ))}
      {[BANDS.own, BANDS.other].map((y) => (
        <line key={y} className="band" x1={0} x2={WIDTH} y1={y} y2={y} />
      ))}
      {ties.map(({ passage, a, b }) => (
        <g key={passage} className="shared">
          <line x1={a.from} x2={a.to} y1={BANDS.own} y2={BANDS.own} />
          <line x1={b.from} x2={b.to} y1={BANDS.other} y2={BANDS.other} />
        </g>
      ))}
    </svg>
  );
}

function Judge({ alike, act }: { alike: AlikeStatements; act: ActOnFile }) {
  const id = useId();
  const [note, setNote] = useState(alike.said?.note ?? "");
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const { statementId, otherId, said } = alike;
  const say = (verdict: Verdict) =>
    begin(async () => {
      setWrong(
        await act("judge-likeness", { statementId, otherId, verdict, note: verdict === "undecided" ? "" : note }),
      );
    });
  if (said)
    return (
      <div className="presses">
        <span>
          {SAID[said.verdict]}, said {said.by} on <OfficeDay at={said.at} />
          {said.note ? `: ${said.note}` : "."}
        </span>
        <Button loading={busy} onClick={() => say("undecided")}>
          Take back
        </Button>
        {wrong ? (
          <span role="alert" className="wrong">
            {wrong}
          </span>
        ) : null}
      </div>
    );
  return (
    <div className="alike-judge">
      <div className="field">
        <label htmlFor={id}>What you see in it (needed where it is copied; the office alone reads this)</label>
        <Input.TextArea
          id={id}
          autoSize={{ minRows: 2 }}
          maxLength={1000}
          value={note}
          onChange={(e) => setNote(e.target.value)}
        />
      </div>
      <div className="presses">
        <Button loading={busy} onClick={() => say("harmless")}>
          Nothing in it
        </Button>
        <Button disabled={busy || note.trim() === ""} onClick={() => say("copied")}>
          Copied
        </Button>
        {wrong ? (
          <span role="alert" className="wrong">
            {wrong}
          </span>
        ) : null}
      </div>
    </div>
  );
}

/** Two statements side by side: what they share, which came first, and what the office says of it. */
export function Alike({
  number,
  name,
  zone,
  comparison,
  act,
}: {
  number: string;
  name: string;
  zone: string;
  comparison: StatementComparison | null;
  act: ActOnFile;
}) {
  if (!comparison)
    return <p className="alike quiet">These two statements are no longer alike: one of them was sent anew since.</p>;
  const { alike, own, other, passages, question } = comparison;
  const first = alike.submittedAt <= alike.otherAt;
  return (
    <div className="alike">
      <h2>{question.en}</h2>
      <p>
        {alike.words} of {alike.of} words in {passages.length} {passages.length === 1 ? "passage" : "passages"}.{" "}
        {first ? "This statement was sent first." : "The other statement was sent first."}
      </p>
      {other ? <Ties own={own} other={other} /> : null}
      <div className="alike-both">
        <section aria-label="This statement">
          <h3>
            {number} {name} <span className="quiet">sent {formatMoment("en", alike.submittedAt, zone)}</span>
          </h3>
          <Marked pieces={own} />
        </section>
        <section aria-label="The other statement">
          <h3>
            {alike.other ? (
              <Link href={`/office/files/${alike.other.number}`}>
                {alike.other.number} {alike.other.name}
              </Link>
            ) : (
              `A file of ${alike.programmes.join(", ")}`
            )}{" "}
            <span className="quiet">sent {formatMoment("en", alike.otherAt, zone)}</span>
          </h3>
          {other ? (
            <Marked pieces={other} />
          ) : (
            <p className="quiet">
              This file is not yours to open. Somebody of {alike.programmes.join(", ")} can read both, and judge them.
            </p>
          )}
        </section>
      </div>
      {other ? <Judge alike={alike} act={act} /> : null}
    </div>
  );
}
