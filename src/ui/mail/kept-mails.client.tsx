"use client";

import type { ActOnFile } from "../../core/file-acts/file-acts";
import { formatMoment } from "../../text/format";
import type { FileData } from "../../views/assessment/file-data";
import type { KeptMail } from "../../views/mail/messages";
import { LooseDocuments } from "../conversation/loose-documents.client";

/** Mails that came in about the file and stand with it for the office alone. */
export function KeptMails({ mails, file, act }: { mails: readonly KeptMail[]; file: FileData; act: ActOnFile }) {
  if (mails.length === 0) return null;
  return (
    <>
      <h2>
        Mails that came in <span className="quiet">for the office alone</span>
      </h2>
      <ol className="office-history">
        {mails.map((m) => (
          <li key={m.id}>
            <span className="quiet">{formatMoment("en", m.at, file.zone)}</span>
            <span className="strong">{m.from}</span>
            <details className="sent-mail">
              <summary>
                {m.subject || "Without a subject"}{" "}
                {m.automatic ? <span className="quiet">sent by a machine</span> : null}
              </summary>
              <p className="letter">{m.text}</p>
              <LooseDocuments documents={m.documents} file={file} act={act} />
            </details>
          </li>
        ))}
      </ol>
    </>
  );
}
