import { describe, expect, it } from "vitest";
import { referenceSet } from "../../demo/reference-set";
import { answer, asField, equals, section, sourceFor } from "../../demo/sample-sections";
import type { AnswerFact } from "../file/facts";
import { AnswerIndex } from "./answer-index";
import { sectionGaps } from "./completeness";
import { entriesAwaited, isAllFromRegistry, registryEntries } from "./given-by-registry";

const sittings = section({
  key: "sittings",
  core: "sittings",
  repeats: { min: 1, max: 3 },
  fields: [asField("marks", "text")],
});
const subjects = section({
  key: "subjects",
  core: "subjects",
  repeats: { min: 1, max: 9 },
  fields: [asField("sitting", "entry", { of: "sittings" }), asField("mark", "whole")],
  fromRegistry: { list: "sittings", by: "sitting", where: equals("it.marks", "registry") },
});
const sitting = (id: string, marks: string) => answer(`sittings/${id}/marks`, marks);
const line = (id: string, of: string) => answer(`subjects/${id}/sitting`, of);

/** What a registry gives, whether all is, what has not come, and whether the list is still open after submission. */
function look(...answers: readonly AnswerFact[]) {
  const source = sourceFor([sittings, subjects], answers, true);
  const lines = source.list("subjects");
  return [
    registryEntries(subjects, source),
    isAllFromRegistry(subjects, source),
    entriesAwaited(subjects, lines, source),
    lines.open,
  ];
}

describe("lines that a registry gives", () => {
  it.each<[string, readonly AnswerFact[], ReturnType<typeof look>]>([
    ["no sitting", [], [[], false, [], false]],
    ["a sitting that is typed", [sitting("a", "typed")], [[], false, [], false]],
    ["one that a registry gives", [sitting("a", "registry")], [["a"], true, ["a"], true]],
    ["one of each", [sitting("a", "registry"), sitting("b", "typed"), line("x", "b")], [["a"], false, ["a"], true]],
    ["once they have come", [sitting("a", "registry"), line("x", "a")], [["a"], true, [], false]],
    [
      "one of two has come",
      [sitting("a", "registry"), sitting("b", "registry"), line("x", "a")],
      [["a", "b"], true, ["b"], true],
    ],
  ])("%s", (_, answers, expected) => expect(look(...answers)).toEqual(expected));

  it("are no gap where a registry gives all, and are one as soon as one sitting is typed", () => {
    const gaps = (...answers: readonly AnswerFact[]) =>
      sectionGaps(
        subjects,
        "file",
        new AnswerIndex({ answers, confirmations: [] }),
        sourceFor([sittings, subjects], answers),
        "subjects",
        referenceSet,
      ).map((g) => g.code);
    expect(gaps(sitting("a", "registry"))).toEqual([]);
    expect(gaps(sitting("a", "registry"), sitting("b", "typed"))).toEqual(["too-few"]);
    expect(gaps(sitting("b", "typed"))).toEqual(["too-few"]);
  });
});
