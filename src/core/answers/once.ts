import type { Json } from "../file/facts";
import type { Field } from "../rulebook/section";

/** Reads the value of another field of an entry. */
export type Reads = (entry: string, field: string) => Json;

/**
 * The values of a field that other entries of its list have taken, where the list takes each only once: within the whole list, or within
 * the entries that share another field (a subject once in a sitting, and free again in the next).
 */
export function takenElsewhere(
  field: Field,
  entry: string,
  entries: readonly string[],
  read: Reads,
): ReadonlySet<string> {
  const { once } = field;
  if (!once) return new Set();
  const shared = (of: string) => (once.within === undefined ? "" : JSON.stringify(read(of, once.within)));
  const own = shared(entry);
  // While it is not known to what an entry belongs, nothing is taken from it.
  if (once.within !== undefined && (own === "null" || own === '""')) return new Set();
  return new Set(
    entries
      .filter((other) => other !== entry && shared(other) === own)
      .flatMap((other) => {
        const value = read(other, field.key);
        return typeof value === "string" && value !== "" && !once.except.includes(value) ? [value] : [];
      }),
  );
}

/** The entries that repeat what an earlier one has taken. */
export function repeatedEntries(field: Field, entries: readonly string[], read: Reads): readonly string[] {
  if (!field.once) return [];
  return entries.filter((entry, i) => {
    const value = read(entry, field.key);
    return typeof value === "string" && takenElsewhere(field, entry, entries.slice(0, i + 1), read).has(value);
  });
}
