"use client";

import { Button, Input } from "antd";
import { useState } from "react";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { correctAddressInput } from "../../core/mail/inputs";
import { formatMoment } from "../../text/format";
import type { FileData } from "../../views/assessment/file-data";
import type { CorrectedAddress } from "../../views/mail/messages";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

/** The right address, and how the office knows that it is theirs. */
function Correction({ email, act, onDone }: { email: string; act: ActOnFile; onDone: (said: string | null) => void }) {
  const [address, setAddress] = useState(email);
  const [reason, setReason] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const good = correctAddressInput.shape.email.safeParse(address).success;
  return (
    <form
      className="account-form"
      aria-label="Correct the address"
      onSubmit={(e) => {
        e.preventDefault();
        if (!good) return setWrong("This is no address of a mailbox. It looks like name@example.org.");
        if (reason.trim() === "") return setWrong("Say how you know that it is theirs.");
        begin(async () => {
          const refused = await act("correct-address", { email: address, reason });
          setWrong(refused);
          if (refused === null) onDone(`They sign in with ${address.trim()} now; a link to confirm it is on its way.`);
        });
      }}
    >
      <div className="field">
        <label htmlFor="right-address">Right address</label>
        <Input id="right-address" autoFocus value={address} onChange={(e) => setAddress(e.target.value)} />
      </div>
      <div className="field">
        <label htmlFor="address-reason">How you know that it is theirs</label>
        <Input
          id="address-reason"
          maxLength={500}
          placeholder="Called the number in the form; birth date and passport number given"
          value={reason}
          onChange={(e) => setReason(e.target.value)}
        />
      </div>
      <p className="quiet">
        They sign in with it from then on, once its link is confirmed. The old address is told, and what came back is
        sent to the new one.
      </p>
      <div className="presses">
        <Button type="primary" htmlType="submit" loading={busy}>
          Correct it
        </Button>
        <Button onClick={() => onDone(null)}>Not now</Button>
      </div>
      <Wrong text={wrong} />
    </form>
  );
}

/** Where mails of the file go, whether they came back, and what can be done about it. */
export function AccountAddress({
  file,
  corrected,
  act,
}: {
  file: FileData;
  corrected: readonly CorrectedAddress[];
  act: ActOnFile;
}) {
  const [open, setOpen] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const returned = file.assessment.file.owed.find((s) => s.kind === "reach applicant")?.count ?? 0;
  const settle = (again: boolean) =>
    begin(async () => {
      const refused = await act("settle-returned", { again });
      setSaid(refused ?? (again ? "On its way once more." : "Seen to."));
    });
  return (
    <div className="account-address">
      {returned > 0 ? (
        <p className="notice">
          {returned === 1 ? "A mail" : `${returned} mails`} to <strong>{file.email}</strong> came back: nobody is known
          there. Call, or write by post; what we write stands in their account, too.
        </p>
      ) : (
        <p className="quiet">
          Mails go to <strong>{file.email}</strong>.
        </p>
      )}
      {open ? (
        <Correction
          email={file.email}
          act={act}
          onDone={(done) => {
            setOpen(false);
            setSaid(done);
          }}
        />
      ) : (
        <div className="presses">
          <Button onClick={() => setOpen(true)}>Correct the address</Button>
          {returned > 0 ? (
            <>
              <Button disabled={busy} onClick={() => settle(true)}>
                Send it there again
              </Button>
              <Button disabled={busy} onClick={() => settle(false)}>
                It is seen to
              </Button>
            </>
          ) : null}
        </div>
      )}
      {said ? (
        <p role="status" className="said">
          {said}
        </p>
      ) : null}
      {corrected.map((c) => (
        <p key={c.at} className="quiet">
          {formatMoment("en", c.at, file.zone)}: {c.by} corrected {c.before} to {c.after}. {c.reason}
        </p>
      ))}
    </div>
  );
}
