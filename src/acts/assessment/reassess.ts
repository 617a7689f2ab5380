import { dequal } from "dequal";
import { eq } from "drizzle-orm";
import { z } from "zod";
import { holds } from "../../core/rights/actor";
import type { FileRow } from "../../core/settlement/file-row";
import { isAtRest, type Settled } from "../../core/settlement/settle";
import { type ReferenceSet, referenceSetSchema } from "../../core/standards/reference-set";
import { affectingNames } from "../../db/queries/affected";
import { readFileRows } from "../../db/queries/file-rows";
import { loadFiles } from "../../db/queries/load-file";
import { enqueue } from "../../db/queue";
import { fileTrouble } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { workOut, writeSettled } from "../act/settle";

/** Files that stand as they stood only have it noted when that was seen: one statement for all of them. */
async function noteUnchanged(ctx: ActContext, rows: readonly FileRow[]): Promise<void> {
  if (rows.length === 0) return;
  const office = await ctx.office();
  await ctx.client.query(
    `update file_standing s set assessed_at = $3, office_version = $4, valid_until = x.until
     from unnest($1::uuid[], $2::timestamptz[]) as x (id, until) where s.application_id = x.id`,
    [rows.map((r) => r.applicationId), rows.map((r) => r.validUntil), ctx.now, office.version],
  );
}

/** What a row says of the file, whenever and by which version that was seen. */
const whatItSays = ({ assessedAt: _at, officeVersion: _version, validUntil: _until, ...said }: FileRow) => said;

const standsAsItStood = (before: FileRow | undefined, { row, effects }: Settled): boolean =>
  before !== undefined && isAtRest(effects) && dequal(whatItSays(before), whatItSays(row));

/**
 * The system looks at files again whose result time alone has changed, or what the office goes by: a round that opened or closed, a new
 * version of the standards. Read and assessed together; only what changed is written.
 */
export const reassessFiles = defineAct({
  name: "reassess-files",
  input: z.object({ applicationIds: z.array(z.uuid()).max(500) }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { applicationIds }) => {
    await ctx.client.query("select 1 from application where id = any($1::uuid[]) order by id for update", [
      applicationIds,
    ]);
    const loaded = await loadFiles(ctx.client, applicationIds);
    const before = await readFileRows(ctx.client, applicationIds);
    const unchanged: FileRow[] = [];
    const moved: Settled[] = [];
    for (const file of loaded) {
      const settled = await workOut(ctx, file);
      const { row } = settled;
      const known = before.get(row.applicationId);
      if (standsAsItStood(known, settled)) unchanged.push(row);
      else moved.push(settled);
      if (known && (known.turn !== row.turn || known.stage !== row.stage))
        await ctx.emit("time-passed", row.applicationId, { turn: row.turn, stage: row.stage });
    }
    await writeSettled(ctx, moved, "time passed");
    await noteUnchanged(ctx, unchanged);
    await ctx.client.query("delete from file_trouble where application_id = any($1::uuid[])", [applicationIds]);
    return done({ count: loaded.length, changed: moved.length });
  },
});

const FIRST_PAUSE_MS = 5 * 60_000;
const LONGEST_PAUSE_MS = 24 * 3_600_000;

/** A file that cannot be assessed is set aside with what went wrong, and looked at again later, so that all others go on. */
export const setFileAside = defineAct({
  name: "set-file-aside",
  input: z.object({ applicationId: z.uuid(), error: z.object({ name: z.string(), message: z.string() }) }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { applicationId, error }) => {
    const now = ctx.now.getTime();
    const [known] = await ctx.db.select().from(fileTrouble).where(eq(fileTrouble.applicationId, applicationId));
    const tries = (known?.tries ?? 0) + 1;
    const pause = Math.min(FIRST_PAUSE_MS * 2 ** (tries - 1), LONGEST_PAUSE_MS);
    const row = { applicationId, lastAt: ctx.now, tries, error, nextTryAt: new Date(now + pause) };
    await ctx.db
      .insert(fileTrouble)
      .values({ ...row, firstAt: ctx.now })
      .onConflictDoUpdate({ target: fileTrouble.applicationId, set: row });
    if (!known) await ctx.emit("set-file-aside", applicationId, { error: error.name });
    return done({ tries });
  },
});

/** An administrator has a file that was set aside looked at again at once. */
export const tryFileAgain = defineAct({
  name: "try-file-again",
  input: z.object({ applicationId: z.uuid() }),
  may: (ctx) => holds(ctx.actor, ["administrator"]),
  run: async (ctx, { applicationId }) => {
    const again = await ctx.db
      .update(fileTrouble)
      .set({ nextTryAt: ctx.now })
      .where(eq(fileTrouble.applicationId, applicationId))
      .returning({ id: fileTrouble.applicationId });
    if (again.length === 0) return refuse("already-done");
    await enqueue(ctx.boss, ctx.client, "reassess-aged", {});
    return done(null);
  },
});

/** So many files are passed over in one transaction, which keeps them from others only for a moment. */
const PASSED_AT_ONCE = 5000;

/**
 * Files that rest on nothing that changed since they were assessed stand as they stood: only the version is noted. A file that somebody
 * works on in the same moment is left for the next time; what it rests on is written together with its result.
 */
export const passOverFiles = defineAct({
  name: "pass-over-files",
  input: z.object({}),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx) => {
    const office = await ctx.office();
    const { rows: older } = await ctx.client.query<{ version: number; body: ReferenceSet }>(
      `select version, body from office_reference where version in (select distinct office_version from file_standing) and version < $1
       order by version`,
      [office.version],
    );
    for (const { version, body } of older) {
      const names = await affectingNames(ctx.client, referenceSetSchema.parse(body), office.set);
      if (names === null) continue;
      const { rowCount } = await ctx.client.query(
        `update file_standing set office_version = $2 where application_id in (
           select application_id from file_standing where office_version = $1 and not (rests_on && $3::text[]) limit $4 for update skip locked)`,
        [version, office.version, names, PASSED_AT_ONCE],
      );
      if (rowCount) return done({ passed: rowCount });
    }
    return done({ passed: 0 });
  },
});
