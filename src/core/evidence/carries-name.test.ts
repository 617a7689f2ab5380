import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { carriesName } from "./carries-name";

const PROSE =
  "This is to certify that the student named above has completed all modules of the programme in good standing and ";

describe("whether a text carries a name", () => {
  it.each([
    ["as it is written", "Ilse Maarteen-Quist", `${PROSE} Maarteen-Quist, Ilse`, true],
    ["in capitals and without accents", "Róisín Mac Giolla Bhríde", `${PROSE} ROISIN MAC GIOLLA BHRIDE`, true],
    ["by one of its parts", "Ana María de la Cruz", `${PROSE} A. M. Cruz`, true],
    ["with an umlaut of another country", "Jürgen Höfer", `${PROSE} Herr Hofer`, true],
    ["printed in one", "Minh Anh Nguyen", `${PROSE} NGUYENMINHANH`, true],
    ["in a script without blanks", "山田太郎", `${PROSE} 学生山田太郎は`, true],
    ["not at all", "Ilse Maarteen-Quist", `${PROSE} Otto Brandvold`, false],
    ["not by a particle alone", "Ana de la Cruz", `${PROSE} de la Torre, Pedro`, false],
    ["with too little text to say", "Ilse Maarteen-Quist", "Page 1 of 2", null],
    ["where nobody has a name yet", "", PROSE, null],
  ])("%s", (_, name, text, carries) => expect(carriesName(text, [name])).toBe(carries));

  it("knows it by a former name", () =>
    expect(carriesName(`${PROSE} Ilse Brandt`, ["Maarteen-Quist", "Brandt"])).toBe(true));

  it("never misses a name that stands in it, whatever stands around", () => {
    const letters = fc.stringMatching(/^[a-z]{4,10}$/u);
    fc.assert(
      fc.property(letters, fc.string({ maxLength: 60 }), fc.string({ maxLength: 60 }), (name, before, after) => {
        expect(carriesName(`${PROSE} ${before} ${name} ${after}`, [name])).toBe(true);
      }),
    );
  });
});
