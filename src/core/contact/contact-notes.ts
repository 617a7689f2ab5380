import type { Instant } from "../ids";

/** What was noted of a number or an address: by the office after a call or a letter, or by the applicant. */
export const REACH_KINDS = ["talked", "no answer", "dead", "returned", "asked", "confirmed"] as const;
export type ContactKind = (typeof REACH_KINDS)[number];

export interface ContactNote {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly field: string;
  /** The version of the answer that it is about: a newer number or address starts anew. */
  readonly version: number;
  readonly kind: ContactKind;
  readonly at: Instant;
}

/** Whether somebody is reached there: nobody knows yet, it has been shown or said to be right, or it failed. */
export type Reached = "not confirmed" | "holds" | "fails";

export interface ContactState {
  readonly reached: Reached;
  /** Since when; null while nothing is known. */
  readonly since: Instant | null;
  /** What says so. */
  readonly last: ContactKind | null;
  /** When the applicant was asked last and has not answered. */
  readonly askedAt: Instant | null;
}

type Placed = Pick<ContactNote, "scope" | "section" | "entry" | "field" | "version">;

const OUTCOME: Partial<Record<ContactKind, Reached>> = {
  talked: "holds",
  confirmed: "holds",
  dead: "fails",
  returned: "fails",
};

/** Where a number or an address stands: the last outcome counts, and a call that nobody answered is none. */
export function contactState(notes: readonly ContactNote[], place: Placed): ContactState {
  const own = notes
    .filter(
      (n) =>
        n.scope === place.scope &&
        n.section === place.section &&
        n.entry === place.entry &&
        n.field === place.field &&
        n.version === place.version,
    )
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
  const last = own.findLast((n) => OUTCOME[n.kind] !== undefined);
  const asked = own.findLast((n) => n.kind === "asked");
  return {
    reached: (last && OUTCOME[last.kind]) ?? "not confirmed",
    since: last?.at ?? null,
    last: last?.kind ?? null,
    askedAt: asked && (last === undefined || asked.at > last.at) ? asked.at : null,
  };
}
