import { describe, expect, it } from "vitest";
import { liesIn, placesOf } from "./site-places";

const both = (name: string) => ({ en: name, fr: `${name} (fr)` });
const site = (key: string, region?: string) => ({
  key,
  title: both(key),
  x: 1,
  y: 1,
  ...(region ? { region: both(region) } : {}),
});
const SITES = [site("harbour", "North Coast"), site("afar"), site("yard", "North Coast"), site("isle", "Îles d’or")];

describe("places to look for", () => {
  it("are the regions with their sites, and last the sites that lie in none", () =>
    expect(placesOf(SITES).map((p) => [p.value, p.whole, p.region?.en ?? null])).toEqual([
      ["region north coast", true, "North Coast"],
      ["harbour", false, "North Coast"],
      ["yard", false, "North Coast"],
      ["region iles dor", true, "Îles d’or"],
      ["isle", false, "Îles d’or"],
      ["afar", false, null],
    ]));

  it.each([
    ["harbour", ["harbour"]],
    ["region north coast", ["harbour", "yard"]],
    ["region elsewhere", []],
    ["", []],
  ])("%s are %j", (place, sites) => expect(SITES.filter((s) => liesIn(s, place)).map((s) => s.key)).toEqual(sites));
});
