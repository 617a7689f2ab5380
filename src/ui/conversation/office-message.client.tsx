"use client";

import Link from "next/link";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { formatMoment } from "../../text/format";
import type { FileData } from "../../views/assessment/file-data";
import type { ConversationMessage } from "../../views/conversation/conversation";
import { refusedText } from "../sending/send-form";
import { LooseDocuments } from "./loose-documents.client";

/** How a message came that was written as a mail, and what of it could not be kept. */
function ByMail({ mail }: { mail: NonNullable<ConversationMessage["mail"]> }) {
  return (
    <>
      {mail.left.map(({ name, reason }) => (
        <p key={name} className="notice">
          {name} was not kept: {refusedText("en", { document: reason })}
        </p>
      ))}
      <details className="whole-mail">
        <summary>The whole mail, from {mail.from}</summary>
        <p className="strong">{mail.subject}</p>
        <p className="letter">{mail.text}</p>
      </details>
    </>
  );
}

/** One message as the office reads it: what came with it, whether the other side has read it, and what can follow from it. */
export function OfficeMessage({
  message: m,
  file,
  act,
}: {
  message: ConversationMessage;
  file: FileData;
  act: ActOnFile;
}) {
  const about = file.sections.find((s) => s.key === m.about)?.title.en;
  const waits = !m.fromOffice && m.answeredAt === null;
  const asks = file.assessment.file.stage !== "preparing" && file.assessment.file.stage !== "closed";
  return (
    <li data-office={m.fromOffice}>
      <p className="by">
        <strong>{m.by}</strong>{" "}
        <span className="quiet">
          {m.fromOffice ? "for the office, " : ""}
          {formatMoment("en", m.at, file.zone)}
          {m.mail ? ", by mail" : ""}
          {about ? `, about ${about}` : ""}
        </span>{" "}
        {waits ? (
          <span className="turn-word" data-turn="office">
            to answer
          </span>
        ) : null}
      </p>
      <p className="letter">{m.text}</p>
      <LooseDocuments documents={m.documents} file={file} act={act} />
      {m.mail ? <ByMail mail={m.mail} /> : null}
      {waits && asks ? (
        <p>
          <Link href={`?show=asks&because=${m.id}`}>Ask for something because of this</Link>
        </p>
      ) : null}
      {m.fromOffice ? (
        <p className="quiet note">{m.readAt ? `Read on ${formatMoment("en", m.readAt, file.zone)}` : "Not read yet"}</p>
      ) : null}
    </li>
  );
}
