/** Three values, ordered so that "and" is the smaller and "or" the larger: not met, open, met (Kleene's strong logic). */
export type Truth = "not met" | "open" | "met";

/** How a condition came out, without its reasons. */
export interface Judgement {
  readonly truth: Truth;
  /** False when anything that this result stands on is only claimed. */
  readonly confirmed: boolean;
}

export const CONFIRMED: Readonly<Record<Truth, Judgement>> = {
  met: { truth: "met", confirmed: true },
  open: { truth: "open", confirmed: true },
  "not met": { truth: "not met", confirmed: true },
};
export const CLAIMED: Readonly<Record<Truth, Judgement>> = {
  met: { truth: "met", confirmed: false },
  open: { truth: "open", confirmed: false },
  "not met": { truth: "not met", confirmed: false },
};
export const judgement = (truth: Truth, confirmed: boolean): Judgement => (confirmed ? CONFIRMED : CLAIMED)[truth];
