"use client";

import { AutoComplete, Button, Input, Select } from "antd";
import { useEffect, useRef, useState } from "react";
import { requirementKey } from "../../core/file/place";
import { formatDate } from "../../text/format";
import type { PaperFile, PaperPlace } from "../../views/post/papers";
import { useQuickFind } from "../frame/quick-find.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";
import { refusedText, sendFile } from "../sending/send-form";
import { type Arrival, ArrivalFields, ScanField } from "./arrival-fields.client";

export interface PaperActs {
  readonly lookUp: (number: string) => Promise<PaperFile | null>;
  readonly note: (
    file: PaperFile,
    place: PaperPlace | null,
    arrival: Arrival,
  ) => Promise<string | { readonly paperId: string }>;
  readonly noteStray: (arrival: Arrival) => Promise<string | null>;
  readonly match: (file: PaperFile, place: PaperPlace | null, paperId: string) => Promise<string | null>;
  readonly takeBack: (file: PaperFile, paperId: string) => Promise<string | null>;
  readonly sentBack: (applicationId: string, paperId: string) => Promise<string | null>;
}

const OTHER = "other";

/** One file, found by its number or a name. */
function FileField({
  file,
  onFile,
  lookUp,
}: {
  file: PaperFile | null;
  onFile: (file: PaperFile | null) => void;
  lookUp: PaperActs["lookUp"];
}) {
  const [words, setWords] = useState("");
  const found = useQuickFind(words, file === null);
  const take = async (number: string) => {
    const taken = await lookUp(number);
    setWords("");
    if (taken) onFile(taken);
  };
  if (file)
    return (
      <p className="paper-file">
        <strong>{file.number}</strong> {file.name}{" "}
        <button type="button" className="link-button" onClick={() => onFile(null)}>
          another
        </button>
      </p>
    );
  return (
    <AutoComplete
      id="paper-file"
      value={words}
      onChange={setWords}
      onSelect={(number: string) => void take(number)}
      defaultActiveFirstOption
      options={found.files.map((f) => ({
        value: f.number,
        label: (
          <span className="found-line">
            <span>{f.name}</span>
            <span className="quiet">
              {f.number} · {f.programmes}
            </span>
          </span>
        ),
      }))}
      style={{ width: "100%" }}
    >
      <Input placeholder="Number or name" />
    </AutoComplete>
  );
}

/** Puts the scan of a paper where the paper belongs. @returns null, or the sentence that says why not */
async function sendScan(file: PaperFile, place: PaperPlace, paperId: string, scan: File): Promise<string | null> {
  const { requirement, scope, entry } = place;
  const at = { applicationId: file.applicationId, requirement, scope, entry, paper: paperId };
  try {
    const { status, body } = await sendFile("/api/uploads/office", at, scan, () => undefined);
    return status >= 400 ? refusedText("en", body) : null;
  } catch {
    return refusedText("en", null);
  }
}

/** Notes papers one after the other: whose, what, in which state; Enter, and the next. */
export function PaperEntry({
  today,
  stray,
  acts,
  onDone,
}: {
  today: string;
  /** A paper that was noted without a file, whose it is to be said; null to note a new one. */
  stray: { readonly id: string; readonly contents: string } | null;
  acts: PaperActs;
  onDone: () => void;
}) {
  const [file, setFile] = useState<PaperFile | null>(null);
  const [what, setWhat] = useState("");
  const [arrival, setArrival] = useState<Arrival>({ contents: "", sender: "", state: "in order", cameOn: today });
  const { contents, cameOn } = arrival;
  const [said, setSaid] = useState<{ readonly text: string; readonly undo: (() => Promise<void>) | null } | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [scan, setScan] = useState<File | null>(null);
  const [busy, begin] = useAsking();
  const box = useRef<HTMLFormElement>(null);
  useEffect(() => {
    // What comes for a file is chosen already, so that Enter alone notes it.
    const [first] = file?.places ?? [];
    setWhat(file ? (first ? requirementKey(first) : OTHER) : "");
    const find = (id: string) => box.current?.querySelector<HTMLElement>(id);
    if (file) (find("#paper-contents") ?? find("#paper-what"))?.focus();
  }, [file]);
  const place = file?.places.find((p) => requirementKey(p) === what) ?? null;
  const named = place !== null || contents.trim() !== "" || stray !== null;
  const again = (text: string, undo: (() => Promise<void>) | null = null) => {
    setSaid({ text, undo });
    setFile(null);
    setArrival({ contents: "", sender: "", state: "in order", cameOn });
    setScan(null);
    onDone();
    requestAnimationFrame(() => box.current?.querySelector<HTMLElement>("#paper-file")?.focus());
  };
  const send = () =>
    begin(async () => {
      setSaid(null);
      if (!file) {
        const refused = await acts.noteStray(arrival);
        setWrong(refused);
        if (refused === null) again("Noted. Nobody knows yet whose it is.");
        return;
      }
      const title = place?.title ?? (stray ? stray.contents : contents);
      if (stray) {
        const refused = await acts.match(file, place, stray.id);
        setWrong(refused);
        if (refused === null) again(`${title}: it is ${file.name}’s, ${file.number}.`);
        return;
      }
      const noted = await acts.note(file, place, arrival);
      setWrong(typeof noted === "string" ? noted : null);
      if (typeof noted === "string") return;
      const unscanned = scan && place ? await sendScan(file, place, noted.paperId, scan) : null;
      const what = scan && place && unscanned === null ? `${title}, with its scan` : title;
      setWrong(unscanned === null ? null : `The paper is noted, its scan is not kept: ${unscanned}`);
      again(`${file.number} ${file.name}: ${what}. They are told in ten seconds.`, async () => {
        const refused = await acts.takeBack(file, noted.paperId);
        setSaid({ text: refused ?? "Taken back.", undo: null });
        onDone();
      });
    });
  return (
    <form
      ref={box}
      className="paper-entry"
      aria-label={stray ? "Say whose it is" : "Note a paper"}
      onSubmit={(e) => {
        e.preventDefault();
        if (named && !busy && (file !== null || contents.trim() !== "")) send();
      }}
    >
      <div className="field wide">
        <label htmlFor="paper-file">Whose it is</label>
        <FileField file={file} onFile={setFile} lookUp={acts.lookUp} />
      </div>
      {file ? (
        <div className="field wide">
          <label htmlFor="paper-what">What it is</label>
          <Select
            id="paper-what"
            value={what}
            onChange={setWhat}
            showSearch={{ optionFilterProp: "title" }}
            options={[
              ...file.places.map((p) => ({
                value: requirementKey(p),
                title: p.title,
                label: p.expectedOn ? `${p.title} · expected on ${formatDate("en", p.expectedOn)}` : p.title,
              })),
              { value: OTHER, title: "Something else", label: "Something else" },
            ]}
            style={{ width: "100%" }}
          />
        </div>
      ) : null}
      {stray ? null : (
        <ArrivalFields arrival={arrival} titled={place !== null} change={setArrival}>
          {place && file?.submitted ? <ScanField scan={scan} take={setScan} /> : null}
        </ArrivalFields>
      )}
      <div className="presses wide">
        <Button
          type="primary"
          htmlType="submit"
          loading={busy}
          disabled={!named || cameOn === "" || (file === null && contents.trim() === "")}
        >
          {stray ? "It is theirs" : file ? "Note it" : "Note it without a file"} <span className="key">↵</span>
        </Button>
        {stray ? <Button onClick={onDone}>Not now</Button> : null}
      </div>
      <Wrong text={wrong} />
      {said ? (
        <p role="status" className="said wide">
          {said.text}{" "}
          {said.undo ? (
            <button type="button" className="bare" onClick={() => void said.undo?.()}>
              Take it back
            </button>
          ) : null}
        </p>
      ) : null}
    </form>
  );
}
