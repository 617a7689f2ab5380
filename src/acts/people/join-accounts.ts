import { and, desc, eq, isNull, sql } from "drizzle-orm";
import { joinAccountsInput, partAccountsInput } from "../../core/people/inputs";
import { maskedAddress } from "../../core/people/masked-address";
import { holds } from "../../core/rights/actor";
import { accountJoin, application, grant, person, samePerson } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { actingId } from "../act/acting-id";
import { defineFileAct } from "../act/file-act";
import { queueMail } from "../mail/queue-mail";
import { recordAccess } from "./access";
import { endSigningIn } from "./second-factor";

interface OwnFile {
  readonly id: string;
  readonly number: string;
  readonly before: string | null;
  readonly programmes: readonly string[];
}

/** All files of somebody, locked in one order. */
async function filesOf({ client }: ActContext, personId: string): Promise<readonly OwnFile[]> {
  await client.query("select 1 from application where person_id = $1 order by id for update", [personId]);
  const { rows } = await client.query<OwnFile>(
    `select a.id, a.number, a.joined_from_id as before, coalesce((select array_agg(distinct p.code) from choice c
       join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id where c.application_id = a.id), '{}') as programmes
     from application a where a.person_id = $1 order by a.number`,
    [personId],
  );
  return rows;
}

/** What was said last of two people. */
async function isSaidSame({ db }: ActContext, one: string, other: string): Promise<boolean> {
  const [firstId = "", secondId = ""] = [one, other].sort();
  const [said] = await db
    .select({ verdict: samePerson.verdict })
    .from(samePerson)
    .where(and(eq(samePerson.firstId, firstId), eq(samePerson.secondId, secondId)))
    .orderBy(desc(samePerson.at), desc(samePerson.id))
    .limit(1);
  return said?.verdict === "same";
}

/** Whether the actor leads every programme of these files. */
const leadsAll = ({ actor }: ActContext, files: readonly OwnFile[]): boolean =>
  files.every((f) => f.programmes.every((code) => holds(actor, ["lead officer"], [code])));

async function personAt({ db }: ActContext, id: string) {
  const [found] = await db.select().from(person).where(eq(person.id, id));
  if (!found) throw new Error("a file has no applicant");
  return found;
}

type Person = Awaited<ReturnType<typeof personAt>>;

const tell = (
  ctx: ActContext,
  to: Person,
  template: "accounts-joined" | "account-given" | "accounts-parted",
  numbers: string,
  other: Person,
) =>
  queueMail(ctx, {
    applicationId: null,
    personId: to.id,
    toAddress: to.email,
    locale: to.locale,
    template,
    values: { name: to.name, numbers, to: maskedAddress(other.email), link: "/my" },
  });

/**
 * Gives the files of two accounts of one person to one of them. Nothing in the files changes but whose they are; the other account can
 * no longer be signed in to, and both addresses are told. What was done can be taken back (`partAccounts`).
 */
export const joinAccounts = defineFileAct({
  name: "join-accounts",
  input: joinAccountsInput,
  right: "lead officer",
  about: ({ otherNumber, keep }) => ({ file: otherNumber, keep }),
  run: async (ctx, file, { otherNumber, keep, reason }) => {
    const byId = actingId(ctx);
    const [other] = await ctx.db
      .select({ personId: application.personId })
      .from(application)
      .where(eq(application.number, otherNumber));
    if (!other || byId === null) return refuse("not-found");
    if (other.personId === file.ownerId) return refuse("already-done");
    if (!(await isSaidSame(ctx, file.ownerId, other.personId))) return refuse("not-confirmed");
    const [keptId, givenId] = keep === "this" ? [file.ownerId, other.personId] : [other.personId, file.ownerId];
    const [kept, given] = [await personAt(ctx, keptId), await personAt(ctx, givenId)];
    const [ofKept, ofGiven] = [await filesOf(ctx, keptId), await filesOf(ctx, givenId)];
    if (!leadsAll(ctx, [...ofKept, ...ofGiven])) return refuse("not-yours");
    const staff = await ctx.db
      .select({ id: grant.personId })
      .from(grant)
      .where(sql`${grant.personId} in (${keptId}, ${givenId})`);
    if (staff.length > 0) return refuse("not-yours");
    await ctx.db
      .update(application)
      .set({ personId: keptId, joinedFromId: givenId })
      .where(eq(application.personId, givenId));
    const files = ofGiven.map(({ id, before }) => ({ id, before }));
    await ctx.db.insert(accountJoin).values({ keptId, givenId, files, reason, byId, at: ctx.now });
    if (given.accountId !== null) await endSigningIn(ctx, given.accountId);
    const numbers = ofGiven.map((f) => f.number).join(", ");
    await recordAccess(ctx, { kind: "accounts joined", personId: byId, concernsId: keptId, about: numbers });
    for (const { id } of ofGiven) if (id !== file.id) await ctx.emit("join-accounts", id, { file: otherNumber, keep });
    await tell(ctx, kept, "accounts-joined", numbers, given);
    await tell(ctx, given, "account-given", numbers, kept);
    return done({ files: ofGiven.length });
  },
});

/** Gives the files that came from another account back to it. Its owner sets a new password by mail. */
export const partAccounts = defineFileAct({
  name: "part-accounts",
  input: partAccountsInput,
  right: "lead officer",
  about: ({ reason }) => ({ reason }),
  run: async (ctx, file, { reason }) => {
    const byId = actingId(ctx);
    const joins = await ctx.db
      .select()
      .from(accountJoin)
      .where(and(eq(accountJoin.keptId, file.ownerId), isNull(accountJoin.endedAt)))
      .orderBy(desc(accountJoin.at));
    const join = joins.find((j) => j.files.some((f) => f.id === file.id)) ?? joins[0];
    if (!join || byId === null) return refuse("not-found");
    const moved = (await filesOf(ctx, file.ownerId)).filter((f) => join.files.some((m) => m.id === f.id));
    if (!leadsAll(ctx, moved)) return refuse("not-yours");
    // Whoever has begun anew in their old account has two in a cycle there.
    for (const { id, before } of join.files)
      await ctx.client.query(
        `update application a set person_id = $2, joined_from_id = case when exists (select 1 from application o where o.person_id = $2
           and (o.cycle_id, o.procedure_id) = (a.cycle_id, a.procedure_id) and o.joined_from_id is null) then $2::uuid else $3::uuid end
         where a.id = $1 and a.person_id = $4`,
        [id, join.givenId, before, join.keptId],
      );
    await ctx.db.update(accountJoin).set({ endedAt: ctx.now, endedById: byId }).where(eq(accountJoin.id, join.id));
    const [kept, given] = [await personAt(ctx, join.keptId), await personAt(ctx, join.givenId)];
    const numbers = moved.map((f) => f.number).join(", ");
    await recordAccess(ctx, { kind: "accounts parted", personId: byId, concernsId: join.givenId, about: numbers });
    for (const { id } of moved) if (id !== file.id) await ctx.emit("part-accounts", id, { reason });
    await tell(ctx, kept, "accounts-parted", numbers, given);
    await tell(ctx, given, "accounts-parted", numbers, given);
    return done({ files: moved.length });
  },
});
