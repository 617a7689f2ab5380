import { and, asc, eq, inArray } from "drizzle-orm";
import { shownName } from "../../core/people/shown-name";
import type { Locale, LocalText } from "../../core/text/local-text";
import { formatDay } from "../../core/time/day";
import { dayAt } from "../../core/time/zone";
import { person, referenceLink, referenceRequest } from "../../db/schema";
import type { ActContext } from "../act/act";
import type { OpenFile } from "../act/file-act";
import { newToken } from "../act/token";
import { queueMail } from "../mail/queue-mail";

export type ReferenceRequest = typeof referenceRequest.$inferSelect;

/** A request ends in so many links at most; the oldest makes room. */
const MOST_LINKS = 12;

export const OPEN: ReferenceRequest["state"][] = ["asked", "opened"];

/** Whether a referee of the form is asked already, or has answered, beside one request. */
export const isAsked = (file: OpenFile, referee: string, beside?: string): boolean =>
  file.facts.references.some(
    (r) => r.id !== beside && r.referee === referee && ["asked", "opened", "given"].includes(r.state),
  );

export async function ownerOf(
  ctx: ActContext,
  personId: string,
): Promise<{ readonly locale: string; readonly email: string }> {
  const { locale, email } = person;
  const [owner] = await ctx.db.select({ locale, email }).from(person).where(eq(person.id, personId));
  if (!owner) throw new Error("a file without its person");
  return owner;
}

async function programmeTitles(
  ctx: ActContext,
  applicationId: string,
): Promise<{ readonly programmeEn: string; readonly programmeFr: string }> {
  const { rows } = await ctx.client.query<{ title: LocalText }>(
    "select p.title from choice c join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id where c.application_id = $1 and c.withdrawn_at is null order by c.rank",
    [applicationId],
  );
  const titles = (locale: Locale) => rows.map((r) => r.title[locale]).join(", ");
  return { programmeEn: titles("en"), programmeFr: titles("fr") };
}

/** Writes to a referee with a link to the request, in the language of the applicant, who knows them. */
export async function mailReferee(
  ctx: ActContext,
  file: OpenFile,
  request: Pick<ReferenceRequest, "id" | "name" | "email" | "dueAt" | "endsAt">,
  template: "reference-asked" | "reference-reminder" | "reference-extended",
): Promise<void> {
  const { token, hash } = newToken();
  const own = eq(referenceLink.requestId, request.id);
  const links = await ctx.db
    .select({ hash: referenceLink.tokenHash })
    .from(referenceLink)
    .where(own)
    .orderBy(asc(referenceLink.at));
  for (const { hash: old } of links.slice(0, Math.max(0, links.length + 1 - MOST_LINKS)))
    await ctx.db.delete(referenceLink).where(eq(referenceLink.tokenHash, old));
  await ctx.db.insert(referenceLink).values({ tokenHash: hash, requestId: request.id, at: ctx.now });
  const day = (at: Date) => formatDay(dayAt(file.office.zone, at.getTime()));
  await queueMail(ctx, {
    applicationId: file.id,
    personId: null,
    toAddress: request.email,
    locale: (await ownerOf(ctx, file.ownerId)).locale,
    template,
    values: {
      name: request.name,
      applicant: shownName(file.facts),
      ...(await programmeTitles(ctx, file.id)),
      link: `/reference/${token}`,
      due: day(request.dueAt),
      until: day(request.endsAt),
    },
  });
}

/** Ends a request that waits, and tells its referee. @returns null where there is none to end */
export async function endRequest(
  ctx: ActContext,
  file: OpenFile,
  requestId: string,
  template: "reference-withdrawn" | "reference-ended",
): Promise<ReferenceRequest | null> {
  const { id, applicationId, state } = referenceRequest;
  const [row] = await ctx.db
    .update(referenceRequest)
    .set({ state: "withdrawn", closedAt: ctx.now })
    .where(and(eq(id, requestId), eq(applicationId, file.id), inArray(state, OPEN)))
    .returning();
  if (!row) return null;
  await queueMail(ctx, {
    applicationId: file.id,
    personId: null,
    toAddress: row.email,
    locale: (await ownerOf(ctx, file.ownerId)).locale,
    template,
    values: { name: row.name, applicant: shownName(file.facts) },
  });
  return row;
}
