import Link from "next/link";
import { notFound } from "next/navigation";
import { programmeName } from "../../../core/catalogue/programme";
import { TURNS } from "../../../core/file/facts";
import { OFFICE } from "../../../core/rights/actor";
import { formatDate } from "../../../text/format";
import { REASON_WORDS, TURN_WORDS } from "../../../text/words/office";
import { clocks, type DecidedLine, type WaitingLine } from "../../../views/figures/clocks";
import { requireStaff, see } from "../../request";

const days = (count: number) => `${count}\u00a0${count === 1 ? "day" : "days"}`;

function Waiting({ lines, most }: { lines: readonly WaitingLine[]; most: number }) {
  return lines.map(({ turn, reason, count, late, half, longest }) => (
    <tr key={reason}>
      <th scope="row">
        <Link href={`/office?${new URLSearchParams({ turn, reason })}`}>{REASON_WORDS[reason]}</Link>
      </th>
      <td className="number">{count}</td>
      <td className="number">{late > 0 ? <span className="late">{late}</span> : "0"}</td>
      <td className="number">{days(half)}</td>
      <td className="longest">
        <span className="wait-bar" style={{ width: `${Math.max(1, Math.round((longest.days / most) * 100))}px` }} />{" "}
        {days(longest.days)}{" "}
        <Link className="quiet" href={`/office/files/${longest.number}`}>
          {longest.number} {longest.name}
        </Link>
      </td>
    </tr>
  ));
}

function Decided({ line }: { line: DecidedLine }) {
  return (
    <tr>
      <th scope="row">
        {line.code} {programmeName(line, "en")} <span className="quiet">{formatDate("en", line.startsOn)}</span>
      </th>
      <td className="number">{line.count}</td>
      <td className="number">{days(line.half)}</td>
      <td className="number">{days(line.nine)}</td>
      <td className="number">{days(line.othersHalf)}</td>
      <td>
        <Link href={`/office/programmes/${line.code}`}>{line.published ? "published" : "not published"}</Link>
      </td>
    </tr>
  );
}

/** Where files wait how long at this moment, and how long decisions took: the office's own time apart from that of others. */
export default async function ClocksSheet() {
  const person = await requireStaff("/office/clocks", OFFICE);
  const page = await see(clocks, person.actor, {});
  if (!page) notFound();
  const { waiting, decided } = page;
  const most = Math.max(1, ...waiting.map((w) => w.longest.days));
  const turns = TURNS.filter((turn) => waiting.some((w) => w.turn === turn));
  return (
    <div className="office-sheet wide clocks">
      <div className="sheet-head">
        <h1>
          Clocks <span className="quiet">in working days of the office</span>
        </h1>
      </div>
      <section>
        <h2>Waiting now</h2>
        {turns.length === 0 ? (
          <p className="empty">No submitted file waits for anybody.</p>
        ) : (
          <table className="plain-table">
            <thead>
              <tr>
                <th scope="col">For what</th>
                <th scope="col">Files</th>
                <th scope="col">Late</th>
                <th scope="col">Half wait longer than</th>
                <th scope="col">The longest</th>
              </tr>
            </thead>
            {turns.map((turn) => (
              <tbody key={turn}>
                <tr>
                  <th scope="rowgroup" colSpan={5}>
                    <span className="turn-mark" data-turn={turn} />{" "}
                    <span className="turn-word" data-turn={turn}>
                      {turn === "office" ? "Ours" : TURN_WORDS[turn]}
                    </span>
                  </th>
                </tr>
                <Waiting lines={waiting.filter((w) => w.turn === turn)} most={most} />
              </tbody>
            ))}
          </table>
        )}
      </section>
      <section>
        <h2>How long decisions took</h2>
        <p className="quiet">
          From the submission to the release. Our own time and the faculty’s counts; the time of applicants, referees
          and payments stands apart. Visitors see a programme’s times where it says so, from five decisions on.
        </p>
        {decided.length === 0 ? (
          <p className="empty">No decision has been released yet.</p>
        ) : (
          <table className="plain-table">
            <thead>
              <tr>
                <th scope="col">Programme and start</th>
                <th scope="col">Decisions</th>
                <th scope="col">Half within</th>
                <th scope="col">Nine of ten within</th>
                <th scope="col">Half lay with others at most</th>
                <th scope="col">For visitors</th>
              </tr>
            </thead>
            <tbody>
              {decided.map((line) => (
                <Decided key={line.code + line.startsOn} line={line} />
              ))}
            </tbody>
          </table>
        )}
      </section>
    </div>
  );
}
