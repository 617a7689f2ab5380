"use client";

import { Button, Input, Radio } from "antd";
import { useId, useState } from "react";
import { DECLINE_REASONS, type DeclineReason } from "../../core/references/requests";
import type { Locale } from "../../core/text/local-text";
import { formatDate } from "../../text/format";
import { sentence } from "../../text/sentence";
import { DayInput } from "../form/fields/day-input.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

export type Declining = (why: { readonly reason: DeclineReason; readonly words: string }) => Promise<string | null>;
export type AskingTime = (asked: { readonly until: string; readonly words: string }) => Promise<string | null>;

interface Props {
  readonly locale: Locale;
  readonly applicant: string;
  readonly moreUntil: string | null;
  readonly decline: Declining;
  readonly askTime: AskingTime;
}

function Decline({ locale, applicant, decline }: Props) {
  const [reason, setReason] = useState<DeclineReason>("no time");
  const [words, setWords] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const id = useId();
  return (
    <div className="account-form">
      <fieldset className="field">
        <legend>{sentence(locale, "reference.declineWhy", { applicant })}</legend>
        <Radio.Group
          className="reasons"
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          options={DECLINE_REASONS.map((value) => ({
            value,
            label: sentence(locale, `reference.decline.${value}`, { applicant }),
          }))}
        />
      </fieldset>
      <div className="field">
        <label htmlFor={`${id}-words`}>{sentence(locale, "reference.declineWords")}</label>
        <Input id={`${id}-words`} maxLength={1000} value={words} onChange={(e) => setWords(e.target.value)} />
      </div>
      <div className="presses">
        <Button
          type="primary"
          loading={busy}
          onClick={() => begin(async () => setWrong(await decline({ reason, words })))}
        >
          {sentence(locale, "reference.declineSend")}
        </Button>
      </div>
      <Wrong text={wrong} />
    </div>
  );
}

function MoreTime({ locale, askTime }: Pick<Props, "locale" | "askTime">) {
  const [until, setUntil] = useState("");
  const [words, setWords] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const id = useId();
  return (
    <div className="account-form">
      <div className="field">
        <label htmlFor={`${id}-until`}>{sentence(locale, "reference.moreUntil")}</label>
        <DayInput id={`${id}-until`} value={until} precision="day" locale={locale} onTake={setUntil} />
      </div>
      <div className="field">
        <label htmlFor={`${id}-words`}>{sentence(locale, "reference.moreWords")}</label>
        <Input id={`${id}-words`} maxLength={1000} value={words} onChange={(e) => setWords(e.target.value)} />
      </div>
      <div className="presses">
        <Button
          type="primary"
          loading={busy}
          onClick={() => {
            if (until === "") setWrong(sentence(locale, "reference.moreTooSoon"));
            else begin(async () => setWrong(await askTime({ until, words })));
          }}
        >
          {sentence(locale, "reference.moreSend")}
        </Button>
      </div>
      <Wrong text={wrong} />
    </div>
  );
}

/** That the office is asked for more time, while it has not answered. */
function Asked({ locale, moreUntil }: Pick<Props, "locale" | "moreUntil">) {
  if (moreUntil === null) return null;
  return <p className="notice">{sentence(locale, "reference.moreAsked", { date: formatDate(locale, moreUntil) })}</p>;
}

/** What a referee can still do whose time is over: ask for more. */
export function LateReferee(props: Pick<Props, "locale" | "moreUntil" | "askTime">) {
  return props.moreUntil === null ? <MoreTime {...props} /> : <Asked {...props} />;
}

/** What a referee answers instead of the reference: that they need more time, or that they cannot give one, and why. */
export function Otherwise(props: Props) {
  const { locale, moreUntil } = props;
  const [open, setOpen] = useState<"none" | "time" | "decline">("none");
  const press = (to: "time" | "decline", label: "reference.moreTime" | "reference.decline") => (
    <Button aria-expanded={open === to} onClick={() => setOpen(open === to ? "none" : to)}>
      {sentence(locale, label)}
    </Button>
  );
  return (
    <div className="otherwise">
      <Asked {...props} />
      <div className="presses">
        {press("time", "reference.moreTime")}
        {press("decline", "reference.decline")}
      </div>
      {open === "time" && moreUntil === null ? <MoreTime {...props} /> : null}
      {open === "decline" ? <Decline {...props} /> : null}
    </div>
  );
}
