import { z } from "zod";
import type { Picture, Requirement } from "../../core/rulebook/requirement";
import type { Takes } from "../../core/rulebook/takes";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

/** What is asked for at a place of a file, for whoever may put a document there; asked before a byte of it is read. */
export const uploadPlace = defineView({
  name: "upload-place",
  input: z.object({ applicationId: z.uuid(), requirement: z.string().max(60).default("") }),
  read: async (
    { pool, actor },
    { applicationId, requirement },
  ): Promise<{ readonly picture: Picture | null; readonly takes: Takes } | null> => {
    if (actor.kind !== "person") return null;
    const scope = programmesOf(actor);
    const { rows } = await pool.query<{ asked: Requirement | null }>(
      `select (select r from choice c join rulebook b on b.id = c.rulebook_id, jsonb_array_elements(b.body->'requirements') r
               where c.application_id = a.id and r->>'key' = $2 limit 1) as asked
       from application a where a.id = $1 and (a.person_id = $3 or ($4 and ${fileInScope("a.id", "$5")}))`,
      [applicationId, requirement, actor.id, scope !== null, scope === null ? [] : scopeParameter(scope)],
    );
    const [row] = rows;
    if (!row) return null;
    const asked = row.asked?.kind === "document" ? row.asked : null;
    return { picture: asked?.picture ?? null, takes: asked?.takes ?? {} };
  },
});
