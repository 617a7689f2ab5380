import { describe, expect, it } from "vitest";
import { bmr } from "../../demo/rulebooks/from-school";
import { mes } from "../../demo/rulebooks/mes";
import type { Condition } from "../rules/condition";
import { planOf } from "./plan";
import type { RulebookBody } from "./rulebook";

const toConfirm = (body: RulebookBody) =>
  Object.fromEntries(
    [...planOf(body).toConfirm]
      .map(
        ([key, sections]) => [key, sections.flatMap((s) => s.fields.map((f) => `${s.section.key}.${f.key}`))] as const,
      )
      .filter(([, fields]) => fields.length > 0),
  );

describe("what has to be confirmed, and where", () => {
  it("is the values that rules use, beside the documents that show them", () => {
    const all = toConfirm(mes);
    expect(Object.keys(all)).toEqual(["certificate", "transcript", "english"]);
    expect(all.certificate).toContain("education.grade");
  });

  it("is confirmed with its sections where no document shows it", () => {
    const bare = { ...mes, requirements: mes.requirements.filter((r) => r.key !== "transcript") };
    const { studies } = toConfirm(bare);
    expect(studies).toEqual(expect.arrayContaining(["courses.credits", "courses.area"]));
  });

  it("is both ends of what a rule reads through an entry", () => {
    const rule: Condition = {
      op: "some",
      list: "subjects",
      where: { op: "fact", fact: "it.sitting.board", is: "equals", value: "northern" },
    };
    const first = bmr.entryRules[0];
    const body = { ...bmr, entryRules: first ? [{ ...first, key: "through", rule }] : [] };
    expect([...(planOf(body).inputs.get("through") ?? [])].sort()).toEqual(["sittings.board", "subjects.sitting"]);
  });

  it("is nothing that the choice itself gives", () =>
    expect([...planOf(mes).used].filter((name) => !mes.sections.some((s) => name.startsWith(`${s.key}.`)))).toEqual(
      [],
    ));
});
