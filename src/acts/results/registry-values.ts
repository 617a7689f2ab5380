import { randomUUID } from "node:crypto";
import { AnswerIndex } from "../../core/answers/answer-index";
import { checkValue } from "../../core/answers/check-value";
import { registryEntries } from "../../core/answers/given-by-registry";
import { contexts } from "../../core/assessment/context";
import { type ClaimedResult, matchResults, type RegistryResult } from "../../core/education/registry-answer";
import { factName } from "../../core/rulebook/section";
import { confirmation, type registryQuery } from "../../db/schema";
import type { ActContext } from "../act/act";
import type { OpenFile } from "../act/file-act";
import { confirmFromIssuer } from "../evidence/issuer-values";

/** What a registry of examinations says becomes values of a file. */
export type RegistryQueryRow = typeof registryQuery.$inferSelect;

/** The sittings of a file whose lines the registry gives, each with the section that takes them. */
export function registryLines(file: OpenFile, choices: readonly string[], now: Date) {
  const { facts, rulebooks, rounds, office } = file;
  return contexts(facts, new AnswerIndex(facts), rulebooks, rounds, office, now.getTime())
    .filter(({ choice }) => choices.includes(choice.id))
    .flatMap(({ choice, rulebook, source }) =>
      rulebook.body.sections.flatMap((lines) => {
        const list = rulebook.body.sections.find((s) => factName(s) === lines.fromRegistry?.list);
        if (list?.core !== "sittings") return [];
        const scope = list.scope === "file" ? "file" : choice.id;
        return registryEntries(lines, source).map((entry) => ({ scope, section: list.key, entry, lines }));
      }),
    );
}

/** The lines that belong to the sitting: of the form, and those that were added since. */
function claimsOf(
  { facts }: OpenFile,
  { scope, entry }: Pick<RegistryQueryRow, "scope" | "entry">,
): readonly ClaimedResult[] {
  const index = new AnswerIndex(facts);
  const at = (field: string, of: string): string => {
    const claim = index.claim(scope, "subjects", of, field);
    return String(claim ?? index.confirmed(scope, "subjects", of, field)?.value ?? "");
  };
  return index
    .list(scope, "subjects")
    .ids.filter((line) => at("sitting", line) === entry)
    .map((line) => ({ entry: line, subject: at("subject", line), mark: at("mark", line) }));
}

/** The lines of a sitting that nobody types, as the registry has them; a subject that the form does not know stays with the registry. */
async function addRegistryLines(
  ctx: ActContext,
  file: OpenFile,
  { entry }: Pick<RegistryQueryRow, "entry">,
  unclaimed: readonly RegistryResult[],
  note: string,
): Promise<void> {
  const submitted = file.facts.choices.filter((c) => c.submittedAt !== null).map((c) => c.id);
  const given = registryLines(file, submitted, ctx.now).find((f) => f.entry === entry);
  if (!given?.lines.fromRegistry) return;
  const { lines, scope } = given;
  const by = given.lines.fromRegistry.by;
  const fits = (field: string, value: string) => {
    const definition = lines.fields.find((f) => f.key === field);
    return definition !== undefined && checkValue(definition, file.office.set, value) === null;
  };
  const rows = unclaimed
    .filter(({ subject, mark }) => fits("subject", subject) && fits("mark", mark))
    .flatMap(({ subject, mark }) => {
      const line = randomUUID();
      return Object.entries({ [by]: entry, subject, mark }).map(([field, value]) => ({
        ...{ applicationId: file.id, scope, section: lines.key, entry: line, field, value },
        ...{ answerVersion: 0, note, byId: null, at: ctx.now },
      }));
    });
  if (rows.length > 0) await ctx.db.insert(confirmation).values(rows);
}

const FROM_REGISTRY = "From the registry of examinations.";

/** What the registry says becomes the confirmed value; what it does not have stays claimed. */
export async function confirmResults(
  ctx: ActContext,
  file: OpenFile,
  query: Pick<RegistryQueryRow, "scope" | "section" | "entry" | "board" | "year" | "candidate">,
  results: readonly RegistryResult[],
  byId: string | null,
): Promise<void> {
  const { scope } = query;
  const { known, unclaimed } = matchResults(claimsOf(file, query), results);
  await confirmFromIssuer(
    ctx,
    file,
    [
      // What was asked by, not what the applicant may have changed it to since.
      ...(["board", "year", "candidate"] as const).map((field) => ({
        scope,
        section: query.section,
        entry: query.entry,
        field,
        value: query[field],
      })),
      ...known.flatMap(({ entry, subject, awarded }) => [
        { scope, section: "subjects", entry, field: "subject", value: subject },
        { scope, section: "subjects", entry, field: "mark", value: awarded },
      ]),
    ],
    FROM_REGISTRY,
    byId,
  );
  await addRegistryLines(ctx, file, query, unclaimed, FROM_REGISTRY);
}
