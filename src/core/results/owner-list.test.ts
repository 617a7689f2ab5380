import { describe, expect, it } from "vitest";
import type { TestDefinition } from "../language/test-definition";
import { readTable } from "../tables/read-table";
import { differingParts, isTheirs, numberKey, readOwnerList } from "./owner-list";

const part = (key: string, en: string, fr: string) => ({ key, title: { en, fr }, min: 0, max: 50, step: 1 });
const TEST: TestDefinition = {
  key: "het",
  title: { en: "HET", fr: "HET" },
  language: "en",
  parts: [part("L", "Listening", "Écoute"), part("R", "Reading", "Lecture")],
  total: null,
  validMonths: 18,
  levels: [],
};

const read = (text: string) => {
  const table = readTable(text);
  if (!table) throw new Error("this is no table");
  return readOwnerList(table, TEST);
};

describe("a list of results from the owner of a test", () => {
  it("is read by the names of its columns, in any order and language", () =>
    expect(
      read(
        "Écoute;Candidate number;Date of birth;Surname;Given names;Test date;R\n41;HET-20 417;11.4.2003;Quist;Ilse;2026-10-03;43",
      ),
    ).toEqual({
      ok: true,
      problems: [],
      results: [
        {
          number: "HET-20 417",
          name: "Ilse Quist",
          birthDate: "2003-04-11",
          takenOn: "2026-10-03",
          scores: { L: "41", R: "43" },
        },
      ],
    }));

  it("is refused as a whole where columns are missing, which are named", () =>
    expect(read("number,name,L\n1,Ada Vale,40")).toEqual({ ok: false, missing: ["date", "Reading"] }));

  it("tells each wrong line and takes the others", () => {
    const list = read(
      [
        "number,name,birth date,date,L,R",
        "1,Ada Vale,,2026-10-03,40,40",
        "--,Ada Vale,,2026-10-03,40,40",
        "2,,,2026-10-03,40,40",
        "3,Bo Vale,,31.2.2026,40,40",
        "4,Bo Vale,1999,2026-10-03,40,40",
        "5,Bo Vale,,2026-10-03,51,40",
        "6,Bo Vale,,2026-10-03,40,",
        "7,Bo Vale,,2026-10-03,40,40.5",
        " 1 ,Ada Vale,,3/10/2026,42,42",
        "1,Ada Vale,,2026-10-04,42,42",
      ].join("\n"),
    );
    expect(list.ok && list.results.map((r) => [r.number, r.takenOn])).toEqual([
      ["1", "2026-10-03"],
      ["1", "2026-10-04"],
    ]);
    expect(list.ok && list.problems).toEqual([
      { line: 2, code: "no-number", about: "--" },
      { line: 3, code: "no-name", about: "2" },
      { line: 4, code: "no-day", about: "31.2.2026" },
      { line: 5, code: "not-a-birth-date", about: "1999" },
      { line: 6, code: "score-range", about: "L 51" },
      { line: 7, code: "score-missing", about: "R" },
      { line: 8, code: "score-step", about: "R 40.5" },
      { line: 9, code: "twice", about: "1" },
    ]);
  });

  it.each([
    ["HET-20 417", "het20417"],
    [" a.b/7 ", "ab7"],
    ["—", ""],
  ])("%s is compared as %s", (number, key) => expect(numberKey(number)).toBe(key));
});

describe("whose result it is", () => {
  const who = { name: "Ilse Maarteen-Quist", formerNames: ["Ilse Maarteen"], birthDate: "2003-04-11" };
  it.each([
    ["the same name", "Ilse Maarteen Quist", null, true],
    ["in capitals and the other way round", "MAARTEEN-QUIST ILSE", "2003-04-11", true],
    ["a former name", "Ilse Maarteen", null, true],
    ["another name", "Ilka Martens", null, false],
    ["another day of birth", "Ilse Maarteen-Quist", "2003-04-12", false],
  ])("%s", (_what, name, birthDate, theirs) => expect(isTheirs({ name, birthDate }, who)).toBe(theirs));

  it("a birth date that the file does not have speaks against nobody", () =>
    expect(isTheirs({ name: "Ilse Maarteen", birthDate: "1990-01-01" }, { ...who, birthDate: "" })).toBe(true));
});

describe("a claim beside the list", () => {
  it.each([
    [{ L: "41", R: "43" }, { L: "41.0", R: "43" }, []],
    [{ L: "41", R: "43" }, { L: "40", R: "43" }, ["L"]],
    [{ L: "41" }, { L: "41", R: "43" }, ["R"]],
  ])("%j beside %j differs in %j", (claimed, listed, parts) =>
    expect(differingParts(claimed as never, listed as never)).toEqual(parts),
  );
});
