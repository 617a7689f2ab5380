import { judgeSamePersonInput } from "../../core/people/inputs";
import { holds, OFFICE } from "../../core/rights/actor";
import { samePerson } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";

/** Says of two files that look like one person's whether they are; what was said is remembered, and a later word takes its place. */
export const judgeSamePerson = defineFileAct({
  name: "judge-same-person",
  input: judgeSamePersonInput,
  right: "office",
  about: ({ otherNumber, verdict }) => ({ file: otherNumber, verdict }),
  run: async (ctx, file, { otherNumber, verdict }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const { rows } = await ctx.client.query<{ person_id: string; programmes: string[] }>(
      `select a.person_id, array_agg(distinct p.code) as programmes from application a join choice c on c.application_id = a.id
         join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id where a.number = $1 group by a.person_id`,
      [otherNumber],
    );
    const [other] = rows;
    if (!other || other.person_id === file.ownerId) return refuse("not-found");
    if (!holds(ctx.actor, OFFICE, other.programmes)) return refuse("not-yours");
    const [firstId = "", secondId = ""] = [file.ownerId, other.person_id].sort();
    await ctx.db.insert(samePerson).values({ firstId, secondId, verdict, byId: ctx.actor.id, at: ctx.now });
    return done(null);
  },
});
