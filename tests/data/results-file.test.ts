import { randomUUID, X509Certificate } from "node:crypto";
import { readFileSync } from "node:fs";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { saveAnswers } from "../../src/acts/form/save-answers";
import { saveInstitution } from "../../src/acts/standards/institutions";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { fingerprintOf } from "../../src/formats/elmo/verify-signature";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { resultsFile } from "../../src/views/results/results-file";
import { readView } from "../../src/views/view/view";
import { begunFile, lookAt } from "../support/files";
import { makePerson, must, openWorld, VISITOR, type World } from "../support/world";

const sample = (name: string) => readFileSync(path.join(process.cwd(), "tests/fixtures/elmo", name));

const reading = (bytes: Uint8Array) => (fingerprints: readonly string[]) =>
  IN_PLACE.run("read-results", { bytes, locale: "en", fingerprints }, "");

const BDAY = /<bday[^>]*>([\d-]+)</u;

describe("a file of results", () => {
  let world: World;
  let applicant: Actor;
  let officer: Actor;
  let roundId = "";

  beforeAll(async () => {
    world = await openWorld("results_file");
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
    applicant = await makePerson(world, "Ana Souza Pinto");
    officer = await makePerson(world, "Runa Okonjo", ["officer", "standards keeper"]);
  });
  afterAll(() => world.close());

  const read = (name: string, actor: Actor = applicant) =>
    readView(world.runtime, resultsFile, actor, { reading: reading(new Uint8Array(sample(name))) });

  it("comes as lines of a table, with what has to be looked at", async () => {
    const file = await read("elmo-b-minimal.xml");
    expect(file).toMatchObject({ ok: true, signature: "unsigned", otherName: "Suharti" });
    expect(file?.ok && file.rows[0]).toEqual(["", "Introduction to Law", "5", "", "2,3", "2024-07-12"]);
    expect(file?.ok && file.questions.length).toBe(4);
  });
  it("brings its documents, each for what it is asked for, and says which cannot be taken", async () => {
    const { owner, applicationId } = await begunFile(world, roundId);
    const entry = randomUUID();
    await must(world, saveAnswers, owner, {
      applicationId,
      changes: [{ scope: "file", section: "education", entry, field: "title", value: "BSc Sample", seen: 0 }],
    });
    const number = (await lookAt(world, applicationId)).loaded.facts.application.number;
    const whole = sample("elmo-a-unsigned.xml").toString();
    const attached = (type: string, content: string) =>
      `<attachment><type>${type}</type><content>${content}</content></attachment>`;
    const lies = attached("Diploma", `data:image/png;base64,${Buffer.from("%PDF-1.4 no picture").toString("base64")}`);
    const bytes = new TextEncoder().encode(whole.replace("</elmo>", `${lies}</elmo>`));
    const file = await readView(world.runtime, resultsFile, owner, { reading: reading(bytes), number });
    if (!file?.ok) throw new Error("not read");
    expect(file.questions).toContainEqual({ code: "attachment_refused", about: "Diploma" });
    const [transcript, ...others] = file.attachments;
    expect(others).toEqual([]);
    expect(file.places[transcript?.fits ?? -1]).toMatchObject({ requirement: "transcript", scope: "file", entry });
    // Somebody else's application offers no places.
    const foreign = await readView(world.runtime, resultsFile, applicant, { reading: reading(bytes), number });
    expect(foreign?.ok && [foreign.places, foreign.attachments[0]?.fits]).toEqual([[], null]);
  });
  it("is of oneself where the names agree, middle names left out or not", async () =>
    expect(await read("elmo-a-unsigned.xml")).toMatchObject({ otherName: null }));
  it("is held against the day of birth that one's own application gives", async () => {
    const born = async (day: string) => {
      const { owner, applicationId } = await begunFile(world, roundId);
      await must(world, saveAnswers, owner, {
        applicationId,
        changes: [{ scope: "file", section: "person", entry: "", field: "birthDate", value: day, seen: 0 }],
      });
      const file = await read("elmo-a-unsigned.xml", owner);
      return file?.ok ? file.otherBirth : "not read";
    };
    const stated = BDAY.exec(sample("elmo-a-unsigned.xml").toString())?.[1] ?? "";
    expect(await born(stated)).toBeNull();
    expect(await born("1971-02-03")).toBe(stated);
  });
  it("is trusted once its certificate stands with an institution of the register", async () => {
    expect(await read("elmo-a-signed.xml")).toMatchObject({ signature: "sound" });
    await must(world, saveInstitution, officer, {
      institutionId: null,
      version: null,
      institution: {
        name: "Hillview Sample University",
        otherNames: [],
        country: "SR",
        kind: "university",
        languages: ["en"],
        scales: [],
        creditsPerYear: 60,
        recognition: "recognised",
        note: "",
        fingerprints: [fingerprintOf(new X509Certificate(sample("elmo-a-cert.pem")))],
      },
    });
    expect(await read("elmo-a-signed.xml")).toMatchObject({ signature: "trusted" });
    expect(await read("elmo-a-tampered.xml")).toMatchObject({ signature: "invalid" });
  });
  it("that is none is refused with its reason, and nothing is read for a visitor", async () => {
    const bytes = new TextEncoder().encode("<html/>");
    expect(await readView(world.runtime, resultsFile, applicant, { reading: reading(bytes) })).toEqual({
      ok: false,
      reason: "not_elmo",
    });
    expect(await readView(world.runtime, resultsFile, VISITOR, { reading: reading(bytes) })).toBeNull();
  });
});
