import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Instant, PlainDate } from "../ids";
import { dangerOf, reminderDue } from "./requests";

const day = (text: string) => text as PlainDate;
const at = (text: string) => `${text}T10:00:00.000Z` as Instant;
const dayOf = (instant: Instant) => instant.slice(0, 10) as PlainDate;
const rule = { remindEvery: 7, remindTimes: 2, remindBefore: 3 };
const asked = { askedAt: at("2026-11-02"), remindedAt: null, reminders: 0, due: day("2027-01-15") };
const reminded = (on: string, reminders: number) => ({ ...asked, remindedAt: at(on), reminders });

describe("referees", () => {
  it.each([
    ["are left alone on the day on which they were asked", asked, "2026-11-02", false],
    ["are left alone for the days of the standards", asked, "2026-11-08", false],
    ["are reminded after them", asked, "2026-11-09", true],
    ["are reminded also where the day itself was missed", asked, "2026-11-12", true],
    ["are left alone on the day of a reminder", reminded("2026-11-09", 1), "2026-11-09", false],
    ["are reminded a second time", reminded("2026-11-09", 1), "2026-11-16", true],
    ["are not reminded a third time", reminded("2026-11-16", 2), "2026-11-30", false],
    ["are reminded once more before the time is over", reminded("2026-11-16", 2), "2027-01-12", true],
    ["are not reminded again within those days", reminded("2027-01-12", 3), "2027-01-14", false],
    ["are left alone after the time is over", reminded("2027-01-12", 3), "2027-01-20", false],
  ])("%s", (_what, request, today, due) => {
    expect(reminderDue(request, rule, day(today), dayOf)).toBe(due);
  });

  it("are never reminded where the standards say so", () => {
    const never = { remindEvery: null, remindTimes: 2, remindBefore: null };
    expect(reminderDue(asked, never, day("2027-01-14"), dayOf)).toBe(false);
  });

  it("are never reminded twice on a day, and in all at most as often as the standards say and once more", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 0, max: 5 }),
        fc.integer({ min: 0, max: 10 }),
        fc.integer({ min: 1, max: 60 }),
        (remindEvery, remindTimes, remindBefore, until) => {
          const dayNo = (n: number) => new Date(Date.UTC(2026, 10, 2 + n)).toISOString().slice(0, 10);
          let request = { ...asked, due: day(dayNo(until)) };
          for (let n = 0; n <= until + 10; n += 1) {
            const today = day(dayNo(n));
            const once = reminderDue(request, { remindEvery, remindTimes, remindBefore }, today, dayOf);
            if (!once) continue;
            request = { ...request, remindedAt: at(dayNo(n)) as never, reminders: request.reminders + 1 };
            expect(reminderDue(request, { remindEvery, remindTimes, remindBefore }, today, dayOf)).toBe(false);
          }
          expect(request.reminders).toBeLessThanOrEqual(remindTimes + 1);
        },
      ),
    );
  });

  it.each([
    ["2027-01-16", "overdue"],
    ["2027-01-15", "soon"],
    ["2027-01-08", "soon"],
    ["2027-01-07", "none"],
  ])("on %s are %s", (today, danger) => {
    expect(dangerOf(day("2027-01-15"), day(today))).toBe(danger);
  });
});
