import { and, eq, isNull } from "drizzle-orm";
import { z } from "zod";
import { type CopyReader, READERS } from "../../core/form/readers";
import { type Actor, holds, OFFICE } from "../../core/rights/actor";
import { localeSchema } from "../../core/text/local-text";
import { dropUnheld, storeContent } from "../../db/content";
import { enqueue } from "../../db/queue";
import { copyOf, copyOrder } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";

/** At most so many applications go into one order: more are several. */
export const MOST_COPIES = 200;

/** So many days copies are kept. */
export const KEPT_DAYS = 7;

/** What is for finance alone is printed by whoever keeps the books. */
const mayOrderFor = (actor: Actor, reader: CopyReader): boolean =>
  reader !== "finance" || holds(actor, ["finance"], []);

/** Who waits longer than this for a copy waits for a job that is gone, and asks anew. */
const WAITS_MINUTES = 10;

async function placeOrder(
  ctx: ActContext,
  order: Omit<typeof copyOrder.$inferInsert, "askedAt">,
  applicationIds: readonly string[],
): Promise<string> {
  const [placed] = await ctx.db
    .insert(copyOrder)
    .values({ ...order, askedAt: ctx.now })
    .returning({ id: copyOrder.id });
  if (!placed) throw new Error("the order was not written");
  const orderId = placed.id;
  await ctx.db
    .insert(copyOf)
    .values(applicationIds.map((applicationId, position) => ({ orderId, applicationId, position })));
  await enqueue(ctx.boss, ctx.client, applicationIds.length === 1 ? "make-copy" : "make-copies", { orderId });
  return orderId;
}

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
    const ids = rows.map(({ id }) => id);
    const orderId = await placeOrder(ctx, { askedById: ctx.actor.id, reader, documents, locale: "en" }, ids);
    for (const id of ids) await ctx.emit("order-copies", id, { reader, documents });
    return done({ orderId, copies: ids.length });
  },
});

/**
 * Asks for a copy of one's own application: of each kind the last one is kept, and while one is being made no other is begun, however often
 * it is asked for.
 */
export const orderOwnCopy = defineAct({
  name: "order-own-copy",
  input: z.object({ number: z.string().max(20), documents: z.boolean(), locale: localeSchema }),
  may: (ctx) => ctx.actor.kind === "person",
  run: async (ctx, { number, documents, locale }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const { rows: own } = await ctx.client.query<{ id: string }>(
      "select id from application where number = $1 and person_id = $2 for update",
      [number, ctx.actor.id],
    );
    const [application] = own;
    if (!application) return refuse("not-yours");
    const { rows: earlier } = await ctx.client.query<{ id: string; sha256: string | null; waiting: boolean }>(
      `select o.id, f.sha256, f.made_at is null and o.asked_at > $4::timestamptz - interval '${WAITS_MINUTES} minutes' as waiting
       from copy_order o join copy_of f on f.order_id = o.id
       where f.application_id = $1 and o.asked_by_id = $2 and o.reader = 'applicant' and o.documents = $3`,
      [application.id, ctx.actor.id, documents, ctx.now],
    );
    const waiting = earlier.find((order) => order.waiting);
    if (waiting) return done({ orderId: waiting.id });
    await ctx.client.query("delete from copy_order where id = any($1::uuid[])", [earlier.map(({ id }) => id)]);
    await dropUnheld(
      ctx.client,
      earlier.flatMap(({ sha256 }) => sha256 ?? []),
    );
    const order = { askedById: ctx.actor.id, reader: "applicant" as const, documents, locale };
    return done({ orderId: await placeOrder(ctx, order, [application.id]) });
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
