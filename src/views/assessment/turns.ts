import { createHash, randomUUID } from "node:crypto";
import type pg from "pg";
import { z } from "zod";
import type { Turn } from "../../core/file/facts";
import type { FileReason } from "../../core/file/reason";
import type { Stage } from "../../core/file/result";
import { settle } from "../../core/settlement/settle";
import { loadFiles } from "../../db/queries/load-file";
import { officeNow } from "../view/office-now";
import { orderKey, orderKeyOf, readOrderKey } from "../view/order-key";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView, type ViewContext } from "../view/view";
import { answeredSo, type KnownAnswer, knownAnswer, saysSo } from "./answered-so";

export interface TurnCount {
  readonly turn: Turn;
  readonly reason: FileReason;
  readonly count: number;
}

export interface AlsoCount {
  readonly turn: Turn;
  readonly count: number;
}

/** What others still do is no news on a line; that somebody else owes a step there is, where one would look for the file under their turn. */
const ALSO_SHOWN: readonly Turn[] = ["applicant", "payment"];

interface Counts {
  readonly counts: readonly TurnCount[];
  readonly also: readonly AlsoCount[];
}

export interface TurnRow {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly programmes: string;
  readonly stage: Stage;
  readonly turn: Turn;
  readonly reason: FileReason;
  /** Who else owes a step. */
  readonly also: readonly Turn[];
  readonly title: string | null;
  readonly count: number | null;
  readonly comb: string;
  readonly dueAt: string | null;
  /** Until when gaps can still be mended before the round closes. */
  readonly mendUntil: string | null;
  readonly lastEventAt: string;
  readonly officer: string | null;
}

export interface TurnsData {
  readonly now: string;
  readonly zone: string;
  readonly counts: readonly TurnCount[];
  /** How many files owe a step under a turn while they are in another one. */
  readonly also: readonly AlsoCount[];
  /** The answer that the list is narrowed to, in words. */
  readonly said: string | null;
  readonly rows: readonly TurnRow[];
  /** Where the next page begins; null on the last. */
  readonly next: string | null;
  readonly total: number;
}

export const PAGE = 50;

export const ROUND_FILTERS = ["open", "closed"] as const;
export type RoundFilter = (typeof ROUND_FILTERS)[number];

/** SQL that holds for files whose round is as asked, with the moment of now as parameter. */
const roundIs = (round: RoundFilter, now: string): string =>
  round === "open"
    ? `s.mend_until > ${now}::timestamptz`
    : `s.stage = 'submitted' and (s.mend_until is null or s.mend_until <= ${now}::timestamptz)`;

/** SQL that holds for files with a statement like somebody else's that nobody has judged yet. */
const ALIKE = `s.application_id in (select t.application_id from likeness l cross join lateral (values (l.first_id), (l.second_id)) x (id)
  join statement_text t on t.id = x.id where l.verdict is null)`;

const input = z.object({
  turn: z.string().max(20).nullable().default(null),
  reason: z.string().max(40).nullable().default(null),
  /** Those alone that owe a step under this turn while they are in another one. */
  also: z.string().max(20).nullable().default(null),
  mine: z.boolean().default(false),
  /** Those alone whose gaps can still be mended before the round closes, or those that were left with gaps when it had closed. */
  round: z.enum(ROUND_FILTERS).nullable().default(null),
  /** Those alone with a statement like somebody else's that nobody has judged yet. */
  alike: z.boolean().default(false),
  /** Those alone in which a counted answer was given, of the submitted applications of a start. */
  said: answeredSo.nullable().catch(null).default(null),
  find: z.string().max(100).nullable().default(null),
  after: orderKey,
});

interface Row {
  id: string;
  number: string;
  name: string;
  programmes: string;
  stage: Stage;
  turn: Turn;
  reason: FileReason;
  owes: readonly Turn[];
  title: string | null;
  count: number | null;
  comb: string;
  due_at: Date | null;
  order_at: Date;
  last_event_at: Date;
  valid_until: Date | null;
  mend_until: Date | null;
  officer: string | null;
}

/**
 * Counting a big office takes as long as everything else on the page together: its counts are kept for a moment, those of a
 * small one and of one officer's files are always fresh.
 */
const BIG_OFFICE = 5000;
const KEPT_MS = 5000;
const kept = new WeakMap<pg.Pool, Map<string, { readonly until: number; readonly counts: Counts }>>();

/** A filter that was read, with the answer that it asks for as the rulebook knows it. */
type Filter = z.output<typeof input> & { readonly known: KnownAnswer | null };

async function filterOf(ctx: ViewContext, asked: z.output<typeof input>): Promise<Filter | null> {
  if (asked.said === null) return { ...asked, known: null };
  const known = await knownAnswer(ctx.pool, asked.said, (await officeNow(ctx.pool)).set);
  return known ? { ...asked, known } : null;
}

async function counts(
  ctx: ViewContext,
  scope: readonly string[] | null,
  mine: string | null,
  filter: Filter,
): Promise<Counts> {
  if (mine !== null || filter.round !== null || filter.alike || filter.known) return count(ctx, scope, mine, filter);
  const known = kept.get(ctx.pool) ?? new Map();
  kept.set(ctx.pool, known);
  const key = JSON.stringify(scope);
  const before = known.get(key);
  if (before && before.until > performance.now()) return before.counts;
  const fresh = await count(ctx, scope, null, filter);
  if (fresh.counts.reduce((sum, c) => sum + c.count, 0) > BIG_OFFICE)
    known.set(key, { until: performance.now() + KEPT_MS, counts: fresh });
  return fresh;
}

async function count(
  ctx: ViewContext,
  scope: readonly string[] | null,
  mine: string | null,
  filter: Filter,
): Promise<Counts> {
  const all = { ...filter, turn: null, reason: null, also: null, find: null, after: null };
  const { where, values } = shownWhere(ctx, scope, all, mine);
  const [counted, also] = await Promise.all([
    ctx.pool.query<TurnCount>(
      `select s.turn, s.reason, count(*)::int as count from file_standing s ${where} group by s.turn, s.reason`,
      [...values],
    ),
    ctx.pool.query<AlsoCount>(
      `select x.turn, count(*)::int as count from file_standing s cross join lateral unnest(s.owes) as x (turn)
       ${where === "" ? "where" : `${where} and`} x.turn <> s.turn and x.turn = any(array[${ALSO_SHOWN.map((turn) => `'${turn}'`).join(", ")}]) group by x.turn`,
      [...values],
    ),
  ]);
  return { counts: counted.rows, also: also.rows };
}

const hasName = (p: string): string =>
  `s.application_id in (select n.application_id from file_name n where n.folded like '%' || ${p} || '%')`;

/** The address of the account, or a part of it. */
const hasAddress = (p: string): string =>
  `s.application_id in (select a.id from application a join person w on w.id = a.person_id where strpos(lower(w.email::text), ${p}) > 0)`;

/**
 * The condition under which a file is shown. Only what is asked for stands in the statement, so that each kind of page is planned once
 * a connection, along its own index. No jsonb, no offset.
 */
function shownWhere(
  ctx: ViewContext,
  scope: readonly string[] | null,
  filter: Filter,
  mine: string | null,
): { readonly where: string; readonly values: readonly unknown[] } {
  const values: unknown[] = [];
  const conditions: string[] = [];
  const only = (condition: (parameter: string) => string, value: unknown) => {
    if (value === null) return;
    values.push(value);
    conditions.push(condition(`$${values.length}`));
  };
  const from = readOrderKey(filter.after);
  only((p) => `s.turn = ${p}`, filter.turn);
  only((p) => `s.owes @> array[${p}] and s.turn <> ${p}`, filter.also);
  only((p) => `s.reason = ${p}`, filter.reason);
  only((p) => `s.officer_id = ${p}`, mine);
  only(filter.find?.includes("@") ? hasAddress : hasName, filter.find);
  const { round } = filter;
  if (round !== null) only((p) => roundIs(round, p), ctx.now);
  if (filter.alike) conditions.push(ALIKE);
  only(saysSo, filter.known?.parameter ?? null);
  only((p) => fileInScope("s.application_id", p), scope);
  if (from) {
    values.push(...from);
    conditions.push(`(s.order_at, s.number) > ($${values.length - 1}::timestamptz, $${values.length})`);
  }
  return { where: conditions.length > 0 ? `where ${conditions.join(" and ")}` : "", values };
}

/** A page of files by keyset: urgent first, then by number. */
async function page(
  ctx: ViewContext,
  scope: readonly string[] | null,
  filter: Filter,
  mine: string | null,
): Promise<readonly Row[]> {
  const { where, values } = shownWhere(ctx, scope, filter, mine);
  const { rows } = await ctx.pool.query<Row>({
    name: `turns ${createHash("sha1").update(where).digest("base64url")}`,
    text: `select s.application_id as id, s.number, s.name, s.programmes, s.stage, s.turn, s.reason, s.owes, s.next_title as title, s.next_count as count, s.comb, s.due_at, s.order_at,
       s.last_event_at, s.valid_until, s.mend_until, o.name as officer
     from file_standing s left join person o on o.id = s.officer_id
     ${where} order by s.order_at, s.number limit ${PAGE + 1}`,
    values: [...values],
  });
  return rows;
}

/** Rows whose result time alone has changed since it was stored are assessed again before they are shown. */
async function refreshed(ctx: ViewContext, rows: readonly Row[]): Promise<readonly Row[]> {
  const aged = rows.filter((r) => r.valid_until !== null && r.valid_until <= ctx.now).map((r) => r.id);
  if (aged.length === 0) return rows;
  const office = await officeNow(ctx.pool);
  const fresh = new Map(
    (await loadFiles(ctx.pool, aged)).map((file) => {
      const { row } = settle(file, office, ctx.now.getTime(), randomUUID);
      return [row.applicationId, row] as const;
    }),
  );
  const asDate = (instant: string | null) => (instant === null ? null : new Date(instant));
  return rows.map((stored) => {
    const row = fresh.get(stored.id);
    if (!row) return stored;
    const { name, programmes, stage, turn, reason, owes, nextTitle: title, nextCount: count, comb } = row;
    const due = { due_at: asDate(row.dueAt), mend_until: asDate(row.mendUntil) };
    return { ...stored, name, programmes, stage, turn, reason, owes, title, count, comb, ...due };
  });
}

const totalOf = (counts: readonly TurnCount[], { turn, reason }: Filter): number =>
  counts
    .filter((c) => (turn === null || c.turn === turn) && (reason === null || c.reason === reason))
    .reduce((sum, c) => sum + c.count, 0);

/** The officer's home: whose turn it is, with counts, and the files of one turn or reason, the most urgent first. */
export const turns = defineView({
  name: "turns",
  input,
  read: async (ctx, asked): Promise<TurnsData | null> => {
    const scope = programmesOf(ctx.actor);
    const filter = await filterOf(ctx, asked);
    if (scope === null || ctx.actor.kind !== "person" || filter === null) return null;
    const mine = filter.mine ? ctx.actor.id : null;
    const parameter = scopeParameter(scope);
    const [all, found, office] = await Promise.all([
      counts(ctx, parameter, mine, filter),
      page(ctx, parameter, filter, mine),
      officeNow(ctx.pool),
    ]);
    const shown = await refreshed(ctx, found.slice(0, PAGE));
    const last = shown.at(-1);
    return {
      now: ctx.now.toISOString(),
      zone: office.set.zone,
      counts: all.counts,
      also: all.also,
      said: filter.known ? `${filter.known.title} ${filter.known.label}` : null,
      rows: shown.map(({ due_at, mend_until, order_at: _order, last_event_at, valid_until: _valid, owes, ...row }) => ({
        ...row,
        also: owes.filter((turn) => turn !== row.turn && ALSO_SHOWN.includes(turn)),
        dueAt: due_at?.toISOString() ?? null,
        mendUntil: mend_until?.toISOString() ?? null,
        lastEventAt: last_event_at.toISOString(),
      })),
      next: found.length > PAGE && last ? orderKeyOf(last.order_at, last.number) : null,
      total: filter.also ? (all.also.find((a) => a.turn === filter.also)?.count ?? 0) : totalOf(all.counts, filter),
    };
  },
});

/** A line of the list for a spreadsheet: whom to write to and to call, and what is next. */
export interface TurnContact
  extends Pick<Row, "number" | "name" | "programmes" | "stage" | "turn" | "reason" | "title" | "count" | "officer"> {
  readonly email: string;
  readonly phone: string | null;
  /** The last call showed that the number does not work. */
  readonly phone_dead: boolean;
  readonly due_at: Date | null;
}

/** More than an office has in one turn. */
const MOST_EXPORTED = 50_000;

/** The files of one turn or reason whole, with how their applicants are reached. */
export const turnContacts = defineView({
  name: "turn-contacts",
  input,
  read: async (ctx, asked): Promise<readonly TurnContact[] | null> => {
    const scope = programmesOf(ctx.actor);
    const filter = await filterOf(ctx, asked);
    if (scope === null || ctx.actor.kind !== "person" || filter === null) return null;
    const mine = filter.mine ? ctx.actor.id : null;
    const { where, values } = shownWhere(ctx, scopeParameter(scope), { ...filter, after: null }, mine);
    const { rows } = await ctx.pool.query<TurnContact>(
      `select s.number, s.name, s.programmes, s.stage, s.turn, s.reason, s.owes, s.next_title as title, s.next_count as count, s.due_at, o.name as officer, p.email,
         x.value #>> '{}' as phone, coalesce((select r.kind = 'dead' from contact_note r where r.application_id = s.application_id
           and (r.scope, r.section, r.entry, r.field, r.version) = (x.scope, x.section, x.entry, x.field, x.version) and r.kind in ('talked', 'confirmed', 'dead')
           order by r.at desc limit 1), false) as phone_dead
       from file_standing s
         left join lateral (select * from answer y where y.application_id = s.application_id and y.section = 'contact' and y.field = 'phone' and not y.dormant limit 1) x on true
         join application a on a.id = s.application_id join person p on p.id = a.person_id left join person o on o.id = s.officer_id
       ${where} order by s.order_at, s.number limit ${MOST_EXPORTED}`,
      [...values],
    );
    return rows;
  },
  readings: (rows) => [{ kind: "list downloaded", file: null, about: `files, ${rows.length}` }],
});
