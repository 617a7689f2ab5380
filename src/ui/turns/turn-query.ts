import { typedNumber } from "../../core/file/typed-number";
import { fold } from "../../core/people/fold";
import type { DayList, Order, RoundFilter } from "../../views/turns/filter";

/** What the address of the list of turns says. */
export interface TurnQuery {
  readonly turn?: string;
  readonly reason?: string;
  /** A turn under which a step is owed while it is another one's turn. */
  readonly also?: string;
  readonly mine?: string;
  /** In whose hands: an officer's id, or `nobody`. */
  readonly officer?: string;
  /** Tags that all have to hold, such as `programme:MES`. */
  readonly with?: string | readonly string[];
  /** A word that officers have put on files. */
  readonly mark?: string;
  /** `in`, `week`, `stuck` or `me`. */
  readonly day?: string;
  /** `1`: only what can still be mended before its round closes; `2`: only what was left with gaps when it had closed. */
  readonly mend?: string;
  /** `1`: only files with a statement like somebody else’s that nobody has judged yet. */
  readonly alike?: string;
  /** `start,section,field,value`: only submitted applications of the start in which this was answered. */
  readonly said?: string;
  readonly find?: string;
  readonly order?: string;
  readonly after?: string;
}

const ROUNDS: Readonly<Record<string, RoundFilter>> = { "1": "open", "2": "closed" };
export const DAYS: Readonly<Record<string, DayList>> = {
  in: "came in",
  week: "due this week",
  stuck: "stuck",
  me: "for me",
};

/** An address is looked for as it is, a number as it is written; in names nothing but letters and figures counts. */
function lookedFor(find: string): string {
  if (find.includes("@")) return find.trim().toLowerCase();
  const number = typedNumber(find);
  return number === null ? fold(find) : `#${number}`;
}

export const tagsOf = (query: TurnQuery): readonly string[] =>
  query.with === undefined ? [] : typeof query.with === "string" ? [query.with] : query.with;

/** The same as the views of turns read it: whoever looks for a name looks through all turns. */
export function turnFilter(query: TurnQuery) {
  const { turn, reason, also, mine, mend, alike, said, find, after } = query;
  const finding = find !== undefined && find !== "";
  const day = DAYS[query.day ?? ""] ?? null;
  const [start = "", section = "", field = "", ...value] = (said ?? "").split(",");
  return {
    turn: finding || also ? null : (turn ?? (said || day ? null : "office")),
    reason: reason ?? null,
    also: finding ? null : (also ?? null),
    mine: mine === "1",
    officer: query.officer ?? null,
    mark: query.mark ?? null,
    tags: [...tagsOf(query)].map((tag) => tag.slice(0, 160)).slice(0, 20),
    day,
    round: ROUNDS[mend ?? ""] ?? null,
    said: said ? { start, section, field, value: value.join(",") } : null,
    alike: alike === "1",
    find: finding ? lookedFor(find).slice(0, 100) : null,
    order: (query.order ?? "urgent") as Order, // another word leads to the most urgent first
    after: after ?? null,
  };
}

/** The address of a list; a change of its filter begins at its first page. */
export function turnAddress(query: TurnQuery, change: TurnQuery): string {
  const merged = Object.entries({ ...query, after: "", ...change }).flatMap(([key, value]) =>
    (typeof value === "string" ? [value] : (value ?? [])).filter((text) => text !== "").map((text) => [key, text]),
  );
  return merged.length === 0 ? "/office" : `/office?${new URLSearchParams(merged)}`;
}
