/**
 * Counts as people count. Words are what stands between blanks and holds a letter or a digit, so "well-known" is one and a
 * dash alone is none; scripts that write without blanks are counted by the words that Unicode's segmentation finds in them.
 * Characters are what a reader sees as one: a letter with its accents, or an emoji of several code points.
 */
const WORD = /[\p{L}\p{N}]/u;
/** Scripts in which words stand side by side without a blank. */
export const WITHOUT_BLANKS =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/u;

let words: Intl.Segmenter | undefined;
let signs: Intl.Segmenter | undefined;

export function countWords(text: string): number {
  let count = 0;
  for (const token of text.split(/\s+/u)) {
    if (!WORD.test(token)) continue;
    if (!WITHOUT_BLANKS.test(token)) {
      count += 1;
      continue;
    }
    words ??= new Intl.Segmenter("en", { granularity: "word" });
    for (const { isWordLike } of words.segment(token)) if (isWordLike) count += 1;
  }
  return count;
}

export function countCharacters(text: string): number {
  signs ??= new Intl.Segmenter("en", { granularity: "grapheme" });
  let count = 0;
  for (const _ of signs.segment(text)) count += 1;
  return count;
}

export type CountUnit = "words" | "characters";

export function countIn(unit: CountUnit, text: string): number {
  return unit === "words" ? countWords(text) : countCharacters(text);
}
