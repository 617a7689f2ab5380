import type pg from "pg";
import { z } from "zod";
import { orderKey, orderKeyOf, readOrderKey } from "../view/order-key";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

/** Which drafts: all, those that need nothing but the submission, those that close within a week, those that nobody touches. */
export const DRAFT_KINDS = ["all", "ready", "soon", "quiet"] as const;
export type DraftKind = (typeof DRAFT_KINDS)[number];

export interface DraftRow {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly programmes: string;
  readonly comb: string;
  /** How many requirements still keep it from being submitted; 0 where only the submission is missing. */
  readonly missing: number;
  readonly dueAt: string | null;
  /** The section of the answer that was saved last; null where nothing was filled in yet. */
  readonly stoppedAt: string | null;
  readonly savedAt: string | null;
  /** When its applicant was last written to about it. */
  readonly toldAt: string | null;
}

export interface DraftsPage {
  readonly kind: DraftKind;
  readonly now: string;
  readonly programmes: readonly string[];
  readonly programme: string | null;
  readonly counts: Readonly<Record<DraftKind, number>>;
  /**
   * Where the drafts of this kind stopped, by the title of the section, the most first; null stands for those without an answer. Of
   * very many, those that close first.
   */
  readonly stopped: readonly { readonly title: string | null; readonly count: number }[];
  readonly rows: readonly DraftRow[];
  readonly next: string | null;
}

const PAGE = 50;
const SOON_DAYS = 7;
const QUIET_DAYS = 14;

interface Row extends Stop {
  id: string;
  number: string;
  name: string;
  programmes: string;
  comb: string;
  reason: string;
  next_count: number | null;
  due_at: Date | null;
  order_at: Date;
  saved_at: Date | null;
  told_at: Date | null;
}

/** Where people stopped is counted over so many drafts at most, those that close first. */
const MOST_STOPS = 2000;

/** The drafts of an office; `$1` is the scope, `$2` the moment, `$3` the programme. */
const DRAFTS = `draft as (
  select s.application_id, s.number, s.name, s.programmes, s.comb, s.reason, s.next_count, s.due_at, s.order_at, l.saved_at,
    s.reason = 'submit' as ready, s.due_at <= $2::timestamptz + interval '${SOON_DAYS} days' as soon,
    coalesce(l.saved_at, a.created_at) < $2::timestamptz - interval '${QUIET_DAYS} days' as quiet
  from file_standing s join application a on a.id = s.application_id
    join lateral (select max(saved_at) as saved_at from answer where application_id = s.application_id) l on true
  where s.stage = 'preparing' and a.withdrawn_at is null and ${fileInScope("s.application_id", "$1")}
    and ($3::text is null or $3 = any(string_to_array(s.programmes, ' ')))
)`;

/** The rulebook of a draft's first choice, and the sections that were saved last. */
const STOP = `(select rulebook_id from choice where application_id = d.application_id and withdrawn_at is null order by rank limit 1) as rulebook_id,
  array(select distinct section from answer where application_id = d.application_id and saved_at = d.saved_at) as sections`;

const OF_KIND: Readonly<Record<DraftKind, string>> = { all: "true", ready: "ready", soon: "soon", quiet: "quiet" };

interface Stop {
  readonly rulebook_id: string;
  /** The sections that were saved last; several where they were sent at once. */
  readonly sections: readonly string[];
}

/** The titles of sections in the order of their rulebook, by rulebook. */
async function formsOf(pool: pg.Pool, ids: readonly string[]) {
  const { rows } = await pool.query<{ id: string; sections: readonly { key: string; title: string }[] }>(
    `select id, (select json_agg(json_build_object('key', s->>'key', 'title', s->'title'->>'en') order by o)
       from jsonb_array_elements(body->'sections') with ordinality as x (s, o)) as sections from rulebook where id = any($1::uuid[])`,
    [ids],
  );
  return new Map(rows.map((r) => [r.id, r.sections]));
}

/** Applications that were begun and not submitted: how long they have, what is missing, and where people stopped. */
export const drafts = defineView({
  name: "drafts",
  input: z.object({
    kind: z.enum(DRAFT_KINDS).catch("all").default("all"),
    programme: z.string().max(20).nullable().default(null),
    after: orderKey,
  }),
  read: async ({ pool, actor, now }, { kind, programme, after }): Promise<DraftsPage | null> => {
    const scope = programmesOf(actor);
    if (scope === null) return null;
    const values = [scopeParameter(scope), now, programme];
    const from = readOrderKey(after);
    const [counted, stopped, found, known] = await Promise.all([
      pool.query<Record<DraftKind, number>>(
        `with ${DRAFTS} select count(*)::int as "all", ${DRAFT_KINDS.slice(1)
          .map((k) => `count(*) filter (where ${OF_KIND[k]})::int as ${k}`)
          .join(", ")} from draft`,
        values,
      ),
      pool.query<Stop & { count: number }>(
        `with ${DRAFTS}, first as (select * from draft where ${OF_KIND[kind]} order by order_at, number limit ${MOST_STOPS})
         select rulebook_id, sections, count(*)::int as count from (select ${STOP} from first d) stop group by rulebook_id, sections`,
        values,
      ),
      pool.query<Row>(
        `with ${DRAFTS}, page as (select * from draft where ${OF_KIND[kind]} ${from ? "and (order_at, number) > ($4::timestamptz, $5)" : ""}
           order by order_at, number limit ${PAGE + 1})
         select d.application_id as id, d.number, d.name, d.programmes, d.comb, d.reason, d.next_count, d.due_at, d.order_at, d.saved_at, ${STOP},
           (select max(m.queued_at) from message m where m.application_id = d.application_id and m.template in ('draft-closes', 'draft-missing')) as told_at
         from page d order by d.order_at, d.number`,
        from ? [...values, ...from] : values,
      ),
      pool.query<{ code: string }>(
        "select code from programme where $1::text[] is null or code = any($1) order by code",
        [scopeParameter(scope)],
      ),
    ]);
    const [counts] = counted.rows;
    if (!counts) return null;
    const forms = await formsOf(pool, [...new Set([...stopped.rows, ...found.rows].map((r) => r.rulebook_id))]);
    const stopOf = ({ rulebook_id, sections }: Stop): string | null =>
      forms.get(rulebook_id)?.findLast((s) => sections.includes(s.key))?.title ?? null;
    const places = new Map<string | null, number>();
    for (const stop of stopped.rows) places.set(stopOf(stop), (places.get(stopOf(stop)) ?? 0) + stop.count);
    const shown = found.rows.slice(0, PAGE);
    const last = shown.at(-1);
    return {
      kind,
      now: now.toISOString(),
      programmes: known.rows.map((r) => r.code),
      programme,
      counts,
      stopped: [...places].map(([title, count]) => ({ title, count })).sort((a, b) => b.count - a.count),
      rows: shown.map((row) => ({
        id: row.id,
        number: row.number,
        name: row.name,
        programmes: row.programmes,
        comb: row.comb,
        missing: row.reason === "submit" ? 0 : (row.next_count ?? 0),
        dueAt: row.due_at?.toISOString() ?? null,
        stoppedAt: stopOf(row),
        savedAt: row.saved_at?.toISOString() ?? null,
        toldAt: row.told_at?.toISOString() ?? null,
      })),
      next: found.rows.length > PAGE && last ? orderKeyOf(last.order_at, last.number) : null,
    };
  },
});
