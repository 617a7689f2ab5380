import type { Condition, Limit } from "../rules/condition";
import { listOf } from "./conditions";
import type { Requirement } from "./requirement";
import type { Measure, RulebookBody } from "./rulebook";
import { type Field, factName, linkedFields, type Section } from "./section";

/** How facts are called anew: by their whole names, fields of lists as `list.field`. What is not in it keeps its name. */
type Renaming = (fact: string) => string;

function inLimit<L extends Limit | undefined>(limit: L, renaming: Renaming): L {
  return typeof limit === "object" && !Array.isArray(limit) ? { ...limit, fact: renaming(limit.fact) } : limit;
}

/** @param list the list whose entries are looked at */
function inCondition(condition: Condition, list: string | null, renaming: Renaming): Condition {
  const own = (c: Condition) => inCondition(c, list, renaming);
  switch (condition.op) {
    case "all":
    case "any":
    case "atLeast":
      return { ...condition, of: condition.of.map(own) };
    case "not":
      return { ...condition, of: own(condition.of) };
    case "fact":
      return {
        ...condition,
        fact: factIn(condition.fact, list, renaming),
        ...(condition.value === undefined ? {} : { value: inLimit(condition.value, renaming) }),
      };
    case "some":
      return {
        ...condition,
        list: renaming(condition.list),
        where: inCondition(condition.where, condition.list, renaming),
      };
    case "count":
    case "sum": {
      const { list: name, where } = condition;
      const same = {
        list: renaming(name),
        value: inLimit(condition.value, renaming),
        ...(where ? { where: inCondition(where, name, renaming) } : {}),
      };
      return condition.op === "count"
        ? { ...condition, ...same }
        : { ...condition, ...same, field: fieldIn(condition.field, name, renaming) };
    }
  }
}

const fieldIn = (field: string, list: string, renaming: Renaming): string => {
  const name = renaming(`${list}.${field}`);
  const [, ...rest] = name.slice(renaming(list).length).split(".");
  return rest.join(".");
};

const factIn = (fact: string, list: string | null, renaming: Renaming): string =>
  fact.startsWith("it.") && list !== null ? `it.${fieldIn(fact.slice(3), list, renaming)}` : renaming(fact);

/** Every condition and every fact that a rulebook names, called anew. */
function withFacts(body: RulebookBody, renaming: Renaming): RulebookBody {
  const maybe = (condition: Condition | undefined, list: string | null) =>
    condition && inCondition(condition, list, renaming);
  const when = <T extends { readonly when?: Condition | undefined }>(item: T, list: string | null): T =>
    item.when === undefined ? item : { ...item, when: maybe(item.when, list) };
  const section = (s: Section): Section => ({
    ...when(s, null),
    fields: s.fields.map((f) => when(f, factName(s))),
    ...(s.fromRegistry
      ? {
          fromRegistry: {
            ...s.fromRegistry,
            list: renaming(s.fromRegistry.list),
            where: inCondition(s.fromRegistry.where, s.fromRegistry.list, renaming),
          },
        }
      : {}),
  });
  const requirement = (r: Requirement): Requirement => {
    const list = listOf(r, body);
    if (r.kind !== "document") return when(r, null);
    return {
      ...when(r, list),
      ...(r.promise ? { promise: inCondition(r.promise, list, renaming) } : {}),
      checks: r.checks.map((c) => ({ ...c, rule: inCondition(c.rule, list, renaming) })),
    };
  };
  const measure = (m: Measure): Measure => {
    switch (m.kind) {
      case "span":
        return { ...m, list: renaming(m.list), ...(m.where ? { where: inCondition(m.where, m.list, renaming) } : {}) };
      case "ruling":
        return { ...m, of: renaming(m.of), ...(m.where ? { where: inCondition(m.where, m.of, renaming) } : {}) };
      case "grade":
      case "studyMonths":
        return { ...m, degree: inCondition(m.degree, "degrees", renaming) };
      case "age":
        return { ...m, of: renaming(m.of) };
      case "level":
        return m.stated === undefined ? m : { ...m, stated: renaming(m.stated) };
      case "proof":
        return m;
    }
  };
  return {
    ...body,
    sections: body.sections.map(section),
    requirements: body.requirements.map(requirement),
    measures: body.measures.map(measure),
    entryRules: body.entryRules.map((r) => ({
      ...r,
      rule: inCondition(r.rule, null, renaming),
      curable: r.curable && { ...r.curable, possible: inCondition(r.curable.possible, null, renaming) },
    })),
    fees: body.fees.map((f) => ({
      ...when(f, null),
      ...(f.reductions
        ? { reductions: f.reductions.map((r) => ({ ...r, when: inCondition(r.when, null, renaming) })) }
        : {}),
    })),
  };
}

/** One name, and all below it. */
const under =
  (before: string, after: string): Renaming =>
  (name) =>
    name === before || name.startsWith(`${before}.`) ? after + name.slice(before.length) : name;

/** Places of fields (`section.field`), and sections, as requirements and fields name them. */
function withPlaces(body: RulebookBody, place: Renaming): RulebookBody {
  return {
    ...body,
    sections: body.sections.map((s) => ({
      ...s,
      fields: s.fields.map((f) => ({
        ...f,
        ...(f.sameAs ? { sameAs: place(f.sameAs) } : {}),
        ...(f.of ? { of: place(f.of) } : {}),
      })),
    })),
    requirements: body.requirements.map((r) => {
      if (r.kind === "sections") return { ...r, sections: r.sections.map(place) };
      if (r.kind !== "document") return r;
      return {
        ...r,
        shows: r.shows.map(place),
        ...(r.perEntryOf ? { perEntryOf: place(r.perEntryOf) } : {}),
        ...(r.promisedFor ? { promisedFor: place(r.promisedFor) } : {}),
        ...(r.signedBy ? { signedBy: { ...r.signedBy, section: place(r.signedBy.section) } } : {}),
      };
    }),
  };
}

/** A section by another short name, with everything that names it. */
export function renameSection(body: RulebookBody, index: number, key: string): RulebookBody {
  const section = body.sections[index];
  if (!section || body.sections.some((s) => s.key === key)) return body;
  const renamed = { ...section, key };
  const carried = withPlaces(withFacts(body, under(factName(section), factName(renamed))), under(section.key, key));
  return { ...carried, sections: carried.sections.map((s, i) => (i === index ? { ...s, key } : s)) };
}

/** Every name under which rules read a field: its own, and that of entries which lead to it. */
const factsOf = (body: RulebookBody, section: Section, field: string): readonly string[] => [
  `${factName(section)}.${field}`,
  ...body.sections.flatMap((s) =>
    linkedFields(s, body.sections)
      .filter((r) => r.section.key === section.key && r.field.key === field)
      .map((r) => `${factName(s)}.${r.name}`),
  ),
];

/** A field by another short name, with everything that names it. */
export function renameField(body: RulebookBody, index: number, field: string, key: string): RulebookBody {
  const section = body.sections[index];
  if (!section || section.fields.some((f) => f.key === key)) return body;
  const names = factsOf(body, section, field);
  const renaming: Renaming = (name) =>
    names.includes(name)
      ? `${name.slice(0, name.length - field.length)}${key}`
      : under(`${factName(section)}.${field}`, `${factName(section)}.${key}`)(name);
  const carried = withPlaces(withFacts(body, renaming), under(`${section.key}.${field}`, `${section.key}.${key}`));
  const own = (f: Field): Field => ({
    ...f,
    ...(f.key === field ? { key } : {}),
    ...(f.numberOf === field ? { numberOf: key } : {}),
    ...(f.once?.within === field ? { once: { ...f.once, within: key } } : {}),
  });
  return {
    ...carried,
    sections: carried.sections.map((s, i) => {
      if (i !== index) return s;
      const by = s.fromRegistry?.by === field ? { fromRegistry: { ...s.fromRegistry, by: key } } : {};
      return { ...s, ...by, fields: s.fields.map(own) };
    }),
  };
}

/** A computed value by another short name, with every rule that reads it. */
export function renameMeasure(body: RulebookBody, index: number, key: string): RulebookBody {
  const measure = body.measures[index];
  if (!measure || body.measures.some((m) => m.key === key)) return body;
  const carried = withFacts(body, under(`measure.${measure.key}`, `measure.${key}`));
  return { ...carried, measures: carried.measures.map((m, i) => (i === index ? { ...m, key } : m)) };
}

/** A requirement by another short name, with every rule that reads how it was settled. */
export function renameRequirement(body: RulebookBody, index: number, key: string): RulebookBody {
  const requirement = body.requirements[index];
  if (!requirement || body.requirements.some((r) => r.key === key)) return body;
  const carried = withFacts(body, under(`requirement.${requirement.key}`, `requirement.${key}`));
  return { ...carried, requirements: carried.requirements.map((r, i) => (i === index ? { ...r, key } : r)) };
}

/** A fee by another short name, with every requirement that asks for it. */
export function renameFee(body: RulebookBody, index: number, key: string): RulebookBody {
  const fee = body.fees[index];
  if (!fee || body.fees.some((f) => f.key === key)) return body;
  return {
    ...body,
    requirements: body.requirements.map((r) => (r.kind === "fee" && r.item === fee.key ? { ...r, item: key } : r)),
    fees: body.fees.map((f, i) => (i === index ? { ...f, key } : f)),
  };
}
