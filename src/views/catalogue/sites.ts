import { z } from "zod";
import { type IntakeInput, type OfferedByProgramme, offeredOptions } from "../../core/catalogue/programme";
import type { Mode } from "../../core/file/mode";
import { offeredBy } from "../../db/queries/offered";
import { officeNow } from "../view/office-now";
import { programmesOf } from "../view/scope";
import { defineView } from "../view/view";

/** Somebody who submitted a choice of a start and can still be moved to another campus of it. */
export interface Placed {
  readonly applicationId: string;
  readonly choiceId: string;
  readonly number: string;
  readonly name: string;
  readonly rank: number;
  readonly submittedAt: string;
  readonly campus: string | null;
  readonly language: string;
  readonly mode: Mode | null;
  readonly track: string | null;
}

/** One start with its campuses: how many places each has, how many are there, and who. */
export interface StartSites {
  readonly id: string;
  readonly startsOn: string;
  readonly campuses: readonly {
    readonly key: string;
    readonly title: string;
    /** Null where the start counts no places by campus. */
    readonly places: number | null;
    /** Submitted choices that are alive, decided ones with them. */
    readonly people: number;
  }[];
  readonly placed: readonly Placed[];
}

export interface Sites {
  readonly code: string;
  readonly title: string;
  readonly zone: string;
  readonly starts: readonly StartSites[];
}

const MOST = 500;

interface Row {
  readonly id: string;
  readonly starts_on: string;
  readonly title: string;
  readonly plan: OfferedByProgramme & Pick<IntakeInput, "options" | "quotas">;
  readonly counts: Readonly<Record<string, number>>;
  readonly placed: readonly Placed[];
}

const STARTS = `select i.id, i.starts_on::text, ltrim(p.award || ' ' || (p.title->>'en')) as title,
    json_build_object(${offeredBy("p")}, 'options', i.options, 'quotas', i.quotas) as plan,
    coalesce((select json_object_agg(n.campus, n.people) from (select c.campus, count(*)::int as people from choice c
      where c.intake_id = i.id and c.submitted_at is not null and c.withdrawn_at is null and c.campus is not null group by c.campus) n), '{}'::json) as counts,
    coalesce((select json_agg(json_build_object('applicationId', x.application_id, 'choiceId', x.id, 'number', x.number, 'name', x.name, 'rank', x.rank,
        'submittedAt', x.submitted_at, 'campus', x.campus, 'language', x.language, 'mode', x.mode, 'track', x.track) order by x.submitted_at, x.number)
      from (select c.*, s.number, s.name from choice c join choice_standing k on k.choice_id = c.id join file_standing s on s.application_id = c.application_id
        where c.intake_id = i.id and c.submitted_at is not null and c.withdrawn_at is null and k.stage in ('submitted', 'complete')
          and not exists (select 1 from decision d where d.choice_id = c.id) order by c.submitted_at, s.number limit ${MOST}) x), '[]'::json) as placed
  from intake i join programme p on p.id = i.programme_id where p.code = $1 order by i.starts_on`;

/** Who is on which campus of a programme's starts; for those who work on its files. Null where it has a single campus. */
export const sites = defineView({
  name: "sites",
  input: z.object({ code: z.string().max(20) }),
  read: async ({ pool, actor }, { code }): Promise<Sites | null> => {
    const scope = programmesOf(actor);
    if (scope === null || (scope !== "all" && !scope.includes(code))) return null;
    const office = await officeNow(pool);
    const { rows } = await pool.query<Row>(STARTS, [code]);
    const starts = rows.flatMap(({ id, starts_on, plan, counts, placed }): readonly StartSites[] => {
      const offered = offeredOptions(plan, plan).campuses;
      if (offered.length < 2) return [];
      const campuses = offered.map((key) => {
        const quotas = plan.quotas.filter((q) => q.campus === key);
        return {
          key,
          title: office.set.campuses.find((c) => c.key === key)?.title.en ?? key,
          places: quotas.length > 0 ? quotas.reduce((sum, q) => sum + q.places, 0) : null,
          people: counts[key] ?? 0,
        };
      });
      return [{ id, startsOn: starts_on, campuses, placed }];
    });
    const [first] = rows;
    return first && starts.length > 0 ? { code, title: first.title, zone: office.set.zone, starts } : null;
  },
});
