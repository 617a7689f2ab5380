import { add, type Ratio, ZERO } from "../numbers/ratio";

/** One line of a transcript as its credits are counted; null while something is not known. */
export interface AreaLine {
  readonly area: string | null;
  readonly credits: Ratio | null;
  readonly status: string | null;
  /** Whether the office confirmed its area, its credits and its status. */
  readonly confirmed: boolean;
}

export interface AreaCredits {
  readonly area: string | null;
  readonly completed: Ratio;
  /** Of the completed ones. */
  readonly confirmed: Ratio;
  /** In progress or registered. */
  readonly running: Ratio;
}

/** Adds up the credits of a transcript by subject area, in the order in which the areas first occur; courses without one come last. */
export function creditsByArea(lines: readonly AreaLine[]): readonly AreaCredits[] {
  const sums = new Map<string | null, AreaCredits>();
  for (const { area, credits, status, confirmed } of lines) {
    const known = sums.get(area) ?? { area, completed: ZERO, confirmed: ZERO, running: ZERO };
    const worth = credits ?? ZERO;
    const completed = status === "completed";
    const running = status === "in progress" || status === "registered";
    sums.set(area, {
      area,
      completed: completed ? add(known.completed, worth) : known.completed,
      confirmed: completed && confirmed ? add(known.confirmed, worth) : known.confirmed,
      running: running ? add(known.running, worth) : known.running,
    });
  }
  return [...sums.values()].sort((a, b) => Number(a.area === null) - Number(b.area === null));
}
