/** How much of a week somebody studies. */
export const MODES = ["full time", "part time"] as const;
export type Mode = (typeof MODES)[number];
