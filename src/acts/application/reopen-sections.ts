import { and, eq, isNull } from "drizzle-orm";
import { z } from "zod";
import { reopenable, type SectionPlace, samePlace as same } from "../../core/answers/reopening";
import { endReopeningInput, readCorrectionsInput, reopenSectionsInput } from "../../core/application/inputs";
import { entryKey } from "../../core/file/place";
import { gapsOf } from "../../core/file/result";
import type { Locale, LocalText } from "../../core/text/local-text";
import { correctionRequest, reopening } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { settleFile } from "../act/settle";
import { followGroup } from "../assessment/follow-group";
import { mailApplicant } from "../mail/queue-mail";
import { writeSnapshot } from "./snapshot";

const isOpen = (file: OpenFile) =>
  and(eq(reopening.applicationId, file.id), isNull(reopening.answeredAt), isNull(reopening.endedAt));

async function openOne(ctx: ActContext, file: OpenFile) {
  const [row] = await ctx.db.select().from(reopening).where(isOpen(file));
  return row ?? null;
}

/** Whether sections of a file can be opened again. @returns why not, or null */
export function mayReopen(file: OpenFile, sections: readonly SectionPlace[]): "not-found" | "locked" | null {
  const possible = reopenable(file);
  if (!sections.every((s) => possible.some(same(s)))) return "not-found";
  return file.assessment.file.stage === "closed" ? "locked" : null;
}

/** Opens sections with a reason and a date; what is open already stays open and takes the new date. */
export async function openSections(
  ctx: ActContext,
  file: OpenFile,
  {
    sections,
    reason,
    due,
  }: { readonly sections: readonly SectionPlace[]; readonly reason: string; readonly due: string },
): Promise<void> {
  if (ctx.actor.kind !== "person") throw new Error("sections are opened by a person");
  const known = await openOne(ctx, file);
  if (known)
    await ctx.db
      .update(reopening)
      .set({
        sections: [...known.sections, ...sections.filter((s) => !known.sections.some(same(s)))],
        reason: `${known.reason}\n${reason}`,
        due,
      })
      .where(eq(reopening.id, known.id));
  else
    await ctx.db
      .insert(reopening)
      .values({ applicationId: file.id, sections, reason, due, openedAt: ctx.now, openedById: ctx.actor.id });
  // Whoever opens sections has answered what the applicant asked for.
  await ctx.db
    .update(correctionRequest)
    .set({ answeredAt: ctx.now, answeredById: ctx.actor.id })
    .where(and(eq(correctionRequest.applicationId, file.id), isNull(correctionRequest.answeredAt)));
}

/** What sections are called. */
export function sectionTitles(file: OpenFile, sections: readonly SectionPlace[]): readonly LocalText[] {
  const definitions = Object.values(file.rulebooks).flatMap((r) => r.body.sections);
  return sections.map(
    ({ section }) => definitions.find((s) => s.key === section)?.title ?? { en: section, fr: section },
  );
}

/** Each of them once, in one line. */
const inOneLine = (titles: readonly LocalText[], locale: Locale): string =>
  [...new Set(titles.map((t) => t[locale]))].join(", ");

/** Opens named sections of a submitted file again, with a reason and a date. */
export const reopenSections = defineFileAct({
  name: "reopen-sections",
  input: reopenSectionsInput,
  right: "office",
  about: ({ sections, due }) => ({ sections: sections.map((s) => s.section), due }),
  run: async (ctx, file, { sections, reason, due }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const barred = mayReopen(file, sections);
    if (barred !== null) return refuse(barred);
    await openSections(ctx, file, { sections, reason, due });
    const { number } = file.facts.application;
    await mailApplicant(ctx, file.id, file.ownerId, "reopened", {
      number,
      sectionsEn: inOneLine(sectionTitles(file, sections), "en"),
      sectionsFr: inOneLine(sectionTitles(file, sections), "fr"),
      text: reason,
      due,
      link: `/my/${number}`,
    });
    return done(null);
  },
});

/** The applicant sends the corrected sections: a new numbered submission of the same choices, and the sections are shut again. */
export const sendCorrections = defineFileAct({
  name: "send-corrections",
  /** The applicant says with it that the answers are true. */
  input: z.object({ applicationId: z.uuid(), true: z.literal(true) }),
  right: "applicant",
  run: async (ctx, file) => {
    const open = await openOne(ctx, file);
    if (!open) return refuse("already-done");
    const submitted = file.facts.choices.filter((c) => c.submittedAt !== null && c.withdrawnAt === null);
    const gaps = file.assessment.requirements
      .filter((r) => r.choices.some((id) => submitted.some((c) => c.id === id)))
      .flatMap(gapsOf);
    if (gaps.length > 0) return refuse("not-complete", { missing: gaps.map(entryKey).slice(0, 50) });
    const no = await writeSnapshot(
      ctx,
      file,
      submitted.map((c) => c.id),
    );
    await ctx.db.update(reopening).set({ answeredAt: ctx.now }).where(eq(reopening.id, open.id));
    const { number } = file.facts.application;
    await followGroup(ctx, file);
    await mailApplicant(ctx, file.id, file.ownerId, "corrected", { number, no: String(no), link: `/my/${number}` });
    return done({ no });
  },
});

/** An officer has read what was corrected: the file goes on. */
export const readCorrections = defineFileAct({
  name: "read-corrections",
  input: readCorrectionsInput,
  right: "office",
  run: async (ctx, file) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const read = await ctx.client.query(
      "update reopening set read_at = $2, read_by_id = $3 where application_id = $1 and answered_at is not null and read_at is null",
      [file.id, ctx.now, ctx.actor.id],
    );
    return read.rowCount === 0 ? refuse("already-done") : done(null);
  },
});

/** Makes of every answer in the named sections again what it was at a moment; the versions in between stay in the history. */
async function putBack(
  ctx: ActContext,
  file: OpenFile,
  sections: readonly SectionPlace[],
  moment: Date,
  savedBy: string,
): Promise<void> {
  await ctx.client.query(
    `with reopened as (select x->>'scope' as scope, x->>'section' as section from jsonb_array_elements($2::jsonb) x),
       touched as (select v.scope, v.section, v.entry, v.field, max(v.version) as last from answer_version v join reopened using (scope, section)
         where v.application_id = $1 and v.saved_at >= $3 group by v.scope, v.section, v.entry, v.field),
       was as (select t.*, (select v.value from answer_version v where v.application_id = $1 and (v.scope, v.section, v.entry, v.field) = (t.scope, t.section, t.entry, t.field)
         and v.saved_at < $3 order by v.version desc limit 1) as value from touched t),
       noted as (insert into answer_version (application_id, scope, section, entry, field, version, value, saved_at, saved_by)
         select $1, scope, section, entry, field, last + 1, value, $4, $5 from was),
       gone as (delete from answer a using was w where a.application_id = $1
         and (a.scope, a.section, a.entry, a.field) = (w.scope, w.section, w.entry, w.field) and w.value is null)
     insert into answer (application_id, scope, section, entry, field, value, version, position, saved_at)
       select $1, w.scope, w.section, w.entry, w.field, w.value, w.last + 1,
         coalesce((select min(a.position) from answer a where a.application_id = $1 and (a.scope, a.section, a.entry) = (w.scope, w.section, w.entry)), 0), $4
       from was w where w.value is not null
     on conflict (application_id, scope, section, entry, field)
       do update set value = excluded.value, version = excluded.version, saved_at = excluded.saved_at`,
    [file.id, JSON.stringify(sections), moment, ctx.now, savedBy],
  );
}

/** Takes a reopening back: the sections are shut, and what was typed since becomes again what was submitted. */
export const endReopening = defineFileAct({
  name: "end-reopening",
  input: endReopeningInput,
  right: "office",
  run: async (ctx, file) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const open = await openOne(ctx, file);
    if (!open) return refuse("already-done");
    await putBack(ctx, file, open.sections, open.openedAt, `person:${ctx.actor.id}`);
    await settleFile(ctx, file.id); // while it is still open, so that what applies again wakes
    await ctx.db.update(reopening).set({ endedAt: ctx.now }).where(eq(reopening.id, open.id));
    const { number } = file.facts.application;
    await mailApplicant(ctx, file.id, file.ownerId, "reopening-ended", { number, link: `/my/${number}` });
    return done(null);
  },
});
