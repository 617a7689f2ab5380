import { and, eq, gt } from "drizzle-orm";
import { z } from "zod";
import { account, grant, passkey, passwordGuess, person, session, twoFactor, user } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { actingId } from "../act/acting-id";
import { recordAccess } from "./access";
import { isAdministrator, mailNewLink } from "./accounts";

/** A code is good for its half minute and the ones beside it; within this time none counts twice. */
const CODE_LASTS = 3 * 60_000;

/** A code that was right is used up: whoever saw it typed gets nowhere with it. */
export const spendCode = defineAct({
  name: "spend-code",
  input: z.object({ accountId: z.string().max(100), code: z.string().max(20) }),
  may: ({ actor }) => actor.kind === "system",
  run: async (ctx, { accountId, code }) => {
    const subject = `code:${accountId}:${code}`;
    await ctx.client.query("select pg_advisory_xact_lock(hashtextextended($1, 0))", [subject]);
    const since = new Date(ctx.now.getTime() - CODE_LASTS);
    const used = await ctx.db
      .select({ id: passwordGuess.id })
      .from(passwordGuess)
      .where(and(eq(passwordGuess.subject, subject), gt(passwordGuess.at, since)));
    if (used.length > 0) return refuse("already-done");
    await ctx.db.insert(passwordGuess).values({ subject, at: ctx.now });
    return done(null);
  },
});

/** Ends every way into an account: what is signed in, and what could sign in. A new password may be set by a mailed link. */
export async function endSigningIn({ db }: ActContext, accountId: string): Promise<void> {
  await db.delete(twoFactor).where(eq(twoFactor.userId, accountId));
  await db.delete(passkey).where(eq(passkey.userId, accountId));
  await db.delete(session).where(eq(session.userId, accountId));
  await db.update(user).set({ twoFactorEnabled: false }).where(eq(user.id, accountId));
  await db
    .update(account)
    .set({ password: null })
    .where(and(eq(account.userId, accountId), eq(account.providerId, "credential")));
}

/**
 * Lets a member of staff back in who has lost the second factor and the recovery codes: factor, passkeys, password and sessions end, and a link to
 * choose a new password goes to their address, so that who has only the old password gets nowhere.
 */
export const letBackIn = defineAct({
  name: "let-back-in",
  input: z.object({ personId: z.uuid() }),
  may: isAdministrator,
  run: async (ctx, { personId }) => {
    const [to] = await ctx.db.select().from(person).where(eq(person.id, personId));
    const roles = await ctx.db.select({ role: grant.role }).from(grant).where(eq(grant.personId, personId)).limit(1);
    if (!to?.accountId || roles.length === 0) return refuse("not-found");
    if (personId === actingId(ctx)) return refuse("needs-second-person");
    const { accountId } = to;
    await endSigningIn(ctx, accountId);
    await mailNewLink(
      ctx,
      { personId, email: to.email, name: to.name, locale: to.locale },
      "set password",
      "staff-let-in",
    );
    await recordAccess(ctx, { kind: "let back in", personId: actingId(ctx), concernsId: personId });
    await ctx.emit("let-back-in", null, { person: personId });
    return done(null);
  },
});
