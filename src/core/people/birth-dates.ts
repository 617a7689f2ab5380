/** How two dates of birth stand to each other; each as `2004`, `2004-05` or `2004-05-17`, "" while unknown. */
export type BirthDates = "equal" | "swap" | "near" | "compatible" | "unknown" | "different";

const WHOLE = 10;

function swapped(date: string): string {
  const [year, month, day] = date.split("-");
  return `${year}-${day}-${month}`;
}

/** One digit differs, or two neighbouring ones are exchanged. */
function oneSlip(a: string, b: string): boolean {
  const [x, y] = [a.replace(/-/gu, ""), b.replace(/-/gu, "")];
  const at = [...x].flatMap((digit, i) => (digit === y[i] ? [] : [i]));
  const [first = 0, second = 0] = at;
  return (
    at.length === 1 || (at.length === 2 && second === first + 1 && x[first] === y[second] && x[second] === y[first])
  );
}

export function compareBirthDates(a: string, b: string): BirthDates {
  if (a === "" || b === "") return "unknown";
  if (a.length < WHOLE || b.length < WHOLE) {
    if (a === b) return a.length === WHOLE ? "equal" : "compatible";
    return a.startsWith(b) || b.startsWith(a) ? "compatible" : "different";
  }
  if (a === b) return "equal";
  if (swapped(a) === b) return "swap";
  return oneSlip(a, b) ? "near" : "different";
}
