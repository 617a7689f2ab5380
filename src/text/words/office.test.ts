import { describe, expect, it } from "vitest";
import { workingCalendar } from "../../core/calendar/working-days";
import { STEP_KINDS } from "../../core/file/result";
import { formatDay } from "../../core/time/day";
import { zoneTable } from "../../core/time/zone";
import { inSentence, proposedDay, shortTimeLeft, stepDeed, timeLeft } from "./office";

describe("what has to be done, in words", () => {
  it.each([
    [{ kind: "check", title: "Proof of English", count: 1 }, "check proof of English"],
    [{ kind: "check", title: undefined, count: 1 }, "check evidence"],
    [{ kind: "confirm", title: "Degree certificate", count: 1 }, "confirm 1 value beside degree certificate"],
    [{ kind: "confirm", title: "Degree certificate", count: 5 }, "confirm 5 values beside degree certificate"],
    [{ kind: "fill", title: undefined, count: 1 }, "fill in 1 more part and submit"],
    [{ kind: "fill", title: undefined, count: 3 }, "fill in 3 more parts and submit"],
    [{ kind: "supply again", title: "Transcript of records", count: 1 }, "supply transcript of records again"],
    [{ kind: "pay", title: "Handling fee", count: 1 }, "pay the handling fee"],
  ] as const)("%j: %s", (step, words) => expect(stepDeed(step)).toBe(words));

  it("has words for every kind of step", () => {
    for (const kind of STEP_KINDS) expect(stepDeed({ kind, title: "Passport", count: 2 })).toMatch(/^[a-z].{4,}/u);
  });

  it("keeps the names inside a title, and has none for an empty one", () => {
    expect([inSentence("Proof of English"), inSentence("É"), inSentence("")]).toEqual(["proof of English", "é", ""]);
  });
});

describe("time left, in working days of the office", () => {
  const zone = zoneTable("Europe/Dublin");
  const calendar = workingCalendar({ weekend: [6, 7], holidays: { "2026": ["2026-12-25"], "2027": ["2027-01-01"] } });
  const noon = Date.parse("2026-11-25T12:00:00Z"); // a Wednesday
  /** The end of a day, as steps have it: the first instant of the next. */
  const endOf = (day: string) => new Date(Date.parse(`${day}T00:00:00Z`) + 86_400_000).toISOString();

  it.each([
    ["2026-11-25", "today", false],
    ["2026-11-26", "1 working day left", false],
    ["2026-11-30", "3 working days left", false],
    ["2026-11-24", "1 working day late", true],
    ["2026-11-20", "3 working days late", true],
    ["2026-11-21", "3 working days late", true],
    ["2026-12-28", "22 working days left", false],
  ])("what is due on %s is %s", (due, text, late) => {
    expect(timeLeft(endOf(due), noon, calendar, zone)).toEqual({ text, late });
  });

  it("is said once there is a date, and short in a narrow column", () => {
    expect(timeLeft(null, noon, calendar, zone)).toEqual({ text: "no date", late: false });
    expect(shortTimeLeft(endOf("2026-11-20"), noon, calendar, zone)).toEqual({ text: "3 d late", late: true });
    expect(shortTimeLeft(endOf("2026-11-27"), noon, calendar, zone)).toEqual({ text: "2 d", late: false });
  });

  it("proposes a day that is a working day, and a plain one where no calendar is loaded", () => {
    expect(formatDay(proposedDay(calendar, zone, noon, 10))).toBe("2026-12-09");
    expect(formatDay(proposedDay(calendar, zone, Date.parse("2031-03-03T12:00:00Z"), 10))).toBe("2031-03-13");
  });
});
