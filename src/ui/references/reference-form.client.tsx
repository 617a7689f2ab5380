"use client";

import { Button, Input, Radio } from "antd";
import { useId, useRef, useState } from "react";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import { ConfirmPress } from "../frame/confirm-press.client";
import { refusedText, sendForm } from "../frame/send-form";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

const RATINGS = ["outstanding", "very good", "good", "fair", "cannot say"] as const;
const LEAST_WORDS = 20;

interface Props {
  readonly token: string;
  readonly begun: boolean;
  readonly locale: Locale;
  readonly applicant: string;
  readonly begin: () => Promise<string | null>;
  readonly give: (answers: {
    readonly known: string;
    readonly rating: string;
    readonly text: string;
  }) => Promise<string | null>;
  readonly decline: () => Promise<string | null>;
}

/** The short form of a reference. Opening the link does nothing by itself; "begin" is pressed by a person. */
export function ReferenceForm({ token, begun, locale, applicant, begin, give, decline }: Props) {
  const id = useId();
  const file = useRef<HTMLInputElement>(null);
  const [open, setOpen] = useState(begun);
  const [known, setKnown] = useState("");
  const [rating, setRating] = useState<(typeof RATINGS)[number]>("cannot say");
  const [text, setText] = useState("");
  const [letter, setLetter] = useState<File | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  const [, asking] = useAsking();
  const start = () =>
    asking(async () => {
      const refused = await begin();
      setWrong(refused);
      if (!refused) setOpen(true);
    });

  const withLetter = async (chosen: File): Promise<string | null> => {
    const form = new FormData();
    for (const [name, value] of Object.entries({ known, rating, text })) form.set(name, value);
    form.set("file", chosen);
    const { status, body } = await sendForm("/api/reference-letter", form, () => undefined, { "x-unvex-link": token });
    return status >= 400 ? refusedText(locale, body) : null;
  };

  const send = async () => {
    if (known.trim() === "") return setWrong(sentence(locale, "reference.knownMissing"));
    if (!letter && text.trim().length < LEAST_WORDS) return setWrong(sentence(locale, "reference.tooShort"));
    setBusy(true);
    try {
      setWrong(letter ? await withLetter(letter) : await give({ known, rating, text }));
    } catch {
      setWrong(sentence(locale, "doc.failed"));
    } finally {
      setBusy(false);
    }
  };

  const declining = (
    <ConfirmPress
      action={decline}
      label={sentence(locale, "reference.decline")}
      question={sentence(locale, "reference.declineAsk", { applicant })}
      locale={locale}
    />
  );
  if (!open)
    return (
      <div className="presses">
        <Button type="primary" onClick={start}>
          {sentence(locale, "reference.begin")}
        </Button>
        {declining}
        <Wrong text={wrong} />
      </div>
    );
  return (
    <div className="account-form">
      <div className="field">
        <label htmlFor={`${id}-known`}>{sentence(locale, "reference.known")}</label>
        <Input id={`${id}-known`} value={known} maxLength={500} onChange={(e) => setKnown(e.target.value)} />
      </div>
      <fieldset className="field">
        <legend>{sentence(locale, "reference.rating")}</legend>
        <Radio.Group
          value={rating}
          onChange={(e) => setRating(e.target.value)}
          options={RATINGS.map((value) => ({ value, label: sentence(locale, `reference.rating.${value}`) }))}
        />
      </fieldset>
      <div className="field">
        <label htmlFor={`${id}-text`}>{sentence(locale, "reference.text")}</label>
        <p className="help">{sentence(locale, "reference.textHelp")}</p>
        <Input.TextArea
          id={`${id}-text`}
          autoSize={{ minRows: 6 }}
          maxLength={20_000}
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      </div>
      <div className="field">
        <span>{sentence(locale, "reference.letter")}</span>
        <input
          ref={file}
          type="file"
          className="hidden-text"
          tabIndex={-1}
          accept=".pdf,.jpg,.jpeg,.png"
          aria-label={sentence(locale, "reference.letter")}
          onChange={(e) => setLetter(e.target.files?.[0] ?? null)}
        />
        <Button onClick={() => file.current?.click()}>{sentence(locale, "doc.upload")}</Button>{" "}
        {letter ? <span className="quiet">{letter.name}</span> : null}
      </div>
      <Wrong text={wrong} />
      <p className="help">{sentence(locale, "reference.giveHelp")}</p>
      <div className="presses">
        <Button type="primary" loading={busy} onClick={() => void send()}>
          {sentence(locale, "reference.give")}
        </Button>
        {declining}
      </div>
    </div>
  );
}
