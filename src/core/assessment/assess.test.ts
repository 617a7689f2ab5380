import { describe, expect, it } from "vitest";
import { courses, someone } from "../../demo/people";
import type { Profile } from "../../demo/profile";
import { referenceSet } from "../../demo/reference-set";
import { type SampleChange, sampleFile, sampleRound, sampleRulebook } from "../../demo/sample-file";
import type { Instant, PlainDate } from "../ids";
import { makeOffice } from "../office/reference-set";
import { assess } from "./assess";
import type { FileFacts } from "./facts";

const office = makeOffice(1, referenceSet);
const NOW = "2026-11-25T09:00:00.000Z";
const SUBMITTED = "2026-11-20T09:00:00.000Z" as Instant;
const home = { citizenships: ["IE"], residence: "IE" };

function look(facts: FileFacts, at = NOW) {
  return assess({
    facts,
    rulebooks: { [sampleRulebook.id]: sampleRulebook },
    rounds: { [sampleRound.id]: sampleRound },
    office,
    at: Date.parse(at),
  });
}
const of = (profile: Profile, change: SampleChange = {}, at = NOW) => look(sampleFile(profile, change), at);
const person = (change: Parameters<typeof someone>[2] = {}) =>
  someone("Ilse", "Maarteen-Quist", { ...home, ...change });
const finding = (profile: Profile, key: string, submitted = true) => {
  const found = of(profile, submitted ? { submittedAt: SUBMITTED } : {}).choices[0]?.findings.find(
    (f) => f.key === key,
  );
  return [found?.finding, found?.way !== null];
};
const ALL = ["passport", "certificate", "transcript", "motivation", "english"] as const;
const accepted = ALL.map((requirement) => ({
  requirement,
  judgement: "accepted" as const,
  judgedAt: "2026-11-23T09:00:00.000Z" as Instant,
}));

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

describe("entry rules", () => {
  it.each([
    ["15.5", "met"],
    ["15.0", "met"],
    ["14.7", "met"],
    ["14.6", "not met"],
    ["10", "not met"],
    ["9.9", "not met"],
    ["20", "met"],
    ["20.5", "open"],
    ["good", "open"],
  ])("a grade of %s of 20 is %s: cut to one decimal, compared rounded, never guessed off the scale", (grade, found) =>
    expect(finding(person({ degree: { grade } }), "grade")[0]).toBe(found),
  );

  it("an inverted scale needs nothing else", () =>
    expect(finding(person({ degree: { scale: "down6", grade: "2.4" } }), "grade")[0]).toBe("met"));
  it("a scale that is not in the register is taken as entered", () =>
    expect(
      finding(person({ degree: { scale: "other", gradeBest: "5", gradePass: "3", grade: "4.2" } }), "grade")[0],
    ).toBe("met"));
  it("a scale whose best mark is its pass mark is a question, not an answer", () =>
    expect(
      finding(person({ degree: { scale: "other", gradeBest: "5", gradePass: "5", grade: "5" } }), "grade")[0],
    ).toBe("open"));

  it("180 ECTS from completed courses; courses in progress are the way to what is missing", () => {
    expect(finding(person(), "credits")).toEqual(["met", false]);
    expect(
      finding(person({ courses: courses(["15"], 1), degree: { status: "in progress", end: "2027-07-01" } }), "credits"),
    ).toEqual(["not met", true]);
    expect(finding(person({ courses: courses(["15"]).slice(1) }), "credits")).toEqual(["not met", false]);
  });

  const findings = (profile: Profile, overrides: FileFacts["overrides"] = []) => {
    const facts = sampleFile(profile, { submittedAt: SUBMITTED });
    const choice = facts.choices[0]?.id ?? "";
    return look({ ...facts, overrides: overrides.map((o) => ({ ...o, choice })) }).choices[0];
  };
  it("says what would be met if the courses in progress are passed, and only then", () => {
    const passed = (running: number) =>
      findings(person({ courses: courses(["15"], running) }))
        ?.findings.filter((f) => f.ifPassed)
        .map((f) => f.key);
    expect(passed(0)).toEqual([]);
    expect(passed(1)).toEqual(["credits"]);
    const short = findings(person({ courses: courses(["15"], 1).slice(3) }));
    expect(short?.findings.find((f) => f.key === "credits")).toMatchObject({ finding: "not met", ifPassed: false });
  });
  it("an override takes the place of what was worked out, shows it, and decides eligibility", () => {
    const low = person({ degree: { grade: "14.6" } });
    expect(findings(low)?.eligibility).toBe("not eligible");
    const after = findings(low, [{ choice: "", rule: "grade", finding: "met" }]);
    expect(after?.eligibility).toBe("eligible");
    expect(after?.findings.find((f) => f.key === "grade")).toMatchObject({
      finding: "met",
      overrides: "not met",
      basis: "confirmed",
      trace: { truth: "not met" },
    });
  });
  it("a rule about who may choose the programme bars a draft that does not meet it, until an override", () => {
    const gated = {
      ...sampleRulebook,
      body: {
        ...sampleRulebook.body,
        entryRules: sampleRulebook.body.entryRules.map((r) => (r.key === "grade" ? { ...r, gate: true } : r)),
      },
    };
    const barred = (profile: Profile, overrides: FileFacts["overrides"] = []) =>
      assess({
        facts: { ...sampleFile(profile), overrides },
        rulebooks: { [gated.id]: gated },
        rounds: { [sampleRound.id]: sampleRound },
        office,
        at: Date.parse(NOW),
      }).choices[0];
    const low = person({ degree: { grade: "14.6" } });
    const choice = barred(low);
    expect(choice?.barredBy).toEqual(["grade"]);
    expect(barred(person())?.barredBy).toEqual([]);
    expect(barred(low, [{ choice: choice?.id ?? "", rule: "grade", finding: "met" }])?.barredBy).toEqual([]);
    expect(findings(low)?.barredBy).toEqual([]); // the same rule where it is no gate
  });
  it("an override to not met cannot be mended on a condition", () =>
    expect(
      findings(person(), [{ choice: "", rule: "credits", finding: "not met" }])?.findings.find(
        (f) => f.key === "credits",
      ),
    ).toMatchObject({ finding: "not met", way: null }));
  it("an override of one choice or of another rule changes nothing here", () =>
    expect(
      findings(person({ degree: { grade: "14.6" } }), [{ choice: "", rule: "luck", finding: "met" }])?.eligibility,
    ).toBe("not eligible"));

  it("two of thirty courses typed is not “180 ECTS not met”: an open list is known only from below", () => {
    const facts = sampleFile(person({ courses: courses(["15"]).slice(0, 2) }));
    const typing = {
      ...facts,
      answers: facts.answers.filter((a) => !(a.section === "courses" && a.field === "complete")),
    };
    expect(look(typing).choices[0]?.findings.find((f) => f.key === "credits")?.finding).toBe("open");
  });

  it("local credits count by the credits of a full-time year", () => {
    expect(finding(person({ degree: { creditsPerYear: "120" } }), "credits")[0]).toBe("not met");
    expect(finding(person({ degree: { creditsPerYear: "" } }), "credits")[0]).toBe("open");
  });

  it.each([
    [{ status: "in progress", end: "2027-08-31" }, "met"],
    [{ status: "in progress", end: "2027-09-01" }, "met"],
    [{ status: "in progress", end: "2027-09-02" }, "not met"],
    [{ status: "completed", end: "2025-07-15", level: "5" }, "not met"],
  ] as const)("a first degree that is %j is %s", (degree, found) =>
    expect(finding(person({ degree }), "firstDegree")[0]).toBe(found),
  );

  const test = (date: string, scores?: Record<string, string>, expected?: string): Partial<Profile> => ({
    english: { way: "test", test: "het", date, ...(scores ? { scores } : {}), ...(expected ? { expected } : {}) },
  });
  const c1 = { L: "38", R: "38", W: "38", S: "38" };
  it.each([
    ["valid on the first day of study", test("2026-03-01", c1), "met", false],
    ["one day too old", test("2026-02-28", c1), "not met", false],
    ["one part below", test("2026-10-01", { ...c1, W: "33" }), "not met", false],
    ["off the scale", test("2026-10-01", { ...c1, W: "51" }), "open", false],
    ["pending, out before the start", test("2026-11-10", undefined, "2027-08-31"), "open", true],
    ["pending, out after the start", test("2026-11-10", undefined, "2027-09-02"), "not met", false],
  ])("English by a test: %s", (_, change, found, curable) =>
    expect(finding(person(change as Parameters<typeof someone>[2]), "english")).toEqual([found, curable]),
  );

  it.each([
    ["2023-09-01", "2025-09-01", "met"],
    ["2023-09-02", "2025-08-31", "not met"],
  ])("English by study from %s to %s is %s: two full years", (start, end, found) =>
    expect(finding(person({ english: { way: "taught" }, degree: { language: "en", start, end } }), "english")[0]).toBe(
      found,
    ),
  );
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
