import { notFound } from "next/navigation";
import { readConversation } from "../../../../acts/conversation/conversation";
import { workingCalendar } from "../../../../core/calendar/working-days";
import type { ActOnFile } from "../../../../core/file-acts/file-acts";
import { holds, OFFICE } from "../../../../core/rights/actor";
import { formatDay } from "../../../../core/time/day";
import { dayAt, zoneTable } from "../../../../core/time/zone";
import { proposedDay } from "../../../../text/words/office";
import { AskList } from "../../../../ui/asks/ask-list.client";
import { Asked } from "../../../../ui/asks/asked.client";
import { Doubles } from "../../../../ui/assessment/doubles.client";
import { WhatIf } from "../../../../ui/assessment/what-if.client";
import { ContactList } from "../../../../ui/contact/contact-list.client";
import { FileConversation } from "../../../../ui/conversation/file-conversation.client";
import { Adjustments } from "../../../../ui/file/adjustments.client";
import { FileWork } from "../../../../ui/file/file-work.client";
import { Tasks } from "../../../../ui/file/tasks.client";
import { AccountAddress } from "../../../../ui/mail/account-address.client";
import { FileMessages } from "../../../../ui/mail/file-messages.client";
import { KeptMails } from "../../../../ui/mail/kept-mails.client";
import { Notes } from "../../../../ui/notes/notes.client";
import { Alike, AlikeLines } from "../../../../ui/statements/alike.client";
import { submissions } from "../../../../views/application/submissions";
import { file } from "../../../../views/assessment/file";
import { whatIf } from "../../../../views/assessment/what-if";
import { fileConversation } from "../../../../views/conversation/conversation";
import { copiesOfFile } from "../../../../views/copies/copies";
import { fileMessages } from "../../../../views/mail/messages";
import { fileNotes } from "../../../../views/notes/notes";
import { statementComparison } from "../../../../views/statements/likeness";
import { perform, requireStaff, see } from "../../../request";
import { Choices } from "./choices";
import * as actions from "./file.action";
import { Form } from "./form";
import { Head } from "./head";
import { History } from "./history";

/** One file: the comb unrolled, the document beside the claim beside the rule, and the acts with their keys. */
export default async function FilePage({
  params,
  searchParams,
}: {
  params: Promise<{ number: string }>;
  searchParams: Promise<{ show?: string; with?: string; because?: string }>;
}) {
  const [{ number }, { show = "", with: otherId = "", because = "" }] = await Promise.all([params, searchParams]);
  const person = await requireStaff(`/office/files/${number}`, OFFICE);
  const { actor } = person;
  // What each part shows beside the file is asked for at the same time as the file itself.
  const [data, lines, copies, mails, written, notes, supposed, alike] = await Promise.all([
    see(file, actor, { number }),
    show === "form" ? see(submissions, actor, { number }) : null,
    show === "form" ? see(copiesOfFile, actor, { number }) : null,
    show === "messages" ? see(fileMessages, actor, { number }) : null,
    show === "messages" || because ? see(fileConversation, actor, { number }) : null,
    see(fileNotes, actor, { number }),
    show === "what-if" ? see(whatIf, actor, { number }) : null,
    show === "alike" ? see(statementComparison, actor, { number, otherId }) : null,
  ]);
  if (!data) notFound();
  if (written?.messages.some((m) => !m.fromOffice && m.readAt === null))
    await perform(readConversation, actor, { applicationId: data.id });
  const wrote = written?.messages.find((m) => m.id === because && !m.fromOffice && m.answeredAt === null);
  const calendar = workingCalendar(data.calendar);
  const zone = zoneTable(data.zone);
  const askDay = formatDay(proposedDay(calendar, zone, Date.parse(data.now), data.office.targets.ask));
  const act = actions.actOnFile.bind(null, number, data.id) as ActOnFile; // what it takes hangs on the name it is called with
  const lead = holds(actor, ["lead officer"]);
  const address = <AccountAddress file={data} corrected={mails?.addresses ?? []} act={act} />;
  return (
    <div className="file">
      <Head data={data} show={show} />
      <Doubles data={data} lead={lead} act={act} />
      <AlikeLines number={number} likenesses={data.likenesses} shown={show === "alike" ? otherId : null} />
      <Adjustments adjustments={data.adjustments} advises={data.advises} act={act} />
      <Tasks data={data} act={act} />
      {notes ? (
        <Notes number={number} data={notes} act={act} look={actions.whoElse.bind(null, number, data.id)} />
      ) : null}
      {show === "alike" ? (
        <Alike key={otherId} number={number} name={data.name} zone={data.zone} comparison={alike} act={act} />
      ) : null}
      {show === "asks" ? (
        <div className="asks-page">
          {data.assessment.file.stage === "preparing" || data.assessment.file.stage === "closed" ? (
            <p className="empty">
              {data.assessment.file.stage === "closed"
                ? "The file is closed: nothing is asked for any more."
                : "The applicant is still preparing: the form itself says what is missing. Write to them under Messages."}
            </p>
          ) : (
            <AskList key={data.asks.length} data={data} askDay={askDay} because={wrote?.text ?? null} act={act} />
          )}
          <Asked data={data} today={formatDay(dayAt(zone, Date.parse(data.now)))} act={act} />
        </div>
      ) : null}
      {show === "history" ? <History data={data} /> : null}
      {show === "messages" ? address : null}
      {show === "messages" && written ? (
        <FileConversation
          number={number}
          data={written}
          file={data}
          act={act}
          drop={actions.dropAttachment.bind(null, number, data.id)}
        />
      ) : null}
      {show === "messages" ? (
        <section aria-label="Mails" className="mails">
          <h2>Mails</h2>
          <FileMessages messages={mails?.sent ?? []} zone={data.zone} act={act} />
          <KeptMails mails={mails?.kept ?? []} file={data} act={act} />
        </section>
      ) : null}
      {show === "contact" ? <ContactList data={data} act={act} /> : null}
      {show === "choices" ? (
        <Choices
          data={data}
          acts={{
            act,
            extend: actions.extend.bind(null, number, data.id),
            look: actions.lookElsewhere.bind(null, number),
          }}
        />
      ) : null}
      {show === "form" ? (
        <Form data={data} lines={lines ?? []} copies={copies ?? []} askDay={askDay} act={act} />
      ) : null}
      {supposed ? (
        <WhatIf
          first={supposed}
          office={data.office}
          titles={data.factTitles}
          overridden={data.overrides.some((o) => o.ended === null)}
          suppose={actions.suppose.bind(null, number)}
        />
      ) : null}
      {show === "" ? <FileWork data={data} me={{ id: actor.id, lead }} askDay={askDay} act={act} /> : null}
    </div>
  );
}
