import "server-only";
import { STEP_KINDS, type StepKind } from "../../core/assessment/result";
import { webRuntime } from "../../runtime";
import { formatDate, formatMoment } from "../../text/format";
import { REASON_WORDS, shortTimeLeft, stepDeed, TURN_WORDS } from "../../text/office";
import type { TurnLine } from "../../ui/turn-list.client";
import { officeNow } from "../../views/office-now";
import type { TurnRow } from "../../views/turns";

const isStep = (reason: string): reason is StepKind => STEP_KINDS.some((kind) => kind === reason);

function deed(row: TurnRow): string {
  if (!isStep(row.reason)) return REASON_WORDS[row.reason] ?? row.reason;
  const text = stepDeed({ kind: row.reason, title: row.title ?? undefined, count: row.count ?? 1 });
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Turns rows of the list into lines that are ready to be read: time left in working days, deeds as sentences. */
export async function officeClock() {
  const office = await officeNow((await webRuntime()).pool);
  const line = (row: TurnRow, now: number): TurnLine => {
    const left = shortTimeLeft(row.dueAt, now, office.calendar, office.zone);
    return {
      id: row.id,
      number: row.number,
      name: row.name || "no name yet",
      programmes: row.programmes.replace(/ /gu, " · "),
      turn: row.turn,
      turnWord: TURN_WORDS[row.turn] ?? row.turn,
      comb: row.comb,
      deed: deed(row),
      left: row.dueAt ? left.text : "—",
      late: left.late,
      due: row.dueAt ? formatMoment("en", row.dueAt, office.set.zone) : "",
      mend: row.mendUntil ? formatMoment("en", row.mendUntil, office.set.zone) : null,
      last: formatDate("en", row.lastEventAt.slice(0, 10)).replace(/ \d{4}$/u, ""),
      officer: row.officer,
    };
  };
  return { line, calendar: office.calendar, zone: office.zone };
}
