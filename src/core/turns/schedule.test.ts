import { describe, expect, it } from "vitest";
import { ALL, accepted, look, office, person, SUBMITTED } from "../../../tests/support/sample-assessment";
import { type SampleChange, sampleFile, sampleRound } from "../../demo/sample-file";
import type { ChoiceFact, DecisionFact, Turn, TurnFact } from "../file/facts";
import type { Instant, PlainDate } from "../ids";
import { scheduleOf } from "./schedule";

/** As many working days after it was complete as the sample's round promises, and two later. */
const FIRST = "2027-01-13";
const MOVED = "2027-01-15";

/** What an applicant is told of what comes when: a day where one can be named, else what it counts from. */
describe("what comes when", () => {
  const COMPLETE = "2026-11-23T09:00:00.000Z" as Instant;
  const submitted: SampleChange = {
    submittedAt: SUBMITTED,
    evidence: accepted,
    facts: { excuses: [{ requirement: "reference", scope: "file", entry: "", at: SUBMITTED }] },
  };
  const decision: DecisionFact = {
    kind: "offer",
    preparedAt: "2026-11-24T09:00:00.000Z" as Instant,
    preparedBy: "somebody",
    releasedAt: "2026-11-24T15:00:00.000Z" as Instant,
    answerBy: "2026-12-15" as PlainDate,
    answer: null,
    answeredAt: null,
  };
  /** The schedule of the sample's file with what is changed of its choice and its turns. */
  const schedule = (change: SampleChange, own: Partial<ChoiceFact> = {}, turns: readonly TurnFact[] = []) => {
    const made = sampleFile(person(), change);
    const facts = { ...made, choices: made.choices.map((c) => ({ ...c, ...own })), turns };
    const [result] = look(facts).choices;
    const [choice] = facts.choices;
    return choice && result ? scheduleOf(choice, result, sampleRound, turns.at(-1)?.turn ?? "office", office) : null;
  };
  const told = (...of: Parameters<typeof schedule>) =>
    schedule(...of)?.milestones.map((m) => [m.kind, m.state, m.day, m.within]);
  const turn = (turn: Turn, day: string): TurnFact => ({ turn, from: `2026-11-${day}T10:00:00.000Z` as Instant });

  it("says nothing of a draft", () => {
    expect(schedule({})).toBeNull();
  });

  it("counts the decision from when everything is there, and names no day before", () => {
    expect(told({ submittedAt: SUBMITTED, evidence: ALL.map((requirement) => ({ requirement })) })).toEqual([
      ["submitted", "past", "2026-11-20", null],
      ["complete", "next", null, null],
      ["decision", "later", null, sampleRound.promiseDays],
      ["answer", "later", null, office.set.targets.acceptOffer],
      ["start", "later", "2027-09-01", null],
    ]);
  });

  it("names the promised day once everything is there", () => {
    expect(told(submitted, { completeAt: COMPLETE }, [turn("office", "20")])?.slice(0, 3)).toEqual([
      ["submitted", "past", "2026-11-20", null],
      ["complete", "past", "2026-11-23", null],
      ["decision", "next", FIRST, null],
    ]);
    expect(schedule(submitted, { completeAt: COMPLETE })).toMatchObject({ standsStill: false, moved: null });
  });

  it("takes the day back while somebody else has the turn, and says by how much it moved then", () => {
    const still = schedule(submitted, { completeAt: COMPLETE }, [turn("office", "20"), turn("applicant", "24")]);
    expect(still).toMatchObject({ standsStill: true, moved: null });
    expect(still?.milestones[2]).toMatchObject({ day: null, within: sampleRound.promiseDays - 1 });
    const after = [turn("office", "20"), turn("applicant", "23"), turn("office", "25")];
    const again = schedule(submitted, { completeAt: COMPLETE }, after);
    expect(again).toMatchObject({ standsStill: false, moved: { from: FIRST, days: 2 } });
    expect(again?.milestones[2]?.day).toBe(MOVED);
  });

  it("names no day in a year without a calendar, and does not say that it stands still", () => {
    const facts = sampleFile(person(), submitted);
    const [choice] = facts.choices;
    const promise = { days: sampleRound.promiseDays, used: 2, due: null };
    const told = (turn: Turn) =>
      choice &&
      scheduleOf({ ...choice, completeAt: COMPLETE }, { stage: "complete", promise }, sampleRound, turn, office);
    expect(told("office")).toMatchObject({ standsStill: false, moved: null });
    expect(told("office")?.milestones[2]).toMatchObject({ day: null, within: sampleRound.promiseDays - 2 });
    expect(told("applicant")?.standsStill).toBe(true);
  });

  it("shows a decision when it is released, and no answer or first day to who got no offer", () => {
    const prepared = { completeAt: COMPLETE, decision: { ...decision, releasedAt: null } };
    expect(told(submitted, prepared, [turn("office", "20")])?.[2]).toEqual(["decision", "next", FIRST, null]);
    expect(told(submitted, { completeAt: COMPLETE, decision })?.slice(2)).toEqual([
      ["decision", "past", "2026-11-24", null],
      ["answer", "next", "2026-12-15", null],
      ["start", "later", "2027-09-01", null],
    ]);
    const waiting = { ...decision, kind: "waiting list" as const, answerBy: null };
    expect(told(submitted, { completeAt: COMPLETE, decision: waiting })?.map(([kind]) => kind)).toEqual([
      "submitted",
      "complete",
      "decision",
    ]);
  });
});
