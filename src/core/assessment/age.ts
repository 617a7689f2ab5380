import { whole } from "../numbers/ratio";
import type { Measure } from "../rulebook/rulebook";
import type { Fact, FactSource } from "../rules/fact";
import { UNKNOWN } from "../rules/fact";
import { agesOn } from "../time/age";
import { formatDay } from "../time/day";
import { type ChoiceDays, dayOf } from "./days";

type Age = Extract<Measure, { kind: "age" }>;

/** Completed years on the day that the measure names; a range while only the year or the month of birth is known. */
export function ageMeasure(measure: Age, facts: FactSource, days: ChoiceDays): Fact {
  const born = facts.scalar(measure.of);
  if (born.kind !== "value" || typeof born.value !== "string") return UNKNOWN;
  const on = dayOf(days, measure.on);
  const ages = agesOn(born.value, on, measure.leap);
  if (!ages) return UNKNOWN;
  const [low, high] = [whole(ages.low), whole(ages.high)];
  if (ages.low !== ages.high) return { kind: "range", low, high, confirmed: born.confirmed };
  return {
    kind: "value",
    value: low,
    confirmed: born.confirmed,
    detail: { kind: "age", born: born.value, on: formatDay(on), years: ages.low },
  };
}
