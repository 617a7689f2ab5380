import { compact, fold } from "../people/fold";

/** Too little text says nothing: a stamp, a page number. */
const FEWEST_LETTERS = 80;
const SHORTEST_PART = 3;

const lettersIn = (text: string): number => text.match(/\p{L}/gu)?.length ?? 0;

/** The parts of a name by which somebody is recognised; initials and particles are none. A name without a longer part is taken whole. */
function partsOf(name: string): readonly string[] {
  const parts = fold(name).split(" ");
  const long = parts.filter((part) => part.length >= SHORTEST_PART);
  return long.length > 0 ? long : parts.filter((part) => part !== "");
}

/**
 * Whether a text carries a part of one of somebody's names, however its accents and capitals are. It helps who reads, and proves nothing.
 * @returns null where there is too little text to say
 */
export function carriesName(text: string, names: readonly string[]): boolean | null {
  const wanted = [...new Set(names.flatMap(partsOf))];
  if (wanted.length === 0 || lettersIn(text) < FEWEST_LETTERS) return null;
  const key = fold(text);
  const words = new Set(key.split(" "));
  // Scripts without blanks between words, and names that are printed in one.
  const whole = compact(key);
  return wanted.some((part) => words.has(part) || (part.length > SHORTEST_PART && whole.includes(part)));
}
