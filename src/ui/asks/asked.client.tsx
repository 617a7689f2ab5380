"use client";

import { Button } from "antd";
import { useEffect, useState } from "react";
import { requirementKey, resultKey } from "../../core/file/place";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { UNDO_MS } from "../../core/file-acts/undo";
import { formatDate } from "../../text/format";
import type { FileAsk, FileData } from "../../views/assessment/file-data";
import { DayInput } from "../form/fields/day-input.client";
import { OfficeDay } from "../frame/office-day.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

/** Which reminder went last: the first before the day, the others after it. */
function reminded(which: number): string {
  if (which === 0) return "";
  if (which === 1) return "reminded before its day";
  return which === 2 ? "reminded after its day" : `reminded after its day, number ${which - 1}`;
}

/** What became of one ask, in words. */
function became(ask: FileAsk, today: string): string {
  if (ask.answeredAt === null) {
    const late = ask.due < today ? "overdue" : "open";
    return [late, reminded(ask.reminders)].filter(Boolean).join(", ");
  }
  if (ask.answer !== null) return ask.readAt === null ? "answered, to read" : "answered, and read";
  return "answered or settled";
}

/** One thing that was asked for: what became of it, the answer, and what can be done about it. */
function AskLine({ ask, title, today, act }: { ask: FileAsk; title: string; today: string; act: ActOnFile }) {
  const [later, setLater] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const { id: askId, requirement, scope, entry } = ask;
  const does = (run: () => Promise<string | null>) =>
    begin(async () => {
      const refused = await run();
      setWrong(refused);
      if (refused === null) setLater(null);
    });
  return (
    <li data-open={ask.answeredAt === null || (ask.answer !== null && ask.readAt === null)}>
      <p>
        <strong>{title}</strong> <span className="quiet">{became(ask, today)}</span>
      </p>
      <p className="letter">{ask.text || "Another document, for the one that was sent back"}</p>
      {ask.answer === null ? null : (
        <blockquote>
          <p className="letter">{ask.answer}</p>
        </blockquote>
      )}
      <div className="presses">
        {ask.answer !== null && ask.readAt === null ? (
          <Button size="small" type="primary" loading={busy} onClick={() => does(() => act("read-answer", { askId }))}>
            I have read it
          </Button>
        ) : null}
        {ask.answeredAt === null && later === null ? (
          <>
            <Button size="small" onClick={() => setLater("")}>
              More time
            </Button>
            <Button
              size="small"
              loading={busy}
              onClick={() => does(() => act("settle-ask", { requirement, scope, entry, askId }))}
            >
              Settle
            </Button>
          </>
        ) : null}
        {later === null ? null : (
          <>
            <DayInput label="New day" value={later} precision="day" locale="en" size="small" onTake={setLater} />
            <Button
              size="small"
              type="primary"
              loading={busy}
              disabled={later === ""}
              onClick={() => does(() => act("extend-ask", { askId, due: later }))}
            >
              Give time until then
            </Button>
            <Button size="small" onClick={() => setLater(null)}>
              Not now
            </Button>
          </>
        )}
      </div>
      <Wrong text={wrong} />
    </li>
  );
}

/** Whether a letter can still be taken back; it looks again by itself when that ends. */
function useFresh(askedAt: string | undefined): boolean {
  const [now, setNow] = useState(0);
  useEffect(() => {
    setNow(Date.now());
    const wait = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(wait);
  }, []);
  return askedAt !== undefined && now > 0 && now - Date.parse(askedAt) < UNDO_MS;
}

/** Whether they have been there since something was asked: whoever has not looked for long is called, not written to again. */
function LastLook({ data: { asks, lastSignIn } }: { data: FileData }) {
  const open = asks.filter((a) => a.answeredAt === null).map((a) => a.askedAt);
  const [first] = open.toSorted();
  if (first === undefined) return null;
  if (lastSignIn === null) return <p className="notice">They have not signed in for as long as it is kept.</p>;
  const since = Date.parse(lastSignIn) >= Date.parse(first);
  return (
    <p className={since ? "quiet" : "notice"}>
      {since ? "They last signed in on " : "They have not signed in since they were asked. The last time was "}
      <OfficeDay at={lastSignIn} />.
    </p>
  );
}

/** All that the applicant was asked for, letter by letter, the newest first. */
export function Asked({ data, today, act }: { data: FileData; today: string; act: ActOnFile }) {
  const [wrong, setWrong] = useState<string | null>(null);
  const letters = [...new Set(data.asks.map((a) => a.letter))].reverse();
  const newest = data.asks.filter((a) => a.letter === letters[0]);
  const fresh = useFresh(newest[0]?.askedAt);
  const nameOf = (ask: FileAsk) =>
    data.assessment.requirements.find((r) => resultKey(r) === requirementKey(ask))?.title.en ??
    (ask.requirement === "" ? "A question" : ask.requirement);
  return (
    <section className="asked" aria-label="Asked so far">
      <h2>Asked so far</h2>
      {letters.length === 0 ? <p className="empty">Nothing was asked for in this file yet.</p> : null}
      <LastLook data={data} />
      {letters.map((letter, i) => {
        const asks = data.asks.filter((a) => a.letter === letter);
        const [first] = asks;
        if (!first) return null;
        return (
          <article key={letter}>
            <h3>
              <OfficeDay at={first.askedAt} /> <span className="quiet">by {first.by}, to be answered by </span>
              {[...new Set(asks.map((a) => formatDate("en", a.due)))].join(", ")}
            </h3>
            {i === 0 && fresh && asks.every((a) => a.answeredAt === null) ? (
              <p role="status" className="said">
                Sent in a moment.{" "}
                <button
                  type="button"
                  className="bare"
                  onClick={async () => setWrong(await act("take-asks-back", { letter }))}
                >
                  Take it back
                </button>
              </p>
            ) : null}
            <ul>
              {asks.map((ask) => (
                <AskLine key={ask.id} ask={ask} title={nameOf(ask)} today={today} act={act} />
              ))}
            </ul>
          </article>
        );
      })}
      <Wrong text={wrong} />
    </section>
  );
}
