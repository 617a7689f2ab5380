import type { Runtime } from "../acts/act/act";
import { receiveMail } from "../acts/conversation/incoming";
import type { Actor } from "../core/rights/actor";
import { TASKS } from "../formats/workshop/tasks";
import { taken } from "../jobs/fetch-mail";
import { composeAnswer } from "../outside/mailbox";
import { act } from "./applicant";
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
