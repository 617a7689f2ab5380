import { describe, expect, it } from "vitest";
import { referenceSet } from "../../demo/reference-set";
import type { ReferenceSet } from "../standards/reference-set";
import { compareReferenceSets } from "./reference-sets";

const differ = (change: Partial<ReferenceSet>) =>
  compareReferenceSets(referenceSet, { ...referenceSet, ...change }).map((d) =>
    [
      d.area,
      d.key,
      d.change,
      ...d.parts.map((p) => `${p.part} ${JSON.stringify(p.before)} ${JSON.stringify(p.after)}`),
    ].join(" | "),
  );
const [first, ...rest] = referenceSet.scales;
if (!first) throw new Error("the demo has no scales");

describe("what differs between two reference sets", () => {
  it("is nothing between a set and itself", () => expect(differ({})).toEqual([]));

  it.each<readonly [string, Partial<ReferenceSet>, readonly string[]]>([
    ["a mark", { scales: [{ ...first, pass: "12" }, ...rest] }, ['grade scale | to20 | changed | pass "10" "12"']],
    ["a scale taken out", { scales: rest }, ["grade scale | to20 | removed"]],
    [
      "an area put in",
      { areas: [...referenceSet.areas, { key: "law", title: { en: "Law", fr: "Droit" } }] },
      ["subject area | law | added"],
    ],
    ["a target", { targets: { ...referenceSet.targets, ask: 8 } }, ["office | office | changed | ask 10 8"]],
    ["the grace", { graceMinutes: 0 }, ["office | office | changed | graceMinutes 10 0"]],
    [
      "the order of groups",
      { groups: [...referenceSet.groups].reverse() },
      ['group | order | changed | order ["home","alliance","overseas"] ["overseas","alliance","home"]'],
    ],
    [
      "the map",
      {
        map: {
          land: ["M0 0 L1 1 Z", ...(referenceSet.map?.land.slice(1) ?? [])],
          water: referenceSet.map?.water ?? [],
        },
      },
      ['office | office | changed | map "as it was" "drawn anew"'],
    ],
    [
      "free days, each by itself, whatever their order",
      {
        calendar: {
          ...referenceSet.calendar,
          holidays: {
            ...referenceSet.calendar.holidays,
            "2027": [
              ...(referenceSet.calendar.holidays["2027"] ?? []).filter((d) => d !== "2027-03-17"),
              "2027-02-01",
            ].reverse(),
            "2031": ["2031-01-01"],
          },
        },
      },
      ['working days | calendar | changed | 2027 ["2027-03-17"] ["2027-02-01"] | 2031 null ["2031-01-01"]'],
    ],
  ])("%s", (_, change, expected) => expect(differ(change)).toEqual(expected));
});
