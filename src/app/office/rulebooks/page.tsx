import Link from "next/link";
import { RULEBOOK_READERS } from "../../../core/rights/actor";
import { webRuntime } from "../../../runtime";
import { formatDate, formatDayOf, formatMoment } from "../../../text/format";
import { type RecurringQuestion, recurringQuestions } from "../../../views/contact/recurring-questions";
import { type RulebookLine, rulebooks } from "../../../views/rulebook/rulebooks";
import { officeNow } from "../../../views/view/office-now";
import { requireStaff, see } from "../../request";
import { beginDraft } from "./rulebook.action";

function Begin({ line, lines }: { line: RulebookLine; lines: readonly RulebookLine[] }) {
  const others = lines.flatMap((l) =>
    l.published ? [{ id: l.published.id, label: `${l.code} ${l.cycle}, version ${l.published.version}` }] : [],
  );
  return (
    <form action={beginDraft} className="begin-draft">
      <input type="hidden" name="intake" value={line.intakeId} />
      <label>
        <span className="hidden-text">Begin the draft of {line.code} from</span>
        <select name="from" defaultValue={line.published?.id ?? ""}>
          {line.published ? <option value={line.published.id}>its version {line.published.version}</option> : null}
          <option value="">nothing</option>
          {others
            .filter((o) => o.id !== line.published?.id)
            .map((o) => (
              <option key={o.id} value={o.id}>
                a copy of {o.label}
              </option>
            ))}
        </select>
      </label>
      <button type="submit" className="link-button">
        Begin a draft
      </button>
    </form>
  );
}

/** What applicants asked on the phone again and again, each with the way to the help texts that did not answer it. */
function AskedAgain({ questions, zone }: { questions: readonly RecurringQuestion[]; zone: string }) {
  if (questions.length === 0) return null;
  return (
    <section className="plan-part">
      <h2>
        Asked again and again <span className="quiet">as noted after calls in the last twelve months</span>
      </h2>
      <table className="plain-table">
        <thead>
          <tr>
            <th>About</th>
            <th>Times</th>
            <th>Last</th>
            <th>In their words</th>
          </tr>
        </thead>
        <tbody>
          {questions.map((q) => (
            <tr key={`${q.code} ${q.section}`}>
              <td>
                <Link href={`/office/rulebooks/${q.rulebookId}?section=${q.section}`}>{q.title.en}</Link>{" "}
                <span className="quiet">{q.code}</span>
              </td>
              <td className="figures">{q.times}</td>
              <td className="figures">{formatDayOf("en", q.lastAt, zone)}</td>
              <td>
                {q.questions.length === 0 ? <span className="quiet">not noted</span> : null}
                {[...new Set(q.questions)].map((words) => (
                  <div key={words}>{words}</div>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** The rulebooks of all starts: what is published, what is being drafted. */
export default async function RulebooksPage() {
  const person = await requireStaff("/office/rulebooks", RULEBOOK_READERS);
  const lines = (await see(rulebooks, person.actor, {})) ?? [];
  const questions = (await see(recurringQuestions, person.actor, {})) ?? [];
  const { set } = await officeNow((await webRuntime()).pool);
  return (
    <div className="office-sheet wide">
      <div className="sheet-head">
        <h1>Rulebooks</h1>
        <span className="sheet-links">
          <Link href="/office/rulebooks/parts">Shared parts</Link>
        </span>
      </div>
      <p className="quiet">
        A rulebook holds the sections, requirements, entry rules and fees of one start. A published one never changes:
        draft the next version, see what it would change, then have it published by a lead officer.
      </p>
      {lines.length === 0 ? (
        <p>
          There is nothing to write rules for yet. <Link href="/office/programmes">Plan a programme with a start</Link>{" "}
          first.
        </p>
      ) : (
        <table className="plain-table">
          <thead>
            <tr>
              <th>Programme</th>
              <th>Begins</th>
              <th>Published</th>
              <th>Draft</th>
              <th>Files</th>
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => (
              <tr key={line.intakeId}>
                <td>
                  <span className="serif">
                    {line.award} {line.title.en}
                  </span>{" "}
                  <span className="quiet">{line.code}</span>
                </td>
                <td className="figures">{formatDate("en", line.startsOn)}</td>
                <td>
                  {line.published ? (
                    <Link href={`/office/rulebooks/${line.published.id}`}>
                      version {line.published.version}{" "}
                      <span className="quiet">{formatMoment("en", line.published.at, set.zone)}</span>
                    </Link>
                  ) : (
                    <strong>none</strong>
                  )}
                </td>
                <td>
                  {line.draft ? (
                    <Link href={`/office/rulebooks/${line.draft.id}`}>
                      draft{" "}
                      <span className="quiet">
                        {line.draft.by ? `${line.draft.by}, ` : ""}
                        {formatMoment("en", line.draft.at, set.zone)}
                      </span>
                    </Link>
                  ) : (
                    <Begin line={line} lines={lines} />
                  )}
                </td>
                <td className="figures">{line.files}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <AskedAgain questions={questions} zone={set.zone} />
    </div>
  );
}
