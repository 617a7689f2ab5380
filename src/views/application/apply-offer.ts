import { z } from "zod";
import { type ChoiceRefusal, type ChosenProgramme, choiceRefusal } from "../../core/catalogue/choice-rules";
import { type FinderHit, type FinderRound, finder } from "../catalogue/finder";
import { defineView } from "../view/view";

/** What somebody sees before they choose a programme: its terms, what it would be added to, and the rule that stops them, if any. */
export interface ApplyData {
  readonly zone: string;
  readonly office: FinderHit["description"];
  readonly hit: FinderHit;
  readonly round: FinderRound;
  readonly existing: { readonly number: string; readonly programmes: readonly string[] } | null;
  readonly refusal: ChoiceRefusal | null;
}

interface Held extends ChosenProgramme {
  number: string;
}

export const applyOffer = defineView({
  name: "apply-offer",
  input: z.object({ roundId: z.uuid() }),
  read: async (ctx, { roundId }): Promise<ApplyData | null> => {
    if (ctx.actor.kind !== "person") return null;
    const data = await finder.read(ctx, finder.input.parse({}));
    const hit = data?.hits.find((h) => h.rounds.some((r) => r.roundId === roundId));
    const round = hit?.rounds.find((r) => r.roundId === roundId);
    if (!data || !hit || !round) return null;
    const { rows } = await ctx.pool.query<Held>(
      `select a.number, p.code, p.level, p.fields from application a
         join choice c on c.application_id = a.id and c.withdrawn_at is null
         join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id
       where a.person_id = $1 and a.withdrawn_at is null
         and (a.cycle_id, a.procedure_id) = (select i2.cycle_id, p2.procedure_id from round r join intake i2 on i2.id = r.intake_id
           join programme p2 on p2.id = i2.programme_id where r.id = $2)
       order by c.rank`,
      [ctx.actor.id, roundId],
    );
    return {
      zone: data.zone,
      office: data.office,
      hit,
      round,
      existing: rows[0] ? { number: rows[0].number, programmes: rows.map((r) => r.code) } : null,
      refusal: choiceRefusal(hit.procedure.rules, rows, hit),
    };
  },
});
