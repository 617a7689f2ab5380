import { describe, expect, it } from "vitest";
import { numberShapes } from "./number-shapes";

describe("what the numbers of papers look like, in words", () => {
  it.each([
    ["en", ["XXXXXXXX"], "8 letters or digits"],
    ["en", ["XXXXXX", "XXXXXXXXX", "XXXXXXX"], "6 to 9 letters or digits"],
    ["fr", ["000000", "00000000"], "6 à 8 chiffres"],
    ["en", ["0000/0000"], "“0000/0000” (0 stands for a digit, A for a letter, X for either)"],
    [
      "en",
      ["000000", "AA-000", "0000/0000"],
      "6 digits, “AA-000”, or “0000/0000” (0 stands for a digit, A for a letter, X for either)",
    ],
    ["fr", ["AAA", "00-A"], "3 lettres ou “00-A” (0 est un chiffre, A une lettre, X l’un ou l’autre)"],
  ] as const)("%s %j", (locale, patterns, expected) => expect(numberShapes(locale, patterns)).toBe(expected));
});
