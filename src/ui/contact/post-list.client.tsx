"use client";

import { Button } from "antd";
import Link from "next/link";
import { startTransition, useState } from "react";
import type { Reached } from "../../core/contact/contact-notes";
import { MarkAll, MarkOne, people, useMarks } from "../evidence/marks.client";
import { useAsking } from "../frame/unanswered.client";

export interface PostPlace {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly field: string;
}

interface PostLine {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly programmes: string;
  readonly place: PostPlace;
  readonly purpose: string;
  readonly address: string;
  readonly state: string;
  readonly reached: Reached;
}

interface Props {
  readonly rows: readonly PostLine[];
  readonly ask: (
    files: readonly { readonly id: string; readonly number: string; readonly place: PostPlace }[],
  ) => Promise<{
    readonly asked: number;
    readonly refused: readonly { readonly number: string; readonly why: string }[];
  }>;
}

/** Addresses as a table: marked ones are asked about. */
export function PostList({ rows, ask }: Props) {
  const marks = useMarks();
  const [said, setSaid] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const marked = rows.filter((r) => marks.has(r.id));
  const send = () =>
    begin(async () => {
      const { asked, refused } = await ask(marked.map(({ id, number, place }) => ({ id, number, place })));
      const kept = refused.map((r) => `No. ${r.number} ${r.why}.`).join(" ");
      startTransition(() => {
        setSaid(`${asked === 0 ? "Nobody was asked." : `We asked ${people(asked)} by mail.`} ${kept}`.trim());
        marks.set([]);
      });
    });
  return (
    <section aria-label="Addresses">
      {said ? (
        <p role="status" className="said">
          {said}
        </p>
      ) : null}
      <p className="presses">
        <Button type="primary" loading={busy} disabled={marked.length === 0} onClick={send}>
          {marked.length === 0 ? "Mark whom to ask" : `Ask ${people(marked.length)} whether it is right`}
        </Button>
      </p>
      <table className="plain-table">
        <thead>
          <tr>
            <th>
              <MarkAll marks={marks} ids={rows.map((r) => r.id)} label="Mark all on this page" />
            </th>
            <th>Applicant</th>
            <th>Programmes</th>
            <th>Letters go to</th>
            <th>From</th>
            <th>State</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.id}>
              <td>
                <MarkOne marks={marks} id={row.id} label={`Mark ${row.name}`} />
              </td>
              <td>
                <Link href={`/office/files/${row.number}?show=contact`} className="serif name" prefetch={false}>
                  {row.name}
                </Link>{" "}
                <span className="quiet nowrap">{row.number}</span>
              </td>
              <td className="codes">{row.programmes}</td>
              <td>{row.address}</td>
              <td className="quiet">{row.purpose}</td>
              <td className={row.reached === "fails" ? "wrong" : "quiet"}>{row.state}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
