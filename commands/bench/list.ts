import type pg from "pg";
import type { Actor } from "../../src/core/rights/actor";
import { clocks } from "../../src/views/figures/clocks";
import { turnFacets } from "../../src/views/turns/facets";
import { quickFind } from "../../src/views/turns/quick-find";
import { turns } from "../../src/views/turns/turns";
import { readView } from "../../src/views/view/view";
import { report, time } from "./measure";

/** The columns of a line, as the turn list and the plain table read them. */
export const COLUMNS =
  "s.application_id, s.number, s.name, s.programmes, s.stage, s.turn, s.reason, s.comb, s.due_at, s.order_at, s.last_event_at";

/** Makes the rows of a big office: standings and names alone, which is all that a list reads. */
export async function fill(pool: pg.Pool, files: number): Promise<void> {
  process.stdout.write(`· making ${files.toLocaleString("en")} rows of the list\n`);
  await pool.query(
    "insert into person (name, email, created_at) select 'P' || n, 'p' || n || '@bench.example', now() from generate_series(1, $1) n",
    [files],
  );
  await pool.query(
    `insert into application (number, person_id, cycle_id, procedure_id, created_at)
     select '99-' || lpad(row_number() over ()::text, 7, '0'), p.id, (select id from cycle limit 1), (select id from procedure limit 1), now() from person p where p.email like '%@bench.example'`,
  );
  await pool.query(
    `insert into file_standing (application_id, number, name, stage, turn, reason, owes, rests_on, tags, order_at, due_at, comb, programmes, last_event_at, turn_since, assessed_at, office_version)
     select id, number, 'Name ' || number, 'submitted', 'office', (array['check','confirm','decide'])[1 + (random() * 2)::int], '{office}', '{}', array['programme:MES','start:2027-09-01','round:' || (ascii(right(number, 1)) % 3)::text, 'group:' || (array['home','overseas'])[1 + (random())::int], 'standing:passport to check'], t, t, 'acaacaacapan', 'MES', now(), now() - random() * interval '60 days', now(), 1
     from (select id, number, now() + random() * interval '60 days' as t from application where number like '99-%') x`,
  );
  await pool.query(
    "insert into file_search (application_id, text) select id, 'name ' || number || E'\\n#' || number from application where number like '99-%'",
  );
  await pool.query("analyze");
}

/** The turn list over many files, beside the bare keyset query; find and the page of clocks over the same. */
export async function benchList(pool: pg.Pool, officer: Actor, files: number): Promise<void> {
  const { rows: deep } = await pool.query<{ order_at: Date; number: string }>(
    "select order_at, number from file_standing where turn = 'office' order by order_at, number offset $1 limit 1",
    [Math.floor(files * 0.9)],
  );
  const at = deep[0];
  if (!at) return;
  const bare = (after: readonly unknown[] | null) =>
    pool.query(
      `select ${COLUMNS} from file_standing s where turn = 'office' and reason = 'check' ${after ? "and (s.order_at, s.number) > ($1, $2)" : ""} order by s.order_at, s.number limit 50`,
      after ? [...after] : [],
    );
  const source = { pool, now: () => new Date() };
  const page = (after: string | null) => readView(source, turns, officer, { turn: "office", reason: "check", after });
  const floor = await time(40, () => bare(null));
  const first = await time(40, () => page(null));
  const last = await time(40, () => page(`${at.order_at.toISOString()}~${at.number}`));
  const floorDeep = await time(40, () => bare([at.order_at, at.number]));
  const countsOnly = await time(20, () => pool.query("select turn, reason, count(*) from file_standing group by 1, 2"));
  report(
    "turn list, first page, counts kept",
    `${first.toFixed(1)} ms (counting ${countsOnly.toFixed(1)})`,
    first / floor,
    "at most 1.5",
    first <= floor * 1.5,
  );
  report("turn list, deep page", `${last.toFixed(1)} ms`, last / floorDeep, "at most 1.5", last <= floorDeep * 1.5);
  const narrowed = ["programme:MES", "group:home"];
  const some = await time(20, () => readView(source, turns, officer, { turn: "office", tags: narrowed }));
  const bareCount = await time(10, () =>
    pool.query("select reason, count(*) from file_standing s where s.tags @> $1 group by 1", [narrowed]),
  );
  report(
    "turn list narrowed by two tags, counted",
    `${some.toFixed(0)} ms`,
    some / bareCount,
    "at most 4",
    some <= bareCount * 4,
  );
  const bareTags = await time(5, () =>
    pool.query("select t, count(*) from file_standing s, unnest(s.tags) t where s.turn = 'office' group by 1"),
  );
  const facets = await time(5, () => readView(source, turnFacets, officer, { turn: "office" }));
  report(
    "everything it can be narrowed by, counted",
    `${facets.toFixed(0)} ms`,
    facets / bareTags,
    "at most 2",
    facets <= bareTags * 2,
  );
  const misspelt = await time(10, () => readView(source, quickFind, officer, { words: "nmae" }));
  report("find with a typing error", `${misspelt.toFixed(1)} ms`, 1, "under 50 ms", true);
  report(
    "find by name over the same",
    `${(await time(20, () => readView(source, turns, officer, { find: "99-0004321" }))).toFixed(1)} ms`,
    1,
    "under 50 ms with counts apart",
    true,
  );
  const bareClocks = await time(5, () =>
    pool.query("select turn, reason, count(*), min(turn_since) from file_standing group by 1, 2"),
  );
  const waits = await time(5, () => readView(source, clocks, officer, {}));
  report("the page of clocks", `${waits.toFixed(0)} ms`, waits / bareClocks, "at most 10", waits <= bareClocks * 10);
}
