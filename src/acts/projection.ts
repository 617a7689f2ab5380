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
import type { ActContext } from "./act";

/** Why a file is assessed again: somebody did something, or only time went by. */
export type Cause = "act" | "time passed";

/** Files without a date are ordered after all others. */
const NO_DUE = new Date("9999-12-31T00:00:00Z");

/** What lists show of a file, and what says how long that holds. */
export const SHOWN = [
  "number",
  "name",
  "stage",
  "turn",
  "reason",
  "requirement",
  "nextTitle",
  "nextCount",
  "dueAt",
  "orderAt",
  "mendUntil",
  "comb",
  "programmes",
] as const;
const HOLDS = ["validUntil", "assessedAt", "officeVersion", "restsOn"] as const;
type Standing = Readonly<Record<(typeof SHOWN)[number], string | number | Date | null>> &
  Readonly<Record<(typeof HOLDS)[number], string | number | Date | null | readonly string[]>> & {
    readonly restsOn: readonly string[];
  };

/** The column of a property, as the schema names it. */
export const columnOf = (name: string): string => name.replace(/[A-Z]/gu, (letter) => `_${letter.toLowerCase()}`);

/** What is kept of a file for lists, but for when somebody last did something there. */
export function standingRow(loaded: LoadedFile, assessment: Assessment, office: Office, now: Date): Standing {
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
    validUntil: file.validUntil === null ? null : new Date(file.validUntil),
    mendUntil: file.mendUntil === null ? null : new Date(file.mendUntil),
    assessedAt: now,
    officeVersion: office.version,
    restsOn: restsOn(loaded.facts.answers, loaded.facts.confirmations, loaded.rulebooks),
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
const CHOICE = ["stage", "closedAs", "eligibility", "findings"];

const named = (row: object) => Object.fromEntries(Object.entries(row).map(([name, value]) => [columnOf(name), value]));

/** The keys under which other files of the same person are found. */
function keysOf({ facts, rulebooks }: LoadedFile): readonly string[] {
  const sections = Object.values(rulebooks).flatMap((r) => r.body.sections);
  const claims = numberedClaims(facts.answers, sections).map(claimKey);
  return [...new Set([...candidateKeys(personOf(facts.answers, null)), ...claims])];
}

const columns = (names: readonly string[]) => names.map(columnOf).join(", ");
const excluded = (names: readonly string[]) => names.map((n) => `${columnOf(n)} = excluded.${columnOf(n)}`).join(", ");

/** Everything that is kept of some files, in one statement; of names, keys and what is awaited only what changed is written. */
const WRITE = `with file as materialized (
    select f.*, (f.standing->>'application_id')::uuid as id
    from jsonb_to_recordset($1::jsonb) as f (standing jsonb, choices jsonb, folded text, keys jsonb, awaited jsonb)),
  standing as (
    insert into file_standing (application_id, last_event_at, ${columns([...SHOWN, ...HOLDS])})
    select r.application_id, $2, ${[...SHOWN, ...HOLDS].map((n) => `r.${columnOf(n)}`).join(", ")}
    from file, jsonb_populate_record(null::file_standing, file.standing) r
    on conflict (application_id) do update set ${excluded([...SHOWN, ...HOLDS])},
      last_event_at = case when $3 then excluded.last_event_at else file_standing.last_event_at end),
  choices as (
    insert into choice_standing (choice_id, application_id, ${columns(CHOICE)})
    select r.choice_id, r.application_id, ${CHOICE.map((n) => `r.${columnOf(n)}`).join(", ")}
    from file, jsonb_array_elements(file.choices) c, jsonb_populate_record(null::choice_standing, c) r
    on conflict (choice_id) do update set ${excluded(CHOICE)}),
  names as (
    insert into file_name (application_id, folded) select id, folded from file
    on conflict (application_id) do update set folded = excluded.folded where file_name.folded <> excluded.folded),
  lost_keys as (
    delete from file_key k using file where k.application_id = file.id and not file.keys ? k.key),
  keys as (
    insert into file_key (application_id, key) select id, jsonb_array_elements_text(keys) from file on conflict do nothing),
  lost_awaited as (
    delete from awaited a using file where a.application_id = file.id
      and jsonb_build_array(a.kind, a.about, a.due) not in (select jsonb_array_elements(file.awaited)))
  insert into awaited (application_id, kind, about, due)
  select id, x->>0, x->>1, x->>2 from file, jsonb_array_elements(file.awaited) x on conflict do nothing`;

/** Writes what lists show of files, and what they are found by. */
export async function writeProjections(
  ctx: ActContext,
  files: readonly { readonly loaded: LoadedFile; readonly assessment: Assessment }[],
  office: Office,
  cause: Cause,
): Promise<void> {
  if (files.length === 0) return;
  const written = files.map(({ loaded, assessment }) => {
    const applicationId = loaded.facts.application.id;
    const row = standingRow(loaded, assessment, office, ctx.now);
    const { formerNames = [] } = personOf(loaded.facts.answers, null);
    return {
      standing: named({ applicationId, ...row }),
      choices: choiceRows(applicationId, assessment).map(named),
      folded: `${fold([row.name, ...formerNames].join(" "))} ${row.number}`,
      keys: keysOf(loaded),
      awaited: assessment.awaited.map((a) => [a.kind, a.about, a.due ?? ""]),
    };
  });
  await ctx.client.query({
    name: "write-projections",
    text: WRITE,
    values: [JSON.stringify(written), ctx.now, cause === "act"],
  });
}
