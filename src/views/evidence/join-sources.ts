import { z } from "zod";
import { MOST_PAGES } from "../../core/rulebook/takes";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

export interface JoinSource {
  readonly evidenceId: string;
  readonly sha256: string;
  readonly mediaType: string;
  readonly bytes: number;
}

/** The documents of a file whose pages are put together, where the office may and all of them still stand; else null. */
export const joinSources = defineView({
  name: "join-sources",
  input: z.object({ applicationId: z.uuid(), evidenceIds: z.array(z.uuid()).min(1).max(MOST_PAGES) }),
  read: async ({ pool, actor }, { applicationId, evidenceIds }): Promise<readonly JoinSource[] | null> => {
    const scope = programmesOf(actor);
    if (scope === null) return null;
    const { rows } = await pool.query<JoinSource>(
      `select e.id as "evidenceId", c.sha256, c.media_type as "mediaType", c.size as bytes
       from evidence e join upload u on u.id = e.upload_id join content c on c.sha256 = u.sha256
       where e.application_id = $1 and e.id = any($2) and e.replaced_at is null and ${fileInScope("e.application_id", "$3")}`,
      [applicationId, evidenceIds, scopeParameter(scope)],
    );
    return rows.length === new Set(evidenceIds).size ? rows : null;
  },
});
