import { z } from "zod";
import { fold } from "../../core/people/fold";
import { registersOf } from "../../core/standards/reference-set";
import {
  bodiesOf,
  KEPT_ROW,
  type KeptAnswer,
  type KeptRow,
  keptAnswers,
  saysSecret,
  secretFields,
} from "../form/kept-answers";
import { officeNow } from "../view/office-now";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

export const MONEY_KINDS = ["all", "owed", "paid", "said"] as const;
export type MoneyKind = (typeof MONEY_KINDS)[number];

export interface Charged {
  readonly id: string;
  readonly title: string;
  readonly minor: number;
  readonly paidMinor: number;
  readonly currency: string;
  readonly reference: string;
  readonly madeAt: string;
}

export interface MoneyRow {
  readonly applicationId: string;
  readonly number: string;
  readonly name: string;
  readonly programmes: string;
  readonly charges: readonly Charged[];
  /** Papers that finance reads, too. */
  readonly papers: readonly { readonly uploadId: string; readonly title: string }[];
  /** What the form asks for finance alone, as it was answered. */
  readonly said: readonly KeptAnswer[];
}

export interface MoneyPage {
  readonly kind: MoneyKind;
  readonly counts: Readonly<Record<MoneyKind, number>>;
  /** Over all files in view. */
  readonly sums: readonly { readonly currency: string; readonly paidMinor: number; readonly owedMinor: number }[];
  readonly rows: readonly MoneyRow[];
  /** The number behind which the next page begins; null on the last. */
  readonly next: string | null;
  readonly zone: string;
}

const PAGE = 50;

/** What each charge comes to with what was added and taken off, and what was paid of it. */
const CHARGED = `charged as (select c.application_id, c.id, c.item, c.currency, c.payment_reference as reference, c.made_at,
    c.minor + coalesce((select sum(j.minor) from charge_adjustment j where j.charge_id = c.id), 0)::int as minor,
    coalesce((select sum(y.minor) from payment y where y.charge_id = c.id and y.state = 'booked'), 0)::int as paid from charge c)`;

/** Files, with what money has to do with each: a fee, an open one, an answer that is for finance. */
const TOUCHED = `${secretFields("finance")},
  ${CHARGED},
  touched as (select s.application_id, s.number, s.name, s.programmes,
      exists (select 1 from charged c where c.application_id = s.application_id) as charged,
      exists (select 1 from charged c where c.application_id = s.application_id and c.paid < c.minor) as owing,
      ${saysSecret("s.application_id")} as said
    from file_standing s where ${fileInScope("s.application_id", "$1")})`;

const IS: Readonly<Record<MoneyKind, string>> = {
  all: "(t.charged or t.said)",
  owed: "t.owing",
  paid: "t.charged and not t.owing",
  said: "t.said",
};

interface Row extends KeptRow {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly programmes: string;
  readonly charges: readonly (Omit<Charged, "title"> & { readonly item: string })[];
  readonly papers: readonly { readonly uploadId: string; readonly requirement: string }[];
  readonly submitted: boolean;
}

/** A paper (`e`, of the file `e.application_id`) that some submitted choice marks as one that finance reads. */
export const FOR_FINANCE = `exists (select 1 from choice c join rulebook r on r.id = c.rulebook_id, jsonb_array_elements(r.body->'requirements') q
  where c.application_id = e.application_id and c.submitted_at is not null and q->>'key' = e.requirement and (q->>'forFinance')::boolean)`;

const ROWS = `select t.application_id as id, t.number, t.name, t.programmes,
  coalesce((select json_agg(json_build_object('id', c.id, 'item', c.item, 'minor', c.minor, 'paidMinor', c.paid, 'currency', c.currency, 'reference', c.reference, 'madeAt', c.made_at)
    order by c.made_at, c.id) from charged c where c.application_id = t.application_id), '[]') as charges,
  ${KEPT_ROW},
  coalesce((select json_agg(json_build_object('uploadId', e.upload_id, 'requirement', e.requirement) order by e.supplied_at, e.requirement, e.id) from evidence e
    where e.application_id = t.application_id and e.replaced_at is null and e.upload_id is not null and ${FOR_FINANCE}), '[]') as papers,
  exists (select 1 from choice c where c.application_id = t.application_id and c.submitted_at is not null) as submitted`;

/** What finance sees: amounts by file, and what the form asks for finance alone. Nothing else of a file. */
export const money = defineView({
  name: "money",
  input: z.object({
    kind: z.enum(MONEY_KINDS).catch("all").default("all"),
    find: z.string().max(100).default(""),
    after: z.string().max(20).nullable().default(null),
  }),
  read: async ({ pool, actor }, { kind, find, after }): Promise<MoneyPage | null> => {
    const scope = programmesOf(actor, ["finance"]);
    if (scope === null) return null;
    const own = scopeParameter(scope);
    const words = fold(find.trim());
    const [counted, sums, listed, { set }] = await Promise.all([
      pool.query<Record<MoneyKind, number>>(
        `with ${TOUCHED} select ${MONEY_KINDS.map((k) => `(count(*) filter (where ${IS[k]}))::int as ${k}`).join(", ")} from touched t`,
        [own],
      ),
      pool.query<MoneyPage["sums"][number]>(
        `with ${CHARGED} select c.currency, sum(c.paid)::int as "paidMinor", sum(greatest(c.minor - c.paid, 0))::int as "owedMinor"
         from charged c where ${fileInScope("c.application_id", "$1")} group by c.currency order by c.currency`,
        [own],
      ),
      pool.query<Row>(
        `with ${TOUCHED} ${ROWS} from touched t where ${IS[kind]} and ($2::text is null or t.number < $2)
           and ($3 = '' or t.number = upper($4) or exists (select 1 from file_search n where n.application_id = t.application_id and n.text like '%' || $3 || '%')
             or exists (select 1 from charged c where c.application_id = t.application_id and upper(c.reference) = upper($4)))
         order by t.number desc limit ${PAGE + 1}`,
        [own, after, words, find.trim()],
      ),
      officeNow(pool),
    ]);
    const rows = listed.rows.slice(0, PAGE);
    const bodies = await bodiesOf(pool, [...new Set(rows.flatMap((r) => r.rulebooks))]);
    const titleOf = (item: string) =>
      [...bodies.values()].flatMap((b) => b.fees).find((f) => f.key === item)?.title.en ?? item;
    const titleOfPaper = (key: string) =>
      [...bodies.values()].flatMap((b) => b.requirements).find((r) => r.key === key)?.title.en ?? key;
    return {
      kind,
      counts: counted.rows[0] ?? { all: 0, owed: 0, paid: 0, said: 0 },
      sums: sums.rows,
      rows: rows.map((row) => ({
        applicationId: row.id,
        number: row.number,
        name: row.name,
        programmes: row.programmes,
        charges: row.charges.map(({ item, ...c }) => ({
          ...c,
          title: titleOf(item),
          madeAt: new Date(c.madeAt).toISOString(),
        })),
        papers: row.papers.map(({ uploadId, requirement }) => ({ uploadId, title: titleOfPaper(requirement) })),
        said: row.submitted ? keptAnswers(row, bodies, registersOf(set), "finance") : [],
      })),
      next: listed.rows.length > PAGE ? (rows.at(-1)?.number ?? null) : null,
      zone: set.zone,
    };
  },
  readings: (page) =>
    page.rows.filter((row) => row.said.length > 0).map(({ number }) => ({ kind: "file opened", file: number })),
});
