import { eq } from "drizzle-orm";
import { z } from "zod";
import { changedResults, type RegistryResult, type RegistrySitting } from "../../core/education/registry-answer";
import { enqueue } from "../../db/queue";
import { registryQuery } from "../../db/schema";
import { type ActContext, defineAct, done } from "../act/act";
import type { OpenFile } from "../act/file-act";
import { settleFile } from "../act/settle";
import { confirmResults, type RegistryQueryRow } from "./registry-values";

const AT_ONCE = 1000;

/**
 * Registries publish late and correct what they published: what was not found is asked again each day, what was found each week, as long
 * as no decision stands.
 */
export const askRegistriesAgain = defineAct({
  name: "ask-registries-again",
  input: z.object({}),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx) => {
    const { rows } = await ctx.client.query<{ id: string }>(
      `update registry_query q set again_at = $1 where q.id in (
         select l.id from (select distinct on (q.application_id, q.entry) q.id, q.application_id, q.state, coalesce(q.again_at, q.answered_at) as looked
           from registry_query q order by q.application_id, q.entry, q.asked_at desc, q.id) l
         join file_standing s on s.application_id = l.application_id and s.stage in ('submitted', 'complete', 'in review')
         where (l.state = 'not found' and l.looked < $1::timestamptz - interval '20 hours')
            or (l.state = 'found' and l.looked < $1::timestamptz - interval '6 days 20 hours')
         limit ${AT_ONCE}) returning q.id`,
      [ctx.now],
    );
    for (const { id } of rows) await enqueue(ctx.boss, ctx.client, "ask-registry", { queryId: id });
    return done({ asked: rows.length });
  },
});

type Answer =
  | { readonly kind: "down" | "not found" }
  | {
      readonly kind: "found";
      readonly name: string;
      readonly results: readonly RegistryResult[];
      readonly others: readonly RegistrySitting[];
      readonly since: string | null;
    };

/**
 * What a registry says when it is asked again. What is new enters the file; what differs from what was confirmed never overwrites it and
 * waits for a person; that something is not there any more says nothing.
 */
export async function answerAgain(
  ctx: ActContext,
  file: OpenFile,
  query: RegistryQueryRow,
  answer: Answer,
  same: boolean,
): Promise<RegistryQueryRow["state"]> {
  const keep = (change: Partial<RegistryQueryRow>) =>
    ctx.db.update(registryQuery).set(change).where(eq(registryQuery.id, query.id));
  if (answer.kind !== "found" || (query.state !== "not found" && !same)) return query.state;
  const { name, results, others, since } = answer;
  const first = query.state === "not found";
  const { added, differing } = changedResults(query.results ?? [], results);
  const state = first ? (same ? "found" : "other name") : differing.length > 0 ? "changed" : query.state;
  if (!first && added.length + differing.length === 0) return query.state;
  await keep({ state, answeredAt: ctx.now, name, results: [...results], others: [...others], since });
  if (same && added.length > 0) await confirmResults(ctx, file, query, added, query.byId);
  await ctx.emit("report-registry", file.id, { entry: query.entry, result: state });
  await settleFile(ctx, file.id);
  return state;
}
