import type { Round } from "../file/facts";

/**
 * Where a round stands at an instant. Closings are exclusive: open while `opens ≤ now < closes`, by the moment of receipt.
 */
export type RoundState = "coming" | "open" | "full" | "closed";

export interface RoundWindow {
  readonly opensAt: string;
  readonly closings: readonly { readonly group: string; readonly at: string }[];
  /** The office closed it early, or its last place went. */
  readonly closedAt: string | null;
  readonly closedReason: string | null;
  /** It opens only if places are left, and nobody has found that yet. */
  readonly waits?: boolean;
}

/** Written as the reason of a round that closed with its last place. */
export const FULL = "full";

/** @param group the applicant group; null for somebody whose group is not known: open while it is open for anybody */
export function roundState(round: RoundWindow, group: string | null, now: number): RoundState {
  if (round.closedAt !== null && now >= Date.parse(round.closedAt))
    return round.closedReason === FULL ? "full" : "closed";
  const own = round.closings.filter((c) => group === null || c.group === group);
  const last = Math.max(...(own.length > 0 ? own : round.closings).map((c) => Date.parse(c.at)));
  if (now >= last) return "closed";
  return now < Date.parse(round.opensAt) || round.waits ? "coming" : "open";
}

/**
 * The exclusive closing instant, epoch milliseconds, for one person's choice: that of the group (the earliest of all while the
 * group is unknown), moved forward where the office closed the round early, and moved back by an extension for this person.
 */
export function closingOf(
  round: Pick<Round, "closings" | "closedAt">,
  group: string | null,
  extendedTo: string | null,
): number {
  const own = round.closings.find((c) => c.group === group);
  const planned = own ? Date.parse(own.at) : Math.min(...round.closings.map((c) => Date.parse(c.at)));
  const closing = round.closedAt === null ? planned : Math.min(planned, Date.parse(round.closedAt));
  return extendedTo === null ? closing : Math.max(closing, Date.parse(extendedTo));
}
