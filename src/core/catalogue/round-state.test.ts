import { describe, expect, it } from "vitest";
import type { Instant } from "../ids";
import { closingOf, FULL, type RoundWindow, roundState } from "./round-state";

const round: RoundWindow = {
  opensAt: "2027-01-01T09:00:00.000Z",
  closings: [
    { group: "home", at: "2027-02-01T18:00:00.000Z" },
    { group: "overseas", at: "2027-01-15T18:00:00.000Z" },
  ],
  closedAt: null,
  closedReason: null,
};
const at = (moment: string, group: string | null, change: Partial<RoundWindow> = {}) =>
  roundState({ ...round, ...change }, group, Date.parse(moment));

describe("where a round stands", () => {
  it.each([
    ["2027-01-01T08:59:59.999Z", "home", "coming"],
    ["2027-01-01T09:00:00.000Z", "home", "open"],
    ["2027-01-15T17:59:59.999Z", "overseas", "open"],
    ["2027-01-15T18:00:00.000Z", "overseas", "closed"],
    ["2027-01-15T18:00:00.000Z", "home", "open"],
    ["2027-01-15T18:00:00.000Z", null, "open"],
    ["2027-02-01T18:00:00.000Z", null, "closed"],
    ["2027-01-20T00:00:00.000Z", "unheard of", "open"],
  ])("at %s for %s: %s", (moment, group, state) => expect(at(moment, group)).toBe(state));

  it("closed early it is closed, or full with the last place, from that moment on", () => {
    const early = { closedAt: "2027-01-10T12:00:00.000Z", closedReason: "a flood" };
    expect(at("2027-01-10T11:59:59.999Z", "home", early)).toBe("open");
    expect(at("2027-01-10T12:00:00.000Z", "home", early)).toBe("closed");
    expect(at("2027-01-10T12:00:00.000Z", "home", { ...early, closedReason: FULL })).toBe("full");
  });
});

describe("the closing for one person", () => {
  const instants = { closings: round.closings.map((c) => ({ ...c, at: c.at as Instant })) };
  const iso = (...[window, group, extended]: Parameters<typeof closingOf>) =>
    new Date(closingOf(window, group, extended)).toISOString();
  const open = { ...instants, closedAt: null };
  const early = { ...instants, closedAt: "2027-01-10T12:00:00.000Z" as Instant };

  it.each([
    ["the group's", open, "home", null, "2027-02-01T18:00:00.000Z"],
    ["the earliest while the group is unknown", open, null, null, "2027-01-15T18:00:00.000Z"],
    ["moved forward by an early closing", early, "home", null, "2027-01-10T12:00:00.000Z"],
    ["moved back by an extension", early, "home", "2027-03-01T00:00:00.000Z", "2027-03-01T00:00:00.000Z"],
    ["never shortened by an extension", open, "home", "2027-01-20T00:00:00.000Z", "2027-02-01T18:00:00.000Z"],
  ])("is %s", (_, window, group, extended, closing) => expect(iso(window, group, extended)).toBe(closing));
});
