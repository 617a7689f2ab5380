import { describe, expect, it } from "vitest";
import { signedOtherwise } from "./signed-name";

/** A typed name under the declaration beside the name of the form. */
describe("signing with another name", () => {
  it.each([
    ["Ilse Maarteen-Quist", "Ilse Maarteen-Quist", false],
    ["maarteen-quist, ilse", "Ilse Maarteen-Quist", false],
    ["Ilse Maarteen Quist", "Ilse Maarteen-Quist", false],
    ["Roisin Mac Giolla Bhride", "Róisín Mac Giolla Bhríde", false],
    ["Quist", "Ilse Quist", true],
    ["Piet Jansen", "Ilse Maarteen-Quist", true],
    ["xx", "Ilse Maarteen-Quist", true],
    ["Suharto", "Suharto", false],
    ["", "Ilse Maarteen-Quist", false],
    ["Ilse", "", false],
  ])("%s for %s: %s", (signed, legal, otherwise) => expect(signedOtherwise(signed, legal)).toBe(otherwise));
});
