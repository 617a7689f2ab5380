import { z } from "zod";
import { contexts } from "../core/assessment/context";
import type { AnswerFact, FileFacts, Json, Round } from "../core/assessment/facts";
import { eligibilityOf, findingsOf } from "../core/assessment/findings";
import type { Eligibility, FindingResult } from "../core/assessment/result";
import type { Instant, PlainDate } from "../core/ids";
import type { ReferenceSet } from "../core/office/reference-set";
import type { Track } from "../core/programmes/programme";
import type { Rulebook, RulebookBody } from "../core/rulebook/rulebook";
import { selfCheckBody } from "../core/rulebook/self-check";
import { factName } from "../core/sections/definition";
import { AnswerIndex, COMPLETE_FIELD } from "../core/sections/typed-facts";
import type { LocalText } from "../core/text/local-text";
import { type FormSection, formSections } from "./form-sections";
import { officeNow } from "./office-now";
import { defineView } from "./view";

/** A check before applying: the real entry rules over what a visitor enters. Nothing of it is stored. */
export interface SelfCheckData {
  readonly code: string;
  readonly award: string;
  readonly title: LocalText;
  readonly tracks: readonly Track[];
  readonly sections: readonly FormSection[];
  readonly findings: readonly FindingResult[];
  readonly eligibility: Eligibility;
  readonly factTitles: Readonly<Record<string, LocalText>>;
  readonly office: Pick<ReferenceSet, "scales" | "tests" | "areas">;
}

const MOST_ANSWERS = 2000;
const LONGEST = 4000;
const json: z.ZodType<Json> = z.lazy(() =>
  z.union([
    z.string().max(LONGEST),
    z.number(),
    z.boolean(),
    z.null(),
    z.array(json).max(100),
    z.record(z.string(), json),
  ]),
);

const input = z.object({
  code: z.string().max(20),
  track: z.string().max(40).nullable().default(null),
  answers: z
    .array(z.object({ section: z.string().max(60), entry: z.string().max(40), field: z.string().max(60), value: json }))
    .max(MOST_ANSWERS)
    .default([]),
});

interface Row {
  id: string;
  version: number;
  body: RulebookBody;
  starts_on: string;
  award: string;
  title: LocalText;
  tracks: Track[];
}

const NOWHERE = "2000-01-01T00:00:00.000Z" as Instant;
const CHOICE = "check";

/** The checked body of each rulebook, made once: published rulebooks never change. */
const bodies = new Map<string, RulebookBody>();
function checkBody({ id, body }: Row): RulebookBody {
  const made = bodies.get(id) ?? selfCheckBody(body);
  bodies.set(id, made);
  return made;
}

function factsOf(row: Row, track: string | null, answers: readonly AnswerFact[]): FileFacts {
  return {
    application: { id: CHOICE, number: "", createdAt: NOWHERE, withdrawnAt: null, groupAtSubmission: null },
    answers,
    confirmations: [],
    choices: [
      {
        id: CHOICE,
        rank: 1,
        rulebookId: row.id,
        roundId: CHOICE,
        programme: "",
        start: row.starts_on as PlainDate, // a date column
        campus: null,
        mode: null,
        track: track ?? row.tracks[0]?.key ?? null,
        extendedTo: null,
        submittedAt: null,
        withdrawnAt: null,
        completeAt: null,
        decision: null,
      },
    ],
    evidence: [],
    excuses: [],
    references: [],
    charges: [],
    asks: [],
    turns: [],
  };
}

const ROUND: Round = { id: CHOICE, opensAt: NOWHERE, closings: [], closedAt: null, promiseDays: 1 };

function titlesOf(body: RulebookBody): SelfCheckData["factTitles"] {
  return Object.fromEntries([
    ...body.measures.map((m) => [`measure.${m.key}`, m.title] as const),
    ...body.sections.flatMap((s) => s.fields.map((f) => [`${factName(s)}.${f.key}`, f.title] as const)),
  ]);
}

export const selfCheck = defineView({
  name: "self-check",
  input,
  read: async ({ pool }, { code, track, answers }): Promise<SelfCheckData | null> => {
    const office = await officeNow(pool);
    const { rows } = await pool.query<Row>(
      `select b.id, b.version, b.body, i.starts_on::text, p.award, p.title, p.tracks from rulebook b
         join intake i on i.id = b.intake_id join programme p on p.id = i.programme_id
       where p.code = $1 and b.status = 'published' order by i.starts_on desc limit 1`,
      [code],
    );
    const [row] = rows;
    if (!row) return null;
    const rulebook: Rulebook = { id: row.id, version: row.version, body: checkBody(row) };
    // A list in which something stands counts as whole: the check answers for what was entered.
    const begun = [...new Set(answers.flatMap((a) => (a.entry === "" ? [] : [a.section])))];
    const whole = begun.map((section) => ({ section, entry: "", field: COMPLETE_FIELD, value: true }));
    const facts = factsOf(
      row,
      track,
      [...answers, ...whole].map((a, position) => ({ ...a, scope: "file", version: 1, position })),
    );
    const index = new AnswerIndex(facts);
    const all = contexts(facts, index, { [row.id]: rulebook }, { [CHOICE]: ROUND }, office);
    const findings = all.flatMap(findingsOf);
    return {
      code,
      award: row.award,
      title: row.title,
      tracks: row.tracks,
      sections: formSections(index, all, []).map((s) => ({ ...s, open: "all" })),
      findings,
      eligibility: eligibilityOf(findings),
      factTitles: titlesOf(row.body),
      office: { scales: office.set.scales, tests: office.set.tests, areas: office.set.areas },
    };
  },
});
