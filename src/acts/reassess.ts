import { isDeepStrictEqual } from "node:util";
import { z } from "zod";
import { assess } from "../core/assessment/assess";
import type { Assessment } from "../core/assessment/result";
import { type Office, type ReferenceSet, referenceSetSchema } from "../core/office/reference-set";
import { type LoadedFile, loadFiles } from "../db/load-file";
import { touchingNames } from "../db/touched";
import { type ActContext, defineAct, done } from "./act";
import { choiceRows, columnOf, SHOWN, standingRow, writeProjections } from "./projection";
import { isAtRest, settle } from "./settle";

/** What lists show of a file; instants in epoch milliseconds, choices in the order of their ids. */
interface Projected {
  readonly shown: Readonly<Record<(typeof SHOWN)[number], string | number | null>>;
  readonly choices: readonly { readonly choiceId: string }[];
  readonly awaited: readonly string[];
  readonly restsOn: readonly string[];
}
type Stored = Projected & { readonly id: string };

const column = (name: string) => `s.${columnOf(name)}`;
const shown = SHOWN.map(
  (name) =>
    `'${name}', ${/At$|Until$/u.test(name) ? `round(extract(epoch from ${column(name)}) * 1000)::int8` : column(name)}`,
);
const STORED = `select s.application_id as id, json_build_object(${shown.join(", ")}) as shown, coalesce(s.rests_on, '{}') as "restsOn",
  coalesce((select json_agg(json_build_object('choiceId', c.choice_id, 'applicationId', c.application_id, 'stage', c.stage, 'closedAs', c.closed_as,
     'eligibility', c.eligibility, 'findings', c.findings) order by c.choice_id) from choice_standing c where c.application_id = s.application_id), '[]') as choices,
  array(select concat_ws('|', w.kind, w.about, w.due) from awaited w where w.application_id = s.application_id) as awaited
  from file_standing s where s.application_id = any($1::uuid[])`;

function projected(loaded: LoadedFile, assessment: Assessment, office: Office, now: Date): Projected {
  const row = standingRow(loaded, assessment, office, now);
  const inMs = (value: string | number | Date | null) => (value instanceof Date ? value.getTime() : value);
  const choices = choiceRows(loaded.facts.application.id, assessment);
  return {
    shown: Object.fromEntries(SHOWN.map((name) => [name, inMs(row[name])])) as Projected["shown"], // name by name the same keys
    choices: choices.sort((a, b) => (a.choiceId < b.choiceId ? -1 : 1)),
    awaited: assessment.awaited.map((a) => [a.kind, a.about, a.due ?? ""].join("|")).sort(),
    restsOn: row.restsOn,
  };
}

interface Looked {
  readonly id: string;
  readonly validUntil: string | null;
}

/** Files that stand as they stood only have it noted when that was seen: one statement for all of them. */
async function noteUnchanged(ctx: ActContext, files: readonly Looked[], office: Office): Promise<void> {
  if (files.length === 0) return;
  await ctx.client.query(
    `update file_standing s set assessed_at = $3, office_version = $4, valid_until = x.until
     from unnest($1::uuid[], $2::timestamptz[]) as x (id, until) where s.application_id = x.id`,
    [files.map((f) => f.id), files.map((f) => f.validUntil), ctx.now, office.version],
  );
}

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
    const office = await ctx.office();
    const loaded = await loadFiles(ctx.client, applicationIds);
    const { rows } = await ctx.client.query<Stored>(STORED, [applicationIds]);
    const before = new Map(rows.map(({ id, ...row }) => [id, { ...row, awaited: [...row.awaited].sort() }]));
    const unchanged: Looked[] = [];
    const moved: { readonly loaded: LoadedFile; readonly assessment: Assessment }[] = [];
    let changed = 0;
    for (const one of loaded) {
      const { id } = one.facts.application;
      const assessment = assess({ ...one, office, at: ctx.now.getTime() });
      const known = before.get(id);
      const atRest = isAtRest(one, assessment, office);
      if (atRest && isDeepStrictEqual(known, projected(one, assessment, office, ctx.now))) {
        unchanged.push({ id, validUntil: assessment.file.validUntil });
        continue;
      }
      changed += 1;
      if (atRest) moved.push({ loaded: one, assessment });
      const { file } = atRest ? assessment : await settle(ctx, id, "time passed");
      if (known && (known.shown.turn !== file.turn || known.shown.stage !== file.stage))
        await ctx.emit("time-passed", id, { turn: file.turn, stage: file.stage });
    }
    await writeProjections(ctx, moved, office, "time passed");
    await noteUnchanged(ctx, unchanged, office);
    return done({ count: loaded.length, changed });
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
      const names = await touchingNames(ctx.client, referenceSetSchema.parse(body), office.set);
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
