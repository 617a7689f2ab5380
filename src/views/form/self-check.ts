import { z } from "zod";
import { explainFindings } from "../../core/assessment/explain";
import { eligibilityOf, findingsOf } from "../../core/assessment/findings";
import type { Track } from "../../core/catalogue/programme";
import type { Eligibility, ExplainedFinding } from "../../core/file/result";
import { type FormSection, formSections } from "../../core/form/form-sections";
import type { Rulebook, RulebookBody } from "../../core/rulebook/rulebook";
import { selfCheckBody } from "../../core/rulebook/self-check";
import { type Registers, registersOf } from "../../core/standards/reference-set";
import type { LocalText } from "../../core/text/local-text";
import { officeNow } from "../view/office-now";
import { defineView } from "../view/view";
import { titlesOf } from "./fact-titles";
import { trialAnswersSchema, trialOf } from "./trial";

/** A check before applying: the real entry rules over what a visitor enters. Nothing of it is stored. */
export interface SelfCheckData {
  readonly code: string;
  readonly award: string;
  readonly title: LocalText;
  readonly tracks: readonly Track[];
  readonly sections: readonly FormSection[];
  readonly findings: readonly ExplainedFinding[];
  readonly eligibility: Eligibility;
  readonly factTitles: Readonly<Record<string, LocalText>>;
  readonly office: Registers;
}

const input = z.object({
  code: z.string().max(20),
  track: z.string().max(40).nullable().default(null),
  answers: trialAnswersSchema,
});

interface Row {
  id: string;
  version: number;
  body: RulebookBody;
  starts_on: string;
  award: string;
  title: LocalText;
  tracks: Track[];
  languages: readonly string[];
}

/** The checked body of each rulebook, made once: published rulebooks never change. */
const bodies = new Map<string, RulebookBody>();
function checkBody({ id, body }: Row): RulebookBody {
  const made = bodies.get(id) ?? selfCheckBody(body);
  bodies.set(id, made);
  return made;
}

export const selfCheck = defineView({
  name: "self-check",
  input,
  read: async ({ pool, now }, { code, track, answers }): Promise<SelfCheckData | null> => {
    const office = await officeNow(pool);
    const { rows } = await pool.query<Row>(
      `select b.id, b.version, b.body, i.starts_on::text, p.award, p.title, p.tracks, p.languages from rulebook b
         join intake i on i.id = b.intake_id join programme p on p.id = i.programme_id
       where p.code = $1 and b.status = 'published' order by i.starts_on desc limit 1`,
      [code],
    );
    const [row] = rows;
    if (!row) return null;
    const rulebook: Rulebook = { id: row.id, version: row.version, body: checkBody(row) };
    const chosen = { campus: null, mode: null, track: track ?? row.tracks[0]?.key ?? null };
    const { index, contexts: all } = trialOf(
      rulebook,
      { start: row.starts_on, language: row.languages[0] ?? "", group: null, ...chosen },
      answers,
      office,
      now.getTime(),
    );
    const findings = all.flatMap((context) => explainFindings(context, findingsOf(context, [])));
    return {
      code,
      award: row.award,
      title: row.title,
      tracks: row.tracks,
      sections: formSections(index, all, [], { reopenings: [] }, office.set).map((s) => ({ ...s, open: "all" })),
      findings,
      eligibility: eligibilityOf(findings),
      factTitles: titlesOf(row.body, office.set),
      office: registersOf(office.set),
    };
  },
});
