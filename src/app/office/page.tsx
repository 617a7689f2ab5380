import { redirect } from "next/navigation";
import { isTurn } from "../../core/file/facts";
import { isFileReason } from "../../core/file/reason";
import { holds, OFFICE } from "../../core/rights/actor";
import { listQuery } from "../../core/turns/named-list";
import { REASON_WORDS, TURN_WORDS } from "../../text/words/office";
import { TurnList } from "../../ui/turns/turn-list.client";
import { dayWords, TurnNav } from "../../ui/turns/turn-nav";
import { type TurnQuery, turnAddress, turnFilter } from "../../ui/turns/turn-query";
import { namedLists } from "../../views/turns/named-lists";
import { listDigest, type TurnsData, turns } from "../../views/turns/turns";
import { identity, requirePerson, see } from "../request";
import { choicesForMany, doToSome, dropNamedList, keepNamedList, seenUntil, takeLastLookBack } from "./lists.action";
import { copyThem, takeInHand } from "./office.action";
import { officeClock } from "./office-clock";

type Shown = ReturnType<typeof turnFilter>;

/** What the list holds, as its heading. */
function titleOf(
  query: TurnQuery,
  { turn, reason, day, find }: Shown,
  name: string | undefined,
  looked: string | null,
): string {
  if (find !== null) return `Found: ${query.find}`;
  if (name !== undefined) return name;
  if (day !== null) return dayWords(day, looked);
  if (query.also && isTurn(query.also)) return `${TURN_WORDS[query.also]}, too`;
  if (reason !== null && isFileReason(reason)) return REASON_WORDS[reason];
  if (turn === "office") return "Ours";
  return isTurn(turn) ? TURN_WORDS[turn] : "All";
}

/** How many files the list holds: where it is that of a day and of no turn, all that are counted there. */
const totalShown = (data: TurnsData, { day, turn, reason }: Shown): number =>
  day !== null && turn === null && reason === null ? data.counts.reduce((sum, c) => sum + c.count, 0) : data.total;

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
  const [data, lists] = await Promise.all([see(turns, person.actor, filter), see(namedLists, person.actor, {})]);
  if (!data) redirect("/office/no-permission");
  const finding = filter.find !== null;
  const clock = await officeClock();
  const here = listQuery(turnAddress(query, {}).split("?")[1] ?? "");
  const leads = holds(person.actor, ["lead officer"]);
  return (
    <div className="turns">
      <TurnNav
        data={data}
        query={query}
        lists={lists ?? []}
        here={here}
        leads={leads}
        drop={dropNamedList}
        look={{ seen: seenUntil, takeBack: takeLastLookBack }}
      />
      <TurnList
        key={JSON.stringify(query)}
        forFinance={holds(person.actor, ["finance"], [])}
        leads={leads}
        title={titleOf(query, filter, (lists ?? []).find((l) => l.query === here)?.name, data.looked)}
        total={finding ? data.rows.length : totalShown(data, filter)}
        rows={data.rows.map((row) => clock.line(row, Date.parse(data.now)))}
        near={data.near}
        query={query}
        here={here}
        due={clock.askDue(Date.parse(data.now))}
        round={filter.round}
        chips={data.chips}
        said={data.said}
        tableHref={turnAddress(query, {}).replace("/office", "/api/turns")}
        digest={listDigest(data)}
        digestHref={turnAddress(query, { after: query.after ?? "" }).replace("/office", "/api/turns/digest")}
        nextHref={data.next ? turnAddress(query, { after: data.next }) : null}
        firstHref={query.after ? turnAddress(query, {}) : null}
        take={takeInHand}
        copy={copyThem}
        keep={keepNamedList}
        many={{ choices: choicesForMany, doToSome }}
      />
    </div>
  );
}
