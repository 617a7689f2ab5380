import { and, eq, isNotNull, isNull } from "drizzle-orm";
import type { RequirementPlace } from "../../core/file/place";
import { UNDO_MS } from "../../core/file-acts/undo";
import {
  announcePaperInput,
  dropAnnouncementInput,
  inspectPaperInput,
  matchPaperInput,
  notePaperInput,
  noteStrayPaperInput,
  sendPaperBackInput,
  takePaperBackInput,
} from "../../core/post/inputs";
import { holds, OFFICE } from "../../core/rights/actor";
import { dropUnheld } from "../../db/content";
import { announcedPaper, paper } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { isSubmitted, placeOf, resultAt, rowsAt } from "../act/place";
import { closeAsks } from "../asks/asks";
import { mailApplicant } from "../mail/queue-mail";

/** Whether a paper can come for a requirement: a document that is asked for, in a file that goes on; also before it is submitted. */
function mayCome(file: OpenFile, place: RequirementPlace): boolean {
  const result = resultAt(file, place);
  return result?.kind === "document" && result.standing !== "not needed" && file.assessment.file.stage !== "closed";
}

const endAnnouncement = (ctx: ActContext, file: OpenFile, place: RequirementPlace) =>
  ctx.db
    .update(announcedPaper)
    .set({ endedAt: ctx.now })
    .where(and(rowsAt(announcedPaper, file.id, place), isNull(announcedPaper.endedAt)))
    .returning({ id: announcedPaper.id });

/** The applicant says that a paper is on its way otherwise than by upload: nobody asks for it until its day, and none puts a page in its place. */
export const announcePaper = defineFileAct({
  name: "announce-paper",
  input: announcePaperInput,
  right: "applicant",
  about: placeOf,
  run: async (ctx, file, { way, expectedOn, ...input }) => {
    const place = placeOf(input);
    const result = resultAt(file, place);
    // Before the submission the rulebook says what may be promised.
    if (!result || !isSubmitted(file, result) || !mayCome(file, place)) return refuse("locked");
    await endAnnouncement(ctx, file, place);
    await ctx.db
      .insert(announcedPaper)
      .values({ applicationId: file.id, ...place, way, expectedOn, announcedAt: ctx.now });
    return done(null);
  },
});

/** The applicant says that it does not come after all. */
export const dropAnnouncement = defineFileAct({
  name: "drop-announcement",
  input: dropAnnouncementInput,
  right: "applicant",
  about: placeOf,
  run: async (ctx, file, input) =>
    (await endAnnouncement(ctx, file, placeOf(input))).length === 0 ? refuse("already-done") : done(null),
});

/** What follows in a file from a paper that came: it is promised no more, asks for it are answered, and the applicant is told. */
async function arrive(
  ctx: ActContext,
  file: OpenFile,
  came: RequirementPlace & { readonly id: string; readonly contents: string; readonly cameOn: string },
): Promise<void> {
  const place = placeOf(came);
  await endAnnouncement(ctx, file, place);
  await closeAsks(ctx, file.id, place);
  const title = resultAt(file, place)?.title ?? { en: came.contents, fr: came.contents };
  const { number } = file.facts.application;
  await mailApplicant(
    ctx,
    file.id,
    file.ownerId,
    "paper-arrived",
    { paper: came.id, number, documentEn: title.en, documentFr: title.fr, due: came.cameOn, link: `/my/${number}` },
    new Date(ctx.now.getTime() + UNDO_MS),
  );
}

/** Notes that a paper reached the office for a file, which is looked at then; the applicant is told. */
export const notePaper = defineFileAct({
  name: "note-paper",
  input: notePaperInput,
  right: "office",
  about: placeOf,
  run: async (ctx, file, { contents, sender, state, cameOn, ...input }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const place = placeOf(input);
    if (place.requirement === "" ? contents === "" : !mayCome(file, place)) return refuse("not-found");
    const [made] = await ctx.db
      .insert(paper)
      .values({
        applicationId: file.id,
        ...place,
        contents,
        sender,
        state,
        cameOn,
        notedAt: ctx.now,
        notedById: ctx.actor.id,
      })
      .returning({ id: paper.id });
    if (!made) throw new Error("the paper was not noted");
    await arrive(ctx, file, { ...place, id: made.id, contents, cameOn });
    return done({ paperId: made.id });
  },
});

/** Notes a paper of which nobody knows yet whose it is. */
export const noteStrayPaper = defineAct({
  name: "note-stray-paper",
  input: noteStrayPaperInput,
  may: (ctx) => holds(ctx.actor, OFFICE),
  run: async (ctx, came) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const [made] = await ctx.db
      .insert(paper)
      .values({ ...came, notedAt: ctx.now, notedById: ctx.actor.id })
      .returning({ id: paper.id });
    if (!made) throw new Error("the paper was not noted");
    await ctx.emit("note-stray-paper", null, { paper: made.id });
    return done({ paperId: made.id });
  },
});

/** Says whose a paper is that was noted without a file. */
export const matchPaper = defineFileAct({
  name: "match-paper",
  input: matchPaperInput,
  right: "office",
  about: placeOf,
  run: async (ctx, file, { paperId, ...input }) => {
    const place = placeOf(input);
    if (place.requirement !== "" && !mayCome(file, place)) return refuse("not-found");
    const [matched] = await ctx.db
      .update(paper)
      .set({ applicationId: file.id, ...place })
      .where(and(eq(paper.id, paperId), isNull(paper.applicationId)))
      .returning({ id: paper.id, contents: paper.contents, cameOn: paper.cameOn });
    if (!matched) return refuse("already-done");
    await arrive(ctx, file, { ...place, ...matched });
    return done(null);
  },
});

/** Takes the scan of a paper away with it, unless somebody has judged it already. */
async function dropScan({ client }: ActContext, uploadId: string): Promise<boolean> {
  const { rows } = await client.query("select 1 from evidence where upload_id = $1 and judgement is not null limit 1", [
    uploadId,
  ]);
  if (rows.length > 0) return false;
  await client.query("delete from evidence where upload_id = $1", [uploadId]);
  const gone = await client.query<{ sha256: string; original: string | null }>(
    "delete from upload where id = $1 returning sha256, original_sha256 as original",
    [uploadId],
  );
  await dropUnheld(
    client,
    gone.rows.flatMap(({ sha256, original }) => (original ? [sha256, original] : [sha256])),
  );
  return true;
}

/** Takes a note of an arrival back within ten seconds: it was another file's, or another paper. What was promised before has to be said again. */
export const takePaperBack = defineFileAct({
  name: "take-paper-back",
  input: takePaperBackInput,
  right: "office",
  run: async (ctx, file, { paperId }) => {
    const since = new Date(ctx.now.getTime() - UNDO_MS);
    const gone = await ctx.client.query<{ upload: string | null }>(
      `delete from paper where id = $1 and application_id = $2 and noted_at >= $3 and inspected_at is null returning upload_id as upload`,
      [paperId, file.id, since],
    );
    const [taken] = gone.rows;
    if (!taken) return refuse("too-late-to-undo");
    if (taken.upload !== null && !(await dropScan(ctx, taken.upload))) return refuse("locked");
    await ctx.client.query(
      "update message set state = 'withdrawn' where application_id = $1 and state = 'queued' and values->>'paper' = $2",
      [file.id, paperId],
    );
    return done(null);
  },
});

const here = (file: OpenFile, paperId: string) => and(eq(paper.id, paperId), eq(paper.applicationId, file.id));

/** An officer has looked at a paper; it stays with the office, or is to go back. */
export const inspectPaper = defineFileAct({
  name: "inspect-paper",
  input: inspectPaperInput,
  right: "office",
  run: async (ctx, file, { paperId, sendBack }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const looked = await ctx.db
      .update(paper)
      .set({ inspectedAt: ctx.now, inspectedById: ctx.actor.id, toGoBackAt: sendBack ? ctx.now : null })
      .where(and(here(file, paperId), isNull(paper.inspectedAt)))
      .returning({ id: paper.id });
    return looked.length === 0 ? refuse("already-done") : done(null);
  },
});

/** Notes that a paper went back to the applicant, who is told. */
export const sendPaperBack = defineFileAct({
  name: "send-paper-back",
  input: sendPaperBackInput,
  right: "office",
  run: async (ctx, file, { paperId }) => {
    const [sent] = await ctx.db
      .update(paper)
      .set({ sentBackAt: ctx.now })
      .where(and(here(file, paperId), isNotNull(paper.toGoBackAt), isNull(paper.sentBackAt)))
      .returning();
    if (!sent) return refuse("already-done");
    const title = resultAt(file, sent)?.title ?? { en: sent.contents, fr: sent.contents };
    const { number } = file.facts.application;
    await mailApplicant(ctx, file.id, file.ownerId, "paper-sent-back", {
      number,
      documentEn: title.en,
      documentFr: title.fr,
      link: `/my/${number}`,
    });
    return done(null);
  },
});
