import type { TestDefinition } from "../../src/core/language/test-definition";

function definition(
  key: string,
  range: readonly [number, number, number],
  sum: TestDefinition["total"],
  validMonths: number | null,
  levels: readonly (readonly [TestDefinition["levels"][number]["level"], number | null, number])[],
): TestDefinition {
  const parts = ["L", "R", "W", "S"].map((part) => ({
    key: part,
    title: { en: part, fr: part },
    min: range[0],
    max: range[1],
    step: range[2],
  }));
  return {
    key,
    title: { en: key, fr: key },
    language: "en",
    parts,
    total: sum,
    validMonths,
    levels: levels.map(([level, all, every]) => ({ level, total: all, every })),
  };
}
/** The invented tests of the worked cases. */
export const INVENTED_TESTS: Readonly<Record<string, TestDefinition>> = {
  norvane: definition("norvane", [0, 9, 0.5], { method: "mean", round: "half" }, 24, [
    ["B1", 4, 4],
    ["B2", 5.5, 5],
    ["C1", 7, 6.5],
    ["C2", 8.5, 8],
  ]),
  quillmark: definition("quillmark", [0, 30, 1], { method: "sum", round: "none" }, 24, [
    ["B1", 42, 9],
    ["B2", 72, 17],
    ["C1", 95, 22],
  ]),
  tessaly: definition("tessaly", [80, 230, 1], { method: "mean", round: "whole" }, null, [
    ["B1", 140, 130],
    ["B2", 160, 150],
    ["C1", 180, 170],
    ["C2", 200, 190],
  ]),
  brindle: definition("brindle", [0, 5, 1], null, 36, [
    ["B2", null, 3],
    ["C1", null, 4],
  ]),
};
