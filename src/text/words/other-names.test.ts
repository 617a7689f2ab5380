import { describe, expect, it } from "vitest";
import { isCalled } from "./other-names";

describe("a country or a language", () => {
  it.each<["region" | "language", string, string, string, boolean]>([
    ["region", "DE", "Germany", "germ", true],
    ["region", "DE", "Germany", "Deutschland", true],
    ["region", "DE", "Allemagne", "germany", true],
    ["region", "CI", "Côte d’Ivoire", "cote d", true],
    ["region", "NL", "Pays-Bas", "países baj", true],
    ["region", "JP", "Japan", "日本", true],
    ["region", "UA", "Ukraine", "Украина", true],
    ["region", "DE", "Germany", "France", false],
    ["region", "XXA", "Stateless", "stateless", true],
    ["region", "XXA", "Stateless", "apatride", false],
    ["language", "nl", "Dutch", "Nederlands", true],
    ["language", "nl", "Dutch", "German", false],
  ])("%s %s on the page as %s is found by “%s”: %s", (type, code, label, typed, found) =>
    expect(isCalled(type, code, label, typed)).toBe(found),
  );
});
