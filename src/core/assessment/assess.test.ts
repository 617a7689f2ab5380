import { describe, expect, it } from "vitest";
import { ALL, accepted, look, of, office, person, SUBMITTED } from "../../../tests/support/sample-assessment";
import { sampleFile, sampleRound, sampleRulebook } from "../../demo/sample-file";
import type { DecisionFact, FileFacts } from "../file/facts";
import type { Instant, PlainDate } from "../ids";
import type { DocumentRequirement, Moment, ProofLevel } from "../rulebook/requirement";
import { assess } from "./assess";

describe("the language of teaching", () => {
  it("decides whether English is asked for", () => {
    const asked = (language: string) => {
      const facts = sampleFile(person());
      const { requirements } = look({ ...facts, choices: facts.choices.map((c) => ({ ...c, language })) });
      return requirements.filter((r) => r.key.startsWith("english")).map((r) => [r.key, r.standing]);
    };
    expect(asked("en")).toEqual([
      ["englishForm", "accepted"],
      ["english", "missing"],
    ]);
    expect(asked("fr")).toEqual([
      ["englishForm", "not needed"],
      ["english", "not needed"],
    ]);
  });
});

describe("applicant groups", () => {
  it.each([
    [["SR"], "SR", "overseas"],
    [["SR"], "NL", "home"],
    [["AR", "ES"], "AR", "home"],
    [["XXA"], "KE", "overseas"],
    [["CH"], "US", "home"],
  ])("citizens of %j who live in %s are in the %s group", (citizenships, residence, group) =>
    expect(of(person({ citizenships, residence })).file.group).toBe(group),
  );

  it("is not guessed while the citizenship is not stated: the earlier closing is shown and no fee is due", () => {
    const facts = sampleFile(person());
    const { file, choices, fees } = look({
      ...facts,
      answers: facts.answers.filter((a) => a.section !== "citizenship"),
    });
    expect([file.group, fees, choices[0]?.closesAt]).toEqual([null, [], "2026-12-19T18:00:00.000Z"]);
  });
});

describe("turn, next step and stage", () => {
  it("before the first submission it is the applicant's, until the closing of their group", () => {
    const { file } = of(person());
    expect([file.stage, file.turn, file.next?.kind, file.dueAt]).toEqual([
      "preparing",
      "applicant",
      "fill",
      "2027-01-09T18:00:00.000Z",
    ]);
  });

  it("a draft lapses when the office's grace after the exclusive closing is over, not before", () => {
    const [inGrace] = of(person(), {}, "2027-01-09T18:09:59.999Z").choices;
    expect(inGrace).toMatchObject({
      stage: "preparing",
      round: "open",
      closesAt: "2027-01-09T18:00:00.000Z",
      acceptsUntil: "2027-01-09T18:10:00.000Z",
    });
    expect(of(person(), {}, "2027-01-09T18:10:00.000Z").choices[0]).toMatchObject({
      stage: "closed",
      closedAs: "lapsed",
    });
  });

  it("an extension moves the closing for one person, also past the end of a round that was closed early", () => {
    const facts = sampleFile(person());
    const extended = {
      ...facts,
      choices: facts.choices.map((c) => ({ ...c, extendedTo: "2027-02-01T18:00:00.000Z" as Instant })),
    };
    const closed = { ...sampleRound, closedAt: "2026-12-01T09:00:00.000Z" as Instant };
    const at = (moment: string) =>
      assess({
        facts: extended,
        rulebooks: { [sampleRulebook.id]: sampleRulebook },
        rounds: { [closed.id]: closed },
        office,
        at: Date.parse(moment),
      }).choices[0];
    expect(at("2027-01-20T09:00:00Z")).toMatchObject({ round: "open", closesAt: "2027-02-01T18:00:00.000Z" });
    expect(at("2027-02-01T18:10:00Z")).toMatchObject({ round: "closed", closedAs: "lapsed" });
  });

  it("gaps of a submitted file can be mended until its round closes", () => {
    const facts = sampleFile(person(), { submittedAt: SUBMITTED });
    expect(look(facts, "2026-12-20T09:00:00Z").file).toMatchObject({
      stage: "submitted",
      mendUntil: "2027-01-09T18:00:00.000Z",
      validUntil: "2027-01-09T18:00:00.000Z",
    });
    expect(look(facts, "2027-01-09T18:00:00Z").file).toMatchObject({ mendUntil: null, validUntil: null });
    expect(of(person()).file.mendUntil).toBeNull();
  });

  it("a result is valid until the next instant at which time alone changes it", () =>
    expect(of(person()).file.validUntil).toBe("2027-01-09T18:00:00.000Z"));

  it("what rests on today is looked at again tomorrow, in the office's zone, until the choice is closed", () => {
    const rule = {
      op: "fact",
      fact: "today",
      is: "under",
      value: { fact: "closing", plusMonths: -1, plusDays: 3 },
    } as const;
    const body = {
      ...sampleRulebook.body,
      entryRules: [{ key: "early", title: { en: "early", fr: "tôt" }, rule, curable: null }],
    };
    const at = (moment: string, submittedAt: Instant | null = SUBMITTED) =>
      assess({
        facts: sampleFile(person(), { submittedAt }),
        rulebooks: { [sampleRulebook.id]: { ...sampleRulebook, body } },
        rounds: { [sampleRound.id]: sampleRound },
        office,
        at: Date.parse(moment),
      });
    const found = (moment: string) => at(moment).choices[0]?.findings.map((f) => f.finding);
    // The closing is on 9 January: three days after a month before it is 12 December.
    expect([found("2026-12-11T23:59:00Z"), found("2026-12-12T00:00:00Z")]).toEqual([["met"], ["not met"]]);
    expect(at("2026-12-01T09:00:00Z").file.validUntil).toBe("2026-12-02T00:00:00.000Z");
    expect(at("2027-01-09T19:00:00Z").file.validUntil).toBe("2027-01-10T00:00:00.000Z");
    expect(at("2027-03-01T09:00:00Z", null).file).toMatchObject({ stage: "closed", validUntil: null });
  });

  it("an offer lapses at the end of the day by which it was to be answered, in the office's zone, and not once it is accepted", () => {
    const facts = sampleFile(person(), { submittedAt: SUBMITTED, evidence: accepted });
    const released = (answer: "accepted" | null): FileFacts => ({
      ...facts,
      choices: facts.choices.map((c) => ({
        ...c,
        decision: {
          kind: "offer",
          preparedAt: SUBMITTED,
          preparedBy: "an officer",
          releasedAt: SUBMITTED,
          answerBy: "2027-04-15" as PlainDate,
          answer,
          answeredAt: null,
        },
      })),
    });
    const before = look(released(null), "2027-04-15T22:59:59.999Z");
    expect([before.choices[0]?.stage, before.file.turn, before.file.next?.kind, before.file.validUntil]).toEqual([
      "decided",
      "applicant",
      "answer offer",
      "2027-04-15T23:00:00.000Z", // Dublin keeps summer time in April
    ]);
    expect(look(released(null), "2026-12-20T09:00:00Z").file.mendUntil).toBeNull();
    const after = look(released(null), "2027-04-15T23:00:00.000Z");
    expect([after.choices[0]?.stage, after.choices[0]?.closedAs, after.file.turn, after.file.owed]).toEqual([
      "closed",
      "offer lapsed",
      "nobody",
      [],
    ]);
    expect(look(released("accepted"), "2027-06-01T09:00:00.000Z").choices[0]?.stage).toBe("answered");
  });

  it("a year without a calendar leaves the day open and owes the office the calendar", () => {
    const facts = sampleFile(person(), {
      submittedAt: "2090-01-10T09:00:00.000Z" as Instant,
      evidence: ALL.map((requirement) => ({ requirement })),
    });
    const { file } = look(facts, "2090-01-11T09:00:00.000Z");
    expect([file.next?.kind, file.next?.due, file.owed.at(-1)?.kind]).toEqual(["check", null, "load calendar"]);
    const known = of(person(), { submittedAt: SUBMITTED, evidence: ALL.map((requirement) => ({ requirement })) });
    expect(known.file.owed.map((s) => s.kind)).not.toContain("load calendar");
  });

  it("evidence is due five working days after it came, or after the submission", () => {
    const { file } = of(person(), { submittedAt: SUBMITTED, evidence: ALL.map((requirement) => ({ requirement })) });
    expect([file.turn, file.next?.kind, file.next?.requirement, file.next?.due]).toEqual([
      "office",
      "check",
      "passport",
      "2026-11-27",
    ]);
  });

  it("the office comes before the applicant, and the applicant before a third party", () => {
    const evidence = accepted.map((e) =>
      e.requirement === "transcript" ? { ...e, judgement: "returned" as const, reason: "incomplete" } : e,
    );
    const asked = {
      id: "r",
      referee: "",
      scopes: ["file"],
      state: "asked" as const,
      askedAt: SUBMITTED,
      givenAt: null,
      judgement: null,
    };
    const { file } = of(person(), { submittedAt: SUBMITTED, evidence, facts: { references: [asked] } });
    expect(file.turn).toBe("office");
    const kinds = new Set(file.owed.map((s) => `${s.turn}: ${s.kind}`));
    expect(kinds).toContain("applicant: supply again");
  });

  it.each([
    ["is open", null, null, "applicant: correct 2026-12-04"],
    ["was sent", "2026-11-24T09:00:00.000Z", null, "office: read changes 2026-12-01"],
    ["was read", "2026-11-24T09:00:00.000Z", "2026-11-24T10:00:00.000Z", null],
  ] as const)("a correction that %s", (_, answeredAt, readAt, step) => {
    const reopened = {
      id: "o",
      sections: [{ scope: "file", section: "person" }],
      openedAt: SUBMITTED,
      due: "2026-12-04" as PlainDate,
      answeredAt: answeredAt as Instant | null,
      readAt: readAt as Instant | null,
    };
    const { file } = of(person(), { submittedAt: SUBMITTED, facts: { reopenings: [reopened] } });
    const own = file.owed.find((s) => s.kind === "correct" || s.kind === "read changes");
    expect(own ? `${own.turn}: ${own.kind} ${own.due}` : null).toBe(step);
  });

  it("a passport that ends too early is sent back, never refused for it", () => {
    const { requirements, choices } = of(person({ passportExpiry: "2027-11-30" }), {
      submittedAt: SUBMITTED,
      evidence: accepted,
    });
    expect(requirements.find((r) => r.key === "passport")).toMatchObject({
      standing: "returned",
      reason: "passportEnds",
    });
    expect(choices[0]?.eligibility).toBe("eligible");
  });

  it("a clock stands still outside the office's turn", () => {
    const turns = [
      { turn: "office" as const, from: "2026-11-02T09:00:00.000Z" as Instant },
      { turn: "applicant" as const, from: "2026-11-04T09:00:00.000Z" as Instant },
      { turn: "office" as const, from: "2026-11-18T09:00:00.000Z" as Instant },
    ];
    const facts = sampleFile(person(), { submittedAt: SUBMITTED });
    const [choice] = facts.choices;
    if (!choice) throw new Error("no choice");
    const { choices } = look({
      ...facts,
      turns,
      choices: [{ ...choice, completeAt: "2026-11-02T09:00:00.000Z" as Instant }],
    });
    // 3 and 4 November, then from the 19th: the day of the answer does not count.
    expect(choices[0]?.promise).toMatchObject({ used: 7 });
  });

  it("is the same for the same facts and instant, however often it is asked", () => {
    const facts = sampleFile(person(), { submittedAt: SUBMITTED, evidence: accepted });
    expect(look(facts)).toEqual(look(JSON.parse(JSON.stringify(facts)) as FileFacts));
  });

  it("answers with plain JSON: nothing is lost on the way to a client or a column", () => {
    const result = of(person(), { submittedAt: SUBMITTED, evidence: accepted });
    expect(JSON.parse(JSON.stringify(result))).toEqual(result);
  });
});

describe("how far a document has to be proved", () => {
  const look = (change: Partial<DocumentRequirement>, proof: ProofLevel, decision: DecisionFact | null = null) => {
    const requirements = sampleRulebook.body.requirements
      .filter((r) => r.kind === "document" || r.kind === "sections")
      .map((r) => (r.key === "certificate" && r.kind === "document" ? { ...r, laterProof: undefined, ...change } : r));
    const facts = sampleFile(person(), { submittedAt: SUBMITTED, evidence: accepted });
    const { file, choices } = assess({
      facts: {
        ...facts,
        evidence: facts.evidence.map((e) => (e.requirement === "certificate" ? { ...e, proof } : e)),
        choices: facts.choices.map((c) => ({ ...c, decision })),
      },
      rulebooks: { [sampleRulebook.id]: { ...sampleRulebook, body: { ...sampleRulebook.body, requirements } } },
      rounds: { [sampleRound.id]: sampleRound },
      office,
      at: Date.parse("2026-11-25T09:00:00.000Z"),
    });
    const step = file.owed.find((s) => s.kind === "prove" || (s.kind === "check" && s.requirement === "certificate"));
    return [choices[0]?.stage, step ? `${step.turn} ${step.kind} ${step.proof ?? ""}`.trim() : null];
  };

  it("is checked again until it is proved so far", () => {
    expect(look({ proof: "certified copy" }, "copy")).toEqual(["submitted", "office check"]);
    expect(look({ proof: "certified copy" }, "certified copy")).toEqual(["complete", null]);
    expect(look({ proof: "certified copy" }, "original seen")).toEqual(["complete", null]);
  });

  it("is owed by a later moment: review waits for it where it is needed by then, and nobody else", () => {
    const by = (neededBy: Moment) => ({ laterProof: { level: "certified copy" as const, neededBy } });
    expect(look(by("review"), "copy")).toEqual(["submitted", "applicant prove certified copy"]);
    expect(look(by("review"), "certified copy")).toEqual(["complete", null]);
    expect(look(by("decision"), "copy")).toEqual(["complete", "applicant prove certified copy"]);
    expect(look(by("enrolment"), "copy")).toEqual(["complete", null]);
  });
});
