import { isDeepStrictEqual } from "node:util";
import { and, eq, inArray, ne, sql } from "drizzle-orm";
import { z } from "zod";
import { fold } from "../../core/people/fold";
import { actorKey } from "../../core/rights/actor";
import { type InstitutionInput, institutionSchema } from "../../core/standards/institution";
import { institution, institutionName } from "../../db/schema";
import { type ActContext, defineAct, done, type Outcome, refuse } from "../act/act";
import { keeps } from "../act/office-rights";

type Kept = Omit<InstitutionInput, "otherNames">;

/** Its names as rows; one that stands twice once folded is kept once. */
function nameRows(id: string, { name, otherNames, country }: InstitutionInput) {
  const rows = new Map<
    string,
    { institutionId: string; name: string; folded: string; country: string; kind: "own" | "other" }
  >();
  for (const [i, each] of [name, ...otherNames].entries()) {
    const folded = fold(each);
    if (folded !== "" && !rows.has(folded))
      rows.set(folded, { institutionId: id, name: each, folded, country, kind: i === 0 ? "own" : "other" });
  }
  return [...rows.values()];
}

/** A name leads to one institution of a country. Which other one has it already, if any. */
async function takenBy(ctx: ActContext, id: string | null, input: InstitutionInput): Promise<string | null> {
  const folded = nameRows("", input).map((r) => r.folded);
  const [taken] = await ctx.db
    .select({ name: institution.name })
    .from(institutionName)
    .innerJoin(institution, eq(institution.id, institutionName.institutionId))
    .where(
      and(
        eq(institutionName.country, input.country),
        inArray(institutionName.folded, folded),
        id === null ? sql`true` : ne(institutionName.institutionId, id),
      ),
    );
  return taken?.name ?? null;
}

const rowOf = (
  ctx: ActContext,
  { otherNames: _, ...kept }: InstitutionInput,
): Kept & { changedAt: Date; changedBy: string } => ({
  ...kept,
  changedAt: ctx.now,
  changedBy: actorKey(ctx.actor),
});

/** @returns false where somebody else gave one of the names to another institution meanwhile */
async function writeNames(ctx: ActContext, id: string, input: InstitutionInput): Promise<boolean> {
  const rows = nameRows(id, input);
  const written = await ctx.db
    .insert(institutionName)
    .values(rows)
    .onConflictDoNothing()
    .returning({ id: institutionName.id });
  return written.length === rows.length;
}

async function change(
  ctx: ActContext,
  id: string,
  version: number,
  input: InstitutionInput,
): Promise<Outcome<{ institutionId: string; version: number }>> {
  const changed = await ctx.db
    .update(institution)
    .set({ ...rowOf(ctx, input), version: sql`${institution.version} + 1` })
    .where(and(eq(institution.id, id), eq(institution.version, version)))
    .returning({ version: institution.version });
  if (!changed[0]) return refuse("changed-meanwhile");
  // What applicants wrote and somebody linked goes on leading here.
  await ctx.db
    .delete(institutionName)
    .where(and(eq(institutionName.institutionId, id), ne(institutionName.kind, "written")));
  await ctx.db.delete(institutionName).where(
    and(
      eq(institutionName.institutionId, id),
      eq(institutionName.country, input.country),
      inArray(
        institutionName.folded,
        nameRows(id, input).map((r) => r.folded),
      ),
    ),
  );
  if (!(await writeNames(ctx, id, input))) return refuse("already-done");
  return done({ institutionId: id, version: changed[0].version });
}

/** Adds an institution to the register (`institutionId` null), or changes one. */
export const saveInstitution = defineAct({
  name: "save-institution",
  input: z.object({
    institutionId: z.uuid().nullable(),
    /** The version that the writer saw; null for a new one. */
    version: z.int().nullable(),
    institution: institutionSchema,
  }),
  may: keeps,
  run: async (ctx, { institutionId, version, institution: input }) => {
    const { set } = await ctx.office();
    if (input.scales.some((key) => !set.scales.some((s) => s.key === key)))
      return refuse("invalid-input", { fields: ["institution.scales"] });
    const taken = await takenBy(ctx, institutionId, input);
    if (taken !== null) return refuse("already-done", { name: taken });
    if (institutionId === null) {
      const [made] = await ctx.db.insert(institution).values(rowOf(ctx, input)).returning({ id: institution.id });
      if (!made) throw new Error("the institution was not written");
      if (!(await writeNames(ctx, made.id, input))) return refuse("already-done");
      await ctx.emit("save-institution", null, { institution: made.id, name: input.name });
      return done({ institutionId: made.id, version: 1 });
    }
    const outcome = await change(ctx, institutionId, version ?? 0, input);
    if (outcome.ok) await ctx.emit("save-institution", null, { institution: institutionId, name: input.name });
    return outcome;
  },
});

/** What became of one line of a register that was taken in. */
interface Taken {
  readonly name: string;
  readonly became: "added" | "changed" | "same" | "name-taken" | "unknown-scale";
}

interface Known extends Omit<InstitutionInput, "fingerprints"> {
  readonly id: string;
  readonly version: number;
  readonly fingerprints: string[];
}

/** The institution that a name leads to in its country, as it stands. */
async function leadsTo(ctx: ActContext, { name, country }: InstitutionInput): Promise<Known | null> {
  const { rows } = await ctx.client.query<Known>(
    `select i.id, i.version, i.name, i.country, i.kind, i.languages, i.scales, i.credits_per_year::float as "creditsPerYear", i.recognition, i.note, i.fingerprints,
       array(select o.name from institution_name o where o.institution_id = i.id and o.kind = 'other' order by o.name) as "otherNames"
     from institution_name n join institution i on i.id = n.institution_id where n.folded = $1 and n.country = $2 and i.country = $2`,
    [fold(name), country],
  );
  return rows[0] ?? null;
}

async function takeLine(
  ctx: ActContext,
  input: InstitutionInput,
  scales: ReadonlySet<string>,
): Promise<Taken["became"]> {
  if (input.scales.some((key) => !scales.has(key))) return "unknown-scale";
  const known = await leadsTo(ctx, input);
  if (!known) {
    if ((await takenBy(ctx, null, input)) !== null) return "name-taken";
    const [made] = await ctx.db.insert(institution).values(rowOf(ctx, input)).returning({ id: institution.id });
    return made && (await writeNames(ctx, made.id, input)) ? "added" : "name-taken";
  }
  const { id, version, ...stored } = known;
  // Names are only ever added: files say what they say, and what led here goes on leading here.
  const names = new Map([stored.name, ...stored.otherNames, ...input.otherNames].map((n) => [fold(n), n]));
  names.delete(fold(input.name));
  const next = { ...input, otherNames: [...names.values()].sort(), fingerprints: stored.fingerprints };
  if (isDeepStrictEqual(next, { ...stored, otherNames: [...stored.otherNames].sort() })) return "same";
  if ((await takenBy(ctx, id, next)) !== null) return "name-taken";
  return (await change(ctx, id, version, next)).ok ? "changed" : "name-taken";
}

const MOST_LINES = 200;

/** Takes lines of a register in: what is new is added, what is there is changed, and what was written by applicants stays linked. */
export const takeRegister = defineAct({
  name: "take-register",
  input: z.object({ institutions: z.array(institutionSchema).min(1).max(MOST_LINES) }),
  may: keeps,
  run: async (ctx, { institutions }) => {
    const { set } = await ctx.office();
    const scales = new Set(set.scales.map((s) => s.key));
    const taken: Taken[] = [];
    for (const input of institutions) {
      // A line that somebody else’s change stopped half way leaves nothing behind, and does not stop the others.
      await ctx.client.query("savepoint line");
      const became = await takeLine(ctx, input, scales);
      const left = became === "name-taken" || became === "unknown-scale";
      await ctx.client.query(left ? "rollback to savepoint line" : "release savepoint line");
      taken.push({ name: input.name, became });
    }
    const count = (became: Taken["became"]) => taken.filter((t) => t.became === became).length;
    await ctx.emit("take-register", null, { added: count("added"), changed: count("changed") });
    return done({ taken });
  },
});

/** Lets what applicants wrote lead to an institution of the register: every file that says it follows at once. */
export const linkInstitution = defineAct({
  name: "link-institution",
  input: z.object({ institutionId: z.uuid(), written: z.string().trim().min(1).max(300), country: z.string().max(2) }),
  may: keeps,
  run: async (ctx, { institutionId, written, country }) => {
    const [known] = await ctx.db.select().from(institution).where(eq(institution.id, institutionId));
    const folded = fold(written);
    if (!known || folded === "") return refuse("not-found");
    const linked = await ctx.db
      .insert(institutionName)
      .values({ institutionId, name: written, folded, country: country || known.country, kind: "written" })
      .onConflictDoNothing()
      .returning({ id: institutionName.id });
    if (!linked[0]) return refuse("already-done");
    await ctx.emit("link-institution", null, { institution: institutionId, written });
    return done(null);
  },
});

/** Takes back that a written name leads to an institution. */
export const unlinkInstitution = defineAct({
  name: "unlink-institution",
  input: z.object({ nameId: z.uuid() }),
  may: keeps,
  run: async (ctx, { nameId }) => {
    const gone = await ctx.db
      .delete(institutionName)
      .where(and(eq(institutionName.id, nameId), eq(institutionName.kind, "written")))
      .returning({ institutionId: institutionName.institutionId, name: institutionName.name });
    if (!gone[0]) return refuse("not-found");
    await ctx.emit("unlink-institution", null, { institution: gone[0].institutionId, written: gone[0].name });
    return done(null);
  },
});

/** One institution that stands twice becomes one: all names of the double lead to the one that is kept. */
export const mergeInstitutions = defineAct({
  name: "merge-institutions",
  input: z.object({ keepId: z.uuid(), doubleId: z.uuid() }),
  may: keeps,
  run: async (ctx, { keepId, doubleId }) => {
    if (keepId === doubleId) return refuse("invalid-input", { fields: ["doubleId"] });
    const both = await ctx.db
      .select({ id: institution.id, name: institution.name, country: institution.country })
      .from(institution)
      .where(inArray(institution.id, [keepId, doubleId]))
      .orderBy(institution.id)
      .for("update");
    if (both.length < 2) return refuse("not-found");
    // A name that leads here from another country stays a link of its own: the names of an institution are those in its country.
    const home = both.find((b) => b.id === keepId)?.country ?? "";
    await ctx.db
      .update(institutionName)
      .set({
        institutionId: keepId,
        kind: sql`case when ${institutionName.kind} = 'written' or ${institutionName.country} <> ${home} then 'written' else 'other' end`,
      })
      .where(eq(institutionName.institutionId, doubleId));
    await ctx.db.delete(institution).where(eq(institution.id, doubleId));
    await ctx.db
      .update(institution)
      .set({ version: sql`${institution.version} + 1`, changedAt: ctx.now, changedBy: actorKey(ctx.actor) })
      .where(eq(institution.id, keepId));
    await ctx.emit("merge-institutions", null, {
      institution: keepId,
      double: both.find((b) => b.id === doubleId)?.name ?? "",
    });
    return done(null);
  },
});
