import { createHash, randomUUID } from "node:crypto";
import type pg from "pg";
import type { Turn } from "../../core/file/facts";
import type { FileReason } from "../../core/file/reason";
import type { Stage } from "../../core/file/result";
import { type FoundBy, foundBy, soughtWords } from "../../core/settlement/search-text";
import { settle } from "../../core/settlement/settle";
import { loadFiles } from "../../db/queries/load-file";
import { officeNow } from "../view/office-now";
import { orderKeyOf } from "../view/order-key";
import { programmesOf, scopeParameter } from "../view/scope";
import { defineView, type ViewContext } from "../view/view";
import { tagTitles } from "./facets";
import {
  DAY_LISTS,
  type DayList,
  type Filter,
  filterOf,
  isNarrowed,
  NOBODY,
  ORDERS,
  type Order,
  shownWhere,
  turnsInput,
} from "./filter";

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

interface DayCounts {
  /** How many files stand on each of the lists that a day begins with. */
  readonly days: Readonly<Record<DayList, number>>;
  /** Drafts to which nothing is missing but the submission. */
  readonly almostSent: number;
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
  /** When something last came in from outside the office. */
  readonly arrivedAt: string | null;
  readonly officer: string | null;
  /** Where it was looked for: by what it was found, and that as it is compared. */
  readonly foundBy: { readonly by: FoundBy | "address"; readonly line: string } | null;
}

export interface TurnsData extends DayCounts {
  /** Until when whoever reads the list has seen what came in; null where they never said so. */
  readonly looked: string | null;
  readonly now: string;
  readonly zone: string;
  readonly counts: readonly TurnCount[];
  /** How many files owe a step under a turn while they are in another one. */
  readonly also: readonly AlsoCount[];
  /** The answer that the list is narrowed to, in words. */
  readonly said: string | null;
  readonly rows: readonly TurnRow[];
  /** What the list is narrowed down to, in words, by the tag or the officer. */
  readonly chips: readonly { readonly value: string; readonly title: string }[];
  /** Nothing is called as it was typed: these are close to it. */
  readonly near: boolean;
  /** Where the next page begins; null on the last. */
  readonly next: string | null;
  readonly total: number;
}

export const PAGE = 50;

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
  arrived_at: Date | null;
  officer: string | null;
  search?: string | null;
}

/**
 * Counting a big office takes as long as everything else on the page together: its counts are kept for a moment, those of a
 * small one and of one officer's files are always fresh.
 */
const BIG_OFFICE = 5000;
const KEPT_MS = 5000;
const kept = new WeakMap<pg.Pool, Map<string, { readonly until: number; readonly counts: unknown }>>();

/** @param size of how many files it was counted */
async function keptShort<T>(
  pool: pg.Pool,
  key: string,
  fresh: () => Promise<T>,
  size: (counts: T) => number,
): Promise<T> {
  const known = kept.get(pool) ?? new Map();
  kept.set(pool, known);
  const before = known.get(key);
  if (before && before.until > performance.now()) return before.counts as T; // kept under the same key
  const counts = await fresh();
  if (size(counts) > BIG_OFFICE) known.set(key, { until: performance.now() + KEPT_MS, counts });
  return counts;
}

/** What counting passes over of a filter: where one stands, and what is looked for. */
const EVERY_TURN = { turn: null, reason: null, also: null, find: null, after: null, order: "urgent" as const };
const EVERYTHING = {
  ...EVERY_TURN,
  ...{
    mine: false,
    officer: null,
    mark: null,
    tags: [],
    day: null,
    round: null,
    alike: false,
    said: null,
    known: null,
  },
};

const filesIn = ({ counts }: Counts): number => counts.reduce((sum, c) => sum + c.count, 0);

async function counts(ctx: ViewContext, scope: readonly string[] | null, filter: Filter): Promise<Counts & DayCounts> {
  const whole = { ...filter, ...EVERYTHING };
  const [all, days] = await keptShort(
    ctx.pool,
    JSON.stringify([scope, ctx.actor.kind === "person" ? ctx.actor.id : null, filter.look]),
    () => Promise.all([count(ctx, scope, whole), countDays(ctx, scope, whole)]),
    ([files]) => filesIn(files),
  );
  return { ...(isNarrowed(filter) ? await count(ctx, scope, filter) : all), ...days };
}

async function countDays(ctx: ViewContext, scope: readonly string[] | null, whole: Filter): Promise<DayCounts> {
  const number = async (filter: Filter) => {
    const { where, values } = shownWhere(ctx, scope, filter);
    const { rows } = await ctx.pool.query<{ count: number }>(
      `select count(*)::int as count from file_standing s ${where}`,
      [...values],
    );
    return rows[0]?.count ?? 0;
  };
  const [almostSent, ...days] = await Promise.all([
    number({ ...whole, turn: "applicant", reason: "submit" }),
    ...DAY_LISTS.map((day) => number({ ...whole, day })),
  ]);
  const counted = Object.fromEntries(DAY_LISTS.map((day, i) => [day, days[i] ?? 0])) as Record<DayList, number>; // all of them
  return { days: counted, almostSent: almostSent ?? 0 };
}

async function count(ctx: ViewContext, scope: readonly string[] | null, filter: Filter): Promise<Counts> {
  const { where, values } = shownWhere(ctx, scope, { ...filter, ...EVERY_TURN });
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

/** A page of files by keyset, in the order that is asked for, then by number. */
async function page(ctx: ViewContext, scope: readonly string[] | null, filter: Filter): Promise<readonly Row[]> {
  const { where, values } = shownWhere(ctx, scope, filter);
  const { column, way } = ORDERS[filter.order];
  const { rows } = await ctx.pool.query<Row>({
    name: `turns ${createHash("sha1").update(`${where} ${filter.order}`).digest("base64url")}`,
    text: `select s.application_id as id, s.number, s.name, s.programmes, s.stage, s.turn, s.reason, s.owes, s.next_title as title, s.next_count as count, s.comb, s.due_at, s.order_at,
       s.last_event_at, s.arrived_at, s.valid_until, s.mend_until, o.name as officer${filter.find === null ? "" : ", (select n.text from file_search n where n.application_id = s.application_id) as search"}
     from file_standing s left join person o on o.id = s.officer_id
     ${where} order by ${column} ${way}, s.number ${way} limit ${PAGE + 1}`,
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

/** What was looked for exactly; where nothing is called so, what is nearly. */
async function found(ctx: ViewContext, scope: readonly string[] | null, filter: Filter) {
  const rows = await page(ctx, scope, filter);
  if (filter.find === null || rows.length > 0 || filter.after !== null) return { rows, near: false };
  const near = await page(ctx, scope, { ...filter, near: true });
  return { rows: near.slice(0, PAGE), near: near.length > 0 };
}

/** Where the next page begins. */
function keyAfter(row: Row, order: Order): string {
  const at = { urgent: row.order_at, untouched: row.last_event_at, newest: row.arrived_at }[order];
  return orderKeyOf(at ?? row.last_event_at, row.number);
}

function shownRow(
  { search, due_at, mend_until, last_event_at, arrived_at, order_at: _order, valid_until: _valid, owes, ...row }: Row,
  find: string | null,
  near: boolean,
): TurnRow {
  const hit = find !== null && search ? foundBy(search, soughtWords(find), near) : null;
  return {
    ...row,
    also: owes.filter((turn) => turn !== row.turn && ALSO_SHOWN.includes(turn)),
    dueAt: due_at?.toISOString() ?? null,
    mendUntil: mend_until?.toISOString() ?? null,
    lastEventAt: last_event_at.toISOString(),
    arrivedAt: arrived_at?.toISOString() ?? null,
    foundBy: find?.includes("@") ? { by: "address", line: "" } : hit,
  };
}

/** The tags of a filter, and the officer, in words. */
async function chipsOf(pool: pg.Pool, { tags, officer, office }: Filter): Promise<TurnsData["chips"]> {
  const titles = tags.length > 0 ? await tagTitles(pool, office.set, tags) : new Map<string, string>();
  const named =
    officer !== null && officer !== NOBODY
      ? await pool.query<{ name: string }>("select name from person where id = $1", [officer])
      : null;
  return [
    ...tags.map((value) => ({ value, title: titles.get(value) ?? value })),
    ...(officer === null ? [] : [{ value: officer, title: named?.rows[0]?.name ?? "In nobody’s hands" }]),
  ];
}

/** The officer's home: whose turn it is, with counts, and the files of one turn or reason, the most urgent first. */
/** A short text that is another one as soon as anything that the list shows is. */
export function listDigest({ rows, counts: byTurn, also, total, days, almostSent }: TurnsData): string {
  const shown = JSON.stringify([rows, byTurn, also, total, days, almostSent]);
  return createHash("sha1").update(shown).digest("base64url");
}

export const turns = defineView({
  name: "turns",
  input: turnsInput,
  read: async (ctx, asked): Promise<TurnsData | null> => {
    const scope = programmesOf(ctx.actor);
    if (scope === null || ctx.actor.kind !== "person") return null;
    const filter = await filterOf(ctx, asked);
    if (filter === null) return null;
    const parameter = scopeParameter(scope);
    const [all, { rows, near }] = await Promise.all([counts(ctx, parameter, filter), found(ctx, parameter, filter)]);
    const shown = await refreshed(ctx, rows.slice(0, PAGE));
    const last = shown.at(-1);
    return {
      now: ctx.now.toISOString(),
      zone: filter.office.set.zone,
      looked: filter.look?.toISOString() ?? null,
      counts: all.counts,
      also: all.also,
      days: all.days,
      almostSent: all.almostSent,
      chips: await chipsOf(ctx.pool, filter),
      said: filter.known ? `${filter.known.title} ${filter.known.label}` : null,
      rows: shown.map((row) => shownRow(row, filter.find, near)),
      near,
      next: rows.length > PAGE && last ? keyAfter(last, filter.order) : null,
      total: filter.also ? (all.also.find((a) => a.turn === filter.also)?.count ?? 0) : totalOf(all.counts, filter),
    };
  },
});
