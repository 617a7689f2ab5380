import { and, eq, inArray, isNull, sql } from "drizzle-orm";
import { addNoteInput, dropNoteInput, lookInInput, markFileInput } from "../../core/notes/inputs";
import { holds, OFFICE } from "../../core/rights/actor";
import { fileMark, fileNote, filePresence, noteMention } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";

/** Notes something for the office; officers who are named find the file among what is for them. */
export const addNote = defineFileAct({
  name: "add-note",
  input: addNoteInput,
  right: "office",
  run: async (ctx, file, { text, mentions }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const { rows } = await ctx.client.query<{ id: string }>(
      `select distinct person_id as id from role_grant where person_id = any($1) and role = any($2) and (scope = '*' or scope = any($3))
         and (until is null or until > $4)`,
      [mentions, OFFICE, file.programmes, ctx.now],
    );
    if (rows.length < new Set(mentions).size) return refuse("not-yours");
    const [made] = await ctx.db
      .insert(fileNote)
      .values({ applicationId: file.id, text, byId: ctx.actor.id, at: ctx.now })
      .returning({ id: fileNote.id });
    if (!made) throw new Error("the note was not written");
    if (rows.length > 0)
      await ctx.db.insert(noteMention).values(rows.map((r) => ({ noteId: made.id, personId: r.id })));
    return done({ noteId: made.id });
  },
});

/** Takes a note of one's own away. */
export const dropNote = defineFileAct({
  name: "drop-note",
  input: dropNoteInput,
  right: "office",
  about: ({ noteId }) => ({ note: noteId }),
  run: async (ctx, file, { noteId }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const own = and(eq(fileNote.id, noteId), eq(fileNote.applicationId, file.id), eq(fileNote.byId, ctx.actor.id));
    const [found] = await ctx.db.select({ id: fileNote.id }).from(fileNote).where(own);
    if (!found) return refuse("not-found");
    await ctx.db.delete(noteMention).where(eq(noteMention.noteId, noteId));
    await ctx.db.delete(fileNote).where(own);
    return done(null);
  },
});

/** Puts a mark on a file. */
export const markFile = defineFileAct({
  name: "mark-file",
  input: markFileInput,
  right: "office",
  about: ({ mark }) => ({ mark }),
  run: async (ctx, file, { mark }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const made = await ctx.db
      .insert(fileMark)
      .values({ applicationId: file.id, mark, byId: ctx.actor.id, at: ctx.now })
      .onConflictDoNothing()
      .returning({ mark: fileMark.mark });
    return made[0] ? done(null) : refuse("already-done");
  },
});

/** Takes a mark off a file. */
export const unmarkFile = defineFileAct({
  name: "unmark-file",
  input: markFileInput,
  right: "office",
  about: ({ mark }) => ({ mark }),
  run: async (ctx, file, { mark }) => {
    const gone = await ctx.db
      .delete(fileMark)
      .where(and(eq(fileMark.applicationId, file.id), eq(fileMark.mark, mark)))
      .returning({ mark: fileMark.mark });
    return gone[0] ? done(null) : refuse("already-done");
  },
});

/** Whoever says nothing for so long has gone. */
const GONE_AFTER_S = 60;

async function readMine(ctx: ActContext, applicationId: string, personId: string): Promise<void> {
  const notes = ctx.db.select({ id: fileNote.id }).from(fileNote).where(eq(fileNote.applicationId, applicationId));
  await ctx.db
    .update(noteMention)
    .set({ readAt: ctx.now })
    .where(and(eq(noteMention.personId, personId), isNull(noteMention.readAt), inArray(noteMention.noteId, notes)));
}

/**
 * Says that somebody has a file open, as its page does now and then, and tells who else has. What was noted for them there is read by it. It
 * is no act on the file: nothing of it is settled.
 */
export const lookIn = defineAct({
  name: "look-in",
  input: lookInInput,
  may: (ctx) => holds(ctx.actor, OFFICE),
  run: async (ctx, { applicationId }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const { rows } = await ctx.client.query<{ programmes: string[] }>(
      `select array(select p.code from choice c join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id
         where c.application_id = a.id) as programmes from application a where a.id = $1`,
      [applicationId],
    );
    if (!rows[0] || !holds(ctx.actor, OFFICE, rows[0].programmes)) return refuse("not-found");
    const personId = ctx.actor.id;
    await ctx.db
      .insert(filePresence)
      .values({ applicationId, personId, seenAt: ctx.now })
      .onConflictDoUpdate({
        target: [filePresence.applicationId, filePresence.personId],
        set: { seenAt: sql`excluded.seen_at` },
      });
    await readMine(ctx, applicationId, personId);
    const others = await ctx.client.query<{ name: string }>(
      `select p.name from file_presence f join person p on p.id = f.person_id where f.application_id = $1 and f.person_id <> $2
         and f.seen_at > $3::timestamptz - interval '${GONE_AFTER_S} seconds' order by p.name`,
      [applicationId, personId, ctx.now],
    );
    return done({ others: others.rows.map((r) => r.name) });
  },
});
