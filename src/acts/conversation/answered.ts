import { and, eq, isNull } from "drizzle-orm";
import { conversation } from "../../db/schema";
import type { ActContext } from "../act/act";

/** What the applicant of a file wrote and nobody has answered. */
export const unanswered = (applicationId: string) =>
  and(
    eq(conversation.applicationId, applicationId),
    eq(conversation.fromOffice, false),
    isNull(conversation.answeredAt),
  );

/** Says of it that it is answered now. @returns how many messages that were */
export async function markAnswered(ctx: ActContext, applicationId: string): Promise<number> {
  const answeredById = ctx.actor.kind === "person" ? ctx.actor.id : null;
  const rows = await ctx.db
    .update(conversation)
    .set({ answeredAt: ctx.now, answeredById })
    .where(unanswered(applicationId))
    .returning({ id: conversation.id });
  return rows.length;
}

/** What was answered at a moment waits again: the answer is taken back. */
export async function waitAgain({ db }: ActContext, applicationId: string, at: Date): Promise<void> {
  await db
    .update(conversation)
    .set({ answeredAt: null, answeredById: null })
    .where(
      and(
        eq(conversation.applicationId, applicationId),
        eq(conversation.fromOffice, false),
        eq(conversation.answeredAt, at),
      ),
    );
}
