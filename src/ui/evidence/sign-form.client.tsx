"use client";

import { Button, Checkbox, Input } from "antd";
import { useId, useState } from "react";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import { ConfirmPress } from "../frame/confirm-press.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

/** A signature by hand of the keyboard: the box that is ticked, the name that is typed, and the press. Opening the link signs nothing. */
export function SignForm({
  locale,
  name,
  applicant,
  sign,
  decline,
}: {
  locale: Locale;
  /** Whom the form names. */
  name: string;
  applicant: string;
  sign: (typed: string) => Promise<string | null>;
  decline: () => Promise<string | null>;
}) {
  const id = useId();
  const [agreed, setAgreed] = useState(false);
  const [typed, setTyped] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const send = () => {
    if (!agreed || typed.trim() === "") return setWrong(sentence(locale, "sign.nameMissing"));
    begin(async () => {
      setWrong(await sign(typed));
    });
  };
  return (
    <form
      className="account-form"
      onSubmit={(e) => {
        e.preventDefault();
        send();
      }}
    >
      <div className="field">
        <Checkbox
          checked={agreed}
          onChange={(e) => {
            setAgreed(e.target.checked);
            setWrong(null);
          }}
        >
          {sentence(locale, "sign.agree", { name })}
        </Checkbox>
      </div>
      <div className="field">
        <label htmlFor={id}>{sentence(locale, "sign.typed")}</label>
        <Input
          id={id}
          value={typed}
          maxLength={200}
          autoComplete="name"
          onChange={(e) => {
            setTyped(e.target.value);
            setWrong(null);
          }}
        />
      </div>
      <Wrong text={wrong} />
      <div className="presses">
        <Button type="primary" htmlType="submit" loading={busy}>
          {sentence(locale, "sign.press")}
        </Button>
        <ConfirmPress
          action={decline}
          label={sentence(locale, "sign.decline")}
          question={sentence(locale, "sign.declineAsk", { applicant })}
          locale={locale}
        />
      </div>
    </form>
  );
}
