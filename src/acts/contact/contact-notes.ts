import { and, eq, gt } from "drizzle-orm";
import { z } from "zod";
import { placesOf, type ReachPlace } from "../../core/contact/places";
import { reachNote } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { valueFields } from "../evidence/place";
import { mailApplicant } from "../mail/queue-mail";

const placed = {
  applicationId: z.uuid(),
  ...valueFields,
};
type Place = { readonly scope: string; readonly section: string; readonly entry: string; readonly field: string };

const aboutPlace = ({ section, entry, field }: Place) => ({ place: `${section}/${entry}/${field}` });

/** The number or the address at a place, as the applicant gave it; undefined where none stands there. */
function reachable(file: OpenFile, { scope, section, entry, field }: Place): ReachPlace | undefined {
  const sections = Object.values(file.rulebooks).flatMap((r) => r.body.sections);
  return placesOf(sections, file.facts.answers).find(
    (p) => p.scope === scope && p.section === section && p.entry === entry && p.field === field,
  );
}

async function write(ctx: ActContext, file: OpenFile, place: Place, version: number, kind: string, text = "") {
  const { scope, section, entry, field } = place;
  const byId = ctx.actor.kind === "person" && ctx.actor.id !== file.ownerId ? ctx.actor.id : null;
  await ctx.db
    .insert(reachNote)
    .values({ applicationId: file.id, scope, section, entry, field, version, kind, text, byId, at: ctx.now });
}

async function mail(ctx: ActContext, file: OpenFile, template: "reach-asked" | "reach-failed", { title }: ReachPlace) {
  const { number } = file.facts.application;
  await mailApplicant(ctx, file.id, file.ownerId, template, {
    number,
    whatEn: title.en,
    whatFr: title.fr,
    link: `/my/${number}#reach`,
  });
}

const KINDS: Readonly<Record<string, ReachPlace["kind"]>> = {
  talked: "phone",
  "no answer": "phone",
  dead: "phone",
  returned: "address",
};

/** An officer notes a call or a letter that came back. Where it failed, the applicant is told and can say what is right. */
export const noteReach = defineFileAct({
  name: "note-reach",
  input: z.object({
    ...placed,
    kind: z.enum(["talked", "no answer", "dead", "returned"]),
    text: z.string().trim().max(1000).default(""),
  }),
  right: "office",
  about: (input) => ({ ...aboutPlace(input), kind: input.kind }),
  run: async (ctx, file, { kind, text, ...place }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const at = reachable(file, place);
    if (!at || KINDS[kind] !== at.kind) return refuse("not-found");
    await write(ctx, file, place, at.version, kind, text);
    if (kind === "dead" || kind === "returned") await mail(ctx, file, "reach-failed", at);
    return done(null);
  },
});

/** Nobody is asked twice within this many hours. */
const PAUSE_HOURS = 12;

/** Asks the applicant whether a number or an address still holds. */
export const askReach = defineFileAct({
  name: "ask-reach",
  input: z.object(placed),
  right: "office",
  about: aboutPlace,
  run: async (ctx, file, place) => {
    const at = reachable(file, place);
    if (!at) return refuse("not-found");
    const [asked] = await ctx.db
      .select({ at: reachNote.at })
      .from(reachNote)
      .where(
        and(
          eq(reachNote.applicationId, file.id),
          eq(reachNote.section, place.section),
          eq(reachNote.entry, place.entry),
          eq(reachNote.field, place.field),
          eq(reachNote.kind, "asked"),
          gt(reachNote.at, new Date(ctx.now.getTime() - PAUSE_HOURS * 3_600_000)),
        ),
      )
      .limit(1);
    if (asked) return refuse("already-done");
    await write(ctx, file, place, at.version, "asked");
    await mail(ctx, file, "reach-asked", at);
    return done(null);
  },
});

/** The applicant says that a number or an address is right. */
export const confirmReach = defineFileAct({
  name: "confirm-reach",
  input: z.object(placed),
  right: "applicant",
  about: aboutPlace,
  run: async (ctx, file, place) => {
    const at = reachable(file, place);
    if (!at) return refuse("not-found");
    await write(ctx, file, place, at.version, "confirmed");
    return done(null);
  },
});
