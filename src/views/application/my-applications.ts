import { z } from "zod";
import type { Turn } from "../../core/file/facts";
import type { LocalText } from "../../core/text/local-text";
import { defineView } from "../view/view";

export interface MyApplicationLine {
  readonly number: string;
  readonly choices: readonly { readonly code: string; readonly title: LocalText; readonly award: string }[];
  readonly stage: string;
  readonly turn: Turn;
  /** Whether there is something for the applicant to do, or to pay. */
  readonly owed: boolean;
  readonly reason: string;
  readonly comb: string;
  readonly dueAt: string | null;
  readonly count: number | null;
}

/** All applications of the person who asks. */
export const myApplications = defineView({
  name: "my-applications",
  input: z.object({}),
  read: async ({ pool, actor }): Promise<readonly MyApplicationLine[] | null> => {
    if (actor.kind !== "person") return null;
    const { rows } = await pool.query<MyApplicationLine>(
      `select a.number, s.stage, s.turn, s.owes && array['applicant', 'payment'] as owed, s.reason, s.comb, s.due_at as "dueAt", s.next_count as count,
         (select json_agg(json_build_object('code', p.code, 'title', p.title, 'award', p.award) order by c.rank)
          from choice c join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id where c.application_id = a.id) as choices
       from application a join file_standing s on s.application_id = a.id where a.person_id = $1 order by a.created_at desc, a.number desc`,
      [actor.id],
    );
    return rows.map((r) => ({ ...r, dueAt: r.dueAt === null ? null : new Date(r.dueAt).toISOString() }));
  },
});
