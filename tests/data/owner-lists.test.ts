import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { submitApplication } from "../../src/acts/application/submit-application";
import { saveAnswers } from "../../src/acts/form/save-answers";
import { settleOwnerResult, takeOwnerList } from "../../src/acts/results/owner-lists";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { runJob } from "../../src/jobs/handlers";
import { trayMail } from "../../src/outside/mail";
import { file as fileView } from "../../src/views/assessment/file";
import { ownerListLook, ownerLists } from "../../src/views/results/owner-lists";
import { readView } from "../../src/views/view/view";
import { lookAt, readyFile, type TestFile } from "../support/files";
import { makePerson, must, NO_REGISTRY, openWorld, reasonOf, type World } from "../support/world";

const HEADS = "number,name,birth date,date,L,R,W,S";

/** Results by the list of a test's owner: found by their number, confirmed, or looked at by a person. */
describe("lists of results from the owner of a test", () => {
  let world: World;
  let roundId: string;
  let officer: Actor;
  let elsewhere: Actor;

  beforeAll(async () => {
    world = await openWorld("owner_lists");
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
    officer = await makePerson(world, "Runa Okonjo", ["officer", "standards keeper"]);
    elsewhere = await makePerson(world, "Elsewhere Officer", ["officer", "standards keeper"], "FYC");
  });
  afterAll(() => world.close());

  const context = () => ({
    runtime: world.runtime,
    mail: trayMail(async () => undefined),
    registry: NO_REGISTRY,
    workshop: IN_PLACE,
    baseUrl: "http://u",
  });
  /** A file whose test carries a number; the scores are those of everybody in the demo. */
  async function numbered(given: string, number: string): Promise<TestFile & { readonly entry: string }> {
    const file = await readyFile(world, roundId, given);
    const { loaded } = await lookAt(world, file.applicationId);
    const entry = loaded.facts.answers.find((a) => a.section === "tests" && a.entry !== "")?.entry ?? "";
    await world.runtime.pool.query(
      `insert into answer (application_id, scope, section, entry, field, value, version, position, saved_at) values ($1, 'file', 'tests', $2, 'number', $3, 1, 1, $4)`,
      [file.applicationId, entry, JSON.stringify(number), world.runtime.now()],
    );
    return { ...file, entry };
  }
  const submit = async (file: TestFile) => {
    await must(world, submitApplication, file.applicant, {
      applicationId: file.applicationId,
      choiceIds: [file.choiceId],
    });
    await runJob(context(), "match-results", { applicationId: file.applicationId });
  };
  const take = async (...lines: readonly string[]) => {
    world.later(1000);
    const { listId, leftOut } = await must(world, takeOwnerList, officer, {
      test: "het",
      fileName: "het-october.csv",
      text: [HEADS, ...lines].join("\n"),
    });
    await runJob(context(), "match-results", { listId });
    return leftOut;
  };
  const page = async (actor: Actor = officer) => readView(world.runtime, ownerLists, actor, {});
  const english = async (file: TestFile) => {
    const { result, loaded } = await lookAt(world, file.applicationId);
    const number = loaded.facts.application.number;
    const data = await readView(world.runtime, fileView, officer, { number });
    const scores = data?.values.find((v) => v.section === "tests" && v.field === "scores");
    return {
      standing: result.requirements.find((r) => r.key === "english")?.standing,
      finding: result.choices[0]?.findings.find((f) => f.key === "english"),
      state: scores?.state,
      confirmed: scores?.confirmed,
      note: scores?.note?.text,
      number,
    };
  };

  it("confirm what is the applicant's, with the owner's scores, and need no paper then", async () => {
    const file = await numbered("Aoife", "HET-20 417");
    await submit(file);
    expect(await english(file)).toMatchObject({ standing: "to check", state: "claimed" });
    expect(await take("het20417,AOIFE MAARTEEN-QUIST,2003-04-11,2026-10-03,40,43,38,40", "x,,,,,,,")).toBe(1);
    const seen = await english(file);
    // The list has one part less than was claimed; the document that waits for its check is still looked at.
    expect(seen).toMatchObject({
      state: "changed",
      confirmed: { L: "40", R: "43", W: "38", S: "40" },
      standing: "to check",
    });
    expect(seen.note).toContain("HET, Harbour English Test");
    expect(seen.finding).toMatchObject({ basis: "confirmed" });
    await world.runtime.pool.query("delete from evidence where application_id = $1 and requirement = 'english'", [
      file.applicationId,
    ]);
    expect((await english(file)).standing).toBe("accepted");
    expect((await page())?.lists[0]).toMatchObject({ lines: 1, found: 1, otherName: 0, nobody: 0, by: "Runa Okonjo" });
  });

  it("wait for files that are submitted later", async () => {
    const file = await numbered("Brigid", "HET 777");
    await take("HET-777,Brigid Maarteen-Quist,,2026-10-03,41,43,38,40");
    expect(await english(file)).toMatchObject({ state: "claimed" });
    expect((await page())?.lists[0]).toMatchObject({ found: 0, nobody: 1 });
    await submit(file);
    expect(await english(file)).toMatchObject({ state: "confirmed" });
    expect((await page())?.lists[0]).toMatchObject({ found: 1, nobody: 0 });
  });

  it("are looked at again when a number is added to a submitted file", async () => {
    const jobs = async () =>
      Number(
        (await world.runtime.pool.query("select count(*) from pgboss.job where name = 'match-results'")).rows[0]?.count,
      );
    const file = await numbered("Aideen", "");
    await submit(file);
    const before = await jobs();
    const entry = "7f1f0c1e-5f5e-4f0a-9b61-0b5a1d2c3e77";
    const place = { scope: "file", section: "tests", entry };
    const values = { test: "het", status: "result", date: "2026-11-20", number: "HET 555" };
    await must(world, saveAnswers, file.applicant, {
      applicationId: file.applicationId,
      changes: Object.entries(values).map(([field, value]) => ({ ...place, field, value, seen: 0 })),
    });
    expect(await jobs()).toBe(before + 1);
    await take("HET 555,Aideen Maarteen-Quist,,2026-11-20,44,44,44,44");
    const { loaded } = await lookAt(world, file.applicationId);
    expect(loaded.facts.issued).toEqual([place]);
  });

  it("leave what stands under another name to a person, who may change their mind", async () => {
    const file = await numbered("Ciara", "HET 900");
    await submit(file);
    await take("HET 900,Somebody Else,1990-01-01,2026-10-03,20,20,20,20");
    expect(await english(file)).toMatchObject({ state: "claimed" });
    const [other] = (await page())?.otherNames ?? [];
    expect(other).toMatchObject({ name: "Somebody Else", number: "HET 900" });
    expect((await page(elsewhere))?.otherNames).toEqual([]);
    const settle = (theirs: boolean, actor: Actor = officer) =>
      reasonOf(
        runAct(world.runtime, settleOwnerResult, actor, {
          applicationId: file.applicationId,
          resultId: other?.id ?? "",
          theirs,
        }),
      );
    expect(await settle(true, elsewhere)).toBe("not-yours");
    expect(await settle(false)).toBe("ok");
    expect([await settle(false), (await page())?.otherNames]).toEqual(["already-done", []]);
    // The same line in a later list does not bring it up again.
    await take("HET 900,Somebody Else,1990-01-01,2026-10-03,21,20,20,20");
    expect((await page())?.otherNames).toEqual([]);
    expect((await page())?.notTheirs.map((r) => [r.id, r.name])).toEqual([[other?.id, "Somebody Else"]]);
    expect((await page(elsewhere))?.notTheirs).toEqual([]);
    expect(await settle(true)).toBe("ok");
    expect((await page())?.notTheirs).toEqual([]);
    expect(await english(file)).toMatchObject({ state: "changed", confirmed: { L: "21", R: "20", W: "20", S: "20" } });
  });

  it("show claims that should stand in them and do not", async () => {
    const file = await numbered("Dervla", "HET 4O4");
    await submit(file);
    expect((await page())?.inNoList).toEqual([
      {
        fileNumber: (await english(file)).number,
        fileName: "Dervla Maarteen-Quist",
        test: "het",
        number: "HET 4O4",
        date: "2026-10-03",
      },
    ]);
    // A list of another test's day says nothing about it.
    await world.runtime.pool.query("update owner_result set taken_on = '2026-11-20'");
    expect((await page())?.inNoList).toEqual([]);
  });

  it("are looked at before they are taken in, and refused where they are none", async () => {
    const look = (text: string, test = "het") => readView(world.runtime, ownerListLook, officer, { test, text });
    expect(await look("nothing")).toEqual({ kind: "no table" });
    expect(await look("number,L\n1,40")).toMatchObject({
      kind: "columns missing",
      missing: expect.arrayContaining(["name", "date"]),
    });
    expect(await look(`${HEADS}\n1,Ada Vale,,2026-10-03,40,40,40,99`)).toMatchObject({
      kind: "list",
      lines: 0,
      problems: [{ line: 1, code: "score-range" }],
    });
    const refused = (text: string, test = "het") =>
      reasonOf(runAct(world.runtime, takeOwnerList, officer, { test, fileName: "x.csv", text }));
    expect(await refused(`${HEADS}\n1,Ada Vale,,2026-10-03,40,40,40,99`)).toBe("invalid-input");
    expect(await refused(`${HEADS}\n1,Ada Vale,,2026-10-03,40,40,40,40`, "unknown")).toBe("invalid-input");
  });
});
