import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { vectorsOf } from "../../../tests/support/vectors";
import { addMonths, formatDay, monthsBetween, parseDay, weekday } from "../time/day";
import { dayAt, startOfDay, toUtc, zoneTable } from "../time/zone";
import { readClock } from "./clock";
import { addWorking, type CalendarData, isWorking, workingBetween, workingCalendar } from "./working-days";

const day = (text: string) => {
  const value = parseDay(text);
  if (value === null) throw new Error(text);
  return value;
};
const YEARS = ["2026", "2027", "2028"];
function calendarOf(weekend: readonly number[] = [6, 7], holidays: readonly string[] = []) {
  const data: CalendarData = {
    weekend: [...weekend],
    holidays: Object.fromEntries(YEARS.map((y) => [y, holidays.filter((h) => h.startsWith(y))])),
  };
  return workingCalendar(data);
}

describe("working days", () => {
  it.each(vectorsOf<{ start: string; n: number; holidays?: string[]; weekendIso?: number[] }, string>("addWorking"))(
    "%s",
    (_, { input, expected }) => {
      const result = addWorking(calendarOf(input.weekendIso, input.holidays), day(input.start), input.n);
      expect(result === null ? null : formatDay(result)).toBe(expected);
    },
  );
  it.each(vectorsOf<{ from: string; to: string; holidays?: string[] }, number>("workingBetween"))(
    "%s",
    (_, { input, expected }) => {
      expect(workingBetween(calendarOf([6, 7], input.holidays), day(input.from), day(input.to))).toBe(expected);
    },
  );
  it("are not guessed in a year without a calendar", () =>
    expect(addWorking(calendarOf(), day("2028-12-29"), 5)).toBeNull());
  it("come back when counted there and back from a working day", () => {
    const calendar = calendarOf();
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 1, max: 40 }), (offset, n) => {
        const start = addWorking(calendar, day("2027-01-04") + offset, 0) ?? 0;
        const there = addWorking(calendar, start, n) ?? 0;
        return addWorking(calendar, there, -n) === start && workingBetween(calendar, start, there) === n;
      }),
    );
  });
});

describe("working days counted at once", () => {
  const calendar = workingCalendar({
    weekend: [6, 7],
    holidays: { "2026": ["2026-12-25"], "2027": ["2027-01-01", "2027-03-29"], "2029": ["2029-01-01"] },
  });
  const known = (at: number) => ["2026", "2027", "2029"].includes(formatDay(at).slice(0, 4));
  /** Day by day, as somebody would with a calendar on the wall. */
  function steppedTo(start: number, n: number): number | null {
    let at = start;
    if (n === 0) while (known(at) && !isWorking(calendar, at)) at += 1;
    for (let left = Math.abs(n); left > 0; ) {
      at += Math.sign(n);
      if (!known(at)) return null;
      if (isWorking(calendar, at)) left -= 1;
    }
    return known(at) ? at : null;
  }
  const anyDay = fc.integer({ min: day("2025-12-20"), max: day("2030-01-10") });
  const anyPauses = fc.array(
    fc.record({ from: anyDay, length: fc.integer({ min: 0, max: 400 }), open: fc.nat({ max: 9 }) }),
    { maxLength: 4 },
  );

  it("are those that are counted day by day, over the ends of years, too", () =>
    fc.assert(
      fc.property(anyDay, fc.integer({ min: -300, max: 300 }), (start, n) => {
        expect(addWorking(calendar, start, n)).toBe(steppedTo(start, n));
      }),
      { numRuns: 2000 },
    ));

  it("and so are those of a clock that stands still in between", () =>
    fc.assert(
      fc.property(anyDay, fc.integer({ min: 1, max: 60 }), anyPauses, anyDay, (start, limit, drawn, asOf) => {
        const pauses = drawn.map((p) => ({ from: p.from, to: p.open === 0 ? null : p.from + p.length }));
        const counts = (at: number) =>
          at > start && isWorking(calendar, at) && !pauses.some((p) => p.from < at && (p.to === null || at <= p.to));
        let used = 0;
        for (let at = start + 1; at <= asOf; at += 1) if (counts(at)) used += 1;
        let [due, counted]: [number | null, number] = [null, 0];
        for (let at = start + 1; at < start + 3660 && due === null && known(at); at += 1) {
          if (counts(at)) counted += 1;
          if (counted === limit) due = at;
        }
        if (pauses.some((p) => p.to === null)) due = null;
        expect(readClock(start, limit, pauses, asOf, calendar)).toMatchObject({ used, due });
      }),
      { numRuns: 1000 },
    ));
});

describe("clocks stand still while somebody else has the turn", () => {
  interface Input {
    readonly start: string;
    readonly limit: number;
    readonly unit: string;
    readonly pauses: { from: string; to: string | null }[];
    readonly asOf: string;
  }
  it.each(vectorsOf<Input, { used: number; paused: boolean; due: string | null; overdue: boolean }>("clock"))(
    "%s",
    (_, { input, expected }) => {
      const pauses = input.pauses.map((p) => ({ from: day(p.from), to: p.to === null ? null : day(p.to) }));
      const reading = readClock(
        day(input.start),
        input.limit,
        pauses,
        day(input.asOf),
        input.unit === "working_days" ? calendarOf() : null,
      );
      expect({ ...reading, due: reading.due === null ? null : formatDay(reading.due) }).toEqual(expected);
    },
  );
});

describe("zones", () => {
  it.each(
    vectorsOf<{ local: string; zone: string; mode?: "later" }, { utc: string; kind: string; local: string }>("toUtc"),
  )("%s", (_, { input, expected }) => {
    const result = toUtc(input.local, input.zone, input.mode ?? "earlier");
    expect({ ...result, utc: result.utc.replace(".000", "") }).toEqual(expected);
  });
  it.each([
    ["Europe/Dublin", "2027-03-28T00:30:00Z", "2027-03-28"],
    ["Europe/Dublin", "2027-06-30T23:30:00Z", "2027-07-01"],
    ["Pacific/Tongatapu", "2027-01-15T23:00:00Z", "2027-01-16"],
    ["Pacific/Pago_Pago", "2027-01-15T10:59:00Z", "2027-01-14"],
  ])("in %s it is at %s the day %s", (zone, instant, date) =>
    expect(formatDay(dayAt(zoneTable(zone), Date.parse(instant)))).toBe(date),
  );
  it("begin each day at an instant that lies in it, the one before in the day before", () => {
    for (const zone of ["Europe/Dublin", "America/New_York", "Australia/Lord_Howe"]) {
      const table = zoneTable(zone);
      for (let d = day("2026-01-01"); d < day("2028-01-01"); d += 1) {
        expect(dayAt(table, startOfDay(table, d))).toBe(d);
        expect(dayAt(table, startOfDay(table, d) - 1)).toBe(d - 1);
      }
    }
  });
});

describe("calendar days", () => {
  it.each(vectorsOf<{ date: string; months: number }, string>("addMonths"))("%s", (_, { input, expected }) =>
    expect(formatDay(addMonths(day(input.date), input.months))).toBe(expected),
  );
  it.each(vectorsOf<{ expiry: string; programmeStart: string }, boolean>("documentValid"))(
    "%s",
    (_, { input, expected }) => expect(day(input.expiry) >= addMonths(day(input.programmeStart), 6)).toBe(expected),
  );
  it.each(["2027-02-29", "2027-13-01", "2027-00-10", "27-01-01", "2027-1-1", ""])("%j is no day", (text) =>
    expect(parseDay(text)).toBeNull(),
  );
  it("are numbered without a gap, with the right weekday", () => {
    fc.assert(
      fc.property(fc.integer({ min: -30_000, max: 60_000 }), (n) => {
        const date = new Date(n * 86_400_000);
        return (
          formatDay(n) === date.toISOString().slice(0, 10) &&
          parseDay(formatDay(n)) === n &&
          weekday(n) === (date.getUTCDay() === 0 ? 7 : date.getUTCDay())
        );
      }),
    );
  });
  it.each([
    ["2022-09-01", "2025-07-16", 34],
    ["2024-02-29", "2025-02-28", 12],
    ["2025-01-31", "2025-02-27", 0],
    ["2025-01-01", "2025-01-01", 0],
  ])("from %s to %s are %i whole months", (from, to, months) => expect(monthsBetween(day(from), day(to))).toBe(months));
});
