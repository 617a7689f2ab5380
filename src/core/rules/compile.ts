import { add, type Ratio, RunningTotal, toShort, whole } from "../numbers/ratio";
import { parseDay } from "../time/day";
import { compareFact, limitValue, type ReadyLimit, readyLimit, show } from "./compare";
import type { Comparison, Condition, Limit } from "./condition";
import type { Entry, Fact, FactList, FactSource, Scalar } from "./fact";
import { UNKNOWN } from "./fact";
import type { Leaf, Trace } from "./trace";
import type { Truth } from "./truth";

/**
 * Compiles conditions to closures. Each rule can be asked for its truth alone, which makes no garbage, or for a trace.
 * Sums and counts look at every entry of a list and keep no trace of any, so they stand on the first.
 */
export interface Judgement {
  readonly truth: Truth;
  /** False when anything that this result stands on is only claimed. */
  readonly confirmed: boolean;
}

export interface Rule {
  readonly judge: (facts: FactSource) => Judgement;
  readonly trace: (facts: FactSource) => Trace;
}

const CONFIRMED: Readonly<Record<Truth, Judgement>> = {
  met: { truth: "met", confirmed: true },
  open: { truth: "open", confirmed: true },
  "not met": { truth: "not met", confirmed: true },
};
const CLAIMED: Readonly<Record<Truth, Judgement>> = {
  met: { truth: "met", confirmed: false },
  open: { truth: "open", confirmed: false },
  "not met": { truth: "not met", confirmed: false },
};
const judgement = (truth: Truth, confirmed: boolean): Judgement => (confirmed ? CONFIRMED : CLAIMED)[truth];

export function compile(condition: Condition): Rule {
  if ("all" in condition) return join("all", condition.all, condition.all.length);
  if ("any" in condition) return join("any", condition.any, 1);
  if ("of" in condition && "atLeast" in condition) return join("atLeast", condition.of, condition.atLeast);
  if ("not" in condition) return negate(compile(condition.not));
  if ("fact" in condition) return factRule(condition.fact, condition.is, condition.value);
  if ("some" in condition) return someRule(condition.some, condition.where);
  if ("count" in condition) return rangeRule("count", condition.count, condition);
  return rangeRule("sum", `${condition.sum}.${condition.of}`, condition);
}

/** "At least n of k": met parts reach n, or with the open ones they still could, or they cannot any more. */
function joined(met: number, open: number, needed: number): Truth {
  return met >= needed ? "met" : met + open >= needed ? "open" : "not met";
}

/** The parts on which a joined result stands are those that came out like the whole: of several ways, only those taken. */
function join(op: "all" | "any" | "atLeast", conditions: readonly Condition[], needed: number): Rule {
  const rules = conditions.map(compile);
  return {
    judge: (facts) => {
      let met = 0;
      let open = 0;
      let left = rules.length;
      let claimedMet = false;
      let claimedOpen = false;
      let claimedNot = false;
      for (const rule of rules) {
        const { truth, confirmed } = rule.judge(facts);
        left -= 1;
        if (truth === "met") {
          met += 1;
          claimedMet ||= !confirmed;
          // It is met, on a claim: nothing that comes after changes either.
          if (claimedMet && met >= needed) return CLAIMED.met;
        } else if (truth === "open") {
          open += 1;
          claimedOpen ||= !confirmed;
        } else {
          claimedNot ||= !confirmed;
          if (claimedNot && met + open + left < needed) return CLAIMED["not met"];
        }
      }
      const truth = joined(met, open, needed);
      return judgement(truth, !(truth === "met" ? claimedMet : truth === "open" ? claimedOpen : claimedNot));
    },
    trace: (facts) => {
      const parts = rules.map((rule) => rule.trace(facts));
      let met = 0;
      let open = 0;
      for (const part of parts) {
        if (part.truth === "met") met += 1;
        else if (part.truth === "open") open += 1;
      }
      const truth = joined(met, open, needed);
      return { op, truth, needed, parts, confirmed: parts.every((part) => part.truth !== truth || part.confirmed) };
    },
  };
}

const OPPOSITE: Readonly<Record<Truth, Truth>> = { met: "not met", open: "open", "not met": "met" };

function negate(inner: Rule): Rule {
  return {
    judge: (facts) => {
      const { truth, confirmed } = inner.judge(facts);
      return judgement(OPPOSITE[truth], confirmed);
    },
    trace: (facts) => {
      const part = inner.trace(facts);
      return { op: "not", truth: OPPOSITE[part.truth], confirmed: part.confirmed, parts: [part] };
    },
  };
}

/** Reads one field of one entry after the other: where it stands is looked up when another list comes, not for each entry. */
function fieldReader(field: string): (entry: Entry) => Fact {
  let places: Entry["places"];
  let place = -1;
  return (entry) => {
    if (entry.places === undefined || entry.read === undefined) return entry.at(field);
    if (entry.places !== places) {
      places = entry.places;
      place = places.get(field) ?? -1;
    }
    return place < 0 ? UNKNOWN : entry.read(place);
  };
}

/** `it.field` reads the entry that is being looked at, every other name the file. */
function reader(name: string): (facts: FactSource) => Fact {
  if (!name.startsWith("it.")) return (facts) => facts.scalar(name);
  const read = fieldReader(name.slice(3));
  return ({ entry }) => (entry === undefined ? UNKNOWN : read(entry));
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
  const judge = (facts: FactSource): Judgement => {
    const fact = read(facts);
    return judgement(compareFact(fact, is, readLimit(facts)), fact.kind === "unknown" || fact.confirmed);
  };
  return {
    judge: is === "equals" && typeof limit === "string" ? judgeText(read, limit, judge) : judge,
    trace: (facts) => {
      const fact = read(facts);
      const bound = readLimit(facts);
      const leaf: Leaf = {
        fact: name,
        is,
        limit: bound?.shown ?? null,
        seen: fact.kind === "value" ? show(fact.value) : fact.kind === "range" ? toShort(fact.low) : null,
        open: fact.kind !== "value",
        ...(fact.kind !== "range" && fact.detail ? { detail: fact.detail } : {}),
      };
      return {
        op: "fact",
        truth: compareFact(fact, is, bound),
        confirmed: fact.kind === "unknown" || fact.confirmed,
        leaf,
      };
    },
  };
}

/** The commonest comparison of all, over lists a hundred times a file: a text that is, or is not, another. */
function judgeText(
  read: (facts: FactSource) => Fact,
  limit: string,
  otherwise: (facts: FactSource) => Judgement,
): (facts: FactSource) => Judgement {
  if (parseDay(limit) !== null) return otherwise;
  return (facts) => {
    const fact = read(facts);
    if (fact.kind !== "value" || typeof fact.value !== "string") return otherwise(facts);
    return (fact.confirmed ? CONFIRMED : CLAIMED)[fact.value === limit ? "met" : "not met"];
  };
}

/** "Some": each entry with its own trace, so that it can be seen why it fits or does not. */
function someRule(name: string, where: Condition): Rule {
  const rule = compile(where);
  return {
    judge: (facts) => {
      const list = facts.list(name);
      let met = false;
      let open = list.open;
      let allConfirmed = true;
      let fittingConfirmed = false;
      for (const entry of list.entries) {
        const { truth, confirmed } = rule.judge(withEntry(facts, entry));
        if (truth === "met") {
          met = true;
          fittingConfirmed ||= confirmed;
        } else if (truth === "open") open = true;
        allConfirmed &&= confirmed;
      }
      return met ? judgement("met", fittingConfirmed) : judgement(open ? "open" : "not met", allConfirmed);
    },
    trace: (facts) => {
      const list = facts.list(name);
      const parts = list.entries.map((entry): Trace => ({ ...rule.trace(withEntry(facts, entry)), entry: entry.id }));
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

/** One walk over a list, which a file is asked for a dozen times: nothing is made for an entry. */
function tallyOf(
  list: FactList,
  where: Rule | null,
  facts: FactSource,
  readOf: ((entry: Entry) => Fact) | null,
): Tally {
  const tally: Tally = {
    sure: 0,
    perhaps: 0,
    confirmed: true,
    low: new RunningTotal(),
    spread: new RunningTotal(),
    unbounded: list.open,
  };
  const view = { scalar: facts.scalar, list: facts.list, entry: undefined as Entry | undefined };
  for (const entry of list.entries) {
    view.entry = entry;
    const judged = where === null ? CONFIRMED.met : where.judge(view);
    if (!judged.confirmed) tally.confirmed = false;
    if (judged.truth === "not met") continue;
    const sure = judged.truth === "met";
    if (sure) tally.sure += 1;
    else tally.perhaps += 1;
    if (readOf !== null) addField(tally, sure ? tally.low : tally.spread, readOf(entry), sure);
  }
  return tally;
}

/** Counts and sums over the entries that fit: a value, or a range while the list or an entry is open. */
function rangeRule(
  op: "count" | "sum",
  name: string,
  condition: Extract<Condition, { count: string }> | Extract<Condition, { sum: string }>,
): Rule {
  const [listName, of] = "count" in condition ? [condition.count, null] : [condition.sum, condition.of];
  const measure = of === null ? countFact : sumFact;
  const readOf = of === null ? null : fieldReader(of);
  const where = condition.where ? compile(condition.where) : null;
  const readLimit = limitReader(condition.value);
  const { is } = condition;
  return {
    judge: (facts) => {
      const list = facts.list(listName);
      const fact = measure(list, tallyOf(list, where, facts, readOf));
      return judgement(compareFact(fact, is, readLimit(facts)), fact.confirmed);
    },
    trace: (facts) => {
      const list = facts.list(listName);
      const found = tallyOf(list, where, facts, readOf);
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
