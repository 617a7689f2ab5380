import { and, eq, isNull, ne, sql } from "drizzle-orm";
import { correctAddressInput, settleReturnedInput } from "../../core/mail/inputs";
import type { Template } from "../../core/mail/templates";
import { addressChange, application, grant, message, person, user } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { actingId } from "../act/acting-id";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { settleFile } from "../act/settle";
import { mailApplicant, queueMail } from "../mail/queue-mail";
import { mailNewLink } from "./accounts";

/** Mails to the applicant that came back and that nobody has seen to, in this file. */
const returnedTo = (file: OpenFile) =>
  and(
    eq(message.applicationId, file.id),
    eq(message.personId, file.ownerId),
    eq(message.refused, true),
    isNull(message.dealtAt),
  );

/** What came back is seen to: the applicant was reached on another way, or the mailbox takes mail again. */
export const settleReturned = defineFileAct({
  name: "settle-returned",
  input: settleReturnedInput,
  right: "office",
  run: async (ctx, file, { again }) => {
    const returned = await ctx.db
      .update(message)
      .set({ dealtAt: ctx.now })
      .where(returnedTo(file))
      .returning({ template: message.template, values: message.values });
    if (returned.length === 0) return refuse("already-done");
    if (again) await sendOnceMore(ctx, file, returned);
    return done({ count: returned.length });
  },
});

async function sendOnceMore(
  ctx: ActContext,
  file: OpenFile,
  returned: readonly { readonly template: string; readonly values: Readonly<Record<string, string>> }[],
): Promise<void> {
  const link = `/my/${file.facts.application.number}`;
  for (const { template, values } of returned)
    await mailApplicant(ctx, file.id, file.ownerId, template as Template, { ...values, link }); // acts write no other
}

/**
 * Corrects the address of the applicant's account, once the office knows who they are. They sign in with the new one, which confirms
 * itself by a link; what came back is sent there, and the old address is told. Addresses of staff are an administrator's.
 */
export const correctAddress = defineFileAct({
  name: "correct-address",
  input: correctAddressInput,
  right: "office",
  run: async (ctx, file, { email, reason }) => {
    const byId = actingId(ctx);
    const [owner] = await ctx.db.select().from(person).where(eq(person.id, file.ownerId)).for("update");
    if (!owner || byId === null) return refuse("not-found");
    if (owner.email.toLowerCase() === email) return refuse("nothing-due");
    const [staff] = await ctx.db.select({ id: grant.personId }).from(grant).where(eq(grant.personId, owner.id));
    if (staff) return refuse("not-yours");
    const [taken] = await ctx.db
      .select({ id: person.id })
      .from(person)
      .where(and(eq(person.email, email), ne(person.id, owner.id)));
    if (taken) return refuse("address-taken");
    await ctx.db.update(person).set({ email, confirmedAt: null }).where(eq(person.id, owner.id));
    if (owner.accountId)
      await ctx.db.update(user).set({ email, updatedAt: ctx.now }).where(eq(user.id, owner.accountId));
    await ctx.db
      .insert(addressChange)
      .values({ personId: owner.id, before: owner.email, after: email, reason, byId, at: ctx.now });
    await queueMail(ctx, {
      applicationId: null,
      personId: null,
      toAddress: owner.email,
      locale: owner.locale,
      template: "address-corrected",
      values: { name: owner.name, number: file.facts.application.number },
    });
    await mailNewLink(
      ctx,
      { personId: owner.id, email, name: owner.name, locale: owner.locale },
      "confirm address",
      "confirm-address",
    );
    const returned = await ctx.db
      .update(message)
      .set({ dealtAt: ctx.now })
      .where(returnedTo(file))
      .returning({ template: message.template, values: message.values });
    await sendOnceMore(ctx, file, returned);
    await settleOthers(ctx, file);
    return done(null);
  },
});

/** What came back in further files of the same person came back for the same address. */
async function settleOthers(ctx: ActContext, file: OpenFile): Promise<void> {
  const rows = await ctx.db
    .update(message)
    .set({ dealtAt: ctx.now })
    .where(
      and(
        eq(message.personId, file.ownerId),
        ne(message.applicationId, file.id),
        eq(message.refused, true),
        isNull(message.dealtAt),
        sql`exists (select 1 from ${application} where ${application.id} = ${message.applicationId} and ${application.personId} = ${file.ownerId})`,
      ),
    )
    .returning({ id: message.applicationId });
  for (const id of [...new Set(rows.flatMap((r) => r.id ?? []))].sort()) {
    await ctx.client.query("select 1 from application where id = $1 for update", [id]);
    await settleFile(ctx, id);
  }
}
