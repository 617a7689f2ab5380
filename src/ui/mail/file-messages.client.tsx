"use client";

import { Button } from "antd";
import { useState } from "react";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { formatMoment } from "../../text/format";
import type { FileMessage } from "../../views/mail/messages";
import { useAsking } from "../frame/unanswered.client";

const STATE_WORDS: Readonly<Record<string, string>> = {
  queued: "waits to be sent",
  sending: "on its way",
  sent: "sent",
  withdrawn: "taken back before it was sent",
};

/** Every mail about the file: whether it arrived, what it said, and the way to send it once more. */
export function FileMessages({
  messages,
  zone,
  act,
}: {
  messages: readonly FileMessage[];
  zone: string;
  act: ActOnFile;
}) {
  const [said, setSaid] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  if (messages.length === 0) return <p className="empty">Nothing was written about this file yet.</p>;
  const again = ({ id, subject }: FileMessage) =>
    begin(async () => {
      setSaid((await act("send-again", { messageId: id })) ?? `“${subject}” is on its way once more.`);
    });
  return (
    <>
      {said ? (
        <p role="status" className="said">
          {said}
        </p>
      ) : null}
      <ol className="office-history">
        {messages.map((m) => (
          <li key={m.id}>
            <span className="quiet">{formatMoment("en", m.at, zone)}</span>
            <span className="strong">{m.to}</span>
            <details className="sent-mail">
              <summary>
                {m.subject}{" "}
                <span className={m.state === "failed" ? "wrong" : "quiet"}>
                  {m.state === "failed"
                    ? `could not be delivered: ${m.failure ?? ""}`
                    : (STATE_WORDS[m.state] ?? m.state)}
                </span>
              </summary>
              <p className="letter">{m.body}</p>
              {m.again && (m.state === "sent" || m.state === "failed") ? (
                <div className="presses">
                  <Button disabled={busy} onClick={() => again(m)}>
                    Send it again
                  </Button>
                </div>
              ) : null}
            </details>
          </li>
        ))}
      </ol>
    </>
  );
}
