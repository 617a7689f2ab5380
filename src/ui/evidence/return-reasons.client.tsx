"use client";

import { Button, Checkbox, Input } from "antd";
import { useState } from "react";
import type { KeptReason, WrittenReason } from "../../core/evidence/return-reasons";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

type Save = (reason: WrittenReason) => Promise<string | null>;

const NEW: WrittenReason = { key: null, version: 0, title: "", words: { en: "", fr: "" }, offered: true };

function ReasonForm({ first, save, onDone }: { first: WrittenReason; save: Save; onDone: () => void }) {
  const [reason, setReason] = useState(first);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const write = (locale: "en" | "fr", text: string) =>
    setReason({ ...reason, words: { ...reason.words, [locale]: text } });
  return (
    <form
      className="text-editor"
      onSubmit={(e) => {
        e.preventDefault();
        begin(async () => {
          const refused = await save(reason);
          setWrong(refused);
          if (refused === null) onDone();
        });
      }}
    >
      <div className="field">
        <label htmlFor="reason-title">What it is called among us</label>
        <Input
          id="reason-title"
          autoFocus
          maxLength={80}
          value={reason.title}
          onChange={(e) => setReason({ ...reason, title: e.target.value })}
        />
      </div>
      <div className="two-texts">
        <div className="field">
          <label htmlFor="reason-en">What the applicant reads, English</label>
          <Input.TextArea
            id="reason-en"
            autoSize={{ minRows: 2 }}
            maxLength={500}
            value={reason.words.en}
            onChange={(e) => write("en", e.target.value)}
          />
        </div>
        <div className="field">
          <label htmlFor="reason-fr">What the applicant reads, French</label>
          <Input.TextArea
            id="reason-fr"
            autoSize={{ minRows: 2 }}
            maxLength={500}
            value={reason.words.fr}
            onChange={(e) => write("fr", e.target.value)}
          />
        </div>
      </div>
      <Checkbox checked={reason.offered} onChange={(e) => setReason({ ...reason, offered: e.target.checked })}>
        It can be chosen when a document goes back
      </Checkbox>
      <div className="presses">
        <Button type="primary" htmlType="submit" loading={busy}>
          Save it
        </Button>
        <Button onClick={onDone}>Not now</Button>
      </div>
      <Wrong text={wrong} />
    </form>
  );
}

/** The reasons for which documents go back; lead officers write them. */
export function ReturnReasons({
  reasons,
  writes,
  save,
}: {
  reasons: readonly KeptReason[];
  writes: boolean;
  save: Save;
}) {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <>
      <ul className="office-texts">
        {reasons.map((r) => (
          <li key={r.key}>
            {open === r.key ? (
              <ReasonForm first={r} save={save} onDone={() => setOpen(null)} />
            ) : (
              <>
                <h2>
                  {r.title} {r.offered ? null : <span className="quiet">not offered any more</span>}
                </h2>
                <div className="two-texts">
                  <p className="letter">{r.words.en}</p>
                  <p className="letter" lang="fr">
                    {r.words.fr}
                  </p>
                </div>
                {writes ? (
                  <Button size="small" aria-label={`Change ${r.title}`} onClick={() => setOpen(r.key)}>
                    Change it
                  </Button>
                ) : null}
              </>
            )}
          </li>
        ))}
      </ul>
      {writes ? (
        open === "new" ? (
          <ReasonForm first={NEW} save={save} onDone={() => setOpen(null)} />
        ) : (
          <Button onClick={() => setOpen("new")}>Write a new reason</Button>
        )
      ) : null}
    </>
  );
}
