import type { ComparedWord } from "./compared-words";
import { LEAST_RUN, SEED, seedsOf } from "./marks";

/** Words in a row that stand in both texts: where they begin in each, counted in words. */
export interface Passage {
  readonly from: number;
  readonly otherFrom: number;
  readonly words: number;
}

/** A text that says the same again and again is looked at in so many places. */
const MOST_PLACES = 8;

function placesOf(words: readonly ComparedWord[]): ReadonlyMap<number, readonly number[]> {
  const places = new Map<number, number[]>();
  seedsOf(words).forEach((seed, i) => {
    const known = places.get(seed);
    if (!known) places.set(seed, [i]);
    else if (known.length < MOST_PLACES) known.push(i);
  });
  return places;
}

/**
 * The passages of at least `least` words that a text shares with another, in its order and without overlap, each the longest that begins
 * where it begins. A passage may stand once in the other text and several times in this one.
 * @param least words, no fewer than a seed has
 */
export function passagesIn(
  text: readonly ComparedWord[],
  other: readonly ComparedWord[],
  least: number = LEAST_RUN,
): readonly Passage[] {
  const places = placesOf(other);
  const seeds = seedsOf(text);
  const found: Passage[] = [];
  const lengthAt = (from: number, otherFrom: number): number => {
    let words = 0;
    while (
      from + words < text.length &&
      otherFrom + words < other.length &&
      text[from + words]?.key === other[otherFrom + words]?.key
    )
      words += 1;
    return words;
  };
  let at = 0;
  while (at < seeds.length) {
    const from = at;
    const [longest] = (places.get(seeds[from] ?? -1) ?? [])
      .map((otherFrom) => ({ from, otherFrom, words: lengthAt(from, otherFrom) }))
      .sort((a, b) => b.words - a.words);
    if (longest && longest.words >= Math.max(least, SEED)) {
      found.push(longest);
      at += longest.words;
    } else at += 1;
  }
  return found;
}
