"use client";

import { resultKey } from "../../core/file/place";
import type { RequirementResult } from "../../core/file/result";
import { formatMoney } from "../../text/format";
import type { FileData } from "../../views/assessment/file-data";
import { CombBar } from "../assessment/comb";
import { entryName } from "../assessment/entry-name";
import { KeyList } from "../frame/key-list.client";

const KEYS = [
  ["j / ↓, k / ↑", "next, previous requirement"],
  ["y", "accept"],
  ["a", "accept, and confirm all values as claimed"],
  ["x", "send back"],
  ["q", "ask for something"],
  ["Shift q", "ask for several things at once"],
  ["c", "confirm all values as claimed"],
  ["u", "undo, for ten seconds"],
  ["n, b", "next page, page before"],
  ["r, z", "turn, resize the page"],
  ["p", "sort the pages of a bundle"],
  ["v", "another document beside it"],
  ["d", "to the decision"],
  ["f", "next file of the list"],
  ["w", "note for the office"],
  ["g and a letter", "to another page"],
] as const;

/** A filled section is complete; only evidence is accepted. */
export function standingWord(r: RequirementResult): string {
  if (r.kind === "deed" && r.standing === "missing") return "to do";
  if (r.standing !== "accepted") return r.standing;
  return r.kind === "sections" ? "complete" : r.kind === "fee" ? "paid" : r.kind === "deed" ? "done" : "accepted";
}

/** A second line under a requirement: what it holds at present. */
function noteOf(data: FileData, r: RequirementResult): string {
  if (r.kind === "fee") return r.amount ? formatMoney("en", r.amount) : "";
  if (r.kind === "sections") return r.gaps.length > 0 ? `${r.gaps.length} open` : "";
  if (r.kind === "reference") return data.references.find((f) => f.id === r.request)?.name ?? "";
  if (r.kind === "deed") return "";
  const own = data.documents.filter((d) => r.evidence.includes(d.evidenceId));
  const pages = own.reduce((sum, d) => sum + d.lastPage - d.firstPage + 1, 0);
  const parts = [entryName(data, r.entry), pages > 0 ? `${pages}\u00a0${pages === 1 ? "page" : "pages"}` : ""];
  return parts.filter(Boolean).join(" · ");
}

/** The comb unrolled: every requirement with where it stands, and the decision below them. */
export function RequirementList({
  data,
  at,
  firstOpen,
  choose,
}: {
  data: FileData;
  /** The chosen one; -1 for the decision. */
  at: number;
  /** The one that holds the file up; -1 where none does. */
  firstOpen: number;
  choose: (index: number) => void;
}) {
  const { requirements } = data.assessment;
  return (
    <nav className="requirements" aria-label="Requirements">
      <ul>
        {requirements.map((r, i) => (
          <li key={resultKey(r)}>
            <button type="button" aria-current={i === at ? "true" : undefined} onClick={() => choose(i)}>
              <span className="comb" data-turn={data.assessment.file.turn}>
                <CombBar standing={r.standing} holds={i === firstOpen} />
              </span>
              <span className="what">
                {r.title.en}
                <span className="quiet note">{noteOf(data, r)}</span>
              </span>
              <span className="quiet">{standingWord(r)}</span>
            </button>
          </li>
        ))}
        <li>
          <button type="button" aria-current={at === -1 ? "true" : undefined} onClick={() => choose(-1)}>
            <span className="comb" />
            <span className="what">
              Decision
              <span className="quiet note">{data.assessment.choices.map((c) => c.eligibility).join(", ")}</span>
            </span>
            <span className="key">d</span>
          </button>
        </li>
      </ul>
      <KeyList keys={KEYS} />
    </nav>
  );
}
