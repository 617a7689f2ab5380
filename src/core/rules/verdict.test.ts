import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { vectorsOf } from "../../../tests/support/vectors";
import type { Condition } from "./condition";
import { evaluate, judge } from "./evaluate";
import { type FactSource, UNKNOWN } from "./fact";
import type { LeafTrace } from "./trace";
import { becauseOf, certainTruth, waysToMeet } from "./verdict";

type VectorRule =
  | { all: VectorRule[] }
  | { any: VectorRule[] }
  | { not: VectorRule }
  | { atLeast: number; of: VectorRule[] }
  | { fact: string };
type Facts = Readonly<Record<string, "met" | "not_met">>;

function toCondition(rule: VectorRule): Condition {
  if ("all" in rule) return { op: "all", of: rule.all.map(toCondition) };
  if ("any" in rule) return { op: "any", of: rule.any.map(toCondition) };
  if ("not" in rule) return { op: "not", of: toCondition(rule.not) };
  if ("atLeast" in rule) return { op: "atLeast", count: rule.atLeast, of: rule.of.map(toCondition) };
  return { op: "fact", fact: rule.fact, is: "equals", value: true };
}

function source(facts: Facts, declared: readonly string[] = []): FactSource {
  return {
    scalar: (name) =>
      facts[name] === undefined
        ? UNKNOWN
        : { kind: "value", value: facts[name] === "met", confirmed: !declared.includes(name) },
    list: () => ({ entries: [], open: true }),
  };
}

const nameOf = ({ leaf }: LeafTrace): string => leaf.fact;
const once = (names: readonly string[]): readonly string[] => [...new Set(names)];

interface Input {
  readonly rule: VectorRule;
  readonly facts: Facts;
  readonly curable?: readonly string[];
  readonly evidence?: Readonly<Record<string, string>>;
}

/** The verdict of the worked cases, put together from what a finding says: its truth, its basis, and its ways. */
function verdictOf({ rule, facts, curable = [], evidence = {} }: Input) {
  const declared = Object.keys(evidence).filter((name) => evidence[name] === "declared");
  const trace = evaluate(toCondition(rule), source(facts, declared));
  const because = once(becauseOf(trace).map(nameOf));
  const ways = waysToMeet(trace)
    .map((way) => way.map(({ leaf, holds }) => `${holds ? "" : "!"}${nameOf(leaf)}`))
    .filter((way) => way.every((name) => curable.includes(name.replace("!", ""))));
  if (trace.truth === "not met") return { verdict: "not_eligible", final: true, because, conditions: [] };
  if (trace.truth === "met" && trace.confirmed) return { verdict: "eligible", final: true, because, conditions: [] };
  const verify = once(
    becauseOf(trace)
      .filter((leaf) => !leaf.confirmed)
      .map((leaf) => `verify:${nameOf(leaf)}`),
  );
  if (trace.truth === "met") return { verdict: "provisional", final: false, because, conditions: [verify] };
  return { verdict: ways.length > 0 ? "provisional" : "open", final: false, because, conditions: ways };
}

describe("what decides a rule, and what would meet it", () => {
  it.each(vectorsOf<Input, unknown>("ruleVerdict"))("%s", (_, { input, expected }) =>
    expect(verdictOf(input)).toEqual(expected),
  );

  const ways = (rule: VectorRule, facts: Facts = {}) =>
    waysToMeet(evaluate(toCondition(rule), source(facts))).map((way) =>
      way.map(({ leaf, holds }) => `${holds ? "" : "!"}${nameOf(leaf)}`).join(" and "),
    );
  const [a, b, c] = [{ fact: "a" }, { fact: "b" }, { fact: "c" }];

  it.each<readonly [string, VectorRule, Facts, readonly string[]]>([
    ["all that are open", { all: [a, b, c] }, { b: "met" }, ["a and c"]],
    ["any one of them", { any: [a, { all: [b, c] }] }, {}, ["a", "b and c"]],
    ["two of three", { atLeast: 2, of: [a, b, c] }, {}, ["a and b", "a and c", "b and c"]],
    ["what must not be", { not: { any: [a, b] } }, {}, ["!a and !b"]],
    ["a set that holds another is no way of its own", { any: [a, { all: [a, b] }] }, {}, ["a"]],
    ["a way that is closed is none", { any: [{ all: [a, b] }, c] }, { a: "not_met" }, ["c"]],
    ["nothing where it is decided", { any: [a, b] }, { a: "met" }, []],
  ])("%s", (_, rule, facts, expected) => expect(ways(rule, facts)).toEqual(expected));

  it("a way never asks that one thing turns out both ways", () => {
    const a: VectorRule = { fact: "a" };
    const rule: VectorRule = { all: [{ any: [a, { fact: "b" }] }, { any: [{ not: a }, { fact: "c" }] }] };
    const found = verdictOf({ rule, facts: {}, curable: ["a", "b", "c"] });
    expect(found.conditions.map((way) => way.join(" and "))).toEqual(["a and c", "b and !a", "b and c"]);
  });
});

/** The three truths as the worked cases call them. */
const IN_CASES = { met: "met", "not met": "not_met", open: "unknown" } as const;

describe("a truth that no open fact can change", () => {
  it.each(vectorsOf<Input, string>("ruleSuper"))("%s", (_, { input, expected }) =>
    expect(IN_CASES[certainTruth(toCondition(input.rule), source(input.facts))]).toBe(expected),
  );

  const leaf = fc.constantFrom("a", "b", "c").map((fact): VectorRule => ({ fact }));
  const { rule } = fc.letrec<{ rule: VectorRule }>((tie) => ({
    rule: fc.oneof(
      { depthSize: "small" },
      leaf,
      fc.array(tie("rule"), { maxLength: 3 }).map((all) => ({ all })),
      fc.array(tie("rule"), { maxLength: 3 }).map((any) => ({ any })),
      tie("rule").map((not) => ({ not })),
      fc.record({ atLeast: fc.nat(3), of: fc.array(tie("rule"), { maxLength: 3 }) }),
    ),
  }));
  const facts = fc.dictionary(fc.constantFrom("a", "b", "c"), fc.constantFrom("met" as const, "not_met" as const));
  const completions = (known: Facts): readonly Facts[] =>
    ["a", "b", "c"]
      .filter((name) => known[name] === undefined)
      .reduce<readonly Facts[]>(
        (all, name) =>
          all.flatMap((f): readonly Facts[] => [
            { ...f, [name]: "met" },
            { ...f, [name]: "not_met" },
          ]),
        [known],
      );

  it("is what every completion says, and no other", () =>
    fc.assert(
      fc.property(rule, facts, (r, known) => {
        const condition = toCondition(r);
        const all = new Set(completions(known).map((f) => judge(condition, source(f)).truth));
        const expected = all.size === 1 ? [...all][0] : "open";
        const found = certainTruth(condition, source(known));
        // Without a repeated question three values are exact; with one, the completions are tried.
        expect(found).toBe(expected);
      }),
    ));

  it("every way meets the rule once it is taken", () =>
    fc.assert(
      fc.property(rule, facts, (r, known) => {
        const condition = toCondition(r);
        for (const way of waysToMeet(evaluate(condition, source(known)))) {
          const names = way.map(({ leaf: l, holds }) => [nameOf(l), holds ? "met" : "not_met"] as const);
          // A way that asks a fact to be both is none that anybody can take.
          if (new Set(names.map(([n]) => n)).size < names.length) continue;
          expect(judge(condition, source({ ...known, ...Object.fromEntries(names) })).truth).toBe("met");
        }
      }),
    ));
});
