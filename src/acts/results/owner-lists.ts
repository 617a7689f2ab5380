import { and, eq, inArray } from "drizzle-orm";
import { z } from "zod";
import { personOf } from "../../core/people/person-of";
import { shownName } from "../../core/people/shown-name";
import { type NumberedClaim, numberedClaims } from "../../core/results/numbered-claims";
import { isTheirs, numberKey, readOwnerList } from "../../core/results/owner-list";
import { readTable } from "../../core/tables/read-table";
import { enqueue } from "../../db/queue";
import { ownerList, ownerResult } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile, openFile } from "../act/file-act";
import { keeps } from "../act/office-rights";
import { settleFile } from "../act/settle";
import { confirmFromIssuer } from "../evidence/issuer-values";

type Result = typeof ownerResult.$inferSelect;

const claimsOf = ({ facts, rulebooks }: OpenFile) =>
  numberedClaims(
    facts.answers,
    Object.values(rulebooks).flatMap((r) => r.body.sections),
  );

/** Takes in a list of results that the owner of a test sent: what it says of a number takes the place of an earlier list's. */
export const takeOwnerList = defineAct({
  name: "take-owner-list",
  input: z.object({ test: z.string().max(60), fileName: z.string().max(200), text: z.string().max(2_000_000) }),
  may: keeps,
  run: async (ctx, { test: key, fileName, text }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const test = (await ctx.office()).set.tests.find((t) => t.key === key);
    const table = readTable(text);
    const list = test && table ? readOwnerList(table, test) : null;
    if (!list?.ok || list.results.length === 0) return refuse("invalid-input", { fields: ["text"] });
    const [made] = await ctx.db
      .insert(ownerList)
      .values({ test: key, fileName, lines: list.results.length, takenById: ctx.actor.id, takenAt: ctx.now })
      .returning({ id: ownerList.id });
    const listId = made?.id ?? "";
    await ctx.client.query(
      `insert into owner_result (list_id, test, number, number_key, name, birth_date, taken_on, scores, state)
       select $1, $2, x->>'number', x->>'key', x->>'name', (x->>'birthDate')::date, (x->>'takenOn')::date, x->'scores', 'nobody' from jsonb_array_elements($3::jsonb) x
       on conflict (test, number_key, taken_on) do update set list_id = excluded.list_id, number = excluded.number, name = excluded.name,
         birth_date = excluded.birth_date, scores = excluded.scores, state = case when owner_result.state = 'not theirs' then 'not theirs' else 'nobody' end`,
      [listId, key, JSON.stringify(list.results.map((r) => ({ ...r, key: numberKey(r.number) })))],
    );
    await ctx.emit("take-owner-list", null, { list: listId, test: key, lines: list.results.length });
    await enqueue(ctx.boss, ctx.client, "match-results", { listId });
    return done({ listId, lines: list.results.length, leftOut: list.problems.length });
  },
});

/** What the owner has becomes the confirmed value of the claim, with the list as its source. */
async function takeOver(
  ctx: ActContext,
  file: OpenFile,
  claim: NumberedClaim,
  result: Result,
  byId: string,
): Promise<void> {
  const { scope, section, entry } = claim;
  const test = file.office.set.tests.find((t) => t.key === result.test);
  const values = {
    test: result.test,
    number: result.number,
    date: result.takenOn,
    scores: result.scores,
    status: "result",
  };
  await confirmFromIssuer(
    ctx,
    file,
    Object.entries(values).map(([field, value]) => ({ scope, section, entry, field, value })),
    `From the owner’s list: ${test?.title.en ?? result.test}.`,
    byId,
  );
}

/** Holds the results under the numbers that a submitted file claims against its applicant, and confirms those that are theirs. */
export const matchResults = defineAct({
  name: "match-results",
  input: z.object({ applicationId: z.uuid() }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { applicationId }) => {
    const file = await openFile(ctx, applicationId);
    if (!file) return refuse("not-found");
    if (file.facts.choices.every((c) => c.submittedAt === null)) return done({ found: 0, otherName: 0 });
    const person = personOf(file.facts, null);
    const who = { name: shownName(file.facts), formerNames: person.formerNames ?? [], birthDate: person.birthDate };
    const counts = { found: 0, otherName: 0 };
    for (const claim of claimsOf(file)) {
      const results = await ctx.db
        .select()
        .from(ownerResult)
        .where(
          and(
            eq(ownerResult.test, claim.test),
            eq(ownerResult.numberKey, claim.number),
            eq(ownerResult.state, "nobody"),
          ),
        )
        .orderBy(ownerResult.takenOn);
      const result = results.at(-1);
      if (!result) continue;
      const theirs = isTheirs(result, who);
      const { scope, section, entry } = claim;
      // Another file that claims the same number may have come first meanwhile.
      const taken = await ctx.db
        .update(ownerResult)
        .set({ state: theirs ? "found" : "other name", applicationId, scope, section, entry })
        .where(and(eq(ownerResult.id, result.id), eq(ownerResult.state, "nobody")))
        .returning({ id: ownerResult.id });
      if (taken.length === 0) continue;
      counts[theirs ? "found" : "otherName"] += 1;
      if (!theirs) continue;
      const [list] = await ctx.db.select().from(ownerList).where(eq(ownerList.id, result.listId));
      if (list) await takeOver(ctx, file, claim, result, list.takenById);
    }
    if (counts.found + counts.otherName === 0) return done(counts);
    await ctx.emit("match-results", applicationId, { ...counts });
    await settleFile(ctx, applicationId);
    return done(counts);
  },
});

/** An officer says of a result under another name whether it is this applicant's; if it is, it is confirmed. */
export const settleOwnerResult = defineFileAct({
  name: "settle-owner-result",
  input: z.object({ applicationId: z.uuid(), resultId: z.uuid(), theirs: z.boolean() }),
  right: "office",
  about: ({ resultId, theirs }) => ({ result: resultId, theirs }),
  run: async (ctx, file, { resultId, theirs }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const [result] = await ctx.db
      .select()
      .from(ownerResult)
      .where(and(eq(ownerResult.id, resultId), eq(ownerResult.applicationId, file.id)));
    if (!result) return refuse("not-found");
    if (!(theirs ? ["other name", "not theirs"] : ["other name"]).includes(result.state)) return refuse("already-done");
    const claim = claimsOf(file).find((c) => c.entry === result.entry);
    if (theirs && !claim) return refuse("not-found");
    await ctx.db
      .update(ownerResult)
      .set({ state: theirs ? "found" : "not theirs", settledById: ctx.actor.id, settledAt: ctx.now })
      .where(and(eq(ownerResult.id, resultId), inArray(ownerResult.state, ["other name", "not theirs"])));
    if (theirs && claim) await takeOver(ctx, file, claim, result, ctx.actor.id);
    return done(null);
  },
});
