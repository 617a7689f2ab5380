import type { Bar, RequirementResult, Step } from "../file/result";
import type { Standing } from "../rulebook/requirement";

/** Worst first: a bar shared by repeated entries shows the worst of them. */
const WORST: readonly Standing[] = ["returned", "missing", "to check", "promised", "accepted", "excused", "not needed"];

/** More bars than these are no longer told apart at a glance. */
export const MOST_BARS = 24;

/** The section with which a requirement stands: the one it asks for, or the one whose values its document shows. */
function sectionOf(r: RequirementResult): string {
  if (r.kind === "sections") return r.sections[0] ?? r.kind;
  return r.kind === "document" ? (r.shows[0]?.split(".")[0] ?? r.key) : r.kind;
}

function barsBy(
  requirements: readonly RequirementResult[],
  next: Step | null,
  group: (r: RequirementResult) => string,
): readonly Bar[] {
  const bars = new Map<string, Bar>();
  for (const r of requirements) {
    const key = group(r);
    const known = bars.get(key);
    const holds =
      (known?.holds ?? false) || (next?.requirement === r.key && (next.scope === undefined || next.scope === r.scope));
    const standing = known && WORST.indexOf(known.standing) <= WORST.indexOf(r.standing) ? known.standing : r.standing;
    bars.set(key, { key, title: known?.title ?? r.title, standing, holds });
  }
  return [...bars.values()];
}

/**
 * One bar for each requirement, in the order of the first choice's rulebook; the one that the next step is about holds the file up. More
 * than 24 are grouped by the section with which they stand.
 */
export function comb(requirements: readonly RequirementResult[], next: Step | null): readonly Bar[] {
  const bars = barsBy(requirements, next, (r) => r.key);
  return bars.length <= MOST_BARS ? bars : barsBy(requirements, next, sectionOf);
}

const LETTERS: Readonly<Record<Standing, string>> = {
  missing: "m",
  promised: "p",
  "to check": "c",
  accepted: "a",
  returned: "r",
  excused: "x",
  "not needed": "n",
};

/** The comb as short text for lists: a letter a bar, upper case for the one that holds the file up. */
export function combText(bars: readonly Bar[]): string {
  return bars.map((b) => (b.holds ? LETTERS[b.standing].toUpperCase() : LETTERS[b.standing])).join("");
}

/** Reads back what `combText` wrote. */
export function readComb(text: string): readonly Pick<Bar, "standing" | "holds">[] {
  return [...text].flatMap((letter) => {
    const standing = WORST.find((s) => LETTERS[s] === letter.toLowerCase());
    return standing ? [{ standing, holds: letter !== letter.toLowerCase() }] : [];
  });
}
