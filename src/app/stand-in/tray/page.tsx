import { notFound } from "next/navigation";
import { formatMoment } from "../../../text/format";
import { tray } from "../../../views/mail/messages";
import { SYSTEM, see } from "../../request";
import { isTrayOpen } from "./open";

function linked(body: string) {
  return body.split(/(https?:\/\/\S+)/u).map((part, i) =>
    part.startsWith("http") ? (
      // biome-ignore lint/suspicious/noArrayIndexKey: the parts of a fixed text
      <a key={i} href={part}>
        {part}
      </a>
    ) : (
      part
    ),
  );
}

/** A mail to the office, as a mail program would send it: with the mail that it answers, or with none. */
function WriteMail({
  called,
  from,
  subject,
  answers,
}: {
  called: string;
  from: string;
  subject: string;
  answers: string;
}) {
  const id = answers || "new";
  return (
    <details>
      <summary>{called}</summary>
      <form action="/stand-in/tray/answer" method="post" encType="multipart/form-data" className="stacked-form">
        <input type="hidden" name="answers" value={answers} />
        <label htmlFor={`from-${id}`}>From</label>
        <input id={`from-${id}`} name="from" type="email" required defaultValue={from} />
        <label htmlFor={`subject-${id}`}>Subject</label>
        <input id={`subject-${id}`} name="subject" defaultValue={subject} />
        <label htmlFor={`text-${id}`}>Text</label>
        <textarea id={`text-${id}`} name="text" rows={5} />
        <label htmlFor={`files-${id}`}>Documents</label>
        <input id={`files-${id}`} name="files" type="file" multiple />
        <button type="submit" className="plain-button">
          Send
        </button>
      </form>
    </details>
  );
}

/** The mail stand-in's tray: open to everybody in the demo, else to an administrator; closed when real mail is sent. */
export default async function TrayPage({ searchParams }: { searchParams: Promise<{ to?: string; sent?: string }> }) {
  if (!(await isTrayOpen())) notFound();
  const { to, sent } = await searchParams;
  const mails = (await see(tray, SYSTEM, { to: to || null })) ?? [];
  return (
    <main className="stand-in">
      <h1>Simulated mail</h1>
      <p>This page stands in for everybody’s mailbox. Nothing leaves this machine.</p>
      <form className="inline-form">
        <label htmlFor="to">Mailbox</label>
        <input id="to" name="to" defaultValue={to ?? ""} placeholder="part of an address" />
        <button type="submit" className="plain-button">
          Show
        </button>
      </form>
      {sent ? (
        <p role="status" className="saved">
          It is on its way to the office.
        </p>
      ) : null}
      <WriteMail called="Write a new mail to the office" from={to ?? ""} subject="" answers="" />
      {mails.length === 0 ? (
        <p className="empty">No mail here yet. It arrives within a second or two; load the page again.</p>
      ) : null}
      {mails.map((mail) => (
        <article key={mail.id} className="mail">
          <h2>{mail.subject}</h2>
          <p className="quiet">
            to {mail.to} · {formatMoment("en", mail.at, "UTC")} UTC
          </p>
          <p className="letter">{linked(mail.body)}</p>
          <WriteMail called="Answer it" from={mail.to} subject={`Re: ${mail.subject}`} answers={mail.messageId} />
        </article>
      ))}
    </main>
  );
}
