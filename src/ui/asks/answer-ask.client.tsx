"use client";

import { Button, Input } from "antd";
import { useState } from "react";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import { useKeptText } from "../frame/kept-text.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

/** The applicant answers a question of the office in words. What was typed stays when the page is left, or the answer refused. */
export function AnswerAsk({
  id,
  locale,
  send,
}: {
  id: string;
  locale: Locale;
  send: (text: string) => Promise<string | null>;
}) {
  const [text, setText] = useKeptText(`answer ${id}`);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        if (text.trim() === "") return setWrong(sentence(locale, "conversation.empty"));
        begin(async () => {
          const refused = await send(text);
          setWrong(refused);
          if (refused === null) setText("");
        });
      }}
    >
      <div className="field">
        <label htmlFor={`answer-${id}`}>{sentence(locale, "ask.answer")}</label>
        <Input.TextArea
          id={`answer-${id}`}
          autoSize={{ minRows: 2 }}
          maxLength={5000}
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      </div>
      <Button type="primary" htmlType="submit" loading={busy}>
        {sentence(locale, "ask.send")}
      </Button>
      <Wrong text={wrong} />
    </form>
  );
}
