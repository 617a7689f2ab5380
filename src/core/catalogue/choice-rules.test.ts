import { describe, expect, it } from "vitest";
import {
  type ChoiceRules,
  type ChosenProgramme,
  choiceRefusal,
  orderOf,
  standsFor,
  undertakingFor,
} from "./choice-rules";

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

describe("a promise about the order of choices", () => {
  const undertaking = { en: "At most one.", fr: "Une au plus." };

  it.each([
    ["several in an order", true, 2, undertaking],
    ["a single choice has no order", true, 1, null],
    ["choices without an order", false, 3, null],
  ])("%s", (_, ranked, live, asked) => expect(undertakingFor(rules({ ranked, undertaking }), live)).toEqual(asked));
  it("is not asked for where the procedure has none", () => expect(undertakingFor(rules(), 3)).toBeNull());

  it("is about the choices that are left, in their order", () =>
    expect(
      orderOf([
        { id: "b", rank: 2, withdrawnAt: null },
        { id: "gone", rank: 1, withdrawnAt: "2026-11-20T09:00:00Z" },
        { id: "a", rank: 1, withdrawnAt: null },
      ]).map((c) => c.id),
    ).toEqual(["a", "b"]));

  it.each([
    [["a", "b"], ["a", "b"], true],
    [["a", "b"], ["b", "a"], false],
    [["a", "b"], ["a"], false],
    [["a"], ["a", "b"], false],
  ])("given for %j stands for %j: %s", (given, order, stands) => expect(standsFor(given, order)).toBe(stands));
});
