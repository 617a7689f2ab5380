import Link from "next/link";
import { notFound } from "next/navigation";
import { OFFICE } from "../../../core/rights/actor";
import { formatDay } from "../../../core/time/day";
import { dayAt } from "../../../core/time/zone";
import { webRuntime } from "../../../runtime";
import { PaperRoom } from "../../../ui/post/paper-room.client";
import { PAPER_LISTS, type PaperList, papers } from "../../../views/post/papers";
import { officeNow } from "../../../views/view/office-now";
import { requireStaff, see } from "../../request";
import { lookUpFile, matchStray, noteFor, noteSentBack, noteStray, takeNoteBack } from "./papers.action";

const WORDS: Readonly<Record<PaperList, string>> = {
  "to look at": "To look at",
  whose: "Whose?",
  "to go back": "To go back",
  expected: "Expected",
  all: "All that came",
};

/** The post room: what comes on paper is noted here, one after the other, and followed until it is kept or has gone back. */
export default async function PapersPage({ searchParams }: { searchParams: Promise<{ list?: string }> }) {
  const person = await requireStaff("/office/papers", OFFICE);
  const { list = "to look at" } = await searchParams;
  const data = await see(papers, person.actor, { list: list as PaperList }); // another word leads nowhere
  if (!data) notFound();
  const { pool, now } = await webRuntime();
  const { zone } = await officeNow(pool);
  return (
    <div className="office-sheet wide">
      <div className="sheet-head">
        <h1>
          Papers <span className="quiet">what comes by post, by courier or by hand</span>
        </h1>
      </div>
      <nav className="kinds" aria-label="Papers">
        {PAPER_LISTS.map((key) => (
          <Link
            key={key}
            href={`/office/papers?list=${encodeURIComponent(key)}`}
            aria-current={key === data.list ? "page" : undefined}
          >
            {WORDS[key]} <span className="quiet">{data.counts[key]}</span>
          </Link>
        ))}
      </nav>
      <PaperRoom
        data={data}
        today={formatDay(dayAt(zone, now().getTime()))}
        acts={{
          lookUp: lookUpFile,
          note: noteFor,
          noteStray,
          match: matchStray,
          takeBack: takeNoteBack,
          sentBack: noteSentBack,
        }}
      />
    </div>
  );
}
