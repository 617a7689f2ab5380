"use client";

import { useRouter } from "next/navigation";
import { type RefObject, useEffect, useLayoutEffect, useRef, useState } from "react";
import { listNews } from "./list-news";
import type { TurnLine } from "./turn-line.client";

const LOOK_MS = 10_000;

/**
 * The cursor of a list that others change meanwhile. It stays on the file on which it was put, and that line stays where it is on the
 * screen, whatever comes above it; where the file has gone, the cursor stays at its place.
 */
export function useHeldCursor(rows: readonly TurnLine[], list: RefObject<HTMLOListElement | null>) {
  const [held, hold] = useState<{ readonly id: string | null; readonly index: number }>({ id: null, index: 0 });
  const found = held.id === null ? -1 : rows.findIndex((r) => r.id === held.id);
  const cursor = found >= 0 ? found : Math.max(0, Math.min(held.index, rows.length - 1));
  const top = useRef<number | null>(null);
  const room = useRef(0);
  const makeRoom = (px: number) => {
    room.current = Math.max(0, px);
    if (list.current) list.current.style.paddingTop = room.current > 0 ? `${room.current}px` : "";
  };
  // After each drawing, whatever it was that has changed.
  useLayoutEffect(() => {
    const here = () => list.current?.children[cursor]?.getBoundingClientRect().top ?? null;
    const off = () => (here() ?? 0) - (top.current ?? 0);
    if (found >= 0 && top.current !== null && off() !== 0) {
      window.scrollBy(0, off());
      // At the upper end of the page nothing can be scrolled: what has gone leaves its room until the cursor goes on.
      if (off() !== 0) makeRoom(room.current - off());
    }
    top.current = here();
    const keep = () => {
      top.current = here();
    };
    window.addEventListener("scroll", keep, { passive: true });
    return () => window.removeEventListener("scroll", keep);
  });
  const setCursor = (index: number) => {
    top.current = null;
    makeRoom(0);
    hold({ id: rows[index]?.id ?? null, index });
  };
  return [cursor, setCursor] as const;
}

/**
 * Asks now and then whether the list is still as it stands, and has it read anew where it is not.
 * @param digest what the list was when it was read
 * @param address where that is asked
 * @param paused while something is being written over the list
 * @param tell what came and what went
 */
export function useListWatch(
  rows: readonly TurnLine[],
  digest: string,
  address: string,
  paused: boolean,
  tell: (news: string) => void,
): void {
  const router = useRouter();
  const before = useRef<readonly TurnLine[] | null>(null);
  const telling = useRef(tell);
  telling.current = tell;
  useEffect(() => {
    const known = before.current;
    before.current = null;
    const news = known && listNews(known, rows);
    if (news) telling.current(news);
  }, [rows]);
  useEffect(() => {
    if (paused) return;
    let asking = false;
    const look = async () => {
      if (document.hidden || asking) return;
      asking = true;
      // Without a line the list stays as it is, and is asked about again.
      const answer = await fetch(address, { cache: "no-store" }).catch(() => null);
      asking = false;
      if (!answer?.ok || (await answer.text()) === digest) return;
      before.current = rows;
      router.refresh();
    };
    const again = setInterval(() => void look(), LOOK_MS);
    const back = () => void look();
    document.addEventListener("visibilitychange", back);
    return () => {
      clearInterval(again);
      document.removeEventListener("visibilitychange", back);
    };
  }, [rows, digest, address, paused, router]);
}
