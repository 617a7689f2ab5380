"use client";

import { Button, Input, Select } from "antd";
import { useState } from "react";
import { MOST_SIGNS } from "../../core/conversation/inputs";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import type { AttachedDocument } from "../../views/conversation/conversation";
import { useKeptText } from "../frame/kept-text.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";
import { Attach } from "./attach.client";

/** Writes to the office, about one part of the application or all of it. What was typed stays when it is refused. */
export function WriteUs({
  number,
  locale,
  about,
  topics,
  applicationId,
  held,
  send,
  drop,
}: {
  number: string;
  locale: Locale;
  about: string;
  topics: readonly { readonly value: string; readonly label: string }[];
  applicationId: string;
  /** Documents chosen for this message. */
  held: readonly AttachedDocument[];
  send: (text: string, about: string, files: readonly string[]) => Promise<string | null>;
  drop: (uploadId: string) => Promise<string | null>;
}) {
  const [sending, setSending] = useState(false);
  const [text, setText] = useKeptText(number);
  const [topic, setTopic] = useState(about);
  const [said, setSaid] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const go = () => {
    if (text.trim() === "") return setWrong(sentence(locale, "conversation.empty"));
    begin(async () => {
      const refused = await send(
        text,
        topic,
        held.map((d) => d.uploadId),
      );
      setWrong(refused);
      if (refused !== null) return;
      setText("");
      setSaid(sentence(locale, "conversation.sent"));
    });
  };
  return (
    <form
      className="account-form"
      onSubmit={(e) => {
        e.preventDefault();
        go();
      }}
    >
      <div className="field">
        <label htmlFor="write-topic">{sentence(locale, "conversation.topic")}</label>
        <Select
          id="write-topic"
          value={topic}
          onChange={setTopic}
          options={[{ value: "", label: sentence(locale, "conversation.noTopic") }, ...topics]}
          style={{ width: "100%" }}
        />
      </div>
      <div className="field">
        <label htmlFor="write-text">{sentence(locale, "conversation.text")}</label>
        <Input.TextArea
          id="write-text"
          autoSize={{ minRows: 4 }}
          maxLength={MOST_SIGNS}
          value={text}
          onChange={(e) => {
            setText(e.target.value);
            setSaid(null);
          }}
        />
      </div>
      <div className="field">
        <Attach applicationId={applicationId} locale={locale} held={held} drop={drop} onBusy={setSending} />
        <p className="quiet">{sentence(locale, "conversation.attachHint")}</p>
      </div>
      <Button type="primary" htmlType="submit" loading={busy} disabled={sending}>
        {sentence(locale, "conversation.send")}
      </Button>
      <Wrong text={wrong} />
      {said ? (
        <p role="status" className="saved">
          {said}
        </p>
      ) : null}
    </form>
  );
}
