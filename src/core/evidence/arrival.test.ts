import { describe, expect, it } from "vitest";
import type { Instant, PlainDate } from "../ids";
import type { Moment } from "../rulebook/requirement";
import { arrivalOf } from "./arrival";

const CLOSING = {
  closesAt: "2026-12-19T17:00:00.000Z" as Instant,
  acceptsUntil: "2026-12-19T17:15:00.000Z" as Instant,
};
const EARLIER = {
  closesAt: "2026-12-01T17:00:00.000Z" as Instant,
  acceptsUntil: "2026-12-01T17:15:00.000Z" as Instant,
};
const ASK = { askedAt: "2026-12-21T09:00:00.000Z" as Instant, due: "2027-01-08" as PlainDate };

const stateOf = (
  at: string,
  neededBy: Moment = "submission",
  closings: Parameters<typeof arrivalOf>[3] = [CLOSING],
  asks: Parameters<typeof arrivalOf>[4] = [],
) => arrivalOf(at as Instant, at.slice(0, 10) as PlainDate, neededBy, closings, asks)?.state ?? null;

describe("what came", () => {
  it.each([
    ["2026-12-19T16:59:59.999Z", "in time"],
    ["2026-12-19T17:00:00.000Z", "within the grace"],
    ["2026-12-19T17:14:59.999Z", "within the grace"],
    ["2026-12-19T17:15:00.000Z", "late"],
    ["2027-01-02T08:00:00.000Z", "late"],
  ])("at %s is %s", (at, state) => expect(stateOf(at)).toBe(state));

  it("is held against the earliest closing of the choices that ask for it", () => {
    expect(stateOf("2026-12-02T08:00:00.000Z", "review", [CLOSING, EARLIER])).toBe("late");
  });

  it("is held against the day for which it was asked again, that day included", () => {
    expect(stateOf("2027-01-08T22:00:00.000Z", "submission", [CLOSING], [ASK])).toBe("in time");
    expect(stateOf("2027-01-09T00:30:00.000Z", "submission", [CLOSING], [ASK])).toBe("late");
    // What came before it was asked for is held against the closing.
    expect(stateOf("2026-12-20T08:00:00.000Z", "submission", [CLOSING], [ASK])).toBe("late");
    expect(stateOf("2026-12-19T08:00:00.000Z", "submission", [CLOSING], [ASK])).toBe("in time");
  });

  it.each(["decision", "answer", "enrolment"] as const)(
    "and is needed by %s alone is held against nothing",
    (moment) => {
      expect(stateOf("2027-03-01T08:00:00.000Z", moment)).toBeNull();
    },
  );
});
