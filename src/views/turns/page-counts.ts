import { z } from "zod";
import { holds, OFFICE } from "../../core/rights/actor";
import { MAIL_WAITING } from "../mail/incoming";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

/** How much waits on pages of the office, by their addresses. */
export type PageCounts = Readonly<Record<string, number>>;

/** What waits where, for the lists of the head; asked for when one of them is opened. */
export const pageCounts = defineView({
  name: "page-counts",
  input: z.object({}),
  read: async ({ pool, actor }): Promise<PageCounts | null> => {
    const scope = programmesOf(actor);
    const administers = holds(actor, ["administrator"]);
    if (scope === null && !administers) return null;
    const [files, mail] = await Promise.all([
      scope === null || !holds(actor, OFFICE)
        ? { rows: [] }
        : pool.query<Record<"turns" | "drafts" | "results" | "papers" | "references" | "mailIn", number>>(
            `select (select count(*)::int from file_standing s where s.turn = 'office' and ${fileInScope("s.application_id", "$1")}) as turns,
               (select count(*)::int from file_standing s where s.stage = 'preparing' and ${fileInScope("s.application_id", "$1")}) as drafts,
               (select count(*)::int from owner_result r where r.state = 'other name' and ${fileInScope("r.application_id", "$1")}) as results,
               (select count(*)::int from paper p where p.inspected_at is null and (p.application_id is null or ${fileInScope("p.application_id", "$1")})) as papers,
               (select count(*)::int from reference_request r where r.state in ('asked', 'opened') and r.more_until is not null and ${fileInScope("r.application_id", "$1")}) as references,
               (${MAIL_WAITING}) as "mailIn"`,
            [scopeParameter(scope)],
          ),
      administers
        ? pool.query<{ mail: number }>(
            "select count(*)::int as mail from message where failure is not null and state in ('failed', 'queued')",
          )
        : { rows: [] },
    ]);
    const [waiting] = files.rows;
    return {
      ...(waiting
        ? {
            "/office": waiting.turns,
            "/office/drafts": waiting.drafts,
            "/office/results": waiting.results,
            "/office/papers": waiting.papers,
            "/office/references": waiting.references,
            "/office/mail-in": waiting.mailIn,
          }
        : {}),
      ...(mail.rows[0] ? { "/office/mail": mail.rows[0].mail } : {}),
    };
  },
});
