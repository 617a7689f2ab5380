import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { changeChoice } from "../../src/acts/application/change-choices";
import { startApplication } from "../../src/acts/application/start-application";
import { saveAnswers } from "../../src/acts/form/save-answers";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { courses, someone } from "../../src/demo/people";
import { landingHref } from "../../src/ui/application/addresses";
import { eventSentence } from "../../src/ui/application/event-sentence";
import { withdrawalFees } from "../../src/ui/application/withdrawal";
import type { MyApplication } from "../../src/views/application/application-data";
import { formCopy } from "../../src/views/application/form-copy";
import { myApplication } from "../../src/views/application/my-application";
import { readView } from "../../src/views/view/view";
import { anybody, begunFile, filledFile, lookAt, submittedFile } from "../support/files";
import { must, openWorld, type World } from "../support/world";

/** What the applicant's pages say, worked out from a real application. */
describe("the applicant's pages", () => {
  let world: World;
  let roundId: string;
  let rounds: Readonly<Record<string, string>>;
  beforeAll(async () => {
    world = await openWorld("applicant_pages");
    ({ roundId, rounds } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());

  async function shown(actor: Actor, applicationId: string): Promise<MyApplication> {
    const { loaded } = await lookAt(world, applicationId);
    const application = await readView(world.runtime, myApplication, actor, {
      number: loaded.facts.application.number,
    });
    if (!application) throw new Error("nobody's application");
    return application;
  }

  describe("the copy of all answers", () => {
    let application: MyApplication;
    beforeAll(async () => {
      const file = await submittedFile(world, roundId, "Copied");
      application = await shown(file.applicant, file.applicationId);
    });

    it("has the form's order, lists as tables, and no section that does not apply", () => {
      const copy = formCopy(application, "Copied Person", "en");
      const titles = copy.parts.flatMap((p) => p.sections.map((s) => s.title));
      expect(titles.slice(0, 5)).toEqual([
        "You",
        "How to reach you",
        "Citizenship and residence",
        "Your degree",
        "Courses",
      ]);
      const courses = copy.parts[0]?.sections.find((s) => s.title === "Courses");
      const typed = application.sections.find((s) => s.core === "courses")?.entries.length;
      expect([courses?.table?.rows.length, courses?.entries]).toEqual([typed, []]);
      expect(courses?.table?.heads).toContain("Credits");
    });

    it("says whose it is and since when, in the reader's language", () => {
      expect(formCopy(application, "Copied Person", "en").under).toMatch(
        /^No\. \d\d-\d{5} · Copied Person · submitted on/u,
      );
      const french = formCopy(application, "Copied Person", "fr");
      expect(french.under).toMatch(/déposé le/u);
      expect(french.title).toBe("MSc Sciences de l’estuaire");
    });

    it("names every document with its file, every reference with where it stands", () => {
      const { annexes } = formCopy(application, "Copied Person", "en");
      const lines = Object.fromEntries(annexes.map((a) => [a.title, a.lines]));
      expect(lines.Documents?.flatMap((l) => l.words)).toEqual(
        expect.arrayContaining(["passport.pdf", "transcript.pdf", "english.pdf"]),
      );
      expect(lines.References?.map((l) => l.what)).toEqual(["Academic reference"]);
      expect(lines.Fees).toBeUndefined();
    });

    it("tells a list with nothing in it from one that nobody has answered", async () => {
      const { owner, applicationId } = await begunFile(world, roundId);
      const empty = async (say: "en" | "fr") => {
        const copy = formCopy(await shown(owner, applicationId), "Somebody", say);
        return copy.parts.flatMap((p) => p.sections).find((s) => s.key === "file-courses")?.empty;
      };
      expect([await empty("en"), await empty("fr")]).toEqual(["Not answered", "Pas de réponse"]);
      const whole = { scope: "file", section: "courses", entry: "", field: "complete", value: true, seen: 0 };
      await must(world, saveAnswers, owner, { applicationId, changes: [whole] });
      expect(await empty("en")).toBe("There is none");
    });

    it("keeps what belongs to a choice under its programme", async () => {
      const { owner, applicationId } = await begunFile(world, rounds["BHT 1"] ?? "");
      const copy = formCopy(await shown(owner, applicationId), "Somebody", "en");
      expect(copy.parts.map((p) => p.title)).toEqual([null, "BEng Harbour and Tidal Engineering"]);
      expect(copy.under).toContain("not yet submitted");
    });
  });

  it("the history names the document and what became of a payment", async () => {
    const file = await submittedFile(world, roundId, "Historian");
    const application = await shown(file.applicant, file.applicationId);
    const said = application.events.map((event) => eventSentence(application, event, "en"));
    expect(said).toContain("You supplied a document: Passport or identity card");
    expect(said).toContain("You supplied a document: Transcript of records · BSc Coastal Science");
    const at = (act: string, result: string | null = null) =>
      eventSentence(application, { act, at: "", requirement: null, scope: null, entry: null, result }, "en");
    expect(["declined", "booked", "another"].map((result) => at("record-payment", result))).toEqual([
      "Your card was declined: nothing was paid",
      "Your payment arrived",
      "Your payment was answered",
    ]);
  });

  describe("where somebody who comes back goes on", () => {
    it("is the first field that is missing", async () => {
      const { owner, applicationId } = await begunFile(world, roundId);
      const { number, assessment } = await shown(owner, applicationId);
      expect(landingHref(number, assessment)).toBe(`/my/${number}/person#person--givenNames`);
      const change = { scope: "file", section: "person", entry: "", field: "givenNames", value: "Ana", seen: 0 };
      await must(world, saveAnswers, owner, { applicationId, changes: [change] });
      const next = await shown(owner, applicationId);
      expect(landingHref(number, next.assessment)).toBe(`/my/${number}/person#person--familyName`);
    });

    it("is the documents once the form is full, and the overview once it was sent", async () => {
      const draft = await filledFile(world, roundId);
      const { number, assessment } = await shown(draft.owner, draft.applicationId);
      expect(landingHref(number, assessment)).toBe(`/my/${number}/documents#passport-`);
      const sent = await submittedFile(world, roundId, "Landed");
      const after = await shown(sent.applicant, sent.applicationId);
      expect(landingHref(after.number, after.assessment)).toBe(`/my/${after.number}`);
    });
  });

  it("the group is said with what decides it", async () => {
    const file = await filledFile(world, roundId);
    const { groupTitle, groupBecause } = await shown(file.owner, file.applicationId);
    expect([groupTitle?.en, groupBecause.map((b) => [b.field.title.en, b.value])]).toEqual([
      "overseas group",
      [
        ["Citizenships", ["SR"]],
        ["Country in which you live", "SR"],
      ],
    ]);
    const begun = await begunFile(world, roundId);
    expect((await shown(begun.owner, begun.applicationId)).groupBecause).toEqual([]);
  });

  it("what a track asks for in addition appears with it, and is not lost when it goes", async () => {
    const { owner, applicationId } = await begunFile(world, rounds["MTE 1"] ?? "");
    const choice = (await shown(owner, applicationId)).choices[0];
    if (!choice) throw new Error("no choice");
    const applies = async () =>
      (await shown(owner, applicationId)).sections.find((s) => s.key === "experience")?.applies ?? false;
    expect(await applies()).toBe(false);
    await must(world, changeChoice, owner, { applicationId, choiceId: choice.id, track: "one-year" });
    expect(await applies()).toBe(true);
    const entry = "7a0d4c6e-3f53-4b69-9f0c-1f6e6b1f0a01";
    const change = { scope: "file", section: "experience", entry, field: "employer", value: "Quay", seen: 0 };
    await must(world, saveAnswers, owner, { applicationId, changes: [change] });
    const other = choice.offered.tracks.find((t) => t.key !== "one-year")?.key ?? "";
    await must(world, changeChoice, owner, { applicationId, choiceId: choice.id, track: other });
    const asleep = (await lookAt(world, applicationId)).loaded;
    expect([asleep.facts.answers.some((a) => a.entry === entry), asleep.asleep.map((a) => a.value)]).toEqual([
      false,
      ["Quay"],
    ]);
    await must(world, changeChoice, owner, { applicationId, choiceId: choice.id, track: "one-year" });
    expect((await lookAt(world, applicationId)).loaded.facts.answers.some((a) => a.entry === entry)).toBe(true);
  });

  describe("what a withdrawal means for the fees, in words", () => {
    const charge = (paidMinor: number, whenWithdrawn: "kept" | "returned", minor = 6000, scope = "file") => ({
      id: "c",
      scope,
      item: "fee",
      minor,
      paidMinor,
      currency: "EUR",
      reference: "UV",
      last: null,
      whenWithdrawn,
    });
    it.each([
      ["paid and kept", [charge(6000, "kept")], "The 60.00 EUR that you paid is not given back."],
      ["paid and returned", [charge(6000, "returned")], "The 60.00 EUR that you paid comes back to you."],
      ["not paid", [charge(0, "kept")], "What is not yet paid is no longer owed."],
      ["of another choice", [charge(6000, "kept", 6000, "elsewhere")], ""],
      ["nothing", [], ""],
    ] as const)("%s", (_, charges, words) => expect(withdrawalFees("en", { charges }, ["file"])).toBe(words));
  });

  it("a second choice is added to the same application, and its sections come after those that both ask for", async () => {
    const { owner, applicationId } = await begunFile(world, roundId);
    await must(world, startApplication, owner, { roundId: rounds["MTE 1"] ?? "" });
    const { sections, choices } = await shown(owner, applicationId);
    expect(choices.map((c) => c.code)).toEqual(["MES", "MTE"]);
    const keys = sections.map((s) => s.key);
    expect(new Set(keys).size).toBe(keys.length);
    expect(keys.indexOf("person")).toBeLessThan(keys.indexOf("helper"));
    expect(keys.at(-1)).toBe("declaration");
  });

  it.each([
    ["MES 1", ["het", "kle"]],
    ["BHT 1", ["het", "kle", "tng"]],
    ["MMH 1", ["het", "kle"]],
  ])("offer in %s the tests that count there", async (round, expected) => {
    const owner = await anybody(world, "Applicant");
    const { applicationId } = await must(world, startApplication, owner, { roundId: rounds[round] ?? "" });
    const field = (await shown(owner, applicationId)).sections
      .find((s) => s.core === "tests")
      ?.fields.find((f) => f.kind === "test");
    expect(field?.options?.map((o) => o.value)).toEqual(expected);
  });

  it("say at once what a document would not show, from what was stated, until it was supplied for good", async () => {
    const fails = async (who: Parameters<typeof someone>[2]) => {
      const { owner, applicationId } = await filledFile(world, roundId, someone("Ana", "Vale", who));
      const { documents } = await shown(owner, applicationId);
      return documents.filter((d) => d.fails.length > 0).map((d) => `${d.requirement}: ${d.fails[0]?.en}`);
    };
    expect(await fails({})).toEqual([]);
    expect(await fails({ passportExpiry: "2027-10-01" })).toEqual([
      "passport: valid at least three months after the start",
    ]);
    expect(await fails({ courses: courses(["16"]).slice(0, 4) })).toEqual([
      "transcript: covers at least one full year",
    ]);
  });
});
