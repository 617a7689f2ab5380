"use client";

import { useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { BESIDE_BOXES } from "./keys";

/** The keys of a screen, shown by `?`. */
export function KeyList({ keys }: { keys: readonly (readonly [string, string])[] }) {
  const [open, setOpen] = useState(false);
  // By the sign, not by the key: on other keyboards it lies elsewhere.
  useHotkeys("?", () => setOpen((o) => !o), {
    ...BESIDE_BOXES,
    preventDefault: true,
    useKey: true,
    ignoreModifiers: true,
  });
  useHotkeys("escape", () => setOpen(false), BESIDE_BOXES);
  return (
    <details className="key-list" open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>
        Keys <span className="key">?</span>
      </summary>
      <dl>
        {keys.map(([key, what]) => (
          <div key={key}>
            <dt>{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}
