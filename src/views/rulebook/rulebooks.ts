import type pg from "pg";
import { z } from "zod";
import { compareRulebooks, type RulebookDifference } from "../../core/difference/rulebooks";
import { holds, PLANNERS, RULEBOOK_READERS } from "../../core/rights/actor";
import type { RulebookProblem } from "../../core/rulebook/checks/problem";
import { rulebookProblems } from "../../core/rulebook/checks/problems";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import { factName } from "../../core/rulebook/section";
import type { LocalText } from "../../core/text/local-text";
import { localTitles } from "../../text/words/trace";
import { titlesOf } from "../form/fact-titles";
import { officeNow } from "../view/office-now";
import { defineView } from "../view/view";
import { effectKey, lastPreview, type PreviewState, previewState, type StoredPreview } from "./preview-state";

/** One start of a programme with its rulebooks, for the list. */
export interface RulebookLine {
  readonly intakeId: string;
  readonly code: string;
  readonly award: string;
  readonly title: LocalText;
  readonly startsOn: string;
  readonly cycle: string;
  readonly published: { readonly id: string; readonly version: number; readonly at: string } | null;
  readonly draft: {
    readonly id: string;
    readonly edit: number;
    readonly at: string;
    readonly by: string | null;
  } | null;
  readonly files: number;
}

export const nameOf = (column: string) => `(select n.name from person n where ${column} = 'person:' || n.id::text)`;

export const rulebooks = defineView({
  name: "rulebooks",
  input: z.object({}),
  read: async ({ pool, actor }): Promise<readonly RulebookLine[] | null> => {
    if (!holds(actor, RULEBOOK_READERS)) return null;
    const { rows } = await pool.query<RulebookLine>(
      `select i.id as "intakeId", p.code, p.award, p.title, i.starts_on::text as "startsOn", c.key as cycle,
         (select json_build_object('id', b.id, 'version', b.version, 'at', b.published_at) from rulebook b where b.intake_id = i.id and b.status = 'published') as published,
         (select json_build_object('id', b.id, 'edit', b.edit, 'at', b.edited_at, 'by', ${nameOf("b.edited_by")}) from rulebook b
          where b.intake_id = i.id and b.status = 'draft') as draft,
         (select count(*)::int from choice x where x.intake_id = i.id and x.withdrawn_at is null) as files
       from intake i join programme p on p.id = i.programme_id join cycle c on c.id = i.cycle_id order by c.key desc, p.code`,
    );
    return rows;
  },
});

export interface RulebookVersion {
  readonly id: string;
  readonly version: number;
  readonly status: string;
}

export interface RulebookPage {
  readonly id: string;
  readonly intakeId: string;
  readonly code: string;
  readonly award: string;
  readonly title: LocalText;
  readonly startsOn: string;
  readonly version: number;
  readonly status: "draft" | "published" | "superseded";
  readonly edit: number;
  readonly editedAt: string | null;
  readonly editedBy: string | null;
  readonly publishedAt: string | null;
  readonly note: string | null;
  readonly body: RulebookBody;
  readonly problems: readonly RulebookProblem[];
  /** Against the version with which it is compared: the one asked for, else the published one, else the one before. */
  readonly against: RulebookVersion | null;
  readonly differences: readonly RulebookDifference[];
  readonly versions: readonly RulebookVersion[];
  readonly preview: PreviewState | null;
  readonly factTitles: Readonly<Record<string, string>>;
  readonly mayPublish: boolean;
}

interface Row
  extends Omit<RulebookPage, "problems" | "differences" | "preview" | "factTitles" | "mayPublish" | "against"> {
  preview: StoredPreview | null;
}

const PAGE = `select b.id, b.intake_id as "intakeId", p.code, p.award, p.title, i.starts_on::text as "startsOn", b.version, b.status, b.edit,
    b.edited_at as "editedAt", ${nameOf("b.edited_by")} as "editedBy", b.published_at as "publishedAt", b.note, b.body,
    (select json_agg(json_build_object('id', o.id, 'version', o.version, 'status', o.status) order by o.version desc) from rulebook o
     where o.intake_id = b.intake_id) as versions,
    ${lastPreview("v.rulebook_id = b.id")} as preview
  from rulebook b join intake i on i.id = b.intake_id join programme p on p.id = i.programme_id where b.id = $1`;

async function comparedWith(pool: pg.Pool, row: Row, asked: string | null) {
  const older = row.versions.filter((v) => v.id !== row.id && (asked === null || v.id === asked));
  const chosen =
    asked !== null
      ? older[0]
      : row.status === "draft"
        ? older.find((v) => v.status === "published")
        : older.find((v) => v.version < row.version && v.status !== "draft");
  if (!chosen) return null;
  const { rows } = await pool.query<{ body: RulebookBody }>("select body from rulebook where id = $1", [chosen.id]);
  return rows[0] ? { ...chosen, body: rows[0].body } : null;
}

/** What facts are called in this rulebook, for reading its rules as sentences. */
export function rulebookFactTitles(
  body: RulebookBody,
  registers: Parameters<typeof titlesOf>[1],
): Readonly<Record<string, string>> {
  return {
    ...Object.fromEntries(body.sections.map((s) => [factName(s), s.title.en])),
    ...localTitles(titlesOf(body, registers), "en"),
  };
}

/** One rulebook, whole, with what is wrong with it and how it differs from another version. */
export const rulebookPage = defineView({
  name: "rulebook-page",
  input: z.object({ rulebookId: z.uuid(), against: z.uuid().nullable().default(null), after: effectKey }),
  read: async ({ pool, actor }, { rulebookId, against, after }): Promise<RulebookPage | null> => {
    if (!holds(actor, RULEBOOK_READERS)) return null;
    const { rows } = await pool.query<Row>(PAGE, [rulebookId]);
    const [row] = rows;
    if (!row) return null;
    const other = await comparedWith(pool, row, against);
    const { preview, ...page } = row;
    return {
      ...page,
      problems: rulebookProblems(row.body),
      against: other && { id: other.id, version: other.version, status: other.status },
      differences: other ? compareRulebooks(other.body, row.body) : [],
      preview: await previewState(pool, preview, row.edit, after),
      factTitles: rulebookFactTitles(row.body, (await officeNow(pool)).set),
      mayPublish: holds(actor, PLANNERS, [row.code]),
    };
  },
});
