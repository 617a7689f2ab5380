"use client";

import Link from "next/link";
import { readComb } from "../../core/assessment/comb";
import { Comb } from "../assessment/comb";

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
  /** By what it was found where that was not its name. */
  readonly foundBy: string | null;
}

/** A line as one would read it out. */
export function inWords(line: TurnLine | undefined, at: number, of: number): string {
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

/** Whose hands, as short as it is still told apart in an office. */
const initials = (name: string): string =>
  name
    .split(/\s+/u)
    .map((part) => [...part][0] ?? "")
    .join("");

/** One file of the turn list. */
export function Line({
  line,
  round,
  here,
  marked,
  choose,
  mark,
}: {
  line: TurnLine;
  round: "open" | "closed" | null;
  /** Whether the cursor stands on it. */
  here: boolean;
  marked: boolean;
  choose: () => void;
  mark: () => void;
}) {
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: the keyboard moves the cursor with j and k; the name is a link
    <li data-cursor={here} onClick={choose}>
      <input type="checkbox" checked={marked} onChange={mark} aria-label={`Mark ${line.name}`} />
      <span className={line.late ? "left late" : "left"} title={line.due}>
        {line.left}
      </span>
      <Link href={`/office/files/${line.number}`} className="serif name" prefetch={false}>
        {line.name}
        {line.foundBy ? <span className="quiet found-by"> {line.foundBy}</span> : null}
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
      <span className="quiet last">
        {line.last}
        {line.officer ? (
          <span className="hands" title={`In the hands of ${line.officer}`}>
            {initials(line.officer)}
          </span>
        ) : null}
      </span>
    </li>
  );
}
