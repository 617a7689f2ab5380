import type { Condition, Limit } from "../rules/condition";
import { allAmounts } from "./fee-item";
import type { AreaKey } from "./parts";
import type { Requirement } from "./requirement";
import type { Measure, RulebookBody } from "./rulebook";
import { type FieldKind, factName, linkedFields, NO_LISTED } from "./section";

export interface PlacedCondition {
  /** The key of the part in which it stands. */
  readonly where: string;
  readonly area: AreaKey;
  /** The list whose entries it looks at, if it stands in one. */
  readonly list: string | null;
  readonly condition: Condition;
}

/** The list of whose entries the conditions of a requirement speak; null where it is asked for once. */
export function listOf(requirement: Requirement, { sections }: Pick<RulebookBody, "sections">): string | null {
  const of = requirement.kind === "document" ? requirement.perEntryOf : undefined;
  const section = sections.find((s) => s.key === of);
  return section ? factName(section) : null;
}

/** Every condition of a rulebook with its place. */
export function conditionsOf(body: RulebookBody): readonly PlacedCondition[] {
  const inArea =
    (area: AreaKey) =>
    (where: string, condition: Condition | undefined, list: string | null = null): readonly PlacedCondition[] =>
      condition ? [{ where, area, list, condition }] : [];
  const [ofSection, ofRequirement, ofRule, ofMeasure, ofFee] = [
    inArea("sections"),
    inArea("requirements"),
    inArea("entryRules"),
    inArea("measures"),
    inArea("fees"),
  ];
  return [
    ...body.sections.flatMap((s) => [
      ...ofSection(s.key, s.when),
      ...ofSection(s.key, s.fromRegistry?.where, s.fromRegistry?.list),
      ...s.fields.flatMap((f) => ofSection(`${s.key}.${f.key}`, f.when, factName(s))),
    ]),
    ...body.requirements.flatMap((r) => {
      const list = listOf(r, body);
      if (r.kind !== "document") return ofRequirement(r.key, r.when);
      return [
        ...ofRequirement(r.key, r.when, list),
        ...ofRequirement(r.key, r.promise, list),
        ...r.checks.flatMap((c) => ofRequirement(`${r.key}.${c.key}`, c.rule, list)),
      ];
    }),
    ...body.entryRules.flatMap((r) => [...ofRule(r.key, r.rule), ...ofRule(r.key, r.curable?.possible)]),
    ...body.measures.flatMap((m) => {
      if (m.kind === "level" || m.kind === "proof" || m.kind === "age") return [];
      if (m.kind === "span") return ofMeasure(m.key, m.where, m.list);
      return m.kind === "ruling" ? ofMeasure(m.key, m.where, m.of) : ofMeasure(m.key, m.degree, "degrees");
    }),
    ...body.fees.flatMap((f) => [
      ...ofFee(f.key, f.when),
      ...(f.reductions ?? []).flatMap((r) => ofFee(f.key, r.when)),
    ]),
  ];
}

interface Compared {
  /** `group`, or `list.field` inside a list. */
  readonly fact: string;
  readonly limit: Limit | undefined;
}

function compared(condition: Condition, list: string | null): readonly Compared[] {
  switch (condition.op) {
    case "all":
    case "any":
    case "atLeast":
      return condition.of.flatMap((c) => compared(c, list));
    case "not":
      return compared(condition.of, list);
    case "fact": {
      const own = condition.fact.startsWith("it.") && list !== null;
      return [{ fact: own ? `${list}.${condition.fact.slice(3)}` : condition.fact, limit: condition.value }];
    }
    case "some":
    case "count":
    case "sum":
      return condition.where ? compared(condition.where, condition.list) : [];
  }
}

const scalesOf = (m: Measure): readonly string[] =>
  m.kind === "grade" && m.method?.kind === "bands" ? m.method.tables.map((t) => t.scale) : [];

function testsOf(m: Measure): readonly string[] {
  if (m.kind === "level") return m.tests;
  return m.kind === "proof" ? m.minimums.map((minimum) => minimum.test) : [];
}

/** The tests whose results some computed value counts; none where a rulebook counts no tests. */
export const testsCounted = (body: RulebookBody): readonly string[] => body.measures.flatMap(testsOf);

/** What a rulebook names of the office's reference set: none of it may go away while the rulebook is used. */
export function namedInRulebook(
  body: RulebookBody,
): Readonly<
  Record<"groups" | "areas" | "scales" | "tests" | "entitlements" | "papers" | "graduates", readonly string[]>
> {
  const kinds = new Map<string, FieldKind>(
    body.sections.flatMap((s) => [
      ...s.fields.map((f) => [`${factName(s)}.${f.key}`, f.kind] as const),
      ...linkedFields(s, body.sections).map((r) => [`${factName(s)}.${r.name}`, r.field.kind] as const),
    ]),
  );
  const all = conditionsOf(body).flatMap(({ condition, list }) => compared(condition, list));
  const values = (fits: (fact: string) => boolean): readonly string[] =>
    all
      .filter((c) => fits(c.fact))
      .flatMap(({ limit }) => (typeof limit === "string" ? [limit] : Array.isArray(limit) ? limit : []));
  const ofKind = (kind: FieldKind) =>
    values((fact) => kinds.get(fact) === kind).filter((v) => v !== "other" || kind !== "scale");
  const marked = body.sections.flatMap((s) =>
    s.fields.flatMap((f) => (f.options ?? []).flatMap((o) => o.scales ?? [])),
  );
  const counting = body.sections.flatMap((s) => s.fields.flatMap((f) => f.papers ?? []));
  return {
    groups: [
      ...counting.flatMap((p) => p.groups ?? []),
      ...values((fact) => fact === "group"),
      ...body.fees.flatMap((f) => allAmounts(f).flatMap((amounts) => amounts.map((a) => a.group))),
    ],
    areas: [...ofKind("area"), ...body.measures.flatMap((m) => (m.kind === "grade" ? (m.areas ?? []) : []))],
    scales: [...ofKind("scale"), ...marked, ...body.measures.flatMap(scalesOf)],
    tests: [...ofKind("test"), ...testsCounted(body)],
    graduates: ofKind("graduateOf").filter((v) => v !== NO_LISTED),
    papers: [...ofKind("paper"), ...counting.map((p) => p.key)],
    entitlements: body.measures.flatMap((m) => (m.kind === "ruling" && m.entitlement ? [m.entitlement] : [])),
  };
}
