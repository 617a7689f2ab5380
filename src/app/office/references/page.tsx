import Link from "next/link";
import { notFound } from "next/navigation";
import type { ActOnFile } from "../../../core/file-acts/file-acts";
import { REFERENCE_LISTS, type ReferenceList } from "../../../core/references/requests";
import { OFFICE } from "../../../core/rights/actor";
import { formatDate, formatDayOf } from "../../../text/format";
import { REFERENCE_LIST_WORDS, REFERENCE_SIGN_WORDS, requestWords } from "../../../text/words/references";
import { RefereeSaid, RequestWork } from "../../../ui/references/request-work.client";
import { type ReferenceRow, references } from "../../../views/references/references";
import { officeZone, requireStaff, see } from "../../request";
import { actOnFile } from "../files/[number]/file.action";

type Zone = Awaited<ReturnType<typeof officeZone>>;

/** When what happened: each with its day. */
function Course({ row, zone }: { row: ReferenceRow; zone: Zone }) {
  const day = (at: string) => formatDayOf("en", at, zone);
  const steps = [
    row.askedAt ? `asked ${day(row.askedAt)}` : null,
    row.failure
      ? `the last mail was not delivered: ${row.failure}`
      : row.sentAt
        ? `last mail ${day(row.sentAt)}`
        : null,
    row.reminders > 0 && row.remindedAt
      ? `reminded ${row.reminders === 1 ? "once" : `${row.reminders} times`}, last ${day(row.remindedAt)}`
      : null,
    row.openedAt ? `opened ${day(row.openedAt)}` : null,
    row.givenAt ? `came ${day(row.givenAt)}` : null,
  ].filter((step) => step !== null);
  return <p className="quiet">{steps.join(" · ")}</p>;
}

function Line({ row, zone }: { row: ReferenceRow; zone: Zone }) {
  const act = actOnFile.bind(null, row.number, row.applicationId) as ActOnFile; // what it takes hangs on the name it is called with
  return (
    <li className="chased">
      <p className="chased-head">
        <span className={row.danger === "overdue" ? "wrong strong" : "strong"}>
          {row.due === null
            ? ""
            : row.danger === "overdue"
              ? `${formatDate("en", row.due)}, overdue`
              : `by ${formatDate("en", row.due)}`}
        </span>
        <span>
          <strong>{row.name || row.email}</strong> <span className="quiet">{row.name ? row.email : ""}</span> for{" "}
          <Link href={`/office/files/${row.number}`}>{row.applicant || row.number}</Link>{" "}
          <span className="quiet">
            {row.number} · {row.programmes}
          </span>
        </span>
        <span className="chased-state">{requestWords(row)}</span>
      </p>
      <Course row={row} zone={zone} />
      <RefereeSaid request={row} />
      {row.signs.length > 0 ? (
        <p className="notice">{row.signs.map((s) => REFERENCE_SIGN_WORDS[s]).join(" ")}</p>
      ) : null}
      {row.state === "not asked" ? (
        <p className="quiet">The applicant sends the request. A word from you may help: write to them in the file.</p>
      ) : (
        <RequestWork applicationId={row.applicationId} request={row} act={act} />
      )}
    </li>
  );
}

/** Requests to referees over all files, the most endangered first. */
export default async function ReferencesPage({ searchParams }: { searchParams: Promise<{ list?: string }> }) {
  const person = await requireStaff("/office/references", OFFICE);
  const { list = "endangered" } = await searchParams;
  // Another word leads to the first list.
  const [page, zone] = await Promise.all([
    see(references, person.actor, { list: list as ReferenceList }),
    officeZone(),
  ]);
  if (!page) notFound();
  return (
    <div className="office-sheet wide">
      <div className="sheet-head">
        <h1>
          References <span className="quiet">over all files, the most endangered first</span>
        </h1>
      </div>
      <nav className="kinds" aria-label="References">
        {REFERENCE_LISTS.map((l) => (
          <Link
            key={l}
            href={`/office/references?list=${encodeURIComponent(l)}`}
            aria-current={l === page.list ? "page" : undefined}
          >
            {REFERENCE_LIST_WORDS[l].name} <span className="count">{page.counts[l]}</span>
          </Link>
        ))}
      </nav>
      {page.rows.length === 0 ? (
        <p className="empty">{REFERENCE_LIST_WORDS[page.list].none}</p>
      ) : (
        <ul className="chased-list">
          {page.rows.map((row) => (
            <Line key={`${row.number} ${row.id}`} row={row} zone={zone} />
          ))}
        </ul>
      )}
    </div>
  );
}
