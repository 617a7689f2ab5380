import type { ComparedWord } from "./compared-words";
import { LEAST_RUN, SEED } from "./marks";
import { type Passage, passagesIn } from "./passages";

/** Fewer shared words than this are a turn of phrase. */
export const ENOUGH_WORDS = 20;

/** How much of a text stands word for word in another one. */
export interface Likeness {
  /** Words of the text that are shared and are not words of the form. */
  readonly words: number;
  /** Of all its words, between 0 and 1. */
  readonly share: number;
  /** The longest passage, in words. */
  readonly longest: number;
  readonly passages: readonly Passage[];
}

/** Which words of a text repeat what the form itself says: its questions and help are everybody's to repeat. */
function repeated(text: readonly ComparedWord[], form: readonly ComparedWord[]): readonly boolean[] {
  const known = text.map(() => false);
  for (const { from, words } of passagesIn(text, form, SEED)) known.fill(true, from, from + words);
  return known;
}

/**
 * What of a text stands in another one, beside what the form says itself. Null where it is no more than a turn of phrase: fewer than
 * twenty words in passages of at least ten.
 * @param form the words of the questions that both answer; empty where there are none
 */
export function likenessOf(
  text: readonly ComparedWord[],
  other: readonly ComparedWord[],
  form: readonly ComparedWord[] = [],
): Likeness | null {
  const known = repeated(text, form);
  const own = ({ from, words }: Passage) => known.slice(from, from + words).filter((k) => !k).length;
  const passages = passagesIn(text, other).filter((p) => own(p) >= LEAST_RUN);
  const words = passages.reduce((sum, p) => sum + own(p), 0);
  if (words < ENOUGH_WORDS) return null;
  return { words, share: words / text.length, longest: Math.max(...passages.map((p) => p.words)), passages };
}
