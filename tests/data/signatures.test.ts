import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { hashToken } from "../../src/acts/act/token";
import { startApplication } from "../../src/acts/application/start-application";
import { declineSignature, remindSignature, requestSignature, signByLink } from "../../src/acts/evidence/signatures";
import { saveAnswers } from "../../src/acts/form/save-answers";
import { claimMessage, reportMessage } from "../../src/acts/mail/messages";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { fillAny } from "../../src/demo/filling";
import { someone } from "../../src/demo/people";
import { myApplication } from "../../src/views/application/my-application";
import { file as fileView } from "../../src/views/assessment/file";
import { signatureOfLink, signaturePage } from "../../src/views/evidence/signature-page";
import { readView } from "../../src/views/view/view";
import { anybody, lookAt } from "../support/files";
import { DAY, makePerson, must, openWorld, reasonOf, SYSTEM, type World } from "../support/world";

const PDF = Buffer.from("%PDF-1.4 what was signed");

/** A guardian's consent, signed by a link. */
describe("a signature by a link", () => {
  let world: World;
  let officer: Actor;
  let owner: Actor;
  let file = { applicationId: "", number: "" };
  let rounds: Readonly<Record<string, string>>;
  const place = () => ({ applicationId: file.applicationId, requirement: "consent" });

  beforeAll(async () => {
    world = await openWorld("signatures");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    ({ rounds } = await loadCatalogue(world.runtime, "2026-11-25"));
    owner = await anybody(world, "Young");
    file = await must(world, startApplication, owner, { roundId: rounds["FYC rolling"] ?? "" });
    await fillAny(
      world.runtime,
      owner,
      file.applicationId,
      someone("Una", "Vale", { birthDate: "2010-06-01", citizenships: ["IE"], residence: "IE" }),
      {},
      {},
    );
  });
  afterAll(() => world.close());

  const standing = async () =>
    (await lookAt(world, file.applicationId)).result.requirements.find((r) => r.key === "consent")?.standing;
  const signer = async () => {
    const page = await readView(world.runtime, myApplication, owner, { number: file.number });
    return page?.documents.find((d) => d.requirement === "consent")?.signer;
  };
  const name = async (email: string) => {
    const { loaded } = await lookAt(world, file.applicationId);
    const known = loaded.facts.answers.find((a) => a.section === "guardian" && a.field === "email");
    await must(world, saveAnswers, owner, {
      applicationId: file.applicationId,
      changes: [
        { scope: "file", section: "guardian", entry: "", field: "email", value: email, seen: known?.version ?? 0 },
      ],
    });
  };
  const mails = async (template: string) =>
    (
      await world.runtime.pool.query<{ id: string; to: string; values: Record<string, string> }>(
        `select id, to_address as "to", values from message where template = $1 order by queued_at, id`,
        [template],
      )
    ).rows;
  /** The holder of the link in the mail that was sent last. */
  const holder = async (): Promise<Actor> => {
    const token = (await mails("signature-asked")).at(-1)?.values.link?.split("/").at(-1) ?? "";
    const requestId = await signatureOfLink(world.runtime.pool, hashToken(token));
    return requestId ? { kind: "link", requestId } : { kind: "visitor" };
  };
  const sign = (actor: Actor) =>
    reasonOf(
      runAct(world.runtime, signByLink, actor, {
        typed: "Maria Vale",
        document: { name: "consent.pdf", bytes: PDF, mediaType: "application/pdf", pages: 1, marks: [] },
      }),
    );

  it("goes to whom the form names, and the file waits for a third party", async () => {
    await name("maria@people.example");
    expect(await standing()).toBe("missing");
    await must(world, requestSignature, owner, place());
    expect((await mails("signature-asked")).map((m) => m.to)).toEqual(["maria@people.example"]);
    expect(await standing()).toBe("promised");
    expect(await reasonOf(runAct(world.runtime, requestSignature, owner, place()))).toBe("already-done");
    expect(await signer()).toMatchObject({ email: "maria@people.example", last: { state: "asked" } });
  });

  it("shows its holder the sentence and the names, and nothing else of the file", async () => {
    const page = await readView(world.runtime, signaturePage, await holder(), {});
    expect(page).toMatchObject({ state: "asked", applicant: "Una Vale", email: "maria@people.example" });
    expect(page?.sentence.en).toMatch(/^I am responsible for the applicant\./);
    expect(Object.keys(page ?? {}).sort()).toEqual([
      "applicant",
      "email",
      "endsAt",
      "name",
      "now",
      "number",
      "programmes",
      "sentence",
      "state",
      "title",
      "zone",
    ]);
  });

  it("goes anew to another address once the form names one; the earlier link ends", async () => {
    const first = await holder();
    world.later(DAY / 24);
    await name("other@people.example");
    await must(world, requestSignature, owner, place());
    expect(await sign(first)).toBe("link-ended");
    expect((await readView(world.runtime, signaturePage, first, {}))?.state).toBe("ended");
    expect((await mails("signature-asked")).map((m) => m.to)).toEqual(["maria@people.example", "other@people.example"]);
  });

  it("is asked for again by the office, though not at once", async () => {
    expect(await reasonOf(runAct(world.runtime, remindSignature, officer, place()))).toBe("already-done");
    world.later(DAY);
    const before = await holder();
    expect(await reasonOf(runAct(world.runtime, remindSignature, officer, place()))).toBe("ok");
    expect(await sign(before)).toBe("link-ended");
  });

  it("that is declined leaves the document missing, and the applicant is told", async () => {
    await must(world, declineSignature, await holder(), {});
    expect(await standing()).toBe("missing");
    expect((await mails("signature-declined")).length).toBe(1);
    expect((await signer())?.last?.state).toBe("declined");
  });

  it("whose mail cannot be delivered says so, and can be sent again", async () => {
    world.later(DAY / 24);
    await must(world, requestSignature, owner, place());
    const [mail] = (await mails("signature-asked")).slice(-1);
    await must(world, claimMessage, SYSTEM, { messageId: mail?.id ?? "" });
    await must(world, reportMessage, SYSTEM, {
      messageId: mail?.id ?? "",
      attempt: 1,
      result: "refused",
      failure: "no such box",
    });
    expect([await standing(), (await signer())?.last?.state]).toEqual(["missing", "undeliverable"]);
    world.later(DAY / 24);
    await must(world, requestSignature, owner, place());
  });

  it("becomes the document of the file, once, with the name that was typed", async () => {
    const actor = await holder();
    expect(await sign(actor)).toBe("ok");
    expect(await sign(actor)).toBe("link-ended");
    expect(await standing()).toBe("to check");
    const data = await readView(world.runtime, fileView, officer, { number: file.number });
    expect(data?.signatures.at(-1)).toMatchObject({ state: "signed", signedAs: "Maria Vale" });
    expect(data?.documents.filter((d) => d.requirement === "consent").map((d) => d.name)).toEqual(["consent.pdf"]);
    expect(data?.events.find((e) => e.act === "sign-by-link")?.who).toBe("Ada Vale");
    expect((await mails("signature-given")).length).toBe(1);
    expect(await reasonOf(runAct(world.runtime, remindSignature, officer, place()))).toBe("already-done");
  });

  it("is not asked for where nobody signs, or where nobody is named", async () => {
    const other = (requirement: string) =>
      reasonOf(runAct(world.runtime, requestSignature, owner, { ...place(), requirement }));
    expect([await other("passport"), await other("nothing")]).toEqual(["not-found", "not-found"]);
  });

  it("has a sponsor confirm what it owes, in plain words", async () => {
    world.later(1000);
    const employee = await anybody(world, "Employed");
    const { applicationId } = await must(world, startApplication, employee, { roundId: rounds["PCS 1"] ?? "" });
    const told = {
      "sponsor.employed": true,
      "sponsor.body": "Ministry of Ports",
      "sponsor.name": "Jon Sponsor",
      "sponsor.email": "jon.sponsor@ports.example",
    };
    await fillAny(world.runtime, employee, applicationId, someone("Eda", "Vale"), told, {});
    await must(world, requestSignature, employee, { applicationId, requirement: "permission" });
    const [asked] = (await mails("signature-asked")).slice(-1);
    expect(asked?.to).toBe("jon.sponsor@ports.example");
    const actor = await holder();
    expect((await readView(world.runtime, signaturePage, actor, {}))?.sentence.en).toContain(
      "go on paying their salary",
    );
    expect(await sign(actor)).toBe("ok");
    const { result } = await lookAt(world, applicationId);
    expect(result.requirements.find((r) => r.key === "permission")?.standing).toBe("to check");
  });
});
