import { z } from "zod";
import { fold } from "../../core/people/fold";
import { defineView } from "../view/view";

/** Grade scales that are usual for a degree, the most usual first, by their keys; and whether it is by its institution or by its country. */
export interface ScalesInUse {
  readonly by: "institution" | "country" | null;
  readonly scales: readonly string[];
}

/** So many files have to use a scale before others hear of it: nobody's own can be told from it. */
const LEAST_FILES = 3;
const MOST = 3;
/** A scale that fewer than one in so many use is an exception. */
const ONE_IN = 5;

const OF_REGISTER = {
  institution: "exists (select 1 from institution_name n where n.institution_id = i.id and n.folded = $2)",
  country: "lower(i.country) = $1",
} as const;

/** What the register says of an institution or a country counts as much as this many files. */
const used = (by: keyof typeof OF_REGISTER) => `with counted as (
    select coalesce(v.value, a.value) #>> '{}' as scale, count(distinct a.application_id)::int as files
    from answer b
      join answer a on (a.application_id, a.scope, a.section, a.entry) = (b.application_id, b.scope, b.section, b.entry) and a.field = 'scale' and not a.dormant
      left join confirmation v on (v.application_id, v.scope, v.section, v.entry, v.field) = (a.application_id, a.scope, a.section, a.entry, a.field)
    where b.field = '${by}' and lower(left(b.value #>> '{}', 100)) = left($1, 100) and not b.dormant
      and exists (select 1 from choice c where c.application_id = b.application_id and c.submitted_at is not null)
    group by 1 having count(distinct a.application_id) >= ${LEAST_FILES}),
  register as (select s.scale, ${LEAST_FILES} * count(*)::int as files from institution i, jsonb_array_elements_text(i.scales) s (scale)
    where ${OF_REGISTER[by]} group by s.scale)
  select scale, sum(files)::int as files from (select * from counted where scale <> 'other' union all select * from register) x
  where $2::text is not null group by scale order by files desc, scale`;

/**
 * The scales on which other degrees of the same institution are graded, by the register and by what submitted files use; where that is not
 * known, those of its country. For everybody.
 */
export const scalesInUse = defineView({
  name: "scales-in-use",
  input: z.object({ country: z.string().max(3).default(""), institution: z.string().max(200).default("") }),
  read: async ({ pool }, { country, institution }): Promise<ScalesInUse> => {
    const usual = async (by: "institution" | "country", value: string) => {
      if (value === "") return [];
      const { rows } = await pool.query<{ scale: string; files: number }>(used(by), [value.toLowerCase(), fold(value)]);
      const all = rows.reduce((sum, r) => sum + r.files, 0);
      return rows.filter((r) => r.files * ONE_IN >= all).map((r) => r.scale);
    };
    for (const [by, value] of [
      ["institution", institution],
      ["country", country],
    ] as const) {
      const scales = await usual(by, value);
      if (scales.length > 0) return { by, scales: scales.slice(0, MOST) };
    }
    return { by: null, scales: [] };
  },
});
