import type { Turn } from "../../core/file/facts";
import type { FileReason } from "../../core/file/reason";
import type { Stage } from "../../core/file/result";
import { programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";
import { filterOf, shownWhere, turnsInput } from "./filter";

/** A line of the list for a spreadsheet: whom to write to and to call, and what is next. */
export interface TurnContact {
  readonly number: string;
  readonly name: string;
  readonly programmes: string;
  readonly stage: Stage;
  readonly turn: Turn;
  readonly reason: FileReason;
  readonly title: string | null;
  readonly count: number | null;
  readonly officer: string | null;
  readonly email: string;
  readonly phone: string | null;
  /** The last call showed that the number does not work. */
  readonly phone_dead: boolean;
  readonly due_at: Date | null;
}

/** More than an office has in one turn. */
const MOST_EXPORTED = 50_000;

/** The files of one turn or reason whole, with how their applicants are reached. */
export const turnContacts = defineView({
  name: "turn-contacts",
  input: turnsInput,
  read: async (ctx, asked): Promise<readonly TurnContact[] | null> => {
    const scope = programmesOf(ctx.actor);
    if (scope === null || ctx.actor.kind !== "person") return null;
    const filter = await filterOf(ctx, asked);
    if (filter === null) return null;
    const { where, values } = shownWhere(ctx, scopeParameter(scope), { ...filter, after: null, order: "urgent" });
    const { rows } = await ctx.pool.query<TurnContact>(
      `select s.number, s.name, s.programmes, s.stage, s.turn, s.reason, s.owes, s.next_title as title, s.next_count as count, s.due_at, o.name as officer, p.email,
         x.value #>> '{}' as phone, coalesce((select r.kind = 'dead' from contact_note r where r.application_id = s.application_id
           and (r.scope, r.section, r.entry, r.field, r.version) = (x.scope, x.section, x.entry, x.field, x.version) and r.kind in ('talked', 'confirmed', 'dead')
           order by r.at desc limit 1), false) as phone_dead
       from file_standing s
         left join lateral (select * from answer y where y.application_id = s.application_id and y.section = 'contact' and y.field = 'phone' and not y.dormant limit 1) x on true
         join application a on a.id = s.application_id join person p on p.id = a.person_id left join person o on o.id = s.officer_id
       ${where} order by s.order_at, s.number limit ${MOST_EXPORTED}`,
      [...values],
    );
    return rows;
  },
  readings: (rows) => [{ kind: "list downloaded", file: null, about: `files, ${rows.length}` }],
});
