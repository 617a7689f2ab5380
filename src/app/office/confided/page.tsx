import Link from "next/link";
import { notFound } from "next/navigation";
import { holds, OFFICE } from "../../../core/rights/actor";
import { Adjustments, GrantAdjustment } from "../../../ui/file/adjustments.client";
import { CONFIDED_KINDS, type ConfidedKind, type ConfidedRow, confided } from "../../../views/assessment/confided";
import { requireStaff, see } from "../../request";
import { advise } from "./confided.action";

const KIND_WORDS: Readonly<Record<ConfidedKind, { readonly name: string; readonly none: string }>> = {
  open: {
    name: "Nothing granted yet",
    none: "Nobody waits here: whatever was told has an answer, or its file is closed.",
  },
  granted: { name: "Granted", none: "Nothing was granted yet." },
  all: { name: "All", none: "No submitted file tells anything in confidence." },
};

const address = (kind: ConfidedKind, after: string | null = null): string =>
  `/office/confided?${new URLSearchParams({ kind, ...(after === null ? {} : { after }) })}`;

function Told({ row, opens }: { row: ConfidedRow; opens: boolean }) {
  const act = advise.bind(null, row.number, row.applicationId);
  return (
    <article className="confided" aria-label={`${row.number} ${row.name}`}>
      <h2>
        {opens ? (
          <Link href={`/office/files/${row.number}`} className="number">
            {row.number}
          </Link>
        ) : (
          <span className="number">{row.number}</span>
        )}{" "}
        {row.name} <span className="quiet">{row.programmes.split(" ").join(", ")}</span>
      </h2>
      {row.told.map((t) => (
        <div key={t.title}>
          <p className="quiet">{t.title}</p>
          <p className="pre-line">{t.text}</p>
        </div>
      ))}
      <Adjustments adjustments={row.adjustments} advises act={act} />
      {row.closed ? <p className="quiet">The file is closed.</p> : <GrantAdjustment name={row.name} act={act} />}
    </article>
  );
}

/** What applicants told advisers in confidence, and what was granted for it: all of a file that an adviser sees. */
export default async function Confided({ searchParams }: { searchParams: Promise<{ kind?: string; after?: string }> }) {
  const person = await requireStaff("/office/confided", ["adviser"]);
  const query = await searchParams;
  const page = await see(confided, person.actor, {
    kind: (query.kind ?? "open") as ConfidedKind, // another word leads to the first list
    after: query.after ?? null,
  });
  if (!page) notFound();
  return (
    <div className="office-sheet">
      <div className="sheet-head">
        <h1>
          In confidence <span className="quiet">what applicants told advisers alone</span>
        </h1>
      </div>
      <nav className="kinds" aria-label="Which files">
        {CONFIDED_KINDS.map((kind) => (
          <Link key={kind} href={address(kind)} aria-current={kind === page.kind ? "page" : undefined}>
            {KIND_WORDS[kind].name} <span className="count">{page.counts[kind]}</span>
          </Link>
        ))}
      </nav>
      {page.rows.length === 0 ? (
        <p className="empty">{KIND_WORDS[page.kind].none}</p>
      ) : (
        page.rows.map((row) => <Told key={row.number} row={row} opens={holds(person.actor, OFFICE)} />)
      )}
      {page.next ? (
        <p>
          <Link href={address(page.kind, page.next)}>Next page</Link>
        </p>
      ) : null}
    </div>
  );
}
