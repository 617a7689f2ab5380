import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { referenceSet } from "../../demo/reference-set";
import { courses } from "../../demo/rulebooks/parts/studies";
import { readTable } from "./read-table";
import { guessMapping, openCells, readableFields, readLines } from "./to-entries";

const FIELDS = readableFields(courses.fields);
const BESIDE = ["date", "code", "degree"];

/** What a table becomes by the guess alone: values, and what is left out, line by line. */
function taken(text: string): readonly string[] {
  const table = readTable(text);
  if (!table) return ["no table"];
  return readLines(table, guessMapping(table, FIELDS, referenceSet), FIELDS, referenceSet).map(
    ({ no, values, problems }) => {
      // What a course may have beside the rest is said only where it stands there.
      const said = FIELDS.filter((f) => !BESIDE.includes(f.key) || values[f.key] !== undefined)
        .map((f) => values[f.key] ?? "–")
        .join(" | ");
      return `${no}: ${said}${problems.map((p) => ` !${p.field} ${p.cell} ${p.issue.code}`).join("")}`;
    },
  );
}

describe("a table that was pasted", () => {
  it.each<readonly [string, string, readonly string[]]>([
    [
      "from a spreadsheet, with names of columns in another order",
      "ECTS\tCourse\tGrade\tSubject area\tStatus\n7.5\tHydrology I\t16\tNatural sciences\tCompleted\n5\tCalculus\t14,5\tMathematics and statistics\tRunning\n",
      ["2: Hydrology I | 7.5 | natural | completed | 16", "3: Calculus | 5 | mathematics | in progress | 14,5"],
    ],
    [
      "with codes and dates of results",
      "code\tcourse\tcredits\tstatus\tgrade\tresult in\nMA101\tCalculus I\t7.5\tcompleted\t9\t2025-12-18\nCS102\tDatabases\t7.5\tin progress\t\t\n",
      [
        "2: Calculus I | 7.5 | – | completed | 9 | 2025-12-18 | MA101",
        "3: Databases | 7.5 | – | in progress | – | CS102",
      ],
    ],
    [
      "in French, with semicolons and commas in numbers",
      "Intitulé;Crédits;Domaine;État;Note\nHydrologie I;7,5;Sciences naturelles;Terminé;16\n",
      ["2: Hydrologie I | 7.5 | natural | completed | 16"],
    ],
    [
      "without names of columns",
      "Hydrology I,7.5,natural,completed,16\nField course\u2019s end,10,natural,completed,15\n",
      ["1: Hydrology I | 7.5 | natural | completed | 16", "2: Field course’s end | 10 | natural | completed | 15"],
    ],
    [
      "with quoted cells, blank lines and a mark of bytes before",
      '\uFEFFCourse,Credits\n"Water, sand ""and"" salt",5\n\n  ,\nEcology,7.5\n',
      ['2: Water, sand "and" salt | 5 | – | – | –', "3: Ecology | 7.5 | – | – | –"],
    ],
    [
      "with what cannot be read: it is left out, and said with its line",
      "Course\tCredits\tSubject area\nHydrology\tmany\tAlchemy\nEcology\t900\tNatural\n",
      [
        "2: Hydrology | – | – | – | – !credits many not-a-number !area Alchemy not-in-list",
        "3: Ecology | – | natural | – | – !credits 900 out-of-range",
      ],
    ],
    ["that is one column", "Hydrology\nEcology\n", ["no table"]],
    ["that is nothing", "  \n", ["no table"]],
    [
      "with fewer cells in some lines",
      "Course,Credits\nHydrology\nEcology,5\n",
      ["2: Hydrology | – | – | – | –", "3: Ecology | 5 | – | – | –"],
    ],
  ])("%s", (_, text, expected) => expect(taken(text)).toEqual(expected));

  it("may take one value for every line, and counts lines as people do", () => {
    const table = readTable("Course,Credits\nHydrology,5\n");
    if (!table) throw new Error("no table");
    const mapping = { title: { column: 0 }, status: { value: "completed" } };
    expect(readLines(table, mapping, FIELDS, referenceSet)).toEqual([
      { no: 2, values: { title: "Hydrology", status: "completed" }, problems: [] },
    ]);
    expect(readLines(table, { status: { value: "completed" } }, FIELDS, referenceSet)).toEqual([]);
  });

  it("asks once about a cell that stands in many lines, and reads all of them by the answer", () => {
    const table = readTable("Course,Status,Result in\nA,Passed,07/2018\nB,passed,03/04/2019\nC,Gave up,31.02.2019\n");
    if (!table) throw new Error("no table");
    const mapping = { title: { column: 0 }, status: { column: 1 }, date: { column: 2 } };
    const read = (meanings = {}) => readLines(table, mapping, FIELDS, referenceSet, { meanings });
    expect(openCells(read())).toEqual([
      { field: "status", cell: "passed", lines: 2, days: null },
      { field: "date", cell: "03/04/2019", lines: 1, days: ["2019-04-03", "2019-03-04"] },
      { field: "status", cell: "Gave up", lines: 1, days: null },
    ]);
    const meanings = { status: { passed: "completed", "gave up": "" }, date: { "03 04 2019": "2019-04-03" } };
    expect(read(meanings)).toEqual([
      { no: 2, values: { title: "A", status: "completed", date: "2018-07" }, problems: [] },
      { no: 3, values: { title: "B", status: "completed", date: "2019-04-03" }, problems: [] },
      {
        no: 4,
        values: { title: "C" },
        problems: [{ field: "date", cell: "31.02.2019", issue: { code: "no-such-day" } }],
      },
    ]);
  });

  it("is never read where it is too large, and never breaks whatever it holds", () => {
    expect(readTable("a,b\n".repeat(600_000))).toBeNull();
    fc.assert(fc.property(fc.string({ unit: "grapheme", maxLength: 300 }), (text) => Array.isArray(taken(text))));
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.constantFrom('"', ",", ";", "\t", "\n", "a", "1"), { maxLength: 40 })),
        (parts) => Array.isArray(taken(parts.map((p) => p.join("")).join(""))),
      ),
    );
  });

  it("gives back every cell that was written by the rules of CSV", () => {
    const cell = fc.string({ minLength: 1, maxLength: 12 }).map((s) => s.replace(/\r/gu, "").trim() || "x");
    const row = fc.tuple(cell, fc.integer({ min: 1, max: 400 }).map(String));
    fc.assert(
      fc.property(fc.array(row, { minLength: 2, maxLength: 20 }), (rows) => {
        const text = [["Course", "Credits"], ...rows]
          .map((r) => r.map((c) => `"${c.replaceAll('"', '""')}"`).join(","))
          .join("\n");
        const table = readTable(text);
        expect(table?.rows.map((r) => [...r])).toEqual(rows.map((r) => [...r]));
      }),
    );
  });

  it("reads five thousand lines in slices, which together are the whole", () => {
    const text = `Course,Credits\n${Array.from({ length: 5000 }, (_, i) => `Course ${i},${(i % 30) + 1}`).join("\n")}`;
    const table = readTable(text);
    if (!table) throw new Error("no table");
    const mapping = guessMapping(table, FIELDS, referenceSet);
    const slices = Array.from({ length: 13 }, (_, i) =>
      readLines(table, mapping, FIELDS, referenceSet, { from: i * 400, to: Math.min(5000, (i + 1) * 400) }),
    ).flat();
    expect(slices).toEqual(readLines(table, mapping, FIELDS, referenceSet));
    expect(slices).toHaveLength(5000);
  });
});

describe("a column that names an entry of another list", () => {
  const option = (value: string, title: string) => ({ value, title: { en: title, fr: title } });
  const degree = (options: readonly ReturnType<typeof option>[]) =>
    FIELDS.map((f) => (f.key === "degree" ? { ...f, options: [...options] } : f));
  const read = (fields: typeof FIELDS, mapping: object = {}) => {
    const table = readTable("Course\tCredits\nHydrology\t5\n");
    if (!table) throw new Error("no table");
    return readLines(table, { ...guessMapping(table, fields, referenceSet), ...mapping }, fields, referenceSet)[0];
  };

  it("is filled by itself where the list has one entry, and never guessed where it has two", () => {
    expect(read(degree([option("a", "BSc")]))?.values.degree).toBe("a");
    expect(read(degree([option("a", "BSc"), option("b", "MSc")]))?.values.degree).toBeUndefined();
  });

  it("is the same for all lines when somebody says so", () =>
    expect(read(degree([option("a", "BSc"), option("b", "MSc")]), { degree: { value: "b" } })?.values.degree).toBe(
      "b",
    ));
});
