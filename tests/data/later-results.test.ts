import { randomUUID } from "node:crypto";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { acceptEvidence } from "../../src/acts/evidence/judge-evidence";
import { saveAnswers } from "../../src/acts/form/save-answers";
import type { Actor } from "../../src/core/rights/actor";
import { supply } from "../../src/demo/applicant";
import { loadCatalogue } from "../../src/demo/catalogue";
import { transcript } from "../../src/demo/documents";
import { fillAny } from "../../src/demo/filling";
import { someone } from "../../src/demo/people";
import { myApplication } from "../../src/views/application/my-application";
import { readView } from "../../src/views/view/view";
import { anybody, lookAt, submittedFile, type TestFile } from "../support/files";
import { DAY, makePerson, must, openWorld, type World } from "../support/world";

describe("results that come after submission", () => {
  let world: World;
  let officer: Actor;
  let file: TestFile;
  let rounds: Readonly<Record<string, string>>;
  const course = randomUUID();

  beforeAll(async () => {
    world = await openWorld("later_results");
    const { roundId, rounds: all } = await loadCatalogue(world.runtime, "2026-11-25");
    rounds = all;
    officer = await makePerson(world, "Officer", ["officer"]);
    file = await submittedFile(world, roundId, "Laterb");
    world.later(DAY);
    const place = { applicationId: file.applicationId, scope: "file", entry: file.filled.degree };
    await must(world, acceptEvidence, officer, { ...place, requirement: "transcript" });
    world.later(DAY);
  });
  afterAll(() => world.close());

  const save = async (section: string, entry: string, field: string, value: string, seen = 0) => {
    const outcome = await runAct(world.runtime, saveAnswers, file.applicant, {
      applicationId: file.applicationId,
      changes: [{ scope: "file", section, entry, field, value, seen }],
    });
    if (!outcome.ok) throw new Error(outcome.reason);
    return outcome.value.results[0]?.state;
  };
  const look = async () => (await lookAt(world, file.applicationId)).result;
  const steps = async () => (await look()).file.owed.filter((s) => s.requirement === "transcript").map((s) => s.kind);

  it("are added as lines of their own; what was submitted stays closed", async () => {
    const { loaded } = await lookAt(world, file.applicationId);
    const known = loaded.facts.answers.find((a) => a.section === "courses" && a.field === "credits");
    expect(await save("courses", known?.entry ?? "", "credits", "60", known?.version)).toBe("refused");
    expect(await save("person", "", "birthPlace", "Elsewhere", 1)).toBe("refused");
    const fields = { title: "Tides", credits: "7.5", area: "natural", status: "completed", grade: "17" };
    for (const [field, value] of Object.entries(fields))
      expect(await save("courses", course, field, value)).toBe("saved");
    const shown = await readView(world.runtime, myApplication, file.applicant, {
      number: loaded.facts.application.number,
    });
    const open = (key: string) => shown?.sections.find((s) => s.key === key)?.open;
    expect([open("courses"), open("person")]).toEqual(["add", "none"]);
  });

  it("are the office's to confirm, and a new transcript may come with them", async () => {
    expect(await steps()).toEqual(["confirm"]);
    const bytes = await transcript(file.who, world.runtime.now());
    await supply(world.runtime, file.applicant, file.applicationId, "transcript", file.filled.degree, "new.pdf", bytes);
    expect(await steps()).toEqual(["check"]);
  });

  it("add nothing where a form does not take them", async () => {
    const bytes = await transcript(file.who, world.runtime.now());
    await expect(
      supply(world.runtime, file.applicant, file.applicationId, "passport", "", "other.pdf", bytes),
    ).rejects.toThrow("locked");
  });

  it("are asked for as registrations where courses only begin, and never where nobody asks for a result", async () => {
    const missing = async (status: "completed" | "registered") => {
      const applicant = await anybody(world, status === "completed" ? "Done" : "Registered");
      const { applicationId } = await must(world, startApplication, applicant, { roundId: rounds["MTE 1"] ?? "" });
      const base = someone("Ana", "Vale");
      const { grade: _grade, ...course } = base.courses[0] ?? { title: "", credits: "", area: "" };
      const courses = [
        ...base.courses.slice(1),
        { ...course, status, ...(status === "completed" ? { grade: "14" } : {}) },
      ];
      await fillAny(world.runtime, applicant, applicationId, someone("Ana", "Vale", { courses }), {}, {});
      const { result } = await lookAt(world, applicationId);
      const registration = result.requirements.find((r) => r.key === "registration")?.standing;
      return {
        registration,
        optional: result.requirements.some((r) => r.kind === "sections" && r.sections.includes("optionalTests")),
      };
    };
    expect(await missing("registered")).toEqual({ registration: "missing", optional: false });
    expect(await missing("completed")).toEqual({ registration: "not needed", optional: false });
  });
});
