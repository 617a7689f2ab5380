import Link from "next/link";
import { workingCalendar } from "../../../../core/calendar/working-days";
import { zoneTable } from "../../../../core/time/zone";
import { formatDate, formatDayOf, formatMoment } from "../../../../text/format";
import { REASON_WORDS, stepDeed, TURN_WORDS, timeLeft } from "../../../../text/words/office";
import type { FileData } from "../../../../views/assessment/file-data";

const STAGE_WORDS = ["preparing", "submitted", "complete", "in review", "decided", "answered"] as const;
/** Steps that are done on the form’s page, and the words of the way there. */
const FORM_STEPS: Readonly<Record<string, string>> = {
  correct: "See what is open for correction",
  "read changes": "Read what changed",
  "answer request": "Read what is asked for",
};
/** Steps that are done on the page of messages, and the words of the way there. */
const MESSAGE_STEPS: Readonly<Record<string, string>> = {
  "answer message": "Read and answer",
  "reach applicant": "See what came back",
};
/** Steps that are done on the page of asks, and the words of the way there. */
const ASK_STEPS: Readonly<Record<string, string>> = {
  "read answer": "Read the answer",
  "follow up": "See what was asked for",
};
const TABS = [
  ["", "Work"],
  ["asks", "Asks"],
  ["form", "Form"],
  ["choices", "Choices"],
  ["what-if", "What if"],
  ["contact", "Calls and post"],
  ["history", "History"],
  ["messages", "Messages"],
] as const;

/** What somebody is called, was called, and wants to be called on certificates. */
function OtherNames({ names: { called, former, onCertificates } }: { names: FileData["otherNames"] }) {
  const words = [
    ...(called ? [`called ${called}`] : []),
    ...(former ? [`formerly ${former}`] : []),
    ...(onCertificates ? [`on certificates ${onCertificates}`] : []),
  ];
  return words.length > 0 ? <span className="other-names">{words.join(" · ")}</span> : null;
}

/** Who it is, what was chosen, the stage, the one next step, and the ways into the parts of the file. */
export function Head({ data, show }: { data: FileData; show: string }) {
  const { next, stage, turn } = data.assessment.file;
  const calendar = workingCalendar(data.calendar);
  const left = timeLeft(next?.dueAt ?? null, Date.parse(data.now), calendar, zoneTable(data.zone));
  const unread = data.reopenings.filter((r) => r.answeredAt !== null && r.readAt === null);
  const openAsks = data.asks.filter((a) => a.answeredAt === null || (a.answer !== null && a.readAt === null)).length;
  const waiting = unread.length + (data.request ? 1 : 0);
  const unanswered = data.assessment.file.owed
    .filter((s) => MESSAGE_STEPS[s.kind])
    .reduce((sum, s) => sum + (s.count ?? 0), 0);
  const submitted = data.choices.map((c) => c.submittedAt).find((s) => s !== null);
  const reason = data.assessment.choices.map((c) => c.closedAs).find((c) => c !== null);
  return (
    <header className="file-head">
      <div>
        <h1 className="serif">
          {data.name || "No name yet"} <OtherNames names={data.otherNames} />
        </h1>
        <p className="quiet">
          No. {data.number}
          {data.groupTitle ? ` · ${data.groupTitle.en}` : ""}
          {data.choices.map((c, i) => (
            <span key={c.id}>
              {" "}
              · <strong>{i + 1}</strong> {c.code} {c.title.en}
            </span>
          ))}
          {data.assessment.file.mendUntil ? (
            <> · gaps can be filled until {formatMoment("en", data.assessment.file.mendUntil, data.zone)}</>
          ) : null}
          {data.underAge ? (
            <strong>
              {" "}
              · {data.underAge.age}, of age on {formatDate("en", data.underAge.until)}
            </strong>
          ) : null}
          {data.officer
            ? ` · in the hands of ${data.officer.name}${data.officer.cover ? `, who is away: ${data.officer.cover} stands in` : ""}`
            : ""}
        </p>
        <p className="stage-line">
          {STAGE_WORDS.map((word) => (
            <span key={word} aria-current={word === stage ? "step" : undefined}>
              {word.charAt(0).toUpperCase() + word.slice(1)}
              {word === "submitted" && submitted ? ` ${formatDayOf("en", submitted, data.zone)}` : ""}
            </span>
          ))}
          {stage === "closed" ? (
            <span aria-current="step">Closed{reason ? `, ${REASON_WORDS[reason].toLowerCase()}` : ""}</span>
          ) : null}
        </p>
      </div>
      <div className="file-next">
        <p>
          <span className="turn-word" data-turn={turn}>
            {TURN_WORDS[turn]}
          </span>{" "}
          {next ? `has to ${stepDeed({ ...next, title: next.title?.en })}.` : "has to do anything at present."}
        </p>
        {next?.due ? (
          <p className={left.late ? "late" : "strong"}>
            {left.text} <span className="quiet">· by {formatDate("en", next.due)}</span>
          </p>
        ) : null}
        {next && MESSAGE_STEPS[next.kind] ? (
          <p>
            <Link href="?show=messages">{MESSAGE_STEPS[next.kind]}</Link>
          </p>
        ) : null}
        {next && ASK_STEPS[next.kind] ? (
          <p>
            <Link href="?show=asks">{ASK_STEPS[next.kind]}</Link>
          </p>
        ) : null}
        {next && FORM_STEPS[next.kind] ? (
          <p>
            <Link href="?show=form">{FORM_STEPS[next.kind]}</Link>
          </p>
        ) : null}
        <nav aria-label="Parts of the file" className="file-tabs">
          {TABS.map(([key, word]) => (
            <Link
              key={word}
              href={key ? `?show=${key}` : `/office/files/${data.number}`}
              aria-current={show === key ? "page" : undefined}
            >
              {word}
              {key === "asks" && openAsks > 0 ? ` (${openAsks})` : ""}
              {key === "form" && waiting > 0 ? ` (${waiting})` : ""}
              {key === "messages" && unanswered ? ` (${unanswered})` : ""}
            </Link>
          ))}
        </nav>
      </div>
    </header>
  );
}
