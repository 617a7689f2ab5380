import Link from "next/link";
import { notFound } from "next/navigation";
import { OFFICE } from "../../../../../core/rights/actor";
import { formatDate } from "../../../../../text/format";
import { SiteList } from "../../../../../ui/catalogue/site-list.client";
import { sites } from "../../../../../views/catalogue/sites";
import { requireStaff, see } from "../../../../request";
import { moveAll } from "./sites.action";

/** Who is on which campus of a programme, and several moved at once. */
export default async function SitesPage({ params }: { params: Promise<{ code: string }> }) {
  const { code } = await params;
  const person = await requireStaff(`/office/programmes/${code}/sites`, OFFICE);
  const data = await see(sites, person.actor, { code });
  if (!data) notFound();
  return (
    <div className="office-sheet wide">
      <p>
        <Link href="/office/programmes">Programmes</Link> · <Link href={`/office/programmes/${code}`}>{code}</Link>
      </p>
      <div className="sheet-head">
        <h1>
          {data.title} <span className="quiet">who is on which campus</span>
        </h1>
      </div>
      {data.starts.map((start) => (
        <section key={start.id} className="plan-part">
          <h2>Start on {formatDate("en", start.startsOn)}</h2>
          <SiteList start={start} zone={data.zone} move={moveAll.bind(null, code)} />
        </section>
      ))}
    </div>
  );
}
