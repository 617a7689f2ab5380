import { describe, expect, it } from "vitest";
import { compareZone } from "../core/people/compare-zone";
import { readZone } from "../core/people/travel-document";
import { someone } from "./people";
import type { Profile } from "./profile";
import { zoneLines } from "./zone-lines";

describe("the lines of an invented passport", () => {
  it.each([
    someone("Ilse", "Maarteen-Quist"),
    someone("Jürgen Øyvind", "Großmann", { citizenships: ["DE"], residence: "DE" }),
    someone("", "Suharti", { citizenships: ["ID"] }),
    someone("Anneliese Wilhelmina Charlotte Augusta", "von der Vogtlin-Haasenstein", { citizenships: ["AT"] }),
  ])("of $given $family are whole and say what is claimed", (p: Profile) => {
    const [first, second] = zoneLines(p);
    const read = readZone(`${first}\n${second}`);
    expect([first.length, second.length, read?.errors]).toEqual([44, 44, []]);
    const claims = {
      given: p.given,
      family: p.family,
      birthDate: p.birthDate,
      citizenships: p.citizenships,
      number: p.passportNumber,
      expiry: p.passportExpiry,
    };
    expect(read && compareZone(read, claims, "2026-11-25").filter((l) => l.fits === false)).toEqual([]);
  });
});
