"use client";

import { Button } from "antd";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { isBeyond, leftOut, matchResults } from "../../core/education/registry-answer";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { formatMoment } from "../../text/format";
import { valueText } from "../../text/words/value-text";
import type { ClaimedValue, FileData, RegistryQuery } from "../../views/assessment/file-data";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

const LOOK_MS = 1500;

/**
 * The lines that belong to a sitting, as they are claimed, or as the registry gave them where nobody types them.
 * @param counting as they count now instead, which is what the registry has otherwise
 */
function claimsOf(values: readonly ClaimedValue[], sitting: string, counting: boolean) {
  const lines = values.filter(
    (v) => v.section === "subjects" && v.field === "sitting" && (v.claim ?? v.confirmed) === sitting,
  );
  const text = (entry: string, field: string) => {
    const value = values.find((v) => v.section === "subjects" && v.entry === entry && v.field === field);
    return String((counting ? value?.confirmed : null) ?? value?.claim ?? value?.confirmed ?? "");
  };
  return lines.map(({ entry }) => ({ entry, subject: text(entry, "subject"), mark: text(entry, "mark") }));
}

function Answer({ query, data }: { query: RegistryQuery; data: FileData }) {
  const subject = data.values.find((v) => v.section === "subjects" && v.field === "subject");
  const titleOf = (key: string) => (subject ? valueText("en", subject, key, data.office) : key);
  if (!query.results) return null;
  const counting = query.state === "changed";
  const was = counting ? "confirmed" : "claimed";
  const { known, unknown, unclaimed } = matchResults(claimsOf(data.values, query.entry, counting), query.results);
  return (
    <ul className="value-list">
      {known.map((k) => (
        <li key={k.entry} data-state={k.agrees ? "confirmed" : "changed"}>
          <span className="quiet">{titleOf(k.subject)}</span>
          <span>{k.awarded}</span>
          <span className={k.agrees ? "quiet" : "wrong"}>{k.agrees ? `as ${was}` : `${was} ${k.mark}`}</span>
        </li>
      ))}
      {unknown.map((u) => (
        <li key={u.entry}>
          <span className="quiet">{titleOf(u.subject)}</span>
          <span>not there</span>
          <span className="quiet">claimed {u.mark}; ask for the paper</span>
        </li>
      ))}
      {unclaimed.map((r) => (
        <li key={r.subject}>
          <span className="quiet">{titleOf(r.subject)}</span>
          <span>{r.mark}</span>
          <span className="quiet">not claimed</span>
        </li>
      ))}
    </ul>
  );
}

function stateWords({ state, name, candidate, year, since }: RegistryQuery): string {
  switch (state) {
    case "asked":
      return "Asked; the answer comes by itself.";
    case "down":
      return "The registry does not answer at present. It is asked again by itself for a while; you can ask again, too.";
    case "not found":
      if (isBeyond(since, year))
        return `The registry has results from ${since} on and none of ${year}: that it knows nobody says nothing. Ask for the paper.`;
      return `The registry knows no candidate ${candidate} in this year. Look at the number and the year, or ask for the paper.`;
    case "other name":
      return `The registry has ${name} under this number. Look whether that is the same person before you take it over.`;
    case "found":
      return `Found under ${name}. What it says is confirmed.`;
    case "changed":
      return `The registry has other marks for ${name} now than it had. What was confirmed still counts until you say otherwise.`;
  }
}

/** Sittings that the registry knows of the same person and the form does not: schooling that was left out. */
function LeftOut({ query, data }: { query: RegistryQuery; data: FileData }) {
  const boards = data.values.filter((v) => v.section === "sittings" && v.field === "board");
  const said = (v: ClaimedValue | undefined) => String(v?.confirmed ?? v?.claim ?? "");
  const named = boards.map((board) => ({
    board: said(board),
    year: said(data.values.find((v) => v.section === "sittings" && v.entry === board.entry && v.field === "year")),
  }));
  const lacking = leftOut(query.others, named);
  if (lacking.length === 0) return null;
  const [board] = boards;
  const titles = lacking.map((s) => `${board ? valueText("en", board, s.board, data.office) : s.board}, ${s.year}`);
  return (
    <p className="strong">
      The registry knows {titles.length === 1 ? "a sitting" : "sittings"} of the same person that the form does not
      name: {titles.join("; ")}. Ask for {titles.length === 1 ? "it" : "them"}, or make work of it.
    </p>
  );
}

/** Has the results of one sitting looked up where they were awarded, and shows what came back beside what is claimed. */
export function RegistryCheck({ data, entry, act }: { data: FileData; entry: string; act: ActOnFile }) {
  const router = useRouter();
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const query = data.registry.find((q) => q.entry === entry);
  const waiting = query?.state === "asked" || query?.state === "down";
  useEffect(() => {
    if (!waiting) return;
    const look = setInterval(() => router.refresh(), LOOK_MS);
    return () => clearInterval(look);
  }, [waiting, router]);
  const sitting = data.values.find((v) => v.entry === entry && v.field === "candidate");
  const candidate = sitting?.confirmed ?? sitting?.claim ?? null;
  const doing = (run: () => Promise<string | null>) =>
    begin(async () => {
      setWrong(await run());
    });
  return (
    <section className="registry-check" aria-label="Registry of examinations">
      <h3>Registry of examinations</h3>
      {query ? (
        <p role="status" className={query.state === "found" || query.state === "asked" ? "quiet" : "strong"}>
          {stateWords(query)}{" "}
          <span className="quiet">
            {query.by}, {formatMoment("en", query.askedAt, data.zone)}
          </span>
        </p>
      ) : null}
      {query ? <Answer query={query} data={data} /> : null}
      {query?.since && query.state !== "not found" ? (
        <p className="quiet">It has results from {query.since} on; what it does not have is no failure.</p>
      ) : null}
      {query ? <LeftOut query={query} data={data} /> : null}
      <div className="presses">
        {query?.state === "other name" ? (
          <Button
            type="primary"
            size="small"
            loading={busy}
            onClick={() => doing(() => act("take-registry-results", { queryId: query.id }))}
          >
            It is the same person: take it over
          </Button>
        ) : null}
        {query?.state === "changed" ? (
          <>
            <Button
              type="primary"
              size="small"
              loading={busy}
              onClick={() => doing(() => act("take-registry-results", { queryId: query.id }))}
            >
              Take what it has now
            </Button>
            <Button
              size="small"
              loading={busy}
              onClick={() => doing(() => act("leave-registry-results", { queryId: query.id }))}
            >
              Leave what was confirmed
            </Button>
          </>
        ) : null}
        {query?.state === "asked" || query?.state === "changed" ? null : candidate === null ||
          candidate === "" ||
          !sitting ? (
          <p className="quiet">No candidate number is stated, so there is nothing to ask by.</p>
        ) : (
          <Button
            size="small"
            loading={busy}
            onClick={() => doing(() => act("ask-registry", { scope: sitting.scope, section: sitting.section, entry }))}
          >
            {query ? "Ask again" : "Ask the registry"}
          </Button>
        )}
      </div>
      <Wrong text={wrong} />
    </section>
  );
}
