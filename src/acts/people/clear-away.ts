import { and, eq, inArray, isNull, lte, notExists } from "drizzle-orm";
import { z } from "zod";
import { ACCESS_KEPT_DAYS } from "../../core/record/access";
import {
  accessRecord,
  application,
  consent,
  grant,
  mailLink,
  message,
  passwordGuess,
  person,
  sending,
  session,
  trayMail,
  verification,
} from "../../db/schema";
import { type ActContext, defineAct, done } from "../act/act";
import { dropForgotten } from "../conversation/attachments";
import { GUESS_WINDOW } from "./accounts";

const DAY = 86_400_000;
/** An address that nobody has confirmed for so long belongs to nobody who wants an account. */
const UNCONFIRMED_DAYS = 30;
/** So long it can still be told what became of a link. */
const LINK_DAYS = 30;
/** So long what has arrived of a file waits for the rest. */
const SENDING_DAYS = 1;
const AT_ONCE = 500;

/** Removes people whose address was never confirmed, with all that was kept of them: nobody ever came in as them. */
async function removeUnconfirmed({ db, now }: ActContext): Promise<number> {
  const old = new Date(now.getTime() - UNCONFIRMED_DAYS * DAY);
  const rows = await db
    .select({ id: person.id })
    .from(person)
    .where(
      and(
        isNull(person.confirmedAt),
        isNull(person.accountId),
        lte(person.createdAt, old),
        notExists(db.select().from(grant).where(eq(grant.personId, person.id))),
        notExists(db.select().from(application).where(eq(application.personId, person.id))),
      ),
    )
    .limit(AT_ONCE)
    .for("update", { skipLocked: true });
  const ids = rows.map((r) => r.id);
  if (ids.length === 0) return 0;
  await db.delete(mailLink).where(inArray(mailLink.personId, ids));
  await db.delete(consent).where(inArray(consent.personId, ids));
  const mails = db.select({ id: message.id }).from(message).where(inArray(message.personId, ids));
  await db.delete(trayMail).where(inArray(trayMail.messageId, mails));
  await db.delete(message).where(inArray(message.personId, ids));
  await db.delete(person).where(inArray(person.id, ids));
  return ids.length;
}

/**
 * Removes what is over: files that stopped on their way, documents that were chosen for messages and never sent, guesses that no longer
 * count, links and sessions that have ended, people who never confirmed their address, and lines of the access record whose time is over.
 */
export const clearAway = defineAct({
  name: "clear-away",
  input: z.object({}),
  may: ({ actor }) => actor.kind === "system",
  run: async (ctx) => {
    const { db, now } = ctx;
    const ago = (ms: number) => new Date(now.getTime() - ms);
    const counted = async (removal: Promise<{ readonly rowCount: number | null }>) => (await removal).rowCount ?? 0;
    return done({
      guesses: await counted(db.delete(passwordGuess).where(lte(passwordGuess.at, ago(GUESS_WINDOW)))),
      sessions: await counted(db.delete(session).where(lte(session.expiresAt, now))),
      challenges: await counted(db.delete(verification).where(lte(verification.expiresAt, now))),
      links: await counted(db.delete(mailLink).where(lte(mailLink.endsAt, ago(LINK_DAYS * DAY)))),
      access: await counted(db.delete(accessRecord).where(lte(accessRecord.at, ago(ACCESS_KEPT_DAYS * DAY)))),
      people: await removeUnconfirmed(ctx),
      sendings: await counted(db.delete(sending).where(lte(sending.at, ago(SENDING_DAYS * DAY)))),
      attachments: await dropForgotten(ctx),
    });
  },
});
