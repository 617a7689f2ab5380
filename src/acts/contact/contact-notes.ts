import { and, eq, gt } from "drizzle-orm";
import { contactPlaceInput, noteContactInput } from "../../core/contact/inputs";
import { type ContactPlace, placesOf } from "../../core/contact/places";
import type { AnswerPlace } from "../../core/file/place";
import { contactNote } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { mailApplicant } from "../mail/queue-mail";

const aboutPlace = ({ section, entry, field }: AnswerPlace) => ({ place: `${section}/${entry}/${field}` });

/** The number or the address at a place, as the applicant gave it; undefined where none stands there. */
function contactAt(file: OpenFile, { scope, section, entry, field }: AnswerPlace): ContactPlace | undefined {
  const sections = Object.values(file.rulebooks).flatMap((r) => r.body.sections);
  return placesOf(sections, file.facts.answers).find(
    (p) => p.scope === scope && p.section === section && p.entry === entry && p.field === field,
  );
}

interface Said {
  readonly kind: string;
  readonly text?: string;
  readonly about?: string;
  readonly question?: string;
}

async function write(ctx: ActContext, file: OpenFile, place: AnswerPlace, version: number, said: Said) {
  const { scope, section, entry, field } = place;
  const byId = ctx.actor.kind === "person" && ctx.actor.id !== file.ownerId ? ctx.actor.id : null;
  await ctx.db
    .insert(contactNote)
    .values({ applicationId: file.id, scope, section, entry, field, version, ...said, byId, at: ctx.now });
}

async function mail(
  ctx: ActContext,
  file: OpenFile,
  template: "contact-asked" | "contact-failed",
  { title }: ContactPlace,
) {
  const { number } = file.facts.application;
  await mailApplicant(ctx, file.id, file.ownerId, template, {
    number,
    whatEn: title.en,
    whatFr: title.fr,
    link: `/my/${number}#contact`,
  });
}

const KINDS: Readonly<Record<string, ContactPlace["kind"]>> = {
  talked: "phone",
  "no answer": "phone",
  dead: "phone",
  returned: "address",
};

/** An officer notes a call or a letter that came back. Where it failed, the applicant is told and can say what is right. */
export const noteContact = defineFileAct({
  name: "note-contact",
  input: noteContactInput,
  right: "office",
  about: (input) => ({ ...aboutPlace(input), kind: input.kind }),
  run: async (ctx, file, { kind, text, about, question, ...place }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const at = contactAt(file, place);
    if (!at || KINDS[kind] !== at.kind) return refuse("not-found");
    const sections = Object.values(file.rulebooks).flatMap((r) => r.body.sections);
    if (about !== "" && !sections.some((s) => s.key === about)) return refuse("not-found");
    await write(ctx, file, place, at.version, { kind, text, about, question: about === "" ? "" : question });
    if (kind === "dead" || kind === "returned") await mail(ctx, file, "contact-failed", at);
    return done(null);
  },
});

/** Nobody is asked twice within this many hours. */
const PAUSE_HOURS = 12;

/** Asks the applicant whether a number or an address still holds. */
export const askContact = defineFileAct({
  name: "ask-contact",
  input: contactPlaceInput,
  right: "office",
  about: aboutPlace,
  run: async (ctx, file, place) => {
    const at = contactAt(file, place);
    if (!at) return refuse("not-found");
    const [asked] = await ctx.db
      .select({ at: contactNote.at })
      .from(contactNote)
      .where(
        and(
          eq(contactNote.applicationId, file.id),
          eq(contactNote.section, place.section),
          eq(contactNote.entry, place.entry),
          eq(contactNote.field, place.field),
          eq(contactNote.kind, "asked"),
          gt(contactNote.at, new Date(ctx.now.getTime() - PAUSE_HOURS * 3_600_000)),
        ),
      )
      .limit(1);
    if (asked) return refuse("already-done");
    await write(ctx, file, place, at.version, { kind: "asked" });
    await mail(ctx, file, "contact-asked", at);
    return done(null);
  },
});

/** The applicant says that a number or an address is right. */
export const confirmContact = defineFileAct({
  name: "confirm-contact",
  input: contactPlaceInput,
  right: "applicant",
  about: aboutPlace,
  run: async (ctx, file, place) => {
    const at = contactAt(file, place);
    if (!at) return refuse("not-found");
    await write(ctx, file, place, at.version, { kind: "confirmed" });
    return done(null);
  },
});
