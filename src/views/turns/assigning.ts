import { z } from "zod";
import { holds, PLANNERS } from "../../core/rights/actor";
import type { LocalText } from "../../core/text/local-text";
import { formatDay } from "../../core/time/day";
import { dayAt } from "../../core/time/zone";
import type { Absence, AssigningRule } from "../../core/turns/assigning";
import { officersThere } from "../../db/queries/officers";
import { officeNow } from "../view/office-now";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

export interface AssigningPage {
  /** 0 where no rules were kept yet. */
  readonly version: number;
  readonly rules: readonly AssigningRule[];
  readonly officers: readonly {
    readonly id: string;
    readonly name: string;
    /** Codes of programmes; null for all. */
    readonly programmes: readonly string[] | null;
    readonly inHand: number;
    /** Of those, where it is the office's turn. */
    readonly ours: number;
  }[];
  /** Those that are not over, by their first day. */
  readonly absences: readonly (Absence & { readonly now: boolean })[];
  readonly programmes: readonly { readonly code: string; readonly title: LocalText; readonly award: string }[];
  readonly groups: readonly { readonly key: string; readonly title: LocalText }[];
  /** Files of ours that are in nobody's hands. */
  readonly unheld: number;
  readonly me: string;
  readonly today: string;
  /** Whether the reader may change the rules, and note absences of others. */
  readonly plans: boolean;
  readonly leads: boolean;
}

/** By which rules files are assigned, who has how many, and who is away. */
export const assigningPage = defineView({
  name: "assigning-page",
  input: z.object({}),
  read: async ({ pool, actor, now }): Promise<AssigningPage | null> => {
    const scope = programmesOf(actor);
    if (scope === null || actor.kind !== "person") return null;
    const { set, zone } = await officeNow(pool);
    const today = formatDay(dayAt(zone, now.getTime()));
    const [officers, rules, ours, absences, programmes, unheld] = await Promise.all([
      officersThere(pool, now, today),
      pool.query<{ version: number; rules: readonly AssigningRule[] }>("select version, rules from assigning"),
      pool.query<{ id: string; count: number }>(
        "select officer_id as id, count(*)::int as count from file_standing where turn = 'office' and officer_id is not null group by 1",
      ),
      pool.query<AssigningPage["absences"][number]>(
        `select id, person_id as "personId", cover_id as "coverId", from_on::text as "from", until_on::text as until, from_on <= $1::date as now
         from absence where until_on >= $1::date order by from_on, id`,
        [today],
      ),
      pool.query<AssigningPage["programmes"][number]>("select code, title, award from programme order by code"),
      pool.query<{ count: number }>(
        `select count(*)::int as count from file_standing s where s.turn = 'office' and s.officer_id is null and ${fileInScope("s.application_id", "$1")}`,
        [scopeParameter(scope)],
      ),
    ]);
    const ourCount = new Map(ours.rows.map((r) => [r.id, r.count]));
    return {
      version: rules.rows[0]?.version ?? 0,
      rules: rules.rows[0]?.rules ?? [],
      officers: [...officers.values()].map(({ id, name, grants, inHand }) => ({
        id,
        name,
        programmes: grants.some((g) => g.scope === "*") ? null : grants.map((g) => g.scope),
        inHand,
        ours: ourCount.get(id) ?? 0,
      })),
      absences: absences.rows,
      programmes: programmes.rows,
      groups: set.groups.map(({ key, title }) => ({ key, title })),
      unheld: unheld.rows[0]?.count ?? 0,
      me: actor.id,
      today,
      plans: holds(actor, PLANNERS, []),
      leads: holds(actor, ["lead officer"]),
    };
  },
});
