import fc from "fast-check";
import Papa from "papaparse";
import { describe, expect, it } from "vitest";
import { readCell, writeTable } from "./write-table";

const cellsOf = (text: string) => Papa.parse<string[]>(text, { delimiter: "," }).data[1];

describe("a table for spreadsheets", () => {
  it.each([
    ["=1+1", "'=1+1"],
    ['=HYPERLINK("http://x.example";"press")', '\'=HYPERLINK("http://x.example";"press")'],
    ["@SUM(A1)", "'@SUM(A1)"],
    ["+cmd|' /C calc'!A0", "'+cmd|' /C calc'!A0"],
    ["-2+3", "'-2+3"],
    ["\tpaste", "'\tpaste"],
    ["+353 1 700 0000", "+353 1 700 0000"],
    ["-12.5", "-12.5"],
    ["–", "–"],
    ["'+5", "''+5"],
    ["'tis", "'tis"],
    ['O’Brien, "Ann"', 'O’Brien, "Ann"'],
    ["＝1+1", "'＝1+1"],
    ["＋cmd|x", "'＋cmd|x"],
    ["＠SUM(A1)", "'＠SUM(A1)"],
    ["a;=1+1", "a;=1+1"],
    ["", ""],
  ])("carries %j so that nothing in it runs", (cell, written) => {
    const [first] = cellsOf(writeTable(["a", "b"], [[cell, "x"]])) ?? [];
    expect(first).toBe(written);
    expect(readCell(first ?? "")).toBe(cell);
  });

  it("keeps a cell whole also where semicolons part cells", () => {
    const [, row] = writeTable(["a", "b"], [["x;=1+1", "y"]]).split("\r\n");
    expect(Papa.parse<string[]>(row ?? "", { delimiter: ";" }).data[0]?.some((cell) => cell.startsWith("="))).toBe(
      false,
    );
  });

  const signs = fc.string({ unit: fc.constantFrom("'", "+", "-", "=", "@", "\t", "1", "a", " "), maxLength: 6 });
  const cell = fc.oneof(fc.string(), signs);
  it("has every cell again when it is read", () =>
    fc.assert(
      fc.property(fc.array(cell, { minLength: 1, maxLength: 4 }), (row) => {
        const heads = row.map((_, i) => `c${i}`);
        expect(cellsOf(writeTable(heads, [row]))?.map(readCell)).toEqual(row);
      }),
    ));
});
