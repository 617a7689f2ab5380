import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { PROGRAMMES } from "../../demo/programmes";
import { mes } from "../../demo/rulebooks/mes";
import { rulebookJsonSchema } from "./json-schema";
import { readRulebook } from "./read-rulebook";
import { rulebookSchema } from "./rulebook";

const broken = (change: (body: Record<string, unknown>) => void): string => {
  const copy = JSON.parse(JSON.stringify(mes)) as Record<string, unknown>;
  change(copy);
  return JSON.stringify(copy);
};
const wrong = (text: string) => {
  const read = readRulebook(text);
  return "wrong" in read ? read.wrong.join("\n") : "fine";
};

describe("a rulebook in a file", () => {
  it.each(PROGRAMMES.map((p) => [p.programme.code, p.rulebook] as const))("%s comes back as it went out", (_, body) => {
    const stored = rulebookSchema.parse(body);
    expect(readRulebook(JSON.stringify(stored))).toEqual({ body: stored });
  });

  it.each<[string, string, RegExp]>([
    ["no JSON", "{", /^This file is no JSON/u],
    ["an empty file", "", /^This file is no JSON/u],
    ["something else", "[]", /^The whole: /u],
    ["a part that is missing", broken((b) => delete b.fees), /^fees: /u],
    [
      "a moment that does not exist",
      broken((b) => Object.assign((b.requirements as object[])[3] ?? {}, { neededBy: "someday" })),
      /^requirements → no\. 4, “Proof of the change of name” → neededBy: /u,
    ],
    [
      "a rule that is no rule",
      broken((b) =>
        Object.assign((b.entryRules as object[])[1] ?? {}, { rule: { op: "fact", fact: "start", is: "nearly" } }),
      ),
      /^entryRules → no\. 2, “[^”]+” → rule/u,
    ],
  ])("%s: the place is said", (_, text, sentence) => expect(wrong(text)).toMatch(sentence));

  it("never throws, whatever it is given", () =>
    fc.assert(fc.property(fc.oneof(fc.string(), fc.json()), (text) => readRulebook(text) !== undefined)));

  it("is described by a JSON Schema with all its parts", () => {
    const schema = rulebookJsonSchema();
    expect(schema.required).toEqual(["sections", "requirements", "measures", "entryRules", "fees"]);
    expect(JSON.stringify(schema).length).toBeGreaterThan(1000);
  });
});
