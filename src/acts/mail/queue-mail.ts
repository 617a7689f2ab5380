import { and, eq, gt, inArray, isNull, or, sql } from "drizzle-orm";
import type { Template } from "../../core/mail/templates";
import { enqueue } from "../../db/queue";
import { application, message, passwordGuess, person } from "../../db/schema";
import type { ActContext } from "../act/act";

export interface Mail {
  readonly applicationId: string | null;
  readonly personId: string | null;
  readonly toAddress: string;
  readonly locale: string;
  readonly template: Template;
  readonly values: Readonly<Record<string, string>>;
  /** A later moment leaves time to undo. */
  readonly dueAt?: Date;
}

/** What anybody can have sent to any address, without an account. */
const BY_STRANGERS: readonly Template[] = ["confirm-address", "already-has-account", "set-password", "interest-noted"];
const STRANGERS_AN_HOUR = 5;
const HOUR = 3_600_000;

/** Whether an address had as many mails of that kind within the hour as anybody can want; the answer to whoever asked stays the same. */
export async function hadEnough({ db, now }: ActContext, toAddress: string): Promise<boolean> {
  const [had] = await db
    .select({ count: sql<number>`count(*)::int` })
    .from(message)
    .where(
      and(
        eq(message.toAddress, toAddress),
        isNull(message.applicationId),
        inArray(message.template, [...BY_STRANGERS]),
        gt(message.queuedAt, new Date(now.getTime() - HOUR)),
      ),
    );
  return (had?.count ?? 0) >= STRANGERS_AN_HOUR;
}

/** Many people may sit behind one address of a network. */
const NETWORK_ASKS = 30;
const QUARTER = HOUR / 4;

/**
 * Whether so many mails were caused from one network within a quarter of an hour as a house full of people can want; each question counts.
 * Where no front server tells the network nothing is counted.
 */
export async function networkHadEnough({ db, now }: ActContext, network: string | null): Promise<boolean> {
  if (network === null) return false;
  const subject = `mails:${network}`;
  await db.insert(passwordGuess).values({ subject, at: now });
  const [had] = await db
    .select({ count: sql<number>`count(*)::int` })
    .from(passwordGuess)
    .where(and(eq(passwordGuess.subject, subject), gt(passwordGuess.at, new Date(now.getTime() - QUARTER))));
  return (had?.count ?? 0) > NETWORK_ASKS;
}

/** What applicants have sent to addresses that they name. */
const TO_OTHERS: readonly Template[] = ["reference-asked", "reference-reminder", "signature-asked"];
const DAY = 24 * HOUR;
/** The first request, and two more where the first went wrong. */
const TO_ONE_A_DAY = 3;
/** The teacher of a whole class is asked by all of it. */
const TO_ONE_BY_ALL_A_DAY = 60;
const BY_ONE_A_DAY = 20;

/** Whether an applicant may have one more request sent to an address that they name: not often to the same, nor to many, in one day. */
export async function mayAskOthers({ db, now }: ActContext, personId: string, toAddress: string): Promise<boolean> {
  const sentBy = eq(application.personId, personId);
  const sentTo = sql`lower(${message.toAddress}) = lower(${toAddress})`;
  const [had] = await db
    .select({
      toOne: sql<number>`count(*) filter (where ${sentBy} and ${sentTo})::int`,
      toOneByAll: sql<number>`count(*) filter (where ${sentTo})::int`,
      byOne: sql<number>`count(*) filter (where ${sentBy})::int`,
    })
    .from(message)
    .innerJoin(application, eq(application.id, message.applicationId))
    .where(
      and(
        inArray(message.template, [...TO_OTHERS]),
        gt(message.queuedAt, new Date(now.getTime() - DAY)),
        or(sentBy, sentTo),
      ),
    );
  const { toOne = 0, toOneByAll = 0, byOne = 0 } = had ?? {};
  return toOne < TO_ONE_A_DAY && toOneByAll < TO_ONE_BY_ALL_A_DAY && byOne < BY_ONE_A_DAY;
}

/** Writes a message row, which is the truth of the mail, and wakes the sender, all in the act's transaction. */
export async function queueMail(ctx: ActContext, mail: Mail): Promise<string> {
  const dueAt = mail.dueAt ?? ctx.now;
  const [row] = await ctx.db
    .insert(message)
    .values({ ...mail, state: "queued", dueAt, queuedAt: ctx.now })
    .returning({ id: message.id });
  if (!row) throw new Error("the message was not written");
  await enqueue(ctx.boss, ctx.client, "send-message", { messageId: row.id }, mail.dueAt);
  return row.id;
}

/** Writes to the applicant of a file, in their language. */
export async function mailApplicant(
  ctx: ActContext,
  applicationId: string,
  personId: string,
  template: Template,
  values: Readonly<Record<string, string>>,
  dueAt?: Date,
): Promise<string> {
  const [to] = await ctx.db
    .select({ email: person.email, locale: person.locale, name: person.name })
    .from(person)
    .where(eq(person.id, personId));
  if (!to) throw new Error("a file has no applicant");
  return queueMail(ctx, {
    applicationId,
    personId,
    toAddress: to.email,
    locale: to.locale,
    template,
    values: { name: to.name, ...values },
    ...(dueAt ? { dueAt } : {}),
  });
}
