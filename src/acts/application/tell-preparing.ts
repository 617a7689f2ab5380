import type { Template } from "../../core/mail/templates";
import { enqueue } from "../../db/queue";
import type { ActContext } from "../act/act";

/** Whom it concerns: everybody who prepares an application in one round, or for one start of a programme. */
export type Preparing = { readonly round: string } | { readonly intake: string };

/**
 * Tells everybody who still prepares an application what has changed, and lets the files that it concerns be assessed anew,
 * submitted ones among them: what is stored of each ends with the moment it was made for, so every list looks at it again and the
 * job rewrites it.
 * @returns how many people were told
 */
export async function tellPreparing(
  ctx: ActContext,
  whom: Preparing,
  template: Template,
  values: Readonly<Record<string, string>>,
): Promise<number> {
  const [column, id] = "round" in whom ? ["round_id", whom.round] : ["intake_id", whom.intake];
  const mine = `c.${column} = $1 and c.submitted_at is null and c.withdrawn_at is null`;
  await ctx.client.query(
    `update file_standing s set valid_until = s.assessed_at from choice c
     where c.application_id = s.application_id and c.${column} = $1 and c.withdrawn_at is null`,
    [id],
  );
  const told = await ctx.client.query(
    `insert into message (application_id, person_id, to_address, template, locale, values, state, due_at, queued_at)
     select a.id, p.id, p.email, $2, p.locale, $3::jsonb || jsonb_build_object('name', p.name, 'number', a.number, 'link', '/my/' || a.number,
       'programmeEn', ltrim(r.award || ' ' || (r.title->>'en')), 'programmeFr', ltrim(r.award || ' ' || (r.title->>'fr'))), 'queued', $4, $4
     from choice c join application a on a.id = c.application_id join person p on p.id = a.person_id
       join intake i on i.id = c.intake_id join programme r on r.id = i.programme_id
     where ${mine} and a.withdrawn_at is null`,
    [id, template, JSON.stringify(values), ctx.now],
  );
  await enqueue(ctx.boss, ctx.client, "sweep-messages", {});
  await enqueue(ctx.boss, ctx.client, "reassess-aged", {});
  return told.rowCount ?? 0;
}
