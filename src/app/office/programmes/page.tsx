import Link from "next/link";
import { formatDate, formatDayOf, formatMoment } from "../../../text/format";
import { planGapWords } from "../../../text/words/office";
import { SearchesWithout } from "../../../ui/catalogue/searches-without.client";
import { type PlannedIntake, type PlannedProgramme, plans } from "../../../views/catalogue/plans";
import { requireStaff, see } from "../../request";
import { settleSearch } from "./plan.action";

const STATE_WORDS = { coming: "opens later", open: "open", full: "full", closed: "closed" } as const;

function IntakeRow({ programme, intake, zone }: { programme: PlannedProgramme; intake: PlannedIntake; zone: string }) {
  return (
    <tr>
      <td>
        <Link href={`/office/programmes/${programme.code}`} className="serif">
          {programme.award} {programme.title.en}
        </Link>{" "}
        <span className="quiet">{programme.code}</span>
        {intake.gaps.length > 0 ? <span className="gap-note">{intake.gaps.map(planGapWords).join("; ")}</span> : null}
      </td>
      <td className="figures">{formatDate("en", intake.startsOn)}</td>
      <td>
        {intake.rounds.length === 0 ? <span className="quiet">no round</span> : null}
        {intake.rounds.map((round) => (
          <p key={round.id}>
            <strong>{STATE_WORDS[round.state]}</strong>
            {intake.rounds.length > 1 ? ` · round ${round.key}` : ""}{" "}
            <span className="quiet">
              {round.state === "coming"
                ? `from ${formatMoment("en", round.opensAt, zone)}`
                : `until ${round.closings.map((c) => `${formatMoment("en", c.at, zone)} (${c.group})`).join(", ")}`}
            </span>
          </p>
        ))}
      </td>
      <td className="figures">{intake.rounds.reduce((sum, r) => sum + r.drafts, 0)}</td>
      <td className="figures">{intake.rounds.reduce((sum, r) => sum + r.submitted, 0)}</td>
      <td className="figures">
        {intake.accepted} of {intake.places}
      </td>
      <td>{intake.rulebook === null ? <strong>none</strong> : `version ${intake.rulebook}`}</td>
    </tr>
  );
}

/** What is offered: every programme with its starts, rounds and places. */
export default async function ProgrammesPage() {
  const person = await requireStaff("/office/programmes", ["officer", "lead officer", "administrator"]);
  const data = await see(plans, person.actor, {});
  if (!data) return null;
  const bare = data.programmes.filter((p) => p.intakes.length === 0);
  return (
    <div className="office-sheet wide">
      <div className="sheet-head">
        <h1>Programmes</h1>
        {data.mayChange ? (
          <span className="sheet-links">
            <Link href="/office/programmes/procedures">Procedures</Link>
            {data.programmes.length > 0 ? (
              <Link href="/office/programmes/next">Copy a cycle to another year</Link>
            ) : null}
            <Link className="office-press" href="/office/programmes/new">
              New programme
            </Link>
          </span>
        ) : null}
      </div>
      {data.programmes.length === 0 ? (
        <p>No programme is planned yet. Begin with a new one; then give it a start, a round and a rulebook.</p>
      ) : (
        <table className="plain-table">
          <thead>
            <tr>
              <th>Programme</th>
              <th>Begins</th>
              <th>Rounds ({data.zone})</th>
              <th>Drafts</th>
              <th>Submitted</th>
              <th>Accepted</th>
              <th>Rulebook</th>
            </tr>
          </thead>
          <tbody>
            {data.programmes.flatMap((p) =>
              p.intakes.map((i) => <IntakeRow key={i.id} programme={p} intake={i} zone={data.zone} />),
            )}
            {bare.map((p) => (
              <tr key={p.code}>
                <td>
                  <Link href={`/office/programmes/${p.code}`} className="serif">
                    {p.award} {p.title.en}
                  </Link>{" "}
                  <span className="quiet">{p.code}</span>
                </td>
                <td colSpan={6} className="quiet">
                  no start yet
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {data.searches.length > 0 ? (
        <SearchesWithout
          searches={data.searches.map((s) => ({ ...s, last: formatDayOf("en", s.lastAt, data.zone) }))}
          programmes={data.programmes.map((p) => ({ value: p.code, label: `${p.code} ${p.title.en}` }))}
          mayChange={data.mayChange}
          settle={settleSearch}
        />
      ) : null}
    </div>
  );
}
