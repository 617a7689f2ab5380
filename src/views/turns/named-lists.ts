import { z } from "zod";
import { holds, OFFICE } from "../../core/rights/actor";
import { defineView } from "../view/view";

export interface NamedList {
  readonly id: string;
  readonly name: string;
  readonly query: string;
  readonly shared: boolean;
  /** Who shares it; null for one of one's own. */
  readonly by: string | null;
}

/** The lists that somebody gave a name, and those that lead officers share, by name. */
export const namedLists = defineView({
  name: "named-lists",
  input: z.object({}),
  read: async ({ pool, actor }): Promise<readonly NamedList[] | null> => {
    if (actor.kind !== "person" || !holds(actor, OFFICE)) return null;
    const { rows } = await pool.query<NamedList>(
      `select l.id, l.name, l.query, l.shared, case when l.person_id = $1 then null else p.name end as by
       from named_list l join person p on p.id = l.person_id where l.person_id = $1 or l.shared order by lower(l.name), l.id`,
      [actor.id],
    );
    return rows;
  },
});
