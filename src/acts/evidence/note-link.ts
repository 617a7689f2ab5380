import { z } from "zod";
import { linkPlace, noteLinkInput } from "../../core/evidence/inputs";
import type { AnswerPlace } from "../../core/file/place";
import { dropUnheld, storeContent } from "../../db/content";
import { linkNote } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { lookedAt } from "./looked-at";

type Link = AnswerPlace & { readonly url: string };

const KEY = [linkNote.applicationId, linkNote.scope, linkNote.section, linkNote.entry, linkNote.field, linkNote.url];

function isGiven(file: OpenFile, { scope, section, entry, field, url }: Link): boolean {
  const given = file.facts.answers.find(
    (a) => a.scope === scope && a.section === section && a.entry === entry && a.field === field,
  )?.value;
  return Array.isArray(given) && given.includes(url);
}

/** An officer notes whether a link that the applicant gave opens, with the day; the last look counts. Nothing is fetched by the server. */
export const noteLink = defineFileAct({
  name: "note-link",
  input: noteLinkInput,
  right: "office",
  about: ({ section, entry, field, opens }) => ({ place: `${section}/${entry}/${field}`, opens }),
  run: async (ctx, file, { applicationId, opens, ...place }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    if (!isGiven(file, place)) return refuse("not-found");
    const seen = { opens, byId: ctx.actor.id, at: ctx.now };
    await ctx.db
      .insert(linkNote)
      .values({ applicationId, ...place, ...seen })
      .onConflictDoUpdate({ target: KEY, set: seen });
    return done(null);
  },
});

/** An officer keeps a copy of what stands behind a link, as a document with its day: what is judged later may have gone from there. */
export const keepLinkCopy = defineFileAct({
  name: "keep-link-copy",
  input: z.object({
    ...linkPlace,
    ...lookedAt,
  }),
  right: "office",
  about: ({ section, entry, field }) => ({ place: `${section}/${entry}/${field}` }),
  run: async (
    ctx,
    file,
    { applicationId, name, bytes, mediaType, marks, pages: _pages, original: _original, picture: _picture, ...place },
  ) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    if (!isGiven(file, place)) return refuse("not-found");
    if (marks.includes("active_content")) return refuse("document-refused", { document: "active_content" });
    const copy = {
      copySha256: await storeContent(ctx.client, bytes, mediaType),
      copyName: name,
      copiedAt: ctx.now,
    };
    const { rows } = await ctx.client.query<{ sha256: string | null }>(
      "select copy_sha256 as sha256 from link_note where application_id = $1 and scope = $2 and section = $3 and entry = $4 and field = $5 and url = $6",
      [applicationId, place.scope, place.section, place.entry, place.field, place.url],
    );
    await ctx.db
      .insert(linkNote)
      .values({ applicationId, ...place, opens: true, byId: ctx.actor.id, at: ctx.now, ...copy })
      .onConflictDoUpdate({ target: KEY, set: { ...copy, opens: true, byId: ctx.actor.id, at: ctx.now } });
    // The copy that it replaces, unless it is the same.
    await dropUnheld(
      ctx.client,
      rows.flatMap((r) => r.sha256 ?? []),
    );
    return done(null);
  },
});
