"use client";

import { Button, Input } from "antd";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import type { DeclineReason } from "../../core/references/requests";
import { formatDate } from "../../text/format";
import { DECLINE_WORDS } from "../../text/words/references";
import { FilePress } from "../assessment/file-press.client";
import { DayInput } from "../form/fields/day-input.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

/** What can be done with a request depends on this much of it. */
export interface WorkedRequest {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly state: string;
  readonly moreUntil: string | null;
  readonly moreWords: string;
  readonly declineReason: DeclineReason | null;
  readonly declineWords: string;
}

type Form = "none" | "time" | "correct" | "end" | "take";
type Does = (work: () => Promise<string | null>, said: string) => void;

/** What the referee said themselves: why not, or that they need longer. */
export function RefereeSaid({ request }: { request: WorkedRequest }) {
  const { moreUntil, moreWords, declineReason, declineWords } = request;
  if (moreUntil !== null)
    return (
      <p>
        <strong>Asks for time until {formatDate("en", moreUntil)}</strong>
        {moreWords === "" ? "" : `: “${moreWords}”`}
      </p>
    );
  if (request.state !== "declined" || declineReason === null) return null;
  const said = DECLINE_WORDS[declineReason];
  return (
    <p>
      {declineReason === "other" && declineWords !== "" ? "Said no" : `Said no: ${said}`}
      {declineWords === "" ? "." : `: “${declineWords}”`}
    </p>
  );
}

function MoreTime({ request, act, does }: { request: WorkedRequest; act: ActOnFile; does: Does }) {
  const [until, setUntil] = useState(request.moreUntil ?? "");
  return (
    <div className="presses">
      <DayInput label="Until" value={until} precision="day" locale="en" size="small" onTake={setUntil} />
      <Button
        size="small"
        type="primary"
        onClick={() =>
          does(
            async () => (until === "" ? "Say until when." : act("extend-reference", { requestId: request.id, until })),
            "They have the time, and a mail that says so.",
          )
        }
      >
        Give time until then
      </Button>
    </div>
  );
}

function Correct({ request, act, does }: { request: WorkedRequest; act: ActOnFile; does: Does }) {
  const [name, setName] = useState(request.name);
  const [email, setEmail] = useState(request.email);
  const [reason, setReason] = useState("");
  const changed = name.trim() !== request.name || email.trim().toLowerCase() !== request.email.toLowerCase();
  return (
    <div className="account-form">
      <div className="field">
        <label htmlFor={`name-${request.id}`}>Name of the referee</label>
        <Input id={`name-${request.id}`} maxLength={200} value={name} onChange={(e) => setName(e.target.value)} />
      </div>
      <div className="field">
        <label htmlFor={`email-${request.id}`}>Right address</label>
        <Input id={`email-${request.id}`} maxLength={200} value={email} onChange={(e) => setEmail(e.target.value)} />
      </div>
      <div className="field">
        <label htmlFor={`reason-${request.id}`}>How you know it</label>
        <Input
          id={`reason-${request.id}`}
          maxLength={1000}
          value={reason}
          onChange={(e) => setReason(e.target.value)}
        />
      </div>
      <p className="quiet">The links that went elsewhere end. The request goes to the right address with a new one.</p>
      <div className="presses">
        <Button
          size="small"
          type="primary"
          disabled={!changed || reason.trim() === "" || name.trim() === ""}
          onClick={() =>
            does(
              () => act("correct-referee", { requestId: request.id, name, email: email.trim(), reason }),
              `The request goes to ${email.trim()}.`,
            )
          }
        >
          Correct it and send
        </Button>
      </div>
    </div>
  );
}

function End({ request, act, does }: { request: WorkedRequest; act: ActOnFile; does: Does }) {
  const [reason, setReason] = useState("");
  return (
    <div className="account-form">
      <div className="field">
        <label htmlFor={`end-${request.id}`}>What the applicant reads</label>
        <Input
          id={`end-${request.id}`}
          maxLength={1000}
          placeholder="They have not answered for three weeks."
          value={reason}
          onChange={(e) => setReason(e.target.value)}
        />
      </div>
      <div className="presses">
        <Button
          size="small"
          type="primary"
          disabled={reason.trim() === ""}
          onClick={() =>
            does(
              () => act("end-reference", { requestId: request.id, reason }),
              "The applicant was asked to name somebody else.",
            )
          }
        >
          End it and ask for another
        </Button>
      </div>
    </div>
  );
}

function Take({
  applicationId,
  request,
  onSent,
}: {
  applicationId: string;
  request: WorkedRequest;
  onSent: () => void;
}) {
  const [cameOn, setCameOn] = useState("");
  const told = { applicationId, requestId: request.id, cameOn };
  return (
    <div className="presses">
      <DayInput label="It came on" value={cameOn} precision="day" locale="en" size="small" onTake={setCameOn} />
      {cameOn === "" ? (
        <span className="quiet">Say the day first, then choose the letter.</span>
      ) : (
        <FilePress label="Choose the letter" to="/api/reference-letter/office" told={told} onSent={onSent} />
      )}
    </div>
  );
}

/** What the office does with a request to a referee: once more, more time, another address, another person, or what came on paper. */
export function RequestWork({
  applicationId,
  request,
  act,
}: {
  applicationId: string;
  request: WorkedRequest;
  act: ActOnFile;
}) {
  const [form, setForm] = useState<Form>("none");
  const [said, setSaid] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const router = useRouter();
  const does: Does = (work, then) =>
    begin(async () => {
      const refused = await work();
      setWrong(refused);
      setSaid(refused === null ? then : null);
      if (refused !== null) return;
      setForm("none");
      router.refresh();
    });
  const isOpen = request.state === "asked" || request.state === "opened";
  const unreached = request.state === "undeliverable" || request.declineReason === "not me";
  if (!isOpen && !unreached && request.state !== "declined") return null;
  const press = (to: Form, label: string) => (
    <Button size="small" aria-expanded={form === to} onClick={() => setForm(form === to ? "none" : to)}>
      {label}
    </Button>
  );
  return (
    <div className="request-work">
      <div className="presses">
        {isOpen ? (
          <>
            <Button
              size="small"
              loading={busy}
              onClick={() =>
                does(() => act("send-reference-again", { requestId: request.id }), `Sent again to ${request.email}.`)
              }
            >
              Send again
            </Button>
            {press("time", "More time")}
          </>
        ) : null}
        {isOpen || unreached ? press("correct", "Correct who it is") : null}
        {isOpen ? press("end", "Ask for another") : null}
        {press("take", "Put in a letter that came")}
      </div>
      {form === "time" ? <MoreTime request={request} act={act} does={does} /> : null}
      {form === "correct" ? <Correct request={request} act={act} does={does} /> : null}
      {form === "end" ? <End request={request} act={act} does={does} /> : null}
      {form === "take" ? (
        <Take
          applicationId={applicationId}
          request={request}
          onSent={() => {
            setForm("none");
            setSaid("The reference is in the file.");
            router.refresh();
          }}
        />
      ) : null}
      {said ? <p role="status">{said}</p> : null}
      <Wrong text={wrong} />
    </div>
  );
}
