"use client";

import { dequal } from "dequal";
import { useCallback, useEffect, useRef, useState } from "react";
import type { ValueIssue } from "../../core/answers/check-value";
import type { Json } from "../../core/file/facts";
import { type AnswerPlace, answerKey } from "../../core/file/place";
import type { FormSection } from "../../core/form/form-sections";
import type { PartState } from "../../core/form/part-states";
import type { SaveRefusal, SaveResult } from "../../core/form/save-result";
import {
  type Change,
  type HeldChange,
  isAtEntry,
  keepUnsent,
  NOTHING_UNSENT,
  type Removal,
  readUnsent,
  typedBefore,
  type Unsent,
  waits,
  without,
} from "./unsent";

/**
 * Saves fields as they are left. What has not been sent yet waits in this browser, per person and application, so that a
 * failing line, a closed window or a crash loses nothing; it is sent as soon as the line is back. A field that was changed in
 * another window is never overwritten: both values are shown and the person chooses. What the server will never take is
 * shown with its reason, and stays until the person lets it go.
 */
export interface FieldState {
  readonly issue?: ValueIssue | null;
  readonly held?: HeldChange;
}
export type SaveStatus =
  | { readonly kind: "idle" | "saving" | "waiting" | "signedOut" }
  | { readonly kind: "saved"; readonly at: string };

/** Why a change is held back, with what is needed to decide about it. */
type HeldReason =
  | { readonly why: SaveRefusal }
  | Pick<Extract<HeldChange, { why: "conflict" }>, "why" | "theirs" | "version">;

const RETRY_MS = 4000;
const KEEPALIVE_BYTES = 60_000;
/** So many travel in one request; what the server refuses whole is sent again in halves, until what it refuses is one. */
const MOST_AT_ONCE = 500;

interface Answer {
  readonly results: readonly SaveResult[];
  readonly removals: readonly boolean[];
  readonly savedAt: string;
  readonly sections: readonly FormSection[];
  readonly parts: readonly PartState[];
}

type Sent =
  | { readonly kind: "answered"; readonly answer: Answer }
  /** Nobody is signed in, or somebody else is: nothing is wrong with what was typed. */
  | { readonly kind: "signedOut" }
  | { readonly kind: "failed" }
  /** The request itself was not understood. */
  | { readonly kind: "refused"; readonly tooLong: boolean };

const NOT_NOW = new Set([408, 425, 429]);

async function post(body: string, leaving: boolean): Promise<Sent> {
  try {
    const response = await fetch("/api/answers", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body,
      keepalive: leaving && body.length < KEEPALIVE_BYTES,
    });
    if (response.ok) return { kind: "answered", answer: (await response.json()) as Answer };
    if (response.status === 401 || response.status === 403) return { kind: "signedOut" };
    if (response.status >= 500 || NOT_NOW.has(response.status)) return { kind: "failed" };
    return { kind: "refused", tooLong: response.status === 413 };
  } catch {
    return { kind: "failed" };
  }
}

export function useAutosave(input: {
  readonly applicationId: string;
  readonly personId: string;
  readonly versions: Readonly<Record<string, number>>;
  /** The sections on this page, as `scope|section`. */
  readonly page: readonly string[];
  readonly onSections: (sections: readonly FormSection[]) => void;
  readonly onParts: (parts: readonly PartState[]) => void;
  /** The server keeps an entry that was taken out here. */
  readonly onKeptEntry: (entry: Removal) => void;
}) {
  const storageKey = `unvex.waiting.${input.personId}.${input.applicationId}`;
  const unsent = useRef<Unsent>(NOTHING_UNSENT);
  const versions = useRef<Record<string, number>>({ ...input.versions });
  const sending = useRef(false);
  const most = useRef(MOST_AT_ONCE);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const latest = useRef(input);
  latest.current = input;
  const [status, setStatus] = useState<SaveStatus>({ kind: "idle" });
  const [issues, setIssues] = useState<Readonly<Record<string, ValueIssue | null>>>({});
  const [held, setHeld] = useState<Unsent["held"]>({});

  const put = useCallback(
    (next: Partial<Unsent>) => {
      unsent.current = { ...unsent.current, ...next };
      keepUnsent(storageKey, unsent.current);
      if (next.held) setHeld(next.held);
    },
    [storageKey],
  );

  const hold = useCallback(
    ({ seen: _seen, ...change }: Change, why: HeldReason) => {
      const key = answerKey(change);
      put({
        // What was typed there since goes its own way.
        changes: without(unsent.current.changes, (c) => answerKey(c) === key && dequal(c.value, change.value)),
        held: { ...unsent.current.held, [key]: { ...change, ...why } },
      });
    },
    [put],
  );

  const takeAnswer = useCallback(
    (sent: readonly Change[], gone: readonly Removal[], answer: Answer) => {
      const judged: Record<string, ValueIssue | null> = {};
      for (const [i, change] of sent.entries()) {
        const key = answerKey(change);
        const result = answer.results[i];
        if (result?.state === "refused") hold(change, { why: result.why });
        if (result?.state === "conflict")
          hold(change, { why: "conflict", theirs: result.value, version: result.version });
        if (result?.state !== "saved") continue;
        versions.current[key] = result.version;
        judged[key] = result.issue;
        const { [key]: now, ...others } = unsent.current.changes;
        const { [key]: _settled, ...still } = unsent.current.held;
        // What was typed meanwhile goes on from the version that this one has made.
        const goesOn = now && now !== change ? { ...others, [key]: { ...now, seen: result.version } } : others;
        put({ changes: goesOn, ...(_settled ? { held: still } : {}) });
      }
      put({ removed: unsent.current.removed.filter((r) => !gone.includes(r)) });
      gone.forEach((entry, i) => {
        if (answer.removals[i] === false) latest.current.onKeptEntry(entry);
      });
      setIssues((all) => ({ ...all, ...judged }));
      latest.current.onSections(answer.sections);
      latest.current.onParts(answer.parts);
      setStatus({ kind: "saved", at: answer.savedAt });
    },
    [put, hold],
  );

  const flush = useCallback(
    async (leaving = false): Promise<void> => {
      if ((sending.current && !leaving) || !waits(unsent.current)) return;
      const changes = Object.values(unsent.current.changes).slice(0, most.current);
      const removed = unsent.current.removed.slice(0, most.current - changes.length);
      const { applicationId, page } = latest.current;
      sending.current = true;
      setStatus({ kind: "saving" });
      const sent = await post(JSON.stringify({ applicationId, changes, removed, page }), leaving);
      sending.current = false;
      if (sent.kind === "answered") {
        most.current = MOST_AT_ONCE;
        takeAnswer(changes, removed, sent.answer);
      } else if (sent.kind === "refused") {
        // One of them is not understood: the half with it is found, down to the one. What stands beside it goes its way.
        const [only] = changes;
        const together = changes.length + removed.length;
        if (together > 1) most.current = Math.ceil(together / 2);
        else if (only) hold(only, { why: sent.tooLong ? "too-long" : "unknown" });
        else put({ removed: unsent.current.removed.filter((r) => !removed.includes(r)) });
        if (together === 1) for (const entry of removed) latest.current.onKeptEntry(entry);
        if (!waits(unsent.current)) setStatus({ kind: "idle" });
      } else {
        setStatus({ kind: sent.kind === "signedOut" ? "signedOut" : "waiting" });
        timer.current ??= setTimeout(() => {
          timer.current = null;
          void flush();
        }, RETRY_MS);
        return;
      }
      // What came while this was on its way: values, and entries that were taken out.
      if (timer.current === null) void flush();
    },
    [put, hold, takeAnswer],
  );

  useEffect(() => {
    put(readUnsent(storageKey));
    void flush();
    const online = () => void flush();
    const hidden = () => {
      if (document.visibilityState === "hidden") void flush(true);
    };
    window.addEventListener("online", online);
    document.addEventListener("visibilitychange", hidden);
    return () => {
      window.removeEventListener("online", online);
      document.removeEventListener("visibilitychange", hidden);
      if (timer.current) clearTimeout(timer.current);
    };
  }, [flush, put, storageKey]);

  const save = useCallback(
    (changed: readonly (AnswerPlace & { readonly value: Json })[]) => {
      const fresh = changed.map((change) => {
        const key = answerKey(change);
        return [key, { ...change, seen: versions.current[key] ?? 0 }] as const;
      });
      put({ changes: { ...unsent.current.changes, ...Object.fromEntries(fresh) } });
      void flush();
    },
    [flush, put],
  );

  const remove = useCallback(
    (entry: Removal) => {
      put({
        changes: without(unsent.current.changes, (c) => isAtEntry(c, entry)),
        removed: [...unsent.current.removed, entry],
      });
      void flush();
    },
    [flush, put],
  );

  const letGo = useCallback(
    (place: AnswerPlace) => put({ held: without(unsent.current.held, (h) => answerKey(h) === answerKey(place)) }),
    [put],
  );

  /** Answers a conflict: what stands here is written over the other value, else the other value counts. */
  const resolve = useCallback(
    (place: AnswerPlace, value: Json, keepMine: boolean) => {
      const key = answerKey(place);
      const settled = unsent.current.held[key];
      if (settled?.why === "conflict") versions.current[key] = Math.max(versions.current[key] ?? 0, settled.version);
      letGo(place);
      if (keepMine) save([{ ...place, value }]);
    },
    [letGo, save],
  );

  const waiting = useCallback(() => typedBefore(readUnsent(storageKey)), [storageKey]);
  const stateOf = (key: string): FieldState => ({ issue: issues[key], held: held[key] });

  return { status, stateOf, held, save, remove, resolve, letGo, waiting };
}
