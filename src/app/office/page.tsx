import Link from "next/link";
import { redirect } from "next/navigation";
import { TURNS } from "../../core/assessment/facts";
import { holds, OFFICE } from "../../core/rights/actor";
import { REASON_WORDS, TURN_WORDS } from "../../text/office";
import { TurnList } from "../../ui/turn-list.client";
import { type TurnsData, turns } from "../../views/turns";
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
        const open = (query.turn ?? (query.said ? "" : "office")) === turn && query.find === undefined;
        return (
          <div key={turn}>
            <Link
              href={address(kept, { turn })}
              aria-current={open && !query.reason ? "page" : undefined}
              className="turn-line"
            >
              <span className="turn-mark" data-turn={turn} />
              <span>{turn === "office" ? "Ours" : TURN_WORDS[turn]}</span>
              <span className="count">{total}</span>
            </Link>
            {open ? (
              <ul>
                {reasons.map((r) => (
                  <li key={r.reason}>
                    <Link
                      href={address(kept, { turn, reason: r.reason })}
                      aria-current={query.reason === r.reason ? "page" : undefined}
                      data-turn={turn}
                    >
                      <span>{REASON_WORDS[r.reason] ?? r.reason}</span>
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
    : query.reason
      ? (REASON_WORDS[query.reason] ?? query.reason)
      : turn === "office"
        ? "Ours"
        : (TURN_WORDS[turn ?? ""] ?? "All");
  const clock = await officeClock();
  return (
    <div className="turns">
      <TurnNav data={data} query={query} />
      <TurnList
        key={JSON.stringify(query)}
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
