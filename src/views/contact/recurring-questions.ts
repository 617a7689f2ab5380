import { z } from "zod";
import { holds, RULEBOOK_READERS } from "../../core/rights/actor";
import type { LocalText } from "../../core/text/local-text";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

/** What applicants of one programme have asked about one section of its form. */
export interface RecurringQuestion {
  readonly code: string;
  /** The version in force, or the draft of the next where there is one: there the help texts are written. */
  readonly rulebookId: string;
  readonly section: string;
  readonly title: LocalText;
  readonly times: number;
  readonly lastAt: string;
  /** As officers noted them, without names; the latest first. */
  readonly questions: readonly string[];
}

const MONTHS = 12;
const MOST = 100;
const MOST_WORDED = 5;

const QUESTIONS = `select p.code, b.id as "rulebookId", n.about as section, s.value->'title' as title, count(*)::int as times, max(n.at) as "lastAt",
    (array_agg(n.question order by n.at desc) filter (where n.question <> ''))[1:${MOST_WORDED}] as questions
  from (select application_id, about, question, at from contact_note union all
      select c.application_id, c.about, coalesce((select a.question from conversation a where a.application_id = c.application_id and a.from_office and a.at = c.answered_at), ''), c.at
      from conversation c where not c.from_office and c.about <> '') n
    join lateral (select distinct i.programme_id from choice c join intake i on i.id = c.intake_id where c.application_id = n.application_id and c.withdrawn_at is null) x on true
    join programme p on p.id = x.programme_id
    join lateral (select b.id, b.body from rulebook b join intake i on i.id = b.intake_id where i.programme_id = p.id and b.status in ('published', 'draft')
      order by b.status = 'draft' desc, i.starts_on limit 1) b on true
    join lateral jsonb_array_elements(b.body->'sections') s on s.value->>'key' = n.about
  where n.about <> '' and n.at > $1 and ${fileInScope("n.application_id", "$2")}
  group by p.code, b.id, n.about, s.value->'title' order by times desc, "lastAt" desc limit ${MOST}`;

/** The questions of the last twelve months that officers noted with the section they are about, the most frequent first. */
export const recurringQuestions = defineView({
  name: "recurring-questions",
  input: z.object({}),
  read: async ({ pool, actor, now }): Promise<readonly RecurringQuestion[] | null> => {
    if (!holds(actor, RULEBOOK_READERS)) return null;
    const scope = programmesOf(actor);
    if (scope === null) return [];
    const since = new Date(now);
    since.setUTCMonth(since.getUTCMonth() - MONTHS);
    const { rows } = await pool.query<
      Omit<RecurringQuestion, "lastAt" | "questions"> & { lastAt: Date; questions: string[] | null }
    >(QUESTIONS, [since, scopeParameter(scope)]);
    return rows.map((r) => ({ ...r, lastAt: r.lastAt.toISOString(), questions: r.questions ?? [] }));
  },
});
