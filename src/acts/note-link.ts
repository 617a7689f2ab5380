import { z } from "zod";
import { linkNote } from "../db/schema";
import { done, refuse } from "./act";
import { defineFileAct } from "./file-act";

/** An officer notes whether a link that the applicant gave opens, with the day; the last look counts. Nothing is fetched by the server. */
export const noteLink = defineFileAct({
  name: "note-link",
  input: z.object({
    applicationId: z.uuid(),
    scope: z.string().max(40),
    section: z.string().max(60),
    entry: z.string().max(40).default(""),
    field: z.string().max(60),
    url: z.string().max(500),
    opens: z.boolean(),
  }),
  right: "office",
  about: ({ section, entry, field, opens }) => ({ place: `${section}/${entry}/${field}`, opens }),
  run: async (ctx, file, { applicationId, opens, ...place }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const { scope, section, entry, field, url } = place;
    const given = file.facts.answers.find(
      (a) => a.scope === scope && a.section === section && a.entry === entry && a.field === field,
    )?.value;
    if (!Array.isArray(given) || !given.includes(url)) return refuse("not-found");
    const seen = { opens, byId: ctx.actor.id, at: ctx.now };
    await ctx.db
      .insert(linkNote)
      .values({ applicationId, ...place, ...seen })
      .onConflictDoUpdate({
        target: [
          linkNote.applicationId,
          linkNote.scope,
          linkNote.section,
          linkNote.entry,
          linkNote.field,
          linkNote.url,
        ],
        set: seen,
      });
    return done(null);
  },
});
