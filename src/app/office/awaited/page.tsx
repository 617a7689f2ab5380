import Link from "next/link";
import { notFound } from "next/navigation";
import { AWAITED_KINDS, type AwaitedKind } from "../../../core/file/result";
import { OFFICE } from "../../../core/rights/actor";
import { formatDate } from "../../../text/format";
import { TURN_WORDS } from "../../../text/words/office";
import { awaited } from "../../../views/assessment/awaited";
import { requireStaff, see } from "../../request";

const KIND_WORDS: Readonly<Record<AwaitedKind, { readonly name: string; readonly none: string }>> = {
  result: { name: "Test results", none: "No test result is on its way." },
  degree: { name: "Degrees still running", none: "No submitted file has a degree that is still running." },
  courses: { name: "Running courses", none: "No submitted file has courses that are still running." },
  registry: { name: "Results from a registry", none: "Every registry that was asked has given its results." },
  "paper ends": { name: "Papers that end", none: "No submitted file names a paper with an end." },
  "one part short": { name: "One part short", none: "No test misses its minimum in a single part." },
};

/** A day that was stated has gone by when the whole of it has: a month at its end, a year at its end. */
const isPast = (due: string, today: string): boolean => due !== "" && due < today.slice(0, due.length);

/** What is still to come, over all files: to be followed by the day that applicants stated. */
export default async function AwaitedList({ searchParams }: { searchParams: Promise<{ kind?: string }> }) {
  const person = await requireStaff("/office/awaited", OFFICE);
  const { kind = "result" } = await searchParams;
  const page = await see(awaited, person.actor, { kind: kind as AwaitedKind }); // another word leads to the first list
  if (!page) notFound();
  const dated = page.kind !== "one part short" && page.kind !== "registry";
  return (
    <div className="office-sheet wide">
      <div className="sheet-head">
        <h1>
          Still to come <span className="quiet">in submitted files, by the day that was stated</span>
        </h1>
      </div>
      <nav className="kinds" aria-label="What is still to come">
        {AWAITED_KINDS.map((k) => (
          <Link
            key={k}
            href={`/office/awaited?kind=${encodeURIComponent(k)}`}
            aria-current={k === page.kind ? "page" : undefined}
          >
            {KIND_WORDS[k].name} <span className="count">{page.counts[k]}</span>
          </Link>
        ))}
      </nav>
      {page.rows.length === 0 ? (
        <p className="empty">{KIND_WORDS[page.kind].none}</p>
      ) : (
        <table className="plain-table">
          <thead>
            <tr>
              {dated ? <th>{page.kind === "paper ends" ? "Ends" : "Expected"}</th> : null}
              <th>What</th>
              <th>Applicant</th>
              <th>Number</th>
              <th>Programmes</th>
              <th>Turn</th>
            </tr>
          </thead>
          <tbody>
            {page.rows.map((row) => (
              <tr key={`${row.number} ${row.about} ${row.due}`}>
                {dated ? (
                  <td className={isPast(row.due, page.now) ? "wrong strong" : undefined}>
                    {row.due === "" ? <span className="quiet">no day stated</span> : formatDate("en", row.due)}
                    {isPast(row.due, page.now) ? " · has passed" : ""}
                  </td>
                ) : null}
                <td>{row.about}</td>
                <td>{row.name}</td>
                <td>
                  <Link href={`/office/files/${row.number}`} className="number">
                    {row.number}
                  </Link>
                </td>
                <td>{row.programmes}</td>
                <td>{TURN_WORDS[row.turn]}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
