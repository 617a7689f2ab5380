import type pg from "pg";
import { z } from "zod";
import { casesAsked, earlyWish } from "../../core/assessment/cases-asked";
import type { ChoiceContext } from "../../core/file/choice-context";
import type { FileFacts } from "../../core/file/facts";
import { entryKey } from "../../core/file/place";
import { fold } from "../../core/people/fold";
import { holds, KEEPERS, RULEBOOK_READERS } from "../../core/rights/actor";
import { NEARNESS, type Nearness, nearnessOf, type RuledCase, type Verdict } from "../../core/rulebook/ruled-case";
import type { Office } from "../../core/standards/reference-set";
import type { LocalText } from "../../core/text/local-text";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

export interface Ruling extends RuledCase {
  readonly id: string;
  readonly question: string;
  readonly verdict: Verdict;
  readonly reason: string;
  readonly equalTo: string | null;
  readonly limits: string | null;
  readonly by: string;
  readonly at: string;
  /** In how many files it holds. */
  readonly files: number;
}

/** A case of a file with its answer, and what was ruled on cases like it. */
export interface FileCase {
  /** The applicant asked for it before submitting. */
  readonly early: boolean;
  readonly question: string;
  /** The computed value that asks. */
  readonly asks: LocalText;
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly title: LocalText;
  readonly about: RuledCase;
  readonly answer: Verdict | null;
  readonly by: "list" | "ruling" | null;
  /** It is no longer what it was when it was ruled on. */
  readonly changed: boolean;
  readonly ruling: Ruling | null;
  readonly earlier: readonly (Ruling & { readonly nearness: Nearness })[];
}

const MOST_EARLIER = 5;
const MOST_READ = 500;

const RULING = `r.id, r.question, r.country, r.institution, r.title, r.level, r.verdict, r.reason, r.equal_to as "equalTo", r.limits, p.name as by, to_json(r.at) as at,
  (select count(distinct x.application_id)::int from applied_ruling x where x.ruling_id = r.id and x.ended_at is null) as files`;

interface Applied extends Ruling {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
}

/** Cases as they are compared: of an institution that the register knows it takes the place of its many names. */
async function comparing(pool: pg.Pool, cases: readonly RuledCase[]): Promise<(one: RuledCase) => RuledCase> {
  const { rows } = await pool.query<{ folded: string; country: string; id: string }>(
    `select n.folded, n.country, n.institution_id as id from institution_name n
     where (n.folded, n.country) in (select * from unnest($1::text[], $2::text[]))`,
    [cases.map((c) => fold(c.institution)), cases.map((c) => c.country)],
  );
  const known = new Map(rows.map((r) => [`${r.country} ${r.folded}`, r.id]));
  return ({ country, institution, title, level }) => ({
    country,
    institution: known.get(`${country} ${fold(institution)}`) ?? institution,
    title,
    level,
  });
}

/** What a file asks rulings on. */
export async function casesOfFile(
  pool: pg.Pool,
  facts: FileFacts,
  all: readonly ChoiceContext[],
  office: Office,
): Promise<readonly FileCase[]> {
  const found = new Map<string, Omit<FileCase, "ruling" | "earlier">>();
  for (const context of all.filter((c) => c.choice.withdrawnAt === null))
    for (const { measure, cases } of casesAsked(context, facts.rulings, office))
      for (const { confirmed: _, equalTo: __, limits: ___, ...one } of cases)
        found.set(`${measure.question}|${entryKey(one)}`, {
          ...one,
          question: measure.question,
          asks: measure.title,
          early: earlyWish(facts, measure.question, one) !== undefined,
        });
  if (found.size === 0) return [];
  const cases = [...found.values()];
  const [applied, known] = await Promise.all([
    pool.query<Applied>(
      `select ${RULING}, a.scope, a.section, a.entry from applied_ruling a join ruling r on r.id = a.ruling_id join person p on p.id = r.by_id
       where a.application_id = $1 and a.ended_at is null`,
      [facts.application.id],
    ),
    pool.query<Ruling>(
      `select ${RULING} from ruling r join person p on p.id = r.by_id where r.ended_at is null
         and (r.question, r.country) in (select * from unnest($1::text[], $2::text[])) order by r.at desc limit ${MOST_READ}`,
      [cases.map((c) => c.question), cases.map((c) => c.about.country)],
    ),
  ]);
  const joined = await comparing(pool, [...cases.map((c) => c.about), ...known.rows]);
  return cases.map((c) => {
    const own = applied.rows.find(
      (r) => r.question === c.question && r.scope === c.scope && r.section === c.section && r.entry === c.entry,
    );
    const earlier = known.rows
      .flatMap((r) => {
        const nearness = r.question === c.question && r.id !== own?.id ? nearnessOf(joined(c.about), joined(r)) : null;
        return nearness ? [{ ...r, nearness }] : [];
      })
      .sort((a, b) => NEARNESS.indexOf(a.nearness) - NEARNESS.indexOf(b.nearness))
      .slice(0, MOST_EARLIER);
    return { ...c, ruling: own ?? null, earlier };
  });
}

export interface RulingLine extends Ruling {
  /** Of the files of the reader’s programmes in which it holds. */
  readonly numbers: readonly string[];
  readonly ended: { readonly at: string; readonly by: string; readonly reason: string } | null;
}

export interface RulingsPage {
  readonly rulings: readonly RulingLine[];
  /** Whether the reader may end one for the whole office. */
  readonly mayEnd: boolean;
}

const MOST_LISTED = 200;
/** The newest are searched; older ones are found where they are offered. */
const MOST_SEARCHED = 5000;

/** All rulings of the office, the newest first; what a search finds among them. */
export const rulings = defineView({
  name: "rulings",
  input: z.object({ words: z.string().max(200).default("") }),
  read: async ({ pool, actor }, { words }): Promise<RulingsPage | null> => {
    if (!holds(actor, RULEBOOK_READERS)) return null;
    const scope = programmesOf(actor);
    const { rows } = await pool.query<RulingLine>(
      `select ${RULING}, coalesce((select json_agg(distinct f.number) from applied_ruling x join application f on f.id = x.application_id
           where x.ruling_id = r.id and x.ended_at is null and $1 and ${fileInScope("f.id", "$2")}), '[]') as numbers,
         case when r.ended_at is not null then json_build_object('at', r.ended_at, 'reason', r.end_reason,
           'by', (select name from person where id = r.ended_by_id)) end as ended
       from ruling r join person p on p.id = r.by_id order by r.at desc limit ${MOST_SEARCHED}`,
      [scope !== null, scope === null ? [] : scopeParameter(scope)],
    );
    const asked = fold(words).split(" ").filter(Boolean);
    const found = rows
      .filter((r) => {
        const text = fold([r.question, r.institution, r.title, r.reason, r.verdict, r.equalTo, r.limits].join(" "));
        return asked.every((word) => text.includes(word) || fold(r.country) === word);
      })
      .slice(0, MOST_LISTED);
    return { rulings: found, mayEnd: holds(actor, KEEPERS) };
  },
});
