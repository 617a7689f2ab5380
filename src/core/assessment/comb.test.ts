import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { someone } from "../../demo/people";
import { referenceSet } from "../../demo/reference-set";
import { sampleFile, sampleRound, sampleRulebook } from "../../demo/sample-file";
import { makeOffice } from "../standards/reference-set";
import { assess } from "./assess";
import { comb, combText, MOST_BARS, readComb } from "./comb";

describe("the comb", () => {
  it("of more than 24 requirements has a bar for each section, which shows the worst and still says what holds the file up", () => {
    const [like] = assess({
      facts: sampleFile(someone("Ilse", "Maarteen-Quist")),
      rulebooks: { [sampleRulebook.id]: sampleRulebook },
      rounds: { [sampleRound.id]: sampleRound },
      office: makeOffice(1, referenceSet),
      at: Date.parse("2026-11-25T09:00:00Z"),
    }).requirements;
    if (!like) throw new Error("no requirement");
    const many = Array.from({ length: 30 }, (_, i) => ({
      ...like,
      key: `r${i}`,
      sections: [`section${i % 3}`],
      standing: i === 4 ? ("missing" as const) : ("accepted" as const),
    }));
    const next = { turn: "applicant", kind: "supply", requirement: "r4", due: null, dueAt: null } as const;
    expect(comb(many, next).map((b) => [b.key, b.standing, b.holds])).toEqual([
      ["section0", "accepted", false],
      ["section1", "missing", true],
      ["section2", "accepted", false],
    ]);
    expect(comb(many.slice(0, MOST_BARS), next)).toHaveLength(MOST_BARS);
  });

  it("reads back what it wrote", () => {
    const standings = fc.constantFrom(
      "missing",
      "promised",
      "to check",
      "accepted",
      "returned",
      "excused",
      "not needed" as const,
    );
    fc.assert(
      fc.property(fc.array(fc.record({ standing: standings, holds: fc.boolean() }), { maxLength: 24 }), (bars) => {
        const shown = bars.map((b, i) => ({ key: String(i), title: { en: "x", fr: "x" }, ...b })) as Parameters<
          typeof combText
        >[0];
        expect(readComb(combText(shown))).toEqual(bars);
      }),
    );
  });
});
