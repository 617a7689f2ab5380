"use client";

import { Button } from "antd";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { formatDate } from "../../text/format";
import { STATE_WORDS, WAY_WORDS } from "../../text/words/papers";
import type { ExpectedPaper, PaperRow, Papers } from "../../views/post/papers";
import { OfficeDay } from "../frame/office-day.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";
import { type PaperActs, PaperEntry } from "./paper-entry.client";

const NONE: Readonly<Record<Papers["list"], string>> = {
  "to look at": "Everything that came was looked at.",
  whose: "Of every paper that came somebody knows whose it is.",
  "to go back": "Nothing is to go back.",
  expected: "Nobody has said that a paper is on its way.",
  all: "No paper has come yet.",
};

/** What became of a paper. */
function Became({ row, onBack }: { row: PaperRow; onBack: () => Promise<void> }) {
  const [busy, begin] = useAsking();
  if (row.sentBackAt)
    return (
      <>
        went back on <OfficeDay at={row.sentBackAt.toISOString()} />
      </>
    );
  if (row.toGoBackAt)
    return (
      <Button size="small" loading={busy} onClick={() => begin(onBack)}>
        It went back today
      </Button>
    );
  return row.inspectedAt ? (
    <>
      looked at on <OfficeDay at={row.inspectedAt.toISOString()} />, kept
    </>
  ) : row.number === null ? (
    ""
  ) : (
    "to look at"
  );
}

function Rows({
  rows,
  acts,
  onMatch,
  onRefused,
}: {
  rows: readonly PaperRow[];
  acts: PaperActs;
  onMatch: (row: PaperRow) => void;
  onRefused: (refused: string | null) => void;
}) {
  return (
    <table className="plain-table">
      <thead>
        <tr>
          <th scope="col">Came on</th>
          <th scope="col">Whose</th>
          <th scope="col">What</th>
          <th scope="col">State</th>
          <th scope="col">Noted by</th>
          <th scope="col">What became of it</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.id}>
            <td>{formatDate("en", row.cameOn)}</td>
            <td>
              {row.number ? (
                <Link href={`/office/files/${row.number}`}>
                  {row.name} <span className="quiet">{row.number}</span>
                </Link>
              ) : (
                <Button size="small" onClick={() => onMatch(row)}>
                  Say whose it is
                </Button>
              )}
            </td>
            <td>
              {[row.title, row.contents].filter(Boolean).join(": ")}
              {row.uploadId ? (
                <>
                  {" · "}
                  <a href={`/api/documents/${row.uploadId}?show`} target="_blank" rel="noreferrer">
                    scan
                  </a>
                </>
              ) : null}
              {row.sender ? <span className="quiet"> · from {row.sender}</span> : null}
            </td>
            <td>{STATE_WORDS[row.state]}</td>
            <td>{row.by}</td>
            <td>
              <Became row={row} onBack={async () => onRefused(await acts.sentBack(row.applicationId ?? "", row.id))} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Expected({ expected, today }: { expected: readonly ExpectedPaper[]; today: string }) {
  return (
    <table className="plain-table">
      <thead>
        <tr>
          <th scope="col">Expected on</th>
          <th scope="col">Whose</th>
          <th scope="col">What</th>
          <th scope="col">How</th>
        </tr>
      </thead>
      <tbody>
        {expected.map((row) => (
          <tr key={row.id}>
            <td className={row.expectedOn < today ? "late" : undefined}>
              {formatDate("en", row.expectedOn)}
              {row.expectedOn < today ? " · overdue" : ""}
            </td>
            <td>
              <Link href={`/office/files/${row.number}`}>
                {row.name} <span className="quiet">{row.number}</span>
              </Link>
            </td>
            <td>{row.title}</td>
            <td>{WAY_WORDS[row.way]}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Where papers are noted as they come, and what becomes of them. */
export function PaperRoom({ data, today, acts }: { data: Papers; today: string; acts: PaperActs }) {
  const router = useRouter();
  const [stray, setStray] = useState<PaperRow | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const empty = data.list === "expected" ? data.expected.length === 0 : data.rows.length === 0;
  return (
    <div className="paper-room">
      <section aria-label={stray ? `Whose is it: ${stray.contents}` : "What came"}>
        <h2>{stray ? `Whose is it: ${stray.contents}` : "What came"}</h2>
        <PaperEntry
          key={stray?.id ?? ""}
          today={today}
          stray={stray}
          acts={acts}
          onDone={() => {
            setStray(null);
            router.refresh();
          }}
        />
      </section>
      <section aria-label="Papers">
        <Wrong text={wrong} />
        {empty ? <p className="empty">{NONE[data.list]}</p> : null}
        {empty ? null : data.list === "expected" ? (
          <Expected expected={data.expected} today={today} />
        ) : (
          <Rows
            rows={data.rows}
            acts={acts}
            onMatch={setStray}
            onRefused={(refused) => {
              setWrong(refused);
              router.refresh();
            }}
          />
        )}
      </section>
    </div>
  );
}
