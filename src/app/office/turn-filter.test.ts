import { describe, expect, it } from "vitest";
import { turnFilter } from "./turn-filter";

describe("what the address of the list of turns looks for", () => {
  it.each([
    ["Zielińska", "zielinska"],
    ["27-00031", "27-00031"],
    ["27 00031", "27-00031"],
    ["2700031", "27-00031"],
    ["00031", "00031"],
    [" Ana@People.example ", "ana@people.example"],
    ["", null],
  ])("“%s”", (find, expected) => expect(turnFilter({ find }).find).toBe(expected));

  it("is the office’s turn where nothing is said, and every turn where somebody is looked for", () => {
    expect([turnFilter({}).turn, turnFilter({ find: "ana" }).turn]).toEqual(["office", null]);
  });
});
