import { toNumber } from "../numbers/ratio";
import { readyLimit } from "./compare";
import type { Comparison, Condition, Limit } from "./condition";

/**
 * Whether a condition can be met at all. It is brought into a list of alternatives, each a list of plain comparisons, and an
 * alternative falls when two comparisons of the same fact exclude each other. What cannot be compared counts as possible, so
 * "impossible" is always true and "possible" means that no contradiction was found.
 */
interface Plain {
  readonly about: string;
  readonly is: Comparison;
  readonly value: Limit | undefined;
}
type Alternative = readonly Plain[];

const MOST_ALTERNATIVES = 512;

const OPPOSITE: Readonly<Partial<Record<Comparison, Comparison>>> = {
  equals: "differs",
  differs: "equals",
  atLeast: "under",
  under: "atLeast",
  atMost: "over",
  over: "atMost",
};

/** Null where the alternatives become too many to be looked at. */
type Alternatives = readonly Alternative[] | null;

function both(a: Alternatives, b: Alternatives): Alternatives {
  if (a === null || b === null || a.length * b.length > MOST_ALTERNATIVES) return null;
  return a.flatMap((x) => b.map((y) => [...x, ...y]));
}

function either(a: Alternatives, b: Alternatives): Alternatives {
  if (a === null || b === null || a.length + b.length > MOST_ALTERNATIVES) return null;
  return [...a, ...b];
}

const ALWAYS: Alternatives = [[]];
const NEVER: Alternatives = [];

function plain(about: string, is: Comparison, value: Limit | undefined, negated: boolean): Alternatives {
  if (!negated) return [[{ about, is, value }]];
  const opposite = OPPOSITE[is];
  return opposite ? [[{ about, is: opposite, value }]] : ALWAYS;
}

function chooseSome(of: readonly Condition[], least: number, negated: boolean): Alternatives {
  // "Not at least n of m" is "at least m − n + 1 of their opposites".
  const needed = negated ? of.length - least + 1 : least;
  if (needed <= 0) return ALWAYS;
  if (needed > of.length) return NEVER;
  const [first, ...rest] = of;
  if (!first) return NEVER;
  const leastOfRest = (n: number) => (negated ? rest.length - n + 1 : n);
  const withFirst = both(alternatives(first, negated), chooseSome(rest, leastOfRest(needed - 1), negated));
  return either(withFirst, chooseSome(rest, leastOfRest(needed), negated));
}

function alternatives(condition: Condition, negated: boolean): Alternatives {
  switch (condition.op) {
    case "not":
      return alternatives(condition.of, !negated);
    case "all":
    case "any": {
      const conjoined = (condition.op === "all") !== negated;
      return condition.of.reduce<Alternatives>(
        (known, part) => (conjoined ? both : either)(known, alternatives(part, negated)),
        conjoined ? ALWAYS : NEVER,
      );
    }
    case "atLeast":
      return chooseSome(condition.of, condition.count, negated);
    case "fact":
      return plain(condition.fact, condition.is, condition.value, negated);
    case "some": {
      const inner = alternatives(condition.where, false);
      return negated || inner?.some(holdsTogether) || inner === null ? ALWAYS : NEVER;
    }
    case "count":
    case "sum": {
      const of = condition.op === "sum" ? `.${condition.field}` : "";
      const asked = `${condition.op} ${condition.list}${of} ${JSON.stringify(condition.where ?? null)}`;
      return plain(asked, condition.is, condition.value, negated);
    }
  }
}

/** The place of a limit on its own line: levels by rank, days and numbers by value; null for anything else. */
function place(value: Limit | undefined): number | null {
  if (value === undefined || typeof value === "boolean" || (typeof value === "object" && "fact" in value)) return null;
  if (Array.isArray(value)) return null;
  const { level, day, ratio } = readyLimit(value);
  if (level >= 0) return level;
  return day ?? (ratio ? toNumber(ratio) : null);
}

interface Range {
  low: number;
  lowOpen: boolean;
  high: number;
  highOpen: boolean;
}

function narrow(range: Range, is: Comparison, at: number): void {
  if ((is === "atLeast" || is === "over" || is === "equals") && at >= range.low) {
    range.lowOpen = is === "over" || (at === range.low && range.lowOpen);
    range.low = at;
  }
  if ((is === "atMost" || is === "under" || is === "equals") && at <= range.high) {
    range.highOpen = is === "under" || (at === range.high && range.highOpen);
    range.high = at;
  }
}

/** The values that an equality or a list of values leaves open. */
function allowedValues(comparisons: readonly Plain[]): ReadonlySet<string> | null {
  let allowed: Set<string> | null = null;
  const keep = (values: readonly string[]) => {
    const known: ReadonlySet<string> | null = allowed;
    allowed = new Set(known === null ? values : values.filter((v) => known.has(v)));
  };
  for (const { is, value } of comparisons) {
    if (is === "equals" && (typeof value === "string" || typeof value === "boolean")) keep([String(value)]);
    if (is === "oneOf" && Array.isArray(value)) keep(value);
  }
  if (allowed === null) return null;
  const ruledOut = new Set(
    comparisons.flatMap(({ is, value }) =>
      is === "differs" && (typeof value === "string" || typeof value === "boolean") ? [String(value)] : [],
    ),
  );
  return new Set([...(allowed as ReadonlySet<string>)].filter((v) => !ruledOut.has(v)));
}

function holdsTogether(alternative: Alternative): boolean {
  const byFact = new Map<string, Plain[]>();
  for (const one of alternative) byFact.set(one.about, [...(byFact.get(one.about) ?? []), one]);
  return [...byFact.values()].every((comparisons) => {
    const allowed = allowedValues(comparisons);
    if (allowed !== null && allowed.size === 0) return false;
    const range: Range = {
      low: Number.NEGATIVE_INFINITY,
      lowOpen: false,
      high: Number.POSITIVE_INFINITY,
      highOpen: false,
    };
    for (const { is, value } of comparisons) {
      const at = place(value);
      if (at !== null) narrow(range, is, at);
    }
    return range.low < range.high || (range.low === range.high && !range.lowOpen && !range.highOpen);
  });
}

/** False when no facts whatsoever could meet the condition. */
export function canBeMet(condition: Condition): boolean {
  const all = alternatives(condition, false);
  return all === null || all.some(holdsTogether);
}
