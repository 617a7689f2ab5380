import { fold } from "../people/fold";
import type { LocalText } from "../text/local-text";
import type { LengthUnit } from "./programme";

/** Programmes that are easily mistaken for each other, and what tells them apart. */
export interface Distinguishable {
  readonly code: string;
  readonly title: LocalText;
  readonly level: string;
  /** Detailed fields of ISCED-F; the first two digits are the broad field. */
  readonly fields: readonly string[];
  readonly award: string;
  readonly languages: readonly string[];
  readonly length: number;
  readonly lengthUnit: LengthUnit;
  readonly campuses: readonly string[];
}

export type Difference = "award" | "language" | "length" | "campuses";

const SHORT_WORD = 3;
const ALIKE = 0.5;

function titleWords(title: LocalText): readonly string[] {
  const words = fold(title.en).split(" ");
  return words.filter((w) => w.length > SHORT_WORD || words.length === 1);
}

/** Share of words in common, 0 to 1: the same title gives 1, "Coastal Studies" and "Coastal Systems" give one half. */
function common(a: LocalText, b: LocalText): number {
  const [mine, theirs] = [titleWords(a), titleWords(b)];
  const shared = mine.filter((w) => theirs.includes(w)).length;
  return shared / Math.max(1, mine.length, theirs.length);
}

export function differences(a: Distinguishable, b: Distinguishable): readonly Difference[] {
  const parts: readonly (readonly [Difference, boolean])[] = [
    ["award", a.award !== b.award],
    ["language", a.languages.join() !== b.languages.join()],
    ["length", a.length !== b.length || a.lengthUnit !== b.lengthUnit],
    ["campuses", a.campuses.join() !== b.campuses.join()],
  ];
  return parts.flatMap(([name, differs]) => (differs ? [name] : []));
}

const BROAD = 2;

/** Nobody mistakes a programme for one of another level, or of another subject. */
const isComparable = (a: Distinguishable, b: Distinguishable): boolean =>
  a.level === b.level && a.fields.some((f) => b.fields.some((g) => g.slice(0, BROAD) === f.slice(0, BROAD)));

/** The others of the same level and field with a similar title, each with what sets it apart. */
export function alike<P extends Distinguishable>(
  one: P,
  all: readonly P[],
): readonly { readonly other: P; readonly by: readonly Difference[] }[] {
  return all
    .filter((other) => other.code !== one.code && isComparable(one, other) && common(one.title, other.title) >= ALIKE)
    .map((other) => ({ other, by: differences(one, other) }));
}
