import { whole } from "../numbers/ratio";
import type { Measure } from "../rulebook/rulebook";
import { judge } from "../rules/evaluate";
import type { Entry, Fact, FactSource } from "../rules/fact";
import { type Day, formatDay, parseDay, parseRough, type RoughDate } from "../time/day";
import { coveredMonths, type Stretch } from "../time/stretches";

type Span = Extract<Measure, { kind: "span" }>;

function dateIn(entry: Entry, field: string): (RoughDate & { readonly confirmed: boolean }) | null {
  const fact = entry.at(field);
  if (fact?.kind !== "value" || typeof fact.value !== "string") return null;
  const day = parseDay(fact.value);
  const rough = day === null ? parseRough(fact.value) : { from: day, to: day };
  return rough && { ...rough, confirmed: fact.confirmed };
}

/**
 * The months that the entries of a list cover up to the start of studies, overlaps counted once. What is not certain makes a range: a
 * date known to its month or year, an entry that has not ended, one whose condition is open, a list that may still grow.
 */
export function spanMeasure(measure: Span, facts: FactSource, start: Day): Fact {
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
    most.push({ from: begin.from, to: Math.min(start, end ? end.to + 1 : start) });
    if (end && fits.truth === "met") sure.push({ from: begin.to, to: Math.min(start, end.from + 1) });
  }
  const low = coveredMonths(sure);
  const high = coveredMonths(most);
  if (unbounded || low !== high)
    return { kind: "range", low: whole(low), high: unbounded ? null : whole(high), confirmed };
  return {
    kind: "value",
    value: whole(low),
    confirmed,
    detail: { kind: "span", months: low, entries, until: formatDay(start) },
  };
}
