import { z } from "zod";
import { holds, OFFICE } from "../../core/rights/actor";
import { formatDay } from "../../core/time/day";
import { dayAt } from "../../core/time/zone";
import { officeNow } from "../view/office-now";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";
import { tagTitles } from "./facets";

/** What can be chosen for files that are marked: officers with what they have in hand, and the requirements that are open in some of them. */
export interface ManyChoices {
  readonly officers: readonly {
    readonly id: string;
    readonly name: string;
    readonly inHand: number;
    readonly cover: string | null;
  }[];
  readonly open: readonly { readonly key: string; readonly title: string; readonly files: number }[];
}

const MOST = 500;

export const manyChoices = defineView({
  name: "many-choices",
  input: z.object({ ids: z.array(z.uuid()).max(MOST) }),
  read: async ({ pool, actor, now }, { ids }): Promise<ManyChoices | null> => {
    const scope = programmesOf(actor);
    if (scope === null || !holds(actor, OFFICE)) return null;
    const office = await officeNow(pool);
    const { zone } = office;
    const [officers, standings] = await Promise.all([
      pool.query<ManyChoices["officers"][number]>(
        `select p.id, p.name, (select count(*)::int from file_standing s where s.officer_id = p.id and s.turn = 'office') as "inHand",
           (select c.name from absence a join person c on c.id = a.cover_id where a.person_id = p.id and $3::date between a.from_on and a.until_on) as cover
         from person p where exists (select 1 from role_grant g where g.person_id = p.id and g.role = any($1) and (g.until is null or g.until > $2))
         order by p.name`,
        [OFFICE, now, formatDay(dayAt(zone, now.getTime()))],
      ),
      pool.query<{ key: string; files: number }>(
        `select split_part(substr(t.tag, 10), ' ', 1) as key, count(distinct s.application_id)::int as files
         from file_standing s cross join lateral unnest(s.tags) t (tag)
         where s.application_id = any($1) and t.tag like 'standing:%' and ${fileInScope("s.application_id", "$2")} group by 1 order by 2 desc, 1`,
        [ids, scopeParameter(scope)],
      ),
    ]);
    const titles = await tagTitles(
      pool,
      office.set,
      standings.rows.map((s) => `standing:${s.key} missing`),
    );
    return {
      officers: officers.rows,
      open: standings.rows.map(({ key, files }) => ({
        key,
        files,
        title: (titles.get(`standing:${key} missing`) ?? key).replace(/: missing$/u, ""),
      })),
    };
  },
});
