import { createHash, randomUUID } from "node:crypto";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { claimMessage, reportMessage } from "../../src/acts/mail/messages";
import {
  askMoreTime,
  declineReference,
  giveReference,
  openReference,
  saveReference,
} from "../../src/acts/references/answer-reference";
import {
  askReferenceAgain,
  correctReferee,
  endReference,
  extendReference,
  remindReferee,
  sendReferenceAgain,
  takeReference,
} from "../../src/acts/references/chase-reference";
import { requestReference } from "../../src/acts/references/request-reference";
import type { ReferenceList } from "../../src/core/references/requests";
import type { Actor } from "../../src/core/rights/actor";
import type { Filled } from "../../src/demo/applicant";
import { loadCatalogue } from "../../src/demo/catalogue";
import * as documents from "../../src/demo/documents";
import { someone } from "../../src/demo/people";
import { document } from "../../src/views/evidence/document";
import { requestsToRemind } from "../../src/views/references/due-requests";
import { referencePage, requestOfLink } from "../../src/views/references/reference-page";
import { references } from "../../src/views/references/references";
import { readView } from "../../src/views/view/view";
import { filledFile, lookAt } from "../support/files";
import { DAY, makePerson, must, openWorld, reasonOf, type World } from "../support/world";

const SYSTEM: Actor = { kind: "system" };

describe("chasing references", () => {
  let world: World;
  let officer: Actor;
  let owner: Actor;
  let roundId = "";
  let applicationId = "";
  let filled: Filled;
  let requestId = "";

  beforeAll(async () => {
    world = await openWorld("chase-references");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    world.at("2026-11-25T09:00:00Z");
    ({ owner, applicationId, filled } = await filledFile(world, roundId));
    ({ requestId } = await must(world, requestReference, owner, { applicationId, referee: filled.referee }));
  });

  const answers = { known: "Two years of laboratory work", rating: "good" as const, text: "She measures carefully." };
  const mails = async () => {
    const { rows } = await world.runtime.pool.query<{
      id: string;
      template: string;
      to: string;
      values: Record<string, string>;
    }>(
      "select id, template, to_address as to, values from message where application_id = $1 order by queued_at, template",
      [applicationId],
    );
    return rows;
  };
  const sent = async (template: string) => (await mails()).filter((m) => m.template === template);
  const behind = async (link: string | undefined): Promise<string | null> =>
    requestOfLink(
      world.runtime.pool,
      createHash("sha256")
        .update(link?.replace("/reference/", "") ?? "")
        .digest("hex"),
    );
  const referee = (): Actor => ({ kind: "link", requestId });
  const page = () => readView(world.runtime, referencePage, referee(), {});
  const listed = async (list: ReferenceList) =>
    (await readView(world.runtime, references, officer, { list }))?.rows.filter(
      (r) => r.applicationId === applicationId,
    );
  const row = async () => {
    const { rows } = await world.runtime.pool.query("select * from reference_request where id = $1", [requestId]);
    return rows[0];
  };
  const remindAll = async () => {
    const due = (await requestsToRemind(world.runtime.pool, world.runtime.now())).filter(
      (r) => r.requestId === requestId,
    );
    for (const request of due) await must(world, remindReferee, SYSTEM, request);
    return due.length;
  };

  it("are wanted by the closing, and reminded by the standards, once each, with the earlier link still good", async () => {
    const first = (await sent("reference-asked"))[0]?.values.link;
    expect(await remindAll()).toBe(0);
    for (const reminders of [1, 2]) {
      world.later(7 * DAY);
      expect(await remindAll()).toBe(1);
      expect(await remindAll()).toBe(0);
      expect((await row()).reminders).toBe(reminders);
    }
    world.later(9 * DAY);
    expect(await remindAll()).toBe(0);
    const links = (await sent("reference-reminder")).map((m) => m.values.link);
    expect(new Set([first, ...links]).size).toBe(3);
    for (const link of [first, ...links]) expect(await behind(link)).toBe(requestId);
    expect((await sent("reference-silent")).map((m) => m.values.referee)).toEqual(["Dr Orla Finnegan"]);
    // Once more shortly before the time is over.
    const until = new Date(world.runtime.now().getTime() + 3 * DAY).toISOString().slice(0, 10);
    await must(world, extendReference, officer, { applicationId, requestId, until });
    expect(await remindAll()).toBe(1);
    world.later(DAY);
    expect(await remindAll()).toBe(0);
  });

  it("are reminded by two workers at once no more than by one", async () => {
    world.later(8 * DAY);
    const both = await Promise.all(
      [1, 2].map(() => runAct(world.runtime, remindReferee, SYSTEM, { applicationId, requestId })),
    );
    expect(both.filter((o) => o.ok).length).toBe(1);
    expect((await sent("reference-reminder")).length).toBe(1);
  });

  it("are kept as they are written, and given whole", async () => {
    await must(world, openReference, referee(), {});
    await must(world, saveReference, referee(), { known: "Two ye", rating: "good", text: "" });
    await must(world, saveReference, referee(), { ...answers, text: "She measures " });
    expect((await page())?.draft).toEqual({ ...answers, text: "She measures " });
    expect((await listed("waiting"))?.[0]).toMatchObject({ begun: true, state: "opened" });
    await must(world, giveReference, referee(), { answers });
    expect(await row()).toMatchObject({ state: "given", draft: null });
    expect(await reasonOf(runAct(world.runtime, saveReference, referee(), answers))).toBe("link-ended");
  });

  it("may take longer: the referee asks, the office gives time, and the link works on", async () => {
    const ask = (until: string) => runAct(world.runtime, askMoreTime, referee(), { until, words: "Field season" });
    expect(await reasonOf(ask("2026-12-01"))).toBe("nothing-due");
    expect(await ask("2027-03-10")).toMatchObject({ ok: true });
    expect((await page())?.moreUntil).toBe("2027-03-10");
    expect((await listed("more time"))?.[0]).toMatchObject({ moreUntil: "2027-03-10", moreWords: "Field season" });
    const extend = { applicationId, requestId, until: "2027-03-10" };
    const past = runAct(world.runtime, extendReference, officer, { ...extend, until: "2026-11-20" });
    expect(await reasonOf(past)).toBe("invalid-input");
    await must(world, extendReference, officer, extend);
    expect(await listed("more time")).toEqual([]);
    expect((await sent("reference-extended"))[0]?.values.due).toBe("2027-03-10");
    world.at("2027-04-05T09:00:00Z");
    expect((await page())?.state).toBe("asked");
    expect((await listed("endangered"))?.[0]).toMatchObject({ due: "2027-03-10", danger: "overdue" });
  });

  it("whose time is over wait for a word of the office, once the referee asks for it", async () => {
    const { ends_at } = await row();
    world.at(new Date(ends_at.getTime() + DAY).toISOString());
    expect((await page())?.state).toBe("late");
    const until = new Date(ends_at.getTime() + 20 * DAY).toISOString().slice(0, 10);
    expect(await reasonOf(runAct(world.runtime, giveReference, referee(), { answers }))).toBe("link-ended");
    await must(world, askMoreTime, referee(), { until, words: "" });
    expect((await page())?.moreUntil).toBe(until);
  });

  it("show that they were opened where the applicant was signed in, and that both have one name", async () => {
    if (owner.kind !== "person") throw new Error("an applicant is a person");
    await must(world, openReference, referee(), { signedIn: randomUUID() });
    expect((await listed("waiting"))?.[0]?.signs).toEqual([]);
    await must(world, openReference, referee(), { signedIn: owner.id });
    expect((await listed("waiting"))?.[0]?.signs).toEqual(["own browser"]);
    await world.runtime.pool.query("update reference_request set name = 'VALE Ana' where id = $1", [requestId]);
    expect((await listed("waiting"))?.[0]?.signs).toEqual(["same address", "own browser", "own name"]);
    await world.runtime.pool.query("update reference_request set name = 'Dr Orla Finnegan' where id = $1", [requestId]);
  });

  it("are declined with a reason; the words stay with the office", async () => {
    await must(world, declineReference, referee(), { reason: "too close", words: "My nephew" });
    expect((await listed("failed"))?.[0]).toMatchObject({ declineReason: "too close", declineWords: "My nephew" });
    expect(JSON.stringify((await sent("reference-declined"))[0]?.values)).not.toContain("nephew");
    const { requestId: second } = await must(world, requestReference, owner, {
      applicationId,
      referee: filled.referee,
    });
    expect(second).not.toBe(requestId);
    expect(await listed("failed")).toEqual([]);
  });

  it("that reached somebody else are corrected: what went there ends, the right one is asked", async () => {
    const wrong = (await sent("reference-asked"))[0]?.values.link;
    await must(world, declineReference, referee(), { reason: "not me" });
    expect((await sent("referee-not-reached")).length).toBe(1);
    const correct = (email: string) =>
      runAct(world.runtime, correctReferee, officer, {
        ...{ applicationId, requestId, name: "Dr Orla Finnegan", email, reason: "She called." },
      });
    expect(await reasonOf(correct("o.finnegan@halden-sound.example"))).toBe("nothing-due");
    expect(await correct("Orla.Finnegan@halden-sound.example")).toMatchObject({ ok: true });
    expect(await behind(wrong)).toBeNull();
    const again = (await sent("reference-asked")).at(-1);
    expect([again?.to, await behind(again?.values.link)]).toEqual(["orla.finnegan@halden-sound.example", requestId]);
    expect((await page())?.state).toBe("asked");
  });

  it("go to nobody at an address of the applicant's own, also by the office's hand", async () => {
    const { rows } = await world.runtime.pool.query<{ email: string }>(
      "select p.email from person p join application a on a.person_id = p.id where a.id = $1",
      [applicationId],
    );
    const refused = runAct(world.runtime, correctReferee, officer, {
      ...{ applicationId, requestId, name: "A friend", email: rows[0]?.email ?? "", reason: "They said so." },
    });
    expect(await reasonOf(refused)).toBe("own-address");
  });

  it("whose mail came back are not reached, also where a reminder came back, and are corrected", async () => {
    await must(world, sendReferenceAgain, officer, { applicationId, requestId });
    const messageId = (await sent("reference-reminder"))[0]?.id ?? "";
    const claimed = await must(world, claimMessage, SYSTEM, { messageId });
    await must(world, reportMessage, SYSTEM, {
      messageId,
      attempt: claimed?.attempts ?? 0,
      result: "refused",
      failure: "550 no such mailbox",
    });
    expect((await row()).state).toBe("undeliverable");
    expect((await listed("failed"))?.[0]).toMatchObject({ state: "undeliverable", failure: "550 no such mailbox" });
    expect(await reasonOf(runAct(world.runtime, sendReferenceAgain, officer, { applicationId, requestId }))).toBe(
      "already-done",
    );
  });

  it("of a silent referee end, and the applicant names another; what was asked stays in the history", async () => {
    await must(world, endReference, officer, { applicationId, requestId, reason: "Silent for three weeks." });
    expect((await sent("referee-wanted"))[0]?.values.text).toBe("Silent for three weeks.");
    expect((await sent("reference-ended"))[0]?.to).toBe("o.finnegan@halden-sound.example");
    expect((await page())?.state).toBe("ended");
    expect((await row()).state).toBe("withdrawn");
    const ask = runAct(world.runtime, requestReference, owner, { applicationId, referee: filled.referee });
    expect(await reasonOf(ask)).toBe("ok");
  });

  it("that came on paper are put in with their day; the applicant never sees the letter", async () => {
    const bytes = await documents.letterOfReference(someone("Ana", "Vale"), world.runtime.now());
    const letter = { name: "letter.pdf", bytes, mediaType: "application/pdf" as const, pages: 1, marks: [] };
    const take = (cameOn: string) =>
      runAct(world.runtime, takeReference, officer, { applicationId, requestId, cameOn, letter });
    expect(await reasonOf(take("2026-12-24"))).toBe("invalid-input");
    expect(await take("2026-11-24")).toMatchObject({ ok: true });
    expect(await reasonOf(take("2026-11-24"))).toBe("already-done");
    const taken = await row();
    expect(taken.given_at.toISOString().slice(0, 10)).toBe("2026-11-24");
    const { result } = await lookAt(world, applicationId);
    expect(result.requirements.find((r) => r.kind === "reference")?.standing).toBe("to check");
    expect(await readView(world.runtime, document, owner, { uploadId: taken.upload_id })).toBeNull();
    expect(await readView(world.runtime, document, officer, { uploadId: taken.upload_id })).not.toBeNull();
    expect((await page())?.state).toBe("given");
  });

  it("are asked for again by the applicant, a few times a day", async () => {
    const again = () => reasonOf(runAct(world.runtime, askReferenceAgain, owner, { applicationId, requestId }));
    const all = [await again(), await again(), await again(), await again()];
    expect(all.filter((r) => r === "ok").length).toBe(2);
    expect(all.at(-1)).toBe("mailed-enough");
    world.later(1.1 * DAY);
    expect(await again()).toBe("ok");
  });

  it("show that the same letter stands in another file, and who was never asked", async () => {
    const bytes = await documents.letterOfReference(someone("Bela", "Other"), world.runtime.now());
    const letter = { name: "letter.pdf", bytes, mediaType: "application/pdf" as const, pages: 1, marks: [] };
    await must(world, takeReference, officer, { applicationId, requestId, cameOn: "2026-11-25", letter });
    expect((await listed("given"))?.[0]?.signs).toEqual([]);
    const other = await filledFile(world, roundId);
    const unasked = await readView(world.runtime, references, officer, { list: "not asked" });
    expect(unasked?.rows.filter((r) => r.applicationId === other.applicationId).map((r) => r.email)).toEqual([
      "o.finnegan@halden-sound.example",
    ]);
    const asked = await must(world, requestReference, other.owner, {
      applicationId: other.applicationId,
      referee: other.filled.referee,
    });
    await must(world, takeReference, officer, {
      ...{ applicationId: other.applicationId, requestId: asked.requestId, cameOn: "2026-11-25", letter },
    });
    expect((await listed("given"))?.[0]?.signs).toEqual(["same letter"]);
  });

  it("are of the programmes of whoever looks", async () => {
    const elsewhere = await makePerson(
      world,
      `Elsewhere ${randomUUID().replaceAll(/[\d-]/gu, "")}`,
      ["officer"],
      "MTE",
    );
    const seen = await readView(world.runtime, references, elsewhere, { list: "waiting" });
    expect(seen?.rows.filter((r) => r.applicationId === applicationId)).toEqual([]);
    const refused = runAct(world.runtime, sendReferenceAgain, elsewhere, { applicationId, requestId });
    expect(await reasonOf(refused)).toBe("not-yours");
  });
});
