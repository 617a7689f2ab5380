import { eq } from "drizzle-orm";
import { z } from "zod";
import type { FileEvent } from "../../core/file/file-events";
import { declineInput, moreTimeInput } from "../../core/references/requests";
import { formatDay } from "../../core/time/day";
import { dayAt } from "../../core/time/zone";
import { application, referenceRequest } from "../../db/schema";
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
  return isWaiting(request) && now < request.endsAt;
}

/** What still waits, though the time of its link may be over. */
const isWaiting = (request: Request): boolean => request.state === "asked" || request.state === "opened";

/**
 * @param leaves the event; null for what is no news of the file
 * @param may whether the request is still open for that
 */
function refereeAct<Schema extends z.ZodType>(
  name: string,
  leaves: FileEvent | null,
  input: Schema,
  write: (ctx: ActContext, request: Request, input: z.output<Schema>) => Promise<Outcome<null>>,
  may: (request: Request, now: Date) => boolean = isOpen,
): Act<Schema, null> {
  return defineAct<Schema, null>({
    name,
    input,
    may: (ctx) => ctx.actor.kind === "link",
    run: async (ctx, values) => {
      const request = await openRequest(ctx);
      if (!request || !may(request, ctx.now)) return refuse("link-ended");
      const outcome = await write(ctx, request, values);
      if (!outcome.ok) return outcome;
      if (leaves === null) return outcome;
      await ctx.emit(leaves, request.applicationId, { request: request.id });
      await settleFile(ctx, request.applicationId);
      return outcome;
    },
  });
}

async function ownerOf(ctx: ActContext, request: Request): Promise<string | null> {
  const [owner] = await ctx.db
    .select({ personId: application.personId })
    .from(application)
    .where(eq(application.id, request.applicationId));
  return owner?.personId ?? null;
}

async function tellApplicant(
  ctx: ActContext,
  request: Request,
  template: "reference-given" | "reference-declined" | "referee-not-reached",
): Promise<void> {
  const personId = await ownerOf(ctx, request);
  if (personId !== null)
    await mailApplicant(ctx, request.applicationId, personId, template, {
      referee: request.name,
      email: request.email,
    });
}

/**
 * The referee pressed "begin" on the page of the link.
 * @param signedIn who was signed in to the browser in which it was pressed: where that is the applicant, the office is told
 */
export const openReference = refereeAct(
  "open-reference",
  "open-reference",
  z.object({ signedIn: z.uuid().nullable().default(null) }),
  async (ctx, request, { signedIn }) => {
    const own = signedIn !== null && signedIn === (await ownerOf(ctx, request));
    await ctx.db
      .update(referenceRequest)
      .set({
        ...(request.state === "asked" ? { state: "opened", openedAt: ctx.now } : {}),
        ...(own ? { ownBrowser: true } : {}),
      })
      .where(eq(referenceRequest.id, request.id));
    return done(null);
  },
);

export const referenceAnswersSchema = z.object({
  known: z.string().trim().min(1).max(500),
  rating: z.enum(["outstanding", "very good", "good", "fair", "cannot say"]),
  text: z.string().trim().max(20_000).default(""),
});
const draftSchema = referenceAnswersSchema.extend({ known: z.string().max(500), text: z.string().max(20_000) });

/** The reference itself: a short form with words, or a letter. It ends the link. */
export const giveReference = refereeAct(
  "give-reference",
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
      .set({ state: "given", givenAt: ctx.now, closedAt: ctx.now, answers, uploadId, draft: null, moreUntil: null })
      .where(eq(referenceRequest.id, request.id));
    await tellApplicant(ctx, request, "reference-given");
    return done(null);
  },
);

/** What is written so far, as it is left: nothing is lost where the page is closed. */
export const saveReference = refereeAct("save-reference", null, draftSchema, async (ctx, request, draft) => {
  await ctx.db
    .update(referenceRequest)
    .set({ draft, state: "opened", openedAt: request.openedAt ?? ctx.now })
    .where(eq(referenceRequest.id, request.id));
  return done(null);
});

/** The referee asks for more time than they have, also once it is over; the office answers that. */
export const askMoreTime = refereeAct(
  "ask-more-time",
  "ask-more-time",
  moreTimeInput,
  async (ctx, request, { until, words }) => {
    const office = await ctx.office();
    if (until <= formatDay(dayAt(office.zone, Math.max(request.dueAt.getTime(), ctx.now.getTime()))))
      return refuse("nothing-due");
    await ctx.db
      .update(referenceRequest)
      .set({ moreUntil: until, moreWords: words })
      .where(eq(referenceRequest.id, request.id));
    return done(null);
  },
  isWaiting,
);

/** Says no, and why. Where it reached somebody else the applicant is told that the address is wrong. */
export const declineReference = refereeAct(
  "decline-reference",
  "decline-reference",
  declineInput,
  async (ctx, request, { reason, words }) => {
    await ctx.db
      .update(referenceRequest)
      .set({ state: "declined", closedAt: ctx.now, declineReason: reason, declineWords: words, draft: null })
      .where(eq(referenceRequest.id, request.id));
    await tellApplicant(ctx, request, reason === "not me" ? "referee-not-reached" : "reference-declined");
    return done(null);
  },
);
