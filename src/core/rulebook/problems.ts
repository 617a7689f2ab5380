import type { Condition } from "../rules/condition";
import { factNames } from "../rules/names";
import { factName } from "../sections/definition";
import type { RulebookBody } from "./rulebook";

export interface RulebookProblem {
  readonly code: "unknown-fact" | "unknown-section" | "unknown-field" | "unknown-fee" | "duplicate-key";
  readonly about: string;
}

const GIVEN = new Set([
  "start",
  "group",
  "choice.campus",
  "choice.mode",
  "choice.track",
  "choice.rank",
  "choice.answer",
]);

function knownFacts(body: RulebookBody): ReadonlySet<string> {
  const names = new Set(GIVEN);
  for (const section of body.sections) {
    const name = factName(section);
    names.add(name);
    for (const field of section.fields) names.add(`${name}.${field.key}`);
    if (section.core === "courses") names.add(`${name}.ects`);
  }
  for (const measure of body.measures) names.add(`measure.${measure.key}`);
  return names;
}

function conditionsOf(
  body: RulebookBody,
): readonly { readonly where: string; readonly list: string | null; readonly condition: Condition }[] {
  const one = (where: string, condition: Condition | undefined, list: string | null = null) =>
    condition ? [{ where, list, condition }] : [];
  return [
    ...body.sections.flatMap((s) => [
      ...one(s.key, s.when),
      ...s.fields.flatMap((f) => one(`${s.key}.${f.key}`, f.when, factName(s))),
    ]),
    ...body.requirements.flatMap((r) => [
      ...one(r.key, r.when),
      ...(r.kind === "document"
        ? [...one(r.key, r.promise), ...r.checks.flatMap((c) => one(`${r.key}.${c.key}`, c.rule))]
        : []),
    ]),
    ...body.entryRules.flatMap((r) => [...one(r.key, r.rule), ...one(r.key, r.curable?.possible)]),
    ...body.measures.flatMap((m) => (m.kind === "level" ? [] : one(m.key, m.degree, "degrees"))),
    ...body.fees.flatMap((f) => one(f.key, f.when)),
  ];
}

function duplicates(keys: readonly string[]): readonly RulebookProblem[] {
  return keys.filter((key, i) => keys.indexOf(key) !== i).map((about) => ({ code: "duplicate-key", about }));
}

/** What keeps a rulebook from being published: rules that read something nobody asks for, and references that lead nowhere. */
export function rulebookProblems(body: RulebookBody): readonly RulebookProblem[] {
  const facts = knownFacts(body);
  const sections = new Set(body.sections.map((s) => s.key));
  const fields = new Set(body.sections.flatMap((s) => s.fields.map((f) => `${s.key}.${f.key}`)));
  const unknown = conditionsOf(body).flatMap(({ where, list, condition }) =>
    factNames(condition, list)
      .filter((name) => !facts.has(name))
      .map((name): RulebookProblem => ({ code: "unknown-fact", about: `${where}: ${name}` })),
  );
  const requirements = body.requirements.flatMap((r): readonly RulebookProblem[] => {
    if (r.kind === "sections")
      return r.sections
        .filter((s) => !sections.has(s))
        .map((s) => ({ code: "unknown-section", about: `${r.key}: ${s}` }));
    if (r.kind === "document")
      return r.shows.filter((f) => !fields.has(f)).map((f) => ({ code: "unknown-field", about: `${r.key}: ${f}` }));
    if (r.kind === "fee")
      return body.fees.some((f) => f.key === r.item) ? [] : [{ code: "unknown-fee", about: `${r.key}: ${r.item}` }];
    return [];
  });
  return [
    ...unknown,
    ...requirements,
    ...duplicates(body.sections.map((s) => s.key)),
    ...duplicates(body.requirements.map((r) => r.key)),
    ...duplicates(body.entryRules.map((r) => r.key)),
  ];
}
