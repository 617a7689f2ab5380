import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { formatDay, parseDay } from "./day";
import { readTypedDate, readTypedMoment } from "./typed-date";

const read = (typed: string) => {
  const date = readTypedDate(typed);
  return date.kind === "read" ? date.value : date.kind === "two ways" ? date.values : null;
};

describe("dates as people type them", () => {
  it.each([
    ["2026-06-05", "2026-06-05"],
    ["2026/6/5", "2026-06-05"],
    ["20260605", "2026-06-05"],
    ["05.06.2026", "2026-06-05"],
    ["5. 6. 2026", "2026-06-05"],
    ["12.25.2025", "2025-12-25"],
    ["25/12/2025", "2025-12-25"],
    ["12/25/2025", "2025-12-25"],
    ["12-25-2025", "2025-12-25"],
    ["06/06/2026", "2026-06-06"],
    ["5 Jun 2026", "2026-06-05"],
    ["July 9 2026", "2026-07-09"],
    ["July 9th, 2026", "2026-07-09"],
    ["9th of July 2026", "2026-07-09"],
    ["Thursday, 9 July 2026", "2026-07-09"],
    ["9-Jul-2026", "2026-07-09"],
    ["2026 July 9", "2026-07-09"],
    ["1er février 2027", "2027-02-01"],
    ["le 3 aout 2027", "2027-08-03"],
    ["3 AOÛT 2027", "2027-08-03"],
    ["3 déc. 2027", "2027-12-03"],
    ["mar 3 2027", "2027-03-03"],
    ["2026年6月5日", "2026-06-05"],
    ["５ Jun ２０２６", "2026-06-05"],
    ["29/02/2028", "2028-02-29"],
    ["Jun 2026", "2026-06"],
    ["juin 2026", "2026-06"],
    ["6/2026", "2026-06"],
    ["06.2026", "2026-06"],
    ["2026-06", "2026-06"],
    [" 2026 ", "2026"],
  ])("reads %s as %s", (typed, value) => expect(read(typed)).toBe(value));

  it.each([
    ["05/06/2026", ["2026-06-05", "2026-05-06"]],
    ["1-2-2027", ["2027-02-01", "2027-01-02"]],
    ["3 4 2027", ["2027-04-03", "2027-03-04"]],
  ])("does not guess what %s means", (typed, values) => expect(read(typed)).toEqual(values));

  it.each([
    "yesterday",
    "",
    "5/6/26",
    "31/04/2026",
    "29 Feb 2027",
    "13/13/2026",
    "5 Brumaire 2026",
    "5 June July 2026",
    "5 6 June 2026",
    "June",
    "5 June",
    "(5 June 2026)",
    "2026-06-05T10:00",
    "0026-06-05",
    "5 June 2026 2027",
  ])("cannot read %j", (typed) => expect(read(typed)).toBeNull());

  it("reads back every day in every way that leaves no doubt", () => {
    const day = fc.integer({ min: parseDay("1900-01-01") ?? 0, max: parseDay("2199-12-31") ?? 0 });
    fc.assert(
      fc.property(
        day,
        fc.constantFrom("en-GB", "en-US", "fr-FR"),
        fc.constantFrom("long", "short"),
        (n, tag, month) => {
          const iso = formatDay(n);
          const words = new Intl.DateTimeFormat(tag, { day: "numeric", month, year: "numeric", timeZone: "UTC" });
          expect(read(words.format(new Date(`${iso}T12:00:00Z`)))).toBe(iso);
          const [y, m, d] = iso.split("-");
          expect(read(`${d}.${m}.${y}`)).toBe(iso);
          expect([read(`${d}/${m}/${y}`)].flat()).toContain(iso);
          expect([read(`${m}/${d}/${y}`)].flat()).toContain(iso);
        },
      ),
    );
  });

  it.each([
    ["3 Feb 2027, 18:00", "2027-02-03T18:00"],
    ["2027-02-03 18:00", "2027-02-03T18:00"],
    ["2027-02-03T08:05", "2027-02-03T08:05"],
    ["3 février 2027 à 9h30", "2027-02-03T09:30"],
    ["3 Feb 2027 9h", "2027-02-03T09:00"],
    ["3 Feb 2027", null],
    ["3 Feb 2027, 24:00", null],
    ["3 Feb 2027, 18:60", null],
    ["Feb 2027, 18:00", null],
    ["18:00", null],
  ])("reads the moment %s as %s", (typed, value) => {
    const moment = readTypedMoment(typed);
    expect(moment.kind === "read" ? moment.value : null).toBe(value);
  });

  it("gives both moments where the day can be two", () =>
    expect(readTypedMoment("3/4/2027 18:00")).toEqual({
      kind: "two ways",
      values: ["2027-04-03T18:00", "2027-03-04T18:00"],
    }));
});
