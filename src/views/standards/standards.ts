import type pg from "pg";
import { z } from "zod";
import { compareReferenceSets, type ReferenceDifference } from "../../core/difference/reference-sets";
import { holds, KEEPERS, RULEBOOK_READERS } from "../../core/rights/actor";
import type { KnownFact } from "../../core/rulebook/facts";
import type { ReferenceProblem } from "../../core/standards/reference-problems";
import type { ReferenceSet } from "../../core/standards/reference-set";
import { factsOfForms, problemsOfReferenceSet } from "../../db/queries/office";
import { effectKey, lastPreview, type PreviewState, previewState, type StoredPreview } from "../rulebook/preview-state";
import { nameOf } from "../rulebook/rulebooks";
import { defineView } from "../view/view";

export interface StandardsVersion {
  readonly version: number;
  readonly at: string;
  readonly by: string | null;
  readonly note: string;
}

/** What the office goes by: the version asked for, or the draft of the next. */
export interface StandardsPage extends StandardsVersion {
  /** The newest version is in force. */
  readonly inForce: number;
  readonly set: ReferenceSet;
  readonly versions: readonly StandardsVersion[];
  readonly draft: {
    readonly base: number;
    readonly edit: number;
    readonly at: string;
    readonly by: string | null;
    readonly body: ReferenceSet;
    readonly problems: readonly ReferenceProblem[];
    readonly preview: PreviewState | null;
  } | null;
  /** The draft against the version in force; without one, the version against the one before it. */
  readonly differences: readonly ReferenceDifference[];
  /** What rules for applicant groups may read. */
  readonly facts: readonly KnownFact[];
  /** What requirements and entry rules are called, by programme and key. */
  readonly titles: Readonly<Record<string, Readonly<Record<string, string>>>>;
  /** Files that are still to be assessed by the version in force. */
  readonly outOfDate: number;
  readonly mayWrite: boolean;
}

interface Row {
  readonly titles: StandardsPage["titles"] | null;
  readonly versions: readonly StandardsVersion[] | null;
  readonly draft:
    | (Omit<NonNullable<StandardsPage["draft"]>, "problems" | "preview"> & { readonly preview: StoredPreview | null })
    | null;
  readonly outOfDate: number;
}

async function bodyOf(pool: pg.Pool, version: number): Promise<ReferenceSet | null> {
  const { rows } = await pool.query<{ body: ReferenceSet }>("select body from office_reference where version = $1", [
    version,
  ]);
  return rows[0]?.body ?? null;
}

export const standards = defineView({
  name: "standards",
  input: z.object({ version: z.int().nullable().default(null), after: effectKey }),
  read: async ({ pool, actor }, { version, after }): Promise<StandardsPage | null> => {
    if (!holds(actor, RULEBOOK_READERS)) return null;
    const { rows } = await pool.query<Row>(
      `select (select json_agg(json_build_object('version', o.version, 'at', o.created_at, 'by', ${nameOf("o.made_by")}, 'note', o.note)
           order by o.version desc) from office_reference o) as versions,
         (select json_build_object('base', d.base, 'edit', d.edit, 'at', d.edited_at, 'by', ${nameOf("d.edited_by")}, 'body', d.body,
           'preview', ${lastPreview("v.rulebook_id is null and v.asked_at >= d.begun_at")}) from reference_draft d) as draft,
         (select jsonb_object_agg(p.code, (select jsonb_object_agg(x->>'key', x->'title'->>'en')
              from jsonb_array_elements(b.body->'entryRules' || (b.body->'requirements')) x))
          from rulebook b join intake i on i.id = b.intake_id join programme p on p.id = i.programme_id where b.status = 'published') as titles,
         (select count(*)::int from file_standing where office_version < (select max(version) from office_reference)) as "outOfDate"`,
    );
    const [row] = rows;
    const versions = row?.versions ?? [];
    const [newest] = versions;
    const shown = version === null ? newest : versions.find((v) => v.version === version);
    const set = shown ? await bodyOf(pool, shown.version) : null;
    if (!row || !newest || !shown || !set) return null;
    const draft = version === null ? row.draft : null;
    const before = draft || shown.version === 1 ? null : await bodyOf(pool, shown.version - 1);
    return {
      ...shown,
      inForce: newest.version,
      set,
      versions,
      draft: draft && {
        ...draft,
        problems: await problemsOfReferenceSet(pool, draft.body),
        preview: await previewState(pool, draft.preview, draft.edit, after),
      },
      differences: draft ? compareReferenceSets(set, draft.body) : before ? compareReferenceSets(before, set) : [],
      facts: (await factsOfForms(pool)) ?? [],
      titles: row.titles ?? {},
      outOfDate: row.outOfDate,
      mayWrite: holds(actor, KEEPERS),
    };
  },
});
