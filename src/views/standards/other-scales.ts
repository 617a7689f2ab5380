import { z } from "zod";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";
import { writtenAs } from "./institutions";

/** A degree of an institution that counts on another scale than the one that the register gives it. */
export interface OtherScale {
  readonly applicationId: string;
  readonly number: string;
  readonly name: string;
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly scale: string;
}

export interface OtherScales {
  /** The one scale on which the institution grades. */
  readonly usual: string;
  readonly files: readonly OtherScale[];
}

const MOST_LISTED = 100;

const OTHERS = `select a.application_id as "applicationId", s.number, s.name, a.scope, a.section, a.entry, coalesce(c.value, b.value) #>> '{}' as scale
  from answer a
    join answer b on (b.application_id, b.scope, b.section, b.entry) = (a.application_id, a.scope, a.section, a.entry) and b.field = 'scale' and not b.dormant
    left join confirmation c on (c.application_id, c.scope, c.section, c.entry, c.field) = (b.application_id, b.scope, b.section, b.entry, b.field)
    join file_standing s on s.application_id = a.application_id
  where a.field = 'institution' and not a.dormant and jsonb_typeof(a.value) = 'string' and lower(a.value #>> '{}') = any($1)
    and coalesce(c.value, b.value) <> to_jsonb($2::text) and s.stage not in ('preparing', 'closed') and ${fileInScope("a.application_id", "$3")}
  order by s.number, a.entry limit ${MOST_LISTED}`;

/**
 * The submitted files in which a degree of an institution counts on another scale than the register’s; null for those who work on no
 * files, and where the register gives the institution no scale, or several.
 */
export const otherScales = defineView({
  name: "other-scales",
  input: z.object({ institutionId: z.uuid() }),
  read: async ({ pool, actor }, { institutionId }): Promise<OtherScales | null> => {
    const scope = programmesOf(actor);
    if (scope === null) return null;
    const { rows } = await pool.query<{ scales: string[]; names: string[] }>(
      `select i.scales, array(select n.name from institution_name n where n.institution_id = i.id) as names from institution i where i.id = $1`,
      [institutionId],
    );
    const [usual, ...more] = rows[0]?.scales ?? [];
    if (!rows[0] || usual === undefined || more.length > 0) return null;
    const wrote = await writtenAs(pool, rows[0].names);
    const { rows: files } = await pool.query<OtherScale>(OTHERS, [wrote, usual, scopeParameter(scope)]);
    return { usual, files };
  },
});
