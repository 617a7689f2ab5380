import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { ACTS } from "../../src/acts";
import { type Act, runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { file as fileView } from "../../src/views/assessment/file";
import { readView } from "../../src/views/view/view";
import { lookAt, submittedFile } from "../support/files";
import { makePerson, must, openWorld, type World } from "../support/world";

/** One file, two choices, each of somebody's own programme: what one may do with the file is not done with the other one's choice. */
describe("a file that two programmes share", () => {
  let world: World;
  let applicationId = "";
  let number = "";
  let theirs = "";
  let ours = "";
  let elsewhere = "";
  let actors: Record<"officer" | "lead", Actor>;

  beforeAll(async () => {
    world = await openWorld("shared_file");
    const { rounds } = await loadCatalogue(world.runtime, "2026-11-25");
    const file = await submittedFile(world, rounds["MES 1"] ?? "", "Shared");
    ({ applicationId } = file);
    theirs = file.choiceId;
    elsewhere = rounds["MTE 1"] ?? "";
    await must(world, startApplication, file.applicant, { roundId: elsewhere });
    const { facts } = (await lookAt(world, applicationId)).loaded;
    ours = facts.choices.find((c) => c.id !== theirs)?.id ?? "";
    number = facts.application.number;
    actors = {
      officer: await makePerson(world, "Officer Of Mte", ["officer"], "MTE"),
      lead: await makePerson(world, "Lead Of Mte", ["lead officer"], "MTE"),
    };
  });
  afterAll(() => world.close());

  const place = (scope: string) => ({ requirement: "passport", scope, entry: "" });
  const CASES: readonly (readonly ["officer" | "lead", keyof typeof ACTS, (choiceId: string) => object])[] = [
    ["officer", "prepareDecision", (choiceId) => ({ choiceId, kind: "refusal", reason: "No." })],
    ["officer", "dropDecision", (choiceId) => ({ choiceId })],
    ["lead", "releaseDecision", (choiceId) => ({ choiceId })],
    ["lead", "overrideFinding", (choiceId) => ({ choiceId, rule: "grade", finding: "met", reason: "Seen." })],
    ["lead", "endOverride", (choiceId) => ({ choiceId, rule: "grade", reason: "Not so." })],
    ["lead", "moveToRulebook", (choiceId) => ({ choiceId, reason: "Newer." })],
    ["officer", "extendChoice", (choiceId) => ({ choiceId, until: "2027-01-20T12:00:00.000Z", reason: "Ill." })],
    ["officer", "moveChoice", (choiceId) => ({ choiceId, campus: null, mode: null, track: null, reason: "Asked." })],
    ["officer", "moveProgramme", (choiceId) => ({ choiceId, roundId: elsewhere, reason: "Asked." })],
    ["officer", "suggestMove", (choiceId) => ({ choiceId, roundId: elsewhere, reason: "Asked." })],
    ["officer", "acceptEvidence", (choiceId) => ({ ...place(choiceId), proof: "copy" })],
    ["officer", "askApplicant", (choiceId) => ({ ...place(choiceId), text: "Please.", due: "2026-12-10" })],
    ["officer", "excuseRequirement", (choiceId) => ({ ...place(choiceId), reason: "Known." })],
    ["officer", "doDeed", (choiceId) => ({ ...place(choiceId), note: "Seen." })],
    [
      "officer",
      "reopenSections",
      (choiceId) => ({ sections: [{ scope: choiceId, section: "motivation" }], reason: "Wrong.", due: "2026-12-10" }),
    ],
  ];

  it.each(CASES)("%s of one of them: %s is not theirs on the other one's choice", async (who, name, input) => {
    const act = ACTS[name] as unknown as Act<never, unknown>; // the inputs are those of the acts named beside them
    const outcome = async (choiceId: string) => {
      const done = await runAct(world.runtime, act, actors[who], { applicationId, ...input(choiceId) } as never);
      return done.ok ? "ok" : done.reason;
    };
    expect(await outcome(theirs)).toBe("not-yours");
    expect(["not-yours", "invalid-input"]).not.toContain(await outcome(ours));
  });

  it("says to the page which choice is whose", async () => {
    const seen = await readView(world.runtime, fileView, actors.lead, { number });
    expect(seen?.choices.map((c) => [c.code, c.may.work, c.may.lead])).toEqual([
      ["MES", false, false],
      ["MTE", true, true],
    ]);
  });
});
