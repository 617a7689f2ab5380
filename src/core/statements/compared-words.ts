import { fold } from "../people/fold";
import { WITHOUT_BLANKS } from "../text/counting";

/** A word of a text as it is compared, with where it stands: `text.slice(start, end)`. */
export interface ComparedWord {
  readonly key: string;
  readonly start: number;
  readonly end: number;
}

/** Letters and digits with their accents, apostrophes within a word, and signs that nobody sees, which would hide a copy. */
const WORD = /[\p{L}\p{N}][\p{L}\p{M}\p{N}\p{Cf}]*(?:['’ʼ][\p{L}\p{M}\p{N}\p{Cf}]+)*/gu;
const UNSEEN = /\p{Cf}+/gu;
const LATIN = /\p{Script=Latin}/u;
const OTHER_SHAPES = /[\p{Script=Cyrillic}\p{Script=Greek}]/u;

/** Cyrillic and Greek letters that look like Latin ones, small: taken for those in a word that mixes the scripts. */
const SHAPES: Readonly<Record<string, string>> = {
  ...{ а: "a", е: "e", о: "o", р: "p", с: "c", х: "x", у: "y", і: "i", ј: "j", ѕ: "s", ԁ: "d", һ: "h" },
  ...{ к: "k", м: "m", т: "t", в: "b", н: "n" },
  ...{ α: "a", ο: "o", ρ: "p", ν: "v", τ: "t", ι: "i", υ: "u", κ: "k", ε: "e" },
};

function keyOf(word: string): string {
  const seen = word.replace(UNSEEN, "");
  const mixed = LATIN.test(seen) && OTHER_SHAPES.test(seen);
  return fold(mixed ? [...seen.toLowerCase()].map((letter) => SHAPES[letter] ?? letter).join("") : seen);
}

let segmenter: Intl.Segmenter | undefined;

/**
 * The words of a text in the order in which they stand, without case, accents and punctuation. Scripts that are written without blanks
 * are divided by Unicode's segmentation.
 */
export function comparedWords(text: string): readonly ComparedWord[] {
  const words: ComparedWord[] = [];
  const add = (word: string, start: number) => {
    const key = keyOf(word);
    if (key !== "") words.push({ key, start, end: start + word.length });
  };
  for (const { 0: run, index } of text.matchAll(WORD)) {
    if (!WITHOUT_BLANKS.test(run)) {
      add(run, index);
      continue;
    }
    segmenter ??= new Intl.Segmenter("en", { granularity: "word" });
    for (const { segment, index: at, isWordLike } of segmenter.segment(run)) if (isWordLike) add(segment, index + at);
  }
  return words;
}
