"use client";

import { Button } from "antd";
import Link from "next/link";

/** What the list shows, and the ways to other lists. */
export interface ListWays {
  readonly title: string;
  readonly total: number;
  readonly mine: boolean;
  readonly mineHref: string;
  readonly round: "open" | "closed" | null;
  readonly roundHref: string;
  /** Only files with statements like somebody else’s. */
  readonly alike: boolean;
  readonly alikeHref: string;
  /** The answer that the list is narrowed to, in words, and the list without that. */
  readonly said: string | null;
  readonly saidHref: string;
}

/** The head of the turn list: what it holds, how it is narrowed, and what is done with the marked files. */
export function ListHead({
  title,
  total,
  mine,
  mineHref,
  round,
  roundHref,
  alike,
  alikeHref,
  said: answer,
  saidHref,
  late,
  marked,
  take,
  copy,
}: ListWays & { late: number; marked: number; take: () => Promise<void>; copy: () => void }) {
  return (
    <header>
      <h1>{title}</h1>
      <span className="quiet">
        {total} {total === 1 ? "file" : "files"} · {late} late on this page · most urgent first
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
        {marked > 0 ? (
          <>
            <Button size="small" onClick={() => void take()}>
              Take {marked} <span className="key">t</span>
            </Button>{" "}
            <Button size="small" onClick={() => copy()}>
              Copies
            </Button>
          </>
        ) : null}
      </span>
    </header>
  );
}
