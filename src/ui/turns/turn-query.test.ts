import { describe, expect, it } from "vitest";
import { listQuery } from "../../core/turns/named-list";
import { turnAddress, turnFilter } from "./turn-query";

describe("what the address of the list of turns looks for", () => {
  it.each([
    ["Zielińska", "zielinska"],
    ["27-00031", "#27-00031"],
    ["27 00031", "#27-00031"],
    ["2700031", "#27-00031"],
    ["00031", "00031"],
    [" Ana@People.example ", "ana@people.example"],
    ["", null],
  ])("“%s”", (find, expected) => expect(turnFilter({ find }).find).toBe(expected));

  it("is the office’s turn where nothing is said, and every turn where somebody is looked for", () => {
    expect([turnFilter({}).turn, turnFilter({ find: "ana" }).turn]).toEqual(["office", null]);
  });

  it("keeps tags, hands and the list of the day, and looks through every turn for that list", () => {
    expect(turnFilter({ with: "programme:MES", officer: "nobody", day: "stuck" })).toMatchObject({
      tags: ["programme:MES"],
      officer: "nobody",
      day: "stuck",
      turn: null,
    });
    expect(turnFilter({ with: ["programme:MES", "group:home"], day: "tomorrow" })).toMatchObject({
      tags: ["programme:MES", "group:home"],
      day: null,
      turn: "office",
    });
  });
});

describe("the address of a list", () => {
  it("begins at its first page when it is narrowed, and drops what is taken away", () => {
    const query = { turn: "office", with: ["programme:MES"], after: "2026-11-25T08:00:00.000Z~27-00001" };
    expect(turnAddress(query, { mine: "1" })).toBe("/office?turn=office&with=programme%3AMES&mine=1");
    expect(turnAddress(query, { with: [] })).toBe("/office?turn=office");
    expect(turnAddress({ turn: "office" }, { turn: "" })).toBe("/office");
  });

  it("is one, in whatever order its parts were chosen", () => {
    const one = listQuery("with=group%3Ahome&turn=office&with=programme%3AMES&after=x&find=ilse");
    expect(one).toBe(listQuery("turn=office&with=programme%3AMES&with=group%3Ahome"));
    expect(one).toBe("turn=office&with=group%3Ahome&with=programme%3AMES");
  });
});
