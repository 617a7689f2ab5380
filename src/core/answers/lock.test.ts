import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { AT, choice } from "../../demo/sample-sections";
import type { Instant, PlainDate } from "../ids";
import { mayChange, openness, reopenedOf } from "./lock";

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

  it("grows after submission, by additions alone, until the decision", () => {
    const decided = choice("e", {
      submittedAt: AT,
      decision: {
        kind: "offer",
        preparedAt: AT,
        preparedBy: "officer",
        releasedAt: null,
        answerBy: null,
        answer: null,
        answeredAt: null,
      },
    });
    const growing = (...usedBy: readonly (typeof sent)[]) => openness("file", usedBy, "none", true);
    expect([growing(draft), growing(sent), growing(decided), growing(decided, sent), growing(gone)]).toEqual([
      "all",
      "add",
      "none",
      "add",
      "none",
    ]);
  });

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
