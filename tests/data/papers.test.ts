import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { confirmValues } from "../../src/acts/evidence/confirm-values";
import { saveAnswers } from "../../src/acts/form/save-answers";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { myApplication } from "../../src/views/application/my-application";
import { file as fileView } from "../../src/views/assessment/file";
import { readView } from "../../src/views/view/view";
import { anybody, lookAt, submittedFile } from "../support/files";
import { makePerson, must, openWorld, reasonOf, type World } from "../support/world";

/** Which identity papers count, on the applicant's form and beside the paper in the office. */
describe("identity papers", () => {
  let world: World;
  let rounds: Readonly<Record<string, string>>;
  let officer: Actor;

  beforeAll(async () => {
    world = await openWorld("papers");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    ({ rounds } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());

  const numberOf = async (id: string) => (await lookAt(world, id)).loaded.facts.application.number;

  async function citizenshipOf(owner: Actor, id: string) {
    const shown = await readView(world.runtime, myApplication, owner, { number: await numberOf(id) });
    const section = shown?.sections.find((s) => s.key === "citizenship");
    return {
      offered: section?.fields.find((f) => f.kind === "paper")?.options?.map((o) => o.value),
      asked: section?.entries[0]?.shown.slice(2),
      gaps: section?.gaps.map((g) => `${g.field}: ${g.code}`),
    };
  }

  async function save(owner: Actor, applicationId: string, values: Readonly<Record<string, string | string[]>>) {
    const changes = Object.entries(values).map(([field, value]) => ({
      ...{ scope: "file", section: "citizenship", entry: "", field, value },
      seen: 99,
    }));
    const { results } = await must(world, saveAnswers, owner, { applicationId, changes });
    return results.map((r) => (r.state === "saved" ? (r.issue?.code ?? "fine") : r.state));
  }

  it("say on which of them the name counts, to the applicant and beside every document that shows one", async () => {
    const file = await submittedFile(world, rounds["MES 1"] ?? "", "Named");
    const number = await numberOf(file.applicationId);
    const mine = await readView(world.runtime, myApplication, file.applicant, { number });
    expect(mine?.documents.filter((d) => d.governsName).map((d) => d.requirement)).toEqual(["passport"]);
    const seen = await readView(world.runtime, fileView, officer, { number });
    expect(seen?.governing.map((g) => g.requirement)).toEqual(["passport"]);
  });

  it("are offered by citizenship, applicant group and programme", async () => {
    const owner = await anybody(world, "Applicant");
    const { applicationId } = await must(world, startApplication, owner, { roundId: rounds["FYC rolling"] ?? "" });
    await save(owner, applicationId, { citizenships: ["JP"], residence: "JP" });
    expect((await citizenshipOf(owner, applicationId)).offered).toEqual(["passport", "travelDocument"]);
    await save(owner, applicationId, { residence: "IE" });
    expect((await citizenshipOf(owner, applicationId)).offered).toEqual([
      "passport",
      "travelDocument",
      "birthCertificate",
    ]);
    await save(owner, applicationId, { citizenships: ["JP", "IE"] });
    expect((await citizenshipOf(owner, applicationId)).offered).toEqual([
      "passport",
      "identityCard",
      "travelDocument",
      "birthCertificate",
    ]);
    const master = await anybody(world, "Applicant");
    const begun = await must(world, startApplication, master, { roundId: rounds["MES 1"] ?? "" });
    await save(master, begun.applicationId, { citizenships: ["IE"], residence: "IE" });
    expect((await citizenshipOf(master, begun.applicationId)).offered).not.toContain("birthCertificate");
  });

  it("ask for their own number, and for an end only where they have one", async () => {
    const owner = await anybody(world, "Applicant");
    const { applicationId } = await must(world, startApplication, owner, { roundId: rounds["FYC rolling"] ?? "" });
    await save(owner, applicationId, { citizenships: ["IE"], residence: "IE" });
    expect(await citizenshipOf(owner, applicationId)).toMatchObject({ asked: ["paper", "passportNumber"] });
    expect(await save(owner, applicationId, { paper: "passport" })).toEqual(["fine"]);
    expect((await citizenshipOf(owner, applicationId)).asked).toEqual(["paper", "passportNumber", "passportExpiry"]);
    expect(await save(owner, applicationId, { passportNumber: "2008/0519" })).toEqual(["not-this-number"]);
    expect((await citizenshipOf(owner, applicationId)).gaps).toEqual([
      "passportNumber: wrong",
      "passportExpiry: missing",
    ]);
    await save(owner, applicationId, { paper: "birthCertificate" });
    expect(await citizenshipOf(owner, applicationId)).toMatchObject({ asked: ["paper", "passportNumber"], gaps: [] });
  });

  it("that do not count any more are a gap: the citizenship that they came with is gone", async () => {
    const owner = await anybody(world, "Applicant");
    const { applicationId } = await must(world, startApplication, owner, { roundId: rounds["MES 1"] ?? "" });
    await save(owner, applicationId, {
      ...{ citizenships: ["IE"], residence: "IE", paper: "identityCard" },
      ...{ passportNumber: "000-0000000-00".replaceAll("0", "4"), passportExpiry: "2031-08-09" },
    });
    expect((await citizenshipOf(owner, applicationId)).gaps).toEqual([]);
    await save(owner, applicationId, { citizenships: ["JP"], stay: "work" });
    expect((await citizenshipOf(owner, applicationId)).gaps).toEqual(["paper: wrong"]);
  });

  it("stand beside the copy in the office, which holds a number that it corrects against the paper, too", async () => {
    const file = await submittedFile(world, rounds["MES 1"] ?? "", "Tomasa");
    const data = await readView(world.runtime, fileView, officer, { number: await numberOf(file.applicationId) });
    expect(data?.counting["citizenship.paper"]?.map((p) => p.key)).toEqual([
      "passport",
      "identityCard",
      "travelDocument",
    ]);
    const correct = (value: string) =>
      reasonOf(
        runAct(world.runtime, confirmValues, officer, {
          applicationId: file.applicationId,
          values: [{ scope: "file", section: "citizenship", entry: "", field: "passportNumber", value }],
          note: "By the paper itself",
        }),
      );
    expect(await correct("44/17")).toBe("invalid-input");
    expect(await correct("R4417721")).toBe("ok");
    // The paper turns out to be another one: its number is held against that.
    const place = { scope: "file", section: "citizenship", entry: "" };
    await must(world, confirmValues, officer, {
      applicationId: file.applicationId,
      values: [{ ...place, field: "paper", value: "birthCertificate" }],
      note: "By the paper itself",
    });
    expect(await correct("R4417721")).toBe("invalid-input");
    expect(await correct("2008/0519")).toBe("ok");
  });
});
