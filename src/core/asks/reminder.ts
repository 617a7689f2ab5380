import { addWorking } from "../calendar/working-days";
import type { AskFact } from "../file/facts";
import type { Office } from "../standards/reference-set";
import type { Day } from "../time/day";
import { dayAt, requireDay } from "../time/zone";

/** How far ahead something is looked at: no reminder before its day is due earlier, whatever the calendar. */
export const LOOK_AHEAD_DAYS = 120;

/**
 * Which reminder of something that was asked for is due: the first so many working days before its day, the second so many after it. Who was
 * asked within those days is not reminded before the day.
 * @param sent how many of the two went out
 * @returns 0 where none is due
 */
export function reminderDue(
  ask: Pick<AskFact, "due" | "askedAt">,
  sent: number,
  { calendar, set, zone }: Office,
  today: Day,
): 0 | 1 | 2 {
  const { remindBefore, remindAfter } = set.asks;
  const due = requireDay(ask.due);
  const after = remindAfter === null ? null : addWorking(calendar, due, remindAfter);
  if (after !== null && after <= today) return sent < 2 ? 2 : 0;
  if (remindBefore === null || sent > 0 || due < today) return 0;
  const near = (from: Day) => {
    const reached = addWorking(calendar, from, remindBefore);
    return reached !== null && reached >= due;
  };
  return near(today) && !near(dayAt(zone, Date.parse(ask.askedAt))) ? 1 : 0;
}
