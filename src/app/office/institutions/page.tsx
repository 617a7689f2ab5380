import Link from "next/link";
import { notFound } from "next/navigation";
import { RULEBOOK_READERS } from "../../../core/rights/actor";
import { countryName } from "../../../text/format";
import { TakeRegister } from "../../../ui/standards/take-register.client";
import { UnknownNames } from "../../../ui/standards/unknown-names.client";
import { institutions } from "../../../views/standards/institutions";
import { requireStaff, see } from "../../request";
import { linkName, lookAtNames, takeLines } from "./institutions.action";

/** The register of institutions, and the names in files that it does not know yet. */
export default async function Institutions({ searchParams }: { searchParams: Promise<{ words?: string }> }) {
  const person = await requireStaff("/office/institutions", RULEBOOK_READERS);
  const { words = "" } = await searchParams;
  const page = await see(institutions, person.actor, { words });
  if (!page) notFound();
  return (
    <div className="office-sheet wide">
      <div className="sheet-head">
        <h1>
          Institutions <span className="quiet">{page.total} in the register</span>
        </h1>
        <span className="sheet-links">
          <a href="/api/register">Export as CSV</a>
          {page.mayKeep ? (
            <Link href="/office/institutions/new" className="office-press">
              Add an institution
            </Link>
          ) : null}
        </span>
      </div>
      {page.mayKeep && page.unknown.length > 0 ? (
        <section className="plan-part">
          <h2>
            Not in the register yet{" "}
            <span className="quiet">names that applicants wrote; once said, every file follows</span>
          </h2>
          <UnknownNames names={page.unknown} link={linkName} />
        </section>
      ) : null}
      {page.mayKeep ? <TakeRegister look={lookAtNames} take={takeLines} /> : null}
      <section className="plan-part">
        <h2>The register</h2>
        <form className="register-search" action="/office/institutions">
          <label htmlFor="words">Find by any name</label>
          <input id="words" name="words" defaultValue={words} />
          <button type="submit" className="office-press">
            Find
          </button>
          {words ? <Link href="/office/institutions">All of them</Link> : null}
        </form>
        {page.found.length === 0 ? (
          <p className="empty">
            {words
              ? `Nothing in the register is like “${words}”.`
              : "The register is empty. Add the first institution."}
          </p>
        ) : (
          <table className="plain-table">
            <thead>
              <tr>
                <th>Name</th>
                <th>Country</th>
                <th>Kind</th>
                <th>Awards</th>
                <th>Other names</th>
              </tr>
            </thead>
            <tbody>
              {page.found.map((i) => (
                <tr key={i.id}>
                  <td>
                    <Link href={`/office/institutions/${i.id}`}>{i.name}</Link>
                  </td>
                  <td>{countryName("en", i.country)}</td>
                  <td>{i.kind}</td>
                  <td>{i.recognition}</td>
                  <td className="quiet">{i.otherNames.join(", ")}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
    </div>
  );
}
