import { z } from "zod";
import { findingsOf } from "../../core/assessment/findings";
import type { Rulebook } from "../../core/rulebook/rulebook";
import type { LocalText } from "../../core/text/local-text";
import { loadFile } from "../../db/queries/load-file";
import { trialOf } from "../form/trial";
import { officeNow } from "../view/office-now";
import { defineView } from "../view/view";

/** A programme that somebody cannot choose with what they have told, and the conditions of it that they do not meet. */
export interface ClosedProgramme {
  readonly code: string;
  readonly rules: readonly LocalText[];
  /** The application in which they told it. */
  readonly number: string;
}

const GATED = `select distinct on (p.code) p.code, b.id, b.version, b.body, i.starts_on::text as start, p.languages from rulebook b
    join intake i on i.id = b.intake_id join programme p on p.id = i.programme_id
  where b.status = 'published' and jsonb_path_exists(b.body, '$.entryRules[*] ? (@.gate == true)')
    and not exists (select 1 from choice c join application a on a.id = c.application_id where a.person_id = $1 and c.intake_id = i.id and c.withdrawn_at is null)
  order by p.code, i.starts_on desc`;

const LATEST = `select a.id from application a where a.person_id = $1 and exists (select 1 from answer w where w.application_id = a.id)
  order by (select max(w.saved_at) from answer w where w.application_id = a.id) desc limit 1`;

/**
 * The programmes that follow from nothing of what the reader has told: their rules about who may choose them are read with the answers of
 * the application that was worked on last, before anything is chosen. What is still open closes nothing, and what they have chosen is
 * said there, with the exceptions that the office made.
 */
export const closedToMe = defineView({
  name: "closed-to-me",
  input: z.object({}),
  read: async ({ pool, actor, now }): Promise<readonly ClosedProgramme[]> => {
    if (actor.kind !== "person") return [];
    const { rows: gated } = await pool.query<Rulebook & { code: string; start: string; languages: readonly string[] }>(
      GATED,
      [actor.id],
    );
    if (gated.length === 0) return [];
    const { rows: latest } = await pool.query<{ id: string }>(LATEST, [actor.id]);
    const file = latest[0] && (await loadFile(pool, latest[0].id));
    if (!file) return [];
    const office = await officeNow(pool);
    const { application, answers } = file.facts;
    const told = answers.filter((a) => a.scope === "file");
    return gated.flatMap(({ code, start, languages, ...rulebook }) => {
      const trial = { start, language: languages[0] ?? "", group: null, campus: null, mode: null, track: null };
      const { contexts } = trialOf(rulebook, trial, told, office, now.getTime());
      const closed = contexts.flatMap((c) => findingsOf(c, []).filter((f) => f.gate && f.finding === "not met"));
      const rules = rulebook.body.entryRules.filter((r) => closed.some((f) => f.key === r.key)).map((r) => r.title);
      return rules.length > 0 ? [{ code, rules, number: application.number }] : [];
    });
  },
});
