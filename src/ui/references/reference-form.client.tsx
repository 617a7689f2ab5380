"use client";

import { Button, Input, Radio } from "antd";
import { useEffect, useId, useMemo, useRef, useState } from "react";
import type { ReferenceAnswers } from "../../core/references/requests";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";
import { refusedText, sendForm } from "../sending/send-form";
import { type AskingTime, type Declining, Otherwise } from "./otherwise.client";

const RATINGS = ["outstanding", "very good", "good", "fair", "cannot say"] as const;
const LEAST_WORDS = 20;
/** So long the hands rest before what is written is saved. */
const REST_MS = 800;

interface Props {
  readonly token: string;
  readonly begun: boolean;
  readonly locale: Locale;
  readonly applicant: string;
  readonly begin: () => Promise<string | null>;
  readonly give: (answers: ReferenceAnswers) => Promise<string | null>;
  /** What was written before, on this device or another. */
  readonly draft: ReferenceAnswers | null;
  readonly save: (draft: ReferenceAnswers) => Promise<boolean>;
  /** The time that was asked for and not answered yet. */
  readonly moreUntil: string | null;
  readonly decline: Declining;
  readonly askTime: AskingTime;
}

/** Saves what is written once the hands rest, and says so. */
function useSaving(answers: ReferenceAnswers, first: ReferenceAnswers | null, save: Props["save"]): boolean {
  const kept = useRef(JSON.stringify(first));
  const [saved, setSaved] = useState(false);
  const now = JSON.stringify(answers);
  useEffect(() => {
    if (now === kept.current || (answers.known === "" && answers.text === "")) return;
    setSaved(false);
    const waiting = setTimeout(async () => {
      // Where the line is broken the next stop saves all of it.
      const done = await save(answers).catch(() => false);
      if (done) kept.current = now;
      setSaved(done);
    }, REST_MS);
    return () => clearTimeout(waiting);
  }, [now, answers, save]);
  return saved;
}

/** The short form of a reference. Opening the link does nothing by itself; "begin" is pressed by a person. */
export function ReferenceForm(props: Props) {
  const { token, begun, locale, begin, give, draft, save } = props;
  const id = useId();
  const file = useRef<HTMLInputElement>(null);
  const [open, setOpen] = useState(begun);
  const [known, setKnown] = useState(draft?.known ?? "");
  const [rating, setRating] = useState(draft?.rating ?? "cannot say");
  const [text, setText] = useState(draft?.text ?? "");
  const [letter, setLetter] = useState<File | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const answers = useMemo(() => ({ known, rating, text }), [known, rating, text]);
  const saved = useSaving(answers, draft, save);

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

  const otherwise = <Otherwise {...props} />;
  if (!open)
    return (
      <div className="presses">
        <Button type="primary" onClick={start}>
          {sentence(locale, "reference.begin")}
        </Button>
        <Wrong text={wrong} />
        {otherwise}
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
      <p className="help" role="status">
        {sentence(locale, saved ? "reference.saved" : "reference.savedAsYouGo")}
      </p>
      <p className="help">{sentence(locale, "reference.giveHelp")}</p>
      <div className="presses">
        <Button type="primary" loading={busy} onClick={() => void send()}>
          {sentence(locale, "reference.give")}
        </Button>
        {otherwise}
      </div>
    </div>
  );
}
