"use client";

import { Button, Input } from "antd";
import { useId, useState } from "react";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { keeperLink } from "../../core/rulebook/section";
import type { ClaimedValue } from "../../views/assessment/file-data";
import { OfficeDay } from "../frame/office-day.client";

/** A value that another system owns: where it is changed, and the change that waits there. */
export function KeptElsewhere({ value, act }: { value: ClaimedValue; act: ActOnFile }) {
  const id = useId();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const { keptBy, pending, scope, section, entry, field } = value;
  if (!keptBy) return null;
  const link = keeperLink(keptBy);
  const note = async (words: string) => {
    const refused = await act("note-keeper", { scope, section, entry, field, text: words });
    setWrong(refused);
    if (!refused) setOpen(false);
  };
  return (
    <span className="kept-elsewhere">
      <span className="quiet">
        kept by {keptBy.name.en}
        {link ? (
          <>
            {" "}
            <a href={link} target="_blank" rel="noopener noreferrer">
              open it there
            </a>
          </>
        ) : null}
      </span>
      {pending ? (
        <span>
          change asked for on <OfficeDay at={pending.at} /> by {pending.by}: {pending.text}{" "}
          <button type="button" className="link-button" onClick={() => void note("")}>
            take this back
          </button>
        </span>
      ) : open ? (
        <span className="field">
          <label htmlFor={id}>What has to be changed there</label>
          <Input id={id} maxLength={1000} value={text} onChange={(e) => setText(e.target.value)} />
          <span>
            <Button size="small" type="primary" disabled={text.trim() === ""} onClick={() => void note(text)}>
              Note it
            </Button>{" "}
            <Button size="small" onClick={() => setOpen(false)}>
              Not now
            </Button>
          </span>
        </span>
      ) : (
        <button type="button" className="link-button" onClick={() => setOpen(true)}>
          note a change
        </button>
      )}
      {wrong ? (
        <span role="alert" className="wrong">
          {wrong}
        </span>
      ) : null}
    </span>
  );
}
