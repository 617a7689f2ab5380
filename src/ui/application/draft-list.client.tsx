"use client";

import { Button, Input } from "antd";
import Link from "next/link";
import { startTransition, useId, useState } from "react";
import type { DraftRow, DraftsPage } from "../../views/application/drafts";
import { Comb } from "../assessment/comb";
import { MarkAll, MarkOne, people, useMarks } from "../evidence/marks.client";
import { useAsking } from "../frame/unanswered.client";

interface DraftLine extends Pick<DraftRow, "id" | "number" | "name" | "programmes" | "comb" | "missing" | "stoppedAt"> {
  readonly left: string;
  readonly late: boolean;
  readonly due: string;
  readonly saved: string | null;
  readonly told: string | null;
}

interface Props {
  readonly rows: readonly DraftLine[];
  readonly stopped: DraftsPage["stopped"];
  readonly nextHref: string | null;
  readonly firstHref: string | null;
  readonly tell: (
    drafts: readonly { readonly id: string; readonly number: string }[],
    words: string,
  ) => Promise<{
    readonly told: number;
    readonly refused: readonly { readonly number: string; readonly why: string }[];
  }>;
}

/** Drafts as a table: marked ones are written to, each with what is missing in its own. */
export function DraftList({ rows, stopped, nextHref, firstHref, tell }: Props) {
  const id = useId();
  const marks = useMarks();
  const [words, setWords] = useState("");
  const [said, setSaid] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const marked = rows.filter((r) => marks.has(r.id));
  const most = Math.max(...stopped.map((s) => s.count));
  const send = () =>
    begin(async () => {
      const chosen = marked.map((r) => ({ id: r.id, number: r.number }));
      const { told, refused } = await tell(chosen, words);
      const kept = refused.map((r) => `No. ${r.number} ${r.why}.`).join(" ");
      // Said together with the list as it is now, and with the button that can be pressed again.
      startTransition(() => {
        setSaid(`${told === 0 ? "Nobody was written to." : `We wrote to ${people(told)}.`} ${kept}`.trim());
        marks.set([]);
        if (refused.length === 0) setWords("");
      });
    });
  return (
    <div className="drafts">
      <section aria-label="Drafts">
        {said ? (
          <p role="status" className="said">
            {said}
          </p>
        ) : null}
        <table className="plain-table">
          <thead>
            <tr>
              <th>
                <MarkAll marks={marks} ids={rows.map((r) => r.id)} label="Mark all on this page" />
              </th>
              <th>Closes</th>
              <th>Applicant</th>
              <th>Programmes</th>
              <th>Missing</th>
              <th>Stopped at</th>
              <th>Written to</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.id}>
                <td>
                  <MarkOne marks={marks} id={row.id} label={`Mark ${row.name}`} />
                </td>
                <td className={row.late ? "wrong strong" : undefined} title={row.due}>
                  {row.left}
                </td>
                <td>
                  <Link href={`/office/files/${row.number}`} className="serif name" prefetch={false}>
                    {row.name}
                  </Link>{" "}
                  <span className="quiet nowrap">{row.number}</span>
                </td>
                <td className="codes">{row.programmes}</td>
                <td>
                  <Comb
                    text={row.comb}
                    turn="applicant"
                    words={row.missing === 0 ? "nothing is missing" : `${row.missing} missing`}
                  />{" "}
                  <span className="nowrap">{row.missing === 0 ? "submission" : row.missing}</span>
                </td>
                <td>
                  {row.stoppedAt ?? <span className="quiet">nothing filled in yet</span>}
                  {row.saved ? <span className="quiet nowrap"> · {row.saved}</span> : null}
                </td>
                <td className="quiet">{row.told ?? "—"}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="quiet">
          {firstHref ? <Link href={firstHref}>First page</Link> : null}{" "}
          {nextHref ? <Link href={nextHref}>Next page</Link> : null}
        </p>
      </section>
      <aside aria-label="What can be done">
        <h2>Write what is missing</h2>
        <p className="quiet">
          Each gets a mail that lists what is open in their own draft, and until when it can be submitted. The system
          itself reminds a week and a day before the closing.
        </p>
        <div className="field">
          <label htmlFor={id}>A word of your own, in the mail below the list (may stay empty)</label>
          <Input.TextArea
            id={id}
            autoSize={{ minRows: 2 }}
            maxLength={1000}
            value={words}
            onChange={(e) => setWords(e.target.value)}
          />
        </div>
        <div className="presses">
          <Button type="primary" loading={busy} disabled={marked.length === 0} onClick={send}>
            {marked.length === 0 ? "Mark whom to write to" : `Write to ${people(marked.length)}`}
          </Button>
        </div>
        <h2>Where they stopped</h2>
        <ul className="stopped">
          {stopped.map((s) => (
            <li key={s.title}>
              <span>{s.title ?? "nothing filled in yet"}</span>
              <span className="count">{s.count}</span>
              <svg viewBox="0 0 100 1" preserveAspectRatio="none" aria-hidden="true">
                <rect width={(100 * s.count) / most} height="1" />
              </svg>
            </li>
          ))}
        </ul>
      </aside>
    </div>
  );
}
