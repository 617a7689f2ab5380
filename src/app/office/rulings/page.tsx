import Link from "next/link";
import { notFound } from "next/navigation";
import { RULEBOOK_READERS } from "../../../core/rights/actor";
import { countryName } from "../../../text/format";
import { WithReason } from "../../../ui/assessment/with-reason.client";
import { OfficeDay } from "../../../ui/frame/office-day.client";
import { RulingTerms } from "../../../ui/rulings/cases.client";
import { type RulingLine, rulings } from "../../../views/rulings/rulings";
import { requireStaff, see } from "../../request";
import { end } from "./rulings.action";

function Line({ ruling: r, mayEnd }: { ruling: RulingLine; mayEnd: boolean }) {
  return (
    <tr data-ended={r.ended ? "true" : undefined}>
      <td>{r.question}</td>
      <td>
        <strong>{r.title || "—"}</strong>
        <span className="quiet note">
          {[r.institution, r.country && countryName("en", r.country), r.level && `level ${r.level}`]
            .filter(Boolean)
            .join(", ")}
        </span>
      </td>
      <td>{r.verdict}</td>
      <td>
        {r.reason}
        <RulingTerms {...r} />
        <span className="quiet note">
          {r.by}, <OfficeDay at={r.at} />
        </span>
        {r.ended ? (
          <span className="quiet note">
            Offered no more since <OfficeDay at={r.ended.at} /> ({r.ended.by}): {r.ended.reason}
          </span>
        ) : null}
      </td>
      <td>
        {r.numbers.map((number) => (
          <Link key={number} href={`/office/files/${number}`} className="number">
            {number}
          </Link>
        ))}
      </td>
      <td>
        {r.ended || !mayEnd ? null : (
          <WithReason
            open="Offer it no more"
            does="Offer it no more"
            label="Why"
            consequence="It will not be offered in like cases any more. Where it was applied it goes on holding."
            act={end.bind(null, r.id)}
          />
        )}
      </td>
    </tr>
  );
}

/** What the office has ruled on, for this cycle and the next. */
export default async function Rulings({ searchParams }: { searchParams: Promise<{ words?: string }> }) {
  const person = await requireStaff("/office/rulings", RULEBOOK_READERS);
  const { words = "" } = await searchParams;
  const page = await see(rulings, person.actor, { words });
  if (!page) notFound();
  const { rulings: found, mayEnd } = page;
  return (
    <div className="office-sheet wide">
      <div className="sheet-head">
        <h1>
          Rulings <span className="quiet">kept for like cases, in this cycle and the next</span>
        </h1>
      </div>
      <form className="register-search" action="/office/rulings">
        <label htmlFor="words">Find by question, country code, institution, title or reason</label>
        <input id="words" name="words" defaultValue={words} />
        <button type="submit" className="office-press">
          Find
        </button>
        {words ? <Link href="/office/rulings">All of them</Link> : null}
      </form>
      {found.length === 0 ? (
        <p className="empty">
          {words
            ? `No ruling holds “${words}”.`
            : "Nothing was ruled on yet. A rulebook asks for rulings by a computed value of that kind; officers rule in the file."}
        </p>
      ) : (
        <table className="plain-table rulings">
          <thead>
            <tr>
              <th>Question</th>
              <th>Case</th>
              <th>Ruling</th>
              <th>Reason</th>
              <th>Holds in</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {found.map((r) => (
              <Line key={r.id} ruling={r} mayEnd={mayEnd} />
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
