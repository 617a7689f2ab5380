import type { Json } from "../file/facts";
import type { LocalText } from "../text/local-text";

/** What differs between two versions of something that is kept as data, part by part, so that it can be read. */
export interface PartChange {
  /** The part's own name in the rulebook: `title`, `required`, `when`, `rule`, `amounts`. */
  readonly part: string;
  readonly before: Json;
  readonly after: Json;
}

export interface Difference<Area extends string = string> {
  readonly area: Area;
  /** `section.field` for a field. */
  readonly key: string;
  readonly title: LocalText;
  readonly change: "added" | "removed" | "changed";
  readonly parts: readonly PartChange[];
}

interface Keyed {
  readonly key: string;
  readonly title: LocalText;
}

/** A plain copy: what is not there is null, as in stored JSON. */
const plain = (value: unknown): Json => (value === undefined ? null : (JSON.parse(JSON.stringify(value)) as Json)); // JSON in, JSON out

/** What differs between two things, by the names of their parts. */
export function partsChanged(before: object, after: object, apart: readonly string[]): readonly PartChange[] {
  const [was, is] = [before, after] as unknown as readonly Readonly<Record<string, unknown>>[]; // read by name, as JSON
  const names = [...new Set([...Object.keys(was ?? {}), ...Object.keys(is ?? {})])];
  return names
    .filter((name) => name !== "part" && !apart.includes(name))
    .flatMap((part) => {
      const [a, b] = [plain(was?.[part]), plain(is?.[part])];
      return JSON.stringify(a) === JSON.stringify(b) ? [] : [{ part, before: a, after: b }];
    });
}

/** Two lists of keyed things, compared by their keys. @param apart what is compared by itself elsewhere */
export function compareLists<T extends Keyed, Area extends string>(
  area: Area,
  before: readonly T[],
  after: readonly T[],
  prefix = "",
  apart: readonly string[] = [],
): readonly Difference<Area>[] {
  const of = (item: T, change: Difference["change"], parts: readonly PartChange[] = []): Difference<Area> => ({
    area,
    key: prefix + item.key,
    title: item.title,
    change,
    parts,
  });
  const gone = before.filter((a) => !after.some((b) => b.key === a.key)).map((a) => of(a, "removed"));
  const rest = after.flatMap((b) => {
    const a = before.find((item) => item.key === b.key);
    if (!a) return [of(b, "added")];
    const parts = partsChanged(a, b, apart);
    return parts.length === 0 ? [] : [of(b, "changed", parts)];
  });
  return [...gone, ...rest];
}
