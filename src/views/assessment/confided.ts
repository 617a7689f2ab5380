import { z } from "zod";
import { registersOf } from "../../core/standards/reference-set";
import {
  bodiesOf,
  KEPT_ROW,
  type KeptAnswer,
  type KeptRow,
  keptAnswers,
  saysSecret,
  secretFields,
} from "../form/kept-answers";
import { officeNow } from "../view/office-now";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

export const CONFIDED_KINDS = ["open", "granted", "all"] as const;
export type ConfidedKind = (typeof CONFIDED_KINDS)[number];

export interface ConfidedRow {
  readonly applicationId: string;
  readonly number: string;
  readonly name: string;
  readonly programmes: string;
  readonly closed: boolean;
  readonly told: readonly KeptAnswer[];
  readonly adjustments: readonly {
    readonly id: string;
    readonly what: string;
    readonly why: string;
    readonly by: string;
    readonly at: string;
  }[];
}

export interface ConfidedPage {
  readonly kind: ConfidedKind;
  readonly counts: Readonly<Record<ConfidedKind, number>>;
  readonly rows: readonly ConfidedRow[];
  /** The number behind which the next page begins; null on the last. */
  readonly next: string | null;
}

const PAGE = 50;

const TOLD = `${secretFields("advisers")}, told as (select s.application_id, s.number, s.name, s.programmes, s.stage = 'closed' as closed,
    exists (select 1 from adjustment j where j.application_id = s.application_id and j.ended_at is null) as granted
  from file_standing s where ${fileInScope("s.application_id", "$1")} and (${saysSecret("s.application_id")}
    or exists (select 1 from adjustment j where j.application_id = s.application_id and j.ended_at is null)))`;

const IS: Readonly<Record<ConfidedKind, string>> = {
  open: "not t.granted and not t.closed",
  granted: "t.granted",
  all: "true",
};

interface Row extends KeptRow, Omit<ConfidedRow, "told"> {}

/** What applicants told advisers in confidence, and what was granted for it. Nothing else of a file. */
export const confided = defineView({
  name: "confided",
  input: z.object({
    kind: z.enum(CONFIDED_KINDS).catch("open").default("open"),
    after: z.string().max(20).nullable().default(null),
  }),
  read: async ({ pool, actor }, { kind, after }): Promise<ConfidedPage | null> => {
    const scope = programmesOf(actor, ["adviser"]);
    if (scope === null) return null;
    const own = scopeParameter(scope);
    const [counted, listed, { set }] = await Promise.all([
      pool.query<Record<ConfidedKind, number>>(
        `with ${TOLD} select ${CONFIDED_KINDS.map((k) => `(count(*) filter (where ${IS[k]}))::int as ${k}`).join(", ")} from told t`,
        [own],
      ),
      pool.query<Row>(
        `with ${TOLD} select t.application_id as "applicationId", t.number, t.name, t.programmes, t.closed, ${KEPT_ROW},
           coalesce((select json_agg(json_build_object('id', j.id, 'what', j.what, 'why', j.why, 'by', w.name, 'at', j.at) order by j.at)
             from adjustment j join person w on w.id = j.by_id where j.application_id = t.application_id and j.ended_at is null), '[]') as adjustments
         from told t where ${IS[kind]} and ($2::text is null or t.number < $2) order by t.number desc limit ${PAGE + 1}`,
        [own, after],
      ),
      officeNow(pool),
    ]);
    const rows = listed.rows.slice(0, PAGE);
    const bodies = await bodiesOf(pool, [...new Set(rows.flatMap((r) => r.rulebooks))]);
    return {
      kind,
      counts: counted.rows[0] ?? { open: 0, granted: 0, all: 0 },
      rows: rows.map(({ answers, confirmations, rulebooks, ...row }) => ({
        ...row,
        told: keptAnswers({ answers, confirmations, rulebooks }, bodies, registersOf(set), "advisers"),
      })),
      next: listed.rows.length > PAGE ? (rows.at(-1)?.number ?? null) : null,
    };
  },
  readings: (page) => page.rows.map(({ number }) => ({ kind: "file opened", file: number })),
});
