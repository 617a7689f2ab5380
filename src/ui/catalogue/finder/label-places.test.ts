import { describe, expect, it } from "vitest";
import { labelPlaces, type Named } from "./label-places";

const anchors = (points: readonly Named[]) => labelPlaces(points).map((p) => p.anchor);

describe("names on a map", () => {
  it.each<readonly [string, readonly Named[], readonly string[]]>([
    ["stand on the right where there is room", [{ x: 20, y: 30, name: "Vell" }], ["start"]],
    ["on the left at the right edge", [{ x: 80, y: 30, name: "Tarbrook Boat Yard" }], ["end"]],
    [
      "over or under the point where its sides are taken",
      [
        { x: 24, y: 34, name: "Inish Vell" },
        { x: 80, y: 30, name: "Tarbrook Boat Yard" },
        { x: 62, y: 58, name: "Port Merrow" },
      ],
      ["start", "middle", "start"],
    ],
    [
      "not over another point",
      [
        { x: 20, y: 30, name: "A long name" },
        { x: 30, y: 30, name: "B" },
      ],
      ["middle", "start"],
    ],
  ])("%s", (_, points, expected) => expect(anchors(points)).toEqual(expected));

  it("stand somewhere even where there is no room", () =>
    expect(labelPlaces(Array.from({ length: 20 }, () => ({ x: 50, y: 40, name: "The same place" })))).toHaveLength(20));
});
