import { describe, expect, it } from "vitest";
import { ALL, look, office, person, SUBMITTED } from "../../../tests/support/sample-assessment";
import { sampleFile } from "../../demo/sample-file";
import type { AskFact, FileFacts } from "../file/facts";
import type { Instant, PlainDate } from "../ids";
import { parseDay } from "../time/day";
import { draftAsks, sectionsLacking } from "./draft-asks";
import { reminderDue } from "./reminder";

const ask = (more: Partial<AskFact> = {}): AskFact => ({
  id: "ask",
  requirement: "passport",
  scope: "file",
  entry: "",
  wants: "evidence",
  askedAt: SUBMITTED,
  due: "2026-12-09" as PlainDate,
  answeredAt: null,
  inWords: false,
  readAt: null,
  ...more,
});
const submitted = (facts: Partial<FileFacts> = {}, evidence: readonly string[] = ALL): FileFacts =>
  sampleFile(person(), { submittedAt: SUBMITTED, evidence: evidence.map((requirement) => ({ requirement })), facts });
const at = (facts: FileFacts, day: string) => look(facts, `${day}T12:00:00Z`).file;

describe("what was asked for", () => {
  it("waits for the applicant until long after its day, then for the office, too, and can still be answered", () => {
    const facts = submitted({ asks: [ask({ wants: "words" })] });
    const kinds = (day: string) => at(facts, day).owed.map((s) => `${s.turn}: ${s.kind}`);
    expect(kinds("2026-12-10")).toContain("applicant: answer ask");
    expect(kinds("2026-12-10")).not.toContain("office: follow up");
    expect(kinds("2026-12-16")).not.toContain("office: follow up");
    expect(kinds("2026-12-17")).toEqual(expect.arrayContaining(["applicant: answer ask", "office: follow up"]));
  });

  it("says of a result that it holds until the day on which it comes back", () => {
    const { validUntil } = at(submitted({ asks: [ask()] }), "2026-12-10");
    expect(validUntil?.slice(0, 10)).toBe("2026-12-17");
  });

  it("counts what was asked for in vain in one step, by the first of them", () => {
    const facts = submitted({
      asks: [ask(), ask({ id: "later", due: "2026-12-10" as PlainDate, requirement: "", wants: "words" })],
    });
    const [step, ...more] = at(facts, "2026-12-20").owed.filter((s) => s.kind === "follow up");
    expect([step?.count, step?.requirement, more]).toEqual([2, "passport", []]);
  });

  it("is read by the office where it was answered in words, and then asks nothing of anybody", () => {
    const answered = ask({ wants: "words", answeredAt: "2026-12-01T10:00:00.000Z" as Instant, inWords: true });
    const kinds = (more: AskFact) => at(submitted({ asks: [more] }), "2026-12-02").owed.map((s) => s.kind);
    expect(kinds(answered)).toContain("read answer");
    const read = kinds({ ...answered, readAt: "2026-12-01T12:00:00.000Z" as Instant });
    expect(read.filter((k) => k === "read answer" || k === "answer ask")).toEqual([]);
  });
});

describe("a list of what to ask for", () => {
  it("has what is missing and what was sent back, each on its ground, and what is asked for already", () => {
    const facts = submitted({ asks: [ask({ requirement: "motivation" })] }, ["passport", "english"]);
    const returned = facts.evidence.map((e) =>
      e.requirement === "passport" ? { ...e, judgement: "returned" as const, reason: "unreadable" } : e,
    );
    const { requirements } = look({ ...facts, evidence: returned });
    const drafts = draftAsks(requirements, facts.asks).map((d) => [d.place.requirement, d.ground, d.asked]);
    expect(drafts).toContainEqual(["passport", "again", false]);
    expect(drafts).toContainEqual(["motivation", "missing", true]);
    expect(drafts).toContainEqual(["reference", "referee", false]);
    expect(drafts.map(([key]) => key)).not.toContain("english");
  });

  it("names each section in which something is missing once", () => {
    const { requirements } = look(sampleFile(person({ given: "", citizenships: [] }), { submittedAt: SUBMITTED }));
    const lacking = sectionsLacking(requirements).map((s) => `${s.scope} ${s.section}`);
    expect(lacking.length).toBeGreaterThan(0);
    expect(new Set(lacking).size).toBe(lacking.length);
  });
});

describe("a reminder of what was asked for", () => {
  const due = (today: string, sent = 0, more: Partial<AskFact> = {}, asks = office.set.asks) =>
    reminderDue(ask(more), sent, { ...office, set: { ...office.set, asks } }, parseDay(today) ?? 0);

  it.each([
    ["2026-12-03", 0, 0, "there is time"],
    ["2026-12-04", 0, 1, "three working days are left: Monday, Tuesday, Wednesday"],
    ["2026-12-06", 0, 1, "a weekend counts for nothing"],
    ["2026-12-09", 1, 0, "it was sent"],
    ["2026-12-10", 0, 0, "its day has passed, but not by two working days"],
    ["2026-12-11", 1, 2, "two working days after"],
    ["2027-02-01", 0, 2, "the worker was down for long: the second alone"],
    ["2026-12-20", 2, 0, "both were sent"],
  ])("on %s after %i: %i, for %s", (today, sent, expected) => {
    expect(due(today, sent)).toBe(expected);
  });

  it("is not sent before the day to whoever was asked within those days", () => {
    expect(due("2026-12-07", 0, { askedAt: "2026-12-07T09:00:00.000Z" as Instant })).toBe(0);
  });

  it.each([
    ["2026-12-11", 1, 2, "the first after its day"],
    ["2026-12-14", 2, 0, "there is time until the next"],
    ["2026-12-15", 2, 3, "two working days after the first"],
    ["2026-12-17", 3, 4, "two working days after that"],
    ["2027-02-01", 4, 0, "as often as the office says, and no more"],
    ["2027-02-01", 1, 4, "the worker was down for long: the last alone"],
  ])("on %s after %i: %i where three follow the day, for %s", (today, sent, expected) => {
    expect(due(today, sent, {}, { remindBefore: 3, remindAfter: 2, remindTimes: 3, returnAfter: 5 })).toBe(expected);
  });

  it("is sent before or after only where the office does so", () => {
    const never = { remindBefore: null, remindAfter: null, remindTimes: 1, returnAfter: 5 };
    expect([due("2026-12-04", 0, {}, never), due("2027-02-01", 0, {}, never)]).toEqual([0, 0]);
  });
});
