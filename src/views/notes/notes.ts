import { z } from "zod";
import { OFFICE } from "../../core/rights/actor";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

export interface FileNote {
  readonly id: string;
  readonly text: string;
  readonly by: string;
  readonly mine: boolean;
  readonly at: string;
  /** For whom it is, and whether they have read it. */
  readonly mentions: readonly { readonly name: string; readonly read: boolean }[];
}

export interface FileNotes {
  readonly notes: readonly FileNote[];
  readonly marks: readonly string[];
  /** Marks that other files have, to choose from. */
  readonly known: readonly string[];
  /** Whom a note can be for. */
  readonly officers: readonly { readonly id: string; readonly name: string }[];
}

const MOST_MARKS = 60;

/** What the office has noted in a file for itself, and the marks on it. */
export const fileNotes = defineView({
  name: "file-notes",
  input: z.object({ number: z.string().max(20) }),
  read: async ({ pool, actor, now }, { number }): Promise<FileNotes | null> => {
    const scope = programmesOf(actor);
    if (scope === null || actor.kind !== "person") return null;
    const found = await pool.query<{ id: string }>(
      `select a.id from application a where a.number = $2 and ${fileInScope("a.id", "$1")}`,
      [scopeParameter(scope), number],
    );
    const id = found.rows[0]?.id;
    if (!id) return null;
    const [notes, marks, known, officers] = await Promise.all([
      pool.query<Omit<FileNote, "at"> & { at: Date }>(
        `select n.id, n.text, p.name as by, n.by_id = $2 as mine, n.at,
           coalesce((select json_agg(json_build_object('name', o.name, 'read', m.read_at is not null) order by o.name) from note_mention m join person o on o.id = m.person_id
             where m.note_id = n.id), '[]') as mentions
         from file_note n join person p on p.id = n.by_id where n.application_id = $1 order by n.at desc, n.id`,
        [id, actor.id],
      ),
      pool.query<{ mark: string }>("select mark from file_mark where application_id = $1 order by lower(mark)", [id]),
      pool.query<{ mark: string }>(
        `select mark from file_mark group by mark order by count(*) desc, mark limit ${MOST_MARKS}`,
      ),
      pool.query<{ id: string; name: string }>(
        `select p.id, p.name from person p where p.id <> $1 and exists (select 1 from role_grant g where g.person_id = p.id and g.role = any($2)
           and (g.until is null or g.until > $3)) order by p.name`,
        [actor.id, OFFICE, now],
      ),
    ]);
    const here = marks.rows.map((m) => m.mark);
    return {
      notes: notes.rows.map((n) => ({ ...n, at: n.at.toISOString() })),
      marks: here,
      known: known.rows.map((m) => m.mark).filter((m) => !here.includes(m)),
      officers: officers.rows,
    };
  },
});
