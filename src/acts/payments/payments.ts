import { and, eq, ne } from "drizzle-orm";
import { z } from "zod";
import { giveBackInput } from "../../core/fees/inputs";
import { charge, payment } from "../../db/schema";
import { defineAct, done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { settleFile } from "../act/settle";

/**
 * Begins a card payment for what is still due on a charge, or goes on with the one that was begun: two windows pay once. The card service
 * is called afterwards, outside the transaction.
 */
export const startPayment = defineFileAct({
  name: "start-payment",
  input: z.object({ applicationId: z.uuid(), chargeId: z.uuid() }),
  right: "applicant",
  about: ({ chargeId }) => ({ charge: chargeId }),
  run: async (ctx, file, { chargeId }) => {
    const due = file.facts.charges.find((c) => c.id === chargeId);
    if (!due) return refuse("not-found");
    const minor = due.minor - due.paidMinor;
    if (minor <= 0) return refuse("nothing-due");
    const [running] = await ctx.db
      .select({ id: payment.id })
      .from(payment)
      .where(and(eq(payment.chargeId, chargeId), eq(payment.state, "started"), eq(payment.minor, minor)));
    if (running) return done({ paymentId: running.id, minor, currency: due.currency });
    const [row] = await ctx.db
      .insert(payment)
      .values({ chargeId, minor, currency: due.currency, state: "started", startedAt: ctx.now })
      .returning({ id: payment.id });
    return done({ paymentId: row?.id ?? "", minor, currency: due.currency });
  },
});

/**
 * Finance books that it gave back what was paid beyond what is due: a payment below nought, with how it was given back. Nothing that is
 * due goes back.
 */
export const giveBack = defineFileAct({
  name: "give-back",
  input: giveBackInput,
  right: "finance",
  about: ({ chargeId, minor }) => ({ charge: chargeId, minor }),
  run: async (ctx, file, { chargeId, minor, note }) => {
    const known = file.facts.charges.find((c) => c.id === chargeId);
    if (!known) return refuse("not-found");
    if (minor > known.paidMinor - known.minor) return refuse("nothing-due");
    await ctx.db.insert(payment).values({
      chargeId,
      minor: -minor,
      currency: known.currency,
      state: "booked",
      startedAt: ctx.now,
      settledAt: ctx.now,
      note,
    });
    return done(null);
  },
});

/**
 * Books the card service's answer. One that comes twice counts once; a late "declined" never takes a booked payment back, and
 * money that comes after all, once the payer was taken for gone, is booked.
 */
export const recordPayment = defineAct({
  name: "record-payment",
  input: z.object({
    paymentId: z.uuid(),
    providerKey: z.string().min(1).max(200),
    result: z.enum(["booked", "declined", "abandoned"]),
  }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { paymentId, providerKey, result }) => {
    const [found] = await ctx.db
      .select({ applicationId: charge.applicationId })
      .from(payment)
      .innerJoin(charge, eq(charge.id, payment.chargeId))
      .where(eq(payment.id, paymentId));
    if (!found) return refuse("not-found");
    await ctx.client.query("select 1 from application where id = $1 for update", [found.applicationId]);
    const changed = await ctx.db
      .update(payment)
      .set({ state: result, providerKey, settledAt: ctx.now })
      .where(
        and(
          eq(payment.id, paymentId),
          result === "booked" ? ne(payment.state, "booked") : eq(payment.state, "started"),
        ),
      )
      .returning({ id: payment.id });
    if (changed.length === 0) return done({ first: false });
    await ctx.emit("record-payment", found.applicationId, { payment: paymentId, result });
    await settleFile(ctx, found.applicationId);
    return done({ first: true });
  },
});
