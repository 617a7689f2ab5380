import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { confirmValues } from "../../src/acts/evidence/confirm-values";
import type { Json } from "../../src/core/file/facts";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { myApplication } from "../../src/views/application/my-application";
import { file as fileView } from "../../src/views/assessment/file";
import { turns } from "../../src/views/turns/turns";
import { readView } from "../../src/views/view/view";
import { lookAt, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, openWorld, reasonOf, type World } from "../support/world";

/** What the office corrects: every kind of answer, with a reason; the claim and every word before stay readable. */
describe("a correction by the office", () => {
  let world: World;
  let officer: Actor;
  let file: TestFile;
  let roundId = "";

  beforeAll(async () => {
    world = await openWorld("corrections");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    ({ roundId: roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
    file = await submittedFile(world, roundId, "Wrongly");
  });
  afterAll(() => world.close());

  const at = (section: string, field: string, entry = "") => ({ scope: "file", section, entry, field });
  const correct = (place: ReturnType<typeof at>, value: Json, note: string | null = "By the passport") =>
    runAct(world.runtime, confirmValues, officer, {
      applicationId: file.applicationId,
      values: [{ ...place, value }],
      note,
    });
  const look = async () => {
    const number = (
      await world.runtime.pool.query<{ number: string }>("select number from application where id = $1", [
        file.applicationId,
      ])
    ).rows[0]?.number;
    const data = await readView(world.runtime, fileView, officer, { number: number ?? "" });
    if (!data) throw new Error("the file is not seen");
    return data;
  };
  const valueAt = async (place: ReturnType<typeof at>) =>
    (await look()).values.find(
      (v) => v.section === place.section && v.entry === place.entry && v.field === place.field,
    );

  it("is made of every kind of answer, also where nothing was claimed", async () => {
    const { degree } = file.filled;
    const table: readonly (readonly [ReturnType<typeof at>, Json])[] = [
      [at("person", "oneName"), false],
      [at("person", "givenNames"), "Rightly"],
      [at("person", "certificateName"), "Rightly M. Maarteen-Quist"],
      [at("person", "calledName"), "Rit"],
      [at("person", "birthDate"), "1999-02-03"],
      [at("person", "birthCountry"), "SR"],
      [at("contact", "phone"), "+597421234"],
      [at("contact", "town"), "Nickerie"],
      [at("citizenship", "citizenships"), ["IE", "SR"]],
      [at("citizenship", "residence"), "SR"],
      [at("education", "language", degree), "en"],
      [at("education", "institution", degree), "Halden Institute"],
    ];
    for (const [place, value] of table) {
      expect([place.field, (await correct(place, value)).ok]).toEqual([place.field, true]);
      expect(await valueAt(place)).toMatchObject({
        confirmed: value,
        state: "changed",
        note: { text: "By the passport" },
      });
    }
    expect((await valueAt(at("person", "givenNames")))?.claim).toBe("Wrongly");
    expect((await look()).otherNames).toMatchObject({ called: "Rit", onCertificates: "Rightly M. Maarteen-Quist" });
  });

  it("needs a reason, a value of the field's kind, and leaves what only the applicant can say", async () => {
    expect(await reasonOf(correct(at("person", "familyName"), "Quist", null))).toBe("needs-reason");
    for (const [place, value] of [
      [at("citizenship", "residence"), "Ireland"],
      [at("citizenship", "citizenships"), "IE"],
      [at("person", "oneName"), "yes"],
      [at("person", "birthDate"), "31.02.1999"],
      [at("contact", "phone"), "12"],
      [at("contact", "town"), ""],
      [at("contact", "town"), null],
    ] as const)
      expect([value, await reasonOf(correct(place, value))]).toEqual([value, "invalid-input"]);
    expect(await reasonOf(correct(at("declaration", "true"), false))).toBe("locked");
    // What is claimed may be confirmed without a word.
    expect((await correct(at("person", "familyName"), "Maarteen-Quist", null)).ok).toBe(true);
  });

  it("is told to the applicant, beside what they wrote", async () => {
    const { number } = await look();
    const mine = await readView(world.runtime, myApplication, file.applicant, { number });
    const told = mine?.established.map((e) => [e.key, e.field.title.en, e.before, e.after]);
    expect(told).toContainEqual(["person", "Given names", "Wrongly", "Rightly"]);
    expect(told).toContainEqual(["citizenship", "Citizenships", ["IE"], ["IE", "SR"]]);
    // What was confirmed as it stands is no news.
    expect(told?.filter(([, title]) => title === "Family name")).toEqual([]);
    const other = await submittedFile(world, roundId, "Untouched");
    const { loaded } = await lookAt(world, other.applicationId);
    const theirs = await readView(world.runtime, myApplication, other.applicant, {
      number: loaded.facts.application.number,
    });
    expect(theirs?.established).toEqual([]);
  });

  it("keeps every word before it, with who and why", async () => {
    const place = at("contact", "street");
    await must(world, confirmValues, officer, { applicationId: file.applicationId, values: [place] });
    await correct(place, "14 Quay Street", "By the letter that came back");
    await correct(place, "16 Quay Street", "By telephone");
    expect(await valueAt(place)).toMatchObject({
      claim: "12 Quay Street",
      confirmed: "16 Quay Street",
      note: { text: "By telephone", by: "Runa Okonjo" },
      before: [
        { value: "14 Quay Street", text: "By the letter that came back", by: "Runa Okonjo" },
        { value: "12 Quay Street", text: "", by: "Runa Okonjo" },
      ],
    });
    const forge = "update confirmation_version set note = 'x' where application_id = $1";
    await expect(world.runtime.pool.query(forge, [file.applicationId])).rejects.toThrow(/append-only/u);
  });

  it("of a name reaches the list, and the file is found by both", async () => {
    const found = async (find: string) =>
      (await readView(world.runtime, turns, officer, { find }))?.rows.map((r) => r.name);
    expect(await found("rightly")).toEqual(["Rightly Maarteen-Quist"]);
    expect(await found("wrongly")).toEqual(["Rightly Maarteen-Quist"]);
    expect((await look()).name).toBe("Rightly Maarteen-Quist");
  });
});
