import { desc, eq } from "drizzle-orm";
import { z } from "zod";
import { orderOf, standsFor, undertakingFor } from "../../core/catalogue/choice-rules";
import { application, procedure, undertaking } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";

/** Whether the promise that was given last stands for this list of choices. */
export async function promised(ctx: ActContext, applicationId: string, order: readonly string[]): Promise<boolean> {
  const [last] = await ctx.db
    .select({ choices: undertaking.choices })
    .from(undertaking)
    .where(eq(undertaking.applicationId, applicationId))
    .orderBy(desc(undertaking.at))
    .limit(1);
  return (
    last !== undefined &&
    standsFor(
      last.choices.map((c) => c.id),
      order,
    )
  );
}

/**
 * The applicant promises what the procedure asks of the order of the choices. It is kept with the sentence that was read and the list
 * that it was given for; another order asks for another promise.
 */
export const giveUndertaking = defineFileAct({
  name: "give-undertaking",
  input: z.object({ applicationId: z.uuid(), order: z.array(z.uuid()).min(1).max(40), locale: z.enum(["en", "fr"]) }),
  right: "applicant",
  about: ({ order }) => ({ order }),
  run: async (ctx, file, { order, locale }) => {
    const live = orderOf(file.facts.choices);
    const ids = live.map((c) => c.id);
    if (!standsFor(order, ids)) return refuse("changed-meanwhile");
    const [asked] = await ctx.db
      .select({ rules: procedure.rules })
      .from(application)
      .innerJoin(procedure, eq(procedure.id, application.procedureId))
      .where(eq(application.id, file.id));
    const text = asked ? undertakingFor(asked.rules, live.length) : null;
    if (!asked || text === null) return refuse("not-found");
    if (await promised(ctx, file.id, ids)) return refuse("already-done");
    await ctx.db.insert(undertaking).values({
      applicationId: file.id,
      at: ctx.now,
      locale,
      text: text[locale],
      choices: live.map((c) => ({ id: c.id, code: c.programme })),
    });
    return done(null);
  },
});
