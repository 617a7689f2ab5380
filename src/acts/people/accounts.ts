import { and, eq, gt, inArray, isNull, or, sql } from "drizzle-orm";
import { z } from "zod";
import type { PlainDate } from "../../core/ids";
import { BY_PROGRAMME, ROLES, type Role } from "../../core/rights/actor";
import { localeSchema } from "../../core/text/local-text";
import { requireDay, startOfDay } from "../../core/time/zone";
import { application, consent, grant, mailLink, passwordGuess, person, programme } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { actingId } from "../act/acting-id";
import { hashToken, newToken } from "../act/token";
import { hadEnough, networkHadEnough, queueMail } from "../mail/queue-mail";
import { network, recordAccess } from "./access";

const HOUR = 3_600_000;
const LIFETIME = { "confirm address": 24 * HOUR, "set password": HOUR } as const;
/** An invitation of staff is read later than a mail that somebody has just asked for. */
const INVITATION_LIFETIME = 72 * HOUR;
type Purpose = keyof typeof LIFETIME;

interface LinkMail {
  readonly personId: string;
  readonly email: string;
  readonly name: string;
  readonly locale: string;
}

/** Mails a link; a newer one replaces what was mailed before for the same purpose. */
export async function mailNewLink(
  ctx: ActContext,
  to: LinkMail,
  purpose: Purpose,
  template: "confirm-address" | "set-password" | "staff-invited" | "staff-let-in",
): Promise<void> {
  // The link that was mailed before goes on working.
  if (await hadEnough(ctx, to.email)) return;
  const { token, hash } = newToken();
  await ctx.db
    .update(mailLink)
    .set({ replacedAt: ctx.now })
    .where(
      and(
        eq(mailLink.personId, to.personId),
        eq(mailLink.purpose, purpose),
        isNull(mailLink.usedAt),
        isNull(mailLink.replacedAt),
      ),
    );
  const lifetime = template.startsWith("staff-") ? INVITATION_LIFETIME : LIFETIME[purpose];
  await ctx.db.insert(mailLink).values({
    tokenHash: hash,
    purpose,
    personId: to.personId,
    createdAt: ctx.now,
    endsAt: new Date(ctx.now.getTime() + lifetime),
  });
  await queueMail(ctx, {
    applicationId: null,
    personId: to.personId,
    toAddress: to.email,
    locale: to.locale,
    template,
    values: { name: to.name, link: `/link/${token}` },
  });
}

/**
 * Makes the person who asks for an account, records the consent and mails the link behind which the password is chosen. For an address
 * that was never confirmed the link goes out again; the owner of one that was is told. Each time one mail goes, so that the answer is the
 * same and takes as long.
 */
export const openAccount = defineAct({
  name: "open-account",
  input: z.object({
    name: z.string().trim().min(1).max(200),
    email: z.email(),
    locale: localeSchema,
    consentVersion: z.string(),
    network,
  }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { name, email, locale, consentVersion, network: from }) => {
    if (await networkHadEnough(ctx, from)) return done(null);
    const [made] = await ctx.db
      .insert(person)
      .values({ name, email, locale, createdAt: ctx.now })
      .onConflictDoNothing()
      .returning();
    if (made) {
      await ctx.db
        .insert(consent)
        .values({ personId: made.id, textKey: "terms", textVersion: consentVersion, at: ctx.now });
      await ctx.emit("open-account", null, { person: made.id });
    }
    const [known] = made ? [made] : await ctx.db.select().from(person).where(eq(person.email, email));
    if (!known) throw new Error("a person went away while their account was opened");
    const [staff] = await ctx.db.select({ id: grant.personId }).from(grant).where(eq(grant.personId, known.id));
    if (known.confirmedAt === null && !staff) {
      const to = { personId: known.id, email, name: known.name, locale: known.locale };
      await mailNewLink(ctx, to, "confirm address", "confirm-address");
    } else if (!(await hadEnough(ctx, known.email)))
      await queueMail(ctx, {
        applicationId: null,
        personId: known.id,
        toAddress: known.email,
        locale: known.locale,
        template: "already-has-account",
        values: { name: known.name, link: "/lost-password" },
      });
    return done(null);
  },
});

/** Mails a fresh link to a known person; for an unknown address nothing happens, and the answer is the same. */
export const sendLink = defineAct({
  name: "send-link",
  input: z.object({ email: z.string().max(320), purpose: z.enum(["confirm address", "set password"]), network }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { email, purpose, network: from }) => {
    if (await networkHadEnough(ctx, from)) return done(null);
    const [to] = await ctx.db.select().from(person).where(eq(person.email, email));
    if (!to) return done(null);
    if (purpose === "confirm address" && to.confirmedAt !== null) return done(null);
    await mailNewLink(
      ctx,
      { personId: to.id, email: to.email, name: to.name, locale: to.locale },
      purpose,
      purpose === "set password" ? "set-password" : "confirm-address",
    );
    return done(null);
  },
});

/** Uses a mailed link, once: whoever comes second, or late, or with a replaced one, is told that it has ended. */
export const acceptLink = defineAct({
  name: "accept-link",
  input: z.object({
    token: z.string().min(20).max(100),
    purpose: z.enum(["confirm address", "set password"]),
    /** As somebody who confirms their address wants to be addressed: who asked for the account may have been somebody else. */
    name: z.string().trim().min(1).max(200).optional(),
  }),
  may: (ctx) => ctx.actor.kind === "visitor",
  run: async (ctx, { token, purpose, name }) => {
    const [link] = await ctx.db
      .update(mailLink)
      .set({ usedAt: ctx.now })
      .where(
        and(
          eq(mailLink.tokenHash, hashToken(token)),
          eq(mailLink.purpose, purpose),
          isNull(mailLink.usedAt),
          isNull(mailLink.replacedAt),
          gt(mailLink.endsAt, ctx.now),
        ),
      )
      .returning();
    if (!link) return refuse("link-ended");
    // A link that arrived proves the address as well.
    await ctx.db
      .update(person)
      .set({
        confirmedAt: sql`coalesce(${person.confirmedAt}, ${ctx.now})`,
        ...(purpose === "confirm address" && name !== undefined ? { name } : {}),
      })
      .where(eq(person.id, link.personId));
    const [owner] = await ctx.db.select().from(person).where(eq(person.id, link.personId));
    if (!owner) return refuse("not-found");
    await ctx.emit("accept-link", null, { person: owner.id, purpose });
    return done({ personId: owner.id, accountId: owner.accountId, email: owner.email, name: owner.name });
  },
});

/** Ties an account of the auth package to a person whom an administrator has made. */
export const tieAccount = defineAct({
  name: "tie-account",
  input: z.object({ personId: z.uuid(), accountId: z.string() }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { personId, accountId }) => {
    await ctx.db
      .update(person)
      .set({ accountId })
      .where(and(eq(person.id, personId), isNull(person.accountId)));
    return done(null);
  },
});

const GUESSES = 10;
/** Many people may sit behind one address of a network. */
const NETWORK_GUESSES = 50;
export const GUESS_WINDOW = 15 * 60_000;
/** So long a guess is looked at, at most. */
const GUESS_LASTS = 60_000;

/**
 * Counts a guess at a password before it is looked at, so that guesses at the same moment are counted too: by the device where the account
 * was entered from it before, else by the account, and by the network address. The lock makes guessers of one wait for each other.
 */
export const beginGuess = defineAct({
  name: "begin-guess",
  input: z.object({
    /** As it is looked up: in small letters, without blanks around it. */
    email: z.string().max(320),
    network: z.string().max(100).nullable(),
    /** The id of a device from which the account was entered before; null for any other. */
    device: z.string().max(40).nullable().default(null),
  }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { email, network, device }) => {
    const subjects = [
      device === null ? `account:${email}` : `device:${device}:${email}`,
      ...(network ? [`network:${network}`] : []),
    ];
    for (const subject of [...subjects].sort())
      await ctx.client.query("select pg_advisory_xact_lock(hashtextextended($1, 0))", [subject]);
    const ago = (ms: number) => new Date(ctx.now.getTime() - ms);
    const counts = await ctx.db
      .select({ subject: passwordGuess.subject, count: sql<number>`count(*)::int` })
      .from(passwordGuess)
      .where(
        and(
          inArray(passwordGuess.subject, subjects),
          gt(passwordGuess.at, ago(GUESS_WINDOW)),
          or(passwordGuess.wrong, gt(passwordGuess.at, ago(GUESS_LASTS))),
        ),
      )
      .groupBy(passwordGuess.subject);
    const most = (subject: string) => (subject.startsWith("network:") ? NETWORK_GUESSES : GUESSES);
    if (counts.some((c) => c.count >= most(c.subject))) return refuse("locked");
    const rows = await ctx.db
      .insert(passwordGuess)
      .values(subjects.map((subject) => ({ subject, at: ctx.now })))
      .returning({ id: passwordGuess.id });
    return done({ guessIds: rows.map((r) => r.id) });
  },
});

/** The guess was right: it no longer counts. */
export const forgetGuess = defineAct({
  name: "forget-guess",
  input: z.object({ guessIds: z.array(z.uuid()).max(2) }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { guessIds }) => {
    if (guessIds.length > 0) await ctx.db.delete(passwordGuess).where(inArray(passwordGuess.id, guessIds));
    return done(null);
  },
});

/** The guess was wrong: it counts until its time is over. */
export const countGuess = defineAct({
  name: "count-guess",
  input: z.object({ guessIds: z.array(z.uuid()).max(2) }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { guessIds }) => {
    if (guessIds.length > 0)
      await ctx.db.update(passwordGuess).set({ wrong: true }).where(inArray(passwordGuess.id, guessIds));
    return done(null);
  },
});

/** A role, over all or over one programme, and until when. */
const held = {
  role: z.enum(ROLES),
  scope: z.string().min(1).max(20).default("*"),
  /** The last day on which it is held, on the office's clock; null for one that is held until it is taken away. */
  until: z.iso.date().nullable().default(null),
};

/** Whether a role can be held over that: some are over the whole office or nothing, and a programme has to be there. */
async function canBeHeld(ctx: ActContext, { role, scope }: { readonly role: Role; readonly scope: string }) {
  if (scope === "*") return true;
  if (!BY_PROGRAMME.includes(role)) return false;
  const [known] = await ctx.db.select({ code: programme.code }).from(programme).where(eq(programme.code, scope));
  return known !== undefined;
}

/** A role as the access record tells it. */
const heldWords = ({ role, scope, until }: { role: Role; scope: string; until: string | null }): string =>
  `${role}${scope === "*" ? "" : ` of ${scope}`}${until === null ? "" : ` until ${until}`}`;

/** The exclusive end of a last day. */
async function endOf(ctx: ActContext, day: string | null): Promise<Date | null> {
  return day === null ? null : new Date(startOfDay((await ctx.office()).zone, requireDay(day as PlainDate) + 1));
}

/** The administrator, or the command line. */
export const isAdministrator = (ctx: ActContext) =>
  ctx.actor.kind === "system" ||
  (ctx.actor.kind === "person" && ctx.actor.grants.some((g) => g.role === "administrator"));

/** Makes a member of staff and invites them to set a password. Staff are never made by sign-up. */
export const makeStaff = defineAct({
  name: "make-staff",
  input: z.object({
    name: z.string().trim().min(1).max(200),
    email: z.email(),
    ...held,
  }),
  may: isAdministrator,
  run: async (ctx, input) => {
    if (!(await canBeHeld(ctx, input))) return refuse("invalid-input", { fields: ["scope"] });
    const [made] = await ctx.db
      .insert(person)
      .values({ name: input.name, email: input.email, createdAt: ctx.now })
      .onConflictDoNothing()
      .returning({ id: person.id });
    if (!made) return refuse("already-done");
    const { role, scope } = input;
    const until = await endOf(ctx, input.until);
    await ctx.db.insert(grant).values({ personId: made.id, role, scope, until, grantedAt: ctx.now });
    await ctx.emit("make-staff", null, { person: made.id, role: input.role, scope: input.scope });
    await recordAccess(ctx, { kind: "invited", personId: actingId(ctx), concernsId: made.id, about: heldWords(input) });
    await mailNewLink(
      ctx,
      { personId: made.id, email: input.email, name: input.name, locale: "en" },
      "set password",
      "staff-invited",
    );
    return done({ personId: made.id });
  },
});

/** Gives a role to somebody of the office, for a time where that is said, or takes one away. One administrator always stays, without an end. */
export const changeRole = defineAct({
  name: "change-role",
  input: z.object({ personId: z.uuid(), ...held, held: z.boolean() }),
  may: isAdministrator,
  run: async (ctx, input) => {
    const { personId, role: name, scope } = input;
    const [known] = await ctx.db.select({ id: person.id }).from(person).where(eq(person.id, personId));
    const [applied] = await ctx.db
      .select({ id: application.id })
      .from(application)
      .where(eq(application.personId, personId));
    if (!known || applied) return refuse("not-found");
    if (input.held && !(await canBeHeld(ctx, input))) return refuse("invalid-input", { fields: ["scope"] });
    await ctx.db.execute(sql`lock table role_grant in share row exclusive mode`);
    if (input.held) {
      const until = await endOf(ctx, input.until);
      await ctx.db
        .insert(grant)
        .values({ personId, role: name, scope, until, grantedAt: ctx.now })
        .onConflictDoUpdate({ target: [grant.personId, grant.role, grant.scope], set: { until } });
    } else
      await ctx.db.delete(grant).where(and(eq(grant.personId, personId), eq(grant.role, name), eq(grant.scope, scope)));
    if (name === "administrator") {
      const lasting = and(eq(grant.role, "administrator"), isNull(grant.until));
      const administrators = await ctx.db.select({ id: grant.personId }).from(grant).where(lasting);
      if (administrators.length === 0) return refuse("locked");
    }
    await recordAccess(ctx, {
      kind: input.held ? "role given" : "role taken",
      personId: actingId(ctx),
      concernsId: personId,
      about: heldWords(input),
    });
    await ctx.emit("change-role", null, { person: personId, role: name, scope, held: input.held, until: input.until });
    return done(null);
  },
});

/** Chooses the language of correspondence. */
export const chooseLanguage = defineAct({
  name: "choose-language",
  input: z.object({ locale: localeSchema }),
  may: (ctx) => ctx.actor.kind === "person",
  run: async (ctx, { locale }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    await ctx.db.update(person).set({ locale }).where(eq(person.id, ctx.actor.id));
    return done(null);
  },
});
