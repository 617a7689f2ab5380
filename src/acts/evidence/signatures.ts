import { and, eq } from "drizzle-orm";
import { z } from "zod";
import { signatureInput } from "../../core/evidence/inputs";
import { shownName } from "../../core/people/shown-name";
import type { DocumentRequirement } from "../../core/rulebook/requirement";
import { formatDay } from "../../core/time/day";
import { dayAt } from "../../core/time/zone";
import { evidence, person, signatureRequest } from "../../db/schema";
import { type ActContext, defineAct, done, type Outcome, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { resultAt } from "../act/place";
import { settleFile } from "../act/settle";
import { newToken } from "../act/token";
import { closeAsks } from "../asks/asks";
import { mailApplicant, mayAskOthers, queueMail } from "../mail/queue-mail";
import { lookedAt, storeUpload } from "./looked-at";

const LINK_DAYS = 60;
const DAY_MS = 86_400_000;
/** The office does not ask again before so many hours have gone by. */
const PAUSE_HOURS = 12;

type Signed = DocumentRequirement & { readonly signedBy: NonNullable<DocumentRequirement["signedBy"]> };

function askedOf(file: OpenFile, key: string): Signed | null {
  const known = Object.values(file.rulebooks)
    .flatMap((r) => r.body.requirements)
    .find((r) => r.key === key);
  return known?.kind === "document" && known.signedBy ? (known as Signed) : null; // just tested
}

/** Whom the form names in the section of the signer: `name` and `email`. */
function signerOf({ facts }: OpenFile, section: string): { readonly name: string; readonly email: string } | null {
  const answer = (field: string): string => {
    const value = facts.answers.find((a) => a.section === section && a.entry === "" && a.field === field)?.value;
    return typeof value === "string" ? value.trim() : "";
  };
  const signer = { name: answer("name"), email: answer("email") };
  return signer.name !== "" && z.email().safeParse(signer.email).success ? signer : null;
}

/** Sends the signer a link of their own; an earlier one ends. */
async function send(ctx: ActContext, file: OpenFile, requirement: string, again: boolean): Promise<Outcome<null>> {
  const asked = askedOf(file, requirement);
  const result = resultAt(file, { requirement, scope: "file", entry: "" });
  if (!asked || !result || result.standing === "not needed") return refuse("not-found");
  if (["accepted", "to check", "excused"].includes(result.standing)) return refuse("already-done");
  const signer = signerOf(file, asked.signedBy.section);
  if (!signer) return refuse("not-complete");
  const open = and(
    eq(signatureRequest.applicationId, file.id),
    eq(signatureRequest.requirement, requirement),
    eq(signatureRequest.state, "asked"),
  );
  const [known] = await ctx.db.select().from(signatureRequest).where(open);
  const fresh = known && ctx.now.getTime() - known.askedAt.getTime() < PAUSE_HOURS * 3_600_000;
  if (known?.email === signer.email && (!again || fresh)) return refuse("already-done");
  if (!again && !(await mayAskOthers(ctx, file.ownerId, signer.email))) return refuse("mailed-enough");
  await ctx.db.update(signatureRequest).set({ state: "replaced", answeredAt: ctx.now }).where(open);
  const { token, hash } = newToken();
  const endsAt = new Date(ctx.now.getTime() + LINK_DAYS * DAY_MS);
  const [owner] = await ctx.db.select({ locale: person.locale }).from(person).where(eq(person.id, file.ownerId));
  await ctx.db.insert(signatureRequest).values({
    applicationId: file.id,
    requirement,
    ...signer,
    sentence: asked.signedBy.sentence,
    title: asked.title,
    tokenHash: hash,
    state: "asked",
    askedAt: ctx.now,
    endsAt,
  });
  await queueMail(ctx, {
    applicationId: file.id,
    personId: null,
    toAddress: signer.email,
    locale: owner?.locale ?? "en",
    template: "signature-asked",
    values: {
      name: signer.name,
      applicant: shownName(file.facts),
      documentEn: asked.title.en,
      documentFr: asked.title.fr,
      link: `/sign/${token}`,
      until: formatDay(dayAt(file.office.zone, endsAt.getTime())),
    },
  });
  return done(null);
}

/** The applicant has the link sent to whom the form names; to another address once the form names one. */
export const requestSignature = defineFileAct({
  name: "request-signature",
  input: signatureInput,
  right: "applicant",
  about: ({ requirement }) => ({ requirement }),
  run: async (ctx, file, { requirement }) => send(ctx, file, requirement, false),
});

/** The office asks again, with a new link, for a signature that is missing. */
export const remindSignature = defineFileAct({
  name: "remind-signature",
  input: signatureInput,
  right: "office",
  about: ({ requirement }) => ({ requirement }),
  run: async (ctx, file, { requirement }) => send(ctx, file, requirement, true),
});

type Request = typeof signatureRequest.$inferSelect;

/** Locks the file, then finds the open request of the link's holder. */
async function openRequest(ctx: ActContext): Promise<Request | null> {
  if (ctx.actor.kind !== "link") return null;
  const own = eq(signatureRequest.id, ctx.actor.requestId);
  const [found] = await ctx.db
    .select({ applicationId: signatureRequest.applicationId })
    .from(signatureRequest)
    .where(own);
  if (!found) return null;
  await ctx.client.query("select 1 from application where id = $1 for update", [found.applicationId]);
  const [request] = await ctx.db.select().from(signatureRequest).where(own);
  return request && request.state === "asked" && ctx.now < request.endsAt ? request : null;
}

async function tellApplicant(ctx: ActContext, request: Request, template: "signature-given" | "signature-declined") {
  const { rows } = await ctx.client.query<{ person_id: string }>("select person_id from application where id = $1", [
    request.applicationId,
  ]);
  if (rows[0])
    await mailApplicant(ctx, request.applicationId, rows[0].person_id, template, {
      signer: request.name,
      documentEn: request.title.en,
      documentFr: request.title.fr,
    });
}

/** The signature: what was read and signed becomes a document of the file, which the office checks like any other. It ends the link. */
export const signByLink = defineAct({
  name: "sign-by-link",
  input: z.object({
    typed: z.string().trim().min(1).max(200),
    /** What was signed, printed. */
    document: z.object(lookedAt),
  }),
  may: (ctx) => ctx.actor.kind === "link",
  run: async (ctx, { typed, document }) => {
    const request = await openRequest(ctx);
    if (!request) return refuse("link-ended");
    const { applicationId, requirement } = request;
    const uploadId = await storeUpload(ctx, applicationId, document);
    const at = { requirement, scope: "file", entry: "" };
    // What was sent back makes room; a paper that waits to be checked stays beside it.
    await ctx.client.query(
      "update evidence set replaced_at = $3 where application_id = $1 and requirement = $2 and scope = 'file' and replaced_at is null and judgement is not null",
      [applicationId, requirement, ctx.now],
    );
    await ctx.db
      .insert(evidence)
      .values({ applicationId, ...at, uploadId, lastPage: document.pages, suppliedAt: ctx.now });
    await ctx.db
      .update(signatureRequest)
      .set({ state: "signed", answeredAt: ctx.now, signedAs: typed, uploadId })
      .where(eq(signatureRequest.id, request.id));
    await closeAsks(ctx, applicationId, at);
    await tellApplicant(ctx, request, "signature-given");
    await ctx.emit("sign-by-link", applicationId, { requirement });
    await settleFile(ctx, applicationId);
    return done(null);
  },
});

/** The signer says no; the applicant is told, and the link ends. */
export const declineSignature = defineAct({
  name: "decline-signature",
  input: z.object({}),
  may: (ctx) => ctx.actor.kind === "link",
  run: async (ctx) => {
    const request = await openRequest(ctx);
    if (!request) return refuse("link-ended");
    await ctx.db
      .update(signatureRequest)
      .set({ state: "declined", answeredAt: ctx.now })
      .where(eq(signatureRequest.id, request.id));
    await tellApplicant(ctx, request, "signature-declined");
    await ctx.emit("decline-signature", request.applicationId, { requirement: request.requirement });
    await settleFile(ctx, request.applicationId);
    return done(null);
  },
});
