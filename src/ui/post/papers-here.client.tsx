"use client";

import { Button } from "antd";
import { useState } from "react";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { formatDate } from "../../text/format";
import { STATE_WORDS, WAY_WORDS } from "../../text/words/papers";
import type { FileData, FilePaper } from "../../views/assessment/file-data";
import { OfficeDay } from "../frame/office-day.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

/** A paper that came: looked at and kept, or looked at and to go back. */
function PaperLine({ paper, act }: { paper: FilePaper; act: ActOnFile }) {
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const inspect = (sendBack: boolean) =>
    begin(async () => setWrong(await act("inspect-paper", { paperId: paper.id, sendBack })));
  return (
    <li>
      {paper.contents || "A paper"} came on {formatDate("en", paper.cameOn)}, {STATE_WORDS[paper.state]}
      {paper.sender ? `, from ${paper.sender}` : ""} <span className="quiet">· noted by {paper.by}</span>
      {paper.inspectedAt === null ? (
        <span className="presses">
          <Button size="small" loading={busy} onClick={() => inspect(false)}>
            Looked at, we keep it
          </Button>
          <Button size="small" loading={busy} onClick={() => inspect(true)}>
            Looked at, it goes back
          </Button>
        </span>
      ) : (
        <span className="quiet">
          {" "}
          · looked at on <OfficeDay at={paper.inspectedAt} />,{" "}
          {paper.sentBackAt ? (
            <>
              went back on <OfficeDay at={paper.sentBackAt} />
            </>
          ) : paper.toGoBackAt ? (
            "to go back"
          ) : (
            "kept"
          )}
        </span>
      )}
      <Wrong text={wrong} />
    </li>
  );
}

/** What came on paper at a place of the file, and what is said to be on its way. */
export function PapersHere({
  papers,
  announced,
  act,
}: {
  papers: readonly FilePaper[];
  announced: FileData["announced"];
  act: ActOnFile;
}) {
  if (papers.length + announced.length === 0) return null;
  return (
    <section className="open-asks" aria-label="On paper">
      <h3>On paper</h3>
      <ul>
        {announced.map((a) => (
          <li key={`${a.scope} ${a.requirement} ${a.entry}`}>
            On its way {WAY_WORDS[a.way]}, expected on {formatDate("en", a.expectedOn)}
          </li>
        ))}
        {papers.map((paper) => (
          <PaperLine key={paper.id} paper={paper} act={act} />
        ))}
      </ul>
    </section>
  );
}
