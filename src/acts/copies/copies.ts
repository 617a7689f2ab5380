import { and, eq, isNull } from "drizzle-orm";
import { z } from "zod";
import { type CopyReader, READERS } from "../../core/form/readers";
import { type Actor, holds, OFFICE } from "../../core/rights/actor";
import { dropUnheld, storeContent } from "../../db/content";
import { enqueue } from "../../db/queue";
import { copyOf, copyOrder } from "../../db/schema";
import { defineAct, done, refuse } from "../act/act";

/** At most so many applications go into one order: more are several. */
export const MOST_COPIES = 200;

/** So many days copies are kept. */
export const KEPT_DAYS = 7;

/** What is for finance alone is printed by whoever keeps the books. */
const mayOrderFor = (actor: Actor, reader: CopyReader): boolean =>
  reader !== "finance" || holds(actor, ["finance"], []);

/** Asks for copies of applications in the order that is given; a job makes them. Only those that the officer works on are taken. */
export const orderCopies = defineAct({
  name: "order-copies",
  input: z.object({
    applicationIds: z.array(z.uuid()).min(1).max(MOST_COPIES),
    reader: z.enum(READERS),
    documents: z.boolean(),
  }),
  may: (ctx) => holds(ctx.actor, OFFICE),
  run: async (ctx, { applicationIds, reader, documents }) => {
    if (ctx.actor.kind !== "person" || !mayOrderFor(ctx.actor, reader)) return refuse("not-yours");
    const scopes = ctx.actor.grants.filter((g) => OFFICE.includes(g.role)).map((g) => g.scope);
    const { rows } = await ctx.client.query<{ id: string }>(
      `select w.id from unnest($1::uuid[]) with ordinality w(id, no) where $2 or exists (select 1 from choice c join intake i on i.id = c.intake_id
         join programme p on p.id = i.programme_id where c.application_id = w.id and p.code = any($3::text[])) order by w.no`,
      [[...new Set(applicationIds)], scopes.includes("*"), scopes],
    );
    if (rows.length === 0) return refuse("not-yours");
    const [order] = await ctx.db
      .insert(copyOrder)
      .values({ askedById: ctx.actor.id, askedAt: ctx.now, reader, documents })
      .returning({ id: copyOrder.id });
    if (!order) throw new Error("the order was not written");
    await ctx.db
      .insert(copyOf)
      .values(rows.map(({ id }, position) => ({ orderId: order.id, applicationId: id, position })));
    for (const { id } of rows) await ctx.emit("order-copies", id, { reader, documents });
    await enqueue(ctx.boss, ctx.client, "make-copies", { orderId: order.id });
    return done({ orderId: order.id, copies: rows.length });
  },
});

/** The job has made one copy, or could not. */
export const reportCopy = defineAct({
  name: "report-copy",
  input: z.object({ orderId: z.uuid(), applicationId: z.uuid(), bytes: z.instanceof(Buffer).nullable() }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { orderId, applicationId, bytes }) => {
    const sha256 = bytes === null ? null : await storeContent(ctx.client, bytes, "application/pdf");
    const noted = await ctx.db
      .update(copyOf)
      .set({ madeAt: ctx.now, sha256 })
      .where(and(eq(copyOf.orderId, orderId), eq(copyOf.applicationId, applicationId), isNull(copyOf.madeAt)))
      .returning({ id: copyOf.orderId });
    if (!noted[0] && sha256 !== null) await dropUnheld(ctx.client, [sha256]);
    return done(null);
  },
});

/** Copies hold what people wrote: they go after some days. */
export const eraseCopies = defineAct({
  name: "erase-copies",
  input: z.object({}),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx) => {
    const old = "select id from copy_order where asked_at < $1::timestamptz - make_interval(days => $2::int)";
    const { rows } = await ctx.client.query<{ sha256: string | null }>(
      `delete from copy_of where order_id in (${old}) returning sha256`,
      [ctx.now, KEPT_DAYS],
    );
    await ctx.client.query(`delete from copy_order where id in (${old})`, [ctx.now, KEPT_DAYS]);
    await dropUnheld(
      ctx.client,
      rows.flatMap((r) => r.sha256 ?? []),
    );
    return done({ erased: rows.length });
  },
});
