import Link from "next/link";
import { notFound } from "next/navigation";
import { programmeName } from "../../../../core/catalogue/programme";
import { formatDate, formatMoment } from "../../../../text/format";
import { CopyCycle } from "../../../../ui/catalogue/copy-cycle.client";
import { type NextStart, nextCycle } from "../../../../views/application/next-cycle";
import { requireStaff, see } from "../../../request";
import { copyToNext } from "../plan.action";

const YEARS = [1, 2, 3] as const;

/** The rounds of a start after the copy, closings on free days marked. */
function Rounds({ start, zone }: { start: NextStart; zone: string }) {
  if (start.rounds.length === 0) return <span className="quiet">no round</span>;
  return start.rounds.map((r) => (
    <p key={r.key}>
      Round {r.key}: {formatMoment("en", r.opensAt, zone)} to{" "}
      {r.closings.map((c, i) => (
        <span key={c.group}>
          {i > 0 ? ", " : ""}
          {formatMoment("en", c.at, zone)} ({c.group}){c.free ? <strong> free day</strong> : null}
        </span>
      ))}
    </p>
  ));
}

/** Plans a further cycle as a copy of one: what will be planned is shown before it is. */
export default async function NextCyclePage({
  searchParams,
}: {
  searchParams: Promise<{ from?: string; years?: string }>;
}) {
  const { from, years } = await searchParams;
  const person = await requireStaff("/office/programmes/next", ["lead officer", "administrator"]);
  const by = YEARS.find((n) => String(n) === years) ?? 1;
  const data = await see(nextCycle, person.actor, { from: from ?? null, years: by });
  if (!data) notFound();
  return (
    <div className="office-sheet wide">
      <p>
        <Link href="/office/programmes">Programmes</Link>
      </p>
      <h1>
        Entry {data.from} copied to entry {data.to}
      </h1>
      <p className="quiet">
        Starts, places and rounds move by {by === 1 ? "one year" : `${by} years`} on the office’s clock ({data.zone}),
        and a draft of each rulebook begins as a copy. Nobody can apply before it is published. Dates that stand in
        rules or texts stay as they are: read each draft before you publish it.
      </p>
      <form className="copy-choice">
        <label>
          From entry{" "}
          <select name="from" defaultValue={data.from}>
            {data.cycles.map((c) => (
              <option key={c}>{c}</option>
            ))}
          </select>
        </label>
        <label>
          later by{" "}
          <select name="years" defaultValue={String(by)}>
            {YEARS.map((n) => (
              <option key={n} value={n}>
                {n === 1 ? "one year" : `${n} years`}
              </option>
            ))}
          </select>
        </label>
        <button type="submit" className="link-button">
          Show
        </button>
      </form>
      {data.starts.length === 0 ? (
        <p>
          No programme starts in this cycle. <Link href="/office/programmes">Plan one</Link> first.
        </p>
      ) : (
        <CopyCycle
          key={`${data.from}-${by}`}
          to={data.to}
          rows={data.starts.map((start) => ({
            code: start.code,
            name: programmeName(start, "en"),
            there: start.there,
            begins: `${formatDate("en", start.startsOn.before)} → ${formatDate("en", start.startsOn.after)}`,
            rulebook: start.rulebook === null ? "none published" : `draft from version ${start.rulebook}`,
            rounds: <Rounds start={start} zone={data.zone} />,
          }))}
          copy={copyToNext.bind(null, data.from, by)}
        />
      )}
    </div>
  );
}
