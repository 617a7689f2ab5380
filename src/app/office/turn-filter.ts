import { fold } from "../../core/identity/fold";

/** What the address of the list of turns says. */
export interface TurnQuery {
  readonly turn?: string;
  readonly reason?: string;
  readonly mine?: string;
  /** `1`: only what can still be mended before its round closes. */
  readonly mend?: string;
  readonly find?: string;
  readonly after?: string;
}

/** The same as the views of turns read it: whoever looks for a name looks through all turns. */
export function turnFilter({ turn, reason, mine, mend, find, after }: TurnQuery) {
  const finding = find !== undefined && find !== "";
  return {
    turn: finding ? null : (turn ?? "office"),
    reason: reason ?? null,
    mine: mine === "1",
    mendable: mend === "1",
    find: finding ? fold(find).slice(0, 100) : null,
    after: after ?? null,
  };
}
