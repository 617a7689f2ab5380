"use client";

import { Input } from "antd";
import { useId, useState } from "react";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import type { FileData } from "../../views/assessment/file-data";
import { WithReason } from "../assessment/with-reason.client";
import { OfficeDay } from "../frame/office-day.client";
import { Wrong } from "../frame/wrong";

/** What was granted to make up for somebody's circumstances: for the office to keep to. Why, advisers alone read. */
export function Adjustments({
  adjustments,
  advises,
  act,
}: {
  adjustments: FileData["adjustments"];
  /** Whether the reader may end them. */
  advises: boolean;
  act: ActOnFile;
}) {
  const [wrong, setWrong] = useState<string | null>(null);
  if (adjustments.length === 0) return null;
  return (
    <aside className="doubles" aria-label="Adjustments">
      <ul className="plain-list">
        {adjustments.map((a) => (
          <li key={a.id}>
            <span>
              Granted: <span className="strong">{a.what}</span>{" "}
              <span className="quiet">
                {a.why ? `${a.why} · ` : ""}
                {a.by} on <OfficeDay at={a.at} />
              </span>
            </span>
            {advises ? (
              <button
                type="button"
                className="link-button"
                onClick={async () => setWrong(await act("end-adjustment", { adjustmentId: a.id }))}
              >
                It holds no longer
              </button>
            ) : null}
          </li>
        ))}
      </ul>
      <Wrong text={wrong} />
    </aside>
  );
}

/** Where an adviser grants one, beside what was told in confidence. */
export function GrantAdjustment({ name, act }: { name: string; act: ActOnFile }) {
  const id = useId();
  const [what, setWhat] = useState("");
  return (
    <WithReason
      open="Grant an adjustment"
      does="Grant it"
      label="Why (advisers alone read it)"
      consequence={`The office keeps to it, and a mail tells ${name} what was granted.`}
      quiet
      ready={what.trim() !== ""}
      act={async (why) => {
        const refused = await act("grant-adjustment", { what, why });
        if (!refused) setWhat("");
        return refused;
      }}
    >
      <div className="field">
        <label htmlFor={id}>What is granted</label>
        <Input id={id} maxLength={300} value={what} onChange={(e) => setWhat(e.target.value)} />
      </div>
    </WithReason>
  );
}
