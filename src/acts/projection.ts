import { ne, sql } from "drizzle-orm";
import { combText } from "../core/assessment/comb";
import { reasonOf } from "../core/assessment/reason";
import type { Assessment } from "../core/assessment/result";
import { fold } from "../core/identity/fold";
import { personOf } from "../core/identity/person-of";
import { candidateKeys } from "../core/identity/same-person";
import { shownName } from "../core/identity/shown-name";
import { claimKey, numberedClaims } from "../core/language/numbered-claims";
import type { Office } from "../core/office/reference-set";
import { restsOn } from "../core/office/touch";
import type { LoadedFile } from "../db/load-file";
import { choiceStanding, fileName, fileStanding } from "../db/schema";
import type { ActContext } from "./act";

/** Why a file is assessed again: somebody did something, or only time went by. */
export type Cause = "act" | "time passed";

/** Files without a date are ordered after all others. */
const NO_DUE = new Date("9999-12-31T00:00:00Z");

/** What lists show of a file. */
export function standingRow(loaded: LoadedFile, assessment: Assessment, office: Office, now: Date) {
  const { file } = assessment;
  const due = file.dueAt === null ? null : new Date(file.dueAt);
  return {
    number: loaded.facts.application.number,
    name: shownName(loaded.facts),
    stage: file.stage,
    turn: file.turn,
    reason: reasonOf(assessment),
    requirement: file.next?.requirement ?? null,
    nextTitle: file.next?.title?.en ?? null,
    nextCount: file.next?.count ?? null,
    dueAt: due,
    orderAt: due ?? NO_DUE,
    comb: combText(file.comb),
    programmes: loaded.facts.choices.map((c) => c.programme).join(" "),
    lastEventAt: now,
    validUntil: file.validUntil === null ? null : new Date(file.validUntil),
    mendUntil: file.mendUntil === null ? null : new Date(file.mendUntil),
    assessedAt: now,
    officeVersion: office.version,
    restsOn: [...restsOn(loaded.facts.answers, loaded.facts.confirmations, loaded.rulebooks)],
  };
}

/** The same of its choices. */
export const choiceRows = (applicationId: string, assessment: Assessment) =>
  assessment.choices.map((result) => ({
    choiceId: result.id,
    applicationId,
    stage: result.stage,
    closedAs: result.closedAs,
    eligibility: result.eligibility,
    findings: result.findings.map(({ key, finding, basis }) => ({ key, finding, basis })),
  }));

/** Writes what lists show of a file, and what it is found by. */
export async function writeProjection(
  ctx: ActContext,
  loaded: LoadedFile,
  assessment: Assessment,
  office: Office,
  cause: Cause,
): Promise<void> {
  const applicationId = loaded.facts.application.id;
  const row = standingRow(loaded, assessment, office, ctx.now);
  const { lastEventAt, ...unmoved } = row;
  await ctx.db
    .insert(fileStanding)
    .values({ applicationId, ...row })
    .onConflictDoUpdate({
      target: fileStanding.applicationId,
      set: cause === "act" ? { ...unmoved, lastEventAt } : unmoved,
    });
  const standings = choiceRows(applicationId, assessment);
  if (standings.length > 0)
    await ctx.db
      .insert(choiceStanding)
      .values(standings)
      .onConflictDoUpdate({
        target: choiceStanding.choiceId,
        set: {
          stage: sql`excluded.stage`,
          closedAs: sql`excluded.closed_as`,
          eligibility: sql`excluded.eligibility`,
          findings: sql`excluded.findings`,
        },
      });
  const { formerNames = [] } = personOf(loaded.facts.answers, null);
  const folded = `${fold([row.name, ...formerNames].join(" "))} ${row.number}`;
  await ctx.db
    .insert(fileName)
    .values({ applicationId, folded })
    .onConflictDoUpdate({ target: fileName.applicationId, set: { folded }, setWhere: ne(fileName.folded, folded) });
  await writeKeys(ctx, loaded);
  await writeAwaited(ctx, applicationId, assessment);
}

/** What is still to come; only lines that changed are written. */
async function writeAwaited(ctx: ActContext, applicationId: string, { awaited }: Assessment): Promise<void> {
  await ctx.client.query(
    `with now as (select * from unnest($2::text[], $3::text[], $4::text[]) as x (kind, about, due)),
       gone as (delete from awaited a where application_id = $1 and not exists (select 1 from now n where (n.kind, n.about, n.due) = (a.kind, a.about, a.due)))
     insert into awaited (application_id, kind, about, due) select $1, kind, about, due from now on conflict do nothing`,
    [applicationId, awaited.map((a) => a.kind), awaited.map((a) => a.about), awaited.map((a) => a.due ?? "")],
  );
}

/** The keys under which other files of the same person are found; only those that changed are written. */
async function writeKeys(ctx: ActContext, { facts, rulebooks }: LoadedFile): Promise<void> {
  const sections = Object.values(rulebooks).flatMap((r) => r.body.sections);
  const claims = numberedClaims(facts.answers, sections).map(claimKey);
  await ctx.client.query(
    `with gone as (delete from file_key where application_id = $1 and key <> all($2::text[]))
     insert into file_key (application_id, key) select $1, key from unnest($2::text[]) key on conflict do nothing`,
    [facts.application.id, [...candidateKeys(personOf(facts.answers, null)), ...claims]],
  );
}
