import { readConversation } from "../../../../../acts/conversation/conversation";
import { formatList, formatMoment } from "../../../../../text/format";
import { sentence } from "../../../../../text/sentence";
import { Attached } from "../../../../../ui/conversation/attach.client";
import { WriteUs } from "../../../../../ui/conversation/write-us.client";
import { myConversation } from "../../../../../views/conversation/conversation";
import { locale, perform, see } from "../../../../request";
import { dropAttachment, writeUs } from "../application.action";
import { loadApplication } from "../load";

/** What applicant and office wrote to each other about one application, the latest last, and the way to write. */
export default async function ConversationPage({
  params,
  searchParams,
}: {
  params: Promise<{ number: string }>;
  searchParams: Promise<{ about?: string }>;
}) {
  const [{ number }, { about = "" }] = await Promise.all([params, searchParams]);
  const language = await locale();
  const { application, actor } = await loadApplication(number);
  const { messages, held } = (await see(myConversation, actor, { number })) ?? { messages: [], held: [] };
  const sections = application.sections.filter((s) => s.applies);
  const titleOf = (key: string) => sections.find((s) => s.key === key)?.title[language] ?? "";
  // What was unread when the page was asked for is marked on it as new, and read from now on.
  if (messages.some((m) => m.fromOffice && m.readAt === null))
    await perform(readConversation, actor, { applicationId: application.id });
  const when = (instant: string) => formatMoment(language, instant, application.zone);
  return (
    <section className="conversation">
      <h2>{sentence(language, "conversation.title")}</h2>
      <p className="measure quiet">{sentence(language, "conversation.lead")}</p>
      {messages.length === 0 ? <p className="empty">{sentence(language, "conversation.none")}</p> : null}
      <ol>
        {messages.map((m) => (
          <li key={m.id} data-office={m.fromOffice}>
            <p className="by">
              <strong>
                {m.fromOffice
                  ? sentence(language, "conversation.office", { name: m.by })
                  : sentence(language, "conversation.you")}
              </strong>{" "}
              <span className="quiet">
                {when(m.at)}
                {m.mail ? `, ${sentence(language, "conversation.byMail")}` : ""}
                {titleOf(m.about) ? `, ${sentence(language, "conversation.about", { section: titleOf(m.about) })}` : ""}
              </span>{" "}
              {m.fromOffice && m.readAt === null ? (
                <span className="new">{sentence(language, "conversation.new")}</span>
              ) : null}
            </p>
            <p className="letter">{m.text}</p>
            <Attached documents={m.documents} locale={language} />
            {m.mail && m.mail.left.length > 0 ? (
              <p className="notice">
                {sentence(language, "conversation.leftOut", {
                  names: formatList(
                    language,
                    m.mail.left.map((l) => l.name),
                  ),
                })}
              </p>
            ) : null}
            {!m.fromOffice && m.answeredAt === null ? (
              <p className="quiet note">
                {sentence(language, "conversation.waits")}
                {m.readAt ? `; ${sentence(language, "conversation.read", { when: when(m.readAt) })}` : ""}.
              </p>
            ) : null}
          </li>
        ))}
      </ol>
      <WriteUs
        number={number}
        locale={language}
        about={sections.some((s) => s.key === about) ? about : ""}
        topics={[...new Map(sections.map((s) => [s.key, s.title[language]]))].map(([value, label]) => ({
          value,
          label,
        }))}
        applicationId={application.id}
        held={held}
        send={writeUs.bind(null, number, application.id)}
        drop={dropAttachment.bind(null, number, application.id)}
      />
    </section>
  );
}
