import Link from "next/link";
import { notFound } from "next/navigation";
import { OFFICE } from "../../../core/rights/actor";
import { DraftList } from "../../../ui/application/draft-list.client";
import { DRAFT_KINDS, type DraftKind, drafts } from "../../../views/application/drafts";
import { requireStaff, see } from "../../request";
import { officeClock } from "../office-clock";
import { tellAll } from "./drafts.action";

const KIND_WORDS: Readonly<Record<DraftKind, { readonly name: string; readonly none: string }>> = {
  all: { name: "All drafts", none: "Nobody is preparing an application." },
  ready: { name: "Only the submission is missing", none: "No draft waits for its submission alone." },
  soon: { name: "Close within a week", none: "No draft closes within a week." },
  quiet: { name: "Untouched for two weeks", none: "Every draft was worked on in the last two weeks." },
};

interface Query {
  readonly kind?: string;
  readonly programme?: string;
  readonly after?: string;
}

function address(query: Query): string {
  const set = Object.entries(query).filter((e): e is [string, string] => typeof e[1] === "string" && e[1] !== "");
  return set.length === 0 ? "/office/drafts" : `/office/drafts?${new URLSearchParams(set)}`;
}

/** What was begun and not submitted: who has how long, what is missing, where people stopped, and a word to them. */
export default async function Drafts({ searchParams }: { searchParams: Promise<Query> }) {
  const person = await requireStaff("/office/drafts", OFFICE);
  const query = await searchParams;
  const page = await see(drafts, person.actor, {
    kind: (query.kind ?? "all") as DraftKind, // another word leads to the first list
    programme: query.programme ?? null,
    after: query.after ?? null,
  });
  if (!page) notFound();
  const clock = await officeClock();
  const programme = page.programme ?? "";
  return (
    <div className="office-sheet wide">
      <div className="sheet-head">
        <h1>
          Drafts <span className="quiet">applications that were begun and not submitted</span>
        </h1>
      </div>
      <nav className="kinds" aria-label="Which drafts">
        {DRAFT_KINDS.map((kind) => (
          <Link key={kind} href={address({ kind, programme })} aria-current={kind === page.kind ? "page" : undefined}>
            {KIND_WORDS[kind].name} <span className="count">{page.counts[kind]}</span>
          </Link>
        ))}
      </nav>
      <nav className="kinds" aria-label="Programme">
        <Link href={address({ kind: page.kind })} aria-current={programme === "" ? "page" : undefined}>
          Every programme
        </Link>
        {page.programmes.map((code) => (
          <Link
            key={code}
            href={address({ kind: page.kind, programme: code })}
            aria-current={programme === code ? "page" : undefined}
          >
            {code}
          </Link>
        ))}
      </nav>
      {page.rows.length === 0 ? (
        <p className="empty">{KIND_WORDS[page.kind].none}</p>
      ) : (
        <DraftList
          key={JSON.stringify(query)}
          rows={page.rows.map((row) => ({
            ...clock.timeTo(row.dueAt, Date.parse(page.now)),
            id: row.id,
            number: row.number,
            name: row.name || "no name yet",
            programmes: row.programmes.replace(/ /gu, " · "),
            comb: row.comb,
            missing: row.missing,
            stoppedAt: row.stoppedAt,
            saved: row.savedAt ? clock.day(row.savedAt) : null,
            told: row.toldAt ? clock.day(row.toldAt) : null,
          }))}
          stopped={page.stopped}
          nextHref={page.next ? address({ kind: page.kind, programme, after: page.next }) : null}
          firstHref={query.after ? address({ kind: page.kind, programme }) : null}
          tell={tellAll}
        />
      )}
    </div>
  );
}
