"use client";

import { useState } from "react";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import type { FileData, FileDocument } from "../../views/assessment/file-data";

/** Which pages of what was sent are meant, where it is not all of it. */
export const pagesOf = ({ firstPage, lastPage, partOf }: FileDocument): string =>
  partOf === null ? "" : firstPage === lastPage ? `, page ${firstPage}` : `, pages ${firstPage} to ${lastPage}`;

/** What documents show by themselves, each as a sentence; none of it decides anything. */
const SIGN_WORDS: Readonly<Record<string, string>> = {
  hard_to_read: "The picture is small and may be hard to read.",
  blank_page: "There is a page with nothing on it.",
  blurred: "A page is blurred and may be hard to read.",
  active_content: "It has active parts, and is shown without them.",
  embedded_file: "It carries another file inside, which is not read.",
  restricted: "It limits what may be done with it.",
  few_pages: "It has fewer pages than usual.",
};

/** What stands out about a document: signs that help, the same one elsewhere, and that its pages were sorted or put together. */
export function Signs({ data, shown, act }: { data: FileData; shown: FileDocument; act: ActOnFile }) {
  const [wrong, setWrong] = useState<string | null>(null);
  const titleOf = (key: string) => data.assessment.requirements.find((r) => r.key === key)?.title.en ?? key;
  return (
    <>
      {shown.marks.length > 0 ? <p className="notice">{shown.marks.map((m) => SIGN_WORDS[m] ?? m).join(" ")}</p> : null}
      {shown.twice.length > 0 ? (
        <p className="notice">
          The same document was sent for {shown.twice.map(titleOf).join(", ")}, too.{" "}
          {shown.judgement === "accepted" ? null : (
            <button
              type="button"
              className="link-button"
              onClick={async () => setWrong(await act("set-aside-twin", { evidenceId: shown.evidenceId }))}
            >
              Set this one aside
            </button>
          )}
        </p>
      ) : null}
      {shown.alsoIn.length > 0 ? (
        <p className="notice">The same document stands in file {shown.alsoIn.join(", ")}.</p>
      ) : null}
      {shown.partOf === null ? null : (
        <p className="quiet">
          Sorted out of {shown.name}
          {pagesOf(shown)}.{" "}
          {shown.judgement === null ? (
            <button
              type="button"
              className="link-button"
              onClick={async () => setWrong(await act("put-together", { evidenceId: shown.partOf ?? "" }))}
            >
              Put it together again
            </button>
          ) : null}
        </p>
      )}
      {shown.joinedOf.length > 0 ? (
        <p className="quiet">
          Put together from pages of {[...new Set(shown.joinedOf)].join(", ")}.{" "}
          {shown.judgement === null ? (
            <button
              type="button"
              className="link-button"
              onClick={async () => setWrong(await act("take-apart", { evidenceId: shown.evidenceId }))}
            >
              Take it apart again
            </button>
          ) : null}
        </p>
      ) : null}
      {wrong ? (
        <p role="alert" className="wrong">
          {wrong}
        </p>
      ) : null}
    </>
  );
}
