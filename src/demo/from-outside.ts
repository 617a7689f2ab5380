import type { Runtime } from "../acts/act/act";
import { receiveMail } from "../acts/conversation/incoming";
import { askMoreTime, declineReference, giveReference, openReference } from "../acts/references/answer-reference";
import type { Actor } from "../core/rights/actor";
import { TASKS } from "../formats/workshop/tasks";
import { taken } from "../jobs/fetch-mail";
import { composeAnswer } from "../outside/mailbox";
import { act } from "./applicant";
import * as documents from "./documents";
import type { Profile } from "./profile";
import type { Moment } from "./story";

const SYSTEM: Actor = { kind: "system" };

/** Somebody writes to the office by mail: an answer to what was sent to them last, or a mail that answers nothing. */
export async function mailUs(
  { runtime, applicationId, email }: { runtime: Runtime; applicationId: string; email: string },
  { from = email, subject, text, answers = false, attach }: Extract<Moment, { do: "mail us" }>,
  document: () => Promise<Buffer>,
): Promise<void> {
  const { rows } = await runtime.pool.query<{ id: string }>(
    `select m.id from message m join application a on a.id = m.application_id and a.person_id = m.person_id
     where a.id = $1 and m.state = 'sent' order by m.sent_at desc limit 1`,
    [applicationId],
  );
  const raw = await composeAnswer({
    from,
    to: "admissions@merrow.example",
    subject,
    text,
    answers: answers ? (rows[0]?.id ?? null) : null,
    files: attach === undefined ? [] : [{ name: attach, bytes: await document() }],
  });
  const read = await TASKS["read-mail"]({ raw, most: 1 });
  if (read) await act(runtime, receiveMail, SYSTEM, taken(read));
}

type Does = Extract<Moment, { readonly do: "reference given" | "reference declined" | "reference takes longer" }>;

/** What the referee who was asked last does behind the link. */
export async function refereeDoes(
  runtime: Runtime,
  applicationId: string,
  profile: Profile,
  moment: Does,
): Promise<void> {
  const { rows } = await runtime.pool.query<{ id: string }>(
    "select id from reference_request where application_id = $1 order by asked_at desc limit 1",
    [applicationId],
  );
  const holder: Actor = { kind: "link", requestId: rows[0]?.id ?? "" };
  switch (moment.do) {
    case "reference given": {
      await act(runtime, openReference, holder, {});
      await act(runtime, giveReference, holder, {
        answers: {
          known: "Two years, as teacher and supervisor of the thesis",
          rating: "very good",
          text: moment.letter ? "" : profile.referee.words,
        },
        letter: moment.letter ? await letterOf(profile, runtime.now()) : null,
      });
      return;
    }
    case "reference declined":
      await act(runtime, declineReference, holder, { reason: "no time", words: "I retire in December." });
      return;
    case "reference takes longer":
      await act(runtime, askMoreTime, holder, { until: moment.until, words: moment.words });
  }
}

async function letterOf(profile: Profile, now: Date) {
  const bytes = await documents.letterOfReference(profile, now);
  return { name: "reference.pdf", bytes, mediaType: "application/pdf" as const, pages: 1, marks: [] };
}
