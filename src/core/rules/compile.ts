import { add, type Ratio, RunningTotal, toShort, whole } from "../numbers/ratio";
import { parseDay } from "../time/day";
import { compareFact, limitValue, type ReadyLimit, readyLimit, show } from "./compare";
import type { Comparison, Condition, ConditionOf, Limit } from "./condition";
import { columnOf, type Entry, type Fact, type FactList, type FactSource, type Scalar, UNKNOWN } from "./fact";
import type { Leaf, Trace } from "./trace";
import { CLAIMED, CONFIRMED, type Judgement, judgement, type Truth } from "./truth";

/**
 * Compiles conditions to closures. Each rule can be asked for its truth alone, which makes no garbage, for a trace, and for how it comes
 * out for every entry of a list at once. Sums and counts look at every entry of a list and keep no trace of any, so they stand on the last.
 */
export interface Rule {
  readonly judge: (facts: FactSource) => Judgement;
  /** @param entry the entry of a list that is looked at, where the trace is to name it */
  readonly trace: (facts: FactSource, entry?: string) => Trace;
  /** In the order of the entries. */
  readonly judgeEach: (list: FactList, facts: FactSource) => readonly Judgement[];
}

export function compile(condition: Condition): Rule {
  switch (condition.op) {
    case "all":
      return join("all", condition.of, condition.of.length);
    case "any":
      return join("any", condition.of, 1);
    case "atLeast":
      return join("atLeast", condition.of, condition.count);
    case "not":
      return negate(compile(condition.of));
    case "fact":
      return factRule(condition.fact, condition.is, condition.value);
    case "some":
      return someRule(condition.list, condition.where);
    case "count":
      return rangeRule(condition.list, condition);
    case "sum":
      return rangeRule(`${condition.list}.${condition.field}`, condition);
  }
}

/** "At least n of k": met parts reach n, or with the open ones they still could, or they cannot any more. */
function joined(met: number, open: number, needed: number): Truth {
  return met >= needed ? "met" : met + open >= needed ? "open" : "not met";
}

/** A joined result stands on the parts that came out like the whole: of several ways, only on those taken. */
function atLeastOf(needed: number, parts: Iterable<Judgement>): Judgement {
  let met = 0;
  let open = 0;
  const claimed: Record<Truth, boolean> = { met: false, open: false, "not met": false };
  for (const { truth, confirmed } of parts) {
    if (truth === "met") met += 1;
    else if (truth === "open") open += 1;
    claimed[truth] ||= !confirmed;
  }
  const truth = joined(met, open, needed);
  return judgement(truth, !claimed[truth]);
}

/** Both: the smaller of the two. */
function both(a: Judgement, b: Judgement): Judgement {
  if (a.truth === b.truth) return a.confirmed ? b : a;
  return a.truth === "not met" || b.truth === "met" ? a : b;
}

/** Either: the larger. */
function either(a: Judgement, b: Judgement): Judgement {
  if (a.truth === b.truth) return a.confirmed ? b : a;
  return a.truth === "met" || b.truth === "not met" ? a : b;
}

/**
 * All of several parts, or any of them.
 * @param none what comes of no part at all
 * @param last what nothing that comes after can change
 */
function folded(
  rules: readonly Rule[],
  join: (a: Judgement, b: Judgement) => Judgement,
  none: Judgement,
  last: Judgement,
): Pick<Rule, "judge" | "judgeEach"> {
  const [first, ...rest] = rules;
  return {
    judge: (facts) => {
      let judged = none;
      for (const rule of rules) {
        judged = join(judged, rule.judge(facts));
        if (judged === last) return judged;
      }
      return judged;
    },
    judgeEach: (list, facts) => {
      let judged = first ? first.judgeEach(list, facts) : list.entries.map(() => none);
      for (const rule of rest) {
        const others = rule.judgeEach(list, facts);
        judged = judged.map((one, i) => join(one, others[i] ?? none));
      }
      return judged;
    },
  };
}

function judgeJoined(
  op: "all" | "any" | "atLeast",
  rules: readonly Rule[],
  needed: number,
): Pick<Rule, "judge" | "judgeEach"> {
  if (op === "all") return folded(rules, both, CONFIRMED.met, CLAIMED["not met"]);
  if (op === "any") return folded(rules, either, CONFIRMED["not met"], CLAIMED.met);
  const judge: Rule["judge"] = (facts) =>
    atLeastOf(
      needed,
      rules.map((rule) => rule.judge(facts)),
    );
  return { judge, judgeEach: eachInTurn(judge) };
}

function join(op: "all" | "any" | "atLeast", conditions: readonly Condition[], needed: number): Rule {
  const rules = conditions.map(compile);
  return {
    ...judgeJoined(op, rules, needed),
    trace: (facts, entry) => {
      const parts = rules.map((rule) => rule.trace(facts));
      const { truth, confirmed } = atLeastOf(needed, parts);
      return { op, truth, confirmed, parts, needed, entry };
    },
  };
}

const OPPOSITE: Readonly<Record<Truth, Truth>> = { met: "not met", open: "open", "not met": "met" };

function negate(inner: Rule): Rule {
  const opposite = ({ truth, confirmed }: Judgement) => judgement(OPPOSITE[truth], confirmed);
  return {
    judge: (facts) => opposite(inner.judge(facts)),
    judgeEach: (list, facts) => inner.judgeEach(list, facts).map(opposite),
    trace: (facts, entry) => {
      const part = inner.trace(facts);
      return { op: "not", truth: OPPOSITE[part.truth], confirmed: part.confirmed, part, entry };
    },
  };
}

/** What asks for no field of the entries alone is judged entry by entry. */
const eachInTurn =
  (judge: Rule["judge"]): Rule["judgeEach"] =>
  (list, facts) =>
    list.entries.map((entry) => judge(withEntry(facts, entry)));

const ofEntry = (name: string): string | null => (name.startsWith("it.") ? name.slice(3) : null);

/** `it.field` reads the entry that is being looked at, every other name the file. */
function reader(name: string): (facts: FactSource) => Fact {
  const field = ofEntry(name);
  return field === null ? (facts) => facts.scalar(name) : ({ entry }) => entry?.at(field) ?? UNKNOWN;
}

/** A limit that is another fact is read each time, any other once; many files share a start, so the last such limit is kept. */
function limitReader(limit: Limit | undefined): (facts: FactSource) => ReadyLimit | null {
  if (limit === undefined) return () => null;
  if (typeof limit === "object" && !Array.isArray(limit)) {
    let last: { readonly from: Scalar; readonly ready: ReadyLimit | null } | null = null;
    return (facts) => {
      const fact = facts.scalar(limit.fact);
      if (fact.kind !== "value") return null;
      if (last?.from !== fact.value) {
        const value = limitValue(limit, fact.value);
        last = { from: fact.value, ready: value === null ? null : readyLimit(value) };
      }
      return last.ready;
    };
  }
  const ready = readyLimit(limit);
  return () => ready;
}

function factRule(name: string, is: Comparison, limit: Limit | undefined): Rule {
  const read = reader(name);
  const readLimit = limitReader(limit);
  const compared = (fact: Fact, bound: ReadyLimit | null) =>
    judgement(compareFact(fact, is, bound), fact.kind === "unknown" || fact.confirmed);
  const judge = (facts: FactSource) => compared(read(facts), readLimit(facts));
  const field = ofEntry(name);
  return {
    judge,
    judgeEach: field === null ? eachInTurn(judge) : judgeColumn(field, is, limit, readLimit, compared),
    trace: (facts, entry) => {
      const fact = read(facts);
      const bound = readLimit(facts);
      const leaf: Leaf = {
        fact: name,
        is,
        limit: bound?.shown ?? null,
        seen: fact.kind === "value" ? show(fact.value) : fact.kind === "range" ? toShort(fact.low) : null,
        ...(fact.kind === "range" ? { most: fact.high === null ? null : toShort(fact.high) } : {}),
        open: fact.kind !== "value",
        detail: fact.kind === "range" ? undefined : fact.detail,
      };
      return {
        op: "fact",
        truth: compareFact(fact, is, bound),
        confirmed: fact.kind === "unknown" || fact.confirmed,
        leaf,
        entry,
      };
    },
  };
}

/** One field of all entries against one limit; kept with the list, unless the limit is a fact of its own. */
function judgeColumn(
  field: string,
  is: Comparison,
  limit: Limit | undefined,
  readLimit: (facts: FactSource) => ReadyLimit | null,
  compared: (fact: Fact, bound: ReadyLimit | null) => Judgement,
): Rule["judgeEach"] {
  const isFact = typeof limit === "object" && !Array.isArray(limit);
  const key = `${field} ${is} ${JSON.stringify(limit)}`;
  // The commonest comparison of all: a text that is, or is not, another.
  const text = is === "equals" && typeof limit === "string" && parseDay(limit) === null ? limit : null;
  const judgeText = (fact: Fact, wanted: string, bound: ReadyLimit | null): Judgement =>
    fact.kind === "value" && typeof fact.value === "string"
      ? (fact.confirmed ? CONFIRMED : CLAIMED)[fact.value === wanted ? "met" : "not met"]
      : compared(fact, bound);
  return (list, facts) => {
    const known = isFact ? undefined : list.judged?.get(key);
    if (known !== undefined) return known;
    const bound = readLimit(facts);
    const judged = columnOf(list, field).map((fact) =>
      text === null ? compared(fact, bound) : judgeText(fact, text, bound),
    );
    if (!isFact) list.judged?.set(key, judged);
    return judged;
  };
}

/** "Some": each entry with its own trace, so that it can be seen why it fits or does not. */
function someRule(name: string, where: Condition): Rule {
  const rule = compile(where);
  const judge = (facts: FactSource): Judgement => {
    const list = facts.list(name);
    let met = false;
    let open = list.open;
    let allConfirmed = true;
    let fittingConfirmed = false;
    for (const { truth, confirmed } of rule.judgeEach(list, facts)) {
      if (truth === "met") {
        met = true;
        fittingConfirmed ||= confirmed;
      } else if (truth === "open") open = true;
      allConfirmed &&= confirmed;
    }
    return met ? judgement("met", fittingConfirmed) : judgement(open ? "open" : "not met", allConfirmed);
  };
  return {
    judge,
    judgeEach: eachInTurn(judge),
    trace: (facts, entry) => {
      const list = facts.list(name);
      const parts = list.entries.map((each) => rule.trace(withEntry(facts, each), each.id));
      const fitting = parts.filter((p) => p.truth === "met");
      const truth: Truth =
        fitting.length > 0 ? "met" : parts.some((p) => p.truth === "open") || list.open ? "open" : "not met";
      return {
        op: "some",
        truth,
        confirmed: truth === "met" ? fitting.some((p) => p.confirmed) : parts.every((p) => p.confirmed),
        entries: parts,
        leaf: {
          fact: name,
          is: "known",
          limit: null,
          seen: String(fitting.length),
          open: list.open,
          entries: list.entries.length,
        },
        entry,
      };
    },
  };
}

/** The same facts with one list entry in view. */
export function withEntry(facts: FactSource, entry: Entry | undefined): FactSource {
  return entry ? { scalar: facts.scalar, list: facts.list, entry } : facts;
}

/** The entries of a list that fit, those that perhaps do, and what a field of them adds up to. */
interface Tally {
  sure: number;
  perhaps: number;
  confirmed: boolean;
  readonly low: RunningTotal;
  readonly spread: RunningTotal;
  /** Something that would be added up is not known. */
  unbounded: boolean;
}

function numberOf(fact: Fact | undefined): Ratio | null {
  return fact?.kind === "value" && typeof fact.value === "object" && "n" in fact.value ? fact.value : null;
}

function addField(tally: Tally, total: RunningTotal, field: Fact | undefined, counts: boolean): void {
  const amount = numberOf(field);
  if (amount === null) tally.unbounded = true;
  else total.add(amount);
  if (counts && field?.kind === "value" && !field.confirmed) tally.confirmed = false;
}

/** Adds up over a list, which a file is asked for a dozen times: nothing is made for an entry. */
function tallyOf(list: FactList, where: Rule | null, facts: FactSource, of: string | null): Tally {
  const tally: Tally = {
    sure: 0,
    perhaps: 0,
    confirmed: true,
    low: new RunningTotal(),
    spread: new RunningTotal(),
    unbounded: list.open,
  };
  const column = of === null ? null : columnOf(list, of);
  const judged = where === null ? null : where.judgeEach(list, facts);
  const entries = (judged ?? column ?? list.entries).length;
  for (let i = 0; i < entries; i += 1) {
    const { truth, confirmed } = judged?.[i] ?? CONFIRMED.met;
    if (!confirmed) tally.confirmed = false;
    if (truth === "not met") continue;
    const sure = truth === "met";
    if (sure) tally.sure += 1;
    else tally.perhaps += 1;
    if (column !== null) addField(tally, sure ? tally.low : tally.spread, column[i], sure);
  }
  return tally;
}

/** Counts and sums over the entries that fit: a value, or a range while the list or an entry is open. */
function rangeRule(name: string, condition: ConditionOf<"count" | "sum">): Rule {
  const { op, list: listName } = condition;
  const of = condition.op === "sum" ? condition.field : null;
  const measure = of === null ? countFact : sumFact;
  const where = condition.where ? compile(condition.where) : null;
  const readLimit = limitReader(condition.value);
  const { is } = condition;
  const judge = (facts: FactSource): Judgement => {
    const list = facts.list(listName);
    const fact = measure(list, tallyOf(list, where, facts, of));
    return judgement(compareFact(fact, is, readLimit(facts)), fact.confirmed);
  };
  return {
    judge,
    judgeEach: eachInTurn(judge),
    trace: (facts, entry) => {
      const list = facts.list(listName);
      const found = tallyOf(list, where, facts, of);
      const fact = measure(list, found);
      const limit = readLimit(facts);
      return {
        op,
        truth: compareFact(fact, is, limit),
        confirmed: fact.confirmed,
        leaf: {
          fact: name,
          is,
          limit: limit?.shown ?? null,
          seen: fact.kind === "range" ? toShort(fact.low) : show(fact.value),
          open: fact.kind === "range",
          entries: found.sure,
        },
        entry,
      };
    },
  };
}

function countFact(list: FactList, { sure, perhaps, confirmed }: Tally): Exclude<Fact, { kind: "unknown" }> {
  const low = whole(sure);
  if (!list.open && perhaps === 0) return { kind: "value", value: low, confirmed };
  return { kind: "range", low, high: list.open ? null : whole(sure + perhaps), confirmed };
}

function sumFact(
  _: FactList,
  { low, spread, perhaps, unbounded, confirmed }: Tally,
): Exclude<Fact, { kind: "unknown" }> {
  return unbounded || perhaps > 0
    ? { kind: "range", low: low.value, high: unbounded ? null : add(low.value, spread.value), confirmed }
    : { kind: "value", value: low.value, confirmed };
}
