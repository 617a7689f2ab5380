import Link from "next/link";
import { notFound } from "next/navigation";
import { workingCalendar } from "../../../../core/calendar/working-days";
import { holds, OFFICE } from "../../../../core/rights/actor";
import { formatDay } from "../../../../core/time/day";
import { zoneTable } from "../../../../core/time/zone";
import { formatDate, formatMoment } from "../../../../text/format";
import {
  EVENT_WORDS,
  inSentence,
  proposedDay,
  REASON_WORDS,
  stepDeed,
  TURN_WORDS,
  timeLeft,
} from "../../../../text/office";
import { FileWork } from "../../../../ui/file-work.client";
import { valueText } from "../../../../ui/value-text";
import { type FileData, file } from "../../../../views/file";
import { requireStaff, see } from "../../../request";
import * as actions from "./file.action";

const STAGE_WORDS = ["preparing", "submitted", "complete", "in review", "decided", "answered"] as const;
const TABS = [
  ["", "Work"],
  ["form", "Form"],
  ["history", "History"],
  ["messages", "Messages"],
] as const;

function Head({ data, show }: { data: FileData; show: string }) {
  const { next, stage, turn } = data.assessment.file;
  const calendar = workingCalendar(data.calendar);
  const left = timeLeft(next?.dueAt ?? null, Date.parse(data.now), calendar, zoneTable(data.zone));
  const submitted = data.choices.map((c) => c.submittedAt).find((s) => s !== null);
  const reason = data.assessment.choices.map((c) => c.closedAs).find((c) => c !== null);
  return (
    <header className="file-head">
      <div>
        <h1 className="serif">{data.name || "No name yet"}</h1>
        <p className="quiet">
          No. {data.number}
          {data.groupTitle ? ` · ${data.groupTitle.en}` : ""}
          {data.choices.map((c, i) => (
            <span key={c.id}>
              {" "}
              · <strong>{i + 1}</strong> {c.code} {c.title.en}
            </span>
          ))}
          {data.officer ? ` · in the hands of ${data.officer.name}` : ""}
        </p>
        <p className="stage-line">
          {STAGE_WORDS.map((word) => (
            <span key={word} aria-current={word === stage ? "step" : undefined}>
              {word.charAt(0).toUpperCase() + word.slice(1)}
              {word === "submitted" && submitted ? ` ${formatDate("en", submitted.slice(0, 10))}` : ""}
            </span>
          ))}
          {stage === "closed" ? (
            <span aria-current="step">Closed{reason ? `, ${(REASON_WORDS[reason] ?? reason).toLowerCase()}` : ""}</span>
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
        <nav aria-label="Parts of the file" className="file-tabs">
          {TABS.map(([key, word]) => (
            <Link
              key={word}
              href={key ? `?show=${key}` : `/office/files/${data.number}`}
              aria-current={show === key ? "page" : undefined}
            >
              {word}
            </Link>
          ))}
        </nav>
      </div>
    </header>
  );
}

/** What an event was about, in words: the titles of what it names. */
function eventAbout(data: FileData, about: FileData["events"][number]["about"]): string {
  const title = (key: unknown) => data.assessment.requirements.find((r) => r.key === key)?.title.en;
  const parts: string[] = [];
  if (about.requirement) parts.push(inSentence(title(about.requirement) ?? String(about.requirement)));
  if (Array.isArray(about.fields))
    parts.push(
      about.fields
        .map((f) => data.sections.find((s) => s.key === String(f).split(".")[0])?.title.en ?? String(f))
        .filter((v, i, all) => all.indexOf(v) === i)
        .join(", "),
    );
  if (Array.isArray(about.values))
    parts.push(
      `${about.values.length} ${about.values.length === 1 ? "value" : "values"}${about.changed === true ? ", one of them changed" : ""}`,
    );
  for (const key of ["kind", "answer", "result", "reason", "turn"])
    if (typeof about[key] === "string") parts.push(String(about[key]));
  return parts.filter(Boolean).join(" · ");
}

function History({ data }: { data: FileData }) {
  return (
    <ol className="office-history">
      {data.events.map((e) => (
        <li key={e.id}>
          <span className="quiet">{formatMoment("en", e.at, data.zone)}</span>
          <span className="strong">{e.who === "system" ? "Unvex" : e.who}</span>
          <span>
            {EVENT_WORDS[e.act] ?? e.act} <span className="quiet">{eventAbout(data, e.about)}</span>
          </span>
        </li>
      ))}
    </ol>
  );
}

function Messages({ data }: { data: FileData }) {
  if (data.messages.length === 0) return <p className="empty">Nothing was written about this file yet.</p>;
  return (
    <ol className="office-history">
      {data.messages.map((m) => (
        <li key={m.id}>
          <span className="quiet">{formatMoment("en", m.at, data.zone)}</span>
          <span className="strong">{m.to}</span>
          <span>
            {m.template.replace(/-/gu, " ")}{" "}
            <span className="quiet">
              {m.state === "failed" ? `could not be delivered: ${m.failure ?? ""}` : m.state}
            </span>
          </span>
        </li>
      ))}
    </ol>
  );
}

function Form({ data }: { data: FileData }) {
  return (
    <div className="office-form">
      {data.sections.map((section) => {
        const own = data.values.filter((v) => v.section === section.key && v.claim !== null && v.claim !== "");
        const entries = [...new Set(own.map((v) => v.entry))];
        return (
          <section key={section.key}>
            <h2>{section.title.en}</h2>
            {entries.length === 0 ? <p className="quiet">Nothing here.</p> : null}
            {entries.map((entry) => (
              <dl key={entry} className="pairs">
                {own
                  .filter((v) => v.entry === entry)
                  .map((v) => (
                    <div key={v.field}>
                      <dt>{v.title.en}</dt>
                      <dd>
                        {valueText("en", v, v.claim, data.office)}{" "}
                        <span className="quiet">{v.state === "claimed" ? "" : v.state}</span>
                      </dd>
                    </div>
                  ))}
              </dl>
            ))}
          </section>
        );
      })}
    </div>
  );
}

/** One file: the comb unrolled, the document beside the claim beside the rule, and the acts with their keys. */
export default async function FilePage({
  params,
  searchParams,
}: {
  params: Promise<{ number: string }>;
  searchParams: Promise<{ show?: string }>;
}) {
  const [{ number }, { show = "" }] = await Promise.all([params, searchParams]);
  const person = await requireStaff(`/office/files/${number}`, OFFICE);
  const data = await see(file, person.actor, { number });
  if (!data) notFound();
  const calendar = workingCalendar(data.calendar);
  const askDay = formatDay(proposedDay(calendar, zoneTable(data.zone), Date.parse(data.now), data.office.targets.ask));
  return (
    <div className="file">
      <Head data={data} show={show} />
      {show === "history" ? <History data={data} /> : null}
      {show === "messages" ? <Messages data={data} /> : null}
      {show === "form" ? <Form data={data} /> : null}
      {show === "" ? (
        <FileWork
          data={data}
          me={{ id: person.actor.id, lead: holds(person.actor, ["lead officer"]) }}
          askDay={askDay}
          acts={{
            accept: actions.accept.bind(null, number),
            sendBack: actions.sendBack.bind(null, number),
            ask: actions.ask.bind(null, number),
            undo: actions.undo.bind(null, number),
            confirm: actions.confirm.bind(null, number),
            excuse: actions.excuse.bind(null, number),
            take: actions.take.bind(null, number),
            prepare: actions.prepare.bind(null, number),
            drop: actions.drop.bind(null, number),
            release: actions.release.bind(null, number),
          }}
        />
      ) : null}
    </div>
  );
}
