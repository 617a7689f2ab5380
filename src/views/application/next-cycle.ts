import { z } from "zod";
import { isWorking, workingCalendar } from "../../core/calendar/working-days";
import { yearsLater } from "../../core/catalogue/next-cycle";
import type { Instant, PlainDate } from "../../core/ids";
import { holds, PLANNERS } from "../../core/rights/actor";
import type { LocalText } from "../../core/text/local-text";
import { dayAt, zoneTable } from "../../core/time/zone";
import { officeNow } from "../view/office-now";
import { defineView } from "../view/view";

export interface NextStart {
  readonly code: string;
  readonly award: string;
  readonly title: LocalText;
  readonly startsOn: { readonly before: string; readonly after: string };
  readonly rounds: readonly {
    readonly key: string;
    readonly opensAt: string;
    /** `free` marks a closing on a day on which nobody works. */
    readonly closings: readonly { readonly group: string; readonly at: string; readonly free: boolean }[];
  }[];
  /** The version of the rulebook whose copy becomes the draft; null where none is published. */
  readonly rulebook: number | null;
  /** The target has this start already. */
  readonly there: boolean;
}

export interface NextCycle {
  readonly cycles: readonly string[];
  readonly from: string;
  readonly to: string;
  readonly zone: string;
  readonly starts: readonly NextStart[];
}

interface Row extends Omit<NextStart, "startsOn" | "rounds" | "there"> {
  startsOn: PlainDate;
  rounds: { key: string; opensAt: string; closings: { group: string; at: Instant }[] }[];
  taken: string[];
}

/** What a copy of a cycle would plan: every start with its times moved by whole years. */
export const nextCycle = defineView({
  name: "next-cycle",
  input: z.object({ from: z.string().max(10).nullable().default(null), years: z.int().min(1).max(5).default(1) }),
  read: async ({ pool, actor }, { from, years }): Promise<NextCycle | null> => {
    if (!holds(actor, PLANNERS, [])) return null;
    const { set } = await officeNow(pool);
    const calendar = workingCalendar(set.calendar);
    const table = zoneTable(set.zone);
    const cycles = (await pool.query<{ key: string }>("select key from cycle order by key desc")).rows.map(
      (c) => c.key,
    );
    const source = from !== null && cycles.includes(from) ? from : (cycles[0] ?? "");
    const to = source === "" ? "" : String(Number(source.slice(0, 4)) + years) + source.slice(4);
    const { rows } = await pool.query<Row>(
      `select p.code, p.award, p.title, i.starts_on::text as "startsOn",
         (select b.version from rulebook b where b.intake_id = i.id and b.status = 'published') as rulebook,
         coalesce((select json_agg(json_build_object('key', r.key, 'opensAt', r.opens_at, 'closings', r.closings) order by r.opens_at)
           from round r where r.intake_id = i.id), '[]'::json) as rounds,
         array(select o.starts_on::text from intake o join cycle d on d.id = o.cycle_id where o.programme_id = p.id and d.key = $2) as taken
       from intake i join programme p on p.id = i.programme_id join cycle c on c.id = i.cycle_id where c.key = $1 order by p.code, i.starts_on`,
      [source, to],
    );
    return {
      cycles,
      from: source,
      to,
      zone: set.zone,
      starts: rows.map(({ startsOn, rounds, taken, ...row }) => {
        const instants = rounds.map((r) => ({ ...r, opensAt: new Date(r.opensAt).toISOString() as Instant }));
        const after = yearsLater({ startsOn, rounds: instants }, years, set.zone);
        return {
          ...row,
          startsOn: { before: startsOn, after: after.startsOn },
          rounds: after.rounds.map((r) => ({
            ...r,
            closings: r.closings.map((c) => ({
              ...c,
              // The last moment before an exclusive closing is the day that people see.
              free: !isWorking(calendar, dayAt(table, Date.parse(c.at) - 1)),
            })),
          })),
          there: taken.includes(after.startsOn),
        };
      }),
    };
  },
});
