import { fold } from "../people/fold";
import type { LocalText } from "../text/local-text";

/** Programmes that are easily mistaken for each other, and what tells them apart. */
export interface Distinguishable {
  readonly code: string;
  readonly title: LocalText;
  readonly level: string;
  readonly award: string;
  readonly language: string;
  readonly months: number;
  readonly campuses: readonly string[];
}

export type Difference = "level" | "award" | "language" | "months" | "campuses";

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
    ["level", a.level !== b.level],
    ["award", a.award !== b.award],
    ["language", a.language !== b.language],
    ["months", a.months !== b.months],
    ["campuses", a.campuses.join() !== b.campuses.join()],
  ];
  return parts.flatMap(([name, differs]) => (differs ? [name] : []));
}

/** The others with a similar title, each with what sets it apart. */
export function alike<P extends Distinguishable>(
  one: P,
  all: readonly P[],
): readonly { readonly other: P; readonly by: readonly Difference[] }[] {
  return all
    .filter((other) => other.code !== one.code && common(one.title, other.title) >= ALIKE)
    .map((other) => ({ other, by: differences(one, other) }));
}
