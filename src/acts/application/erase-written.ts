import { dropUnheld } from "../../db/content";
import type { ActContext } from "../act/act";

/** What an applicant wrote or sent, and what was made of it; the number, the choices and the events stay. */
const WRITTEN = [
  "evidence",
  "reference_request",
  "signature_request",
  "registry_query",
  "confirmation",
  "confirmation_version",
  "link_note",
  "deed",
  "task",
  "adjustment",
  "contact_note",
  "attachment",
  "conversation",
  "incoming_mail",
  "check_claim",
  "check_later",
  "file_note",
  "file_mark",
  "file_presence",
  "keeper_note",
  "section_summary",
  "early_case",
  "statement_text",
  "answer",
  "answer_version",
  "excuse",
  "override",
  "ask",
  "announced_paper",
  "paper",
  "undertaking",
  "awaited",
  "message",
  "upload",
] as const;

/** Erases everything of a file that a person wrote, with documents that no other file holds. */
export async function eraseWritten(ctx: ActContext, id: string): Promise<void> {
  const { rows } = await ctx.client.query<{ sha256: string | null }>(
    "select unnest(array[sha256, original_sha256]) as sha256 from upload where application_id = $1",
    [id],
  );
  const { rows: copies } = await ctx.client.query<{ sha256: string | null }>(
    `with gone as (delete from copy_of where application_id = $1 returning sha256)
     select sha256 from gone union select unnest(array[f.sha256, f.original_sha256]) from incoming_file f join incoming_mail m on m.id = f.mail_id
       where m.application_id = $1 union select copy_sha256 from link_note where application_id = $1`,
    [id],
  );
  await ctx.client.query(
    "delete from likeness l using statement_text t where t.application_id = $1 and t.id in (l.first_id, l.second_id)",
    [id],
  );
  await ctx.client.query(
    "update owner_result set state = 'open', application_id = null, scope = null, section = null, entry = null where application_id = $1",
    [id],
  );
  await ctx.client.query("update submission set answers = '[]', uploads = '[]' where application_id = $1", [id]);
  await ctx.client.query("update correction_request set text = '' where application_id = $1", [id]);
  for (const table of WRITTEN) await ctx.client.query(`delete from ${table} where application_id = $1`, [id]);
  await dropUnheld(
    ctx.client,
    [...rows, ...copies].flatMap((r) => r.sha256 ?? []),
  );
}
