"use client";

import { Button, Input } from "antd";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { MOST_SIGNS } from "../../core/conversation/inputs";
import { fieldsIn } from "../../core/conversation/merge";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import type { FileData } from "../../views/assessment/file-data";
import type { FileConversation as Data } from "../../views/conversation/conversation";
import { useKeptText } from "../frame/kept-text.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";
import { Attach } from "./attach.client";
import { OfficeMessage } from "./office-message.client";
import { FieldsLeft, StockText } from "./stock-text.client";

const LANGUAGES = { en: "English", fr: "French" } as const;

/** What applicant and office wrote to each other, and the box to write in: with texts of the office, filled in for this file. */
export function FileConversation({
  number,
  data: { messages, held, ...aids },
  file,
  act,
  drop,
}: {
  number: string;
  data: Data;
  file: FileData;
  act: ActOnFile;
  drop: (uploadId: string) => Promise<string | null>;
}) {
  const router = useRouter();
  const [text, setText] = useKeptText(`office ${number}`);
  const [question, setQuestion] = useState("");
  /** How many messages there were when one was sent: until the page has it, there is nothing to take back. */
  const [sent, setSent] = useState<number | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [sending, setSending] = useState(false);
  const [busy, begin] = useAsking();
  const open = messages.filter((m) => !m.fromOffice && m.answeredAt === null);
  const left = fieldsIn(text);
  const doing = (run: () => Promise<string | null>, then: () => void) =>
    begin(async () => {
      const refused = await run();
      setWrong(refused);
      if (refused !== null) return;
      then();
      router.refresh();
    });
  const send = () =>
    doing(
      () => act("write-to-applicant", { text, question, files: held.map((d) => d.uploadId) }),
      () => {
        setText("");
        setQuestion("");
        setSent(messages.length);
      },
    );
  const lastOwn = messages.findLast((m) => m.fromOffice);
  return (
    <section className="conversation" aria-label="Conversation">
      {messages.length === 0 ? (
        <p className="empty">
          Nobody has written yet. What you write here stands in the applicant’s account and goes by mail.
        </p>
      ) : null}
      <ol>
        {messages.map((m) => (
          <OfficeMessage key={m.id} message={m} file={file} act={act} />
        ))}
      </ol>
      {sent !== null && messages.length > sent && lastOwn ? (
        <p role="status" className="said">
          Sent in a moment.{" "}
          <button
            type="button"
            className="bare"
            onClick={() =>
              doing(
                () => act("take-message-back", { messageId: lastOwn.id }),
                () => {
                  setText(lastOwn.text);
                  setSent(null);
                },
              )
            }
          >
            Take it back
          </button>
        </p>
      ) : null}
      <form
        onSubmit={(e) => {
          e.preventDefault();
          send();
        }}
        onKeyDown={(e) => {
          if (e.key === "Enter" && (e.ctrlKey || e.metaKey) && text.trim() && left.length === 0 && !busy && !sending)
            send();
        }}
      >
        <div className="field">
          <label htmlFor="answer-text">
            {open.length > 0 ? "Your answer" : "Your message"}{" "}
            <span className="quiet">· they read {LANGUAGES[aids.locale]}</span>
          </label>
          <Input.TextArea
            id="answer-text"
            autoSize={{ minRows: 4 }}
            maxLength={MOST_SIGNS}
            value={text}
            onChange={(e) => {
              setText(e.target.value);
              setSent(null);
            }}
          />
        </div>
        <FieldsLeft text={text} />
        <StockText id="answer-take" use="message" aids={aids} text={text} onText={setText} />
        <Attach applicationId={file.id} locale="en" held={held} drop={drop} onBusy={setSending} />
        {open.length > 0 ? (
          <div className="field">
            <label htmlFor="answer-question">
              The question in general, without names, for the help texts (if it is one)
            </label>
            <Input
              id="answer-question"
              maxLength={300}
              value={question}
              onChange={(e) => setQuestion(e.target.value)}
            />
          </div>
        ) : null}
        <div className="presses">
          <Button
            type="primary"
            htmlType="submit"
            loading={busy}
            disabled={sending || text.trim() === "" || left.length > 0}
          >
            {open.length > 0 ? "Send the answer" : "Send it"} <span className="key">Ctrl ↵</span>
          </Button>
          {open.length > 0 ? (
            <Button
              loading={busy}
              onClick={() =>
                doing(
                  () => act("settle-messages", {}),
                  () => undefined,
                )
              }
            >
              It needs no answer
            </Button>
          ) : null}
        </div>
        <Wrong text={wrong} />
      </form>
    </section>
  );
}
