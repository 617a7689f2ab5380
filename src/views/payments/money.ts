import type pg from "pg";
import { z } from "zod";
import { AnswerIndex } from "../../core/answers/answer-index";
import type { AnswerFact, ConfirmationFact, Json } from "../../core/file/facts";
import { withEntries } from "../../core/form/entry-title";
import { fold } from "../../core/people/fold";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import { registersOf } from "../../core/standards/reference-set";
import { valueText } from "../../text/words/value-text";
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
  /** What the form asks for finance alone, as it was answered. */
  readonly said: readonly { readonly title: string; readonly text: string }[];
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
const TOUCHED = `secret as (select r.id as rulebook_id, s->>'key' as section, f->>'key' as field from rulebook r,
    jsonb_array_elements(r.body->'sections') s, jsonb_array_elements(s->'fields') f where f->>'seenBy' = 'finance'),
  ${CHARGED},
  touched as (select s.application_id, s.number, s.name, s.programmes,
      exists (select 1 from charged c where c.application_id = s.application_id) as charged,
      exists (select 1 from charged c where c.application_id = s.application_id and c.paid < c.minor) as owing,
      exists (select 1 from choice c join secret x on x.rulebook_id = c.rulebook_id join answer a on a.application_id = c.application_id and a.section = x.section
        and a.field = x.field and not a.dormant and a.value not in ('null', '""') where c.application_id = s.application_id and c.submitted_at is not null) as said
    from file_standing s where ${fileInScope("s.application_id", "$1")})`;

const IS: Readonly<Record<MoneyKind, string>> = {
  all: "(t.charged or t.said)",
  owed: "t.owing",
  paid: "t.charged and not t.owing",
  said: "t.said",
};

interface Row {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly programmes: string;
  readonly charges: readonly (Omit<Charged, "title"> & { readonly item: string })[];
  readonly answers: readonly AnswerFact[];
  readonly confirmations: readonly ConfirmationFact[];
  readonly rulebooks: readonly string[];
  readonly submitted: boolean;
}

const ROWS = `select t.application_id as id, t.number, t.name, t.programmes,
  coalesce((select json_agg(json_build_object('id', c.id, 'item', c.item, 'minor', c.minor, 'paidMinor', c.paid, 'currency', c.currency, 'reference', c.reference, 'madeAt', c.made_at)
    order by c.made_at, c.id) from charged c where c.application_id = t.application_id), '[]') as charges,
  coalesce((select json_agg(json_build_object('scope', a.scope, 'section', a.section, 'entry', a.entry, 'field', a.field, 'value', a.value, 'version', a.version, 'position', a.position)
    order by a.position) from answer a where a.application_id = t.application_id and not a.dormant), '[]') as answers,
  coalesce((select json_agg(json_build_object('scope', k.scope, 'section', k.section, 'entry', k.entry, 'field', k.field, 'value', k.value, 'answerVersion', k.answer_version))
    from confirmation k where k.application_id = t.application_id), '[]') as confirmations,
  array(select c.rulebook_id from choice c where c.application_id = t.application_id order by c.rank) as rulebooks,
  exists (select 1 from choice c where c.application_id = t.application_id and c.submitted_at is not null) as submitted`;

type Bodies = ReadonlyMap<string, RulebookBody>;

async function bodiesOf(pool: pg.Pool, ids: readonly string[]): Promise<Bodies> {
  const { rows } = await pool.query<{ id: string; body: RulebookBody }>(
    "select id, body from rulebook where id = any($1)",
    [ids],
  );
  return new Map(rows.map((r) => [r.id, r.body]));
}

/** The answers for finance alone, in the order of the form; each once, whichever of the choices asks for it. */
function saidOf(row: Row, bodies: Bodies, registers: Parameters<typeof valueText>[3]): MoneyRow["said"] {
  const index = new AnswerIndex(row);
  const said = new Map<string, MoneyRow["said"][number]>();
  const say = (place: string, title: string, field: Parameters<typeof valueText>[1], value: Json) => {
    if (value !== null && value !== "") said.set(place, { title, text: valueText("en", field, value, registers) });
  };
  for (const { sections } of row.rulebooks.flatMap((id) => bodies.get(id) ?? []))
    for (const section of sections)
      for (const field of section.fields.filter((f) => f.seenBy === "finance"))
        for (const scope of new Set(row.answers.filter((a) => a.section === section.key).map((a) => a.scope)))
          for (const entry of section.repeats ? index.entries(scope, section.key) : [""]) {
            const own = index.row(scope, section.key, entry);
            const title = `${section.title.en}: ${field.title.en}`;
            say(
              `${scope} ${section.key} ${entry} ${field.key}`,
              title,
              withEntries(field, sections, index),
              own.value(field.key),
            );
          }
  return [...said.values()];
}

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
           and ($3 = '' or t.number = upper($4) or exists (select 1 from file_name n where n.application_id = t.application_id and n.folded like '%' || $3 || '%')
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
        said: row.submitted ? saidOf(row, bodies, registersOf(set)) : [],
      })),
      next: listed.rows.length > PAGE ? (rows.at(-1)?.number ?? null) : null,
      zone: set.zone,
    };
  },
  readings: (page) =>
    page.rows.filter((row) => row.said.length > 0).map(({ number }) => ({ kind: "file opened", file: number })),
});
