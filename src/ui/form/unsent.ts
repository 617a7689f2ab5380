import type { Json } from "../../core/file/facts";
import type { AnswerPlace, EntryPlace } from "../../core/file/place";
import type { SaveRefusal } from "../../core/form/save-result";

/** What was typed and has not reached the server, kept in this browser, per person and application. */
export interface Change extends AnswerPlace {
  readonly value: Json;
  /** The version that the writer saw; 0 for a field that was empty. */
  readonly seen: number;
}

export type Removal = EntryPlace;

/** What was typed and is not saved: another window has saved something else there, or the server will never take it. */
export type HeldChange = AnswerPlace & { readonly value: Json } & (
    | { readonly why: SaveRefusal }
    | { readonly why: "conflict"; readonly theirs: Json; readonly version: number }
  );

export interface Unsent {
  readonly changes: Readonly<Record<string, Change>>;
  readonly removed: readonly Removal[];
  /** By place; each stays until the person has decided about it. */
  readonly held: Readonly<Record<string, HeldChange>>;
}

export const NOTHING_UNSENT: Unsent = { changes: {}, removed: [], held: {} };

export const isAtEntry = (p: AnswerPlace, entry: Removal): boolean =>
  p.scope === entry.scope && p.section === entry.section && p.entry === entry.entry;

export const waits = ({ changes, removed }: Unsent): boolean => Object.keys(changes).length + removed.length > 0;

export function readUnsent(key: string): Unsent {
  try {
    const stored = localStorage.getItem(key);
    if (stored) return { ...NOTHING_UNSENT, ...(JSON.parse(stored) as Partial<Unsent>) }; // written by ourselves
  } catch {
    // no storage in this browser: what is typed waits in memory alone
  }
  return NOTHING_UNSENT;
}

export function keepUnsent(key: string, unsent: Unsent): void {
  try {
    if (!waits(unsent) && Object.keys(unsent.held).length === 0) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(unsent));
  } catch {
    // as above
  }
}

/** The same without some of its places. */
export function without<T extends AnswerPlace>(
  all: Readonly<Record<string, T>>,
  gone: (one: T) => boolean,
): Record<string, T> {
  return Object.fromEntries(Object.entries(all).filter(([, one]) => !gone(one)));
}

/** What goes back into the fields of a page that is opened again: all that the person can still save from there. */
export const typedBefore = ({ changes, held }: Unsent): Readonly<Record<string, Json>> =>
  Object.fromEntries(
    [
      ...Object.entries(changes),
      ...Object.entries(held).filter(([, h]) => h.why !== "locked" && h.why !== "unknown"),
    ].map(([key, { value }]) => [key, value]),
  );
