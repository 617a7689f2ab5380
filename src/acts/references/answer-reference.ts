import { eq } from "drizzle-orm";
import { z } from "zod";
import type { FileEvent } from "../../core/file/file-events";
import { application, person, referenceRequest } from "../../db/schema";
import { type Act, type ActContext, defineAct, done, type Outcome, refuse } from "../act/act";
import { settleFile } from "../act/settle";
import { lookedAt, storeUpload } from "../evidence/looked-at";
import { mailApplicant } from "../mail/queue-mail";

type Request = typeof referenceRequest.$inferSelect;

/** Locks the file first and the request after it, as every act does, and finds the request of the link's holder. */
async function openRequest(ctx: ActContext): Promise<Request | null> {
  if (ctx.actor.kind !== "link") return null;
  const [found] = await ctx.db
    .select({ applicationId: referenceRequest.applicationId })
    .from(referenceRequest)
    .where(eq(referenceRequest.id, ctx.actor.requestId));
  if (!found) return null;
  await ctx.client.query("select 1 from application where id = $1 for update", [found.applicationId]);
  const [request] = await ctx.db.select().from(referenceRequest).where(eq(referenceRequest.id, ctx.actor.requestId));
  return request ?? null;
}

function isOpen(request: Request, now: Date): boolean {
  return (request.state === "asked" || request.state === "opened") && now < request.endsAt;
}

function refereeAct<Schema extends z.ZodType>(
  name: FileEvent,
  input: Schema,
  write: (ctx: ActContext, request: Request, input: z.output<Schema>) => Promise<Outcome<null>>,
): Act<Schema, null> {
  return defineAct<Schema, null>({
    name,
    input,
    may: (ctx) => ctx.actor.kind === "link",
    run: async (ctx, values) => {
      const request = await openRequest(ctx);
      if (!request || !isOpen(request, ctx.now)) return refuse("link-ended");
      const outcome = await write(ctx, request, values);
      if (!outcome.ok) return outcome;
      await ctx.emit(name, request.applicationId, { request: request.id });
      await settleFile(ctx, request.applicationId);
      return outcome;
    },
  });
}

async function tellApplicant(
  ctx: ActContext,
  request: Request,
  template: "reference-given" | "reference-declined",
): Promise<void> {
  const [owner] = await ctx.db
    .select({ personId: application.personId })
    .from(application)
    .innerJoin(person, eq(person.id, application.personId))
    .where(eq(application.id, request.applicationId));
  if (owner) await mailApplicant(ctx, request.applicationId, owner.personId, template, { referee: request.name });
}

/** The referee pressed "begin" on the page of the link. */
export const openReference = refereeAct("open-reference", z.object({}), async (ctx, request) => {
  if (request.state === "asked")
    await ctx.db
      .update(referenceRequest)
      .set({ state: "opened", openedAt: ctx.now })
      .where(eq(referenceRequest.id, request.id));
  return done(null);
});

export const referenceAnswersSchema = z.object({
  known: z.string().trim().min(1).max(500),
  rating: z.enum(["outstanding", "very good", "good", "fair", "cannot say"]),
  text: z.string().trim().max(20_000).default(""),
});

/** The reference itself: a short form with words, or a letter. It ends the link. */
export const giveReference = refereeAct(
  "give-reference",
  z
    .object({ answers: referenceAnswersSchema, letter: z.object(lookedAt).nullable().default(null) })
    .refine((v) => v.letter !== null || v.answers.text.length >= 20, {
      path: ["answers", "text"],
      message: "too short",
    }),
  async (ctx, request, { answers, letter }) => {
    const uploadId = letter && (await storeUpload(ctx, request.applicationId, letter));
    await ctx.db
      .update(referenceRequest)
      .set({ state: "given", givenAt: ctx.now, closedAt: ctx.now, answers, uploadId })
      .where(eq(referenceRequest.id, request.id));
    await tellApplicant(ctx, request, "reference-given");
    return done(null);
  },
);

export const declineReference = refereeAct("decline-reference", z.object({}), async (ctx, request) => {
  await ctx.db
    .update(referenceRequest)
    .set({ state: "declined", closedAt: ctx.now })
    .where(eq(referenceRequest.id, request.id));
  await tellApplicant(ctx, request, "reference-declined");
  return done(null);
});
