import { compact, fold, wide } from "./fold";

/** Below this two words have nothing to do with each other. */
const LEAST_ALIKE = 0.8;
const INITIAL = 0.85;
const SURPLUS_WORD = 0.05;
const MOST_SURPLUS = 0.15;
const ONE_WORD_AT_MOST = 0.8;
const PREFIX_WEIGHT = 0.1;
const LONGEST_PREFIX = 4;
const PREFIX_FROM = 0.7;

/** Which letters of one word stand, within the window, in the other. */
function matched(a: string, b: string): { readonly of: readonly string[]; readonly in: readonly string[] } {
  const window = Math.max(0, Math.floor(Math.max(a.length, b.length) / 2) - 1);
  const taken = new Array<boolean>(b.length).fill(false);
  const found: string[] = [];
  for (let i = 0; i < a.length; i += 1) {
    const end = Math.min(b.length - 1, i + window);
    for (let j = Math.max(0, i - window); j <= end; j += 1) {
      if (taken[j] || a[i] !== b[j]) continue;
      taken[j] = true;
      found.push(a[i] ?? "");
      break;
    }
  }
  return { of: found, in: [...b].filter((_, j) => taken[j]) };
}

/**
 * The Jaro-Winkler similarity of two words, 0 to 1: Jaro's mean of the shares of matched letters and of those in order, with Winkler's
 * bonus for a common beginning of up to four letters. Source: W. E. Winkler, "String Comparator Metrics and Enhanced Decision Rules in
 * the Fellegi-Sunter Model of Record Linkage", 1990.
 */
export function jaroWinkler(a: string, b: string): number {
  if (a === b) return 1;
  const { of, in: other } = matched(a, b);
  const m = of.length;
  if (m === 0) return 0;
  const moved = of.filter((letter, i) => letter !== other[i]).length / 2;
  const jaro = (m / a.length + m / b.length + (m - moved) / m) / 3;
  let prefix = 0;
  while (prefix < LONGEST_PREFIX && prefix < a.length && a[prefix] === b[prefix]) prefix += 1;
  return jaro > PREFIX_FROM ? jaro + prefix * PREFIX_WEIGHT * (1 - jaro) : jaro;
}

function wordSimilarity(a: string, b: string): number {
  if (a === b) return 1;
  if (a.length === 1 || b.length === 1) return a[0] === b[0] ? INITIAL : 0;
  const likeness = jaroWinkler(a, b);
  return likeness < LEAST_ALIKE ? 0 : likeness;
}

export interface NameLikeness {
  /** 0 to 1. */
  readonly score: number;
  /** The smallest likeness among the words that were matched: it keeps twins apart. */
  readonly weakest: number;
}

/** Assigns each of the fewer words to one of the more so that the sum is largest: names have few words, so all ways are tried. */
function bestAssignment(few: readonly string[], many: readonly string[]): readonly number[] {
  const [first, ...rest] = few;
  if (first === undefined) return [];
  let best: readonly number[] = [];
  let bestSum = -1;
  for (const [i, word] of many.entries()) {
    const likeness = wordSimilarity(first, word);
    const others = bestAssignment(
      rest,
      many.filter((_, n) => n !== i),
    );
    const sum = likeness + others.reduce((all, n) => all + n, 0);
    if (sum > bestSum) [best, bestSum] = [[likeness, ...others], sum];
  }
  return best;
}

/** More words than any name that is compared word by word: trying all ways grows with their factorial. */
const MOST_WORDS = 6;

function keyLikeness(a: string, b: string): NameLikeness {
  if (a === "" || b === "") return { score: 0, weakest: 0 };
  if (compact(a) === compact(b)) return { score: 1, weakest: 1 };
  const words = [a.split(" ").slice(0, MOST_WORDS), b.split(" ").slice(0, MOST_WORDS)] as const;
  const [few, many] = words[0].length <= words[1].length ? words : [words[1], words[0]];
  const matches = bestAssignment(few, many);
  const surplus = Math.min(MOST_SURPLUS, SURPLUS_WORD * (many.length - few.length));
  const score = matches.reduce((sum, n) => sum + n, 0) / few.length - surplus;
  const most = few.length === 1 && many.length > 1 ? ONE_WORD_AT_MOST : 1;
  return { score: Math.min(most, Math.max(0, score)), weakest: Math.min(...matches) };
}

/** How alike two names are, the order of their words playing no part; of the two ways of folding umlauts the better counts. */
export function nameSimilarity(a: string, b: string): NameLikeness {
  const plain = keyLikeness(fold(a), fold(b));
  const spelt = keyLikeness(wide(a), wide(b));
  return spelt.score > plain.score ? spelt : plain;
}
