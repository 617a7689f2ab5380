/** Fewer people than this are not shown as a figure where nobody may know who said what. */
export const FEWEST_SHOWN = 5;

/**
 * Which figures of one question are withheld, so that no small group can be told: those of one to four people, and where the sum is known
 * as many more, the smallest first, as it takes that no withheld figure follows from the others. A zero is shown unless it is needed for that.
 * Source: the usual rule of primary and secondary cell suppression (Willenborg and de Waal, “Elements of Statistical Disclosure
 * Control”, 2001, chapter 4), for a table of one dimension.
 * @param counts of all answers, those left out and unknown among them where the sum is known
 * @param summed whether the sum of the counts is shown or can be known
 */
export function withheld(counts: readonly number[], summed: boolean): readonly boolean[] {
  const kept = counts.map((count) => count > 0 && count < FEWEST_SHOWN);
  if (!summed) return kept;
  const hidden = () => counts.reduce((sum, count, i) => (kept[i] ? sum + count : sum), 0);
  const lines = () => kept.filter((k) => k).length;
  const order = counts
    .map((count, i) => ({ count, i }))
    .sort((a, b) => Number(a.count === 0) - Number(b.count === 0) || a.count - b.count || a.i - b.i);
  for (const { i } of order) {
    if (lines() === 0 || (lines() > 1 && hidden() >= FEWEST_SHOWN)) break;
    kept[i] = true;
  }
  return kept;
}
