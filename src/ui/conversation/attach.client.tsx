"use client";

import { Button } from "antd";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { MOST_ATTACHED } from "../../core/conversation/incoming";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import type { AttachedDocument } from "../../views/conversation/conversation";
import { Wrong } from "../frame/wrong";
import { GoingLine, useGoing } from "../sending/going-line.client";
import { refusedText, sendFile } from "../sending/send-form";

/** Documents that go with a message, with the way to each. */
export function Attached({ documents, locale }: { documents: readonly AttachedDocument[]; locale: Locale }) {
  if (documents.length === 0) return null;
  return (
    <ul className="supplied" aria-label={sentence(locale, "conversation.with")}>
      {documents.map((d) => (
        <li key={d.uploadId}>
          <a href={`/api/documents/${d.uploadId}`}>{d.name}</a>{" "}
          <span className="quiet">{sentence(locale, "doc.pages", { pages: d.pages })}</span>
        </li>
      ))}
    </ul>
  );
}

/** Chooses documents for the message that is being written. They stay with it when the page is left, until it is sent. */
export function Attach({
  applicationId,
  locale,
  held,
  drop,
  onBusy,
}: {
  applicationId: string;
  locale: Locale;
  held: readonly AttachedDocument[];
  drop: (uploadId: string) => Promise<string | null>;
  onBusy: (busy: boolean) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  const router = useRouter();
  const { going, onProgress, end } = useGoing();
  const [wrong, setWrong] = useState<string | null>(null);
  const send = async (files: readonly File[]) => {
    setWrong(null);
    onBusy(true);
    for (const file of files) {
      onProgress(0, false);
      try {
        const { status, body } = await sendFile("/api/attachments", { applicationId }, file, onProgress);
        if (status >= 400) setWrong(`${file.name}: ${refusedText(locale, body)}`);
      } catch {
        setWrong(`${file.name}: ${sentence(locale, "doc.failed")}`);
      }
    }
    end();
    onBusy(false);
    if (input.current) input.current.value = "";
    router.refresh();
  };
  return (
    <div className="attach">
      <ul className="supplied">
        {held.map((d) => (
          <li key={d.uploadId}>
            <a href={`/api/documents/${d.uploadId}`}>{d.name}</a>{" "}
            <Button
              type="text"
              size="small"
              aria-label={`${sentence(locale, "doc.remove")}: ${d.name}`}
              onClick={() =>
                void drop(d.uploadId)
                  .then(setWrong)
                  .then(() => router.refresh())
              }
            >
              {sentence(locale, "doc.remove")}
            </Button>
          </li>
        ))}
      </ul>
      <input
        ref={input}
        type="file"
        multiple
        className="hidden-text"
        tabIndex={-1}
        accept=".pdf,.jpg,.jpeg,.png"
        aria-label={sentence(locale, "conversation.attach")}
        onChange={(e) => void send([...(e.target.files ?? [])])}
      />
      {held.length < MOST_ATTACHED ? (
        <Button onClick={() => input.current?.click()} disabled={going !== null}>
          {sentence(locale, "conversation.attach")}
        </Button>
      ) : null}
      <GoingLine going={going} locale={locale} />
      <Wrong text={wrong} />
    </div>
  );
}
