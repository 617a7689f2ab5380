import type pg from "pg";
import { z } from "zod";
import type { FileEffect } from "../../core/difference/effect";

/** How many choices a preview touches, in all and by what changes. */
export interface EffectCounts {
  readonly choices: number;
  readonly files: number;
  readonly submitted: number;
  readonly drafts: number;
  readonly group: number;
  readonly eligibility: number;
  readonly finding: number;
  readonly missing: number;
  readonly due: number;
  readonly nextBy: number;
}

/** How far the last preview of a draft is, and what it found. */
export interface PreviewState {
  readonly total: number;
  readonly done: number;
  readonly finished: boolean;
  /** The draft has changed since. */
  readonly stale: boolean;
  readonly counts: EffectCounts;
  /** One page of the effects, by number. */
  readonly effects: readonly FileEffect[];
  /** Where the next page begins; null on the last. */
  readonly next: string | null;
}

export interface StoredPreview {
  readonly id: string;
  readonly total: number;
  readonly done: number;
  readonly finished: boolean;
  readonly edit: number;
}

const PAGE = 100;

/** `<number>~<choice>` of the last effect before a page; an address that somebody spoilt leads to the first page. */
export const effectKey = z
  .string()
  .regex(/^[^~]{1,20}~[0-9a-f-]{36}$/u)
  .nullable()
  .catch(null)
  .default(null);

/** The last preview as a column. @param which condition over the previews `v` */
export const lastPreview = (which: string): string =>
  `(select json_build_object('id', v.id, 'total', v.total, 'done', v.done, 'finished', v.finished_at is not null, 'edit', v.edit)
     from preview v where ${which} order by v.asked_at desc limit 1)`;

const has = (key: string): string => `(count(*) filter (where effect->'${key}' <> 'null'))::int`;

const COUNTS = `select count(*)::int as choices, count(distinct number)::int as files,
    (count(*) filter (where (effect->>'submitted')::boolean))::int as submitted, (count(*) filter (where not (effect->>'submitted')::boolean))::int as drafts,
    ${has("group")} as group, ${has("eligibility")} as eligibility, (count(*) filter (where effect->'findings' <> '[]'))::int as finding,
    (count(*) filter (where effect->'missing' <> '{"added": [], "gone": []}'))::int as missing, ${has("due")} as due, ${has("nextBy")} as "nextBy"
  from preview_effect where preview_id = $1`;

/** @param edit the state of the draft now. @param after where the page of effects begins */
export async function previewState(
  pool: pg.Pool,
  stored: StoredPreview | null,
  edit: number,
  after: string | null,
): Promise<PreviewState | null> {
  if (!stored) return null;
  const { edit: seen, id, ...state } = stored;
  const [number = "", choice = null] = after?.split("~") ?? [];
  const [counted, found] = await Promise.all([
    pool.query<EffectCounts>(COUNTS, [id]),
    pool.query<{ effect: FileEffect }>(
      `select effect from preview_effect where preview_id = $1 and ($3::uuid is null or (number, choice_id) > ($2, $3))
       order by number, choice_id limit ${PAGE + 1}`,
      [id, number, choice],
    ),
  ]);
  const [counts] = counted.rows;
  if (!counts) return null;
  const effects = found.rows.slice(0, PAGE).map((r) => r.effect);
  const last = effects.at(-1);
  const more = found.rows.length > PAGE && last;
  return { ...state, stale: seen !== edit, counts, effects, next: more ? `${last.number}~${last.choiceId}` : null };
}
