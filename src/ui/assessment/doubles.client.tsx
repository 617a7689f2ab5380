"use client";

import { Button } from "antd";
import Link from "next/link";
import { useState } from "react";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { doubleReasons } from "../../text/words/doubles";
import type { Double } from "../../views/people/doubles";
import { OfficeDay } from "../frame/office-day.client";
import { useAsking } from "../frame/unanswered.client";

type Verdict = "same" | "different" | "undecided";

function Line({ double, act }: { double: Double; act: ActOnFile }) {
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const say = (verdict: Verdict) =>
    begin(async () => {
      setWrong(await act("judge-same-person", { otherNumber: double.number, verdict }));
    });
  const { said } = double;
  const link = (
    <Link href={`/office/files/${double.number}`}>
      {double.number} {double.name}
    </Link>
  );
  return (
    <li>
      <span>
        {said === null
          ? "Perhaps the same person: "
          : said.verdict === "same"
            ? "The same person: "
            : "Not the same person: "}
        {link} <span className="quiet">{double.programmes.join(", ")}</span>
        <span className="quiet">
          {" "}
          · {doubleReasons(double.seen).join(", ")}
          {said ? (
            <>
              {" "}
              · {said.by}, <OfficeDay at={said.at} />
            </>
          ) : null}
        </span>
      </span>
      <span className="presses">
        {said === null ? (
          <>
            <Button size="small" loading={busy} onClick={() => say("same")}>
              The same
            </Button>
            <Button size="small" disabled={busy} onClick={() => say("different")}>
              Not the same
            </Button>
          </>
        ) : (
          <Button size="small" loading={busy} onClick={() => say("undecided")}>
            Take back
          </Button>
        )}
        {wrong ? (
          <span role="alert" className="wrong">
            {wrong}
          </span>
        ) : null}
      </span>
    </li>
  );
}

/** Other files that look like the same person's; what was judged not to be is folded away. */
export function Doubles({ doubles, act }: { doubles: readonly Double[]; act: ActOnFile }) {
  const apart = doubles.filter((d) => d.said?.verdict === "different");
  const rest = doubles.filter((d) => d.said?.verdict !== "different");
  if (doubles.length === 0) return null;
  return (
    <aside className="doubles" aria-label="Other files of this person">
      <ul className="plain-list">
        {rest.map((d) => (
          <Line key={d.number} double={d} act={act} />
        ))}
      </ul>
      {apart.length > 0 ? (
        <details>
          <summary className="quiet">
            {apart.length} {apart.length === 1 ? "file was" : "files were"} judged to be somebody else’s
          </summary>
          <ul className="plain-list">
            {apart.map((d) => (
              <Line key={d.number} double={d} act={act} />
            ))}
          </ul>
        </details>
      ) : null}
    </aside>
  );
}
