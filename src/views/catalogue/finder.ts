import type pg from "pg";
import { z } from "zod";
import { applicantGroup } from "../../core/assessment/context";
import type { ChoiceRules } from "../../core/catalogue/choice-rules";
import {
  type IntakeInput,
  LEVELS,
  type LengthUnit,
  type Level,
  offeredOptions,
  type ProgrammeInput,
  type Track,
} from "../../core/catalogue/programme";
import { type RoundState, roundState } from "../../core/catalogue/round-state";
import { searchIndex } from "../../core/catalogue/search";
import { liesIn } from "../../core/catalogue/site-places";
import { alike, type Difference } from "../../core/catalogue/word-similarity";
import { type FeeDue, feeDue } from "../../core/fees/fee-due";
import type { Mode } from "../../core/file/mode";
import { allAmounts, type Money, minorFor } from "../../core/rulebook/fee-item";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import type { EntitlementList } from "../../core/rulebook/ruled-case";
import type { FactSource } from "../../core/rules/fact";
import type { Office, ReferenceSet } from "../../core/standards/reference-set";
import type { LocalText } from "../../core/text/local-text";
import { roundWaits } from "../../db/queries/round-waits";
import { NEEDED_TITLES } from "../../db/queries/rulebook-paths";
import { officeNow } from "../view/office-now";
import { defineView } from "../view/view";

/** What holds for one applicant group in a round. */
export interface GroupTerms {
  readonly key: string;
  readonly title: LocalText;
  readonly closesAt: string;
  /** `least` is the lowest that anybody of the group may have to pay, in minor units. */
  readonly fees: readonly (Money & { readonly title: LocalText; readonly due: FeeDue; readonly least: number })[];
}

export interface FinderRound {
  readonly roundId: string;
  readonly key: string;
  readonly opensAt: string;
  readonly state: RoundState;
  readonly rolling: boolean;
  readonly closesWhenFull: boolean;
  /** It opens only if places are left, which is found at its opening. */
  readonly waits: boolean;
  readonly prepareBefore: boolean;
  readonly promiseDays: number;
  /** The visitor's group alone once it is known, else all groups. */
  readonly groups: readonly GroupTerms[];
}

export interface FinderHit {
  readonly code: string;
  readonly title: LocalText;
  readonly award: string;
  readonly level: Level;
  readonly fields: readonly string[];
  readonly languages: readonly string[];
  readonly length: number;
  readonly lengthUnit: LengthUnit;
  readonly ects: number;
  readonly campuses: ReferenceSet["campuses"];
  readonly modes: readonly Mode[];
  readonly tracks: readonly Track[];
  readonly description: LocalText;
  readonly prerequisites: LocalText | null;
  readonly contact: ProgrammeInput["contact"];
  readonly partner: string | null;
  /** It can sponsor no visa, and this visitor may need one. */
  readonly withoutVisa: boolean;
  readonly keywords: readonly string[];
  readonly startsOn: string;
  readonly places: number;
  readonly procedure: { readonly key: string; readonly title: LocalText; readonly rules: ChoiceRules };
  readonly rounds: readonly FinderRound[];
  /** The round that matters now: the open one, else the next, else the last. */
  readonly round: FinderRound;
  readonly needs: readonly LocalText[];
  /** Results that have to be there by the closing: nobody is to choose it without knowing. */
  readonly resultsDue: readonly LocalText[];
  /** What its entry rules are called, in their order. */
  readonly rules: readonly LocalText[];
  /** What is accepted without further reading; told where one programme is asked for. */
  readonly accepted: readonly EntitlementList[];
  /** Programmes with a similar title, and what tells them apart. */
  readonly alike: readonly {
    readonly code: string;
    readonly award: string;
    readonly title: LocalText;
    readonly by: readonly Difference[];
  }[];
}

export interface FinderData {
  readonly zone: string;
  readonly office: LocalText;
  readonly group: { readonly key: string; readonly title: LocalText } | null;
  readonly campuses: ReferenceSet["campuses"];
  readonly map: ReferenceSet["map"];
  /** How many programmes each campus has. */
  readonly perCampus: Readonly<Record<string, number>>;
  /** What can be picked in each filter: what at least one programme has. */
  readonly choices: {
    readonly levels: readonly Level[];
    readonly awards: readonly string[];
    /** Partners that run programmes; none where the office runs all. */
    readonly partners: readonly string[];
    readonly fields: readonly string[];
    readonly languages: readonly string[];
    readonly starts: readonly string[];
  };
  readonly total: number;
  readonly hits: readonly FinderHit[];
}

interface Row {
  round_id: string;
  round_key: string;
  opens_at: Date;
  closed_at: Date | null;
  closed_reason: string | null;
  closings: { group: string; at: string }[];
  rolling: boolean;
  closes_when_full: boolean;
  waits: boolean;
  prepare_before: boolean;
  promise_days: number;
  programme: ProgrammeInput & { readonly sponsors_visa: boolean; readonly length_unit: LengthUnit };
  starts_on: string;
  places: number;
  options: IntakeInput["options"];
  procedure: FinderHit["procedure"];
  fees: RulebookBody["fees"];
  needs: LocalText[];
  rules: LocalText[];
  results_due: LocalText[];
  entitlements: string[];
}

/** Only what the finder shows of a rulebook is read from it, not the whole. */
const ROWS = `select r.id as round_id, r.key as round_key, r.opens_at, r.closed_at, r.closed_reason, r.closings, r.rolling, r.closes_when_full, ${roundWaits("r")} as waits, r.prepare_before, r.promise_days,
    to_jsonb(p) as programme, i.starts_on::text, i.places, i.options,
    json_build_object('key', f.key, 'title', f.title, 'rules', f.rules) as procedure,
    b.body->'fees' as fees, jsonb_path_query_array(b.body, '${NEEDED_TITLES}') as needs,
    jsonb_path_query_array(b.body, '$.entryRules[*].title') as rules,
    jsonb_path_query_array(b.body, '$.measures[*] ? (@.resultBy == "closing").title') as results_due, jsonb_path_query_array(b.body, '$.measures[*].entitlement') as entitlements
  from round r join intake i on i.id = r.intake_id join programme p on p.id = i.programme_id join procedure f on f.id = p.procedure_id
  join rulebook b on b.intake_id = i.id and b.status = 'published'
  order by p.code, i.starts_on, r.opens_at`;

const STATE_ORDER: readonly RoundState[] = ["open", "coming", "full", "closed"];

function groupTerms(row: Row, office: Office, group: string | null): readonly GroupTerms[] {
  const titleOf = new Map(office.set.groups.map((g) => [g.key, g.title]));
  return row.closings
    .filter((c) => group === null || c.group === group)
    .map((c) => ({
      key: c.group,
      title: titleOf.get(c.group) ?? { en: c.group, fr: c.group },
      closesAt: c.at,
      fees: row.fees.flatMap((f) => {
        const [minor = 0, ...reduced] = allAmounts(f).map((amounts) => minorFor(amounts, c.group));
        const fee = { title: f.title, minor, currency: f.currency, due: feeDue(f), least: Math.min(minor, ...reduced) };
        return minor > 0 ? [fee] : [];
      }),
    }));
}

function roundOf(row: Row, office: Office, group: string | null, now: number): FinderRound {
  const window = {
    opensAt: row.opens_at.toISOString(),
    closings: row.closings,
    closedAt: row.closed_at?.toISOString() ?? null,
    closedReason: row.closed_reason,
    waits: row.waits,
  };
  return {
    roundId: row.round_id,
    key: row.round_key,
    opensAt: window.opensAt,
    state: roundState(window, group, now),
    rolling: row.rolling,
    closesWhenFull: row.closes_when_full,
    waits: row.waits,
    prepareBefore: row.prepare_before,
    promiseDays: row.promise_days,
    groups: groupTerms(row, office, group),
  };
}

/** The rounds of one start together are one hit. */
function toHits(rows: readonly Row[], office: Office, group: string | null, now: number): readonly FinderHit[] {
  const mayNeedVisa = office.set.groups.find((g) => g.key === group)?.visaFree !== true;
  const starts = new Map<string, Row[]>();
  for (const row of rows) {
    const place = `${row.programme.code} ${row.starts_on}`;
    starts.set(place, [...(starts.get(place) ?? []), row]);
  }
  return [...starts.values()].flatMap((own) => {
    const [row] = own;
    if (!row) return [];
    const rounds = own.map((r) => roundOf(r, office, group, now));
    const first = STATE_ORDER.flatMap((state) => rounds.filter((r) => r.state === state));
    const round = first[0]?.state === "closed" ? (rounds.at(-1) ?? first[0]) : first[0];
    if (!round) return [];
    const { programme } = row;
    const offered = offeredOptions(programme, row);
    return [
      {
        ...programme,
        withoutVisa: !programme.sponsors_visa && mayNeedVisa,
        campuses: office.set.campuses.filter((c) => offered.campuses.includes(c.key)),
        languages: offered.languages,
        lengthUnit: programme.length_unit,
        modes: offered.modes,
        tracks: offered.tracks,
        startsOn: row.starts_on,
        places: row.places,
        procedure: row.procedure,
        rounds,
        round,
        needs: row.needs,
        rules: row.rules,
        resultsDue: row.results_due,
        accepted: office.set.entitlements.filter((l) => row.entitlements.includes(l.key)),
        alike: [],
      } satisfies FinderHit,
    ];
  });
}

function withAlike(hits: readonly FinderHit[]): readonly FinderHit[] {
  const plain = hits.map((h) => ({ ...h, campuses: h.campuses.map((c) => c.key) }));
  return hits.map((hit, i) => {
    const own = plain[i];
    const likes = own ? alike(own, plain) : [];
    return {
      ...hit,
      alike: likes.map(({ other, by }) => ({ code: other.code, award: other.award, title: other.title, by })),
    };
  });
}

const input = z.object({
  /** One programme alone, by its code. */
  code: z.string().max(20).nullable().default(null),
  words: z.string().max(200).default(""),
  level: z.enum(LEVELS).nullable().default(null),
  award: z.string().max(40).nullable().default(null),
  /** A partner by its name, or `ours` for what the office runs itself. */
  by: z.string().max(80).nullable().default(null),
  /** A broad field of ISCED-F, two digits. */
  field: z.string().max(3).nullable().default(null),
  language: z.string().max(3).nullable().default(null),
  /** A campus by its key, or a region (`placesOf`). */
  campus: z.string().max(80).nullable().default(null),
  start: z.iso.date().nullable().default(null),
  open: z.boolean().default(false),
  /** What the visitor says of themselves: it decides the group whose deadlines and fees are shown. */
  citizenships: z.array(z.string().max(3)).max(6).default([]),
  residence: z.string().max(3).nullable().default(null),
});
type Query = z.output<typeof input>;

/** The applicant group by the office's own rules, from what a visitor states; null while they have stated nothing. */
function visitorGroup(office: Office, { citizenships, residence }: Query): string | null {
  if (citizenships.length === 0 && residence === null) return null;
  const source: FactSource = {
    list: () => ({ entries: [], open: true }),
    scalar: (name) => {
      if (name === "citizenship.citizenships" && citizenships.length > 0)
        return { kind: "value", value: citizenships, confirmed: false };
      if (name === "citizenship.residence" && residence !== null)
        return { kind: "value", value: residence, confirmed: false };
      return { kind: "unknown" };
    },
  };
  // Of what single forms ask a visitor has stated nothing.
  return applicantGroup(source, office, { scalars: new Map() });
}

/** What stands for the office itself among those who run programmes. */
const OURS = "ours";

function matches(hit: FinderHit, query: Query): boolean {
  return (
    (query.code === null || hit.code === query.code) &&
    (query.level === null || hit.level === query.level) &&
    (query.award === null || hit.award === query.award) &&
    (query.by === null || (hit.partner ?? OURS) === query.by) &&
    (query.field === null || hit.fields.some((f) => f.startsWith(query.field ?? ""))) &&
    (query.language === null || hit.languages.includes(query.language)) &&
    (query.campus === null || hit.campuses.some((c) => liesIn(c, query.campus ?? ""))) &&
    (query.start === null || hit.startsOn === query.start) &&
    (!query.open || hit.round.state === "open")
  );
}

function found(hits: readonly FinderHit[], words: string): readonly FinderHit[] {
  if (words.trim() === "")
    return [...hits].sort(
      (a, b) =>
        STATE_ORDER.indexOf(a.round.state) - STATE_ORDER.indexOf(b.round.state) || a.title.en.localeCompare(b.title.en),
    );
  const ids = searchIndex(
    hits.map((h, i) => ({
      id: String(i),
      code: h.code,
      title: `${h.award} ${h.title.en} ${h.title.fr}`,
      keywords: [
        ...h.keywords,
        ...h.campuses.flatMap((c) => [c.title.en, c.region?.en ?? "", c.region?.fr ?? ""]),
      ].join(" "),
      text: [h.description.en, h.description.fr, h.partner ?? ""].join(" "),
    })),
  )(words);
  return ids.flatMap((id) => hits[Number(id)] ?? []);
}

const distinct = (values: readonly string[]): readonly string[] => [...new Set(values)].sort();

async function allHits(
  pool: pg.Pool,
  office: Office,
  group: string | null,
  now: number,
): Promise<readonly FinderHit[]> {
  const { rows } = await pool.query<Row>({ name: "finder", text: ROWS });
  return withAlike(toHits(rows, office, group, now));
}

/** The programmes that take applications, for everybody: found, narrowed, and with the terms of the visitor's group. */
export const finder = defineView({
  name: "finder",
  input,
  read: async ({ pool, now }, query): Promise<FinderData> => {
    const office = await officeNow(pool);
    const group = visitorGroup(office, query);
    const all = await allHits(pool, office, group, now.getTime());
    return {
      zone: office.set.zone,
      office: office.set.name,
      group: office.set.groups.find((g) => g.key === group) ?? null,
      campuses: office.set.campuses,
      map: office.set.map,
      perCampus: Object.fromEntries(
        office.set.campuses.map((c) => [c.key, all.filter((h) => h.campuses.some((own) => own.key === c.key)).length]),
      ),
      choices: {
        levels: LEVELS.filter((level) => all.some((h) => h.level === level)),
        awards: distinct(all.flatMap((h) => (h.award === "" ? [] : [h.award]))),
        partners: distinct(all.flatMap((h) => h.partner ?? [])),
        fields: distinct(all.flatMap((h) => h.fields.map((f) => f.slice(0, 2)))),
        languages: distinct(all.flatMap((h) => h.languages)),
        starts: distinct(all.map((h) => h.startsOn)),
      },
      total: all.length,
      hits: found(
        all.filter((hit) => matches(hit, query)).map((hit) => (query.code === null ? { ...hit, accepted: [] } : hit)),
        query.words,
      ),
    };
  },
});
