import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { askContact, confirmContact, noteContact } from "../../src/acts/contact/contact-notes";
import { saveAnswers } from "../../src/acts/form/save-answers";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { fillAny } from "../../src/demo/filling";
import { someone } from "../../src/demo/people";
import { myApplication } from "../../src/views/application/my-application";
import { file as fileView } from "../../src/views/assessment/file";
import { post, postTable } from "../../src/views/contact/post";
import { recurringQuestions } from "../../src/views/contact/recurring-questions";
import { turnContacts } from "../../src/views/turns/contacts";
import { readView } from "../../src/views/view/view";
import { anybody, lookAt, submittedFile, type TestFile } from "../support/files";
import { DAY, makePerson, must, openWorld, reasonOf, type World } from "../support/world";

/** Calls, letters that came back, and what applicants say of where they are reached. */
describe("where applicants are reached", () => {
  let world: World;
  let officer: Actor;
  let elsewhere: Actor;
  let rounds: Readonly<Record<string, string>>;
  let roundId = "";
  let file: TestFile;
  let number = "";
  let no = 0;

  beforeAll(async () => {
    world = await openWorld("reach");
    ({ rounds, roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    elsewhere = await makePerson(world, "Elsewhere", ["officer"], "FYC");
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    no += 1;
    world.at("2026-11-25T09:00:00Z");
    file = await submittedFile(world, roundId, `Caller${"abcdefghijklmnop"[no]}`, {
      "contact.phone": "+353 1 700 1234",
    });
    number = (await lookAt(world, file.applicationId)).loaded.facts.application.number;
  });

  const PHONE = { scope: "file", section: "contact", entry: "", field: "phone" };
  const ADDRESS = { ...PHONE, field: "street" };
  const note = (place: object, kind: string, text = "") =>
    reasonOf(
      runAct(world.runtime, noteContact, officer, {
        applicationId: file.applicationId,
        ...PHONE,
        ...place,
        kind,
        text,
      } as never),
    );
  it("of somebody under age it is said whether the form asks for a guardian", async () => {
    const young = await submittedFile(world, roundId, "Young", { "person.birthDate": "2010-05-05" });
    const under = async (id: string) => {
      const { application } = (await lookAt(world, id)).loaded.facts;
      return (await readView(world.runtime, fileView, officer, { number: application.number }))?.underAge;
    };
    expect(await under(young.applicationId)).toEqual({ age: 16, until: "2028-05-05", guardian: false });
    const owner = await anybody(world, "Foundation");
    const begun = await must(world, startApplication, owner, { roundId: rounds["FYC rolling"] ?? "" });
    const birth = { scope: "file", section: "person", entry: "", field: "birthDate", value: "2010-05-05", seen: 0 };
    await must(world, saveAnswers, owner, { applicationId: begun.applicationId, changes: [birth] });
    expect((await under(begun.applicationId))?.guardian).toBe(true);
  });

  it("questions that were asked on the phone are collected by section and programme, with their words and no names", async () => {
    const call = (about: string, question: string) =>
      reasonOf(
        runAct(world.runtime, noteContact, officer, {
          applicationId: file.applicationId,
          ...PHONE,
          kind: "talked",
          text: "spoke with the mother",
          about,
          question,
        }),
      );
    expect(await call("nowhere", "Where?")).toBe("not-found");
    for (const [about, question] of [
      ["courses", "Failed ones, too?"],
      ["education", "Which day?"],
      ["courses", "Which area?"],
      ["", "is not kept"],
    ] as const) {
      world.later(60_000);
      expect(await call(about, question)).toBe("ok");
    }
    const asked = async (actor: Actor) =>
      (await readView(world.runtime, recurringQuestions, actor, {}))?.map((q) => [
        q.code,
        q.section,
        q.times,
        ...q.questions,
      ]);
    expect(await asked(officer)).toEqual([
      ["MES", "courses", 2, "Which area?", "Failed ones, too?"],
      ["MES", "education", 1, "Which day?"],
    ]);
    expect(await asked(await makePerson(world, "Lead", ["lead officer"], "FYC"))).toEqual([]);
    world.later(400 * DAY);
    expect(await asked(await makePerson(world, "Lead Later", ["lead officer"]))).toEqual([]);
  });

  const ask = (place: object) =>
    reasonOf(runAct(world.runtime, askContact, officer, { applicationId: file.applicationId, ...PHONE, ...place }));
  const confirm = (place: object) =>
    reasonOf(
      runAct(world.runtime, confirmContact, file.applicant, { applicationId: file.applicationId, ...PHONE, ...place }),
    );
  const seen = async (field: string) => {
    const mine = await readView(world.runtime, myApplication, file.applicant, { number });
    const data = await readView(world.runtime, fileView, officer, { number });
    const own = data?.contacts.find((p) => p.field === field && p.section === "contact");
    expect(mine?.contacts).toEqual(data?.contacts);
    return own && { reached: own.reached, last: own.last, asked: own.askedAt !== null };
  };
  const mails = async () => {
    const { rows } = await world.runtime.pool.query<{ template: string; values: Record<string, string> }>(
      "select template, values from message where application_id = $1 and template like 'contact-%' order by queued_at",
      [file.applicationId],
    );
    return rows.map((r) => [r.template, r.values.whatEn]);
  };

  it("are noted call by call; a number that does not work is told to the applicant, who can say that it does", async () => {
    expect(await seen("phone")).toEqual({ reached: "not confirmed", last: null, asked: false });
    expect(await note({}, "no answer")).toBe("ok");
    expect((await seen("phone"))?.reached).toBe("not confirmed");
    world.later(DAY);
    expect(await note({}, "dead", "It rings, and a voice says that there is no such number.")).toBe("ok");
    expect(await seen("phone")).toEqual({ reached: "fails", last: "dead", asked: false });
    expect(await mails()).toEqual([["contact-failed", "Phone, with country code"]]);
    world.later(DAY);
    expect(await confirm({})).toBe("ok");
    expect(await seen("phone")).toEqual({ reached: "holds", last: "confirmed", asked: false });
    const notes = (await readView(world.runtime, fileView, officer, { number }))?.contactNotes;
    expect(notes?.map((n) => [n.kind, n.by])).toEqual([
      ["no answer", "Runa Okonjo"],
      ["dead", "Runa Okonjo"],
      ["confirmed", null],
    ]);
  });

  it("are asked whether an address holds, not twice a day, and a new address starts anew", async () => {
    expect(await ask(ADDRESS)).toBe("ok");
    expect(await ask(ADDRESS)).toBe("already-done");
    expect(await seen("street")).toEqual({ reached: "not confirmed", last: null, asked: true });
    world.later(DAY);
    expect(await ask(ADDRESS)).toBe("ok");
    expect((await mails()).map(([template]) => template)).toEqual(["contact-asked", "contact-asked"]);
    world.later(DAY);
    expect(await confirm(ADDRESS)).toBe("ok");
    expect(await seen("street")).toEqual({ reached: "holds", last: "confirmed", asked: false });
    await world.runtime.pool.query(
      "update answer set version = version + 1 where application_id = $1 and section = 'contact' and field = 'town'",
      [file.applicationId],
    );
    expect((await seen("street"))?.reached).toBe("not confirmed");
  });

  it("take no note of what is no number, no address, or of another kind", async () => {
    expect(await note(ADDRESS, "dead")).toBe("not-found");
    expect(await note({}, "returned")).toBe("not-found");
    expect(await note({ section: "person", field: "familyName" }, "talked")).toBe("not-found");
    expect(await note({ scope: file.choiceId }, "talked")).toBe("not-found");
    expect(await ask({ field: "nothing" })).toBe("not-found");
    expect(await confirm({ section: "elsewhere" })).toBe("not-found");
  });

  it("stand in the list for calls with the numbers that do not work", async () => {
    const lines = async () => await readView(world.runtime, turnContacts, officer, {});
    const own = async () => (await lines())?.find((l) => l.number === number)?.phone_dead;
    const before = (await lines())?.length;
    expect(await own()).toBe(false);
    await note({}, "dead");
    expect(await own()).toBe(true);
    world.later(DAY);
    await note({}, "talked");
    expect(await own()).toBe(false);
    expect((await lines())?.length).toBe(before);
  });

  it("stand in the list for letters by what is known of the address", async () => {
    const listed = async (kind: "all" | "not confirmed" | "fails" | "holds", actor = officer) =>
      (await readView(world.runtime, post, actor, { kind }))?.rows.filter((r) => r.number === number);
    expect(await listed("not confirmed")).toMatchObject([
      { section: "contact", field: "street", reached: "not confirmed" },
    ]);
    expect(await listed("all", elsewhere)).toEqual([]);
    await note(ADDRESS, "returned", "Unknown at this address");
    expect(await listed("fails")).toMatchObject([{ reached: "fails", askedAt: null }]);
    expect(await listed("not confirmed")).toEqual([]);
    world.later(DAY);
    await ask(ADDRESS);
    expect((await listed("fails"))?.[0]?.askedAt).toEqual(world.runtime.now());
    world.later(DAY);
    await confirm(ADDRESS);
    expect(await listed("holds")).toMatchObject([{ reached: "holds", since: world.runtime.now(), askedAt: null }]);
    expect(await readView(world.runtime, postTable, officer, { kind: "fails" })).toEqual([]);
  });

  it("get letters at the address that the rulebook marks, and where it is the same as another, there", async () => {
    const applicant = await anybody(world, "Doctor");
    const begun = await must(world, startApplication, applicant, { roundId: rounds["PCS 1"] ?? "" });
    const { applicationId } = begun;
    await fillAny(world.runtime, applicant, applicationId, someone("Ana", "Vale"), {}, {});
    await world.runtime.pool.query("update choice set submitted_at = $2 where application_id = $1", [
      applicationId,
      world.runtime.now(),
    ]);
    await world.runtime.pool.query("update file_standing set stage = 'submitted' where application_id = $1", [
      applicationId,
    ]);
    const own = async () =>
      (await readView(world.runtime, post, officer, {}))?.rows.find((r) => r.number === begun.number);
    const { loaded } = await lookAt(world, applicationId);
    const part = (field: string) =>
      loaded.facts.answers.find((a) => a.section === "contact" && a.field === field)?.value;
    const contact = { street: part("street"), town: part("town"), country: part("country") };
    expect(contact.street).toBeTruthy();
    expect(await own()).toMatchObject({ section: "letters", purpose: { en: "Where letters go" } });
    const give = (value: object) =>
      world.runtime.pool.query(
        "update answer set value = $2 where application_id = $1 and section = 'letters' and field = 'address'",
        [applicationId, JSON.stringify(value)],
      );
    await give({ same: true });
    expect(await own()).toMatchObject({ section: "letters", address: contact });
    const quay = { street: "3 Quay", town: "Merrow", country: "IE" };
    await give(quay);
    expect(await own()).toMatchObject({ section: "letters", address: quay });
    await world.runtime.pool.query("delete from answer where application_id = $1 and section = 'letters'", [
      applicationId,
    ]);
    expect(await own()).toMatchObject({ section: "contact", address: contact });
  });

  it("of a draft change their address in the form, and stand in no list", async () => {
    const applicant = await anybody(world, "Drafter");
    const begun = await must(world, startApplication, applicant, { roundId });
    const { applicationId } = begun;
    await must(world, saveAnswers, applicant, { applicationId, changes: [{ ...ADDRESS, value: "1 Quay", seen: 0 }] });
    expect((await readView(world.runtime, post, officer, {}))?.rows.some((r) => r.number === begun.number)).toBe(false);
  });
});
