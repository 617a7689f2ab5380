import { describe, expect, it } from "vitest";
import { type ChoiceRules, type ChosenProgramme, choiceRefusal } from "./choice-rules";

const programme = (code: string, level: ChosenProgramme["level"] = "master", fields: readonly string[] = ["053"]) => ({
  code,
  level,
  fields,
});
const rules = (change: Partial<ChoiceRules> = {}): ChoiceRules => ({
  least: 1,
  most: 3,
  limits: [],
  exclusive: [],
  ranked: true,
  ...change,
});
const MES = programme("MES");
const MTE = programme("MTE", "master", ["071"]);
const GBC = programme("GBC", "certificate", ["071"]);

describe("a further choice", () => {
  it.each<[string, ChoiceRules, readonly ChosenProgramme[], ChosenProgramme, ReturnType<typeof choiceRefusal>]>([
    ["the first is free", rules(), [], MES, null],
    ["the last that fits", rules({ most: 2 }), [MTE], MES, null],
    ["one too many", rules({ most: 1 }), [MTE], MES, { code: "too-many", most: 1 }],
    ["the same again", rules(), [MES], MES, { code: "held" }],
    [
      "at most one certificate",
      rules({ limits: [{ by: "level", value: "certificate", most: 1 }] }),
      [programme("XBC", "certificate")],
      GBC,
      { code: "too-many-of-level", level: "certificate", most: 1 },
    ],
    [
      "the limit of another level",
      rules({ limits: [{ by: "level", value: "certificate", most: 1 }] }),
      [GBC],
      MES,
      null,
    ],
    [
      "at most one of a broad field",
      rules({ limits: [{ by: "field", value: "07", most: 1 }] }),
      [MTE],
      GBC,
      { code: "too-many-of-field", field: "07", most: 1 },
    ],
    [
      "none of a level at all",
      rules({ limits: [{ by: "level", value: "master", most: 0 }] }),
      [],
      MES,
      { code: "too-many-of-level", level: "master", most: 0 },
    ],
    [
      "a pair that excludes itself",
      rules({ exclusive: [["MTE", "MES"]] }),
      [MTE],
      MES,
      { code: "excluded-by", other: "MTE" },
    ],
    [
      "the pair the other way round",
      rules({ exclusive: [["MES", "MTE"]] }),
      [MTE],
      MES,
      { code: "excluded-by", other: "MTE" },
    ],
  ])("%s", (_, given, held, wanted, refusal) => expect(choiceRefusal(given, held, wanted)).toEqual(refusal));
});
