import type pg from "pg";
import { z } from "zod";
import {
  type IntakeInput,
  type OfferedByProgramme,
  offeredOptions,
  optionsElsewhere,
} from "../../core/catalogue/programme";
import { type RoundState, roundState } from "../../core/catalogue/round-state";
import type { Round } from "../../core/file/facts";
import type { PlainDate } from "../../core/ids";
import { asIf, type ChoiceChange, type StandingElsewhere } from "../../core/what-if/as-if";
import { loadFile, rulebooksById } from "../../db/queries/load-file";
import { offeredBy } from "../../db/queries/offered";
import { roundWaits } from "../../db/queries/round-waits";
import { officeNow } from "../view/office-now";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

/** One other place for a choice: another track of its programme, or another programme of its procedure. */
export interface OtherPlace {
  readonly roundId: string;
  readonly code: string;
  readonly title: string;
  readonly track: { readonly key: string; readonly title: string } | null;
  /** It is the same programme on another track. */
  readonly same: boolean;
  readonly round: RoundState;
  readonly eligibility: StandingElsewhere["eligibility"];
  readonly findings: readonly { readonly title: string; readonly finding: string }[];
  readonly missing: readonly string[];
}

export interface Elsewhere {
  readonly now: Pick<OtherPlace, "eligibility" | "findings" | "missing">;
  readonly places: readonly OtherPlace[];
}

interface Row {
  readonly round: Round;
  readonly rulebook_id: string;
  readonly plan: OfferedByProgramme & Pick<IntakeInput, "options">;
  readonly code: string;
  readonly title: string;
  readonly start: PlainDate;
  readonly same: boolean;
  readonly closed_reason: string | null;
}

/**
 * Starts of the same procedure and cycle that the file does not hold, each with its newest rulebook and the round that is open or
 * comes last; and the start of the choice itself, with the rulebook and the round that it stands on.
 */
const PLACES = `
  with own as (select c.*, i.cycle_id, p.procedure_id from choice c join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id where c.id = $2 and c.application_id = $1)
  select p.code, ltrim(p.award || ' ' || (p.title->>'en')) as title, i.starts_on::text as start, i.id = own.intake_id as same, r.closed_reason,
    json_build_object(${offeredBy("p")}, 'options', i.options) as plan,
    b.id as rulebook_id,
    json_build_object('id', r.id, 'opensAt', r.opens_at, 'closings', r.closings, 'closedAt', r.closed_at, 'waits', ${roundWaits("r")}, 'promiseDays', r.promise_days) as round
  from own join intake i on i.cycle_id = own.cycle_id join programme p on p.id = i.programme_id and p.procedure_id = own.procedure_id
    join rulebook b on case when i.id = own.intake_id then b.id = own.rulebook_id else b.intake_id = i.id and b.status = 'published' end
    join lateral (select * from round x where case when i.id = own.intake_id then x.id = own.round_id else x.intake_id = i.id end
      order by x.opens_at <= $3 and x.closed_at is null desc, x.opens_at desc limit 1) r on true
  where i.id = own.intake_id or not exists (select 1 from choice h where h.application_id = $1 and h.intake_id = i.id)
  order by i.id = own.intake_id desc, p.code, i.starts_on`;

const inWords = (standing: StandingElsewhere) => ({
  eligibility: standing.eligibility,
  findings: standing.findings.map((f) => ({ title: f.title.en, finding: f.finding })),
  missing: standing.missing.map((r) => r.title.en),
});

const BY_ELIGIBILITY: readonly OtherPlace["eligibility"][] = [
  "eligible",
  "eligible on conditions",
  "open",
  "not eligible",
];

/** Other tracks first, then where it would be eligible, then where least would be missing. */
function byNearness(a: OtherPlace, b: OtherPlace): number {
  return (
    Number(b.same) - Number(a.same) ||
    BY_ELIGIBILITY.indexOf(a.eligibility) - BY_ELIGIBILITY.indexOf(b.eligibility) ||
    a.missing.length - b.missing.length
  );
}

async function fileIn(pool: pg.Pool, scope: readonly string[] | null, number: string): Promise<string | null> {
  const { rows } = await pool.query<{ id: string }>(
    `select a.id from application a where a.number = $2 and ${fileInScope("a.id", "$1")}`,
    [scope, number],
  );
  return rows[0]?.id ?? null;
}

/** Where one choice of a file would stand on other tracks and programmes; nothing of it is stored. */
export const elsewhere = defineView({
  name: "elsewhere",
  input: z.object({ number: z.string().max(20), choiceId: z.uuid() }),
  read: async ({ actor, pool, now }, { number, choiceId }): Promise<Elsewhere | null> => {
    const scope = programmesOf(actor);
    if (scope === null) return null;
    const id = await fileIn(pool, scopeParameter(scope), number);
    const loaded = id === null ? null : await loadFile(pool, id);
    if (!loaded) return null;
    const office = await officeNow(pool);
    const { rows } = await pool.query<Row>(PLACES, [id, choiceId, now]);
    const at = now.getTime();
    const rulebooks = await rulebooksById(
      pool,
      rows.map((r) => r.rulebook_id),
    );
    const stand = ({ round }: Row, change: ChoiceChange) =>
      asIf(
        {
          ...loaded,
          rulebooks: { ...loaded.rulebooks, ...rulebooks },
          rounds: { ...loaded.rounds, [round.id]: round },
          office,
          at,
        },
        choiceId,
        change,
      );
    const choice = loaded.facts.choices.find((c) => c.id === choiceId);
    if (!choice) return null;
    const [own] = rows.filter((r) => r.same);
    const standing = own ? stand(own, {}) : null;
    if (!standing) return null;
    const places = rows.flatMap((row) => {
      const { tracks } = offeredOptions(row.plan, row.plan);
      const named = tracks.map((t) => ({ key: t.key, title: t.title.en }));
      const others = row.same ? named.filter((t) => t.key !== choice.track) : named.length > 0 ? named : [null];
      return others.flatMap((other): readonly OtherPlace[] => {
        const track = other?.key ?? null;
        const { rulebook_id: rulebookId, code: programme, start } = row;
        const options = optionsElsewhere(row.plan, row.plan, choice, track);
        const there = row.same
          ? stand(row, { track })
          : options && stand(row, { ...options, rulebookId, roundId: row.round.id, programme, start });
        if (!there) return [];
        return [
          {
            roundId: row.round.id,
            code: row.code,
            title: row.title,
            track: other,
            same: row.same,
            round: roundState({ ...row.round, closedReason: row.closed_reason }, null, at),
            ...inWords(there),
          },
        ];
      });
    });
    return { now: inWords(standing), places: places.toSorted(byNearness) };
  },
});
