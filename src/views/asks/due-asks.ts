import type pg from "pg";
import { LOOK_AHEAD_DAYS, reminderDue } from "../../core/asks/reminder";
import type { Instant, PlainDate } from "../../core/ids";
import { formatDay } from "../../core/time/day";
import { dayAt, toInstant } from "../../core/time/zone";
import { officeNow } from "../view/office-now";

/** The files in which something that was asked for is due to be reminded of. For the system alone. */
export async function filesToRemind(pool: pg.Pool, now: Date): Promise<readonly string[]> {
  const office = await officeNow(pool);
  const today = dayAt(office.zone, now.getTime());
  const { rows } = await pool.query<{ file: string; due: PlainDate; reminders: number; asked_at: Date }>(
    `select k.application_id as file, k.due::text, k.reminders, k.asked_at from ask k join file_standing s on s.application_id = k.application_id
     where k.answered_at is null and k.reminders <= $2 and k.due <= $1 and s.stage <> 'closed' order by k.due, k.id`,
    [formatDay(today + LOOK_AHEAD_DAYS), office.set.asks.remindTimes],
  );
  const due = rows.filter((row) => {
    const askedAt: Instant = toInstant(row.asked_at.getTime());
    return reminderDue({ due: row.due, askedAt }, row.reminders, office, today) > 0;
  });
  return [...new Set(due.map((row) => row.file))];
}
