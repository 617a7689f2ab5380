import { inArray } from "drizzle-orm";
import { z } from "zod";
import { emailKey } from "../../core/people/email-key";
import { shownName } from "../../core/people/shown-name";
import { DAYS_AFTER_DUE } from "../../core/references/requests";
import { referenceRequest, round } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { mayAskOthers } from "../mail/queue-mail";
import { endRequest, isAsked, mailReferee, ownerOf } from "./reference-link";

const DAY_MS = 86_400_000;

function answerOf(file: OpenFile, entry: string, field: string): string {
  const value = file.facts.answers.find(
    (a) => a.section === refereeSection(file) && a.entry === entry && a.field === field,
  )?.value;
  return typeof value === "string" ? value.trim() : "";
}

function refereeSection(file: OpenFile): string | undefined {
  return Object.values(file.rulebooks)
    .flatMap((r) => r.body.sections)
    .find((s) => s.core === "referees")?.key;
}

async function latestClosing(ctx: ActContext, roundIds: readonly string[]): Promise<number> {
  const rows = await ctx.db
    .select({ closings: round.closings })
    .from(round)
    .where(inArray(round.id, [...roundIds]));
  return Math.max(...rows.flatMap((r) => r.closings.map((c) => Date.parse(c.at))));
}

/** Every address under which an applicant can be written to: that of the account, and those that the form has. */
export const ownAddresses = (file: OpenFile, account: string): readonly (string | null)[] => {
  const stated = file.facts.answers.filter((a) => a.section !== refereeSection(file) && a.entry === "");
  return [
    account,
    ...stated.flatMap(({ value }) => (typeof value === "string" && value.includes("@") ? [value] : [])),
  ].map(emailKey);
};

/**
 * Sends a referee the link to one request. It shows nothing of the applicant beyond the name and the programme, so the name has to be known,
 * and goes to nobody's own address. It is written in the language of the applicant, who knows the referee.
 */
export const requestReference = defineFileAct({
  name: "request-reference",
  input: z.object({ applicationId: z.uuid(), referee: z.string().max(40) }),
  right: "applicant",
  about: ({ referee }) => ({ referee }),
  run: async (ctx, file, { referee }) => {
    const live = file.facts.choices.filter((c) => c.withdrawnAt === null);
    if (live.length === 0 || file.facts.application.withdrawnAt !== null) return refuse("locked");
    const name = answerOf(file, referee, "name");
    const email = answerOf(file, referee, "email");
    if (name === "" || !z.email().safeParse(email).success || answerOf(file, referee, "role") === "")
      return refuse("not-complete");
    if (shownName(file.facts) === "") return refuse("name-first");
    const owner = await ownerOf(ctx, file.ownerId);
    if (ownAddresses(file, owner.email).includes(emailKey(email))) return refuse("own-address");
    if (isAsked(file, referee)) return refuse("already-done");
    if (!(await mayAskOthers(ctx, file.ownerId, email))) return refuse("mailed-enough");
    // Wanted by the latest closing among the choices it serves.
    const due = await latestClosing(
      ctx,
      live.map((c) => c.roundId),
    );
    const [row] = await ctx.db
      .insert(referenceRequest)
      .values({
        ...{ applicationId: file.id, referee, scopes: ["file"], name, email, state: "asked", askedAt: ctx.now },
        dueAt: new Date(due),
        endsAt: new Date(due + DAYS_AFTER_DUE * DAY_MS),
      })
      .returning();
    if (row) await mailReferee(ctx, file, row, "reference-asked");
    return done({ requestId: row?.id ?? "" });
  },
});

/** Takes a request back: its link ends at once. */
export const withdrawReference = defineFileAct({
  name: "withdraw-reference",
  input: z.object({ applicationId: z.uuid(), requestId: z.uuid() }),
  right: "applicant",
  about: ({ requestId }) => ({ request: requestId }),
  run: async (ctx, file, { requestId }) => {
    const row = await endRequest(ctx, file, requestId, "reference-withdrawn");
    return row ? done(null) : refuse("already-done");
  },
});
