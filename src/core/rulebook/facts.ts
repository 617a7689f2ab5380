import { CEFR } from "../rules/compare";
import type { Comparison } from "../rules/condition";
import { SPAN_DAYS } from "./day-names";
import type { Standing } from "./requirement";
import type { RulebookBody } from "./rulebook";
import { type Field, type FieldKind, factName, linkedFields, type Section } from "./section";

/**
 * The facts that a rule of this rulebook may read, each with its type, so that a builder offers only what exists and only
 * comparisons that can be judged.
 */
export type FactType = "text" | "number" | "date" | "yesNo" | "pick" | "picks" | "level";

export interface KnownFact {
  /** `person.birthDate`; inside a list `it.level`. */
  readonly name: string;
  readonly type: FactType;
  /** The title that the rulebook gives it; null for facts that everybody has. */
  readonly title: string | null;
  /** The title of the section that asks for it; null for what is worked out, and for what everybody has. */
  readonly section: string | null;
  readonly options: readonly { readonly value: string; readonly title: string }[];
  /** Where the values come from when they are no options: `country`, `language`, `area`, `scale`, `test`, `paper`, `graduateOf`. */
  readonly register: FieldKind | null;
}

export interface KnownList {
  readonly name: string;
  readonly title: string;
  readonly facts: readonly KnownFact[];
}

export interface KnownFacts {
  readonly scalars: readonly KnownFact[];
  /** How requirements were settled: for entry rules alone, which are read after them. */
  readonly standings: readonly KnownFact[];
  readonly lists: readonly KnownList[];
}

const TYPES: Readonly<Partial<Record<FieldKind, FactType>>> = {
  date: "date",
  yesNo: "yesNo",
  agree: "yesNo",
  whole: "number",
  decimal: "number",
  money: "number",
  choice: "pick",
  country: "pick",
  language: "pick",
  area: "pick",
  scale: "pick",
  test: "pick",
  paper: "pick",
  graduateOf: "pick",
  countries: "picks",
  several: "picks",
  ranked: "picks",
};

const REGISTERS: readonly FieldKind[] = [
  "country",
  "countries",
  "language",
  "area",
  "scale",
  "test",
  "paper",
  "graduateOf",
];
/** Values that never become facts. */
const NO_FACTS: readonly FieldKind[] = ["scores", "address", "links"];

/** A pick whose options are all whole numbers (levels of a degree) is compared as a number, too. */
function typeOf(field: Field): FactType {
  const type = TYPES[field.kind] ?? "text";
  const numbers = field.options && field.options.length > 0 && field.options.every((o) => /^\d+$/u.test(o.value));
  return type === "pick" && numbers ? "number" : type;
}

function factOf(field: Field, name: string, section: Section): readonly KnownFact[] {
  if (field.seenBy !== "assessment" || NO_FACTS.includes(field.kind)) return [];
  return [
    {
      name,
      type: typeOf(field),
      title: field.title.en,
      section: section.title.en,
      options: (field.options ?? []).map((o) => ({ value: o.value, title: o.title.en })),
      register: REGISTERS.includes(field.kind) ? field.kind : null,
    },
  ];
}

const given = (name: string, type: FactType, options: readonly string[] = []): KnownFact => ({
  name,
  type,
  title: null,
  section: null,
  options: options.map((value) => ({ value, title: value })),
  register: null,
});

const STANDING = "requirement.";

/** The key of the requirement of whose standing a fact speaks; null for any other fact. */
export const standingFactOf = (name: string): string | null =>
  name.startsWith(STANDING) ? name.slice(STANDING.length) : null;

/** How a requirement may have been settled. */
export const SETTLED = ["accepted", "excused", "not needed"] as const satisfies readonly Standing[];

export const standingFactsOf = (body: RulebookBody): readonly KnownFact[] =>
  body.requirements.map((r) => ({
    ...given(`${STANDING}${r.key}`, "pick", SETTLED),
    title: r.title.en,
  }));

/** The fact that is the first of a ranking. */
export const firstOf = (ranking: string): string => `${ranking}.first`;

/** What was ranked first, besides the ranking itself. */
function firstFacts(field: Field, name: string, section: Section): readonly KnownFact[] {
  if (field.kind !== "ranked") return [];
  return factOf(field, firstOf(name), section).map((fact) => ({
    ...fact,
    type: "pick",
    title: `${field.title.en}: the first`,
  }));
}

const MEASURE_TYPES = {
  grade: "number",
  level: "level",
  proof: "yesNo",
  studyMonths: "number",
  span: "number",
  ruling: "yesNo",
  age: "number",
} as const;

/** @param groups the keys of the office's applicant groups */
export function knownFacts(body: RulebookBody, groups: readonly string[]): KnownFacts {
  const scalars = body.sections
    .filter((s) => !s.repeats)
    .flatMap((s) =>
      s.fields.flatMap((f) => {
        const name = `${factName(s)}.${f.key}`;
        return [...factOf(f, name, s), ...firstFacts(f, name, s)];
      }),
    );
  const measures = body.measures.map(
    (m): KnownFact => ({
      name: `measure.${m.key}`,
      type: MEASURE_TYPES[m.kind],
      title: m.title.en,
      section: null,
      options: m.kind === "level" ? CEFR.map((value) => ({ value, title: value })) : [],
      register: null,
    }),
  );
  const lists = body.sections
    .filter((s) => s.repeats)
    .map((s): KnownList => {
      const facts = s.fields.flatMap((f) => factOf(f, `it.${f.key}`, s));
      const ects = s.core === "courses" ? [{ ...given("it.ects", "number"), title: "ECTS" }] : [];
      const reached = linkedFields(s, body.sections).flatMap((r) =>
        factOf(r.field, `it.${r.name}`, r.section).map((f) => ({
          ...f,
          title: `${r.by.title.en}: ${r.field.title.en}`,
        })),
      );
      return { name: factName(s), title: s.title.en, facts: [...facts, ...ects, ...reached] };
    });
  return {
    scalars: [
      ...measures,
      ...scalars,
      given("group", "pick", groups),
      ...SPAN_DAYS.map((day) => given(day, "date")),
      { ...given("choice.language", "pick"), register: "language" },
      given("choice.campus", "text"),
      given("choice.mode", "pick", ["full time", "part time"]),
      given("choice.track", "text"),
      given("choice.tracks", "picks"),
      given("choice.rank", "number"),
      given("choice.answer", "pick", ["accepted", "declined"]),
    ],
    standings: standingFactsOf(body),
    lists,
  };
}

/** The facts that a rule for applicant groups may read: what is stated outside lists, not what follows from the group or the choice. */
export function factsForGroups(body: RulebookBody): readonly KnownFact[] {
  return knownFacts(body, []).scalars.filter((f) =>
    /^(?!measure\.|choice\.|(group|closing|submission)$)/u.test(f.name),
  );
}

const ORDERED: readonly Comparison[] = ["atLeast", "atMost", "over", "under", "equals", "differs", "known"];
const COMPARISONS_OF: Readonly<Record<FactType, readonly Comparison[]>> = {
  text: ["equals", "differs", "known"],
  number: ORDERED,
  date: ORDERED,
  level: ORDERED,
  yesNo: ["equals", "known"],
  pick: ["equals", "differs", "oneOf", "known"],
  picks: ["includesOneOf", "known"],
};

/** The comparisons that can be judged for a fact of a type. */
export function comparisonsFor(type: FactType): readonly Comparison[] {
  return COMPARISONS_OF[type];
}
