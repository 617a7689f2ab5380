"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import type { Json } from "../core/assessment/facts";
import type { ValueIssue } from "../core/sections/check-value";
import type { FormSection } from "../views/form-sections";

/**
 * Saves fields as they are left. What has not been sent yet waits in this browser, per person and application, so that a
 * failing line, a closed window or a crash loses nothing; it is sent as soon as the line is back. A field that was changed in
 * another window is never overwritten: both values are shown and the person chooses.
 */
export interface Place {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly field: string;
}

interface Change extends Place {
  readonly value: Json;
  readonly seen: number;
}

interface Removal {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
}

type Answered =
  | { readonly state: "saved"; readonly version: number; readonly issue: ValueIssue | null }
  | { readonly state: "conflict"; readonly version: number; readonly value: Json }
  | { readonly state: "locked" };

export type FieldState = {
  readonly issue?: ValueIssue | null;
  readonly conflict?: { readonly value: Json; readonly version: number };
  readonly locked?: boolean;
};
export type SaveStatus =
  | { readonly kind: "idle" | "saving" | "waiting" | "signedOut" }
  | { readonly kind: "saved"; readonly at: string };

export const placeKey = (p: Place): string => `${p.scope}|${p.section}|${p.entry}|${p.field}`;

interface Waiting {
  changes: Record<string, Change>;
  removed: Removal[];
}

const RETRY_MS = 4000;
const KEEPALIVE_BYTES = 60_000;

function readWaiting(key: string): Waiting {
  try {
    const stored = localStorage.getItem(key);
    if (stored) return JSON.parse(stored) as Waiting; // written by ourselves
  } catch {
    // no storage in this browser: what is typed waits in memory alone
  }
  return { changes: {}, removed: [] };
}

function keep(key: string, waiting: Waiting): void {
  try {
    if (Object.keys(waiting.changes).length === 0 && waiting.removed.length === 0) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(waiting));
  } catch {
    // as above
  }
}

export function useAutosave(input: {
  readonly applicationId: string;
  readonly number: string;
  readonly personId: string;
  readonly versions: Readonly<Record<string, number>>;
  /** The sections on this page, as `scope|section`. */
  readonly page: readonly string[];
  readonly onSections: (sections: readonly FormSection[]) => void;
}) {
  const storageKey = `unvex.waiting.${input.personId}.${input.applicationId}`;
  const waiting = useRef<Waiting>({ changes: {}, removed: [] });
  const versions = useRef<Record<string, number>>({ ...input.versions });
  const sending = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const latest = useRef(input);
  latest.current = input;
  const [status, setStatus] = useState<SaveStatus>({ kind: "idle" });
  const [fields, setFields] = useState<Readonly<Record<string, FieldState>>>({});

  const flush = useCallback(
    async (leaving = false): Promise<void> => {
      const changes = Object.values(waiting.current.changes);
      const removed = [...waiting.current.removed];
      if ((sending.current && !leaving) || (changes.length === 0 && removed.length === 0)) return;
      sending.current = true;
      setStatus({ kind: "saving" });
      const again = () => {
        timer.current ??= setTimeout(() => {
          timer.current = null;
          void flush();
        }, RETRY_MS);
      };
      try {
        const body = JSON.stringify({
          applicationId: latest.current.applicationId,
          number: latest.current.number,
          changes,
          removed,
          page: latest.current.page,
        });
        const response = await fetch("/api/answers", {
          method: "POST",
          headers: { "content-type": "application/json" },
          body,
          keepalive: leaving && body.length < KEEPALIVE_BYTES,
        });
        if (response.status === 401) {
          setStatus({ kind: "signedOut" });
          again();
          return;
        }
        if (response.status >= 500) throw new Error("server");
        if (!response.ok) {
          // Refused for good: the server does not know these fields any more. They are not asked again.
          waiting.current = { changes: {}, removed: [] };
          keep(storageKey, waiting.current);
          setStatus({ kind: "idle" });
          return;
        }
        const answer = (await response.json()) as { results: Answered[]; savedAt: string; sections: FormSection[] };
        settle(changes, removed, answer.results);
        latest.current.onSections(answer.sections);
        setStatus({ kind: "saved", at: answer.savedAt });
      } catch {
        setStatus({ kind: "waiting" });
        again();
      } finally {
        sending.current = false;
      }
      // What came while this was on its way: values, and entries that were taken out.
      const more = Object.keys(waiting.current.changes).length + waiting.current.removed.length > 0;
      if (more && timer.current === null) void flush();

      function settle(sent: readonly Change[], gone: readonly Removal[], results: readonly Answered[]) {
        const states: Record<string, FieldState> = {};
        sent.forEach((change, i) => {
          const key = placeKey(change);
          const result = results[i];
          if (!result) return;
          if (JSON.stringify(waiting.current.changes[key]?.value) === JSON.stringify(change.value))
            delete waiting.current.changes[key];
          if (result.state === "saved") {
            versions.current[key] = result.version;
            states[key] = { issue: result.issue };
            const still = waiting.current.changes[key];
            if (still) waiting.current.changes[key] = { ...still, seen: result.version };
          } else if (result.state === "conflict")
            states[key] = { conflict: { value: result.value, version: result.version } };
          else states[key] = { locked: true };
        });
        waiting.current.removed = waiting.current.removed.filter(
          (r) => !gone.some((g) => g.entry === r.entry && g.section === r.section),
        );
        keep(storageKey, waiting.current);
        setFields((all) => ({ ...all, ...states }));
      }
    },
    [storageKey],
  );

  useEffect(() => {
    waiting.current = readWaiting(storageKey);
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
  }, [flush, storageKey]);

  const save = useCallback(
    (changed: readonly (Place & { readonly value: Json })[]) => {
      for (const change of changed) {
        const key = placeKey(change);
        waiting.current.changes[key] = { ...change, seen: versions.current[key] ?? 0 };
      }
      keep(storageKey, waiting.current);
      void flush();
    },
    [flush, storageKey],
  );

  const remove = useCallback(
    (place: Removal) => {
      for (const key of Object.keys(waiting.current.changes))
        if (key.startsWith(`${place.scope}|${place.section}|${place.entry}|`)) delete waiting.current.changes[key];
      waiting.current.removed.push(place);
      keep(storageKey, waiting.current);
      void flush();
    },
    [flush, storageKey],
  );

  /** Answers a conflict: `keep` writes what stands here over the other value, else the other value counts. */
  const resolve = useCallback(
    (place: Place, value: Json, keepMine: boolean) => {
      const key = placeKey(place);
      setFields((all) => {
        const conflict = all[key]?.conflict;
        if (conflict) versions.current[key] = conflict.version;
        return { ...all, [key]: {} };
      });
      if (keepMine) queueMicrotask(() => save([{ ...place, value }]));
    },
    [save],
  );

  /** What waits unsent from an earlier visit: it goes back into its fields. */
  const unsent = useCallback((): Readonly<Record<string, Json>> => {
    const stored = readWaiting(storageKey);
    return Object.fromEntries(Object.entries(stored.changes).map(([key, change]) => [key, change.value]));
  }, [storageKey]);

  return { status, fields, save, remove, resolve, unsent };
}
