import Link from "next/link";
import { notFound } from "next/navigation";
import { MAIL_GROUPS, type MailGroup } from "../../../../core/mail/templates";
import { OFFICE } from "../../../../core/rights/actor";
import { formatMoment } from "../../../../text/format";
import { MAIL_GROUP_WORDS, sampleValues } from "../../../../text/words/mail-words";
import { renderMail } from "../../../../text/words/render-mail";
import { mailWordings } from "../../../../views/mail/wordings";
import { officeZone, requireStaff, see } from "../../../request";
import { TextKinds } from "../parts";

/** Every mail that Unvex sends, by what it is about, and whether the office has words of its own for it. */
export default async function MailWordingsPage() {
  const person = await requireStaff("/office/texts/mails", OFFICE);
  const [lines, zone] = await Promise.all([see(mailWordings, person.actor, {}), officeZone()]);
  if (!lines) notFound();
  return (
    <div className="office-sheet wide">
      <div className="sheet-head">
        <h1>
          Texts <span className="quiet">mails that go by themselves</span>
        </h1>
      </div>
      <TextKinds shown="mails" />
      {(Object.keys(MAIL_GROUPS) as MailGroup[]).map((group) => (
        <section key={group} aria-label={MAIL_GROUP_WORDS[group]}>
          <h2>{MAIL_GROUP_WORDS[group]}</h2>
          <table className="plain-table">
            <thead>
              <tr>
                <th>Subject</th>
                <th>Words</th>
                <th>Sent in 30 days</th>
              </tr>
            </thead>
            <tbody>
              {lines
                .filter((line) => (MAIL_GROUPS[group] as readonly string[]).includes(line.template))
                .map(({ template, own, changed, sent }) => (
                  <tr key={template}>
                    <td>
                      <Link href={`/office/texts/mails/${template}`}>
                        {renderMail("en", template, sampleValues(template), null).subject}
                      </Link>
                    </td>
                    <td className="quiet">
                      {own ? "our own" : "as they came"}
                      {changed ? `, ${changed.by}, ${formatMoment("en", changed.at, zone)}` : ""}
                    </td>
                    <td className="figures">{sent || ""}</td>
                  </tr>
                ))}
            </tbody>
          </table>
        </section>
      ))}
    </div>
  );
}
