"use client";

import { useState } from "react";

/** Lines of a table that are marked, to be worked on together. */
export interface Marks {
  readonly has: (id: string) => boolean;
  readonly toggle: (id: string) => void;
  readonly set: (ids: readonly string[]) => void;
}

export function useMarks(): Marks {
  const [marked, setMarked] = useState<ReadonlySet<string>>(new Set());
  return {
    has: (id) => marked.has(id),
    toggle: (id) =>
      setMarked((all) => {
        const next = new Set(all);
        if (!next.delete(id)) next.add(id);
        return next;
      }),
    set: (ids) => setMarked(new Set(ids)),
  };
}

/** The box at the head of the column: all lines that are shown, or none. */
export function MarkAll({ marks, ids, label }: { marks: Marks; ids: readonly string[]; label: string }) {
  const all = ids.length > 0 && ids.every(marks.has);
  return <input type="checkbox" checked={all} onChange={() => marks.set(all ? [] : ids)} aria-label={label} />;
}

export function MarkOne({ marks, id, label }: { marks: Marks; id: string; label: string }) {
  return <input type="checkbox" checked={marks.has(id)} onChange={() => marks.toggle(id)} aria-label={label} />;
}

export const people = (count: number): string => (count === 1 ? "one person" : `${count} people`);
