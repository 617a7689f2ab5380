import { describe, expect, it } from "vitest";
import { mes } from "../../demo/rulebooks/mes";
import { type RulebookBody, rulebookSchema } from "../rulebook/rulebook";
import { compareRulebooks } from "./rulebooks";

const copy = (): RulebookBody => rulebookSchema.parse(JSON.parse(JSON.stringify(mes)));
const before = copy();
const words = (after: RulebookBody) =>
  compareRulebooks(before, after).map((d) => [d.change, d.area, d.key, ...d.parts.map((p) => p.part)].join(" "));

describe("what differs between two rulebooks", () => {
  it("is nothing between a rulebook and its copy", () => expect(words(copy())).toEqual([]));

  it.each<[string, (body: RulebookBody) => RulebookBody, readonly string[]]>([
    ["a section taken out", (b) => ({ ...b, sections: b.sections.slice(1) }), ["removed section person"]],
    [
      "a field made optional",
      (b) => ({
        ...b,
        sections: b.sections.map((s) =>
          s.key === "person"
            ? { ...s, fields: s.fields.map((f) => (f.key === "birthPlace" ? { ...f, required: false } : f)) }
            : s,
        ),
      }),
      ["changed field person.birthPlace required"],
    ],
    [
      "a stricter rule with another title",
      (b) => ({
        ...b,
        entryRules: b.entryRules.map((r) =>
          r.key === "grade"
            ? {
                ...r,
                title: { en: "Grade 2.0", fr: "Note 2,0" },
                rule: { op: "fact", fact: "measure.grade", is: "atMost" as const, value: "2.0" },
              }
            : r,
        ),
      }),
      ["changed entry rule grade title rule"],
    ],
    [
      "a fee that is new",
      (b) => ({ ...b, fees: [...b.fees, { ...(b.fees[0] as RulebookBody["fees"][number]), key: "extra" }] }),
      ["added fee extra"],
    ],
  ])("%s", (_, change, differences) => expect(words(change(copy()))).toEqual(differences));

  it("carries both values", () => {
    const after = { ...copy(), fees: before.fees.map((f) => ({ ...f, currency: "GBP" })) };
    expect(compareRulebooks(before, after)[0]?.parts).toEqual([{ part: "currency", before: "EUR", after: "GBP" }]);
  });
});
