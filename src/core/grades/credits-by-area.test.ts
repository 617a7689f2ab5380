import { describe, expect, it } from "vitest";
import { parseDecimal, toShort } from "../numbers/ratio";
import { creditsByArea } from "./credits-by-area";

type Row = readonly [area: string | null, credits: string, status: string, confirmed?: boolean];

const sums = (rows: readonly Row[]) =>
  creditsByArea(
    rows.map(([area, credits, status, confirmed = false]) => ({
      area,
      credits: parseDecimal(credits),
      status,
      confirmed,
    })),
  ).map((s) => [s.area, toShort(s.completed), toShort(s.confirmed), toShort(s.running)]);

describe("credits by subject area", () => {
  it("are the completed ones, of which some are confirmed, and the running ones", () =>
    expect(
      sums([
        ["natural", "7.5", "completed", true],
        ["mathematics", "5", "completed"],
        ["natural", "2.5", "completed"],
        ["natural", "15", "in progress"],
        ["natural", "5", "registered", true],
      ]),
    ).toEqual([
      ["natural", "10", "7.5", "20"],
      ["mathematics", "5", "0", "0"],
    ]));
  it("count neither what was failed or given up nor what nobody can read", () =>
    expect(
      sums([
        ["natural", "7.5", "failed", true],
        ["natural", "5", "withdrawn", true],
        ["natural", "many", "completed", true],
      ]),
    ).toEqual([["natural", "0", "0", "0"]]));
  it("of courses without an area stand last", () =>
    expect(
      sums([
        [null, "5", "completed"],
        ["natural", "5", "completed"],
      ]).map(([area]) => area),
    ).toEqual(["natural", null]));
});
