import type pg from "pg";
import { z } from "zod";
import { isWorking } from "../../core/calendar/working-days";
import type { Actor } from "../../core/rights/actor";
import { readTag, tagText } from "../../core/settlement/file-tags";
import { soughtWords } from "../../core/settlement/search-text";
import type { Office } from "../../core/standards/reference-set";
import { formatDay, weekday } from "../../core/time/day";
import { dayAt, startOfDay } from "../../core/time/zone";
import { officeNow } from "../view/office-now";
import { orderKey, readOrderKey } from "../view/order-key";
import { fileInScope } from "../view/scope";
import type { ViewContext } from "../view/view";
import { answeredSo, type KnownAnswer, knownAnswer, saysSo } from "./answered-so";

/** Which files a list holds, and in which order: every part of it stands in the address of the page. */
export const ROUND_FILTERS = ["open", "closed"] as const;
export type RoundFilter = (typeof ROUND_FILTERS)[number];

/** Lists that a day begins with. */
export const DAY_LISTS = ["came in", "due this week", "stuck", "for me"] as const;
export type DayList = (typeof DAY_LISTS)[number];

/** By what is due first; by what nobody has touched for the longest; by what came in last. */
export const ORDERS = {
  urgent: { column: "s.order_at", way: "asc" },
  untouched: { column: "s.last_event_at", way: "asc" },
  newest: { column: "s.arrived_at", way: "desc" },
} as const;
export type Order = keyof typeof ORDERS;

/** Nobody has a file in hand. */
export const NOBODY = "nobody";

export const turnsInput = z.object({
  turn: z.string().max(20).nullable().default(null),
  reason: z.string().max(40).nullable().default(null),
  /** Those alone that owe a step under this turn while they are in another one. */
  also: z.string().max(20).nullable().default(null),
  mine: z.boolean().default(false),
  /** In whose hands: an officer’s id, or `nobody`. */
  officer: z
    .union([z.uuid(), z.literal(NOBODY)])
    .nullable()
    .catch(null)
    .default(null),
  /** All of them have to hold: see core/settlement/file-tags. What is none is passed over. */
  tags: z
    .array(z.string().max(160))
    .max(20)
    .transform((all) => all.flatMap((text) => readTag(text) ?? []).map(tagText))
    .default([]),
  /** A word that officers have put on files. */
  mark: z.string().max(40).nullable().catch(null).default(null),
  day: z.enum(DAY_LISTS).nullable().catch(null).default(null),
  /** Those alone whose gaps can still be mended before the round closes, or those that were left with gaps when it had closed. */
  round: z.enum(ROUND_FILTERS).nullable().default(null),
  /** Those alone with a statement like somebody else's that nobody has judged yet. */
  alike: z.boolean().default(false),
  /** Those alone in which a counted answer was given, of the submitted applications of a start. */
  said: answeredSo.nullable().catch(null).default(null),
  /** Folded, or an address, or a number after `#`. */
  find: z.string().max(100).nullable().default(null),
  order: z.enum(["urgent", "untouched", "newest"]).catch("urgent").default("urgent"),
  after: orderKey,
});

/** A filter that was read, with what it takes to ask the database. */
export interface Filter extends z.output<typeof turnsInput> {
  readonly known: KnownAnswer | null;
  readonly office: Office;
  /** Until when whoever asks has seen what came in; null where they never said so. */
  readonly look: Date | null;
  /** Looks for what is nearly so called, as nothing is exactly. */
  readonly near: boolean;
}

/** @returns null where an answer is asked for that nobody may know */
export async function filterOf(
  { pool, actor }: Pick<ViewContext, "pool" | "actor">,
  asked: z.output<typeof turnsInput>,
): Promise<Filter | null> {
  const [office, look] = await Promise.all([officeNow(pool), lastLook(pool, actor)]);
  if (asked.said === null) return { ...asked, office, look, known: null, near: false };
  const known = await knownAnswer(pool, asked.said, office.set);
  return known ? { ...asked, office, look, known, near: false } : null;
}

async function lastLook(pool: pg.Pool, actor: Actor): Promise<Date | null> {
  if (actor.kind !== "person") return null;
  const { rows } = await pool.query<{ at: Date }>("select at from last_look where person_id = $1", [actor.id]);
  return rows[0]?.at ?? null;
}

/** Whether a list is narrowed by more than the turn and its reason. */
export const isNarrowed = (f: Filter): boolean =>
  f.mine ||
  f.officer !== null ||
  f.mark !== null ||
  f.tags.length > 0 ||
  f.day !== null ||
  f.round !== null ||
  f.alike ||
  f.known !== null;

/** SQL that holds for files whose round is as asked, with the moment of now as parameter. */
const roundIs = (round: RoundFilter, now: string): string =>
  round === "open"
    ? `s.mend_until > ${now}::timestamptz`
    : `s.stage = 'submitted' and (s.mend_until is null or s.mend_until <= ${now}::timestamptz)`;

/** SQL that holds for files with a statement like somebody else's that nobody has judged yet. */
const ALIKE = `s.application_id in (select t.application_id from likeness l cross join lateral (values (l.first_id), (l.second_id)) x (id)
  join statement_text t on t.id = x.id where l.verdict is null)`;

/** The beginning of the last working day before today: what came in since then is news for whoever has not said what they have seen. */
export function newsSince({ calendar, zone }: Office, now: Date): Date {
  const today = dayAt(zone, now.getTime());
  let day = today - 1;
  while (!isWorking(calendar, day) && today - day < LONGEST_PAUSE) day -= 1;
  return new Date(startOfDay(zone, day));
}
/** No office is closed for longer without looking. */
const LONGEST_PAUSE = 14;
/** Nothing happened for so many days while it is somebody else's turn. */
const STUCK_DAYS = 14;

/** The end of the week: of Sunday. */
function endOfWeek({ zone }: Office, now: Date): Date {
  const today = dayAt(zone, now.getTime());
  return new Date(startOfDay(zone, today + 8 - weekday(today)));
}

const DAY_SQL: Readonly<Record<DayList, (p: string) => string>> = {
  "came in": (p) => `s.arrived_at >= ${p}::timestamptz`,
  "due this week": (p) => `s.turn = 'office' and s.order_at < ${p}::timestamptz`,
  "for me": (p) =>
    `s.application_id in (select n.application_id from note_mention m join file_note n on n.id = m.note_id where m.person_id = ${p} and m.read_at is null)`,
  stuck: (p) =>
    `s.turn in ('applicant', 'payment', 'third party') and s.stage <> 'preparing' and (s.due_at < ${p}::timestamptz or s.last_event_at < ${p}::timestamptz - interval '${STUCK_DAYS} days')`,
};

/** The parameter of each: a moment, or who asks. */
function dayOf(day: DayList, { office, look }: Filter, { now, actor }: ViewContext): Date | string | null {
  if (day === "for me") return actor.kind === "person" ? actor.id : null;
  if (day === "came in") return look ?? newsSince(office, now);
  return day === "stuck" ? now : endOfWeek(office, now);
}

/** A name that very many share is looked for among so many: whoever looks for it types more. */
const MOST_CANDIDATES = 5000;
/** Shorter words are found exactly or not at all. */
const FORGIVING_FROM = 4;

/** The address of the account, or a part of it. */
const hasAddress = (p: string): string =>
  `s.application_id in (select a.id from application a join person w on w.id = a.person_id where strpos(lower(w.email::text), ${p}) > 0)`;

/** Collects conditions, and the values of their parameters. */
class Where {
  readonly values: unknown[] = [];
  readonly conditions: string[] = [];
  parameter(value: unknown): string {
    this.values.push(value);
    return `$${this.values.length}`;
  }
  only(condition: (parameter: string) => string, value: unknown): void {
    if (value !== null) this.conditions.push(condition(this.parameter(value)));
  }
  get text(): string {
    return this.conditions.length > 0 ? `where ${this.conditions.join(" and ")}` : "";
  }
}

/**
 * SQL that holds for files that are called as somebody typed: each word of it is found, or nearly.
 * @param find folded, or a number after `#`
 * @param parameter keeps a value and says how it is named in the statement
 */
export function calledSo(find: string, near: boolean, parameter: (value: unknown) => string): string {
  const words = soughtWords(find).filter((word) => !near || (word.length >= FORGIVING_FROM && !word.startsWith("#")));
  if (words.length === 0) return "false";
  const each = words.map((word) =>
    near ? `${parameter(word)}::text <% n.text` : `n.text like '%' || ${parameter(word)}::text || '%'`,
  );
  return `s.application_id in (select n.application_id from file_search n where ${each.join(" and ")} limit ${MOST_CANDIDATES})`;
}

/**
 * The condition under which a file is shown. Only what is asked for stands in the statement, so that each kind of page is planned once
 * a connection, along its own index. No jsonb, no offset.
 * @param scope programmes, as `scopeParameter` has them
 */
export function shownWhere(
  ctx: ViewContext,
  scope: readonly string[] | null,
  filter: Filter,
): { readonly where: string; readonly values: readonly unknown[] } {
  const where = new Where();
  const { actor, now } = ctx;
  const { round, day, officer, tags, order } = filter;
  where.only((p) => `s.turn = ${p}`, filter.turn);
  where.only((p) => `s.owes @> array[${p}] and s.turn <> ${p}`, filter.also);
  where.only((p) => `s.reason = ${p}`, filter.reason);
  if (filter.mine && actor.kind === "person") {
    const [me, today] = [
      where.parameter(actor.id),
      where.parameter(formatDay(dayAt(filter.office.zone, now.getTime()))),
    ];
    // Whoever stands in for somebody has their files, too.
    where.conditions.push(
      `(s.officer_id = ${me} or s.officer_id in (select a.person_id from absence a where a.cover_id = ${me} and ${today}::date between a.from_on and a.until_on))`,
    );
  }
  if (officer === NOBODY) where.conditions.push("s.officer_id is null");
  else where.only((p) => `s.officer_id = ${p}`, officer);
  if (tags.length > 0) where.only((p) => `s.tags @> ${p}::text[]`, tags);
  where.only(
    (p) => `exists (select 1 from file_mark fm where fm.application_id = s.application_id and fm.mark = ${p})`,
    filter.mark,
  );
  if (day !== null) where.only(DAY_SQL[day], dayOf(day, filter, ctx));
  if (filter.find?.includes("@")) where.only(hasAddress, filter.find);
  else if (filter.find !== null)
    where.conditions.push(calledSo(filter.find, filter.near, (value) => where.parameter(value)));
  if (round !== null) where.only((p) => roundIs(round, p), now);
  if (filter.alike) where.conditions.push(ALIKE);
  where.only(saysSo, filter.known?.parameter ?? null);
  where.only((p) => fileInScope("s.application_id", p), scope);
  if (order === "newest") where.conditions.push("s.arrived_at is not null");
  const from = readOrderKey(filter.after);
  if (from) {
    const { column, way } = ORDERS[order];
    const [moment, number] = from.map((value) => where.parameter(value));
    where.conditions.push(`(${column}, s.number) ${way === "asc" ? ">" : "<"} (${moment}::timestamptz, ${number})`);
  }
  return { where: where.text, values: where.values };
}
