"use client";

import { Button, Input } from "antd";
import { useState } from "react";
import type { RequirementResult } from "../../core/file/result";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { formatMoment } from "../../text/format";
import type { FileData } from "../../views/assessment/file-data";
import { Wrong } from "../frame/wrong";

/** Something that the office does itself: what was done and by whom, or the place to say that it is done. */
export function Deed({ data, requirement, act }: { data: FileData; requirement: RequirementResult; act: ActOnFile }) {
  const [note, setNote] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const place = {
    requirement: requirement.key,
    scope: requirement.scope,
    entry: requirement.entry,
  };
  const known = data.deeds.find((d) => d.requirement === requirement.key && d.scope === requirement.scope);
  const say = async () => {
    if (note.trim() === "")
      return setWrong("Say in a few words what was done, for example “letter sent to the embassy”.");
    const refused = await act("do-deed", { ...place, note });
    setWrong(refused);
    if (!refused) setNote("");
  };
  return (
    <div className="reference">
      <h2>{requirement.title.en}</h2>
      {known ? (
        <>
          <p>{known.note}</p>
          <p className="quiet">
            {known.by}, {formatMoment("en", known.at, data.zone)}{" "}
            <button type="button" className="link-button" onClick={async () => setWrong(await act("undo-deed", place))}>
              It was not done
            </button>
          </p>
        </>
      ) : requirement.standing === "not needed" || requirement.standing === "excused" ? (
        <p className="empty">Nothing has to be done here.</p>
      ) : data.assessment.file.stage === "preparing" ? (
        <p className="empty">The office does this once the application is submitted.</p>
      ) : (
        <>
          <p>This is for the office to do, by {requirement.neededBy}. The applicant reads that you see to it.</p>
          <label htmlFor="deed-note">What was done</label>
          <Input.TextArea
            id="deed-note"
            rows={3}
            maxLength={1000}
            value={note}
            onChange={(e) => setNote(e.target.value)}
            aria-invalid={wrong !== null}
          />
          <p className="presses">
            <Button type="primary" onClick={() => void say()}>
              It is done
            </Button>
          </p>
        </>
      )}
      <Wrong text={wrong} />
    </div>
  );
}
