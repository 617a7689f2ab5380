import type { Condition, Limit } from "../../rules/condition";
import { factNames } from "../../rules/names";
import { canBeMet } from "../../rules/possible";
import type { LocalText } from "../../text/local-text";
import { conditionsOf } from "../conditions";
import { lackingCoreFields } from "../core-fields";
import { SPAN_DAYS } from "../day-names";
import { firstOf, standingFactOf, standingFactsOf } from "../facts";
import type { RulebookBody } from "../rulebook";
import { type FieldKind, factName, keeperLink, linkedFields } from "../section";
import { measureProblems } from "./measure-problems";
import type { RulebookProblem } from "./problem";

const GIVEN = new Set([
  ...SPAN_DAYS,
  "group",
  "choice.language",
  "choice.campus",
  "choice.mode",
  "choice.track",
  "choice.tracks",
  "choice.rank",
  "choice.answer",
]);

function knownFacts(body: RulebookBody): ReadonlySet<string> {
  const names = new Set(GIVEN);
  for (const section of body.sections) {
    const name = factName(section);
    names.add(name);
    for (const field of section.fields) {
      names.add(`${name}.${field.key}`);
      if (field.kind === "ranked" && !section.repeats) names.add(firstOf(`${name}.${field.key}`));
    }
    for (const reached of linkedFields(section, body.sections)) names.add(`${name}.${reached.name}`);
    if (section.core === "courses") names.add(`${name}.ects`);
  }
  for (const measure of body.measures) names.add(`measure.${measure.key}`);
  for (const { name: standing } of standingFactsOf(body)) names.add(standing);
  return names;
}

/** Every text that an officer writes, with the part it belongs to. */
function texts(body: RulebookBody): readonly { readonly about: string; readonly text: LocalText }[] {
  const one = (about: string, text: LocalText | undefined) => (text ? [{ about, text }] : []);
  return [
    ...body.sections.flatMap((s) => [
      ...one(s.key, s.title),
      ...one(s.key, s.intro),
      ...s.fields.flatMap((f) => [
        ...one(`${s.key}.${f.key}`, f.title),
        ...one(`${s.key}.${f.key}`, f.help),
        ...one(`${s.key}.${f.key}`, f.keptBy?.name),
        ...(f.options ?? []).flatMap((o) => one(`${s.key}.${f.key}: ${o.value}`, o.title)),
      ]),
    ]),
    ...body.requirements.flatMap((r) => [
      ...one(r.key, r.title),
      ...one(r.key, r.help),
      ...(r.kind === "document" ? r.checks.flatMap((c) => one(`${r.key}.${c.key}`, c.title)) : []),
      ...(r.kind === "document" ? one(r.key, r.signedBy?.sentence) : []),
    ]),
    ...body.entryRules.flatMap((r) => [...one(r.key, r.title), ...one(r.key, r.curable?.way)]),
    ...body.measures.flatMap((m) => one(m.key, m.title)),
    ...body.fees.flatMap((f) => [f, ...(f.reductions ?? [])].flatMap((item) => one(f.key, item.title))),
  ];
}

const MISSING: Readonly<Record<"en" | "fr", string>> = { en: "English", fr: "French" };

function missingTexts(body: RulebookBody): readonly RulebookProblem[] {
  return texts(body).flatMap(({ about, text }) =>
    (["en", "fr"] as const).flatMap((locale): readonly RulebookProblem[] =>
      text[locale].trim() === "" ? [{ code: "missing-text", about: `${about}: ${MISSING[locale]}` }] : [],
    ),
  );
}

/** Rules that no applicant could ever meet, alone or together. */
function impossible(body: RulebookBody): readonly RulebookProblem[] {
  const alone = conditionsOf(body)
    .filter(({ condition }) => !canBeMet(condition))
    .map(({ where, area }): RulebookProblem => ({ code: "never-met", area, about: where }));
  const possible = body.entryRules.filter((r) => canBeMet(r.rule));
  const pairs = possible.flatMap((a, i) =>
    possible
      .slice(i + 1)
      .filter((b) => !canBeMet({ op: "all", of: [a.rule, b.rule] }))
      .map((b): RulebookProblem => ({ code: "contradicts", about: `${a.key}: ${b.key}` })),
  );
  return [...alone, ...pairs];
}

/** Lines that no registry can give: the field that names their entry, or its list, is not there. */
function registryProblems({ sections }: RulebookBody): readonly RulebookProblem[] {
  return sections.flatMap((s): readonly RulebookProblem[] => {
    if (!s.fromRegistry) return [];
    const { list, by } = s.fromRegistry;
    const of = s.fields.find((f) => f.key === by && f.kind === "entry")?.of;
    const named = sections.some((other) => other.key === of && other.repeats && factName(other) === list);
    return named ? [] : [{ code: "unknown-registry-list", about: `${s.key}: ${list}` }];
  });
}

function withoutOptions(body: RulebookBody): readonly RulebookProblem[] {
  return body.sections.flatMap((s) =>
    s.fields
      .filter((f) => OPTION_KINDS.includes(f.kind) && (f.options ?? []).length === 0)
      .map((f): RulebookProblem => ({ code: "no-options", about: `${s.key}.${f.key}` })),
  );
}

/** What can be wrong with a shared part by itself: what its rules read, and what answers its requirements, may stand in the rulebook. */
/** Identity papers: none that counts, and a number of no paper. */
function paperProblems(body: RulebookBody): readonly RulebookProblem[] {
  return body.sections.flatMap((s) =>
    s.fields.flatMap((f): readonly RulebookProblem[] => {
      const about = `${s.key}.${f.key}`;
      if (f.kind === "paper" && f.papers?.length === 0) return [{ code: "no-papers", about }];
      const named = f.numberOf === undefined || s.fields.some((p) => p.key === f.numberOf && p.kind === "paper");
      return named ? [] : [{ code: "no-paper-field", about }];
    }),
  );
}

/** A section, or a field, that is asked for only where it was filled in already never comes. */
function asksItself({ sections }: RulebookBody): readonly RulebookProblem[] {
  return sections.flatMap((s) => {
    const own = s.fields.map((f) => `${factName(s)}.${f.key}`);
    const reads = (condition: Condition | undefined, names: readonly string[], list: string | null) =>
      condition !== undefined && factNames(condition, list).some((name) => names.includes(name));
    const area = "sections" as const;
    return [
      ...(reads(s.when, own, null) ? [{ code: "asks-itself", area, about: s.key } as const] : []),
      ...s.fields
        .filter((f) => reads(f.when, [`${factName(s)}.${f.key}`], factName(s)))
        .map((f) => ({ code: "asks-itself", area, about: `${s.key}.${f.key}` }) as const),
    ];
  });
}

const isNothing = (limit: Limit | undefined): boolean =>
  limit === undefined ||
  (typeof limit === "string" && limit.trim() === "") ||
  (Array.isArray(limit) && limit.length === 0);

function hasEmptyLimit(condition: Condition): boolean {
  switch (condition.op) {
    case "all":
    case "any":
    case "atLeast":
      return condition.of.some(hasEmptyLimit);
    case "not":
      return hasEmptyLimit(condition.of);
    case "fact":
      return condition.is !== "known" && isNothing(condition.value);
    case "some":
      return hasEmptyLimit(condition.where);
    case "count":
    case "sum":
      return isNothing(condition.value) || (condition.where !== undefined && hasEmptyLimit(condition.where));
  }
}

const comparesNothing = (body: RulebookBody): readonly RulebookProblem[] =>
  conditionsOf(body)
    .filter(({ condition }) => hasEmptyLimit(condition))
    .map(({ where, area }) => ({ code: "compares-nothing", area, about: where }));

/** A section of a known kind that lacks what is done by it. */
const coreProblems = ({ sections }: RulebookBody): readonly RulebookProblem[] =>
  sections.flatMap((s) =>
    lackingCoreFields(s).map(
      (f): RulebookProblem => ({ code: "core-field", area: "sections", about: `${s.key}: ${f.key}` }),
    ),
  );

/** A name cannot count as it stands on two documents at once, unless never both are asked for. */
function governingProblems({ requirements }: RulebookBody): readonly RulebookProblem[] {
  const always = requirements.filter((r) => r.kind === "document" && r.governsName && r.when === undefined);
  return always.slice(1).map((r) => ({ code: "two-govern", area: "requirements", about: r.key }));
}

/** Nobody submits what they have not declared to be true. */
function declarationProblems({ sections, requirements }: RulebookBody): readonly RulebookProblem[] {
  const agreed = sections.filter((s) => s.fields.some((f) => f.kind === "agree" && f.required)).map((s) => s.key);
  const isAsked = requirements.some(
    (r) => r.kind === "sections" && r.neededBy === "submission" && r.sections.some((key) => agreed.includes(key)),
  );
  return isAsked || requirements.length === 0 ? [] : [{ code: "no-declaration", about: "" }];
}

const BY_ITSELF: readonly RulebookProblem["code"][] = [
  "missing-text",
  "no-options",
  "no-papers",
  "no-paper-field",
  "duplicate-key",
  "never-met",
  "asks-itself",
  "compares-nothing",
  "core-field",
];

export const partProblems = (body: RulebookBody): readonly RulebookProblem[] =>
  rulebookProblems(body).filter((p) => BY_ITSELF.includes(p.code));

const OPTION_KINDS: readonly FieldKind[] = ["choice", "several", "ranked"];

function duplicates(keys: readonly string[]): readonly RulebookProblem[] {
  return keys.filter((key, i) => keys.indexOf(key) !== i).map((about) => ({ code: "duplicate-key", about }));
}

/** What keeps a rulebook from being published: rules that read something nobody asks for, and references that lead nowhere. */
export function rulebookProblems(body: RulebookBody): readonly RulebookProblem[] {
  const facts = knownFacts(body);
  const sections = new Set(body.sections.map((s) => s.key));
  const fields = new Set(body.sections.flatMap((s) => s.fields.map((f) => `${s.key}.${f.key}`)));
  const unknown = conditionsOf(body).flatMap(({ where, area, list, condition }) =>
    factNames(condition, list)
      .filter((name) => !facts.has(name))
      .map((name): RulebookProblem => ({ code: "unknown-fact", area, about: `${where}: ${name}` })),
  );
  const tooEarly = conditionsOf(body)
    .filter(({ area, condition, list }) => area !== "entryRules" && factNames(condition, list).some(standingFactOf))
    .map(({ where, area }): RulebookProblem => ({ code: "standing-elsewhere", area, about: where }));
  const requirements = body.requirements.flatMap((r): readonly RulebookProblem[] => {
    if (r.kind === "sections" && r.sections.length === 0) return [{ code: "no-sections", about: r.key }];
    if (r.kind === "sections")
      return r.sections
        .filter((s) => !sections.has(s))
        .map((s) => ({ code: "unknown-section", about: `${r.key}: ${s}` }));
    if (r.kind === "document") {
      const named = r.signedBy ? [`${r.signedBy.section}.name`, `${r.signedBy.section}.email`] : [];
      return [...r.shows, ...named, ...(r.promisedFor === undefined ? [] : [r.promisedFor])]
        .filter((f) => !fields.has(f))
        .map((f) => ({ code: "unknown-field", about: `${r.key}: ${f}` }));
    }
    if (r.kind === "reference") {
      const roles = body.sections.find((s) => s.core === "referees")?.fields.find((f) => f.key === "role")?.options;
      const known = r.role === "any" || (roles ?? []).some((o) => o.value === r.role);
      return known ? [] : [{ code: "unknown-role", about: `${r.key}: ${r.role}` }];
    }
    if (r.kind === "deed")
      return r.neededBy === "submission" || r.toSubmit ? [{ code: "deed-too-early", about: r.key }] : [];
    if (r.kind === "fee")
      return body.fees.some((f) => f.key === r.item) ? [] : [{ code: "unknown-fee", about: `${r.key}: ${r.item}` }];
    return [];
  });
  const empty: readonly RulebookProblem[] =
    body.sections.length === 0 || body.requirements.length === 0 ? [{ code: "nothing-asked", about: "" }] : [];
  return [
    ...empty,
    ...unknown,
    ...tooEarly,
    ...body.measures.flatMap((m) => measureProblems(m, facts)),
    ...requirements,
    ...missingTexts(body),
    ...body.sections.flatMap((s) =>
      s.fields
        .filter((f) => f.keptBy?.link !== undefined && keeperLink(f.keptBy) === null)
        .map((f): RulebookProblem => ({ code: "keeper-link", about: `${s.key}.${f.key}` })),
    ),
    ...asksItself(body),
    ...comparesNothing(body),
    ...coreProblems(body),
    ...declarationProblems(body),
    ...governingProblems(body),
    ...withoutOptions(body),
    ...paperProblems(body),
    ...registryProblems(body),
    ...impossible(body),
    ...duplicates(body.sections.map((s) => s.key)),
    ...duplicates(body.requirements.map((r) => r.key)),
    ...duplicates(body.entryRules.map((r) => r.key)),
    ...duplicates(body.measures.map((m) => m.key)),
    ...duplicates(body.fees.map((f) => f.key)),
  ];
}
