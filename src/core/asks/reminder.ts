import { addWorking } from "../calendar/working-days";
import type { AskFact } from "../file/facts";
import type { Office } from "../standards/reference-set";
import type { Day } from "../time/day";
import { dayAt, requireDay } from "../time/zone";

/** How far ahead something is looked at: no reminder before its day is due earlier, whatever the calendar. */
export const LOOK_AHEAD_DAYS = 120;

/**
 * Which reminder of something that was asked for is due: the first so many working days before its day, the further ones so many after it and
 * after each other, as often as the office says. Who was asked within those days is not reminded before the day. After a pause of the worker
 * one goes out for all that were missed.
 * @param sent which was the last that went out, counted as if all before it had; 0 for none
 * @returns 0 where none is due
 */
export function reminderDue(
  ask: Pick<AskFact, "due" | "askedAt">,
  sent: number,
  { calendar, set, zone }: Office,
  today: Day,
): number {
  const { remindBefore, remindAfter, remindTimes } = set.asks;
  const due = requireDay(ask.due);
  for (let time = remindAfter === null ? 0 : remindTimes; time > 0; time -= 1) {
    const after = addWorking(calendar, due, (remindAfter ?? 0) * time);
    if (after !== null && after <= today) return sent <= time ? time + 1 : 0;
  }
  if (remindBefore === null || sent > 0 || due < today) return 0;
  const near = (from: Day) => {
    const reached = addWorking(calendar, from, remindBefore);
    return reached !== null && reached >= due;
  };
  return near(today) && !near(dayAt(zone, Date.parse(ask.askedAt))) ? 1 : 0;
}
