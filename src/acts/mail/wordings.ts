import { desc, eq } from "drizzle-orm";
import { saveWordingInput } from "../../core/mail/inputs";
import { holds } from "../../core/rights/actor";
import { mailWording } from "../../db/schema";
import { faultOf, withApostrophes } from "../../text/words/mail-words";
import { defineAct, done, refuse } from "../act/act";

/**
 * Keeps the words of the office for a mail, as a further version; what was sent keeps the words with which it was sent. The later of two
 * writers is told.
 */
export const saveWording = defineAct({
  name: "save-wording",
  input: saveWordingInput,
  may: ({ actor }) => holds(actor, ["lead officer"]),
  run: async (ctx, { template, version, words }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const written = words && {
      en: { subject: withApostrophes(words.en.subject), body: withApostrophes(words.en.body) },
      fr: { subject: withApostrophes(words.fr.subject), body: withApostrophes(words.fr.body) },
    };
    for (const locale of ["en", "fr"] as const) {
      const fault = written && faultOf(template, written[locale]);
      if (fault) return refuse("unknown-field", { ...fault, locale });
    }
    await ctx.client.query("select pg_advisory_xact_lock(hashtext('wording ' || $1))", [template]);
    const [last] = await ctx.db
      .select({ version: mailWording.version, words: mailWording.words })
      .from(mailWording)
      .where(eq(mailWording.template, template))
      .orderBy(desc(mailWording.version))
      .limit(1);
    if ((last?.version ?? 0) !== version) return refuse("changed-meanwhile");
    if (written === null && !last?.words) return refuse("already-done");
    await ctx.db
      .insert(mailWording)
      .values({ template, version: version + 1, words: written, byId: ctx.actor.id, at: ctx.now });
    await ctx.emit("save-wording", null, { template, version: version + 1 });
    return done({ version: version + 1 });
  },
});
