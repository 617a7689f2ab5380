import Link from "next/link";
import { notFound } from "next/navigation";
import { holds, OFFICE } from "../../../../../core/rights/actor";
import { MailWording } from "../../../../../ui/mail/mail-wording.client";
import { mailWording } from "../../../../../views/mail/wordings";
import { officeZone, requireStaff, see } from "../../../../request";
import { saveMailWording } from "../../texts.action";

/** The words of one mail in both languages, read as a file would be sent them, and the words that it had. */
export default async function MailWordingPage({
  params,
  searchParams,
}: {
  params: Promise<{ template: string }>;
  searchParams: Promise<{ number?: string }>;
}) {
  const [{ template }, { number = "" }] = await Promise.all([params, searchParams]);
  const person = await requireStaff(`/office/texts/mails/${template}`, OFFICE);
  const [data, zone] = await Promise.all([see(mailWording, person.actor, { template, number }), officeZone()]);
  if (!data) notFound();
  return (
    <div className="office-sheet wide">
      <p>
        <Link href="/office/texts/mails">Mails that go by themselves</Link>
      </p>
      <MailWording
        key={data.versions[0]?.version ?? 0}
        data={data}
        zone={zone}
        asked={number}
        writes={holds(person.actor, ["lead officer"])}
        save={saveMailWording}
      />
    </div>
  );
}
