import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { ALL, accepted, NOW, office, person, SUBMITTED } from "../../../tests/support/sample-assessment";
import { type SampleChange, sampleFile, sampleRound, sampleRulebook } from "../../demo/sample-file";
import { inFileOrder } from "../answers/with-answers";
import type { AnswerFact, Json } from "../file/facts";
import type { LoadedFile } from "../file/loaded-file";
import { answerKey } from "../file/place";
import type { Instant, PlainDate } from "../ids";
import { toInstant } from "../time/zone";
import { isAtRest, settle } from "./settle";

/** What follows from a file's facts is found in memory, whole: once it is written nothing more follows. */
describe("settling a file", () => {
  let made = 0;
  const newId = () => `charge ${++made}`;
  const loaded = (change: SampleChange = {}, profile = person()): LoadedFile => {
    const facts = sampleFile(profile, change);
    return {
      facts: { ...facts, answers: inFileOrder(facts.answers) },
      asleep: [],
      rulebooks: { [sampleRulebook.id]: sampleRulebook },
      rounds: { [sampleRound.id]: sampleRound },
    };
  };
  const at = (file: LoadedFile, instant = NOW) => settle(file, office, Date.parse(instant), newId);
  const saying = (file: LoadedFile, section: string, field: string, value: Json): LoadedFile => {
    const other = file.facts.answers.filter((a) => answerKey(a) !== `file|${section}||${field}`);
    const answer: AnswerFact = { scope: "file", section, entry: "", field, value, version: 2, position: 0 };
    return { ...file, facts: { ...file.facts, answers: inFileOrder([...other, answer]) } };
  };
  /** The reference that the sample's rulebook asks for, excused. */
  const reference = [{ requirement: "reference", scope: "file", entry: "", at: SUBMITTED }];
  const overseas = () => loaded({}, person({ citizenships: ["SR"], residence: "SR" }));

  it("makes the charge of a fee once, and nobody's of who owes none", () => {
    expect(at(loaded()).effects.made).toEqual([]);
    const settled = at(overseas());
    expect(settled.effects.made).toMatchObject([{ id: `charge ${made}`, scope: "choice-1" }]);
    expect(settled.file.facts.charges).toMatchObject([{ id: `charge ${made}`, paidMinor: 0 }]);
    expect(at(settled.file).effects.made).toEqual([]);
  });

  it("takes a charge back when the group that owed it is another one", () => {
    const { file } = at(overseas());
    const [charge] = file.facts.charges;
    const home = saying(saying(file, "citizenship", "citizenships", ["IE"]), "citizenship", "residence", "IE");
    const settled = at(home);
    expect(settled.effects.adjusted).toEqual([
      { chargeId: charge?.id, by: -(charge?.minor ?? 0), reason: "no longer due" },
    ]);
    expect(settled.file.facts.charges.map((c) => c.minor)).toEqual([0]);
  });

  it("notes when a choice becomes complete, once, and records the turn that follows from it", () => {
    const documents = ALL.map((requirement) => ({ requirement }));
    const before = at(loaded({ submittedAt: SUBMITTED, evidence: documents }));
    expect([before.effects.completed, before.effects.turn]).toEqual([[], "office"]);
    const settled = at(loaded({ submittedAt: SUBMITTED, evidence: accepted, facts: { excuses: reference } }));
    expect(settled.assessment.choices[0]?.stage).toBe("complete");
    expect(settled.effects.completed).toEqual([settled.file.facts.choices[0]?.id]);
    expect(settled.file.facts.choices[0]?.completeAt).toBe(NOW);
    expect(at(settled.file, "2026-11-26T09:00:00.000Z").effects.completed).toEqual([]);
  });

  it("records one turn for an instant, whatever it was before in the same instant", () => {
    const { file } = at(loaded());
    const turned = { ...file, facts: { ...file.facts, turns: [{ turn: "office" as const, from: NOW as never }] } };
    expect(at(turned).file.facts.turns).toEqual([{ turn: "applicant", from: NOW }]);
  });

  it("comes to rest also where the turn before was recorded by a clock that is ahead", () => {
    const ahead = new Date(Date.parse(NOW) + 5000).toISOString() as typeof SUBMITTED;
    const turns = [{ turn: "applicant", from: ahead }] as const;
    const settled = at(
      loaded({ submittedAt: SUBMITTED, evidence: ALL.map((requirement) => ({ requirement })), facts: { turns } }),
    );
    expect(settled.file.facts.turns).toEqual([{ turn: "office", from: ahead }]);
    expect(isAtRest(at(settled.file).effects)).toBe(true);
  });

  it("puts answers aside that do not apply any more, wakes them again, and counts a flip back as none", () => {
    const file = saying(at(loaded()).file, "person", "oneName", true);
    const settled = at(file);
    const aside = settled.effects.turned.map(answerKey);
    expect(aside).toContain("file|person||givenNames");
    expect(settled.file.asleep.map(answerKey)).toEqual(aside);
    const back = at(saying(settled.file, "person", "oneName", false));
    expect(back.effects.turned.map(answerKey).sort()).toEqual([...aside].sort());
    expect(back.file.asleep).toEqual([]);
    expect(back.file.facts.answers.map(answerKey)).toEqual(file.facts.answers.map(answerKey));
  });

  it("leaves what was submitted awake, whatever it says", () => {
    const file = saying(loaded({ submittedAt: SUBMITTED }), "person", "oneName", true);
    expect(at(file).effects.turned).toEqual([]);
  });

  it("ends what was asked for once a referee was asked after it, and not what was asked after that", () => {
    const ask = {
      id: "ask",
      requirement: "reference",
      scope: "file",
      entry: "",
      wants: "evidence" as const,
      askedAt: SUBMITTED,
      due: "2026-12-09" as PlainDate,
      answeredAt: null,
      inWords: false,
      readAt: null,
    };
    const base = loaded({ submittedAt: SUBMITTED, facts: { asks: [ask] } });
    const referee = base.facts.answers.find((a) => a.section === "referees" && a.field === "role")?.entry ?? "";
    const request = { id: "r", referee, scopes: ["file"], state: "asked" as const, givenAt: null, judgement: null };
    const file = (askedAt: Instant) => ({
      ...base,
      facts: { ...base.facts, references: [{ ...request, askedAt }] },
    });
    const after = at(file(toInstant(Date.parse(SUBMITTED) + 1)));
    expect([after.effects.answered, after.file.facts.asks[0]?.answeredAt]).toEqual([["ask"], NOW]);
    expect(at(file(toInstant(Date.parse(SUBMITTED) - 1))).effects.answered).toEqual([]);
  });

  it("leaves nothing to follow: settled again at the same instant, every file is at rest and says the same", () => {
    const change = fc.record({
      submittedAt: fc.constantFrom(null, SUBMITTED),
      evidence: fc.subarray([...accepted]),
      facts: fc.constantFrom({}, { excuses: reference }),
    });
    const profile = fc.constantFrom(person(), person({ citizenships: ["SR"], residence: "SR" }));
    const day = fc.constantFrom(NOW, "2026-12-30T09:00:00.000Z", "2027-06-30T09:00:00.000Z");
    fc.assert(
      fc.property(change, profile, day, fc.boolean(), (changed, who, instant, oneName) => {
        const first = at(saying(loaded(changed, who), "person", "oneName", oneName), instant);
        const again = at(first.file, instant);
        expect(isAtRest(again.effects)).toBe(true);
        expect(again.row).toEqual(first.row);
        expect(again.assessment).toEqual(first.assessment);
      }),
      { numRuns: 60 },
    );
  });
});
