import { and, eq } from "drizzle-orm";
import { z } from "zod";
import type { PlainDate } from "../../core/ids";
import { emailKey } from "../../core/people/email-key";
import {
  correctRefereeInput,
  DAYS_AFTER_DUE,
  endReferenceInput,
  extendReferenceInput,
  reminderDue,
  requestInput,
  takeReferenceInput,
} from "../../core/references/requests";
import { formatDay } from "../../core/time/day";
import { dayAt, requireDay, startOfDay, toInstant } from "../../core/time/zone";
import { referenceLink, referenceRequest } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { actingId } from "../act/acting-id";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { lookedAt, storeUpload } from "../evidence/looked-at";
import { mailApplicant, mayAskOthers } from "../mail/queue-mail";
import { endRequest, isAsked, mailReferee, OPEN, ownerOf, type ReferenceRequest } from "./reference-link";
import { ownAddresses } from "./request-reference";

/** What the office, the applicant and the clock do with a request that was sent: each names it by its id. */

const DAY_MS = 86_400_000;
const about = ({ requestId }: { readonly requestId: string }) => ({ request: requestId });

async function requestOf(ctx: ActContext, file: OpenFile, requestId: string): Promise<ReferenceRequest | null> {
  const [found] = await ctx.db
    .select()
    .from(referenceRequest)
    .where(and(eq(referenceRequest.id, requestId), eq(referenceRequest.applicationId, file.id)));
  return found ?? null;
}

const today = (ctx: ActContext, file: OpenFile) => formatDay(dayAt(file.office.zone, ctx.now.getTime()));

/** Whether anything still waits for what a referee says. */
const isOver = (file: OpenFile) =>
  file.facts.application.withdrawnAt !== null || file.assessment.file.stage === "closed";

/** A request that waits for its referee, or why there is none. */
async function openRequest(
  ctx: ActContext,
  file: OpenFile,
  requestId: string,
): Promise<ReferenceRequest | "not-found" | "already-done"> {
  const request = await requestOf(ctx, file, requestId);
  if (!request || isOver(file)) return "not-found";
  return OPEN.includes(request.state) ? request : "already-done";
}

/** The same, whose link still works. */
async function workingRequest(ctx: ActContext, file: OpenFile, requestId: string) {
  const request = await openRequest(ctx, file, requestId);
  return typeof request !== "string" && ctx.now >= request.endsAt ? ("link-ended" as const) : request;
}

async function remind(ctx: ActContext, file: OpenFile, request: ReferenceRequest): Promise<void> {
  await ctx.db
    .update(referenceRequest)
    .set({ remindedAt: ctx.now, reminders: request.reminders + 1 })
    .where(eq(referenceRequest.id, request.id));
  await mailReferee(ctx, file, request, "reference-reminder");
}

/** Sends the request once more, with a link of its own. */
export const sendReferenceAgain = defineFileAct({
  name: "send-reference-again",
  input: requestInput,
  right: "office",
  about,
  run: async (ctx, file, { requestId }) => {
    const request = await workingRequest(ctx, file, requestId);
    if (typeof request === "string") return refuse(request);
    await remind(ctx, file, request);
    return done(null);
  },
});

/** The same for the applicant, whose referee asks for the mail again: not often a day. */
export const askReferenceAgain = defineFileAct({
  name: "ask-reference-again",
  input: requestInput,
  right: "applicant",
  about,
  run: async (ctx, file, { requestId }) => {
    const request = await workingRequest(ctx, file, requestId);
    if (typeof request === "string") return refuse(request);
    if (!(await mayAskOthers(ctx, file.ownerId, request.email))) return refuse("mailed-enough");
    await remind(ctx, file, request);
    return done(null);
  },
});

/** A referee who has not answered is reminded by the standards of the office; the applicant is told with the last reminder before the end. */
export const remindReferee = defineFileAct({
  name: "remind-referee",
  input: requestInput,
  right: "system",
  about,
  run: async (ctx, file, { requestId }) => {
    const request = await requestOf(ctx, file, requestId);
    if (!request || isOver(file) || !OPEN.includes(request.state)) return refuse("nothing-due");
    const dayOf = (at: string) => formatDay(dayAt(file.office.zone, Date.parse(at)));
    const open = {
      askedAt: toInstant(request.askedAt.getTime()),
      remindedAt: request.remindedAt && toInstant(request.remindedAt.getTime()),
      reminders: request.reminders,
      due: formatDay(dayAt(file.office.zone, request.dueAt.getTime())),
    };
    if (!reminderDue(open, file.office.set.referees, today(ctx, file), dayOf)) return refuse("nothing-due");
    await remind(ctx, file, request);
    if (request.reminders + 1 >= file.office.set.referees.remindTimes)
      await mailApplicant(ctx, file.id, file.ownerId, "reference-silent", {
        referee: request.name,
        due: open.due,
        link: `/my/${file.facts.application.number}`,
      });
    return done(null);
  },
});

/** Corrects who a referee is and where they read mail: the links that went elsewhere end, and the request goes to the right address. */
export const correctReferee = defineFileAct({
  name: "correct-referee",
  input: correctRefereeInput,
  right: "office",
  about: ({ requestId, reason }) => ({ request: requestId, reason }),
  run: async (ctx, file, { requestId, name, email }) => {
    const request = await requestOf(ctx, file, requestId);
    if (!request || isOver(file)) return refuse("not-found");
    const unreached = request.state === "undeliverable" || request.declineReason === "not me";
    if (!OPEN.includes(request.state) && !unreached) return refuse("already-done");
    if (request.name === name && request.email.toLowerCase() === email) return refuse("nothing-due");
    const owner = await ownerOf(ctx, file.ownerId);
    if (ownAddresses(file, owner.email).includes(emailKey(email))) return refuse("own-address");
    if (isAsked(file, request.referee, requestId)) return refuse("already-done");
    await ctx.db.delete(referenceLink).where(eq(referenceLink.requestId, requestId));
    const [now] = await ctx.db
      .update(referenceRequest)
      .set({
        ...{ name, email, state: "asked", askedAt: ctx.now, openedAt: null, closedAt: null, draft: null },
        ...{ remindedAt: null, reminders: 0, declineReason: null, declineWords: null },
        ...{ moreUntil: null, moreWords: null },
      })
      .where(eq(referenceRequest.id, requestId))
      .returning();
    if (now) await mailReferee(ctx, file, now, "reference-asked");
    return done(null);
  },
});

/** Gives a referee more time, also after theirs was over, or answers what they ask for. They are told. */
export const extendReference = defineFileAct({
  name: "extend-reference",
  input: extendReferenceInput,
  right: "office",
  about: ({ requestId, until }) => ({ request: requestId, until }),
  run: async (ctx, file, { requestId, until }) => {
    const request = await openRequest(ctx, file, requestId);
    if (typeof request === "string") return refuse(request);
    if (until < today(ctx, file)) return refuse("invalid-input");
    const dueAt = new Date(startOfDay(file.office.zone, requireDay(until as PlainDate) + 1) - 1);
    const [now] = await ctx.db
      .update(referenceRequest)
      .set({
        dueAt,
        endsAt: new Date(Math.max(request.endsAt.getTime(), dueAt.getTime() + DAYS_AFTER_DUE * DAY_MS)),
        moreUntil: null,
        moreWords: null,
      })
      .where(eq(referenceRequest.id, requestId))
      .returning();
    if (now) await mailReferee(ctx, file, now, "reference-extended");
    return done(null);
  },
});

/** Ends a request, so that somebody else can be named: the referee and the applicant are told. It stays in the history. */
export const endReference = defineFileAct({
  name: "end-reference",
  input: endReferenceInput,
  right: "office",
  about: ({ requestId, reason }) => ({ request: requestId, reason }),
  run: async (ctx, file, { requestId, reason }) => {
    const row = await endRequest(ctx, file, requestId, "reference-ended");
    if (!row) return refuse("already-done");
    const { number } = file.facts.application;
    await mailApplicant(ctx, file.id, file.ownerId, "referee-wanted", {
      referee: row.name,
      text: reason,
      link: `/my/${number}`,
    });
    return done(null);
  },
});

/** Puts in a reference that came by post or mail instead of through the link, which ends. It is the referee's and confidential all the same. */
export const takeReference = defineFileAct({
  name: "take-reference",
  input: takeReferenceInput.extend({ letter: z.object(lookedAt).nullable().default(null) }),
  right: "office",
  about: ({ requestId, cameOn }) => ({ request: requestId, came: cameOn }),
  run: async (ctx, file, { requestId, cameOn, known, text, letter }) => {
    const request = await requestOf(ctx, file, requestId);
    if (!request) return refuse("not-found");
    if (request.state === "given") return refuse("already-done");
    if (cameOn > today(ctx, file) || (letter === null && text.length < 20)) return refuse("invalid-input");
    if (isAsked(file, request.referee, requestId)) return refuse("already-done");
    const endOfDay = startOfDay(file.office.zone, requireDay(cameOn as PlainDate) + 1) - 1;
    await ctx.db
      .update(referenceRequest)
      .set({
        ...{ state: "given", closedAt: ctx.now, takenById: actingId(ctx), moreUntil: null, moreWords: null },
        ...{ draft: null, declineReason: null, declineWords: null },
        givenAt: new Date(Math.min(ctx.now.getTime(), endOfDay)),
        answers: { known, rating: "cannot say", text },
        uploadId: letter && (await storeUpload(ctx, file.id, letter)),
      })
      .where(eq(referenceRequest.id, requestId));
    await ctx.db.delete(referenceLink).where(eq(referenceLink.requestId, requestId));
    await mailApplicant(ctx, file.id, file.ownerId, "reference-given", { referee: request.name });
    return done(null);
  },
});
