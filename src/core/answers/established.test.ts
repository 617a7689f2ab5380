import { describe, expect, it } from "vitest";
import type { AnswerFact, ConfirmationFact, Json } from "../file/facts";
import type { Instant } from "../ids";
import { AnswerIndex } from "./answer-index";
import { establishedOtherwise } from "./established";

const at = { scope: "file", section: "person", entry: "" };
const answer = (field: string, value: Json, version = 1): AnswerFact => ({ ...at, field, value, version, position: 0 });
const confirmation = (field: string, value: Json, answerVersion = 1): ConfirmationFact => ({
  ...at,
  field,
  value,
  answerVersion,
  at: "2026-11-01T09:00:00.000Z" as Instant,
});

/** What the office established beside what applicants state. */
describe("what was established otherwise than it was stated", () => {
  const found = (answers: readonly AnswerFact[], confirmations: readonly ConfirmationFact[]) =>
    establishedOtherwise({ confirmations }, new AnswerIndex({ answers, confirmations })).map((e) => [
      e.field,
      e.claim,
      e.value,
    ]);

  it.each<readonly [string, readonly AnswerFact[], readonly ConfirmationFact[], readonly unknown[]]>([
    ["nothing, where it is confirmed as it stands", [answer("town", "Cork")], [confirmation("town", "Cork")], []],
    ["another value", [answer("town", "Corck")], [confirmation("town", "Cork")], [["town", "Corck", "Cork"]]],
    ["a value that nobody stated", [], [confirmation("town", "Cork", 0)], [["town", null, "Cork"]]],
    ["values as values", [answer("a", { x: 1, y: 2 })], [confirmation("a", { y: 2, x: 1 })], []],
    [
      "lists in their order",
      [answer("a", ["IE", "FR"])],
      [confirmation("a", ["FR", "IE"])],
      [["a", ["IE", "FR"], ["FR", "IE"]]],
    ],
    ["not what the applicant corrected since", [answer("town", "Sligo", 2)], [confirmation("town", "Cork", 1)], []],
  ])("%s", (_, answers, confirmations, expected) => expect(found(answers, confirmations)).toEqual(expected));
});
