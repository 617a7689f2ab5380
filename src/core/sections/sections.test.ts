import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { referenceSet } from "../../demo/reference-set";
import { sampleRound } from "../../demo/sample-file";
import type { ChoiceContext } from "../assessment/context";
import type { AnswerFact, ChoiceFact, ConfirmationFact, Json } from "../assessment/facts";
import type { Instant, PlainDate } from "../ids";
import { parseDecimal, toShort } from "../numbers/ratio";
import type { RulebookBody } from "../rulebook/rulebook";
import type { Condition } from "../rules/condition";
import type { Fact, FactSource } from "../rules/fact";
import { sectionGaps } from "./completeness";
import { type Field, factName, type Section, sectionSchema } from "./definition";
import { dormancyChanges } from "./dormancy";
import { mayChange, openness, reopenedOf } from "./lock";
import { AnswerIndex, isUnconfirmed, typedFacts } from "./typed-facts";

const title = { en: "x", fr: "x" };
const asField = (key: string, kind: Field["kind"], more: Partial<Field> = {}): Field => ({
  key,
  kind,
  title,
  required: true,
  seenBy: "assessment",
  ...more,
});
const section = (more: Partial<Section> & Pick<Section, "key" | "fields">): Section =>
  sectionSchema.parse({ core: null, scope: "file", title, ...more });
const answer = (place: string, value: Json, more: Partial<AnswerFact> = {}): AnswerFact => {
  const [of = "", entry = "", field = ""] = place.split("/");
  return { scope: "file", section: of, entry, field, value, version: 1, position: 0, ...more };
};
const confirmation = (place: string, value: Json, answerVersion = 1): ConfirmationFact => {
  const { version, position, ...rest } = answer(place, value);
  return { ...rest, at: "2026-11-20T09:00:00.000Z" as Instant, answerVersion };
};
const indexOf = (answers: readonly AnswerFact[], confirmations: readonly ConfirmationFact[] = []) =>
  new AnswerIndex({ answers, confirmations });
const choice = (id: string, change: Partial<ChoiceFact> = {}): ChoiceFact => ({
  id,
  rank: 1,
  rulebookId: "r",
  roundId: sampleRound.id,
  programme: "X",
  start: "2027-09-01" as PlainDate,
  campus: null,
  mode: null,
  track: null,
  extendedTo: null,
  submittedAt: null,
  withdrawnAt: null,
  completeAt: null,
  decision: null,
  ...change,
});
const AT = "2026-11-20T09:00:00.000Z" as Instant;

function sourceFor(sections: readonly Section[], answers: readonly AnswerFact[], closed = false): FactSource {
  const planned = sections.map((s) => ({
    section: s,
    name: factName(s),
    facts: s.fields.filter((f) => f.seenBy === "assessment"),
  }));
  const { scalars, lists } = typedFacts(indexOf(answers), planned, "c1", closed);
  return {
    scalar: (name) => scalars.get(name) ?? { kind: "unknown" },
    list: (name) => lists.get(name) ?? { entries: [], open: true },
  };
}

const equals = (fact: string, value: string | boolean): Condition => ({ fact, is: "equals", value });

describe("the gaps of a section", () => {
  const jobs = section({
    key: "jobs",
    repeats: { min: 1, max: 5 },
    fields: [
      asField("employer", "text"),
      asField("ended", "yesNo"),
      asField("end", "date", { when: equals("it.ended", true) }),
      asField("note", "text", { required: false }),
    ],
  });
  const gapsOf = (of: Section, answers: readonly AnswerFact[], others: readonly Section[] = []) =>
    sectionGaps(of, "file", indexOf(answers), sourceFor([of, ...others], answers), factName(of), referenceSet).map(
      (g) => `${g.entry}/${g.field}: ${g.code}`,
    );
  const complete = answer("jobs//complete", true);

  it.each<[string, readonly AnswerFact[], readonly string[]]>([
    ["an empty list that needs an entry", [], ["/entry: too-few"]],
    [
      "an entry without its fields, and nobody said that is all",
      [answer("jobs/a/note", "x")],
      ["a/employer: missing", "a/ended: missing", "/complete: say-complete"],
    ],
    [
      "a field that an answer of the same entry calls for",
      [answer("jobs/a/employer", "X"), answer("jobs/a/ended", true), complete],
      ["a/end: missing"],
    ],
    ["none where that answer is no", [answer("jobs/a/employer", "X"), answer("jobs/a/ended", false), complete], []],
    [
      "a wrong value, also in a field that nobody must fill",
      [
        answer("jobs/a/employer", "X"),
        answer("jobs/a/ended", true),
        answer("jobs/a/end", "soon"),
        answer("jobs/a/note", "x".repeat(2001)),
        complete,
      ],
      ["a/end: wrong", "a/note: wrong"],
    ],
    [
      "each entry for itself",
      [
        answer("jobs/a/employer", "X"),
        answer("jobs/a/ended", false),
        answer("jobs/b/employer", "Y"),
        answer("jobs/b/ended", true),
        complete,
      ],
      ["b/end: missing"],
    ],
  ])("%s", (_, answers, gaps) => expect(gapsOf(jobs, answers)).toEqual(gaps));

  it("are none while the section does not apply, and none while that is still open", () => {
    const person = section({ key: "person", core: "person", fields: [asField("minor", "yesNo")] });
    const guardian = section({
      key: "guardian",
      fields: [asField("name", "name")],
      when: equals("person.minor", true),
    });
    const gaps = (answers: readonly AnswerFact[]) => gapsOf(guardian, answers, [person]);
    expect(gaps([])).toEqual([]);
    expect(gaps([answer("person//minor", false)])).toEqual([]);
    expect(gaps([answer("person//minor", true)])).toEqual(["/name: missing"]);
  });

  it("ask for a tick where something must be agreed to, and for every part of a test's scores", () => {
    const declare = section({ key: "declare", fields: [asField("truth", "agree")] });
    expect(gapsOf(declare, [answer("declare//truth", false)])).toEqual(["/truth: missing"]);
    const tests = section({
      key: "tests",
      core: "tests",
      repeats: { min: 1, max: 1 },
      fields: [asField("test", "test"), asField("scores", "scores")],
    });
    const scored = (scores: Json) => gapsOf(tests, [answer("tests/t/test", "het"), answer("tests/t/scores", scores)]);
    expect(scored({ L: "41", R: "43", W: "38" })).toEqual(["t/scores: missing"]);
    expect(scored({ L: "41", R: "43", W: "38", S: "99" })).toEqual(["t/scores: wrong"]);
    expect(scored({ L: "41", R: "43", W: "38", S: "40" })).toEqual([]);
  });

  it("of a list that holds just one number of entries need no word that it is whole", () => {
    const two = section({ ...jobs, repeats: { min: 2, max: 2 }, fields: [asField("employer", "text")] });
    expect(gapsOf(two, [answer("jobs/a/employer", "X")])).toEqual(["/entry: too-few"]);
    expect(gapsOf(two, [answer("jobs/a/employer", "X"), answer("jobs/b/employer", "Y")])).toEqual([]);
  });
});

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
  const all = [degrees, courses, other].map((s) => ({
    section: s,
    name: factName(s),
    facts: s.fields.filter((f) => f.seenBy === "assessment"),
  }));
  const facts = (answers: readonly AnswerFact[], confirmations: readonly ConfirmationFact[] = [], closed = false) =>
    typedFacts(indexOf(answers, confirmations), all, "c1", closed);
  const text = (fact: Fact | undefined) =>
    fact?.kind === "value" && typeof fact.value === "object" && "n" in fact.value ? toShort(fact.value) : fact?.kind;

  it("are named by what the section is, and keep out what is not for assessment", () => {
    const { scalars, lists } = facts([answer("heard//from", "a fair"), answer("heard//why", "sea")]);
    expect([...scalars.keys()]).toEqual(["answers.heard.why"]);
    expect([...lists.keys()]).toEqual(["degrees", "courses"]);
  });

  it("are unknown for what is empty or cannot be read", () => {
    for (const value of [null, "", "many", []] as const)
      expect(
        facts([answer("schools/a/creditsPerYear", value)]).lists.get("degrees")?.entries[0]?.fields.creditsPerYear,
      ).toEqual({
        kind: "unknown",
      });
  });

  it("take the confirmed value in place of the claim, also when the claim was changed since", () => {
    const claimed = [answer("heard//why", "sea", { version: 3 })];
    const { scalars } = facts(claimed, [confirmation("heard//why", "salt", 2)]);
    expect(scalars.get("answers.heard.why")).toEqual({ kind: "value", value: "salt", confirmed: true });
    const index = indexOf(claimed, [confirmation("heard//why", "salt", 2)]);
    expect(isUnconfirmed(index.fieldsOf("file", "heard", "").get("why"))).toBe(true);
    expect(
      isUnconfirmed(
        indexOf(claimed, [confirmation("heard//why", "salt", 3)])
          .fieldsOf("file", "heard", "")
          .get("why"),
      ),
    ).toBe(false);
  });

  it("keep a list open until somebody says that is all, or the submission closes it", () => {
    const one = [answer("courses/k/credits", "10")];
    expect(facts(one).lists.get("courses")?.open).toBe(true);
    expect(facts([...one, answer("courses//complete", true)]).lists.get("courses")?.open).toBe(false);
    expect(facts(one, [], true).lists.get("courses")?.open).toBe(false);
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
    expect(text(facts(answers).lists.get("courses")?.entries[0]?.fields.ects)).toBe(expected);
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
        .lists.get("courses")
        ?.entries.map((e) => text(e.fields.ects)),
    ).toEqual(["unknown", "5"]);
  });

  it("convert credits exactly: what is added up again is what was there", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9999 }), fc.integer({ min: 1, max: 240 }), (credits, perYear) => {
        const { lists } = facts([
          answer("schools/a/creditsPerYear", String(perYear)),
          answer("courses/k/credits", `${Math.floor(credits / 10)}.${credits % 10}`),
        ]);
        const ects = lists.get("courses")?.entries[0]?.fields.ects;
        if (ects?.kind !== "value" || typeof ects.value !== "object" || !("n" in ects.value)) return false;
        const local = parseDecimal(String(credits / 10));
        return local !== null && ects.value.n * BigInt(perYear) * local.d === local.n * 60n * ects.value.d;
      }),
    );
  });
});

describe("a section is locked with what was submitted", () => {
  const draft = choice("a");
  const sent = choice("b", { submittedAt: AT });
  const gone = choice("d", { submittedAt: AT, withdrawnAt: AT });
  it.each([
    ["one draft", "file", [draft], "none", "all"],
    ["one submitted choice", "file", [sent], "none", "none"],
    ["a draft beside a submitted choice", "file", [draft, sent], "none", "add"],
    ["a draft beside a withdrawn one", "file", [draft, gone], "none", "all"],
    ["nobody who uses it", "file", [], "none", "none"],
    ["only a withdrawn choice", "file", [gone], "none", "none"],
    ["the draft's own answers", "a", [draft, sent], "none", "all"],
    ["the submitted choice's own answers", "b", [draft, sent], "none", "none"],
    ["one submitted choice, opened again", "file", [sent], "whole", "all"],
    ["the submitted choice's own answers, opened again", "b", [draft, sent], "whole", "all"],
    ["what is missing beside an opened section", "file", [sent], "gaps", "add"],
    ["a withdrawn choice, opened again", "file", [gone], "whole", "none"],
  ] as const)("%s: %s", (_, scope, usedBy, reopened, open) => expect(openness(scope, usedBy, reopened)).toBe(open));

  const opened = (answeredAt: Instant | null) => ({
    reopenings: [
      {
        id: "o",
        sections: [{ scope: "file", section: "person" }],
        openedAt: AT,
        due: "2027-02-01" as PlainDate,
        answeredAt,
        readAt: null,
      },
    ],
  });
  it.each([
    ["its own section", opened(null), "person", false, "whole"],
    ["another one", opened(null), "contact", false, "none"],
    ["another one that lacks something", opened(null), "contact", true, "gaps"],
    ["its own section once it was sent", opened(AT), "person", true, "none"],
    ["any section while nothing is open", { reopenings: [] }, "person", true, "none"],
  ] as const)("a reopening opens of %s: %s", (_, facts, section, gaps, expected) =>
    expect(reopenedOf(facts, { scope: "file", section }, gaps)).toBe(expected),
  );

  it("never lets less be added than changed", () => {
    const any = fc.subarray([draft, sent, gone, choice("e")]);
    const anyReopened = fc.constantFrom("none" as const, "gaps" as const, "whole" as const);
    fc.assert(
      fc.property(any, fc.constantFrom("file", "a", "b", "d", "e"), anyReopened, (usedBy, scope, reopened) => {
        if (mayChange(scope, usedBy, false, reopened)) expect(mayChange(scope, usedBy, true, reopened)).toBe(true);
      }),
    );
  });
});

describe("answers that do not apply any more sleep, and wake again", () => {
  const person = section({
    key: "person",
    core: "person",
    fields: [asField("minor", "yesNo"), asField("school", "text", { when: equals("person.minor", true) })],
  });
  const guardian = section({ key: "guardian", fields: [asField("name", "name")], when: equals("person.minor", true) });
  const body = { sections: [person, guardian], requirements: [], measures: [], entryRules: [], fees: [] };
  const context = (of: ChoiceFact, answers: readonly AnswerFact[]): ChoiceContext => ({
    choice: of,
    rulebook: { id: "r", version: 1, body: body as unknown as RulebookBody }, // only its sections are read
    round: sampleRound,
    source: sourceFor(body.sections, answers),
    group: null,
  });
  const minor = (value: boolean) => answer("person//minor", value);
  const name = answer("guardian//name", "Ana");
  const school = answer("person//school", "Halden");
  const changes = (
    awake: readonly AnswerFact[],
    asleep: readonly AnswerFact[],
    choices: readonly ChoiceFact[],
    reopened = false,
  ) =>
    dormancyChanges(
      awake,
      asleep,
      choices.map((c) => context(c, awake)),
      reopened,
    ).map((a) => `${a.section}.${a.field}`);

  it.each<[string, readonly AnswerFact[], readonly AnswerFact[], readonly ChoiceFact[], readonly string[]]>([
    ["nothing changes while all apply", [minor(true), name, school], [], [choice("c1")], []],
    [
      "a section and a field that no longer apply",
      [minor(false), name, school],
      [],
      [choice("c1")],
      ["guardian.name", "person.school"],
    ],
    [
      "both wake when they apply again",
      [minor(true)],
      [name, school],
      [choice("c1")],
      ["guardian.name", "person.school"],
    ],
    ["what does not apply stays asleep", [minor(false)], [name], [choice("c1")], []],
    ["what was submitted stays as it was", [minor(false), name], [], [choice("c1", { submittedAt: AT })], []],
    [
      "also while another choice is being prepared",
      [minor(false), name],
      [],
      [choice("c1"), choice("c2", { submittedAt: AT })],
      [],
    ],
    [
      "a withdrawn choice holds nothing fast",
      [minor(false), name],
      [],
      [choice("c1"), choice("c2", { submittedAt: AT, withdrawnAt: AT })],
      ["guardian.name"],
    ],
    [
      "what belongs to a choice that is gone is let be",
      [minor(false), { ...name, scope: "elsewhere" }],
      [],
      [choice("c1")],
      [],
    ],
  ])("%s", (_, awake, asleep, choices, expected) => expect(changes(awake, asleep, choices)).toEqual(expected));

  it("what was submitted follows again while the office has opened it", () =>
    expect(changes([minor(false), name], [], [choice("c1", { submittedAt: AT })], true)).toEqual(["guardian.name"]));

  it("what belongs to a submitted choice stays while another is being prepared", () => {
    const own = { ...name, scope: "c2" };
    const choices = [choice("c1"), choice("c2", { submittedAt: AT })];
    expect(changes([minor(false), own], [], choices)).toEqual([]);
  });

  it("come to rest: asked again, nothing changes", () => {
    const answers = fc.subarray([name, school]);
    fc.assert(
      fc.property(fc.boolean(), answers, (isMinor, awake) => {
        const all = [name, school];
        const first = [minor(isMinor), ...awake];
        const asleep = all.filter((a) => !awake.includes(a));
        const moved = dormancyChanges(first, asleep, [context(choice("c1"), first)], false);
        const now = [...first.filter((a) => !moved.includes(a)), ...asleep.filter((a) => moved.includes(a))];
        const rest = [...asleep.filter((a) => !moved.includes(a)), ...first.filter((a) => moved.includes(a))];
        expect(dormancyChanges(now, rest, [context(choice("c1"), now)], false)).toEqual([]);
      }),
    );
  });
});
