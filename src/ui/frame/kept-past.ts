/** What can be taken back in a draft, kept in the tab: it outlives leaving the page, and goes with the tab. */
const MOST_CHARACTERS = 2_000_000;

const placeOf = (draft: string): string => `taken-back ${draft}`;

interface Kept<T> {
  /** The state of the draft that the past leads to. */
  readonly edit: number;
  readonly past: readonly T[];
}

/** The past of a draft; none where somebody has changed it since, or nothing is kept. */
export function keptPast<T>(draft: string, edit: number): readonly T[] {
  try {
    const kept = JSON.parse(sessionStorage.getItem(placeOf(draft)) ?? "null") as Kept<T> | null;
    return kept?.edit === edit ? kept.past : [];
  } catch {
    return [];
  }
}

/** Keeps the past of a draft; of a long one the latest states alone. */
export function keepPast<T>(draft: string, edit: number, past: readonly T[]): void {
  const states = past.map((state) => JSON.stringify(state));
  let size = 0;
  const fitting = states.findLastIndex((state) => {
    size += state.length;
    return size > MOST_CHARACTERS;
  });
  try {
    sessionStorage.setItem(placeOf(draft), `{"edit":${edit},"past":[${states.slice(fitting + 1).join(",")}]}`);
  } catch {
    sessionStorage.removeItem(placeOf(draft)); // the tab has no room: what can be taken back stays on the page
  }
}
