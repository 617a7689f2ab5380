"use client";

import { useState } from "react";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { valueText } from "../../text/words/value-text";
import type { ClaimedValue, FileData } from "../../views/assessment/file-data";
import { KeptElsewhere } from "../evidence/kept-elsewhere.client";
import { LinkList } from "../evidence/link-list.client";
import { type Confirm, CorrectValue, isCorrectable } from "../form/correct-value.client";
import { OfficeDay } from "../frame/office-day.client";

/** What stood in its place before, each with its reason. */
function Before({ value, data }: { value: ClaimedValue; data: FileData }) {
  if (value.before.length === 0) return null;
  return (
    <details className="before">
      <summary>{value.before.length === 1 ? "One word before" : `${value.before.length} words before`}</summary>
      <ol>
        {value.before.map((b) => (
          <li key={`${b.at}-${JSON.stringify(b.value)}`}>
            {b.value === null ? "taken back" : valueText("en", value, b.value, data.office)}{" "}
            <span className="quiet">
              {b.text} {b.by}, <OfficeDay at={b.at} />
            </span>
          </li>
        ))}
      </ol>
    </details>
  );
}

/** One value: as the applicant says it, with what the office made of it and why, and the press that corrects it. */
export function ClaimedLine({
  value,
  data,
  onConfirm,
  judged,
  act,
}: {
  value: ClaimedValue;
  data: FileData;
  onConfirm: Confirm;
  /** Whether the office may correct it now. */
  judged: boolean;
  act: ActOnFile;
}) {
  const [open, setOpen] = useState(false);
  const isNew = (value.claim === null || value.claim === "") && value.confirmed === null;
  const claim = valueText("en", value, value.claim, data.office);
  return (
    <li data-state={value.state}>
      <span className="quiet">{value.title.en}</span>
      <span>
        {value.kind === "links" ? (
          <LinkList value={value} data={data} act={act} />
        ) : value.byOffice ? (
          <strong>{isNew ? "still to be given" : valueText("en", value, value.confirmed, data.office)}</strong>
        ) : value.state === "changed" || value.state === "stale" ? (
          <>
            <strong>{valueText("en", value, value.confirmed, data.office)}</strong> <s className="quiet">{claim}</s>
          </>
        ) : (
          claim
        )}
        {value.from ? (
          <>
            {" "}
            <a className="quiet" href={`/office/files/${value.from}?show=form`}>
              from No. {value.from}
            </a>
          </>
        ) : null}
        {value.note ? (
          <span className="quiet note">
            {value.note.text} {value.note.by}, <OfficeDay at={value.note.at} />
          </span>
        ) : null}
        <Before value={value} data={data} />
        <KeptElsewhere value={value} act={act} />
      </span>
      <span className="quiet">
        {value.byOffice
          ? "by us "
          : value.state === "stale"
            ? "changed since"
            : value.state === "changed"
              ? "corrected"
              : value.state === "claimed" && !value.used
                ? ""
                : value.state}
        {judged && isCorrectable(value) ? (
          <button
            type="button"
            className="link-button"
            onClick={() => setOpen(!open)}
            aria-label={`${isNew ? "Fill in" : "Correct"} ${value.title.en}`}
          >
            {isNew ? "fill in" : "correct"}
          </button>
        ) : null}
      </span>
      {open ? <CorrectValue value={value} data={data} onConfirm={onConfirm} onDone={() => setOpen(false)} /> : null}
    </li>
  );
}
