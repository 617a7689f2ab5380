import { describe, expect, it } from "vitest";
import { someone } from "../../demo/people";
import { referenceSet } from "../../demo/reference-set";
import { sampleFile, sampleRound } from "../../demo/sample-file";
import { assess } from "../assessment/assess";
import type { AnswerFact, ChargeFact, ChoiceFact, EvidenceFact, FileFacts, ReferenceFact } from "../file/facts";
import { gapsOf, type RequirementResult } from "../file/result";
import type { Instant } from "../ids";
import { type Requirement, requirementSchema } from "../rulebook/requirement";
import { type RulebookBody, rulebookSchema } from "../rulebook/rulebook";
import type { Condition } from "../rules/condition";
import { makeOffice } from "../standards/reference-set";

const office = makeOffice(1, referenceSet);
const AT = "2026-11-20T09:00:00.000Z" as Instant;
const title = { en: "x", fr: "x" };

/** Rulebooks of one requirement each, over a form that asks for jobs, a name and a referee. */
const form = rulebookSchema.shape.sections.parse([
  {
    key: "jobs",
    core: null,
    scope: "file",
    title,
    repeats: { min: 0, max: 3 },
    fields: [{ key: "employer", kind: "text", title, required: true }],
  },
  {
    key: "degrees",
    core: null,
    scope: "file",
    title,
    repeats: { min: 1, max: 3 },
    fields: [{ key: "title", kind: "text", title, required: true }],
  },
  {
    key: "person",
    core: "person",
    scope: "file",
    title,
    fields: [
      { key: "name", kind: "name", title, required: true },
      { key: "abroad", kind: "yesNo", title, required: false },
    ],
  },
  {
    key: "referees",
    core: "referees",
    scope: "file",
    title,
    repeats: { min: 0, max: 3 },
    fields: [{ key: "role", kind: "text", title, required: false }],
  },
]);
const fees = rulebookSchema.shape.fees.parse([
  { key: "handling", title, per: "file", currency: "EUR", amounts: [{ group: "overseas", minor: 5000 }] },
]);

const document = (result: RequirementResult) => (result.kind === "document" ? result : null);
const common = { key: "it", title, scope: "file", neededBy: "review" };
const asks = (more: object): Requirement => requirementSchema.parse({ ...common, ...more });
const documentOf = (more: object = {}) => asks({ kind: "document", proof: "copy", ...more });

interface Case {
  readonly requirements: readonly Requirement[];
  readonly facts?: Partial<FileFacts>;
  readonly second?: readonly Requirement[];
}

function results({ requirements, facts = {}, second }: Case): readonly RequirementResult[] {
  const body = (of: readonly Requirement[]): RulebookBody =>
    rulebookSchema.parse({ sections: form, requirements: of, measures: [], entryRules: [], fees });
  const whole = { ...sampleFile(someone("A", "B")), answers: [], ...facts };
  const [first] = whole.choices;
  if (!first) throw new Error("no choice");
  const choices: ChoiceFact[] = [{ ...first, rulebookId: "one" }];
  if (second) choices.push({ ...first, id: "choice-2", rank: 2, rulebookId: "two" });
  return assess({
    facts: { ...whole, choices },
    rulebooks: {
      one: { id: "one", version: 1, body: body(requirements) },
      two: { id: "two", version: 1, body: body(second ?? requirements) },
    },
    rounds: { [sampleRound.id]: sampleRound },
    office,
    at: Date.parse(AT),
  }).requirements;
}
const standing = (requirement: Requirement, facts: Partial<FileFacts> = {}) =>
  results({ requirements: [requirement], facts }).map((r) => r.standing);

const evidence = (more: Partial<EvidenceFact> = {}): EvidenceFact => ({
  id: Math.random().toString(36),
  requirement: "it",
  scope: "file",
  entry: "",
  suppliedAt: AT,
  judgement: null,
  judgedAt: null,
  reason: null,
  proof: "copy",
  ...more,
});
const accepted = (proof: EvidenceFact["proof"] = "copy", more: Partial<EvidenceFact> = {}) =>
  evidence({ judgement: "accepted", judgedAt: AT, proof, ...more });
const returned = evidence({ judgement: "returned", judgedAt: AT, reason: "unreadable" });
const person = (field: string, value: string | boolean) => ({
  scope: "file",
  section: "person",
  entry: "",
  field,
  value,
  version: 1,
  position: 0,
});
const job = (entry: string) => ({ ...person("employer", "X"), section: "jobs", entry });

describe("a document", () => {
  it.each<[string, readonly EvidenceFact[], string]>([
    ["that nobody supplied is missing", [], "missing"],
    ["that came is to be checked", [evidence()], "to check"],
    ["that was accepted is", [accepted()], "accepted"],
    ["that was sent back waits for another", [returned], "returned"],
    ["of which one page is new is to be checked again", [accepted(), evidence()], "to check"],
    ["of which one part was sent back is not whole", [accepted(), returned], "returned"],
    ["sent back and supplied again is to be checked", [returned, evidence()], "to check"],
    ["for another requirement is not this one", [evidence({ requirement: "other" })], "missing"],
  ])("%s", (_, given, expected) => expect(standing(documentOf(), { evidence: given })).toEqual([expected]));

  it("needs the proof that is asked for", () => {
    const certified = documentOf({ proof: "certified copy" });
    expect(standing(certified, { evidence: [accepted("copy")] })).toEqual(["to check"]);
    for (const proof of ["certified copy", "original seen", "from the issuer"] as const)
      expect(standing(certified, { evidence: [accepted(proof)] })).toEqual(["accepted"]);
  });

  it("owes a higher proof until it is there", () => {
    const later = documentOf({ laterProof: { level: "original seen", neededBy: "enrolment" } });
    const owed = (proof: EvidenceFact["proof"]) =>
      results({ requirements: [later], facts: { evidence: [accepted(proof)] } }).map((r) => document(r)?.owedProof)[0];
    expect([owed("copy"), owed("original seen"), owed("from the issuer")]).toEqual([
      { level: "original seen", neededBy: "enrolment" },
      null,
      null,
    ]);
  });

  it("is sent back by a check that fails, with the check as its reason, and let be by one that cannot be judged", () => {
    const checked = documentOf({
      checks: [{ key: "home", title, rule: { op: "fact", fact: "person.abroad", is: "equals", value: false } }],
    });
    const look = (answers: FileFacts["answers"]) => {
      const [result] = results({ requirements: [checked], facts: { evidence: [accepted()], answers } });
      return [result?.standing, result && document(result)?.reason];
    };
    expect(look([])).toEqual(["accepted", null]);
    expect(look([person("abroad", false)])).toEqual(["accepted", null]);
    expect(look([person("abroad", true)])).toEqual(["returned", "home"]);
  });

  it("is promised while its promise holds and nothing has come", () => {
    const awaited = documentOf({ promise: { op: "fact", fact: "person.abroad", is: "equals", value: true } });
    expect(standing(awaited)).toEqual(["missing"]);
    expect(standing(awaited, { answers: [person("abroad", true)] })).toEqual(["promised"]);
    expect(standing(awaited, { answers: [person("abroad", true)], evidence: [evidence()] })).toEqual(["to check"]);
  });

  it("for each entry of a list is asked once for each, and once while an entry that has to come is not there", () => {
    expect(standing(documentOf({ perEntryOf: "degrees" }))).toEqual(["missing"]);
    const each = documentOf({ perEntryOf: "jobs" });
    expect(standing(each)).toEqual(["not needed"]);
    const made = results({
      requirements: [each],
      facts: { answers: [job("a"), job("b")], evidence: [accepted("copy", { entry: "b" })] },
    });
    expect(made.map((r) => [r.entry, r.standing])).toEqual([
      ["a", "missing"],
      ["b", "accepted"],
    ]);
  });

  it("for each entry of a list is asked for those that its condition lets through, and judged by what they say", () => {
    const named = (value: string): Condition => ({ op: "fact", fact: "it.employer", is: "equals", value });
    const each = documentOf({
      perEntryOf: "jobs",
      when: { op: "not", of: named("Mine") },
      promise: named("Later"),
      checks: [{ key: "known", title, rule: { op: "not", of: named("Nobody") } }],
    });
    const promised = documentOf({
      perEntryOf: "jobs",
      promise: { op: "all", of: [] },
      promisedFor: "jobs.employer",
    });
    const employed = (entry: string, employer: string) => ({ ...job(entry), value: employer });
    const made = (...jobs: readonly (readonly [string, string])[]) =>
      results({
        requirements: [each],
        facts: {
          answers: jobs.map(([entry, employer]) => employed(entry, employer)),
          evidence: [accepted("copy", { entry: "c" }), accepted("copy", { entry: "d" })],
        },
      }).map((r) => [r.entry, r.standing, document(r)?.reason]);
    expect(made(["a", "Mine"], ["b", "Later"], ["c", "Quay"], ["d", "Nobody"], ["e", "Quay"])).toEqual([
      ["b", "promised", null],
      ["c", "accepted", null],
      ["d", "returned", "known"],
      ["e", "missing", null],
    ]);
    expect(made(["a", "Mine"])).toEqual([["", "not needed", null]]);
    const days = results({
      requirements: [promised],
      facts: { answers: [employed("a", "2026-12-20"), employed("b", "soon")] },
    });
    expect(days.map((r) => [r.standing, document(r)?.promisedFor])).toEqual([
      ["promised", "2026-12-20"],
      ["promised", null],
    ]);
    const required = documentOf({ perEntryOf: "degrees", when: { op: "fact", fact: "it.title", is: "known" } });
    expect(standing(required)).toEqual(["not needed"]);
  });

  it("is asked for while an entry that has to come may want it", () => {
    const level = (value: string): Condition => ({ op: "fact", fact: "it.title", is: "equals", value });
    const abroad: Condition = { op: "fact", fact: "person.abroad", is: "equals", value: true };
    const asked = (when: Condition, answers: readonly AnswerFact[] = []) =>
      standing(documentOf({ perEntryOf: "degrees", when }), { answers });
    expect(asked(level("BSc"))).toEqual(["missing"]);
    expect(asked({ op: "all", of: [abroad, level("BSc")] }, [person("abroad", false)])).toEqual(["not needed"]);
    // What hangs on something else alone waits for that.
    expect(asked(abroad)).toEqual(["not needed"]);
  });

  it("is not needed while its condition does not hold", () => {
    const abroad = documentOf({ when: { op: "fact", fact: "person.abroad", is: "equals", value: true } });
    expect(standing(abroad)).toEqual(["not needed"]);
    expect(standing(abroad, { answers: [person("abroad", true)] })).toEqual(["missing"]);
  });

  it("may be excused, which what was accepted does not need", () => {
    const excuses = [{ requirement: "it", scope: "file", entry: "", at: AT }];
    expect(standing(documentOf(), { excuses })).toEqual(["excused"]);
    expect(standing(documentOf(), { excuses, evidence: [returned] })).toEqual(["excused"]);
    expect(standing(documentOf(), { excuses, evidence: [accepted()] })).toEqual(["accepted"]);
  });
});

describe("references", () => {
  const two = asks({ kind: "reference", count: 2, role: "any" });
  const request = (state: ReferenceFact["state"], more: Partial<ReferenceFact> = {}): ReferenceFact => ({
    id: Math.random().toString(36),
    referee: "",
    scopes: ["file"],
    state,
    askedAt: AT,
    givenAt: state === "given" ? AT : null,
    judgement: null,
    ...more,
  });
  it.each<[readonly ReferenceFact[], readonly string[]]>([
    [[], ["missing", "missing"]],
    [[request("asked")], ["promised", "missing"]],
    [
      [request("opened"), request("given")],
      ["to check", "promised"],
    ],
    [
      [request("asked"), request("given", { judgement: "accepted" })],
      ["accepted", "promised"],
    ],
    [
      [request("declined"), request("asked")],
      ["promised", "missing"],
    ],
    [
      [request("withdrawn"), request("undeliverable")],
      ["missing", "missing"],
    ],
    [
      [request("given", { judgement: "returned" }), request("asked"), request("given")],
      ["to check", "promised"],
    ],
    [[request("asked", { scopes: ["choice-1"] })], ["promised", "missing"]],
    [[request("asked", { scopes: ["another"] })], ["missing", "missing"]],
  ])("%#: fill the slots, the furthest first; one that failed fills none", (references, expected) =>
    expect(standing(two, { references })).toEqual(expected),
  );

  it("of a role come only from referees in that role", () => {
    const academic = asks({ kind: "reference", count: 1, role: "academic" });
    const role = (entry: string, value: string) => ({ ...person("role", value), section: "referees", entry });
    const answers = [role("boss", "professional"), role("prof", "academic")];
    expect(standing(academic, { answers, references: [request("given", { referee: "boss" })] })).toEqual(["missing"]);
    expect(standing(academic, { answers, references: [request("given", { referee: "prof" })] })).toEqual(["to check"]);
  });
});

describe("a fee", () => {
  const fee = asks({ kind: "fee", item: "handling" });
  const charge = (paidMinor: number, announcedAt: Instant | null = null): ChargeFact => ({
    id: "c",
    item: "handling",
    scope: "file",
    minor: 5000,
    currency: "EUR",
    paidMinor,
    paidAt: null,
    announcedAt,
  });
  const group = (groupSinceSubmission: string | null): FileFacts["application"] => ({
    id: "file-1",
    number: "27-00001",
    createdAt: AT,
    withdrawnAt: null,
    groupSinceSubmission,
  });
  it.each<[string, string | null, readonly ChargeFact[], string]>([
    ["may come while the group is unknown", null, [], "missing"],
    ["is not due from a group that pays nothing", "home", [], "not needed"],
    ["is due", "overseas", [], "missing"],
    ["is announced", "overseas", [charge(0, AT)], "promised"],
    ["is paid in part", "overseas", [charge(4999)], "missing"],
    ["is paid", "overseas", [charge(5000)], "accepted"],
    ["is paid in two parts", "overseas", [charge(3000), charge(2000)], "accepted"],
    ["is paid twice", "overseas", [charge(5000), charge(5000, AT)], "accepted"],
  ])("%s", (_, of, charges, expected) =>
    expect(standing(fee, { application: group(of), charges })).toEqual([expected]),
  );
});

describe("the same thing asked by two choices", () => {
  const both = (first: object, second: object, facts: Partial<FileFacts> = {}) =>
    results({ requirements: [documentOf(first)], second: [documentOf(second)], facts });

  it("is asked once, by the earlier moment and at the higher proof", () => {
    const [result, ...rest] = both(
      { neededBy: "decision", proof: "certified copy" },
      { neededBy: "submission", proof: "copy" },
    );
    expect(rest).toEqual([]);
    expect(result).toMatchObject({
      neededBy: "submission",
      proof: "certified copy",
      choices: ["choice-1", "choice-2"],
    });
  });

  it("is needed when either needs it", () => {
    const never = { when: { op: "fact", fact: "person.abroad", is: "equals", value: true } };
    expect(both(never, {})[0]?.standing).toBe("missing");
    expect(both({}, never)[0]?.standing).toBe("missing");
    expect(both(never, never)[0]?.standing).toBe("not needed");
  });

  it("stays two where each asks it for itself", () => {
    const own = { scope: "choice" };
    expect(both(own, own).map((r) => r.scope)).toEqual(["choice-1", "choice-2"]);
  });
});

describe("sections", () => {
  it("are whole when nothing is missing, and list what is", () => {
    const filled = asks({ kind: "sections", sections: ["person", "jobs"] });
    const [empty] = results({ requirements: [filled] });
    expect([empty?.standing, empty && gapsOf(empty).map((g) => `${g.section}.${g.field}`)]).toEqual([
      "missing",
      ["jobs.complete", "person.name"],
    ]);
    const complete = { ...person("complete", true), section: "jobs" };
    expect(standing(filled, { answers: [person("name", "Ana"), complete] })).toEqual(["accepted"]);
  });
});
