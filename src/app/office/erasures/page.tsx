import { notFound } from "next/navigation";
import { formatDayOf, formatMoment } from "../../../text/format";
import { erasureWords } from "../../../text/words/erasure";
import { ConfirmPress } from "../../../ui/frame/confirm-press.client";
import { type Erasure, erasures } from "../../../views/people/erasures";
import { officeZone, requireStaff, see } from "../../request";
import { erase } from "./erasures.action";

const goesWords = ({ report }: Erasure): string =>
  report.personGoes ? "name, address and account go as well" : "name, address and account stay with what stays";

/** Who asked to be erased: what would go and what would stay, and what was done; for an administrator. */
export default async function ErasuresPage() {
  const person = await requireStaff("/office/erasures", ["administrator"]);
  const [all, zone] = await Promise.all([see(erasures, person.actor, {}), officeZone()]);
  if (!all) notFound();
  return (
    <div className="office-sheet wide">
      <h1>
        Erasure <span className="quiet">{all.filter((e) => e.answeredAt === null).length || "nobody"} waiting</span>
      </h1>
      <p className="quiet">
        Applicants ask for it on the page of their account. Drafts that were never submitted go at once, submitted files
        once they are closed and the days that the standards say are over. Numbers, choices, decisions, events and
        payments stay of every file; they name nobody.
      </p>
      {all.length === 0 ? (
        <p className="empty">Nobody has asked yet.</p>
      ) : (
        <table className="plain-table">
          <thead>
            <tr>
              <th>Who</th>
              <th>Asked</th>
              <th>What goes, what stays</th>
              <th>Answered</th>
            </tr>
          </thead>
          <tbody>
            {all.map((request) => (
              <tr key={request.id}>
                <td>
                  {request.name ? (
                    <>
                      <span className="serif">{request.name}</span> <span className="quiet">{request.email}</span>
                    </>
                  ) : (
                    <span className="quiet">erased</span>
                  )}
                </td>
                <td>{formatDayOf("en", request.askedAt.toISOString(), zone)}</td>
                <td>
                  {request.report.files.map((file) => (
                    <div key={file.number}>{erasureWords("en", file, zone)}</div>
                  ))}
                  <div className="quiet">{goesWords(request)}</div>
                </td>
                <td>
                  {request.answeredAt === null ? (
                    <ConfirmPress
                      action={erase.bind(null, request.id)}
                      label="Erase what goes"
                      name={`Erase what goes of ${request.name}`}
                      question={`What goes of ${request.name} goes for good, and they are told. Is it sure that it was they who asked?`}
                      locale="en"
                    />
                  ) : (
                    `${formatMoment("en", request.answeredAt.toISOString(), zone)}, ${request.answeredBy ?? ""}`
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
