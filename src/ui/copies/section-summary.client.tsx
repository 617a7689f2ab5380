"use client";

import { Button, Input } from "antd";
import { useId, useState } from "react";
import type { EntryPlace } from "../../core/file/place";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import type { FileData } from "../../views/assessment/file-data";
import { OfficeDay } from "../frame/office-day.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

const LONGEST = 600;

/** What a section holds in short, written by the office for those who assess: it stands above the answers in their copies. */
export function SectionSummary({
  place,
  said,
  act,
}: {
  place: Pick<EntryPlace, "scope" | "section">;
  said: FileData["summaries"][number] | null;
  act: ActOnFile;
}) {
  const id = useId();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState(said?.text ?? "");
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const send = (words: string) =>
    begin(async () => {
      const refused = await act("write-summary", { ...place, text: words });
      setWrong(refused);
      if (refused !== null) return;
      setOpen(false);
    });
  return (
    <div>
      {said && !open ? (
        <p>
          <span className="strong">In short:</span> {said.text}{" "}
          <span className="quiet">
            {said.by}, <OfficeDay at={said.at} />
          </span>
        </p>
      ) : null}
      {open ? (
        <div className="field">
          <label htmlFor={id}>In short, for those who assess (it stands above the answers in their copies)</label>
          <Input.TextArea
            id={id}
            autoSize={{ minRows: 2 }}
            maxLength={LONGEST}
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
          <div className="presses">
            <Button type="primary" loading={busy} disabled={text.trim() === ""} onClick={() => send(text)}>
              Keep it
            </Button>
            <Button onClick={() => setOpen(false)}>Not now</Button>
          </div>
        </div>
      ) : (
        <p>
          <button type="button" className="link-button" onClick={() => setOpen(true)}>
            {said ? "change it" : "say it in short for those who assess"}
          </button>{" "}
          {said ? (
            <button type="button" className="link-button" disabled={busy} onClick={() => send("")}>
              take it back
            </button>
          ) : null}
        </p>
      )}
      <Wrong text={wrong} />
    </div>
  );
}
