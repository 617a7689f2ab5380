import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { sampleRound } from "../../demo/sample-file";
import { AT, answer, asField, choice, equals, section, sourceFor } from "../../demo/sample-sections";
import type { ChoiceContext } from "../file/choice-context";
import type { AnswerFact, ChoiceFact } from "../file/facts";
import type { RulebookBody } from "../rulebook/rulebook";
import { dormancyChanges } from "./dormancy";

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
    restsOnToday: () => false,
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
