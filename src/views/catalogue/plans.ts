import type pg from "pg";
import { z } from "zod";
import type { ChoiceRules } from "../../core/catalogue/choice-rules";
import { type PlanGap, planGaps } from "../../core/catalogue/plan-gaps";
import type { IntakeInput, ProgrammeInput } from "../../core/catalogue/programme";
import { type RoundState, roundState } from "../../core/catalogue/round-state";
import { placesOf } from "../../core/catalogue/site-places";
import { DRAFTERS, holds, PLANNERS } from "../../core/rights/actor";
import type { ReferenceSet } from "../../core/standards/reference-set";
import type { LocalText } from "../../core/text/local-text";
import type { ZoneTable } from "../../core/time/zone";
import { offeredBy } from "../../db/queries/offered";
import { roundWaits } from "../../db/queries/round-waits";
import { officeNow } from "../view/office-now";
import { defineView } from "../view/view";

/** What the office plans: programmes with their starts, rounds, places and rulebooks, and how far each is used. */
export interface PlannedRound {
  readonly id: string;
  readonly key: string;
  readonly version: number;
  readonly opensAt: string;
  readonly closings: readonly { readonly group: string; readonly at: string }[];
  readonly closedAt: string | null;
  readonly closedReason: string | null;
  readonly rolling: boolean;
  readonly closesWhenFull: boolean;
  readonly ifPlacesLeft: boolean;
  readonly waits: boolean;
  readonly prepareBefore: boolean;
  readonly promiseDays: number;
  readonly drafts: number;
  readonly submitted: number;
  readonly state: RoundState;
}

export interface PlannedIntake extends IntakeInput {
  readonly id: string;
  readonly version: number;
  readonly cycle: string;
  readonly accepted: number;
  readonly rounds: readonly PlannedRound[];
  readonly rulebook: number | null;
  /** What it lacks before its first round opens, and what rounds lack that are still to open. */
  readonly gaps: readonly PlanGap[];
}

export interface PlannedProgramme extends ProgrammeInput {
  readonly version: number;
  readonly procedure: string;
  /** How many wait for its opening. */
  readonly interested: number;
  readonly intakes: readonly PlannedIntake[];
}

export interface PlansData {
  readonly zone: string;
  /** Of one programme, that one; of all, what they share. */
  readonly mayChange: boolean;
  readonly groups: readonly { readonly key: string; readonly title: LocalText }[];
  readonly campuses: ReferenceSet["campuses"];
  readonly procedures: readonly { readonly key: string; readonly title: LocalText; readonly rules: ChoiceRules }[];
  readonly cycles: readonly string[];
  readonly programmes: readonly PlannedProgramme[];
  /** What visitors looked for and did not find, the most frequent first. */
  readonly searches: readonly {
    /** "" where a place alone was looked for. */
    readonly words: string;
    /** "" for anywhere. */
    readonly campus: string;
    readonly place: string | null;
    readonly times: number;
    readonly lastAt: string;
  }[];
}

const PROGRAMMES = `select json_build_object('code', p.code, 'title', p.title, 'award', p.award, 'level', p.level, 'fields', p.fields, ${offeredBy("p")},
    'length', p.length, 'lengthUnit', p.length_unit, 'ects', p.ects, 'tracksRanked', p.tracks_ranked, 'description', p.description,
    'prerequisites', p.prerequisites, 'contact', p.contact, 'partner', p.partner, 'keywords', p.keywords, 'sponsorsVisa', p.sponsors_visa, 'onePage', p.one_page,
    'showsTimes', p.shows_times,
    'version', p.version, 'procedure', f.key, 'interested', (select count(*) from interest w where w.programme_id = p.id),
    'intakes', coalesce((select json_agg(json_build_object('id', i.id, 'version', i.version, 'startsOn', i.starts_on, 'places', i.places, 'quotas', i.quotas,
        'options', i.options, 'cycle', c.key,
        'rulebook', (select b.version from rulebook b where b.intake_id = i.id and b.status = 'published'),
        'accepted', (select count(*) from choice x join decision d on d.choice_id = x.id where x.intake_id = i.id and x.withdrawn_at is null and d.answer = 'accepted'),
        'rounds', coalesce((select json_agg(json_build_object('id', r.id, 'key', r.key, 'version', r.version, 'opensAt', r.opens_at, 'closings', r.closings,
            'closedAt', r.closed_at, 'closedReason', r.closed_reason, 'rolling', r.rolling, 'closesWhenFull', r.closes_when_full, 'ifPlacesLeft', r.if_places_left, 'waits', ${roundWaits("r")},
            'prepareBefore', r.prepare_before, 'promiseDays', r.promise_days,
            'drafts', (select count(*) from choice x where x.round_id = r.id and x.submitted_at is null and x.withdrawn_at is null),
            'submitted', (select count(*) from choice x where x.round_id = r.id and x.submitted_at is not null and x.withdrawn_at is null)
          ) order by r.opens_at) from round r where r.intake_id = i.id), '[]'::json)
      ) order by i.starts_on) from intake i join cycle c on c.id = i.cycle_id where i.programme_id = p.id), '[]'::json)
  ) as programme
  from programme p join procedure f on f.id = p.procedure_id where $1::text is null or p.code = $1 order by p.code`;

type Stored = Omit<PlannedProgramme, "intakes"> & {
  readonly intakes: readonly (Omit<PlannedIntake, "rounds" | "gaps"> & {
    readonly rounds: readonly Omit<PlannedRound, "state">[];
  })[];
};

const iso = (moment: string): string => new Date(moment).toISOString();

const MOST_SEARCHES = 20;

async function planned(
  pool: pg.Pool,
  code: string | null,
  groups: readonly string[],
  zone: ZoneTable,
  now: number,
): Promise<readonly PlannedProgramme[]> {
  const { rows } = await pool.query<{ programme: Stored }>(PROGRAMMES, [code]);
  return rows.map(({ programme }) => ({
    ...programme,
    intakes: programme.intakes.map((intake) => {
      const rounds = intake.rounds.map((round) => ({
        ...round,
        opensAt: iso(round.opensAt),
        state: roundState(round, null, now),
      }));
      const ahead = rounds.filter((r) => r.state === "coming");
      const over = rounds.length > 0 && ahead.length === 0;
      return { ...intake, rounds, gaps: over ? [] : planGaps(programme, { ...intake, rounds: ahead }, groups, zone) };
    }),
  }));
}

/** All programmes, or one; for the office. Who may change them is for the acts to say. */
export const plans = defineView({
  name: "plans",
  input: z.object({ code: z.string().max(20).nullable().default(null) }),
  read: async ({ pool, now, actor }, { code }): Promise<PlansData | null> => {
    if (!holds(actor, DRAFTERS)) return null;
    const office = await officeNow(pool);
    const procedures = await pool.query<PlansData["procedures"][number]>(
      "select key, title, rules from procedure order by key",
    );
    const searches = await pool.query<{ words: string; campus: string; times: number; last_at: Date }>(
      `select words, campus, times, last_at from empty_search order by times desc, last_at desc, folded, campus limit ${MOST_SEARCHES}`,
    );
    const places = placesOf(office.set.campuses);
    const cycles = await pool.query<{ key: string }>("select key from cycle order by key desc");
    return {
      zone: office.set.zone,
      mayChange: holds(actor, PLANNERS, code === null ? [] : [code]),
      groups: office.set.groups.map(({ key, title }) => ({ key, title })),
      campuses: office.set.campuses,
      procedures: procedures.rows,
      cycles: cycles.rows.map((c) => c.key),
      programmes: await planned(
        pool,
        code,
        office.set.groups.map((g) => g.key),
        office.zone,
        now.getTime(),
      ),
      searches: searches.rows.map(({ words, campus, times, last_at }) => ({
        words,
        campus,
        place: places.find((p) => p.value === campus)?.title.en ?? null,
        times,
        lastAt: last_at.toISOString(),
      })),
    };
  },
});
