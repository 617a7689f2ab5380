"use client";

import { Button, Input, Select } from "antd";
import Link from "next/link";
import { startTransition, useId, useState } from "react";
import { formatMoment } from "../../text/format";
import type { Placed, StartSites } from "../../views/catalogue/sites";
import { MarkAll, MarkOne, people, useMarks } from "../evidence/marks.client";
import { useAsking } from "../frame/unanswered.client";

interface Props {
  readonly start: StartSites;
  readonly zone: string;
  readonly move: (
    choices: readonly Placed[],
    campus: string,
    reason: string,
  ) => Promise<{
    readonly moved: number;
    readonly refused: readonly { readonly number: string; readonly why: string }[];
  }>;
}

/** The people of one start with their campuses; marked ones are moved together, each told by a mail of their own. */
export function SiteList({ start, zone, move }: Props) {
  const id = useId();
  const [shown, setShown] = useState<string | null>(null);
  const marks = useMarks();
  const [campus, setCampus] = useState<string | null>(null);
  const [reason, setReason] = useState("");
  const [said, setSaid] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const titleOf = (key: string | null) => start.campuses.find((c) => c.key === key)?.title ?? "none chosen";
  const rows = start.placed.filter((p) => shown === null || p.campus === shown);
  const going = rows.filter((p) => marks.has(p.choiceId) && p.campus !== campus);
  const send = () =>
    begin(async () => {
      if (campus === null) return;
      const { moved, refused } = await move(going, campus, reason);
      const kept = refused.map((r) => `No. ${r.number} stays: ${r.why}`).join(" ");
      startTransition(() => {
        setSaid(
          `${moved === 0 ? "Nobody was moved." : `${people(moved)} moved to ${titleOf(campus)}.`} ${kept}`.trim(),
        );
        marks.set([]);
        if (refused.length === 0) setReason("");
      });
    });
  return (
    <div className="drafts">
      <section aria-label="People">
        <nav className="kinds" aria-label="Which campus">
          <button
            type="button"
            className="link-button"
            aria-current={shown === null ? "page" : undefined}
            onClick={() => setShown(null)}
          >
            All <span className="count">{start.placed.length}</span>
          </button>
          {start.campuses.map((c) => (
            <button
              key={c.key}
              type="button"
              className="link-button"
              aria-current={shown === c.key ? "page" : undefined}
              onClick={() => setShown(c.key)}
            >
              {c.title}{" "}
              <span className="count">
                {c.people}
                {c.places === null ? "" : ` for ${c.places} places`}
              </span>
            </button>
          ))}
        </nav>
        {said ? (
          <p role="status" className="said">
            {said}
          </p>
        ) : null}
        {rows.length === 0 ? (
          <p className="empty">Nobody who could be moved: nothing was submitted here, or it is decided.</p>
        ) : (
          <table className="plain-table">
            <thead>
              <tr>
                <th>
                  <MarkAll marks={marks} ids={rows.map((r) => r.choiceId)} label="Mark all that are shown" />
                </th>
                <th>Submitted</th>
                <th>Applicant</th>
                <th>Their choice no.</th>
                <th>Campus</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.choiceId}>
                  <td>
                    <MarkOne marks={marks} id={row.choiceId} label={`Mark ${row.name}`} />
                  </td>
                  <td>{formatMoment("en", row.submittedAt, zone)}</td>
                  <td>
                    <Link href={`/office/files/${row.number}?show=choices`} className="serif name" prefetch={false}>
                      {row.name}
                    </Link>{" "}
                    <span className="quiet nowrap">{row.number}</span>
                  </td>
                  <td>{row.rank}</td>
                  <td>{titleOf(row.campus)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
      <aside aria-label="What can be done">
        <h2>Move to another campus</h2>
        <p className="quiet">
          Each gets a mail with the reason. What was submitted stays; a decided choice is not moved.
        </p>
        <div className="field">
          <label htmlFor={`${id}-to`}>To</label>
          <Select
            id={`${id}-to`}
            value={campus}
            options={start.campuses.map((c) => ({ value: c.key, label: c.title }))}
            onChange={(key: string) => setCampus(key)}
            showSearch={{ optionFilterProp: "label" }}
          />
        </div>
        <div className="field">
          <label htmlFor={`${id}-why`}>Why</label>
          <Input.TextArea
            id={`${id}-why`}
            autoSize={{ minRows: 2 }}
            maxLength={500}
            value={reason}
            onChange={(e) => setReason(e.target.value)}
          />
        </div>
        <div className="presses">
          <Button
            type="primary"
            loading={busy}
            disabled={going.length === 0 || campus === null || reason.trim() === ""}
            onClick={send}
          >
            {going.length === 0
              ? "Mark whom to move"
              : campus === null
                ? "Choose a campus"
                : reason.trim() === ""
                  ? "Say why"
                  : `Move ${people(going.length)}`}
          </Button>
        </div>
      </aside>
    </div>
  );
}
