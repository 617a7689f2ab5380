import Link from "next/link";
import { holds, OFFICE } from "../../../core/rights/actor";
import { formatMoment } from "../../../text/format";
import { TryMail } from "../../../ui/mail/try-mail.client";
import { type WaitingMail, waitingMail } from "../../../views/mail/waiting-mail";
import { officeZone, requireStaff, see } from "../../request";
import { tryMail } from "./mail.action";

function stateOf({ nextAt, refused }: WaitingMail, zone: string): string {
  if (refused) return "given up: the address is not known there";
  return nextAt === null ? "given up after three days" : `tried again ${formatMoment("en", nextAt, zone)}`;
}

/** An administrator who works on no files reads the number of one, and cannot open it. */
function about({ number }: WaitingMail, opensFiles: boolean) {
  if (number === null) return "an account";
  return opensFiles ? <Link href={`/office/files/${number}`}>{number}</Link> : number;
}

/** What could not be sent and why, for an administrator. */
export default async function MailPage() {
  const person = await requireStaff("/office/mail", ["administrator"]);
  const [mails, zone] = await Promise.all([see(waitingMail, person.actor, {}), officeZone()]);
  const waiting = mails ?? [];
  const opensFiles = holds(person.actor, OFFICE);
  return (
    <div className="office-sheet wide">
      <div className="sheet-head">
        <h1>
          Mail that has not gone out <span className="quiet">{waiting.length || "none"}</span>
        </h1>
        {waiting.some((m) => !m.refused) ? <TryMail label="Try all again now" act={tryMail.bind(null, null)} /> : null}
      </div>
      {waiting.length === 0 ? (
        <p className="empty">
          Everything went out. While the mail server is away, mails wait here and are tried again for three days, at
          least once an hour.
        </p>
      ) : (
        <table className="plain-table">
          <thead>
            <tr>
              <th>To</th>
              <th>What it says</th>
              <th>About</th>
              <th>Waiting since</th>
              <th>Tried</th>
              <th>What went wrong</th>
              <th>What happens</th>
              <th>
                <span className="hidden-text">Act</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {waiting.map((mail) => (
              <tr key={mail.id}>
                <td>{mail.to}</td>
                <td>{mail.subject}</td>
                <td className="figures">{about(mail, opensFiles)}</td>
                <td>{formatMoment("en", mail.queuedAt, zone)}</td>
                <td>{mail.attempts === 1 ? "once" : `${mail.attempts} times`}</td>
                <td>{mail.failure}</td>
                <td>{stateOf(mail, zone)}</td>
                <td>
                  <TryMail label="Try again" name={`${mail.subject} to ${mail.to}`} act={tryMail.bind(null, mail.id)} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
