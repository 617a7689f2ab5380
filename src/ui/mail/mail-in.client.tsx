"use client";

import { Button, Input } from "antd";
import { useState } from "react";
import { formatMoment } from "../../text/format";
import type { IncomingMail } from "../../views/mail/incoming";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";
import { refusedText } from "../sending/send-form";

type Place = (mailId: string, number: string, as: "message" | "kept") => Promise<string | null>;

const PEEK = 600;

/** Who wrote, what it says and what hangs on it. */
function Letter({ mail: m, zone }: { mail: IncomingMail; zone: string }) {
  const [all, setAll] = useState(false);
  const long = m.text.length > PEEK;
  return (
    <>
      <h2>{m.from === "" ? "A mail that cannot be read" : m.subject || "Without a subject"}</h2>
      <p className="quiet">
        {m.from === ""
          ? "Look into the mailbox itself: what arrived there is no mail, or too much for us. "
          : `${m.fromName ? `${m.fromName}, ` : ""}${m.from} · `}
        {formatMoment("en", m.at, zone)}
        {m.account ? ` · the address of ${m.account}` : ""}
      </p>
      <p className="letter">
        {long && !all ? `${m.text.slice(0, PEEK)} … ` : m.text}
        {long && !all ? (
          <button type="button" className="bare" onClick={() => setAll(true)}>
            Read all of it
          </button>
        ) : null}
      </p>
      {m.documents.length > 0 ? (
        <ul className="supplied" aria-label="Documents with this mail">
          {m.documents.map((d) => (
            <li key={d.no}>
              <a href={`/api/incoming/${m.id}/${d.no}`} target="_blank" rel="noreferrer">
                {d.name}
              </a>{" "}
              <span className="quiet">{d.pages === 1 ? "1 page" : `${d.pages} pages`}</span>
            </li>
          ))}
        </ul>
      ) : null}
      {m.left.map(({ name, reason }) => (
        <p key={name} className="notice">
          {name} was not kept: {refusedText("en", { document: reason })}
        </p>
      ))}
    </>
  );
}

/** One mail that waits, and where it can go. */
function Waiting({
  mail: m,
  zone,
  place,
  moveAway,
}: {
  mail: IncomingMail;
  zone: string;
  place: Place;
  moveAway: (mailId: string, away: boolean) => Promise<string | null>;
}) {
  const [number, setNumber] = useState(m.file?.number ?? "");
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const go = (run: () => Promise<string | null>) => begin(async () => setWrong(await run()));
  const called = m.subject || m.from;
  const confidential = m.file?.confidential === true && m.file.number === number;
  return (
    <li>
      <Letter mail={m} zone={zone} />
      <div className="inline-form">
        <label htmlFor={`number-${m.id}`}>File</label>
        <Input
          id={`number-${m.id}`}
          placeholder="27-00012"
          value={number}
          onChange={(e) => setNumber(e.target.value)}
          style={{ width: "8rem" }}
        />
        {m.file && m.file.number === number ? (
          <span className="quiet">
            {m.file.name}: {confidential ? "it answers a mail about this file to somebody else" : "as it seems"}
          </span>
        ) : null}
        {confidential ? null : (
          <Button
            disabled={busy || number.trim() === ""}
            aria-label={`Into the conversation: ${called}`}
            onClick={() => go(() => place(m.id, number, "message"))}
          >
            Into the conversation
          </Button>
        )}
        <Button
          disabled={busy || number.trim() === ""}
          aria-label={`With the file, for the office alone: ${called}`}
          onClick={() => go(() => place(m.id, number, "kept"))}
        >
          With the file, for the office alone
        </Button>
        <Button disabled={busy} aria-label={`Put away: ${called}`} onClick={() => go(() => moveAway(m.id, true))}>
          Put away
        </Button>
      </div>
      <Wrong text={wrong} />
    </li>
  );
}

/** What waits to be placed, and what was put away lately. */
export function MailIn({
  data: { waiting, away },
  zone,
  place,
  moveAway,
}: {
  data: { readonly waiting: readonly IncomingMail[]; readonly away: readonly IncomingMail[] };
  zone: string;
  place: Place;
  moveAway: (mailId: string, away: boolean) => Promise<string | null>;
}) {
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  return (
    <>
      {waiting.length === 0 ? (
        <p className="empty">Nothing waits: every mail that came in has found its file.</p>
      ) : null}
      <ol className="mail-in">
        {waiting.map((m) => (
          <Waiting key={m.id} mail={m} zone={zone} place={place} moveAway={moveAway} />
        ))}
      </ol>
      {away.length > 0 ? (
        <details>
          <summary>Put away lately</summary>
          <ol className="mail-in">
            {away.map((m) => (
              <li key={m.id}>
                <Letter mail={m} zone={zone} />
                <p className="quiet">
                  {m.dealtBy ? `Put away by ${m.dealtBy}. ` : ""}
                  <Button
                    size="small"
                    disabled={busy}
                    aria-label={`Take out: ${m.subject || m.from}`}
                    onClick={() => begin(async () => setWrong(await moveAway(m.id, false)))}
                  >
                    Take it out
                  </Button>
                </p>
              </li>
            ))}
          </ol>
          <Wrong text={wrong} />
        </details>
      ) : null}
    </>
  );
}
