"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { formatMoment } from "../../text/format";
import type { ClaimedValue, FileData } from "../../views/assessment/file-data";
import { FilePress } from "../assessment/file-press.client";

/** Links that an applicant gave: each opens in a window of its own, and an officer notes whether it did. */
export function LinkList({ value, data, act }: { value: ClaimedValue; data: FileData; act: ActOnFile }) {
  const router = useRouter();
  const [wrong, setWrong] = useState<string | null>(null);
  const { scope, section, entry, field } = value;
  const links = Array.isArray(value.claim) ? value.claim.map(String) : [];
  const here = data.linkNotes.filter(
    (n) => n.scope === scope && n.section === section && n.entry === entry && n.field === field,
  );
  const note = async (url: string, opens: boolean) =>
    setWrong(await act("note-link", { scope, section, entry, field, url, opens }));
  return (
    <ul className="link-list">
      {links.map((url) => {
        const known = here.find((n) => n.url === url);
        return (
          <li key={url}>
            <a href={url} target="_blank" rel="noopener noreferrer nofollow">
              {url}
            </a>
            <span className={known?.opens === false ? "wrong" : "quiet"}>
              {known
                ? `${known.opens ? "opened" : "did not open"} on ${formatMoment("en", known.at, data.zone)}, ${known.by}`
                : "not looked at yet"}
            </span>
            <span className="nowrap">
              <button type="button" className="link-button" onClick={() => void note(url, true)}>
                it opens
              </button>{" "}
              <button type="button" className="link-button" onClick={() => void note(url, false)}>
                it does not
              </button>
            </span>
            <span>
              {known?.copy ? (
                <a href={`/api/link-copies/${known.copy.sha256}`} target="_blank" rel="noopener">
                  copy of {formatMoment("en", known.copy.at, data.zone)}
                </a>
              ) : null}{" "}
              <FilePress
                label={known?.copy ? "keep a newer copy" : "keep a copy"}
                to="/api/link-copies"
                told={{ applicationId: data.id, scope, section, entry, field, url }}
                onSent={router.refresh}
              />
            </span>
          </li>
        );
      })}
      {wrong ? (
        <li role="alert" className="wrong">
          {wrong}
        </li>
      ) : null}
    </ul>
  );
}
