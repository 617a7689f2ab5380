import Link from "next/link";
import { redirect } from "next/navigation";
import { isTurn, TURNS } from "../../core/file/facts";
import { isFileReason } from "../../core/file/reason";
import { holds, OFFICE } from "../../core/rights/actor";
import { REASON_WORDS, TURN_WORDS } from "../../text/words/office";
import { TurnList } from "../../ui/assessment/turn-list.client";
import { type TurnsData, turns } from "../../views/assessment/turns";
import { identity, requirePerson, see } from "../request";
import { copyThem, takeInHand } from "./office.action";
import { officeClock } from "./office-clock";
import { type TurnQuery, turnFilter } from "./turn-filter";

function address(query: TurnQuery, change: TurnQuery): string {
  const merged = Object.entries({ ...query, ...change }).filter(
    (e): e is [string, string] => typeof e[1] === "string" && e[1] !== "",
  );
  return merged.length === 0 ? "/office" : `/office?${new URLSearchParams(merged)}`;
}

/** What the list holds, as its heading. */
function titleOf(reason: string, turn: string | null): string {
  if (isFileReason(reason)) return REASON_WORDS[reason];
  if (turn === "office") return "Ours";
  return isTurn(turn) ? TURN_WORDS[turn] : "All";
}

/** Any round, then those still open, then those that have closed, and round again. */
const NEXT_ROUND: Readonly<Record<string, string>> = { "": "1", "1": "2" };

function TurnNav({ data, query }: { data: TurnsData; query: TurnQuery }) {
  const kept = { mine: query.mine ?? "", mend: query.mend ?? "", alike: query.alike ?? "", said: query.said ?? "" };
  return (
    <nav className="turn-nav" aria-label="Whose turn">
      <h2>Whose turn</h2>
      {TURNS.map((turn) => {
        const reasons = data.counts.filter((c) => c.turn === turn).sort((a, b) => b.count - a.count);
        const total = reasons.reduce((sum, r) => sum + r.count, 0);
        const shown = query.also ?? query.turn ?? (query.said ? "" : "office");
        const open = shown === turn && query.find === undefined;
        const also = data.also.find((a) => a.turn === turn)?.count ?? 0;
        return (
          <div key={turn}>
            <Link
              href={address(kept, { turn })}
              aria-current={open && !query.reason && !query.also ? "page" : undefined}
              className="turn-line"
            >
              <span className="turn-mark" data-turn={turn} />
              <span>{turn === "office" ? "Ours" : TURN_WORDS[turn]}</span>
              <span className="count">{total}</span>
            </Link>
            {also > 0 ? (
              <Link
                href={address(kept, { also: turn })}
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
                      href={address(kept, { turn, reason: r.reason })}
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
    </nav>
  );
}

/** The officer's home: the files whose turn is ours, the most urgent first. */
export default async function TurnsPage({ searchParams }: { searchParams: Promise<TurnQuery> }) {
  const query = await searchParams;
  const person = await requirePerson("/office");
  if (!holds(person.actor, OFFICE))
    redirect(
      holds(person.actor, ["administrator"])
        ? "/office/people"
        : holds(person.actor, ["finance"])
          ? "/office/money"
          : holds(person.actor, ["adviser"])
            ? "/office/confided"
            : (await identity())?.actor.grants.length
              ? "/office/no-permission"
              : "/my",
    );
  const filter = turnFilter(query);
  const { turn } = filter;
  const finding = filter.find !== null;
  const data = await see(turns, person.actor, filter);
  if (!data) redirect("/office/no-permission");
  const title = finding
    ? `Found: ${query.find}`
    : query.also && isTurn(query.also)
      ? `${TURN_WORDS[query.also]}, too`
      : titleOf(query.reason ?? "", turn);
  const clock = await officeClock();
  return (
    <div className="turns">
      <TurnNav data={data} query={query} />
      <TurnList
        key={JSON.stringify(query)}
        forFinance={holds(person.actor, ["finance"], [])}
        title={title}
        total={finding ? data.rows.length : data.total}
        rows={data.rows.map((row) => clock.line(row, Date.parse(data.now)))}
        mine={query.mine === "1"}
        mineHref={address(query, { mine: query.mine === "1" ? "" : "1", after: "" })}
        round={filter.round}
        roundHref={address(query, { mend: NEXT_ROUND[query.mend ?? ""] ?? "", after: "" })}
        said={data.said}
        saidHref={address(query, { said: "", after: "" })}
        alike={filter.alike}
        alikeHref={address(query, { alike: filter.alike ? "" : "1", after: "" })}
        tableHref={address(query, { after: "" }).replace("/office", "/api/turns")}
        nextHref={data.next ? address(query, { after: data.next }) : null}
        firstHref={query.after ? address(query, { after: "" }) : null}
        take={takeInHand}
        copy={copyThem}
      />
    </div>
  );
}
