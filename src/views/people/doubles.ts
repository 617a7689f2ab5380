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
  readonly seen: Comparison;
  /** What an officer said of the two. */
  readonly said: { readonly verdict: "same" | "different"; readonly by: string; readonly at: string } | null;
}

interface Row {
  readonly number: string;
  readonly email: string;
  readonly programmes: string[];
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
  return rows.flatMap(({ number, email, programmes, answers, said }): Double[] => {
    const other = personOf({ answers }, email);
    const seen = comparePeople(mine, other);
    const decided = said?.verdict === "same" || said?.verdict === "different" ? said : null;
    if (seen.verdict === "different" && decided === null) return [];
    return [{ number, name: other.name, birthDate: other.birthDate, programmes, seen, said: decided }];
  });
}
