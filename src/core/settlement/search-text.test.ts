import { describe, expect, it } from "vitest";
import { person } from "../../../tests/support/sample-assessment";
import { sampleFile, sampleRound, sampleRulebook } from "../../demo/sample-file";
import { fold } from "../people/fold";
import { personOf } from "../people/person-of";
import { foundBy, searchText, soughtWords } from "./search-text";

const facts = sampleFile(person());
const file = {
  facts,
  asleep: [],
  rulebooks: { [sampleRulebook.id]: sampleRulebook },
  rounds: { [sampleRound.id]: sampleRound },
};
const text = searchText(file, personOf(facts, null));
const find = (typed: string) => {
  const words = soughtWords(fold(typed));
  return words.every((word) => text.includes(word)) ? (foundBy(text, words)?.by ?? null) : null;
};

describe("what a file is found by", () => {
  it.each([
    ["Maarteen", "name"],
    ["quist ILSE", "name"],
    ["Dr. Orla Finnegan", "referee"],
    ["halden sound", "institution"],
    ["R 441 7720", "document"],
    ["r4417720", "document"],
    ["00001", "number"],
  ])("%s is found as its %s", (typed, by) => {
    expect(find(typed)).toBe(by);
  });

  it("is nothing that it does not hold, and no sign of its own lines", () => {
    for (const typed of ["Okwuosa", "maarteen okwuosa", "#", "~", "^", "%", "_"])
      expect([typed, find(typed)]).toEqual([typed, null]);
  });

  it("has each line once, whatever is said twice", () => {
    const lines = text.split("\n");
    expect(new Set(lines).size).toBe(lines.length);
    expect(lines.filter((l) => l.startsWith("&"))).toEqual(["&university of halden sound"]);
  });

  it("takes the line that holds the most of what was looked for", () => {
    expect(foundBy("ilse halden\n#27-00001\n&university of halden sound", ["halden", "sound"])).toEqual({
      by: "institution",
      line: "university of halden sound",
    });
    expect(foundBy("ilse", ["okwuosa"])).toBeNull();
    expect(foundBy(text, ["finegan"], true)).toEqual({ by: "referee", line: "dr orla finnegan" });
    expect(foundBy(text, ["haldem"], true)?.by).toBe("institution");
  });
});
