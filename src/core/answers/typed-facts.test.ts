import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { answer, asField, confirmation, indexOf, section } from "../../demo/sample-sections";
import type { AnswerFact, ConfirmationFact } from "../file/facts";
import { compare, multiply, parseDecimal, toShort, whole } from "../numbers/ratio";
import { planSection, scalarPlaces } from "../rulebook/plan";
import type { Fact } from "../rules/fact";
import { NOT_KNOWN } from "./not-known";
import { typedFacts } from "./typed-facts";

describe("typed facts", () => {
  const degrees = section({
    key: "schools",
    core: "education",
    repeats: { min: 1, max: 3 },
    fields: [asField("creditsPerYear", "decimal"), asField("title", "text")],
  });
  const courses = section({
    key: "courses",
    core: "courses",
    repeats: { min: 1, max: 99 },
    fields: [asField("credits", "decimal"), asField("degree", "text")],
  });
  const other = section({
    key: "heard",
    fields: [asField("from", "text", { seenBy: "figures" }), asField("why", "text")],
  });
  const sections = [degrees, courses, other].map(planSection);
  const plan = { sections, scalars: scalarPlaces(sections) };
  const facts = (answers: readonly AnswerFact[], confirmations: readonly ConfirmationFact[] = [], closed = false) =>
    typedFacts(indexOf(answers, confirmations), plan, "c1", closed);
  const text = (fact: Fact | undefined) =>
    fact?.kind === "value" && typeof fact.value === "object" && "n" in fact.value ? toShort(fact.value) : fact?.kind;

  it("are named by what the section is, and keep out what is not for assessment", () => {
    const { scalar, list } = facts([answer("heard//from", "a fair"), answer("heard//why", "sea")]);
    expect(scalar("answers.heard.why")).toEqual({ kind: "value", value: "sea", confirmed: false });
    expect([scalar("answers.heard.from"), scalar("heard.why"), list("schools")]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
    for (const name of ["degrees", "courses"])
      expect([list(name)?.entries, list(name)?.open, list(name)?.column?.("title")]).toEqual([[], true, []]);
  });

  it("are, of a ranking, the whole and what is first in it", () => {
    const topics = section({ key: "topics", fields: [asField("order", "ranked")] });
    const ranked = [planSection(topics)];
    const first = (...values: string[]) =>
      typedFacts(
        indexOf([answer("topics//order", values)], []),
        { sections: ranked, scalars: scalarPlaces(ranked) },
        "c1",
        false,
      ).scalar("answers.topics.order.first");
    expect(first("salt", "surge")).toEqual({ kind: "value", value: "salt", confirmed: false });
    expect(first()).toEqual({ kind: "unknown" });
  });

  it("are unknown for what is empty or cannot be read", () => {
    for (const value of [null, "", "many", [], NOT_KNOWN] as const)
      expect(
        facts([answer("schools/a/creditsPerYear", value)])
          .list("degrees")
          ?.entries[0]?.at("creditsPerYear"),
      ).toEqual({
        kind: "unknown",
      });
  });

  it("stand by field in the order of the entries, unknown where an entry, the section or everybody lacks one", () => {
    const schools = facts([answer("schools/a/title", "BSc"), answer("schools/b/creditsPerYear", "60")]).list("degrees");
    const column = (field: string) => schools?.column?.(field).map((fact) => fact.kind === "value" && fact.value);
    expect(["title", "creditsPerYear", "nothing"].map(column)).toEqual([
      ["BSc", false],
      [false, { n: 60, d: 1 }],
      [false, false],
    ]);
    expect(schools?.entries.map((entry) => entry.at("title"))).toEqual(schools?.column?.("title"));
  });

  it("take the confirmed value in place of the claim, also when the claim was changed since", () => {
    const claimed = [answer("heard//why", "sea", { version: 3 })];
    const { scalar } = facts(claimed, [confirmation("heard//why", "salt", 2)]);
    expect(scalar("answers.heard.why")).toEqual({ kind: "value", value: "salt", confirmed: true });
    const index = indexOf(claimed, [confirmation("heard//why", "salt", 2)]);
    expect(index.row("file", "heard", "").isUnconfirmed("why")).toBe(true);
    const since = indexOf(claimed, [confirmation("heard//why", "salt", 3)]);
    expect(since.row("file", "heard", "").isUnconfirmed("why")).toBe(false);
  });

  it("reach the fields of an entry that is named, confirmed only where both are", () => {
    const sittings = section({
      key: "sittings",
      core: "sittings",
      repeats: { min: 1, max: 2 },
      fields: [asField("board", "text")],
    });
    const subjects = section({
      key: "subjects",
      core: "subjects",
      repeats: { min: 1, max: 9 },
      fields: [asField("sitting", "entry", { of: "sittings" }), asField("loose", "entry"), asField("mark", "whole")],
    });
    const planned = [sittings, subjects].map(planSection);
    const read = (confirmations: readonly ConfirmationFact[] = []) =>
      typedFacts(
        indexOf(
          [
            answer("sittings/s/board", "northern"),
            answer("subjects/a/sitting", "s"),
            answer("subjects/b/sitting", "gone"),
            answer("subjects/c/mark", "50"),
            answer("subjects/c/loose", "s"),
          ],
          confirmations,
        ),
        { sections: planned, scalars: scalarPlaces(planned) },
        "c1",
        true,
      ).list("subjects");
    const northern = (confirmed: boolean) => ({ kind: "value", value: "northern", confirmed });
    const unknown = { kind: "unknown" };
    expect(read()?.column?.("sitting.board")).toEqual([northern(false), unknown, unknown]);
    expect(read()?.entries[0]?.at("sitting.board")).toEqual(northern(false));
    for (const field of ["sitting.hat", "loose.board", "mark.board", "nothing.board"])
      expect(read()?.column?.(field)).toEqual([unknown, unknown, unknown]);
    const board = confirmation("sittings/s/board", "northern");
    const sitting = confirmation("subjects/a/sitting", "s");
    expect([[board], [sitting], [board, sitting]].map((c) => read(c)?.column?.("sitting.board")[0])).toEqual(
      [false, false, true].map(northern),
    );
  });

  it("keep a list open until somebody says that is all, or the submission closes it", () => {
    const one = [answer("courses/k/credits", "10")];
    expect(facts(one).list("courses")?.open).toBe(true);
    expect(facts([...one, answer("courses//complete", true)]).list("courses")?.open).toBe(false);
    expect(facts(one, [], true).list("courses")?.open).toBe(false);
  });

  it.each([
    ["10", "60", undefined, "10"],
    ["10", "120", undefined, "5"],
    ["7.5", "45", undefined, "10"],
    ["10", "", undefined, "unknown"],
    ["", "60", undefined, "unknown"],
    ["10", "0", undefined, "unknown"],
    ["10", "120", "a", "5"],
    ["10", "120", "gone", "unknown"],
  ])("count %j credits of a full-time year of %j (degree %s) as %s ECTS", (credits, perYear, degree, expected) => {
    const answers = [
      answer("schools/a/creditsPerYear", perYear),
      answer("courses/k/credits", credits),
      ...(degree ? [answer("courses/k/degree", degree)] : []),
    ];
    expect(text(facts(answers).list("courses")?.entries[0]?.at("ects"))).toBe(expected);
  });

  it("do not guess which of two degrees a course belongs to", () => {
    const answers = [
      answer("schools/a/creditsPerYear", "60"),
      answer("schools/b/creditsPerYear", "120"),
      answer("courses/k/credits", "10"),
      answer("courses/m/credits", "10"),
      answer("courses/m/degree", "b"),
    ];
    expect(
      facts(answers)
        .list("courses")
        ?.entries.map((e) => text(e.at("ects"))),
    ).toEqual(["unknown", "5"]);
  });

  it("convert credits exactly: what is added up again is what was there", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9999 }), fc.integer({ min: 1, max: 240 }), (credits, perYear) => {
        const { list } = facts([
          answer("schools/a/creditsPerYear", String(perYear)),
          answer("courses/k/credits", `${Math.floor(credits / 10)}.${credits % 10}`),
        ]);
        const ects = list("courses")?.entries[0]?.at("ects");
        if (ects?.kind !== "value" || typeof ects.value !== "object" || !("n" in ects.value)) return false;
        const local = parseDecimal(String(credits / 10));
        return local !== null && compare(multiply(ects.value, whole(perYear)), multiply(local, whole(60))) === 0;
      }),
    );
  });
});
