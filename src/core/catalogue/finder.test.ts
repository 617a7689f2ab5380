import { describe, expect, it } from "vitest";
import { PROGRAMMES } from "../../demo/programmes";
import { programmeName } from "./programme";
import { searchIndex } from "./search";
import { alike } from "./word-similarity";

const programmes = PROGRAMMES.map((p) => p.programme);
const find = searchIndex(
  programmes.map((p) => ({
    id: p.code,
    code: p.code,
    title: `${p.award} ${p.title.en} ${p.title.fr}`,
    keywords: p.keywords.join(" "),
    text: `${p.description.en} ${p.description.fr}`,
  })),
);

describe("finding a programme", () => {
  it.each([
    ["estuary", "MES"],
    ["Estuary Science", "MES"],
    ["estuery", "MES"],
    ["MES", "MES"],
    ["mes", "MES"],
    ["sciences de l’estuaire", "MES"],
    ["heritage", "MMH"],
    ["heritege", "MMH"],
    ["museum", "MMH"],
    ["musee", "MMH"],
    ["building", "GBC"],
    ["tidal energy", "MTE"],
    ["enginering harbour", "BHT"],
    ["gineering", "BHT"],
    ["foundation", "FYC"],
    ["seagrass", "BMR"],
    ["PhD", "PCS"],
  ])("%j leads to %s", (words, code) => expect(find(words)).toContain(code));

  it("puts a hit in the title before one in the description", () => expect(find("boat")[0]).toBe("GBC"));
  it("wants every word to be found", () => expect(find("estuary heritage")).toEqual([]));
  it("finds nothing for words that nobody uses", () => expect(find("zymurgy")).toEqual([]));
  it("lists everything for an empty search", () => expect(find("  ")).toHaveLength(programmes.length));
});

describe("what a programme is called", () => {
  const title = { en: "Estuary Science", fr: "Sciences de l’estuaire" };
  it.each([
    ["MSc", "en", "MSc Estuary Science"],
    ["MSc", "fr", "MSc Sciences de l’estuaire"],
    ["", "en", "Estuary Science"],
  ] as const)("with the award %j, in %s", (award, locale, name) =>
    expect(programmeName({ award, title }, locale)).toBe(name),
  );
});

describe("programmes that are easily mistaken", () => {
  const named = (code: string) => programmes.find((p) => p.code === code);
  it("are told apart by what differs", () => {
    const mes = named("MES");
    if (!mes) throw new Error("no MES");
    const other = { ...mes, code: "MEP", title: { en: "Estuary Policy", fr: "" }, length: 12, campuses: ["vell"] };
    const told = (change: Partial<typeof mes>) =>
      alike(mes, [...programmes, { ...other, ...change }]).map((a) => [a.other.code, a.by]);
    expect(told({})).toEqual([["MEP", ["length", "campuses"]]]);
    expect([told({ level: "doctoral" }), told({ fields: ["0221"] })]).toEqual([[], []]);
  });
  it("are none of another level, however alike their titles are", () => {
    const pcs = named("PCS");
    expect(pcs && alike(pcs, programmes)).toEqual([]);
  });
  it("are none where titles share no word", () => {
    const mmh = named("MMH");
    expect(mmh && alike(mmh, programmes)).toEqual([]);
  });
});
