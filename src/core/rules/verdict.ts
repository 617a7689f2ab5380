import type { Condition } from "./condition";
import { judge } from "./evaluate";
import type { FactSource } from "./fact";
import { isLeaf, type LeafTrace, type Trace } from "./trace";
import type { Truth } from "./truth";

/** What follows from a trace: what decided it, and what would turn one that is open. */

/**
 * The leaves that decide a trace, in reading order, each once: of one that is met those that are met, of one that is not all that failed,
 * so that everything can be mended in one go; of one that is open those that are.
 */
export function becauseOf(trace: Trace): readonly LeafTrace[] {
  if (isLeaf(trace)) return [trace];
  if (trace.op === "not") return becauseOf(trace.part);
  return trace.parts.filter((part) => part.truth === trace.truth).flatMap(becauseOf);
}

/** An open leaf, and how it has to turn out. */
export interface Turn {
  readonly leaf: LeafTrace;
  readonly holds: boolean;
}
type Way = readonly Turn[];

const MOST_WAYS = 32;

/** Every way of one together with every way of the other. */
function both(some: readonly Way[], others: readonly Way[]): readonly Way[] {
  return some.flatMap((a) => others.map((b) => [...a, ...b])).slice(0, MOST_WAYS);
}

const NOTHING_NEEDED: readonly Way[] = [[]];

/** Every choice of `n` of the lists, taken together. */
function chosen(lists: readonly (readonly Way[])[], n: number): readonly Way[] {
  if (n <= 0) return NOTHING_NEEDED;
  const [first, ...rest] = lists;
  if (!first || lists.length < n) return [];
  return [...both(first, chosen(rest, n - 1)), ...chosen(rest, n)].slice(0, MOST_WAYS);
}

/** @param holds whether the trace has to come out as met, or as not met */
function waysOf(trace: Trace, holds: boolean): readonly Way[] {
  if (trace.truth !== "open") return (trace.truth === "met") === holds ? NOTHING_NEEDED : [];
  if (isLeaf(trace)) return [[{ leaf: trace, holds }]];
  if (trace.op === "not") return waysOf(trace.part, !holds);
  const { parts, needed } = trace;
  // For one that must fail, so many parts have to fail that too few are left.
  const count = holds ? needed : parts.length - needed + 1;
  return chosen(
    parts.map((part) => waysOf(part, holds)),
    count,
  );
}

const keyOf = ({ leaf: { op, leaf }, holds }: Turn): string =>
  JSON.stringify([op, leaf.fact, leaf.is, leaf.limit, holds]);

/** Whether a way asks of one leaf that it turns out as met and as not met. */
const contradicts = (way: Way): boolean =>
  way.some((turn) => !turn.holds && way.some((other) => keyOf(other) === keyOf({ leaf: turn.leaf, holds: true })));

/** The smallest sets of open leaves that would make an open rule met; none where it is decided. At most 32 are looked at. */
export function waysToMeet(trace: Trace): readonly Way[] {
  if (trace.truth !== "open") return [];
  const ways = waysOf(trace, true)
    .filter((way) => !contradicts(way))
    .map((way) => new Map(way.map((turn) => [keyOf(turn), turn])));
  const smallest = ways.filter(
    (way, i) =>
      !ways.some(
        (other, j) =>
          j !== i &&
          [...other.keys()].every((key) => way.has(key)) &&
          (other.size < way.size || (other.size === way.size && j < i)),
      ),
  );
  return smallest.map((way) => [...way.values()]);
}

const MOST_COMPLETIONS = 12;

function atomsOf(condition: Condition): readonly Condition[] {
  if (condition.op === "not") return atomsOf(condition.of);
  return condition.op === "all" || condition.op === "any" || condition.op === "atLeast"
    ? condition.of.flatMap(atomsOf)
    : [condition];
}

const repeating = new WeakMap<Condition, boolean>();

/** Whether a condition asks the same twice. Only then can three values be more cautious than they need be. */
function repeats(condition: Condition): boolean {
  const known = repeating.get(condition);
  if (known !== undefined) return known;
  const atoms = atomsOf(condition).map((atom) => JSON.stringify(atom));
  const found = new Set(atoms).size < atoms.length;
  repeating.set(condition, found);
  return found;
}

function holdsIn(condition: Condition, atoms: ReadonlyMap<string, boolean>): boolean {
  const holds = (c: Condition) => holdsIn(c, atoms);
  switch (condition.op) {
    case "all":
      return condition.of.every(holds);
    case "any":
      return condition.of.some(holds);
    case "not":
      return !holds(condition.of);
    case "atLeast":
      return condition.of.filter(holds).length >= condition.count;
    default:
      return atoms.get(JSON.stringify(condition)) ?? false;
  }
}

/**
 * The truth of a condition, also where it is open part by part and yet comes out the same however its open parts turn out (`x or not x`):
 * every completion of the open parts is tried. Different questions about one fact are taken as independent, which is cautious.
 */
export function certainTruth(condition: Condition, facts: FactSource): Truth {
  const { truth } = judge(condition, facts);
  if (truth !== "open" || !repeats(condition)) return truth;
  const judged = new Map(atomsOf(condition).map((atom) => [JSON.stringify(atom), judge(atom, facts).truth]));
  const open = [...judged].filter(([, t]) => t === "open").map(([key]) => key);
  if (open.length > MOST_COMPLETIONS) return "open";
  const outcomes = new Set<boolean>();
  for (let bits = 0; bits < 2 ** open.length; bits += 1) {
    const atoms = new Map(
      [...judged].map(([key, t]) => {
        const at = open.indexOf(key);
        return [key, at < 0 ? t === "met" : (bits & (1 << at)) !== 0] as const;
      }),
    );
    outcomes.add(holdsIn(condition, atoms));
    if (outcomes.size > 1) return "open";
  }
  return outcomes.has(true) ? "met" : "not met";
}
