"use client";

import { Button } from "antd";
import { useState } from "react";
import { formatDate } from "../text/format";
import type { FileData } from "../views/file";

type Ask = FileData["asks"][number];

/** What the applicant was asked for and has not answered with a document; settled here where the answer came in another way. */
export function OpenAsks({ asks, onSettle }: { asks: readonly Ask[]; onSettle: (ask: Ask) => Promise<unknown> }) {
  const [busy, setBusy] = useState(false);
  if (asks.length === 0) return null;
  const settle = async (ask: Ask) => {
    setBusy(true);
    await onSettle(ask);
    setBusy(false);
  };
  const last = asks[asks.length - 1];
  return (
    <section className="open-asks" aria-label="Asked of the applicant">
      <h3>Asked of the applicant</h3>
      <ul>
        {asks.map((ask) => (
          <li key={ask.id}>
            {ask.text || "Another document, for the one that was sent back"}
            <span className="quiet note">
              asked on {formatDate("en", ask.askedAt.slice(0, 10))}, to be answered by {formatDate("en", ask.due)}
            </span>
          </li>
        ))}
      </ul>
      <p className="quiet">
        A document supplied for it ends this by itself. Settle it where the answer came in another way, or nothing more
        is needed.
      </p>
      {last ? (
        <Button size="small" loading={busy} onClick={() => void settle(last)}>
          Settle
        </Button>
      ) : null}
    </section>
  );
}
