import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { fieldsIn, MERGE_FIELDS, type MergeValues, merge, unknownFields } from "./merge";

const VALUES: MergeValues = {
  name: "Ilse Maarteen-Quist",
  number: "27-00001",
  programme: "Estuary Science",
  "next step": "",
  by: "",
  officer: "Runa Okonjo",
};

describe("a text with fields", () => {
  it.each([
    ["Dear {name},", "Dear Ilse Maarteen-Quist,", []],
    ["{ name } ({number})", "Ilse Maarteen-Quist (27-00001)", []],
    ["Until {by}.", "Until {by}.", ["by"]],
    ["{nmae} and {name}", "{nmae} and Ilse Maarteen-Quist", ["nmae"]],
    ["nothing at all", "nothing at all", []],
    ["{} is empty", "{} is empty", [""]],
  ] as const)("%s", (text, expected, left) => {
    expect(merge(text, VALUES)).toEqual({ text: expected, left });
  });

  it("knows what is no field of it", () => {
    expect(unknownFields("{name} {nmae} {number} {nmae}")).toEqual(["nmae"]);
    expect(fieldsIn("{name} {name}")).toEqual(["name"]);
  });

  it("has no field left where all have a value, whatever stands around them", () => {
    const full = Object.fromEntries(MERGE_FIELDS.map((field) => [field, "x"])) as MergeValues; // all of its keys
    const plain = fc.string().filter((s) => !/[{}]/u.test(s));
    fc.assert(
      fc.property(fc.array(fc.tuple(plain, fc.constantFrom(...MERGE_FIELDS))), plain, (parts, end) => {
        const { text, left } = merge(`${parts.map(([words, field]) => `${words}{${field}}`).join("")}${end}`, full);
        expect(left).toEqual([]);
        expect(text).toBe(`${parts.map(([words]) => `${words}x`).join("")}${end}`);
      }),
    );
  });
});
