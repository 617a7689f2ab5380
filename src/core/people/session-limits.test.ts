import { describe, expect, it } from "vitest";
import { isSessionOver } from "./session-limits";

const MINUTE = 60_000;
const now = Date.parse("2026-11-30T09:00:00Z");
const session = (begun: number, used: number) => ({ begunAt: now - begun * MINUTE, usedAt: now - used * MINUTE });

describe("a session", () => {
  it.each([
    ["staff that pressed something a moment ago", session(300, 0), true, false],
    ["staff just before half an hour without a press", session(300, 29.99), true, false],
    ["staff after half an hour without a press", session(300, 30), true, true],
    ["staff just before twelve hours of work", session(719.99, 0), true, false],
    ["staff after twelve hours of work", session(720, 0), true, true],
    ["an applicant who comes back after a week", session(20_000, 10_000), false, false],
  ])("of %s is over: %s", (_, times, isStaff, over) => expect(isSessionOver(times, isStaff, now)).toBe(over));
});
