import type { Json } from "../assessment/facts";
import type { LocalText } from "../text/local-text";
import type { RulebookBody } from "./rulebook";

/** What differs between two rulebooks, part by part, so that it can be read. */
export const AREAS = ["section", "field", "requirement", "entry rule", "measure", "fee"] as const;
export type Area = (typeof AREAS)[number];

export interface PartChange {
  /** The part's own name in the rulebook: `title`, `required`, `when`, `rule`, `amounts`. */
  readonly part: string;
  readonly before: Json;
  readonly after: Json;
}

export interface Difference {
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

function partsChanged(before: Keyed, after: Keyed, apart: readonly string[]): readonly PartChange[] {
  const [was, is] = [before, after] as unknown as readonly Readonly<Record<string, unknown>>[]; // read by name, as JSON
  const names = [...new Set([...Object.keys(was ?? {}), ...Object.keys(is ?? {})])];
  return names
    .filter((name) => name !== "part" && !apart.includes(name))
    .flatMap((part) => {
      const [a, b] = [plain(was?.[part]), plain(is?.[part])];
      return JSON.stringify(a) === JSON.stringify(b) ? [] : [{ part, before: a, after: b }];
    });
}

function compareLists<T extends Keyed>(
  area: Area,
  before: readonly T[],
  after: readonly T[],
  prefix = "",
  apart: readonly string[] = [],
): readonly Difference[] {
  const of = (item: T, change: Difference["change"], parts: readonly PartChange[] = []): Difference => ({
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

/** The order of sections and requirements counts only where it changes; what stands in each is compared by its key. */
export function compareRulebooks(before: RulebookBody, after: RulebookBody): readonly Difference[] {
  const fields = after.sections.flatMap((b) => {
    const a = before.sections.find((s) => s.key === b.key);
    return a ? compareLists("field", a.fields, b.fields, `${b.key}.`) : [];
  });
  return [
    ...compareLists("section", before.sections, after.sections, "", ["fields"]),
    ...fields,
    ...compareLists("requirement", before.requirements, after.requirements),
    ...compareLists("entry rule", before.entryRules, after.entryRules),
    ...compareLists("measure", before.measures, after.measures),
    ...compareLists("fee", before.fees, after.fees),
  ];
}
