import type { Ratio } from "../numbers/ratio";
import { withEntry } from "../rules/compile";
import type { Condition } from "../rules/condition";
import { judge } from "../rules/evaluate";
import type { Entry, FactSource } from "../rules/fact";

/** A text field of an entry with whether it was confirmed; null while unknown. */
export function text(
  entry: Entry | undefined,
  field: string,
): { readonly value: string; readonly confirmed: boolean } | null {
  const fact = entry?.at(field);
  return fact?.kind === "value" && typeof fact.value === "string"
    ? { value: fact.value, confirmed: fact.confirmed }
    : null;
}

export function number(
  entry: Entry | undefined,
  field: string,
): { readonly value: Ratio; readonly confirmed: boolean } | null {
  const fact = entry?.at(field);
  return fact?.kind === "value" && typeof fact.value === "object" && "n" in fact.value
    ? { value: fact.value, confirmed: fact.confirmed }
    : null;
}

/** When a degree ended or is expected to; "" while neither is known. */
export function endOf(entry: Entry): string {
  return text(entry, "end")?.value ?? text(entry, "expectedEnd")?.value ?? "";
}

/** The degrees that a measure's condition lets through. */
export function countingDegrees(condition: Condition, facts: FactSource): readonly Entry[] {
  return facts.list("degrees").entries.filter((entry) => judge(condition, withEntry(facts, entry)).truth === "met");
}

/** Of several degrees the one that ends last. */
export const lastDegree = (degrees: readonly Entry[]): Entry | undefined =>
  degrees.reduce<Entry | undefined>(
    (last, entry) => (last === undefined || endOf(entry) > endOf(last) ? entry : last),
    undefined,
  );

const RUNNING: readonly unknown[] = ["in progress", "registered"];

/** Whether a course or a degree is still running. */
export function isRunning(entry: Entry): boolean {
  const status = entry.at("status");
  return status.kind === "value" && RUNNING.includes(status.value);
}
