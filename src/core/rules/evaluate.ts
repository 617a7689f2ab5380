import { add, type Ratio, toShort, whole, ZERO } from "../numbers/ratio";
import { compareFact, limitValue, type Truth } from "./compare";
import type { Comparison, Condition } from "./condition";
import type { Detail, Entry, Fact, FactList, FactSource, Scalar } from "./fact";
import { UNKNOWN } from "./fact";

/**
 * Evaluates a condition over facts in three values and says why: the trace mirrors the condition, and each leaf carries
 * the value that was seen, the limit, and whether the value was confirmed. Connectives are monotone, so a result that is
 * met or not met cannot be turned by a fact that is still open; only "open" can change.
 */
export interface Trace {
  readonly op: "all" | "any" | "atLeast" | "not" | "fact" | "some" | "count" | "sum";
  readonly truth: Truth;
  /** False when anything that this result stands on is only claimed. */
  readonly confirmed: boolean;
  readonly parts?: readonly Trace[];
  readonly needed?: number;
  readonly leaf?: Leaf;
}

export interface Leaf {
  /** `person.birthDate`, `measure.grade`, `courses.ects`, or the list's own name for a count. */
  readonly fact: string;
  readonly is: Comparison;
  readonly limit: string | null;
  readonly seen: string | null;
  /** The list may still grow, or the value is known only from below. */
  readonly open: boolean;
  /** How many entries of a list took part. */
  readonly entries?: number;
  readonly detail?: Detail;
}

export function evaluate(condition: Condition, facts: FactSource): Trace {
  if ("all" in condition) return join("all", condition.all, condition.all.length, facts);
  if ("any" in condition) return join("any", condition.any, 1, facts);
  if ("of" in condition && "atLeast" in condition) return join("atLeast", condition.of, condition.atLeast, facts);
  if ("not" in condition) return negate(evaluate(condition.not, facts));
  if ("fact" in condition) return factLeaf(condition.fact, condition.is, condition.value, facts);
  if ("some" in condition) return someLeaf(condition.some, condition.where, facts);
  if ("count" in condition) return countLeaf(condition, facts);
  return sumLeaf(condition, facts);
}

/** "At least n of k": met parts reach n, or with the open ones they still could, or they cannot any more. */
function join(
  op: "all" | "any" | "atLeast",
  conditions: readonly Condition[],
  needed: number,
  facts: FactSource,
): Trace {
  const parts = conditions.map((part) => evaluate(part, facts));
  let met = 0;
  let open = 0;
  for (const part of parts) {
    if (part.truth === "met") met += 1;
    else if (part.truth === "open") open += 1;
  }
  const truth: Truth = met >= needed ? "met" : met + open >= needed ? "open" : "not met";
  return { op, truth, needed, parts, confirmed: deciding(parts, truth).every((part) => part.confirmed) };
}

/** The parts on which a joined result stands: of several ways that were open, only those taken. */
function deciding(parts: readonly Trace[], truth: Truth): readonly Trace[] {
  return parts.filter((part) => part.truth === truth);
}

function negate(inner: Trace): Trace {
  const truth: Truth = inner.truth === "met" ? "not met" : inner.truth === "not met" ? "met" : "open";
  return { op: "not", truth, confirmed: inner.confirmed, parts: [inner] };
}

export function show(value: Scalar | number | null): string | null {
  if (value === null) return null;
  if (typeof value === "string") return value;
  if (typeof value === "object") return "n" in value ? toShort(value) : value.join(", ");
  return String(value);
}

function factLeaf(name: string, is: Comparison, value: Parameters<typeof limitValue>[0], facts: FactSource): Trace {
  const fact = facts.scalar(name);
  const limit = limitValue(value, facts);
  const seen = fact.kind === "value" ? show(fact.value) : fact.kind === "range" ? toShort(fact.low) : null;
  const leaf: Leaf = {
    fact: name,
    is,
    limit: show(limit),
    seen,
    open: fact.kind !== "value",
    ...(fact.kind === "value" && fact.detail ? { detail: fact.detail } : {}),
  };
  return {
    op: "fact",
    truth: compareFact(fact, is, limit),
    confirmed: fact.kind === "unknown" || fact.confirmed,
    leaf,
  };
}

/** A view of one list entry at a time: `it.field` reads the entry, every other name the file. */
class EntrySource implements FactSource {
  entry: Entry | null = null;
  readonly list: FactSource["list"];

  constructor(private readonly facts: FactSource) {
    this.list = facts.list;
  }

  readonly scalar = (name: string): Fact =>
    name.startsWith("it.") ? (this.entry?.fields[name.slice(3)] ?? UNKNOWN) : this.facts.scalar(name);
}

interface Judgement {
  readonly truth: Truth;
  readonly confirmed: boolean;
}

/**
 * The same as `evaluate` without a trace: sums and counts look at every entry of a list and keep no trace of any, and most of
 * the time of an assessment would go into traces that nobody reads.
 */
function judge(condition: Condition, facts: FactSource): Judgement {
  if ("all" in condition) return judgeJoined(condition.all, condition.all.length, facts);
  if ("any" in condition) return judgeJoined(condition.any, 1, facts);
  if ("of" in condition && "atLeast" in condition) return judgeJoined(condition.of, condition.atLeast, facts);
  if ("fact" in condition) {
    const fact = facts.scalar(condition.fact);
    return {
      truth: compareFact(fact, condition.is, limitValue(condition.value, facts)),
      confirmed: fact.kind === "unknown" || fact.confirmed,
    };
  }
  return evaluate(condition, facts);
}

function judgeJoined(conditions: readonly Condition[], needed: number, facts: FactSource): Judgement {
  let met = 0;
  let open = 0;
  const claimed = { met: false, open: false, "not met": false };
  for (const condition of conditions) {
    const { truth, confirmed } = judge(condition, facts);
    if (truth === "met") met += 1;
    else if (truth === "open") open += 1;
    if (!confirmed) claimed[truth] = true;
  }
  const truth: Truth = met >= needed ? "met" : met + open >= needed ? "open" : "not met";
  return { truth, confirmed: !claimed[truth] };
}

interface Hits {
  readonly sure: readonly Entry[];
  readonly perhaps: readonly Entry[];
  readonly confirmed: boolean;
}

function hits(list: FactList, where: Condition | undefined, facts: FactSource): Hits {
  if (!where) return { sure: list.entries, perhaps: [], confirmed: true };
  const source = new EntrySource(facts);
  const sure: Entry[] = [];
  const perhaps: Entry[] = [];
  let confirmed = true;
  for (const entry of list.entries) {
    source.entry = entry;
    const judged = judge(where, source);
    if (!judged.confirmed) confirmed = false;
    if (judged.truth === "met") sure.push(entry);
    else if (judged.truth === "open") perhaps.push(entry);
  }
  return { sure, perhaps, confirmed };
}

/** "Some": each entry with its own trace, so that it can be seen why it fits or does not. */
function someLeaf(name: string, where: Condition, facts: FactSource): Trace {
  const list = facts.list(name);
  const source = new EntrySource(facts);
  const parts = list.entries.map((entry) => {
    source.entry = entry;
    return evaluate(where, source);
  });
  const fitting = parts.filter((p) => p.truth === "met");
  const truth: Truth =
    fitting.length > 0 ? "met" : parts.some((p) => p.truth === "open") || list.open ? "open" : "not met";
  return {
    op: "some",
    truth,
    confirmed: truth === "met" ? fitting.some((p) => p.confirmed) : parts.every((p) => p.confirmed),
    parts,
    leaf: {
      fact: name,
      is: "known",
      limit: null,
      seen: String(fitting.length),
      open: list.open,
      entries: list.entries.length,
    },
  };
}

function rangeLeaf(
  op: "count" | "sum",
  name: string,
  range: Fact,
  entries: number,
  is: Comparison,
  limit: Scalar | number | null,
  open: boolean,
): Trace {
  const low = range.kind === "range" ? toShort(range.low) : range.kind === "value" ? show(range.value) : null;
  return {
    op,
    truth: compareFact(range, is, limit),
    confirmed: range.kind === "unknown" || range.confirmed,
    leaf: { fact: name, is, limit: show(limit), seen: low, open, entries },
  };
}

function countLeaf(condition: Extract<Condition, { count: string }>, facts: FactSource): Trace {
  const list = facts.list(condition.count);
  const found = hits(list, condition.where, facts);
  const low = whole(found.sure.length);
  const high = list.open ? null : whole(found.sure.length + found.perhaps.length);
  const open = list.open || found.perhaps.length > 0;
  const fact: Fact = open
    ? { kind: "range", low, high, confirmed: found.confirmed }
    : { kind: "value", value: low, confirmed: found.confirmed };
  return rangeLeaf(
    "count",
    condition.count,
    fact,
    found.sure.length,
    condition.is,
    limitValue(condition.value, facts),
    open,
  );
}

function numberOf(fact: Fact | undefined): Ratio | null {
  return fact?.kind === "value" && typeof fact.value === "object" && "n" in fact.value ? fact.value : null;
}

function sumLeaf(condition: Extract<Condition, { sum: string }>, facts: FactSource): Trace {
  const list = facts.list(condition.sum);
  const found = hits(list, condition.where, facts);
  let low = ZERO;
  let spread = ZERO;
  let unbounded = list.open;
  let confirmed = found.confirmed;
  for (const entry of found.sure) {
    const field = entry.fields[condition.of];
    const amount = numberOf(field);
    if (amount === null) unbounded = true;
    else low = add(low, amount);
    if (field?.kind === "value" && !field.confirmed) confirmed = false;
  }
  for (const entry of found.perhaps) {
    const amount = numberOf(entry.fields[condition.of]);
    if (amount === null) unbounded = true;
    else spread = add(spread, amount);
  }
  const open = unbounded || found.perhaps.length > 0;
  const fact: Fact = open
    ? { kind: "range", low, high: unbounded ? null : add(low, spread), confirmed }
    : { kind: "value", value: low, confirmed };
  const name = `${condition.sum}.${condition.of}`;
  return rangeLeaf("sum", name, fact, found.sure.length, condition.is, limitValue(condition.value, facts), open);
}
