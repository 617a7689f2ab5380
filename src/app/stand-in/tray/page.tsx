import { notFound } from "next/navigation";
import { holds } from "../../../core/rights/actor";
import { webRuntime } from "../../../runtime";
import { formatMoment } from "../../../text/format";
import { tray } from "../../../views/mail/messages";
import { identity, SYSTEM, see, VISITOR } from "../../request";

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

/** The mail stand-in's tray: open to everybody in the demo, else to an administrator; closed when real mail is sent. */
export default async function TrayPage({ searchParams }: { searchParams: Promise<{ to?: string }> }) {
  const { settings } = await webRuntime();
  const person = settings.demo ? null : await identity();
  const open = settings.demo || holds(person?.actor ?? VISITOR, ["administrator"]);
  if (settings.mail !== "tray" || !open) notFound();
  const { to } = await searchParams;
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
        </article>
      ))}
    </main>
  );
}
