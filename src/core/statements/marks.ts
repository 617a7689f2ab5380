import type { ComparedWord } from "./compared-words";

/** So many words in a row are hashed together. */
export const SEED = 5;
/** Of so many hashes that follow each other one is kept. */
const WINDOW = 6;
/** Words in a row that two texts must share to be sure to share a mark, and the shortest passage that is looked at. */
export const LEAST_RUN = SEED + WINDOW - 1;

const PRIME = 0x01000193;

function hashOf(key: string, seed: number): number {
  let hash = seed;
  for (let i = 0; i < key.length; i += 1) hash = Math.imul(hash ^ key.charCodeAt(i), PRIME);
  return hash;
}

/**
 * The hash of every run of five words: whole numbers below 2^53, at the index of the run's first word. Two hashes of 32 and 21 bits (FNV-1a)
 * are put side by side.
 */
export function seedsOf(words: readonly ComparedWord[]): readonly number[] {
  const high = words.map((w) => hashOf(w.key, 0x811c9dc5));
  const low = words.map((w) => hashOf(w.key, 0x050c5d1f));
  const seeds: number[] = [];
  for (let i = 0; i + SEED <= words.length; i += 1) {
    let [a, b] = [0x811c9dc5, 0x050c5d1f];
    for (let k = i; k < i + SEED; k += 1) {
      a = Math.imul(a ^ (high[k] ?? 0), PRIME) + 0x9e3779b9;
      b = Math.imul(b ^ (low[k] ?? 0), PRIME) + 0x85ebca6b;
      a ^= a >>> 15;
      b ^= b >>> 13;
    }
    seeds.push((a >>> 0) * 0x20_0000 + (b >>> 11));
  }
  return seeds;
}

/**
 * The marks by which texts that share a passage are found, ascending and each once: the smallest of every six hashes that follow each
 * other. Two texts that share ten words in a row have a mark in common, wherever the passage stands in either.
 * Source: Schleimer, Wilkerson and Aiken, “Winnowing: Local Algorithms for Document Fingerprinting”, SIGMOD 2003.
 */
export function marksOf(words: readonly ComparedWord[]): readonly number[] {
  const seeds = seedsOf(words);
  const kept = new Set<number>();
  for (let i = 0; i + WINDOW <= seeds.length; i += 1) kept.add(Math.min(...seeds.slice(i, i + WINDOW)));
  return [...kept].sort((a, b) => a - b);
}
