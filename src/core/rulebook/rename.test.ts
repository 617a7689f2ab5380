import { describe, expect, it } from "vitest";
import { PROGRAMMES } from "../../demo/programmes";
import { rulebookProblems } from "./checks/problems";
import { conditionsOf } from "./conditions";
import { renameFee, renameField, renameMeasure, renameRequirement, renameSection } from "./rename";
import { type RulebookBody, rulebookSchema } from "./rulebook";

const BODIES = PROGRAMMES.map((p) => [p.programme.code, rulebookSchema.parse(p.rulebook)] as const);
const plain = (body: RulebookBody): unknown => JSON.parse(JSON.stringify(body));

/** What is called anew and then by its old name again is what it was, and in between nothing leads nowhere. */
describe.each(BODIES)("what is called anew in %s", (_, body) => {
  it("sections of its own carry along what names them", () => {
    for (const [index, section] of body.sections.entries()) {
      const anew = renameSection(body, index, "calledAnew");
      expect([section.key, rulebookProblems(anew)]).toEqual([section.key, []]);
      expect(plain(renameSection(anew, index, section.key))).toEqual(plain(body));
    }
  });

  it("fields that are free to be called anything do", () => {
    // Whoever signs is found by these names.
    const signers = body.requirements.flatMap((r) => (r.kind === "document" && r.signedBy ? [r.signedBy.section] : []));
    const isFree = (section: string, key: string) => !(signers.includes(section) && ["name", "email"].includes(key));
    for (const [index, section] of body.sections.entries())
      for (const field of section.core === null ? section.fields.filter((f) => isFree(section.key, f.key)) : []) {
        const anew = renameField(body, index, field.key, "calledAnew");
        const named = `${section.key}.${field.key}`;
        expect([named, rulebookProblems(anew)]).toEqual([named, []]);
        expect(JSON.stringify(anew)).not.toContain(`"answers.${named}"`);
        expect(plain(renameField(anew, index, "calledAnew", field.key))).toEqual(plain(body));
      }
  });

  it("computed values and fees do", () => {
    for (const [index, measure] of body.measures.entries()) {
      const anew = renameMeasure(body, index, "calledAnew");
      expect(rulebookProblems(anew)).toEqual([]);
      expect(plain(renameMeasure(anew, index, measure.key))).toEqual(plain(body));
    }
    for (const [index, fee] of body.fees.entries()) {
      const anew = renameFee(body, index, "calledAnew");
      expect(rulebookProblems(anew)).toEqual([]);
      expect(plain(renameFee(anew, index, fee.key))).toEqual(plain(body));
    }
  });

  it("requirements carry along the rules that read how they were settled", () => {
    for (const [index, requirement] of body.requirements.entries()) {
      const anew = renameRequirement(body, index, "calledAnew");
      expect([requirement.key, rulebookProblems(anew)]).toEqual([requirement.key, []]);
      expect(plain(renameRequirement(anew, index, requirement.key))).toEqual(plain(body));
    }
  });

  it("no name is taken twice", () => {
    const [first, second] = body.sections;
    expect(renameSection(body, 0, second?.key ?? "")).toBe(body);
    const [one, other] = first?.fields ?? [];
    expect(renameField(body, 0, one?.key ?? "", other?.key ?? "")).toBe(body);
  });
});

it("the rules of the demo name fields of lists, sums and limits, so that each way is gone here", () => {
  const ops = new Set(
    BODIES.flatMap(([, body]) => conditionsOf(body).map(({ condition }) => JSON.stringify(condition))).flatMap((text) =>
      [...text.matchAll(/"op":"(\w+)"/gu)].map((m) => m[1]),
    ),
  );
  expect([...ops].sort()).toEqual(["all", "any", "atLeast", "count", "fact", "not", "some", "sum"]);
});
