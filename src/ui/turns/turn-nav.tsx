import Link from "next/link";
import { TURNS } from "../../core/file/facts";
import { REASON_WORDS, TURN_WORDS } from "../../text/words/office";
import type { DayList } from "../../views/turns/filter";
import type { NamedList } from "../../views/turns/named-lists";
import type { TurnsData } from "../../views/turns/turns";
import { NamedListLink } from "./named-list-link.client";
import { type LookActs, SeenPress } from "./seen-press.client";
import { DAYS, type TurnQuery, turnAddress } from "./turn-query";

const DAY_WORDS: Readonly<Record<DayList, string>> = {
  "came in": "Came in since yesterday",
  "due this week": "Due this week",
  stuck: "Stuck with others",
  "for me": "Noted for me",
};

/** What a list of the day is called, for whoever has said what they have seen and for others. */
export const dayWords = (day: DayList, looked: string | null): string =>
  day === "came in" && looked !== null ? "Came in since my last look" : DAY_WORDS[day];

/** The lists that a day begins with. */
function DayLists({ data, query, look }: { data: TurnsData; query: TurnQuery; look: LookActs }) {
  return (
    <div className="day-lists">
      <h2>Today</h2>
      <ul>
        {Object.entries(DAYS).map(([key, day]) => (
          <li key={key}>
            <Link href={turnAddress({}, { day: key })} aria-current={query.day === key ? "page" : undefined}>
              <span>{dayWords(day, data.looked)}</span>
              <span className="count">{data.days[day]}</span>
            </Link>
            {day === "came in" && query.day === key ? (
              <SeenPress readAt={data.now} count={data.days[day]} looked={data.looked !== null} acts={look} />
            ) : null}
          </li>
        ))}
        <li>
          <Link href="/office/drafts?kind=ready">
            <span>Almost sent</span>
            <span className="count">{data.almostSent}</span>
          </Link>
        </li>
      </ul>
    </div>
  );
}

/** Whose turn it is and what holds the files of one turn, the lists of the day, and those that have a name. */
export function TurnNav({
  data,
  query,
  lists,
  here,
  leads,
  drop,
  look,
}: {
  data: TurnsData;
  query: TurnQuery;
  lists: readonly NamedList[];
  /** The address of the list that is shown, as names are kept for it. */
  here: string;
  leads: boolean;
  drop: (listId: string) => Promise<string | null>;
  look: LookActs;
}) {
  // What narrows the list goes along from turn to turn.
  const { find: _find, after: _after, turn: _turn, reason: _reason, also: _also, day: _day, ...kept } = query;
  return (
    <nav className="turn-nav" aria-label="Whose turn">
      <h2>Whose turn</h2>
      {TURNS.map((turn) => {
        const reasons = data.counts.filter((c) => c.turn === turn).sort((a, b) => b.count - a.count);
        const total = reasons.reduce((sum, r) => sum + r.count, 0);
        const shown = query.also ?? query.turn ?? (query.said || query.day ? "" : "office");
        const open = shown === turn && query.find === undefined;
        const also = data.also.find((a) => a.turn === turn)?.count ?? 0;
        return (
          <div key={turn}>
            <Link
              href={turnAddress(kept, { turn })}
              aria-current={open && !query.reason && !query.also ? "page" : undefined}
              className="turn-line"
            >
              <span className="turn-mark" data-turn={turn} />
              <span>{turn === "office" ? "Ours" : TURN_WORDS[turn]}</span>
              <span className="count">{total}</span>
            </Link>
            {also > 0 ? (
              <Link
                href={turnAddress(kept, { also: turn })}
                aria-current={query.also === turn ? "page" : undefined}
                className="also-line"
              >
                <span>{turn === "payment" ? "also to be paid" : "also with them"}</span>
                <span className="count">+{also}</span>
              </Link>
            ) : null}
            {open ? (
              <ul>
                {reasons.map((r) => (
                  <li key={r.reason}>
                    <Link
                      href={turnAddress(kept, { turn, reason: r.reason })}
                      aria-current={query.reason === r.reason ? "page" : undefined}
                      data-turn={turn}
                    >
                      <span>{REASON_WORDS[r.reason]}</span>
                      <span className="count">{r.count}</span>
                    </Link>
                  </li>
                ))}
              </ul>
            ) : null}
          </div>
        );
      })}
      <DayLists data={data} query={query} look={look} />
      {lists.length > 0 ? (
        <div className="day-lists">
          <h2>Lists</h2>
          <ul>
            {lists.map((list) => (
              <NamedListLink
                key={list.id}
                list={list}
                here={list.query === here}
                mayDrop={list.by === null || leads}
                drop={drop}
              />
            ))}
          </ul>
        </div>
      ) : null}
    </nav>
  );
}
