"use client";

import { AutoComplete, Button, Input, Select } from "antd";
import { useEffect, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import type { FileNotes } from "../../views/notes/notes";
import { useKeptText } from "../frame/kept-text.client";
import { OfficeDay } from "../frame/office-day.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

const LOOK_MS = 20_000;

/** Who else has the file open just now, asked now and then. */
function HereToo({ look }: { look: () => Promise<readonly string[]> }) {
  const [others, setOthers] = useState<readonly string[]>([]);
  useEffect(() => {
    let there = true;
    const ask = () =>
      look()
        .then((names) => (there ? setOthers(names) : undefined))
        .catch(() => undefined);
    void ask();
    const again = setInterval(() => void (document.hidden ? undefined : ask()), LOOK_MS);
    return () => {
      there = false;
      clearInterval(again);
    };
  }, [look]);
  return (
    <span role="status" className="here-too">
      {others.length > 0 ? `${others.join(", ")} ${others.length === 1 ? "has" : "have"} this file open, too.` : ""}
    </span>
  );
}

function NoteForm({
  number,
  officers,
  act,
  onDone,
}: {
  number: string;
  officers: FileNotes["officers"];
  act: ActOnFile;
  onDone: () => void;
}) {
  const [text, setText] = useKeptText(`note ${number}`);
  const [mentions, setMentions] = useState<string[]>([]);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const save = () =>
    begin(async () => {
      const refused = await act("add-note", { text, mentions });
      setWrong(refused);
      if (refused !== null) return;
      setText("");
      onDone();
    });
  return (
    <form
      className="note-form"
      onSubmit={(e) => {
        e.preventDefault();
        save();
      }}
      onKeyDown={(e) => {
        if (e.key === "Enter" && (e.ctrlKey || e.metaKey) && text.trim() && !busy) save();
        if (e.key === "Escape") onDone();
      }}
    >
      <label htmlFor="note-text">Note for the office; the applicant never sees it</label>
      <Input.TextArea
        id="note-text"
        autoFocus
        autoSize={{ minRows: 2 }}
        maxLength={2000}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <label htmlFor="note-for">For (if somebody is to read it)</label>
      <Select
        id="note-for"
        mode="multiple"
        value={mentions}
        onChange={setMentions}
        options={officers.map((o) => ({ value: o.id, label: o.name }))}
        showSearch={{ optionFilterProp: "label" }}
        style={{ width: "100%" }}
      />
      <div className="presses">
        <Button type="primary" htmlType="submit" loading={busy} disabled={text.trim() === ""}>
          Keep the note <span className="key">Ctrl ↵</span>
        </Button>
        <Button onClick={onDone}>Not now</Button>
      </div>
      <Wrong text={wrong} />
    </form>
  );
}

/** What the office notes in the file for itself: marks to find it by, notes, and who else is in it. */
export function Notes({
  number,
  data: { notes, marks, known, officers },
  act,
  look,
}: {
  number: string;
  data: FileNotes;
  act: ActOnFile;
  look: () => Promise<readonly string[]>;
}) {
  const [open, setOpen] = useState<"note" | "mark" | null>(null);
  const [mark, setMark] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  /** An answer that comes late closes only what it answers. */
  const close = (what: "note" | "mark") => setOpen((now) => (now === what ? null : now));
  useHotkeys("w", () => setOpen("note"), { preventDefault: true }, []);
  const put = async (word: string) => {
    const refused = word.trim() === "" ? "Say which mark." : await act("mark-file", { mark: word.trim() });
    setWrong(refused);
    if (refused !== null) return;
    setMark("");
    close("mark");
  };
  return (
    <aside className="file-notes" aria-label="Notes and marks">
      <p className="note-line">
        {marks.map((m) => (
          <span key={m} className="file-mark">
            {m}{" "}
            <button
              type="button"
              className="bare"
              aria-label={`Take the mark ${m} off`}
              onClick={async () => setWrong(await act("unmark-file", { mark: m }))}
            >
              ×
            </button>
          </span>
        ))}
        <button type="button" className="bare" onClick={() => setOpen(open === "mark" ? null : "mark")}>
          Mark it
        </button>
        <button type="button" className="bare" onClick={() => setOpen(open === "note" ? null : "note")}>
          Note <span className="key">w</span>
        </button>
        <HereToo look={look} />
      </p>
      {open === "mark" ? (
        <form
          className="note-line"
          onSubmit={(e) => {
            e.preventDefault();
            void put(mark);
          }}
        >
          <label htmlFor="file-mark">Mark</label>
          <AutoComplete
            id="file-mark"
            autoFocus
            value={mark}
            onChange={(word: string) => setMark(word)}
            onSelect={(word: string) => void put(word)}
            options={known.filter((k) => k.toLowerCase().includes(mark.toLowerCase())).map((value) => ({ value }))}
            style={{ width: 240 }}
          />
          <Button htmlType="submit">Put it on</Button>
        </form>
      ) : null}
      {open === "note" ? <NoteForm number={number} officers={officers} act={act} onDone={() => close("note")} /> : null}
      <Wrong text={wrong} />
      {notes.length > 0 ? (
        <ul className="plain-list">
          {notes.map((n) => (
            <li key={n.id}>
              <span className="note-text">{n.text}</span>{" "}
              <span className="quiet">
                {n.by} on <OfficeDay at={n.at} />
                {n.mentions.length > 0
                  ? `, for ${n.mentions.map((m) => `${m.name}${m.read ? " (read)" : ""}`).join(", ")}`
                  : ""}
              </span>{" "}
              {n.mine ? (
                <button
                  type="button"
                  className="bare"
                  onClick={async () => setWrong(await act("drop-note", { noteId: n.id }))}
                >
                  Take it away
                </button>
              ) : null}
            </li>
          ))}
        </ul>
      ) : null}
    </aside>
  );
}
