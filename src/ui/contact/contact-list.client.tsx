"use client";

import { Button, Input, Select } from "antd";
import { useState } from "react";
import { answerKey } from "../../core/file/place";
import type { ActOnFile, FileActInput } from "../../core/file-acts/file-acts";
import { formatMoment } from "../../text/format";
import { valueText } from "../../text/words/value-text";
import type { FileData } from "../../views/assessment/file-data";
import type { ContactPlace } from "../../views/contact/contact-places";

type Outcome = FileActInput<"note-contact">["kind"];

const OUTCOMES: readonly { readonly value: Outcome; readonly label: string }[] = [
  { value: "talked", label: "somebody answered" },
  { value: "no answer", label: "nobody answered" },
  { value: "dead", label: "the number does not work" },
];

const NOTED: Readonly<Record<string, string>> = {
  talked: "Call, somebody answered",
  "no answer": "Call, nobody answered",
  dead: "The number does not work",
  returned: "A letter came back",
  asked: "Asked whether it holds",
  confirmed: "The applicant: it is right",
};

function stateWords({ kind, reached, since, askedAt }: ContactPlace, zone: string): string {
  const when = (at: string) => formatMoment("en", at, zone);
  const asked = askedAt ? `, asked on ${when(askedAt)}` : "";
  if (reached === "fails" && since)
    return `${kind === "phone" ? "found not to work" : "a letter came back"} on ${when(since)}${asked}`;
  if (reached === "holds" && since) return `right on ${when(since)}`;
  return `nobody has confirmed it${asked}`;
}

/** One number or address, with the place to note what became of a call or a letter. */
function Line({ place, data, act }: { place: ContactPlace; data: FileData; act: ActOnFile }) {
  const [open, setOpen] = useState(false);
  const [kind, setKind] = useState<Outcome>(place.kind === "phone" ? "talked" : "returned");
  const [text, setText] = useState("");
  const [about, setAbout] = useState("");
  const [question, setQuestion] = useState("");
  const [said, setSaid] = useState<{ readonly text: string; readonly wrong: boolean } | null>(null);
  const { scope, section, entry, field } = place;
  const at = { scope, section, entry, field };
  const id = `contact-${section}-${entry}-${field}`;
  const save = async () => {
    const refused = await act("note-contact", { ...at, kind, text, about, question });
    setSaid({ text: refused ?? "Noted.", wrong: refused !== null });
    if (refused) return;
    setOpen(false);
    setText("");
    setAbout("");
    setQuestion("");
  };
  const press = async () => {
    const refused = await act("ask-contact", at);
    setSaid({ text: refused ?? "A mail asks the applicant.", wrong: refused !== null });
  };
  return (
    <li data-reached={place.reached}>
      <p>
        <span className="quiet">
          {place.purpose.en} · {place.title.en}
          {place.letters ? " · letters go here" : ""}
        </span>
        <br />
        <strong>{valueText("en", { kind: place.kind, options: undefined }, place.value, data.office)}</strong>
        <br />
        <span className={place.reached === "fails" ? "wrong" : "quiet"}>{stateWords(place, data.zone)}</span>
      </p>
      {open ? (
        <div className="contact-note">
          {place.kind === "phone" ? (
            <div className="field">
              <label htmlFor={`${id}-kind`}>What came of the call</label>
              <Select
                id={`${id}-kind`}
                value={kind}
                options={[...OUTCOMES]}
                onChange={setKind}
                showSearch={{ optionFilterProp: "label" }}
              />
            </div>
          ) : null}
          <div className="field">
            <label htmlFor={`${id}-text`}>
              {place.kind === "phone" ? "What was said" : "Why it came back, as the envelope says"}
            </label>
            <Input.TextArea
              id={`${id}-text`}
              rows={2}
              maxLength={1000}
              value={text}
              onChange={(e) => setText(e.target.value)}
            />
          </div>
          {place.kind === "phone" ? (
            <div className="field">
              <label htmlFor={`${id}-about`}>A question about the form</label>
              <Select
                id={`${id}-about`}
                value={about}
                options={[
                  { value: "", label: "none" },
                  ...data.sections.map((s) => ({ value: s.key, label: s.title.en })),
                ]}
                onChange={setAbout}
                showSearch={{ optionFilterProp: "label" }}
              />
            </div>
          ) : null}
          {about === "" ? null : (
            <div className="field">
              <label htmlFor={`${id}-question`}>The question in a few words, without names: it is collected</label>
              <Input
                id={`${id}-question`}
                maxLength={160}
                value={question}
                onChange={(e) => setQuestion(e.target.value)}
              />
            </div>
          )}
          <span>
            <Button type="primary" onClick={() => void save()}>
              Note it
            </Button>{" "}
            <Button onClick={() => setOpen(false)}>Not now</Button>
          </span>
        </div>
      ) : (
        <p className="presses">
          <Button size="small" onClick={() => setOpen(true)}>
            {place.kind === "phone" ? "Note a call" : "A letter came back"}
          </Button>
          {place.reached === "holds" ? null : (
            <Button size="small" onClick={() => void press()}>
              Ask whether it holds
            </Button>
          )}
        </p>
      )}
      {said ? (
        <p role={said.wrong ? "alert" : "status"} className={said.wrong ? "wrong" : "quiet"}>
          {said.text}
        </p>
      ) : null}
    </li>
  );
}

/** Where the applicant of a file is reached by phone and by post, what became of it, and whom to speak to. */
export function ContactList({ data, act }: { data: FileData; act: ActOnFile }) {
  const titleOf = new Map(data.contacts.map((p) => [answerKey(p), `${p.purpose.en} · ${p.title.en}`]));
  return (
    <div className="contact-list">
      <section>
        <h2>Calls and post</h2>
        {data.underAge ? (
          <p className="notice">
            {data.underAge.guardian
              ? `The applicant is ${data.underAge.age}: speak to the guardian, unless the guardian’s consent says otherwise.`
              : `The applicant is ${data.underAge.age}, and the form asks for no guardian: find out who is responsible before you speak about more than the application.`}
          </p>
        ) : null}
        {data.contacts.length === 0 ? (
          <p className="empty">The form asks for no phone number and no address, or none was given.</p>
        ) : (
          <ul className="plain-list">
            {data.contacts.map((place) => (
              <Line key={answerKey(place)} place={place} data={data} act={act} />
            ))}
          </ul>
        )}
      </section>
      <section>
        <h2>What was noted</h2>
        {data.contactNotes.length === 0 ? <p className="empty">Nothing yet.</p> : null}
        <ul className="plain-list">
          {[...data.contactNotes].reverse().map((n) => (
            <li key={`${n.at}-${answerKey(n)}-${n.kind}`}>
              <strong>{NOTED[n.kind] ?? n.kind}</strong>{" "}
              <span className="quiet">{formatMoment("en", n.at, data.zone)}</span>
              <br />
              <span className="quiet">
                {titleOf.get(answerKey(n)) ?? ""}
                {n.by ? `, ${n.by}` : ""}
              </span>
              {n.text ? <p className="pre-line">{n.text}</p> : null}
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
