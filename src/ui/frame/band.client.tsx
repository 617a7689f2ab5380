"use client";

import { usePathname } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import type { PageCounts } from "../../views/turns/page-counts";
import { FindBox } from "./find-box.client";
import { useGoKeys } from "./go-keys.client";
import { type OfficeGroup, type OfficePage, pageAt } from "./office-pages";
import { Way } from "./way.client";

const NONE: PageCounts = {};

/** What waits where, asked for anew whenever a list of the band opens. */
function usePageCounts(open: boolean): PageCounts {
  const [counts, setCounts] = useState(NONE);
  useEffect(() => {
    if (!open) return;
    const gone = new AbortController();
    const look = async () => {
      const answer = await fetch("/api/page-counts", { signal: gone.signal });
      if (answer.ok) setCounts((await answer.json()) as PageCounts); // our own route writes it so
    };
    look().catch(() => undefined); // the pages are reached without their counts
    return () => gone.abort();
  }, [open]);
  return counts;
}

/** A group of the band: its only page, or a word that opens the list of its pages. */
function Group({
  group,
  at,
  open,
  counts,
  turn,
}: {
  group: OfficeGroup;
  at: OfficePage | undefined;
  open: boolean;
  /** How much waits on its pages, once that is known. */
  counts: PageCounts;
  /** Opens or closes it. */
  turn: (open: boolean) => void;
}) {
  const [only] = group.pages;
  const here = at !== undefined && group.pages.includes(at);
  if (group.pages.length === 1 && only)
    return (
      <Way loading="Loading …" href={only.href} aria-current={here ? "page" : undefined}>
        {group.word}
      </Way>
    );
  return (
    <div className="band-group">
      <button type="button" aria-expanded={open} data-here={here} onClick={() => turn(!open)}>
        {group.word}
        {here && at.word !== group.word ? <span className="band-here">{at.word}</span> : null}
        <span className="fold" aria-hidden="true" />
      </button>
      {open ? (
        <ul>
          {group.pages.map((page) => (
            <li key={page.href}>
              <Way loading="Loading …" href={page.href} aria-current={page === at ? "page" : undefined}>
                <span>
                  {page.word} <span className="quiet">{counts[page.href] ?? ""}</span>
                </span>
                <span className="key" aria-hidden="true">
                  g {page.letter}
                </span>
              </Way>
            </li>
          ))}
        </ul>
      ) : null}
    </div>
  );
}

/** One slim band: groups of pages that follow the work, and a field that reaches everything by typing. */
export function Band({
  groups,
  name,
  findAt,
  signOut,
}: {
  groups: readonly OfficeGroup[];
  name: string;
  /** The list that is looked through; null for whoever has none. */
  findAt: string | null;
  signOut: () => Promise<void>;
}) {
  const path = usePathname();
  const [open, setOpen] = useState<string | null>(null);
  const field = useRef<HTMLInputElement>(null);
  const nav = useRef<HTMLElement>(null);
  const counts = usePageCounts(open !== null);
  const at = pageAt(groups, path);
  useGoKeys(groups);
  // biome-ignore lint/correctness/useExhaustiveDependencies: whoever has come to another page has chosen
  useEffect(() => setOpen(null), [path]);
  useEffect(() => {
    if (open === null) return;
    const away = (e: Event) => {
      if (e instanceof KeyboardEvent ? e.key !== "Escape" : nav.current?.contains(e.target as Node)) return; // only elements are pressed
      if (e instanceof KeyboardEvent) nav.current?.querySelector<HTMLElement>('[aria-expanded="true"]')?.focus();
      setOpen(null);
    };
    document.addEventListener("pointerdown", away);
    document.addEventListener("keydown", away);
    return () => {
      document.removeEventListener("pointerdown", away);
      document.removeEventListener("keydown", away);
    };
  }, [open]);
  return (
    <header className="band">
      <Way loading="Loading …" href="/office" className="band-brand">
        Unvex
      </Way>
      <nav aria-label="Office" ref={nav}>
        {groups.map((group) => (
          <Group
            key={group.word}
            group={group}
            at={at}
            open={open === group.word}
            counts={counts}
            turn={(opens) => setOpen(opens ? group.word : null)}
          />
        ))}
      </nav>
      {groups.length === 0 ? <span className="find" /> : <FindBox pages={groups} findAt={findAt} field={field} />}
      <details className="name-menu">
        <summary>{name}</summary>
        <div>
          <Way loading="Loading …" href="/account">
            Account
          </Way>
          <form action={signOut}>
            <button type="submit" className="link-button">
              Sign out
            </button>
          </form>
        </div>
      </details>
    </header>
  );
}
