import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { vectorsOf } from "../../../tests/support/vectors";
import { parseDecimal, whole } from "../numbers/ratio";
import { compareFact, readyLimit } from "./compare";
import type { Condition } from "./condition";
import { evaluate, judge } from "./evaluate";
import { entryOf, type Fact, type FactList, type FactSource, UNKNOWN } from "./fact";
import { leafOf } from "./trace";
import type { Truth } from "./truth";

type VectorFact = "met" | "not_met" | [number, number];
type VectorRule =
  | { all: VectorRule[] }
  | { any: VectorRule[] }
  | { not: VectorRule }
  | { atLeast: number; of: VectorRule[] }
  | { fact: string; cmp?: string; value?: number };

function toCondition(rule: VectorRule): Condition {
  if ("all" in rule) return { op: "all", of: rule.all.map(toCondition) };
  if ("any" in rule) return { op: "any", of: rule.any.map(toCondition) };
  if ("not" in rule) return { op: "not", of: toCondition(rule.not) };
  if ("atLeast" in rule) return { op: "atLeast", count: rule.atLeast, of: rule.of.map(toCondition) };
  return rule.cmp
    ? { op: "fact", fact: rule.fact, is: rule.cmp === ">=" ? "atLeast" : "atMost", value: rule.value ?? 0 }
    : { op: "fact", fact: rule.fact, is: "equals", value: true };
}

function source(
  facts: Readonly<Record<string, VectorFact>>,
  lists: Readonly<Record<string, FactList>> = {},
): FactSource {
  const scalar = (name: string): Fact => {
    const value = facts[name];
    if (value === undefined) return UNKNOWN;
    return Array.isArray(value)
      ? { kind: "range", low: whole(value[0]), high: whole(value[1]), confirmed: true }
      : { kind: "value", value: value === "met", confirmed: true };
  };
  return { scalar, list: (name) => lists[name] ?? { entries: [], open: true } };
}

const TRUTHS: Readonly<Record<string, Truth>> = { met: "met", not_met: "not met", unknown: "open" };

describe("three-valued rules", () => {
  it.each(vectorsOf<{ rule: VectorRule; facts: Record<string, VectorFact> }, string>("rule"))(
    "%s",
    (_, { input, expected }) => {
      expect(evaluate(toCondition(input.rule), source(input.facts)).truth).toBe(TRUTHS[expected]);
    },
  );

  const leaves = ["a", "b", "c", "d"];
  const rules = fc.letrec<{ rule: VectorRule }>((tie) => ({
    rule: fc.oneof(
      { depthSize: "small" },
      fc.constantFrom(...leaves).map((fact) => ({ fact })),
      fc.array(tie("rule"), { maxLength: 3 }).map((all) => ({ all })),
      fc.array(tie("rule"), { maxLength: 3 }).map((any) => ({ any })),
      tie("rule").map((not) => ({ not })),
      fc.tuple(fc.nat(4), fc.array(tie("rule"), { maxLength: 4 })).map(([atLeast, of]) => ({ atLeast, of })),
    ),
  })).rule;
  const some = fc.dictionary(fc.constantFrom(...leaves), fc.constantFrom<VectorFact>("met", "not_met"));

  it("never turn a met or unmet result round when an open fact becomes known", () => {
    fc.assert(
      fc.property(rules, some, some, (rule, known, more) => {
        const before = evaluate(toCondition(rule), source(known)).truth;
        const after = evaluate(toCondition(rule), source({ ...more, ...known })).truth;
        return before === "open" || before === after;
      }),
      { numRuns: 2000 },
    );
  });

  it("come out the same with a trace and without", () => {
    fc.assert(
      fc.property(rules, some, (rule, known) => {
        const { truth, confirmed } = evaluate(toCondition(rule), source(known));
        expect(judge(toCondition(rule), source(known))).toEqual({ truth, confirmed });
      }),
      { numRuns: 1000 },
    );
  });

  it("come out the same whether a list is counted without traces or looked through with them", () => {
    const ofEntry = (condition: Condition): Condition =>
      JSON.parse(JSON.stringify(condition).replaceAll('"fact":"', '"fact":"it.')) as Condition;
    fc.assert(
      fc.property(rules, fc.array(some, { maxLength: 3 }), (rule, entries) => {
        const list: FactList = {
          open: false,
          entries: entries.map((facts, i) =>
            entryOf(String(i), Object.fromEntries(leaves.map((l) => [l, source(facts).scalar(l)]))),
          ),
        };
        const facts = source({}, { things: list });
        const where = ofEntry(toCondition(rule));
        return (
          evaluate({ op: "count", list: "things", where, is: "atLeast", value: 1 }, facts).truth ===
          evaluate({ op: "some", list: "things", where }, facts).truth
        );
      }),
      { numRuns: 1000 },
    );
  });

  it("decide everything once every fact is known", () => {
    fc.assert(
      fc.property(
        rules,
        (rule) =>
          evaluate(toCondition(rule), source(Object.fromEntries(leaves.map((l) => [l, "met"])))).truth !== "open",
      ),
    );
  });
});

describe("lists", () => {
  const entry = (id: string, area: string, credits: string, confirmed = true) =>
    entryOf(id, {
      area: { kind: "value", value: area, confirmed },
      ects: { kind: "value", value: parseDecimal(credits) ?? whole(0), confirmed },
    });
  const natural: Condition = { op: "fact", fact: "it.area", is: "equals", value: "natural" };
  const atLeast = (value: number): Condition => ({
    op: "sum",
    list: "courses",
    field: "ects",
    where: natural,
    is: "atLeast",
    value,
  });
  const list = (open: boolean): FactSource =>
    source(
      {},
      {
        courses: {
          open,
          entries: [entry("1", "natural", "7.5"), entry("2", "natural", "12.5"), entry("3", "other", "30")],
        },
      },
    );

  it.each([
    [20, true, "met"],
    [20.5, true, "open"],
    [20, false, "met"],
    [20.5, false, "not met"],
  ] as const)("a sum of 20 against %d while the list is open (%s) is %s", (limit, open, truth) =>
    expect(evaluate(atLeast(limit), list(open)).truth).toBe(truth),
  );

  it("say how many entries took part and what they add up to", () => {
    expect(leafOf(evaluate(atLeast(20), list(false)))).toMatchObject({
      fact: "courses.ects",
      seen: "20",
      limit: "20",
      entries: 2,
      open: false,
    });
  });

  it("with an entry whose area is unknown are open only where it could matter", () => {
    const unsure: FactSource = source(
      {},
      {
        courses: {
          open: false,
          entries: [
            entry("1", "natural", "15"),
            entryOf("2", { ects: { kind: "value", value: whole(4), confirmed: true }, area: UNKNOWN }),
          ],
        },
      },
    );
    expect([15, 18, 20].map((limit) => evaluate(atLeast(limit), unsure).truth)).toEqual(["met", "open", "not met"]);
  });

  it("without a hit are open while they may still grow", () => {
    const rule: Condition = {
      op: "some",
      list: "courses",
      where: { op: "fact", fact: "it.area", is: "equals", value: "engineering" },
    };
    expect([evaluate(rule, list(true)).truth, evaluate(rule, list(false)).truth]).toEqual(["open", "not met"]);
  });

  it("say of each entry whether it fits", () => {
    const rule: Condition = {
      op: "some",
      list: "courses",
      where: { op: "fact", fact: "it.area", is: "equals", value: "natural" },
    };
    const seen = source(
      {},
      { courses: { open: false, entries: [entry("1", "natural", "10"), entry("2", "social", "10")] } },
    );
    expect(evaluate(rule, seen)).toMatchObject({
      op: "some",
      entries: [
        { entry: "1", truth: "met" },
        { entry: "2", truth: "not met" },
      ],
    });
  });

  it("stand on claims as soon as one entry that took part is only claimed", () => {
    const mixed = source(
      {},
      { courses: { open: false, entries: [entry("1", "natural", "10"), entry("2", "natural", "10", false)] } },
    );
    expect(evaluate(atLeast(15), mixed).confirmed).toBe(false);
  });
});

describe("lists that are kept by their fields", () => {
  const FIELDS = { area: ["natural", "social", null], code: ["natural", "2026-01-01", null], ects: ["5", "7.5", null] };
  type Row = Readonly<Record<keyof typeof FIELDS, string | null>>;
  const factOf = (field: string, value: string | null, confirmed: boolean): Fact => {
    if (value === null) return UNKNOWN;
    return { kind: "value", value: field === "ects" ? (parseDecimal(value) ?? whole(0)) : value, confirmed };
  };
  const row = fc.record({
    area: fc.constantFrom(...FIELDS.area),
    code: fc.constantFrom(...FIELDS.code),
    ects: fc.constantFrom(...FIELDS.ects),
  });
  const test = fc.oneof(
    fc.record({
      op: fc.constant("fact"),
      fact: fc.constantFrom("it.area", "it.code"),
      is: fc.constantFrom("equals", "differs", "atLeast"),
      value: fc.oneof(
        fc.constantFrom("natural", "social", "2026-01-01", 5),
        fc.record({ fact: fc.constantFrom("wanted", "nothing") }),
      ),
    }),
    fc.record({
      op: fc.constant("fact"),
      fact: fc.constant("wanted"),
      is: fc.constant("equals"),
      value: fc.constant("natural"),
    }),
  );
  const where = fc.oneof(
    test,
    fc.record({ op: fc.constant("all"), of: fc.array(test, { maxLength: 3 }) }),
    fc.record({ op: fc.constant("any"), of: fc.array(test, { maxLength: 3 }) }),
    fc.record({ op: fc.constant("not"), of: test }),
  );
  const rule = fc.oneof(
    fc.record({ op: fc.constant("some"), list: fc.constant("courses"), where }),
    fc.record({
      op: fc.constant("count"),
      list: fc.constant("courses"),
      where,
      is: fc.constant("atLeast"),
      value: fc.nat(3),
    }),
    fc.record({
      op: fc.constant("sum"),
      list: fc.constant("courses"),
      field: fc.constant("ects"),
      where,
      is: fc.constant("atLeast"),
      value: fc.nat(20),
    }),
  ) as fc.Arbitrary<Condition>;
  const listOf = (rows: readonly (Row & { confirmed: boolean })[], byField: boolean): FactList => {
    const at = (r: (typeof rows)[number], field: string) => factOf(field, r[field as keyof Row] ?? null, r.confirmed);
    const entries = rows.map((r, i) => ({ id: String(i), at: (field: string) => at(r, field) }));
    return byField
      ? { entries, open: false, judged: new Map(), column: (field) => rows.map((r) => at(r, field)) }
      : { entries, open: false };
  };
  const confirmedRow = fc.tuple(row, fc.boolean()).map(([r, confirmed]) => ({ ...r, confirmed }));

  it("find for rules one after the other, under any fact beside them, what lists of entries find", () => {
    const files = fc.record({
      rows: fc.array(confirmedRow, { maxLength: 4 }),
      rules: fc.array(rule, { minLength: 1, maxLength: 5 }),
      wanted: fc.array(fc.constantFrom("natural", "social", "2026-01-01"), { minLength: 1, maxLength: 3 }),
    });
    fc.assert(
      fc.property(files, ({ rows, rules, wanted }) => {
        const [byEntry, byField] = [listOf(rows, false), listOf(rows, true)];
        for (const value of wanted)
          for (const condition of rules) {
            const facts = (list: FactList): FactSource => ({
              scalar: (name) => (name === "wanted" ? { kind: "value", value, confirmed: true } : UNKNOWN),
              list: () => list,
            });
            expect(evaluate(condition, facts(byField))).toEqual(evaluate(condition, facts(byEntry)));
            expect(judge(condition, facts(byField))).toEqual(judge(condition, facts(byEntry)));
          }
      }),
      { numRuns: 500 },
    );
  });
});

describe("comparisons", () => {
  const value = (v: string): Fact => ({ kind: "value", value: v, confirmed: true });
  it.each([
    ["B2+", "atLeast", "B2", "met"],
    ["B2", "atLeast", "B2+", "not met"],
    ["C1", "atLeast", "B2", "met"],
    ["2027-11-30", "atLeast", "2027-12-01", "not met"],
    ["2027-12-01", "atLeast", "2027-12-01", "met"],
    ["9.50", "equals", "9.5", "not met"],
    ["10", "over", "9.99", "met"],
    ["abc", "over", "1", "open"],
  ] as const)("%s %s %s: %s", (seen, is, limit, truth) =>
    expect(compareFact(value(seen), is, readyLimit(limit))).toBe(truth),
  );

  it("leave a shortfall open while a better value may still come", () => {
    expect(
      compareFact({ kind: "value", value: "B2", confirmed: true, mayRise: true }, "atLeast", readyLimit("C1")),
    ).toBe("open");
  });

  it.each([
    [1e21, "open"],
    [-1e300, "open"],
    [2 ** 53, "not met"],
  ] as const)("a limit too large to be a safe integer, %d, breaks nothing: %s", (value, expected) => {
    const facts: FactSource = {
      scalar: () => ({ kind: "value", value: whole(3), confirmed: true }),
      list: () => ({ entries: [], open: false }),
    };
    expect(evaluate({ op: "fact", fact: "credits", is: "atLeast", value }, facts).truth).toBe(expected);
  });

  it.each<readonly [string, readonly string[] | null, string | null, Truth]>([
    ["one of them is where somebody lives", ["SR", "IE"], "IE", "met"],
    ["none is", ["SR"], "IE", "not met"],
    ["it is not said where", ["SR"], null, "open"],
    ["it is not said which", null, "IE", "open"],
  ])("a list held against another fact: %s", (_, citizenships, residence, expected) => {
    const fact = (value: string | readonly string[] | null): Fact =>
      value === null ? UNKNOWN : { kind: "value", value, confirmed: true };
    const facts: FactSource = {
      scalar: (name) => fact(name === "citizenships" ? citizenships : residence),
      list: () => ({ entries: [], open: false }),
    };
    const rule: Condition = { op: "fact", fact: "citizenships", is: "includesOneOf", value: { fact: "residence" } };
    expect(evaluate(rule, facts).truth).toBe(expected);
  });
});
