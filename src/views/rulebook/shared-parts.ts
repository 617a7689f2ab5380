import { z } from "zod";
import { holds, RULEBOOK_READERS } from "../../core/rights/actor";
import { isCurrent, partsIn, type SharedPart } from "../../core/rulebook/parts";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import { defineView } from "../view/view";
import { nameOf } from "./rulebooks";

/** A rulebook that holds a copy of a shared part. */
export interface PartUse {
  readonly rulebookId: string;
  readonly code: string;
  readonly cycle: string;
  readonly version: number;
  readonly status: "draft" | "published";
  /** Whether its copy is what the part is now. */
  readonly current: boolean;
}

export interface SharedPartLine extends SharedPart {
  readonly edit: number;
  readonly editedAt: string;
  readonly editedBy: string | null;
  readonly uses: readonly PartUse[];
}

type Holder = Omit<PartUse, "current"> & { readonly body: RulebookBody };

/** The parts that rulebooks share, each with its use. Superseded rulebooks do not count: nobody applies under them any more. */
export const sharedParts = defineView({
  name: "shared-parts",
  input: z.object({ key: z.string().max(40).nullable().default(null) }),
  read: async ({ pool, actor }, { key }): Promise<readonly SharedPartLine[] | null> => {
    if (!holds(actor, RULEBOOK_READERS)) return null;
    const [parts, holders] = await Promise.all([
      pool.query<Omit<SharedPartLine, "uses">>(
        `select s.key, s.title, s.body, s.edit, s.edited_at as "editedAt", ${nameOf("s.edited_by")} as "editedBy" from shared_part s
         where $1::text is null or s.key = $1 order by s.key`,
        [key],
      ),
      pool.query<Holder>(
        `select b.id as "rulebookId", p.code, c.key as cycle, b.version, b.status, b.body from rulebook b join intake i on i.id = b.intake_id
           join programme p on p.id = i.programme_id join cycle c on c.id = i.cycle_id
         where b.status in ('draft', 'published') order by c.key desc, p.code, b.version`,
      ),
    ]);
    return parts.rows.map((part) => ({
      ...part,
      uses: holders.rows
        .filter((h) => partsIn(h.body).includes(part.key))
        .map(({ body, ...use }) => ({ ...use, current: isCurrent(body, part) })),
    }));
  },
});
