import { whole } from "../numbers/ratio";
import type { Measure } from "../rulebook/rulebook";
import { judge } from "../rules/evaluate";
import type { Entry, Fact, FactSource } from "../rules/fact";
import { formatDay, parseDay, parseRough, type RoughDate } from "../time/day";
import { coveredMonths, type Stretch } from "../time/stretches";
import { type ChoiceDays, dayOf } from "./days";

type Span = Extract<Measure, { kind: "span" }>;

function dateIn(entry: Entry, field: string): (RoughDate & { readonly confirmed: boolean }) | null {
  const fact = entry.at(field);
  if (fact?.kind !== "value" || typeof fact.value !== "string") return null;
  const day = parseDay(fact.value);
  const rough = day === null ? parseRough(fact.value) : { from: day, to: day };
  return rough && { ...rough, confirmed: fact.confirmed };
}

/**
 * The months that the entries of a list cover up to the day that the measure names, overlaps counted once. An entry that has not ended
 * counts until today, and may go on until that day. What else is not certain makes a range, too: a date known to its month or year, an
 * entry whose condition is open, a list that may still grow.
 */
export function spanMeasure(measure: Span, facts: FactSource, days: ChoiceDays): Fact {
  const until = dayOf(days, measure.until);
  const list = facts.list(measure.list);
  const sure: Stretch[] = [];
  const most: Stretch[] = [];
  let unbounded = list.open;
  let confirmed = true;
  let entries = 0;
  const view = { scalar: facts.scalar, list: facts.list, entry: undefined as Entry | undefined };
  for (const entry of list.entries) {
    view.entry = entry;
    const fits = measure.where ? judge(measure.where, view) : { truth: "met" as const, confirmed: true };
    if (fits.truth === "not met") continue;
    const begin = dateIn(entry, "start");
    const end = dateIn(entry, "end");
    if (!begin) {
      unbounded = true;
      continue;
    }
    entries += 1;
    confirmed &&= fits.confirmed && begin.confirmed && (end === null || end.confirmed);
    most.push({ from: begin.from, to: Math.min(until, end ? end.to + 1 : until) });
    if (fits.truth === "met") sure.push({ from: begin.to, to: Math.min(until, end ? end.from + 1 : days.today()) });
  }
  const low = coveredMonths(sure);
  const high = coveredMonths(most);
  if (unbounded || low !== high)
    return { kind: "range", low: whole(low), high: unbounded ? null : whole(high), confirmed };
  return {
    kind: "value",
    value: whole(low),
    confirmed,
    detail: { kind: "span", months: low, entries, until: formatDay(until) },
  };
}
