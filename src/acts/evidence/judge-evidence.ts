import { and, eq, gte, inArray, isNull } from "drizzle-orm";
import { fieldsIn } from "../../core/conversation/merge";
import { acceptEvidenceInput, returnEvidenceInput, undoJudgementInput } from "../../core/evidence/inputs";
import { BY_NOTE } from "../../core/evidence/return-reasons";
import { type DocumentResult, isSupplied } from "../../core/file/result";
import { UNDO_MS } from "../../core/file-acts/undo";
import { atLeastProof } from "../../core/rulebook/requirement";
import { ask, evidence, referenceRequest } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { isSubmitted, placeOf, resultAt, rowsAt } from "../act/place";
import { closeAsks, openAsks, withdrawAskMail } from "../asks/asks";
import { mailApplicant } from "../mail/queue-mail";
import { currentReasons } from "./return-reasons";

/** Whether all of a document was sent back and is asked for again. */
function isReturned({ facts }: OpenFile, { evidence: own, key, scope, entry }: DocumentResult): boolean {
  const asked = facts.asks.some(
    (a) => a.answeredAt === null && a.requirement === key && a.scope === scope && a.entry === entry,
  );
  return asked && facts.evidence.every((e) => !own.includes(e.id) || e.judgement === "returned");
}

/** Accepts what was supplied for a requirement. A check that fails refuses it: such a document goes back with an ask. */
export const acceptEvidence = defineFileAct({
  name: "accept-evidence",
  input: acceptEvidenceInput,
  right: "office",
  about: ({ requirement, scope, entry, proof }) => ({ requirement, scope, entry, proof }),
  run: async (ctx, file, input) => {
    const result = resultAt(file, input);
    if (!result || !isSupplied(result)) return refuse("not-found");
    if (!isSubmitted(file, result)) return refuse("locked");
    const judged = {
      judgement: "accepted" as const,
      judgedAt: ctx.now,
      judgedById: ctx.actor.kind === "person" ? ctx.actor.id : null,
    };
    if (result.kind === "reference") {
      await ctx.db.update(referenceRequest).set(judged).where(eq(referenceRequest.id, result.request));
      return done(null);
    }
    const failed = result.checks.find((c) => c.truth === "not met");
    if (failed) return refuse("check-failed", { check: failed.title.en });
    const raises = file.facts.evidence.some(
      (e) => result.evidence.includes(e.id) && (e.judgement !== "accepted" || !atLeastProof(e.proof, input.proof)),
    );
    if (!raises) return refuse("already-done");
    // What was asked about this document is settled with it.
    await closeAsks(ctx, file.id, placeOf(input));
    await ctx.db
      .update(evidence)
      .set({ ...judged, proof: input.proof, reason: null })
      .where(inArray(evidence.id, [...result.evidence]));
    return done(null);
  },
});

/** Sends a document back with a reason and an ask with a date. The mail waits for the time in which it can be undone. */
export const returnEvidence = defineFileAct({
  name: "return-evidence",
  input: returnEvidenceInput,
  right: "office",
  about: ({ requirement, scope, entry, reason }) => ({ requirement, scope, entry, reason }),
  run: async (ctx, file, input) => {
    const result = resultAt(file, input);
    if (result?.kind !== "document" || result.evidence.length === 0) return refuse("not-found");
    if (!isSubmitted(file, result)) return refuse("locked");
    if (fieldsIn(input.text).length > 0) return refuse("field-left");
    const reason = (await currentReasons(ctx)).find((r) => r.key === input.reason && r.offered);
    if (!reason) return refuse("not-offered");
    if (reason.key === BY_NOTE && input.text === "") return refuse("needs-reason");
    // Somebody else has just sent it back, and the applicant knows.
    if (isReturned(file, result)) return refuse("already-done");
    const judged = {
      judgement: "returned" as const,
      judgedAt: ctx.now,
      judgedById: ctx.actor.kind === "person" ? ctx.actor.id : null,
      reason: input.reason,
    };
    await ctx.db
      .update(evidence)
      .set(judged)
      .where(inArray(evidence.id, [...result.evidence]));
    const letter = await openAsks(ctx, file, [{ at: placeOf(input), text: input.text }], input.due);
    await mailApplicant(
      ctx,
      file.id,
      file.ownerId,
      "evidence-returned",
      {
        letter,
        number: file.facts.application.number,
        documentEn: result.title.en,
        documentFr: result.title.fr,
        reasonTextEn: reason.words.en,
        reasonTextFr: reason.words.fr,
        text: input.text,
        due: input.due,
        link: `/my/${file.facts.application.number}`,
      },
      new Date(ctx.now.getTime() + UNDO_MS),
    );
    return done({ letter });
  },
});

/** Takes a judgement or an ask back within the undo time: the waiting mail is withdrawn, the evidence is to check again. */
export const undoJudgement = defineFileAct({
  name: "undo-judgement",
  input: undoJudgementInput,
  right: "office",
  about: placeOf,
  run: async (ctx, file, input) => {
    const since = new Date(ctx.now.getTime() - UNDO_MS);
    const result = resultAt(file, input);
    const judged = result?.kind === "document" ? result.evidence : [];
    const recent = file.facts.evidence.filter(
      (e) => judged.includes(e.id) && e.judgedAt !== null && Date.parse(e.judgedAt) >= since.getTime(),
    );
    const asks = await ctx.db
      .delete(ask)
      .where(and(rowsAt(ask, file.id, input), isNull(ask.answeredAt), gte(ask.askedAt, since)))
      .returning({ letter: ask.letter });
    if (recent.length === 0 && asks.length === 0) return refuse("too-late-to-undo");
    await withdrawAskMail(ctx, file.id, asks);
    await ctx.db
      .update(evidence)
      .set({ judgement: null, judgedAt: null, judgedById: null, reason: null, proof: "copy" })
      .where(
        inArray(
          evidence.id,
          recent.map((e) => e.id),
        ),
      );
    return done(null);
  },
});
