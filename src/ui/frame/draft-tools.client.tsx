"use client";

import { Button } from "antd";
import { useState } from "react";
import { type Draft, savedWords } from "./use-draft.client";

/** Undo, redo, and whether everything is kept. */
export function DraftTools<T>({ draft, children }: { draft: Draft<T>; children?: React.ReactNode }) {
  return (
    <>
      <Button size="small" disabled={!draft.undo} onClick={() => draft.undo?.()}>
        Undo
      </Button>
      <Button size="small" disabled={!draft.redo} onClick={() => draft.redo?.()}>
        Redo
      </Button>
      {children}
      <span role="status" className={draft.saved.kind === "refused" ? "wrong" : "quiet"}>
        {savedWords(draft.saved)}
      </span>
    </>
  );
}

/** Takes a draft over from a JSON file; one that cannot be read says where it is wrong, and nothing is taken over. */
export function ImportFile<T>({
  read,
  take,
}: {
  read: (text: string) => { readonly body: T } | { readonly wrong: readonly string[] };
  take: (body: T) => void;
}) {
  const [broken, setBroken] = useState<readonly string[]>([]);
  return (
    <>
      <label className="file-press">
        Import from a file
        <input
          type="file"
          accept="application/json,.json"
          onChange={async (e) => {
            const input = e.target;
            const [file] = input.files ?? [];
            if (!file) return;
            const outcome = read(await file.text());
            input.value = "";
            if ("wrong" in outcome) setBroken(outcome.wrong);
            else {
              setBroken([]);
              take(outcome.body);
            }
          }}
        />
      </label>
      {broken.length > 0 ? (
        <div role="alert" className="wrong import-broken">
          <p>The file was not taken over. What is wrong with it:</p>
          <ul className="plain-list">
            {broken.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </div>
      ) : null}
    </>
  );
}
