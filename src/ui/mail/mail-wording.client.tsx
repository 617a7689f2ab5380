"use client";

import { Button, Input } from "antd";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { MailWords } from "../../core/mail/inputs";
import type { Template } from "../../core/mail/templates";
import type { Locale } from "../../core/text/local-text";
import { formatMoment } from "../../text/format";
import { builtInWords, faultOf, fieldsOf, type WordsFault, withApostrophes } from "../../text/words/mail-words";
import { renderMail } from "../../text/words/render-mail";
import type { MailWordingData } from "../../views/mail/wordings";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

type Words = Readonly<Record<Locale, MailWords>>;
export type SaveWording = (wording: {
  template: Template;
  version: number;
  words: Words | null;
}) => Promise<string | null>;

const LANGUAGES = { en: "English", fr: "French" } as const;

export function faultWords(fault: WordsFault): string {
  switch (fault.kind) {
    case "braces":
      return "A brace stands open, or stands alone. A field looks like {number}.";
    case "unknown field":
      return `This mail has no field ${fault.fields.map((field) => `{${field}}`).join(", ")}.`;
    case "no link":
      return "Leave {link} somewhere in the text: it is where its reader goes on.";
  }
}

/** The words in one language, and below them the mail as its reader gets it. */
function InLanguage({
  locale,
  template,
  words,
  values,
  writes,
  change,
}: {
  locale: Locale;
  template: Template;
  words: MailWords;
  values: Readonly<Record<string, string>>;
  writes: boolean;
  change: (words: MailWords) => void;
}) {
  const written = { subject: withApostrophes(words.subject), body: withApostrophes(words.body) };
  const fault = words.subject.trim() && words.body.trim() ? faultOf(template, written) : null;
  const mail = fault ? null : renderMail(locale, template, values, "", written);
  return (
    <section aria-label={LANGUAGES[locale]} lang={locale === "en" ? undefined : locale}>
      <h2 lang="en">{LANGUAGES[locale]}</h2>
      {writes ? (
        <>
          <div className="field">
            <label htmlFor={`subject-${locale}`} lang="en">
              Subject, {LANGUAGES[locale]}
            </label>
            <Input
              id={`subject-${locale}`}
              maxLength={200}
              value={words.subject}
              onChange={(e) => change({ ...words, subject: e.target.value })}
            />
          </div>
          <div className="field">
            <label htmlFor={`body-${locale}`} lang="en">
              Text, {LANGUAGES[locale]}
            </label>
            <Input.TextArea
              id={`body-${locale}`}
              autoSize={{ minRows: 6 }}
              maxLength={6000}
              value={words.body}
              onChange={(e) => change({ ...words, body: e.target.value })}
            />
          </div>
        </>
      ) : null}
      {fault ? (
        <p className="wrong" lang="en">
          {faultWords(fault)}
        </p>
      ) : null}
      {mail ? (
        <div className="ask-preview">
          <p className="strong">{mail.subject}</p>
          <p className="letter">{mail.body}</p>
        </div>
      ) : null}
    </section>
  );
}

/** The file whose mail is read. */
function WithFile({ asked, data }: { asked: string; data: MailWordingData }) {
  const router = useRouter();
  const [number, setNumber] = useState(asked);
  return (
    <form
      className="inline-form"
      onSubmit={(e) => {
        e.preventDefault();
        router.push(`/office/texts/mails/${data.template}?number=${encodeURIComponent(number.trim())}`, {
          scroll: false,
        });
      }}
    >
      <label htmlFor="with-file">Read it as the mail of file</label>
      <Input
        id="with-file"
        value={number}
        placeholder={data.sample.number ?? "27-00012"}
        onChange={(e) => setNumber(e.target.value)}
        style={{ width: "8rem" }}
      />
      <Button htmlType="submit">Show</Button>
      <span className="quiet">
        {data.unknown
          ? `No such mail went to ${asked}: made-up values stand below.`
          : data.sample.number
            ? `Values of ${data.sample.number}`
            : "It went to nobody whose file you work on: made-up values stand below."}
      </span>
    </form>
  );
}

/** The words of one mail: read as it is sent, changed, and taken back; each version stays. */
export function MailWording({
  data,
  zone,
  asked,
  writes,
  save,
}: {
  data: MailWordingData;
  zone: string;
  asked: string;
  writes: boolean;
  save: SaveWording;
}) {
  const { template, versions, sample } = data;
  const router = useRouter();
  const builtIn: Words = { en: builtInWords("en", template), fr: builtInWords("fr", template) };
  const current = versions[0]?.words ?? builtIn;
  const [words, setWords] = useState<Words>(current);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const changed = JSON.stringify(words) !== JSON.stringify(current);
  const fields = [...new Set([...(fieldsOf(builtIn.en.subject) ?? []), ...(fieldsOf(builtIn.en.body) ?? []), "name"])];
  const keep = (next: Words | null) =>
    begin(async () => {
      const refused = await save({ template, version: versions[0]?.version ?? 0, words: next });
      setWrong(refused);
      if (refused === null) router.refresh();
    });
  return (
    <>
      <h1>{renderMail("en", template, sample.values, null, current.en).subject}</h1>
      <WithFile asked={asked} data={data} />
      <form
        className="wording"
        onSubmit={(e) => {
          e.preventDefault();
          keep(words);
        }}
      >
        <div className="two-texts">
          {(["en", "fr"] as const).map((locale) => (
            <InLanguage
              key={locale}
              locale={locale}
              template={template}
              words={words[locale]}
              values={sample.values}
              writes={writes}
              change={(next) => setWords({ ...words, [locale]: next })}
            />
          ))}
        </div>
        <p className="quiet">
          Fields that are filled in: {fields.map((field) => `{${field}}`).join(", ")}. The greeting and the name of the
          office stand around the text by themselves. What stands within “plural” is chosen by a number: change its
          words and leave its braces.
        </p>
        {writes ? (
          <div className="presses">
            <Button type="primary" htmlType="submit" loading={busy} disabled={!changed}>
              Send it in these words from now on
            </Button>
            {versions[0]?.words ? (
              <Button disabled={busy} onClick={() => keep(null)}>
                Back to the words that came with Unvex
              </Button>
            ) : null}
          </div>
        ) : (
          <p className="quiet">Lead officers change the words.</p>
        )}
        <Wrong text={wrong} />
      </form>
      {versions.length > 0 ? (
        <section aria-label="Versions">
          <h2>Versions</h2>
          <ol className="office-history">
            {versions.map((v) => (
              <li key={v.version}>
                <span className="quiet">{formatMoment("en", v.at, zone)}</span>
                <span className="strong">{v.by}</span>
                {v.words ? (
                  <details className="sent-mail">
                    <summary>{v.words.en.subject}</summary>
                    <p className="letter">{v.words.en.body}</p>
                    <p className="letter" lang="fr">
                      {v.words.fr.body}
                    </p>
                    {writes ? (
                      <Button
                        size="small"
                        aria-label={`Take the words of version ${v.version}`}
                        onClick={() => setWords(v.words ?? builtIn)}
                      >
                        Take these words
                      </Button>
                    ) : null}
                  </details>
                ) : (
                  <span>went back to the words that came with Unvex</span>
                )}
              </li>
            ))}
          </ol>
        </section>
      ) : null}
    </>
  );
}
