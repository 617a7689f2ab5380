import { eq } from "drizzle-orm";
import { z } from "zod";
import { type AccessKind, ONE_READING_MS, READING_KINDS, SIGN_IN_KINDS } from "../../core/record/access";
import { accessRecord, person } from "../../db/schema";
import { type ActContext, defineAct, done } from "../act/act";
import { actingId } from "../act/acting-id";

interface AccessLine {
  readonly kind: AccessKind;
  readonly personId: string | null;
  readonly concernsId?: string;
  readonly about?: string;
  readonly network?: string | null;
}

/** Leaves a line in the access record, in the transaction of the act that it is about. */
export async function recordAccess(ctx: ActContext, line: AccessLine): Promise<void> {
  await ctx.db.insert(accessRecord).values({ ...line, at: ctx.now });
}

/** Where a request comes from, as far as a front server tells it. */
export const network = z.string().max(100).nullable().default(null);

/** Notes what a member of staff has read; the same thing read again within minutes stays one line. */
export const noteReading = defineAct({
  name: "note-reading",
  input: z.object({
    readings: z
      .array(
        z.object({
          kind: z.enum(READING_KINDS),
          file: z.string().max(20).nullable(),
          about: z.string().max(200).default(""),
        }),
      )
      .max(10_000),
    network,
  }),
  may: ({ actor }) => actor.kind === "person" && actor.grants.length > 0,
  run: async (ctx, input) => {
    await ctx.client.query(
      `insert into access_record (at, kind, person_id, file, about, network)
       select $1, r.kind, $2, r.file, r.about, $3 from jsonb_to_recordset($4::jsonb) as r(kind text, file text, about text)
       where not exists (select 1 from access_record k where k.person_id = $2 and k.kind = r.kind and k.at > $5
         and k.file is not distinct from r.file and k.about = r.about)`,
      [
        ctx.now,
        actingId(ctx),
        input.network,
        JSON.stringify(input.readings),
        new Date(ctx.now.getTime() - ONE_READING_MS),
      ],
    );
    return done(null);
  },
});

/** Notes that somebody came in, or that it was tried, by the address that was typed: one that is nobody's is not kept. */
export const noteSignIn = defineAct({
  name: "note-sign-in",
  input: z.object({
    email: z.string().max(320),
    kind: z.enum(SIGN_IN_KINDS),
    network,
  }),
  may: ({ actor }) => actor.kind === "system",
  run: async (ctx, input) => {
    const [known] = await ctx.db.select({ id: person.id }).from(person).where(eq(person.email, input.email));
    await recordAccess(ctx, { kind: input.kind, personId: known?.id ?? null, network: input.network });
    return done(null);
  },
});
