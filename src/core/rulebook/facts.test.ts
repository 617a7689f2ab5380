import { describe, expect, it } from "vitest";
import { PROGRAMMES } from "../../demo/programmes";
import { bmr } from "../../demo/rulebooks/from-school";
import { mes } from "../../demo/rulebooks/mes";
import { pcs } from "../../demo/rulebooks/pcs";
import type { Condition } from "../rules/condition";
import { comparisonsFor, type KnownFact, knownFacts } from "./facts";
import type { RulebookBody } from "./rulebook";

const groups = ["home", "overseas"];
const named = (body: RulebookBody, name: string) => knownFacts(body, groups).scalars.find((f) => f.name === name);

/** Every comparison of a plain fact in a condition, with the list that `it` belongs to. */
function comparisons(
  condition: Condition,
  list: string | null = null,
): readonly { fact: string; is: string; list: string | null }[] {
  switch (condition.op) {
    case "all":
    case "any":
    case "atLeast":
      return condition.of.flatMap((c) => comparisons(c, list));
    case "not":
      return comparisons(condition.of, list);
    case "fact":
      return [{ fact: condition.fact, is: condition.is, list }];
    case "some":
    case "count":
    case "sum":
      return condition.where ? comparisons(condition.where, condition.list) : [];
  }
}

describe("the facts that rules may read", () => {
  it.each([
    ["person.birthDate", "date"],
    ["person.oneName", "yesNo"],
    ["citizenship.citizenships", "picks"],
    ["citizenship.residence", "pick"],
    ["measure.grade", "number"],
    ["measure.english", "level"],
    ["answers.english.way", "pick"],
    ["group", "pick"],
  ])("%s is a %s", (name, type) => expect(named(mes, name)?.type).toBe(type));

  it("leave out what is kept from assessment", () => {
    expect(named(pcs, "answers.funding.wanted")?.type).toBe("yesNo");
    expect(named(pcs, "answers.funding.own")).toBeUndefined();
  });

  it("stand in their lists, where they are named by the entry", () => {
    const degrees = knownFacts(mes, groups).lists.find((l) => l.name === "degrees");
    expect(degrees?.facts.find((f) => f.name === "it.level")?.type).toBe("number");
    expect(
      knownFacts(mes, groups)
        .lists.find((l) => l.name === "courses")
        ?.facts.map((f) => f.name),
    ).toContain("it.ects");
  });

  it("include what is first in a ranking, and how requirements were settled, for entry rules alone", () => {
    expect(named(pcs, "answers.topics.order.first")).toMatchObject({
      type: "pick",
      options: expect.arrayContaining([{ value: "salt", title: "Salt in coastal wells" }]),
    });
    expect(named(pcs, "requirement.supervisor")).toBeUndefined();
    expect(knownFacts(pcs, groups).standings.find((f) => f.name === "requirement.supervisor")).toMatchObject({
      type: "pick",
      title: "A supervisor who is willing",
    });
  });

  it("include what stands in the entries that an entry names", () => {
    const subjects = knownFacts(bmr, groups).lists.find((l) => l.name === "subjects");
    expect(subjects?.facts.find((f) => f.name === "it.sitting.board")).toMatchObject({
      type: "pick",
      title: "Sitting: Examining board",
    });
    expect(subjects?.facts.filter((f) => f.name.startsWith("it.subject."))).toEqual([]);
  });

  it.each(PROGRAMMES.map((p) => [p.programme.code, p.rulebook] as const))(
    "are enough for every rule of %s, with comparisons that a builder offers",
    (_, body) => {
      const facts = knownFacts(body, groups);
      const find = (name: string, list: string | null): KnownFact | undefined =>
        name.startsWith("it.")
          ? facts.lists.find((l) => l.name === list)?.facts.find((f) => f.name === name)
          : [...facts.standings, ...facts.scalars].find((f) => f.name === name);
      const used = body.entryRules.flatMap((r) => comparisons(r.rule));
      expect(body.entryRules.length).toBeGreaterThan(0);
      for (const { fact, is, list } of used) {
        const known = find(fact, list);
        expect([fact, known ? comparisonsFor(known.type) : []]).toEqual([fact, expect.arrayContaining([is])]);
      }
    },
  );
});
