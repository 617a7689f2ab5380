"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { keepPast, keptPast } from "./kept-past";

const PAUSE_MS = 700;
const MOST_UNDO = 100;

export type DraftSaved =
  | { readonly kind: "saved" | "saving" | "unsaved" }
  | { readonly kind: "refused"; readonly text: string };

/** Keeps a state of a draft; each save carries the number that the one before it gave. */
export type StoreDraft<T> = (
  edit: number,
  body: T,
) => Promise<{ readonly edit: number } | { readonly refused: string }>;

const SAVED_WORDS = { saved: "Saved.", saving: "Saving …", unsaved: "Not saved yet." } as const;

export const savedWords = (saved: DraftSaved): string =>
  saved.kind === "refused" ? saved.text : SAVED_WORDS[saved.kind];

export interface Draft<T> {
  readonly body: T;
  readonly saved: DraftSaved;
  readonly set: (next: T) => void;
  /** Null while there is nothing to take back, or to do again. */
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
  /** Keeps what stands here, then lets the server change it. @param work gives the new number and state, or why not */
  readonly through: (
    work: (edit: number) => Promise<{ readonly edit: number; readonly body: T } | { readonly refused: string }>,
  ) => Promise<string | null>;
}

/**
 * A draft that is written piece by piece: every change is kept by itself, and can be taken back, after leaving the page, too.
 * @param name what tells this draft from all others
 */
export function useDraft<T>(name: string, first: T, firstEdit: number, store: StoreDraft<T>): Draft<T> {
  const [body, setBody] = useState(first);
  const [saved, setSaved] = useState<DraftSaved>({ kind: "saved" });
  const [past, setPast] = useState<readonly T[]>([]);
  const [future, setFuture] = useState<readonly T[]>([]);
  const edit = useRef(firstEdit);
  const before = useRef(past);
  before.current = past;
  useEffect(() => setPast(keptPast<T>(name, edit.current)), [name]);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const busy = useRef<Promise<void>>(Promise.resolve());

  const keep = useCallback(
    (next: T) => {
      busy.current = busy.current.then(async () => {
        setSaved({ kind: "saving" });
        const outcome = await store(edit.current, next).catch(() => ({
          refused: "There is no connection. The change stays on this page; make another to try again.",
        }));
        if ("refused" in outcome) setSaved({ kind: "refused", text: outcome.refused });
        else {
          edit.current = outcome.edit;
          keepPast(name, outcome.edit, before.current);
          setSaved({ kind: "saved" });
        }
      });
      return busy.current;
    },
    [store, name],
  );
  const save = (next: T) => {
    setSaved({ kind: "unsaved" });
    clearTimeout(timer.current);
    timer.current = setTimeout(() => void keep(next), PAUSE_MS);
  };
  useEffect(() => {
    const warn = (e: BeforeUnloadEvent) => saved.kind !== "saved" && e.preventDefault();
    window.addEventListener("beforeunload", warn);
    return () => window.removeEventListener("beforeunload", warn);
  }, [saved]);

  const remember = () => setPast((all) => [...all.slice(-MOST_UNDO), body]);
  const step = (
    from: readonly T[],
    setFrom: (next: readonly T[]) => void,
    to: readonly T[],
    setTo: (next: readonly T[]) => void,
  ) => {
    const target = from.at(-1);
    if (target === undefined) return null;
    return () => {
      setFrom(from.slice(0, -1));
      setTo([...to, body]);
      setBody(target);
      save(target);
    };
  };
  return {
    body,
    saved,
    set: (next) => {
      remember();
      setFuture([]);
      setBody(next);
      save(next);
    },
    undo: step(past, setPast, future, setFuture),
    redo: step(future, setFuture, past, setPast),
    through: async (work) => {
      clearTimeout(timer.current);
      await keep(body);
      const outcome = await work(edit.current);
      if ("refused" in outcome) return outcome.refused;
      edit.current = outcome.edit;
      keepPast(name, outcome.edit, [...before.current, body]);
      remember();
      setBody(outcome.body);
      return null;
    },
  };
}
