import "server-only";
import { formatDay } from "../../core/time/day";
import { webRuntime } from "../../runtime";
import { formatDayOf, formatMoment } from "../../text/format";
import { foundWords, proposedDay, shortTimeLeft, TURN_WORDS } from "../../text/words/office";
import type { TurnLine } from "../../ui/turns/turn-line.client";
import type { TurnRow } from "../../views/turns/turns";
import { officeNow } from "../../views/view/office-now";
import { turnDeed } from "./turn-deed";

/** A day of this cycle: the year goes without saying. */
const dayMonth = (instant: string, zone: string): string => formatDayOf("en", instant, zone).replace(/ \d{4}$/u, "");

/** Turns rows of the list into lines that are ready to be read: time left in working days, deeds as sentences. */
export async function officeClock() {
  const office = await officeNow((await webRuntime()).pool);
  const day = (instant: string) => dayMonth(instant, office.set.zone);
  const timeTo = (dueAt: string | null, now: number) => {
    const left = shortTimeLeft(dueAt, now, office.calendar, office.zone);
    return {
      left: dueAt ? left.text : "—",
      late: left.late,
      due: dueAt ? formatMoment("en", dueAt, office.set.zone) : "",
    };
  };
  const line = (row: TurnRow, now: number): TurnLine => {
    return {
      ...timeTo(row.dueAt, now),
      id: row.id,
      number: row.number,
      name: row.name || "no name yet",
      programmes: row.programmes.replace(/ /gu, " · "),
      turn: row.turn,
      turnWord: TURN_WORDS[row.turn],
      also: row.also.map((turn) => ({ turn, word: TURN_WORDS[turn] })),
      comb: row.comb,
      deed: turnDeed(row),
      mend: row.mendUntil ? formatMoment("en", row.mendUntil, office.set.zone) : null,
      mendDay: row.mendUntil ? day(row.mendUntil) : "",
      last: day(row.lastEventAt),
      officer: row.officer,
      foundBy: foundWords(row.foundBy),
    };
  };
  /** The day by which what is asked now is answered as a rule. */
  const askDue = (now: number): string =>
    formatDay(proposedDay(office.calendar, office.zone, now, office.set.targets.ask));
  return { line, timeTo, day, askDue };
}
