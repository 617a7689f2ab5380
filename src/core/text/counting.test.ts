import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { countCharacters, countWords } from "./counting";

describe("counting as people count", () => {
  it.each([
    ["", 0],
    ["   \n\t ", 0],
    ["one", 1],
    ["two words", 2],
    ["a well-known fact", 3],
    ["don’t count twice", 3],
    ["dash – alone", 2],
    ["l’eau de mer", 3],
    ["42 metres, 3.5 knots", 4],
    ["Ebbe\u00a0und\u2003Flut", 3],
    ["潮汐能", 2],
    ["…", 0],
  ])("%j has %i words", (text, words) => expect(countWords(text)).toBe(words));

  it.each([
    ["", 0],
    ["abc", 3],
    ["e\u0301", 1],
    ["👩‍🔬", 1],
    ["🇮🇪🇳🇱", 2],
    ["नमस्ते", 3],
    ["a\r\nb", 3],
  ])("%j has %i characters", (text, characters) => expect(countCharacters(text)).toBe(characters));

  it("adds up over texts that are joined by a blank", () =>
    fc.assert(
      fc.property(fc.string(), fc.string(), (a, b) => countWords(`${a} ${b}`) === countWords(a) + countWords(b)),
    ));
});
