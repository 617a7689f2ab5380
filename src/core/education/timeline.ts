import { addMonths, type Day, monthsBetween, type RoughDate } from "../time/day";
import { coveredMonths, merged, type Stretch } from "../time/stretches";

/** A study, a school, a job: something that somebody says they did from one day to another. */
export interface Episode {
  readonly id: string;
  readonly label: string;
  /** Those of one list are compared with each other. */
  readonly list: string;
  readonly from: RoughDate;
  /** Null while it goes on. */
  readonly to: RoughDate | null;
  /** The end is one that is expected, not one that has been. */
  readonly expected: boolean;
}

export interface Gap extends Stretch {
  readonly months: number;
}

export interface Overlap {
  readonly a: string;
  readonly b: string;
  readonly months: number;
}

export interface Timeline {
  /** By their beginning; what ends before it began is not among them. */
  readonly episodes: readonly Episode[];
  readonly from: Day;
  /** Exclusive. */
  readonly to: Day;
  readonly gaps: readonly Gap[];
  readonly overlaps: readonly Overlap[];
  /** What ends before it begins. */
  readonly reversed: readonly string[];
}

const LEAST_GAP = 3;
const LEAST_OVERLAP = 2;

/** All days that it can have been: rough dates at their widest, what goes on until `today`. */
function widest({ from, to }: Episode, today: Day): Stretch {
  return { from: from.from, to: Math.max(from.from + 1, (to?.to ?? today) + 1) };
}

/** The days that it has been for certain: rough dates at their narrowest. */
function surest({ from, to }: Episode, today: Day): Stretch {
  return { from: from.to, to: (to?.from ?? today) + 1 };
}

/** Between stretches, so far as they are long enough to ask about; summer holidays between two years are not. */
function gapsBetween(stretches: readonly Stretch[]): readonly Gap[] {
  return stretches.slice(1).flatMap((next, i): readonly Gap[] => {
    const before = stretches[i];
    if (!before) return [];
    const months = monthsBetween(before.to, next.from);
    return months >= LEAST_GAP ? [{ from: before.to, to: next.from, months }] : [];
  });
}

function overlapsIn(episodes: readonly Episode[], today: Day): readonly Overlap[] {
  return episodes.flatMap((a, i) =>
    episodes.slice(i + 1).flatMap((b): readonly Overlap[] => {
      if (a.list !== b.list) return [];
      const [x, y] = [surest(a, today), surest(b, today)];
      const months = coveredMonths([{ from: Math.max(x.from, y.from), to: Math.min(x.to, y.to) }]);
      return months >= LEAST_OVERLAP ? [{ a: a.label, b: b.label, months }] : [];
    }),
  );
}

/**
 * Somebody's years in order: what lies between, what was done at the same time, what cannot be.
 * @returns null where nothing has a beginning
 */
export function timeline(all: readonly Episode[], today: Day): Timeline | null {
  const isReversed = (e: Episode) => e.to !== null && e.to.to < e.from.from;
  const episodes = all.filter((e) => !isReversed(e)).sort((a, b) => a.from.from - b.from.from);
  const covered = merged(episodes.map((e) => widest(e, today)));
  const [first] = covered;
  const last = covered.at(-1);
  const reversed = all.filter(isReversed).map((e) => e.label);
  if (!first || !last)
    return reversed.length > 0 ? { episodes: [], from: today, to: today, gaps: [], overlaps: [], reversed } : null;
  return {
    episodes,
    from: first.from,
    to: Math.max(last.to, addMonths(first.from, 1)),
    gaps: gapsBetween(covered),
    overlaps: overlapsIn(episodes, today),
    reversed,
  };
}
