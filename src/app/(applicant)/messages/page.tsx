import { formatMoment } from "../../../text/format";
import { sentence } from "../../../text/sentence";
import { renderMail } from "../../../text/words/render-mail";
import { myMessages } from "../../../views/mail/messages";
import { locale, requirePerson, see } from "../../request";

/** Every message that we sent to the person, readable without a mailbox. */
export default async function MessagesPage() {
  const language = await locale();
  const person = await requirePerson("/messages");
  const data = await see(myMessages, person.actor, {});
  const messages = data?.messages ?? [];
  return (
    <div className="sheet">
      <h1>{sentence(language, "messages.title")}</h1>
      {messages.length === 0 ? <p className="empty">{sentence(language, "messages.none")}</p> : null}
      {messages.map((message) => {
        const mail = renderMail(
          message.locale === "fr" ? "fr" : "en",
          message.template,
          message.values,
          null,
          message.words,
        );
        return (
          <details key={message.id} className="message">
            <summary>
              <span className="strong">{mail.subject}</span>{" "}
              <span className="quiet">
                {message.sent
                  ? formatMoment(language, message.at, data?.zone ?? "UTC")
                  : sentence(language, "messages.queued")}
              </span>
            </summary>
            <p className="letter">{mail.body}</p>
          </details>
        );
      })}
    </div>
  );
}
