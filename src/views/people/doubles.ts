import type pg from "pg";
import type { AnswerFact } from "../../core/file/facts";
import { personOf } from "../../core/people/person-of";
import { type Comparison, comparePeople } from "../../core/people/same-person";
import type { SaidOfPerson } from "../../core/people/shown-name";
import { fileInScope, scopeParameter } from "../view/scope";

/** Another file that looks like the same person's, with what speaks for it. */
export interface Double {
  readonly number: string;
  readonly name: string;
  readonly birthDate: string;
  readonly programmes: readonly string[];
  /** The account of it, with all its files: what would be given to this one, or take this one in. */
  readonly account: { readonly email: string; readonly numbers: readonly string[] };
  readonly seen: Comparison;
  /** What an officer said of the two. */
  readonly said: { readonly verdict: "same" | "different"; readonly by: string; readonly at: string } | null;
}

interface Row {
  readonly number: string;
  readonly email: string;
  readonly programmes: string[];
  readonly numbers: string[];
  readonly answers: AnswerFact[];
  readonly said: (Double["said"] & { verdict: string }) | null;
}

/** More than these share a common word with a file, and nothing else. */
const MOST_COMPARED = 60;

/** Those that share most come first: a date of birth or a document weighs more than a word of the name. */
const CANDIDATES = `with mine as (select a.id, a.person_id from application a where a.id = $1),
  shared as (select o.application_id, sum(case when o.key like 'name %' then 1 else 10 end) as weight
    from file_key k join file_key o on o.key = k.key and o.application_id <> k.application_id
    where k.application_id = $1 group by o.application_id order by 2 desc limit ${MOST_COMPARED}),
  words as (select distinct on (s.first_id, s.second_id) s.first_id, s.second_id, s.verdict, s.at, p.name
    from same_person s join person p on p.id = s.by_id, mine where mine.person_id in (s.first_id, s.second_id)
    order by s.first_id, s.second_id, s.at desc, s.id)
select a.number, p.email,
  (select array_agg(o.number order by o.number) from application o where o.person_id = a.person_id) as numbers,
  (select array_agg(distinct g.code) from choice c join intake i on i.id = c.intake_id join programme g on g.id = i.programme_id where c.application_id = a.id) as programmes,
  (select coalesce(json_agg(json_build_object('section', x.section, 'field', x.field, 'value', coalesce(k.value, x.value))), '[]') from answer x
    left join confirmation k on (k.application_id, k.scope, k.section, k.entry, k.field) = (x.application_id, x.scope, x.section, x.entry, x.field)
    where x.application_id = a.id and x.scope = 'file' and x.section in ('person', 'citizenship') and not x.dormant) as answers,
  (select json_build_object('verdict', w.verdict, 'by', w.name, 'at', w.at) from words w
    where a.person_id in (w.first_id, w.second_id)) as said
from shared s join application a on a.id = s.application_id join person p on p.id = a.person_id, mine
where a.person_id <> mine.person_id and ${fileInScope("a.id", "$2")}
order by s.weight desc, a.number`;

/** The other files in view that may be the same person's; those of the same account are not among them. */
export async function doublesOf(
  pool: pg.Pool,
  file: SaidOfPerson & { readonly id: string; readonly email: string },
  scope: "all" | readonly string[],
): Promise<readonly Double[]> {
  const { rows } = await pool.query<Row>(CANDIDATES, [file.id, scopeParameter(scope)]);
  const mine = personOf(file, file.email);
  return rows.flatMap(({ number, email, numbers, programmes, answers, said }): Double[] => {
    const other = personOf({ answers }, email);
    const seen = comparePeople(mine, other);
    const decided = said?.verdict === "same" || said?.verdict === "different" ? said : null;
    if (seen.verdict === "different" && decided === null) return [];
    return [
      {
        number,
        name: other.name,
        birthDate: other.birthDate,
        programmes,
        account: { email, numbers },
        seen,
        said: decided,
      },
    ];
  });
}

/** The account of a file: what else is in it, and whether some of it came from another account of the same person. */
export interface FileAccount {
  readonly others: readonly {
    readonly number: string;
    readonly programmes: readonly string[];
    readonly cycle: string;
  }[];
  readonly joined: {
    readonly email: string;
    readonly numbers: readonly string[];
    readonly reason: string;
    readonly by: string;
    readonly at: string;
    /** Whether this file is one of those that came over. */
    readonly isOfThem: boolean;
  } | null;
}

const ACCOUNT = `select
  coalesce((select json_agg(json_build_object('number', o.number, 'cycle', y.key, 'programmes',
      (select array_agg(distinct g.code) from choice c join intake i on i.id = c.intake_id join programme g on g.id = i.programme_id where c.application_id = o.id)) order by o.number)
    from application o join cycle y on y.id = o.cycle_id where o.person_id = a.person_id and o.id <> a.id and ${fileInScope("o.id", "$2")}), '[]') as others,
  (select json_build_object('email', w.email, 'reason', j.reason, 'by', b.name, 'at', j.at, 'isOfThem', a.joined_from_id is not null,
      'numbers', (select array_agg(m.number order by m.number) from jsonb_array_elements(j.files) f join application m on m.id = (f->>'id')::uuid))
    from account_join j join person w on w.id = j.given_id join person b on b.id = j.by_id
    where j.kept_id = a.person_id and j.ended_at is null and (a.joined_from_id is null or j.given_id = a.joined_from_id) order by j.at desc limit 1) as joined
  from application a where a.id = $1`;

export async function accountOf(pool: pg.Pool, id: string, scope: "all" | readonly string[]): Promise<FileAccount> {
  const { rows } = await pool.query<FileAccount>(ACCOUNT, [id, scopeParameter(scope)]);
  return rows[0] ?? { others: [], joined: null };
}
