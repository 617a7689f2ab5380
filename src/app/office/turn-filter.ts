import { typedNumber } from "../../core/file/typed-number";
import { fold } from "../../core/people/fold";
import type { RoundFilter } from "../../views/assessment/turns";

/** What the address of the list of turns says. */
export interface TurnQuery {
  readonly turn?: string;
  readonly reason?: string;
  /** A turn under which a step is owed while it is another one's turn. */
  readonly also?: string;
  readonly mine?: string;
  /** `1`: only what can still be mended before its round closes; `2`: only what was left with gaps when it had closed. */
  readonly mend?: string;
  /** `1`: only files with a statement like somebody else’s that nobody has judged yet. */
  readonly alike?: string;
  /** `start,section,field,value`: only submitted applications of the start in which this was answered. */
  readonly said?: string;
  readonly find?: string;
  readonly after?: string;
}

const ROUNDS: Readonly<Record<string, RoundFilter>> = { "1": "open", "2": "closed" };

/** An address is looked for as it is, a number as it is written; in names nothing but letters and figures counts. */
const lookedFor = (find: string): string =>
  find.includes("@") ? find.trim().toLowerCase() : (typedNumber(find) ?? fold(find));

/** The same as the views of turns read it: whoever looks for a name looks through all turns. */
export function turnFilter({ turn, reason, also, mine, mend, alike, said, find, after }: TurnQuery) {
  const finding = find !== undefined && find !== "";
  const [start = "", section = "", field = "", ...value] = (said ?? "").split(",");
  return {
    turn: finding || also ? null : (turn ?? (said ? null : "office")),
    reason: reason ?? null,
    also: finding ? null : (also ?? null),
    mine: mine === "1",
    round: ROUNDS[mend ?? ""] ?? null,
    said: said ? { start, section, field, value: value.join(",") } : null,
    alike: alike === "1",
    find: finding ? lookedFor(find).slice(0, 100) : null,
    after: after ?? null,
  };
}
