import { and, eq, isNull } from "drizzle-orm";
import {
  readConversationInput,
  settleMessagesInput,
  takeMessageBackInput,
  writeToApplicantInput,
  writeToOfficeInput,
} from "../../core/conversation/inputs";
import { fieldsIn } from "../../core/conversation/merge";
import { UNDO_MS } from "../../core/file-acts/undo";
import { holds, OFFICE } from "../../core/rights/actor";
import { conversation } from "../../db/schema";
import { defineAct, done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { mailApplicant } from "../mail/queue-mail";
import { markAnswered, unanswered, waitAgain } from "./answered";
import { attachHeld } from "./attachments";
import { wroteEnough } from "./wrote-enough";

/** The applicant writes to the office; it is the office's turn until somebody has answered. */
export const writeToOffice = defineFileAct({
  name: "write-to-office",
  input: writeToOfficeInput,
  right: "applicant",
  about: ({ about }) => ({ section: about }),
  run: async (ctx, file, { text, about, files }) => {
    const known = Object.values(file.rulebooks).some((r) => r.body.sections.some((s) => s.key === about));
    if (await wroteEnough(ctx, file.id)) return refuse("written-enough");
    const [made] = await ctx.db
      .insert(conversation)
      .values({
        applicationId: file.id,
        fromOffice: false,
        byId: file.ownerId,
        text,
        about: known ? about : "",
        at: ctx.now,
      })
      .returning({ id: conversation.id });
    if (!made) throw new Error("the message was not written");
    return attachHeld(ctx, file.id, made.id, files);
  },
});

/** The office writes to the applicant: it stands in the file and goes by mail; what the applicant had written counts as answered. */
export const writeToApplicant = defineFileAct({
  name: "write-to-applicant",
  input: writeToApplicantInput,
  right: "office",
  run: async (ctx, file, { text, question, files }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    // A field that was not filled in would go out in its braces.
    if (fieldsIn(text).length > 0) return refuse("field-left");
    const [last] = await ctx.db
      .select({ about: conversation.about })
      .from(conversation)
      .where(unanswered(file.id))
      .orderBy(conversation.at)
      .limit(1);
    await markAnswered(ctx, file.id);
    const [made] = await ctx.db
      .insert(conversation)
      .values({
        applicationId: file.id,
        fromOffice: true,
        byId: ctx.actor.id,
        text,
        about: last?.about ?? "",
        question,
        at: ctx.now,
      })
      .returning({ id: conversation.id });
    if (!made) throw new Error("the message was not written");
    const attached = await attachHeld(ctx, file.id, made.id, files);
    if (!attached.ok) return attached;
    const { number } = file.facts.application;
    await mailApplicant(
      ctx,
      file.id,
      file.ownerId,
      "written",
      { number, message: made.id, text, files: String(files.length), link: `/my/${number}/conversation` },
      new Date(ctx.now.getTime() + UNDO_MS),
    );
    return done({ messageId: made.id });
  },
});

/** Takes back what one wrote a moment ago, while its mail still waits; what it had answered waits again. */
export const takeMessageBack = defineFileAct({
  name: "take-message-back",
  input: takeMessageBackInput,
  right: "office",
  run: async (ctx, file, { messageId }) => {
    const [row] = await ctx.db
      .select()
      .from(conversation)
      .where(and(eq(conversation.id, messageId), eq(conversation.applicationId, file.id)));
    if (!row?.fromOffice || ctx.actor.kind !== "person" || row.byId !== ctx.actor.id) return refuse("not-found");
    const { rowCount } = await ctx.client.query(
      "update message set state = 'withdrawn' where application_id = $1 and template = 'written' and state = 'queued' and values->>'message' = $2",
      [file.id, messageId],
    );
    if (rowCount === 0) return refuse("too-late-to-undo");
    await ctx.db.delete(conversation).where(eq(conversation.id, messageId));
    await waitAgain(ctx, file.id, row.at);
    return done(null);
  },
});

/** What the applicant wrote needs no answer: thanks, or something that was said on the phone. */
export const settleMessages = defineFileAct({
  name: "settle-messages",
  input: settleMessagesInput,
  right: "office",
  run: async (ctx, file) => ((await markAnswered(ctx, file.id)) === 0 ? refuse("already-done") : done(null)),
});

/** Whoever has the page open has read what the other side wrote. It is no act on the file: nothing of it is settled. */
export const readConversation = defineAct({
  name: "read-conversation",
  input: readConversationInput,
  may: (ctx) => ctx.actor.kind === "person",
  run: async (ctx, { applicationId }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const { rows } = await ctx.client.query<{ person: string; programmes: string[] }>(
      `select a.person_id as person, array(select p.code from choice c join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id
         where c.application_id = a.id) as programmes from application a where a.id = $1`,
      [applicationId],
    );
    const [row] = rows;
    const own = row?.person === ctx.actor.id;
    if (!row || !(own || holds(ctx.actor, OFFICE, row.programmes))) return refuse("not-found");
    await ctx.db
      .update(conversation)
      .set({ readAt: ctx.now })
      .where(
        and(
          eq(conversation.applicationId, applicationId),
          eq(conversation.fromOffice, own),
          isNull(conversation.readAt),
        ),
      );
    return done(null);
  },
});
