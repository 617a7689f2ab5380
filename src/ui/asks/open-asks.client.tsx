"use client";

import { Button } from "antd";
import { formatDate } from "../../text/format";
import type { FileData } from "../../views/assessment/file-data";
import { OfficeDay } from "../frame/office-day.client";
import { useAsking } from "../frame/unanswered.client";

type Ask = FileData["asks"][number];

const samePlace = (a: Ask, b: Ask) => a.requirement === b.requirement && a.scope === b.scope && a.entry === b.entry;

/**
 * What the applicant was asked for and has not answered with a document; settled here where the answer came in another way. What is
 * asked at one place is settled together.
 */
export function OpenAsks({ asks, onSettle }: { asks: readonly Ask[]; onSettle: (ask: Ask) => Promise<unknown> }) {
  const [busy, begin] = useAsking();
  if (asks.length === 0) return null;
  const settle = (ask: Ask) => begin(() => onSettle(ask));
  return (
    <section className="open-asks" aria-label="Asked of the applicant">
      <h3>Asked of the applicant</h3>
      <ul>
        {asks.map((ask, i) => (
          <li key={ask.id}>
            {ask.text || "Another document, for the one that was sent back"}
            <span className="quiet note">
              asked on <OfficeDay at={ask.askedAt} />, to be answered by {formatDate("en", ask.due)}
            </span>
            {asks.slice(i + 1).some((later) => samePlace(ask, later)) ? null : (
              <Button size="small" loading={busy} onClick={() => settle(ask)}>
                Settle
              </Button>
            )}
          </li>
        ))}
      </ul>
      <p className="quiet">
        A document supplied for it ends this by itself. Settle it where the answer came in another way, or nothing more
        is needed.
      </p>
    </section>
  );
}
