"use client";

import type { Locale } from "../../core/text/local-text";
import { formatDate } from "../../text/format";
import { sentence } from "../../text/sentence";
import type { ResultsFile } from "../../views/results/results-file";

type Read = Extract<ResultsFile, { ok: true }>;

const MOST_SAID = 12;
const REFUSALS = ["too_large", "not_xml", "hostile", "too_deep", "too_many", "not_elmo", "version"] as const;

/** The sentence for a file that was not read. */
export function refusalOf(reason: string, locale: Locale): string {
  const known = REFUSALS.find((r) => r === reason);
  return sentence(locale, known ? `results.${known}` : "results.failed");
}

/** Sends a file of results to be read. */
export async function readResults(file: File, locale: Locale, number: string): Promise<ResultsFile> {
  const body = new FormData();
  body.set("file", file);
  body.set("locale", locale);
  body.set("number", number);
  try {
    const response = await fetch("/api/results-file", { method: "POST", body });
    return (await response.json()) as ResultsFile; // our own route answers with it
  } catch {
    return { ok: false, reason: "failed" };
  }
}

/** The lines of a file as a table that was copied from a spreadsheet. */
export function asTable({ heads, rows }: Read): string {
  return [heads, ...rows].map((row) => row.map((cell) => cell.replace(/\s+/gu, " ")).join("\t")).join("\n");
}

/** Whose results they are, whether their signature holds, and what has to be looked at after they are taken over. */
export function ResultsNote({ file, of, locale }: { file: Read; of: "courses" | "degree"; locale: Locale }) {
  const more = file.questions.length - MOST_SAID;
  return (
    <div className="results-note">
      <p>{sentence(locale, "results.from", { issuers: file.issuers.join(", ") })}</p>
      <p className={file.signature === "invalid" ? "wrong" : "quiet"}>
        {sentence(locale, `results.${file.signature}`, { signer: file.signer ?? "" })}
      </p>
      {of === "courses" ? <p className="quiet">{sentence(locale, "results.lacks")}</p> : null}
      {file.otherName === null ? null : (
        <p role="alert" className="wrong">
          {sentence(locale, "results.otherName", { name: file.otherName })}
        </p>
      )}
      {file.otherBirth === null ? null : (
        <p role="alert" className="wrong">
          {sentence(locale, "results.otherBirth", { born: formatDate(locale, file.otherBirth) })}
        </p>
      )}
      {file.questions.length > 0 ? (
        <ul className="plain-list">
          {file.questions.slice(0, MOST_SAID).map((q) => (
            <li key={`${q.code} ${q.about}`}>{sentence(locale, `results.${q.code}`, { about: q.about })}</li>
          ))}
          {more > 0 ? <li>{sentence(locale, "paste.more", { count: more })}</li> : null}
        </ul>
      ) : null}
    </div>
  );
}
