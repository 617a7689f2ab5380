import { describe, expect, it } from "vitest";
import { zoneTable } from "../time/zone";
import { type PlannedStart, planGaps } from "./plan-gaps";

const WHOLE = {
  fields: ["052"],
  prerequisites: { en: "A first degree", fr: "Une licence" },
  contact: { name: "Office", email: "office@merrow.example", phone: null },
  keywords: ["coast"],
};
const closing = (group: string, at = "2027-02-01T18:00:00.000Z") => ({ group, at });
const START: PlannedStart = {
  startsOn: "2027-09-01",
  places: 20,
  rulebook: 1,
  rounds: [{ key: "main", closings: [closing("home"), closing("overseas")] }],
};
const gaps = (programme: Partial<typeof WHOLE> | Record<string, null>, start: Partial<PlannedStart> = {}) =>
  planGaps(
    { ...WHOLE, ...programme } as typeof WHOLE,
    { ...START, ...start },
    ["home", "overseas"],
    zoneTable("Europe/Dublin"),
  );

describe("what a start lacks before it opens", () => {
  it("is nothing where everything is there", () => expect(gaps({})).toEqual([]));

  it.each([
    ["no-field", gaps({ fields: [] })],
    ["no-prerequisites", gaps({ prerequisites: null })],
    ["no-contact", gaps({ contact: null })],
    ["no-keywords", gaps({ keywords: [] })],
    ["no-rulebook", gaps({}, { rulebook: null })],
    ["no-places", gaps({}, { places: 0 })],
  ])("%s", (code, found) => expect(found).toEqual([{ code }]));

  it("is a closing for each group, in each round", () =>
    expect(gaps({}, { rounds: [...START.rounds, { key: "late", closings: [closing("home")] }] })).toEqual([
      { code: "no-closing", round: "late", group: "overseas" },
    ]));

  it("is a closing before the first day of study", () => {
    const late = (at: string) =>
      gaps({}, { rounds: [{ key: "main", closings: [closing("home", at), closing("overseas")] }] });
    expect(late("2027-09-02T10:00:00.000Z")).toEqual([{ code: "starts-before-closing", round: "main" }]);
    expect(late("2027-09-01T10:00:00.000Z")).toEqual([]);
  });
});
