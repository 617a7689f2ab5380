import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { confirmValues } from "../../src/acts/evidence/confirm-values";
import { gapsOf } from "../../src/core/file/result";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { lookAt, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, openWorld, type World } from "../support/world";

/** A qualification that was entered as another kind than it is: the office says which, and nothing that was typed is lost. */
describe("a qualification of another kind", () => {
  let world: World;
  let officer: Actor;
  let file: TestFile;

  beforeAll(async () => {
    world = await openWorld("retyped");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    file = await submittedFile(world, roundId, "Retyped");
  });
  afterAll(() => world.close());

  const place = (field: string) => ({ scope: "file", section: "education", entry: file.filled.degree, field });
  const level = (value: string) =>
    must(world, confirmValues, officer, {
      applicationId: file.applicationId,
      values: [{ ...place("level"), value }],
      note: "Awarded by a professional body.",
    });
  const look = async () => {
    const { loaded, result } = await lookAt(world, file.applicationId);
    const studies = result.requirements.find((r) => r.key === "studies");
    return {
      typed: loaded.facts.answers.find((a) => a.section === "education" && a.field === "creditsPerYear")?.value,
      claimed: loaded.facts.answers.find((a) => a.section === "education" && a.field === "level")?.value,
      gaps: [studies?.standing, ...(studies ? gapsOf(studies) : []).map((g) => `${g.section}.${g.field}`)],
      degree: result.choices[0]?.findings.find((f) => f.key === "firstDegree")?.finding,
    };
  };

  it("opens the fields of its kind, counts as what it is, and keeps what was typed", async () => {
    expect(await look()).toEqual({ typed: "60", claimed: "6", gaps: ["accepted"], degree: "met" });
    await level("4");
    expect(await look()).toEqual({
      typed: "60",
      claimed: "6",
      gaps: ["missing", "education.body"],
      degree: "not met",
    });
  });

  it("has the office look who fills what is asked now, itself or the applicant", async () => {
    const owed = async () =>
      (await lookAt(world, file.applicationId)).result.file.owed
        .filter((s) => s.requirement === "studies")
        .map((s) => `${s.turn}: ${s.kind}`);
    expect(await owed()).toEqual(["office: check"]);
    await must(world, confirmValues, officer, {
      applicationId: file.applicationId,
      values: [{ ...place("body"), value: "Institute of Harbour Pilots" }],
      note: "By their letter",
    });
    expect([(await look()).gaps, await owed()]).toEqual([["accepted"], []]);
  });

  it("and is what it was again once the office says so", async () => {
    await level("6");
    expect(await look()).toMatchObject({ typed: "60", gaps: ["accepted"], degree: "met" });
  });
});
