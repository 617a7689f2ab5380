import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { arrangeChoices, changeChoice, moveChoice } from "../../src/acts/application/change-choices";
import { startApplication } from "../../src/acts/application/start-application";
import { submitApplication } from "../../src/acts/application/submit-application";
import { giveUndertaking } from "../../src/acts/application/undertaking";
import { withdraw } from "../../src/acts/application/withdraw";
import { overrideFinding } from "../../src/acts/assessment/override-finding";
import { saveAnswers } from "../../src/acts/form/save-answers";
import { publishRulebook } from "../../src/acts/rulebook/rulebooks";
import type { Mode } from "../../src/core/file/mode";
import type { Actor } from "../../src/core/rights/actor";
import { type LoadedCatalogue, loadCatalogue } from "../../src/demo/catalogue";
import { fillAny } from "../../src/demo/filling";
import { someone } from "../../src/demo/people";
import { pcs } from "../../src/demo/rulebooks/pcs";
import { applyOffer } from "../../src/views/application/apply-offer";
import { closedToMe } from "../../src/views/application/closed-to-me";
import { myApplication } from "../../src/views/application/my-application";
import { myApplications } from "../../src/views/application/my-applications";
import { file as fileView } from "../../src/views/assessment/file";
import { selfCheck } from "../../src/views/form/self-check";
import { readView } from "../../src/views/view/view";
import { anybody, filledFile, lookAt, readyFile, submittedFile } from "../support/files";
import { DAY, makePerson, must, openWorld, reasonOf, SYSTEM, VISITOR, type World } from "../support/world";

/** Choices of one application: their rules, their order, their options, and the form that they share. */
describe("choices", () => {
  let world: World;
  let catalogue: LoadedCatalogue;
  const round = (name: string): string => catalogue.rounds[name] ?? "";

  beforeAll(async () => {
    world = await openWorld("choices");
    catalogue = await loadCatalogue(world.runtime, "2026-11-25");
  });
  afterAll(() => world.close());

  const begin = (person: Actor, name: string, options: { campus?: string; track?: string } = {}) =>
    runAct(world.runtime, startApplication, person, { roundId: round(name), ...options });
  const fileWith = async (...names: readonly string[]) => {
    const person = await anybody(world, "Chooser");
    let applicationId = "";
    let number = "";
    for (const name of names) {
      const outcome = await begin(person, name);
      if (!outcome.ok) throw new Error(outcome.reason);
      ({ applicationId, number } = outcome.value);
    }
    return { person, applicationId, number };
  };

  it("of one procedure share an application, those of another have one of their own", async () => {
    const person = await anybody(world, "Many");
    const numbers: string[] = [];
    for (const name of ["MES 1", "MTE 1", "PCS 1", "FYC rolling"]) {
      const outcome = await begin(person, name);
      if (outcome.ok) numbers.push(outcome.value.number);
    }
    expect(numbers.map((n) => numbers.indexOf(n))).toEqual([0, 0, 2, 3]);
  });

  it("stop at the procedure's limit, and are free again once one is withdrawn", async () => {
    const { person, applicationId } = await fileWith("MES 1", "MTE 1", "MMH 1", "BHT 1");
    const offer = await readView(world.runtime, applyOffer, person, { roundId: round("BMR 2") });
    expect(offer).toMatchObject({
      existing: { programmes: ["MES", "MTE", "MMH", "BHT"] },
      refusal: { code: "too-many", most: 4 },
    });
    world.at("2027-01-02T09:00:00Z"); // BMR 2 is open
    expect(await reasonOf(begin(person, "BMR 2"))).toBe("choice-rule");
    const choiceId = (await lookAt(world, applicationId)).result.choices.find((c) => c.programme === "BHT")?.id ?? "";
    await must(world, withdraw, person, { applicationId, choiceId });
    expect(await reasonOf(begin(person, "BMR 2"))).toBe("ok");
    world.at("2026-11-25T09:00:00Z");
  });

  it("have options, the first preset, and none that is not offered", async () => {
    const person = await anybody(world, "Options");
    expect(await reasonOf(begin(person, "MTE 1", { campus: "tarbrook" }))).toBe("not-offered");
    const outcome = await begin(person, "MTE 1", { campus: "vell", track: "one-year" });
    const applicationId = outcome.ok ? outcome.value.applicationId : "";
    const choice = (await lookAt(world, applicationId)).loaded.facts.choices[0];
    expect(choice).toMatchObject({ campus: "vell", mode: "full time", track: "one-year" });
    const choiceId = choice?.id ?? "";
    const keys = async () =>
      (await lookAt(world, applicationId)).result.requirements
        .filter((r) => r.standing !== "not needed")
        .map((r) => r.key);
    expect(await keys()).toContain("practice");
    await must(world, changeChoice, person, { applicationId, choiceId, track: "two-year" });
    expect(await keys()).not.toContain("practice");
    expect(
      await runAct(world.runtime, changeChoice, person, { applicationId, choiceId, mode: "part time" }),
    ).toMatchObject({
      reason: "not-offered",
    });
  });

  it("of a programme that is taught in several languages are of one, which decides what is asked for", async () => {
    const { person, applicationId } = await fileWith("MMH 1");
    const [own] = (await lookAt(world, applicationId)).loaded.facts.choices;
    const choiceId = own?.id ?? "";
    const english = async () =>
      (await lookAt(world, applicationId)).result.requirements.find((r) => r.key === "english")?.standing;
    expect([own?.language, await english()]).toEqual(["en", "missing"]);
    const to = (language: string) =>
      reasonOf(runAct(world.runtime, changeChoice, person, { applicationId, choiceId, language }));
    expect(await to("de")).toBe("not-offered");
    expect([await to("fr"), await english()]).toEqual(["ok", "not needed"]);
    const found = (await lookAt(world, applicationId)).result.choices[0]?.findings.find((f) => f.key === "english");
    expect(found?.finding).toBe("met");
    const { person: french, applicationId: begun } = await fileWith();
    expect(begun).toBe("");
    const { choiceId: inFrench, applicationId: other } = await must(world, startApplication, french, {
      roundId: round("MMH 1"),
      language: "fr",
    });
    expect((await lookAt(world, other)).loaded.facts.choices).toMatchObject([{ id: inFrench, language: "fr" }]);
  });

  it("take several tracks in the order of preference, where the programme asks for one", async () => {
    const { person, applicationId } = await fileWith("MTE 1", "MES 1");
    const [ranked, plain] = (await lookAt(world, applicationId)).loaded.facts.choices;
    const rank = (choiceId: string | undefined, ...tracks: string[]) =>
      reasonOf(runAct(world.runtime, changeChoice, person, { applicationId, choiceId: choiceId ?? "", tracks }));
    const now = async () => {
      const [own] = (await lookAt(world, applicationId)).loaded.facts.choices;
      return [own?.track, own?.otherTracks];
    };
    expect(await now()).toEqual(["two-year", []]);
    expect(await rank(ranked?.id, "one-year", "two-year")).toBe("ok");
    expect(await now()).toEqual(["one-year", ["two-year"]]);
    expect(await rank(ranked?.id, "one-year", "one-year")).toBe("not-offered");
    expect(await rank(ranked?.id, "three-year")).toBe("not-offered");
    expect(await rank(ranked?.id)).toBe("invalid-input");
    expect(await rank(plain?.id, "one-year")).toBe("not-offered");
    const shown = (
      await readView(world.runtime, myApplication, person, {
        number: (await lookAt(world, applicationId)).loaded.facts.application.number,
      })
    )?.choices[0];
    expect(shown).toMatchObject({ tracksRanked: true, track: "one-year", otherTracks: ["two-year"] });
    // The office puts it on the second: it is no longer a further one.
    await world.runtime.pool.query("update choice set submitted_at = $2 where id = $1", [
      ranked?.id,
      world.runtime.now(),
    ]);
    const officer = await makePerson(world, "Placer", ["officer"]);
    await must(world, moveChoice, officer, {
      applicationId,
      choiceId: ranked?.id ?? "",
      campus: ranked?.campus ?? null,
      mode: ranked?.mode ?? null,
      track: "two-year",
      reason: "There is no place left on the other.",
    });
    expect(await now()).toEqual(["two-year", []]);
  });

  it("are arranged by the applicant, whole, until something is decided", async () => {
    const { person, applicationId } = await fileWith("MES 1", "MTE 1", "MMH 1");
    const ids = (await lookAt(world, applicationId)).result.choices.map((c) => c.id);
    const [a = "", b = "", c = ""] = ids;
    await must(world, arrangeChoices, person, { applicationId, order: [c, a, b] });
    expect((await lookAt(world, applicationId)).result.choices.map((x) => [x.programme, x.rank])).toEqual([
      ["MMH", 1],
      ["MES", 2],
      ["MTE", 3],
    ]);
    expect(await runAct(world.runtime, arrangeChoices, person, { applicationId, order: [a, b] })).toMatchObject({
      reason: "changed-meanwhile",
    });
  });

  it("ask for the promise of the order before one of several is submitted, and again for another order", async () => {
    const file = await readyFile(world, round("MES 1"), "Promiser");
    const { applicant, applicationId, choiceId } = file;
    await must(world, startApplication, applicant, { roundId: round("MTE 1") });
    const told = { scope: "file", section: "emergency", entry: "", seen: 0 };
    await must(world, saveAnswers, applicant, {
      applicationId,
      changes: [
        { ...told, field: "name", value: "Lotte Maarteen" },
        { ...told, field: "phone", value: "+353 1 555 0100" },
        { ...told, section: "unfinished", field: "complete", value: true },
        { ...told, section: "graduate", field: "of", value: "none" },
      ],
    });
    const submit = () =>
      reasonOf(runAct(world.runtime, submitApplication, applicant, { applicationId, choiceIds: [choiceId] }));
    const { number } = (await lookAt(world, applicationId)).loaded.facts.application;
    const promise = async () => (await readView(world.runtime, myApplication, applicant, { number }))?.undertaking;
    const order = async () => (await lookAt(world, applicationId)).result.choices.map((c) => c.id);
    const give = async (ids: readonly string[]) =>
      reasonOf(runAct(world.runtime, giveUndertaking, applicant, { applicationId, order: [...ids], locale: "fr" }));
    expect([await submit(), await promise()]).toMatchObject(["undertaking-missing", { givenAt: null }]);
    const first = await order();
    expect(await give([...first].reverse())).toBe("changed-meanwhile");
    expect([await give(first), await give(first)]).toEqual(["ok", "already-done"]);
    expect((await promise())?.givenAt).not.toBeNull();
    world.later(DAY / 24);
    await must(world, arrangeChoices, applicant, { applicationId, order: [...first].reverse() });
    expect([await submit(), (await promise())?.givenAt]).toEqual(["undertaking-missing", null]);
    expect(await give(await order())).toBe("ok");
    expect(await submit()).toBe("ok");
    const officer = await makePerson(world, "Reader", ["officer"]);
    const data = await readView(world.runtime, fileView, officer, { number });
    expect(data?.undertaking).toMatchObject({ choices: [{ code: "MTE" }, { code: "MES" }] });
    expect(data?.undertaking?.text).toMatch(/^Si plusieurs places/);
  });

  it("of one procedure without a promise ask for none", async () => {
    const { person, applicationId } = await fileWith("PCS 1");
    const order = (await lookAt(world, applicationId)).result.choices.map((c) => c.id);
    expect(await reasonOf(runAct(world.runtime, giveUndertaking, person, { applicationId, order, locale: "en" }))).toBe(
      "not-found",
    );
  });

  it("are closed to whom the rulebook bars, from what they wrote, unless a lead officer makes an exception", async () => {
    const { owner, applicationId } = await filledFile(world, round("PCS 1"));
    const lead = await makePerson(world, "Lead", ["lead officer"]);
    const { loaded, result } = await lookAt(world, applicationId);
    const choiceId = result.choices[0]?.id ?? "";
    const submit = () =>
      reasonOf(runAct(world.runtime, submitApplication, owner, { applicationId, choiceIds: [choiceId] }));
    const told = async () => {
      const page = await readView(world.runtime, myApplication, owner, { number: loaded.facts.application.number });
      return page?.assessment.choices[0]?.findings.map((f) => f.key);
    };
    expect([await submit(), await told()]).toEqual(["not-open-to-you", ["master"]]);
    const excepting = (rule: string) =>
      reasonOf(
        runAct(world.runtime, overrideFinding, lead, {
          applicationId,
          choiceId,
          rule,
          finding: "met",
          reason: "Twelve years of research at sea.",
        }),
      );
    expect(await excepting("grade")).toBe("not-complete"); // nothing else is settled before submission
    expect(await excepting("master")).toBe("ok");
    expect([await submit(), await told()]).toEqual(["not-complete", []]);
  });

  it("are known to be closed before one is made, from the degree that was told in another application", async () => {
    const closed = async (person: Actor) =>
      (await readView(world.runtime, closedToMe, person, {}))?.map((c) => [c.code, c.rules.map((r) => r.en)]);
    const bachelor = await submittedFile(world, round("MES 1"), "Bachelor");
    expect(await closed(bachelor.applicant)).toEqual([["PCS", [expect.stringMatching(/master/i)]]]);
    const master = await submittedFile(world, round("MES 1"), "Master", { "education.level": "7" });
    expect(await closed(master.applicant)).toEqual([]);
    expect(await closed(await makePerson(world, "Newcomer"))).toEqual([]);
    // Whoever has chosen it reads it there.
    const { owner } = await filledFile(world, round("PCS 1"));
    expect(await closed(owner)).toEqual([]);
  });

  it("that are barred by what was carried over are not opened at all", async () => {
    const { applicant } = await submittedFile(world, round("MES 1"), "Barred");
    const [planned] = (
      await world.runtime.pool.query<{ id: string }>("select intake_id as id from round where id = $1", [
        round("PCS 1"),
      ])
    ).rows;
    const gate = {
      key: "nearby",
      title: { en: "Lives in the Netherlands", fr: "Vit aux Pays-Bas" },
      rule: { op: "fact", fact: "citizenship.residence", is: "equals" as const, value: "NL" },
      curable: null,
      gate: true,
    };
    await must(world, publishRulebook, SYSTEM, {
      intakeId: planned?.id ?? "",
      body: { ...pcs, entryRules: [...pcs.entryRules, gate] },
    });
    expect(await reasonOf(begin(applicant, "PCS 1"))).toBe("not-open-to-you");
    const mine = await readView(world.runtime, myApplications, applicant, {});
    expect(mine).toHaveLength(1);
    expect(await reasonOf(begin(await anybody(world, "Free"), "PCS 1"))).toBe("ok"); // nothing is known of them yet
  });

  it("after submission can still be arranged but not changed", async () => {
    const { applicant, applicationId, choiceId } = await submittedFile(world, round("MES 1"), "Sender");
    expect(
      await runAct(world.runtime, changeChoice, applicant, { applicationId, choiceId, campus: "merrow" }),
    ).toMatchObject({
      reason: "locked",
    });
    await must(world, arrangeChoices, applicant, { applicationId, order: [choiceId] });
  });

  it("share one form: a section of the file once, a statement once for each choice", async () => {
    const { person, applicationId, number } = await fileWith("MMH 1", "MES 1", "GBC 1").catch(() =>
      fileWith("MMH 1", "MES 1"),
    );
    const page = await readView(world.runtime, myApplication, person, { number });
    const keys = page?.sections.map((s) => s.key) ?? [];
    expect(keys.filter((k) => k === "education")).toHaveLength(1);
    const statement = page?.sections.find((s) => s.key === "statement");
    expect(statement).toMatchObject({ programme: "MMH", entries: [{ shown: ["text"] }] });
    // What only one of them asks for stands where its own rulebook has it: before the declaration that both share.
    expect(keys.indexOf("statement")).toBeLessThan(keys.indexOf("declaration"));
    const saved = await must(world, saveAnswers, person, {
      applicationId,
      changes: [
        { scope: statement?.scope ?? "", section: "statement", entry: "", field: "text", value: "Too short.", seen: 0 },
      ],
    });
    expect(saved.results[0]).toMatchObject({ state: "saved", issue: { code: "too-few-words", least: 400, now: 2 } });
  });

  it("can be checked before applying, with the same findings and reasons, and nothing is kept", async () => {
    const check = async (answers: readonly (readonly [string, string, string, string | Record<string, string>])[]) => {
      const data = await readView(world.runtime, selfCheck, VISITOR, {
        code: "BHT",
        answers: answers.map(([section, entry, field, value]) => ({ section, entry, field, value })),
      });
      return [data?.eligibility, ...(data?.findings.map((f) => `${f.key} ${f.finding}`) ?? [])];
    };
    const school = [
      ["sittings", "e", "board", "northern"],
      ["schools", "s", "years", "12"],
      ["schools", "s", "language", "en"],
    ] as const;
    const marks = (mathematics: string, physics: string) =>
      [
        ["subjects", "m", "subject", "mathematics"],
        ["subjects", "m", "mark", mathematics],
        ["subjects", "p", "subject", "physics"],
        ["subjects", "p", "mark", physics],
      ] as const;
    const numeracy = (G: string) =>
      [
        ["tests", "n", "test", "tng"],
        ["tests", "n", "status", "result"],
        ["tests", "n", "date", "2026-10-01"],
        ["tests", "n", "scores", { N: "60", G }],
      ] as const;
    expect(await check([])).toEqual([
      "open",
      "entryRight open",
      "schooling open",
      "numeracy open",
      "mathematics open",
      "physics open",
      "english open",
    ]);
    expect(await check([...school, ...numeracy("45"), ...marks("65", "60")])).toEqual([
      "eligible",
      "entryRight met",
      "schooling met",
      "numeracy met",
      "mathematics met",
      "physics met",
      "english met",
    ]);
    expect((await check([...school, ...numeracy("45"), ...marks("64", "60")]))[0]).toBe("not eligible");
    expect(await check([...school, ...numeracy("44"), ...marks("65", "60")])).toContain("numeracy not met");
    const { rows } = await world.runtime.pool.query("select 1 from answer where section = 'subjects'");
    expect(rows).toEqual([]);
  });

  it("in part time are held against what a visa allows", async () => {
    const finding = async (citizenships: readonly string[], mode: Mode, permit: boolean) => {
      const { person, applicationId } = await fileWith("MMH 1");
      const who = someone("Ana", "Vale", { citizenships, residence: "BR", country: "BR" });
      const told = { "visa.holds": permit, ...(permit ? { "visa.kind": "Student permit until 2029" } : {}) };
      await fillAny(world.runtime, person, applicationId, who, told, {});
      const choiceId = (await lookAt(world, applicationId)).result.choices[0]?.id ?? "";
      await must(world, changeChoice, person, { applicationId, choiceId, mode });
      const { findings } = (await lookAt(world, applicationId)).result.choices[0] ?? { findings: [] };
      return findings.find((f) => f.key === "modeAndVisa")?.finding;
    };
    expect(await finding(["BR"], "part time", false)).toBe("not met");
    expect(await finding(["BR"], "full time", false)).toBe("met");
    expect(await finding(["BR"], "part time", true)).toBe("met");
    expect(await finding(["BR", "IE"], "part time", false)).toBe("met");
  });

  it("are put on another track by the office, with a reason, until a decision is prepared", async () => {
    const { applicationId, applicant, choiceId } = await submittedFile(world, round("MES 1"), "Mover");
    const officer = await makePerson(world, "Officer", ["officer"]);
    const move = (options: { campus?: string | null; mode?: Mode | null; track?: string | null }) =>
      runAct(world.runtime, moveChoice, officer, {
        applicationId,
        choiceId,
        campus: "merrow",
        mode: "full time",
        track: null,
        reason: "As you asked by telephone.",
        ...options,
      });
    const now = (await lookAt(world, applicationId)).loaded.facts.choices[0];
    const as = { campus: now?.campus ?? null, mode: now?.mode ?? null, track: now?.track ?? null };
    expect(await move(as)).toMatchObject({ reason: "already-done" });
    expect(await move({ ...as, campus: "tarbrook" })).toMatchObject({ reason: "not-offered" });
    expect(await move({ ...as, track: "one-year" })).toMatchObject({ reason: "not-offered" });
    await world.runtime.pool.query("update programme set modes = '[\"full time\", \"part time\"]' where code = 'MES'");
    world.later(1000);
    expect(await move({ ...as, mode: "part time" })).toMatchObject({ ok: true });
    expect((await lookAt(world, applicationId)).loaded.facts.choices[0]?.mode).toBe("part time");
    const { rows } = await world.runtime.pool.query<{ template: string; text: string }>(
      "select template, values->>'text' as text from message where application_id = $1 order by queued_at desc limit 1",
      [applicationId],
    );
    expect(rows).toEqual([{ template: "choice-moved", text: "As you asked by telephone." }]);
    const other = await fileWith("MES 1");
    const draftChoice = (await lookAt(world, other.applicationId)).result.choices[0]?.id ?? "";
    expect(
      await runAct(world.runtime, moveChoice, officer, {
        applicationId: other.applicationId,
        choiceId: draftChoice,
        ...as,
        mode: "part time",
        reason: "x",
      }),
    ).toMatchObject({ reason: "locked" });
    expect(
      await runAct(world.runtime, moveChoice, applicant, { applicationId, choiceId, ...as, reason: "x" }),
    ).toMatchObject({ reason: "not-yours" });
  });
});
