import { describe, expect, it } from "vitest";
import { INVENTED_TESTS } from "../../../tests/support/invented-tests";
import { vectorsOf } from "../../../tests/support/vectors";
import { referenceSet } from "../../demo/reference-set";
import { toShort, whole } from "../numbers/ratio";
import type { Measure } from "../rulebook/rulebook";
import { compareFact, readyLimit } from "../rules/compare";
import type { Condition } from "../rules/condition";
import { judge } from "../rules/evaluate";
import { entryOf, type Fact, type FactSource } from "../rules/fact";
import { makeOffice } from "../standards/reference-set";
import { addMonths, formatDay, parseDay } from "../time/day";
import { levelMeasure, monthsMeasure, proofMeasure, readSittings } from "./language";

const office = makeOffice(1, { ...referenceSet, tests: Object.values(INVENTED_TESTS) });
const given = (value: string | boolean | readonly string[] | null, confirmed = true): Fact =>
  value === null ? { kind: "unknown" } : { kind: "value", value, confirmed };
const NAMES = { met: "met", "not met": "not_met", open: "unknown" } as const;
const BEGUN = parseDay("2020-09-01") ?? 0;

interface Study {
  readonly level: string;
  readonly language: string | null;
  readonly years: number;
  readonly completed?: boolean;
}
interface Exemption {
  readonly ground:
    | { readonly kind: "study_years"; readonly language: string; readonly years: number; readonly levels: string[] }
    | { readonly kind: "citizenship"; readonly countries: string[] }
    | { readonly kind: "degree"; readonly language: string; readonly levels: string[] };
  readonly person: { readonly studies?: readonly Study[]; readonly citizenships?: readonly string[] };
}

function personFacts({ studies = [], citizenships = [] }: Exemption["person"]): FactSource {
  const entries = studies.map((s, i) =>
    entryOf(String(i), {
      level: given(s.level),
      language: given(s.language),
      status: given(s.completed === false ? "in progress" : "completed"),
      start: given(formatDay(BEGUN)),
      end: given(formatDay(addMonths(BEGUN, s.years * 12) - 1)),
    }),
  );
  return {
    scalar: (name) => (name === "citizenship.citizenships" ? given(citizenships) : { kind: "unknown" }),
    list: () => ({ entries, open: false }),
  };
}

describe("exemptions are written in the rule language", () => {
  const oneOf = (fact: string, value: string[]): Condition => ({ op: "fact", fact, is: "oneOf", value });
  it.each(vectorsOf<Exemption, string>("exemption"))("%s", (_, { input: { ground, person }, expected }) => {
    const facts = personFacts(person);
    if (ground.kind === "study_years") {
      const measure = {
        key: "m",
        kind: "studyMonths" as const,
        title: { en: "", fr: "" },
        language: ground.language,
        degree: oneOf("it.level", ground.levels),
      };
      const truth = compareFact(monthsMeasure(measure, facts), "atLeast", readyLimit(whole(ground.years * 12)));
      expect(NAMES[truth]).toBe(expected);
      return;
    }
    const rule: Condition =
      ground.kind === "citizenship"
        ? { op: "fact", fact: "citizenship.citizenships", is: "includesOneOf", value: ground.countries }
        : {
            op: "some",
            list: "degrees",
            where: {
              op: "all",
              of: [
                oneOf("it.level", ground.levels),
                { op: "fact", fact: "it.language", is: "equals", value: ground.language },
                { op: "fact", fact: "it.status", is: "equals", value: "completed" },
              ],
            },
          };
    expect(NAMES[judge(rule, facts).truth]).toBe(expected);
  });

  it("months whose language is not stated make a range", () => {
    const measure = {
      key: "m",
      kind: "studyMonths" as const,
      title: { en: "", fr: "" },
      language: "en",
      degree: { op: "all" as const, of: [] },
    };
    const fact = monthsMeasure(
      measure,
      personFacts({
        studies: [
          { level: "6", language: "en", years: 2 },
          { level: "7", language: null, years: 1 },
        ],
      }),
    );
    expect(fact.kind === "range" && [toShort(fact.low), fact.high && toShort(fact.high)]).toEqual(["24", "36"]);
  });
});

type Row = readonly [test: string, date: string, scores: Readonly<Record<string, string>>];

function sittings(rows: readonly Row[], { open = false, pending = null as string | null } = {}) {
  const all = [
    ...rows.map((r) => ({ test: r[0], date: r[1], status: "final" })),
    ...(pending ? [{ test: "norvane", date: "2027-03-01", status: "pending", expected: pending }] : []),
  ];
  const entries = all.map((row, i) =>
    entryOf(String(i), Object.fromEntries(Object.entries(row).map(([name, value]) => [name, given(value)]))),
  );
  const facts: FactSource = { scalar: () => ({ kind: "unknown" }), list: () => ({ entries, open }) };
  const scoresOf = (entry: string) => ({ value: rows[Number(entry)]?.[2] ?? null, confirmed: true });
  return { facts, taken: readSittings(facts.list("tests"), scoresOf) };
}

const days = {
  today: () => parseDay("2026-11-25") ?? 0,
  start: parseDay("2027-09-01") ?? 0,
  closing: () => parseDay("2027-01-31") ?? 0,
  submission: null,
};
const four = (L: string, R: string, W: string, S: string) => ({ L, R, W, S });
const SHORT_TWICE: readonly Row[] = [
  ["norvane", "2026-03-07", four("7", "7", "5.5", "7")],
  ["norvane", "2026-09-12", four("6", "6", "6", "6")],
];

describe("language measures", () => {
  const level = (change: Partial<Extract<Measure, { kind: "level" }>>, rows: readonly Row[], options = {}) => {
    const { facts, taken } = sittings(rows, options);
    const measure = {
      key: "l",
      kind: "level" as const,
      title: { en: "", fr: "" },
      language: "en",
      tests: ["norvane", "tessaly"],
      ...change,
    };
    const fact = levelMeasure(measure, facts, office, days, taken);
    return fact.kind === "value" ? `${String(fact.value)}${fact.mayRise ? " or more" : ""}` : fact.kind;
  };
  it.each<[string, Parameters<typeof level>, string]>([
    ["the best single sitting", [{}, SHORT_TWICE], "B2"],
    [
      "the best parts of several",
      [{ mode: "combine" }, [...SHORT_TWICE, ["norvane", "2026-10-01", four("7", "6.5", "7", "6.5")]]],
      "C1",
    ],
    ["another test", [{}, [...SHORT_TWICE, ["tessaly", "2009-05-02", four("180", "185", "175", "180")]]], "C1"],
    [
      "valid at the closing, no longer at the start",
      [{ validOn: "closing" }, [["norvane", "2025-06-01", four("7", "7", "7", "7")]]],
      "C1",
    ],
    ["no longer valid at the start", [{}, [["norvane", "2025-06-01", four("7", "7", "7", "7")]]], "pre-A1"],
    ["a result that is due in time may raise it", [{}, SHORT_TWICE, { pending: "2027-04-01" }], "B2 or more"],
    ["one that is due too late does not", [{ resultBy: "closing" }, SHORT_TWICE, { pending: "2027-04-01" }], "B2"],
    ["none yet, and more may come", [{}, [], { open: true }], "unknown"],
  ])("%s", (_, args, expected) => expect(level(...args)).toBe(expected));

  it.each([
    ["C2", { level: "C2", above: 2 }],
    ["B2", { level: "B2", above: 0 }],
    ["A1", { level: "A1", above: -3 }],
    ["B2+", null],
    ["fluent", null],
    [undefined, null],
  ])("what applicants say of themselves (%s) stands beside the result, and changes nothing", (says, expected) => {
    const { facts, taken } = sittings(SHORT_TWICE);
    const source = { ...facts, scalar: () => (says === undefined ? ({ kind: "unknown" } as const) : given(says)) };
    const measure = {
      ...{ key: "l", kind: "level" as const, title: { en: "", fr: "" }, language: "en", tests: ["norvane"] },
      stated: "answers.english.selfLevel",
    };
    expect(levelMeasure(measure, source, office, days, taken)).toMatchObject({
      value: "B2",
      detail: { stated: expected },
    });
  });

  const minimums = [
    { test: "norvane", total: "6.5", every: "6", mode: "single" as const },
    { test: "quillmark", total: "90", mode: "single" as const },
  ];
  const proof = (
    rows: readonly Row[],
    options = {},
    asked = minimums as Extract<Measure, { kind: "proof" }>["minimums"],
  ) => {
    const { facts, taken } = sittings(rows, options);
    const measure = { key: "p", kind: "proof" as const, title: { en: "", fr: "" }, minimums: asked };
    return proofMeasure(measure, facts, office, days, taken);
  };
  it("are met by one of the accepted tests", () =>
    expect(proof([...SHORT_TWICE, ["quillmark", "2026-05-01", four("23", "23", "22", "22")]])).toMatchObject({
      kind: "value",
      value: true,
      confirmed: true,
      detail: { parts: [{ test: "quillmark", total: "90", truth: "met" }] },
    }));
  it("say what is short", () =>
    expect(proof(SHORT_TWICE)).toMatchObject({
      kind: "value",
      value: false,
      detail: { parts: [{ test: "norvane", short: [{ part: "W", needed: "6", got: "5.5" }] }] },
    }));
  it("are met by the best parts where the rulebook combines them", () =>
    expect(proof(SHORT_TWICE, {}, [{ test: "norvane", total: "6.5", every: "6", mode: "combine" }])).toMatchObject({
      value: true,
      detail: { parts: [{ dates: ["2026-03-07", "2026-09-12"] }] },
    }));
  it("stay open while a result is to come, and say what there is so far", () =>
    expect(proof(SHORT_TWICE, { pending: "2027-04-01" })).toMatchObject({
      kind: "unknown",
      detail: { parts: [{ reasons: ["pending_result"], short: [{ part: "W" }] }] },
    }));
  it("are not met without any sitting, once no more can come", () => {
    expect(proof([])).toMatchObject({ kind: "value", value: false });
    expect(proof([], { open: true })).toEqual({ kind: "unknown" });
  });
});
