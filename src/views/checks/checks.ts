import { z } from "zod";
import { checkRun, checkTag } from "../../core/checks/inputs";
import { tagTitles } from "../turns/facets";
import { officeNow } from "../view/office-now";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

/** A kind of evidence that waits to be checked, and in how many files. */
export interface CheckKind {
  readonly requirement: string;
  readonly title: string;
  readonly files: number;
  /** How many of them are before another officer just now. */
  readonly taken: number;
  readonly late: number;
}

/** Everything that waits to be checked, by its kind, the most of it first. */
export const checkKinds = defineView({
  name: "check-kinds",
  input: z.object({}),
  read: async ({ pool, actor, now }): Promise<readonly CheckKind[] | null> => {
    const scope = programmesOf(actor);
    if (scope === null || actor.kind !== "person") return null;
    const { rows } = await pool.query<Omit<CheckKind, "title">>(
      `select x.requirement, count(*)::int as files, count(k.application_id)::int as taken, count(*) filter (where x.due_at < $2)::int as late
       from (select s.application_id, s.due_at, substr(t.tag, 10, length(t.tag) - 18) as requirement from file_standing s cross join lateral unnest(s.tags) t (tag)
         where s.stage <> 'preparing' and s.stage <> 'closed' and t.tag like 'standing:% to check' and ${fileInScope("s.application_id", "$1")}) x
       left join check_claim k on k.application_id = x.application_id and k.requirement = x.requirement and k.person_id <> $3 and k.until > $2
       group by x.requirement order by files desc, x.requirement`,
      [scopeParameter(scope), now, actor.id],
    );
    const { set } = await officeNow(pool);
    const titles = await tagTitles(
      pool,
      set,
      rows.map((r) => checkTag(r.requirement)),
    );
    return rows.map((r) => ({
      ...r,
      title: (titles.get(checkTag(r.requirement)) ?? r.requirement).replace(/: to check$/u, ""),
    }));
  },
});

/** What a run has before it, and the institutions whose papers are among it. */
export interface CheckRunData {
  readonly title: string;
  readonly left: number;
  /** So many whoever reads it has left for later. */
  readonly later: number;
  readonly institutions: readonly { readonly name: string; readonly files: number }[];
}

const MOST_INSTITUTIONS = 30;

/** Whether whoever asks has left a file for later. */
const LATER = `exists (select 1 from check_later l where l.application_id = s.application_id and l.requirement = $4 and l.person_id = $5 and l.until > $6)`;

export const checkRunOf = defineView({
  name: "check-run",
  input: z.object(checkRun),
  read: async ({ pool, actor, now }, { requirement, institution }): Promise<CheckRunData | null> => {
    const scope = programmesOf(actor);
    if (scope === null || actor.kind !== "person") return null;
    const files = `from file_standing s join file_search n on n.application_id = s.application_id
       where s.stage <> 'preparing' and s.stage <> 'closed' and s.tags @> array[$2] and ${fileInScope("s.application_id", "$1")}`;
    const at = [scopeParameter(scope), checkTag(requirement)];
    const [left, later, institutions, office] = await Promise.all([
      pool.query<{ left: number }>(
        `select count(*)::int as left ${files} and ($3 = '' or strpos(n.text, '&' || $3) > 0)
           and not exists (select 1 from check_claim k where k.application_id = s.application_id and k.requirement = $4 and k.person_id <> $5 and k.until > $6)
           and not ${LATER}`,
        [...at, institution, requirement, actor.id, now],
      ),
      pool.query<{ later: number }>(
        `select count(*)::int as later ${files} and ($3 = '' or strpos(n.text, '&' || $3) > 0) and ${LATER}`,
        [...at, institution, requirement, actor.id, now],
      ),
      pool.query<CheckRunData["institutions"][number]>(
        `select substr(x.line, 2) as name, count(*)::int as files from (select n.application_id, regexp_split_to_table(n.text, E'\\n') as line ${files}) x
         where x.line like '&%' group by 1 order by 2 desc, 1 limit ${MOST_INSTITUTIONS}`,
        at,
      ),
      officeNow(pool),
    ]);
    const titles = await tagTitles(pool, office.set, [checkTag(requirement)]);
    const title = titles.get(checkTag(requirement))?.replace(/: to check$/u, "");
    return {
      title: title ?? requirement,
      left: left.rows[0]?.left ?? 0,
      later: later.rows[0]?.later ?? 0,
      institutions: institutions.rows,
    };
  },
});
