import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { confirmValues } from "../../src/acts/evidence/confirm-values";
import {
  linkInstitution,
  mergeInstitutions,
  saveInstitution,
  takeRegister,
  unlinkInstitution,
} from "../../src/acts/standards/institutions";
import type { Actor } from "../../src/core/rights/actor";
import type { InstitutionInput } from "../../src/core/standards/institution";
import { type LoadedCatalogue, loadCatalogue } from "../../src/demo/catalogue";
import { someone } from "../../src/demo/people";
import {
  institutionPage,
  institutionSuggestions,
  institutions,
  knownNames,
  registerTable,
} from "../../src/views/standards/institutions";
import { otherScales } from "../../src/views/standards/other-scales";
import { scalesInUse } from "../../src/views/standards/scales-in-use";
import { readView } from "../../src/views/view/view";
import { filledFile, submittedFile } from "../support/files";
import { makePerson, must, openWorld, reasonOf, VISITOR, type World } from "../support/world";

const PLACE: InstitutionInput = {
  name: "Makran Coastal University",
  otherNames: ["Makran College of the Coast"],
  country: "PK",
  kind: "university",
  languages: ["en"],
  scales: ["percent40"],
  creditsPerYear: 36,
  recognition: "recognised",
  note: "",
  fingerprints: [],
};

/** The register of institutions: found by what people type, and followed by every file once an officer has said what a name means. */
describe("the register of institutions", () => {
  let world: World;
  let officer: Actor;

  let rounds: LoadedCatalogue;

  beforeAll(async () => {
    world = await openWorld("institutions");
    rounds = await loadCatalogue(world.runtime, "2026-11-25");
    const { roundId } = rounds;
    officer = await makePerson(world, "Officer", ["officer", "standards keeper"]);
    await filledFile(world, roundId);
    const wrote = someone("Ana", "Wrote", { degree: { institution: "makran  coastal univ", country: "PK" } });
    await filledFile(world, roundId, wrote);
  });
  afterAll(() => world.close());

  const suggested = async (typed: string, country = "") =>
    (await readView(world.runtime, institutionSuggestions, VISITOR, { typed, country }))?.map((s) => s.name) ?? [];
  const register = async (words = "") => {
    const seen = await readView(world.runtime, institutions, officer, { words });
    if (!seen) throw new Error("the officer does not see the register");
    return seen;
  };
  const idOf = async (name: string) => (await register()).found.find((i) => i.name === name)?.id ?? "";

  it.each([
    ["the beginning", "university of hald", "University of Halden Sound"],
    ["a typing error", "Universty of Haldn Sound", "University of Halden Sound"],
    ["another order of words", "halden sound university", "University of Halden Sound"],
    ["an accent left out", "skarvoy", "Skarvøy Maritime University"],
    ["a former name", "Halden Sound Polytechnic", "University of Halden Sound"],
    ["a name in another script", "函館海峡大学", "Hakodate Straits University"],
    ["a part of the name", "seewinkel", "Hochschule Seewinkel"],
  ])("finds an institution by %s", async (_, typed, name) => expect((await suggested(typed))[0]).toBe(name));

  it("offers only what has more in common with what was typed than the words of every university", async () => {
    expect(await suggested("university of skarvoy")).toEqual(["Skarvøy Maritime University"]);
    expect(await suggested("university of quornmere")).toEqual([]);
    expect((await suggested("university")).length).toBeGreaterThan(2);
  });

  it("finds nothing for a letter, for nothing, and for what is not there", async () => {
    expect([await suggested("u"), await suggested("  "), await suggested("zzyzx quorn")]).toEqual([[], [], []]);
  });

  it("proposes what is certain beside the name, and says by which other name it was found", async () => {
    const [found] = (await readView(world.runtime, institutionSuggestions, VISITOR, { typed: "UGC Dakar" })) ?? [];
    expect(found).toMatchObject({
      name: "Université du Golfe clair",
      by: "UGC Dakar",
      proposal: { country: "SN", language: "fr", scale: "to20", creditsPerYear: "60" },
    });
    const [two] = (await readView(world.runtime, institutionSuggestions, VISITOR, { typed: "Skarvøy" })) ?? [];
    expect(two?.proposal).toEqual({ country: "NO", scale: "down6", creditsPerYear: "60" });
  });

  it("lists what applicants wrote that it does not know, until an officer adds it", async () => {
    expect((await register()).unknown).toMatchObject([
      { name: "makran  coastal univ", country: "PK", files: 1, like: null },
    ]);
    await must(world, saveInstitution, officer, { institutionId: null, version: null, institution: PLACE });
    const [unknown] = (await register()).unknown;
    expect(unknown?.like?.name).toBe("Makran Coastal University");
    const institutionId = await idOf("Makran Coastal University");
    await must(world, linkInstitution, officer, { institutionId, written: "makran  coastal univ", country: "PK" });
    expect((await register()).unknown).toEqual([]);
    const page = await readView(world.runtime, institutionPage, officer, { institutionId });
    expect(page?.written.map((w) => w.name)).toEqual(["makran  coastal univ"]);
    expect(page?.files.map((f) => f.wrote)).toEqual(["makran  coastal univ"]);
    expect(
      await reasonOf(
        runAct(world.runtime, linkInstitution, officer, {
          institutionId,
          written: "MAKRAN coastal univ.",
          country: "PK",
        }),
      ),
    ).toBe("already-done");
    await must(world, unlinkInstitution, officer, { nameId: page?.written[0]?.id ?? "" });
    expect((await register()).unknown).toHaveLength(1);
  });

  it("keeps a name for one institution of a country, and tells the second of two writers", async () => {
    const twice = { ...PLACE, name: "Makran Institute", otherNames: ["MAKRAN Coastal University"] };
    const outcome = await runAct(world.runtime, saveInstitution, officer, {
      institutionId: null,
      version: null,
      institution: twice,
    });
    expect(outcome).toMatchObject({
      ok: false,
      reason: "already-done",
      details: { name: "Makran Coastal University" },
    });
    const abroad = { ...twice, country: "OM" };
    await must(world, saveInstitution, officer, { institutionId: null, version: null, institution: abroad });
    const institutionId = await idOf("Makran Coastal University");
    const change = { institutionId, version: 1, institution: { ...PLACE, note: "Visited in 2024." } };
    expect(await must(world, saveInstitution, officer, change)).toMatchObject({ version: 2 });
    expect(await reasonOf(runAct(world.runtime, saveInstitution, officer, change))).toBe("changed-meanwhile");
    const unknownScale = { ...change, version: 2, institution: { ...PLACE, scales: ["to99"] } };
    expect(await reasonOf(runAct(world.runtime, saveInstitution, officer, unknownScale))).toBe("invalid-input");
  });

  it("makes two that are the same one, whose names all lead to it", async () => {
    const double = { ...PLACE, name: "University of Makran", otherNames: ["Makran Uni"] };
    const { institutionId: doubleId } = await must(world, saveInstitution, officer, {
      institutionId: null,
      version: null,
      institution: double,
    });
    const keepId = await idOf("Makran Coastal University");
    await must(world, linkInstitution, officer, {
      institutionId: doubleId,
      written: "makran  coastal univ",
      country: "PK",
    });
    expect(await reasonOf(runAct(world.runtime, mergeInstitutions, officer, { keepId, doubleId: keepId }))).toBe(
      "invalid-input",
    );
    await must(world, mergeInstitutions, officer, { keepId, doubleId });
    const page = await readView(world.runtime, institutionPage, officer, { institutionId: keepId });
    expect(page?.otherNames).toEqual(["Makran College of the Coast", "Makran Uni", "University of Makran"]);
    expect(page?.files).toHaveLength(1);
    expect(await readView(world.runtime, institutionPage, officer, { institutionId: doubleId })).toBeNull();
    expect((await suggested("makran uni", "PK"))[0]).toBe("Makran Coastal University");
  });

  it("keep what leads to one of them from another country, also after a change", async () => {
    const keepId = await idOf("Makran Coastal University");
    const doubleId = await idOf("Makran Institute");
    await must(world, mergeInstitutions, officer, { keepId, doubleId });
    const merged = await readView(world.runtime, institutionPage, officer, { institutionId: keepId });
    const abroad = ["MAKRAN Coastal University", "Makran Institute"];
    expect(merged?.written.map((w) => w.name)).toEqual(expect.arrayContaining(abroad));
    const { version } = merged ?? { version: 0 };
    const institution = { ...PLACE, otherNames: [...(merged?.otherNames ?? [])] };
    await must(world, saveInstitution, officer, { institutionId: keepId, version, institution });
    const changed = await readView(world.runtime, institutionPage, officer, { institutionId: keepId });
    expect(changed?.written.map((w) => w.name)).toEqual(expect.arrayContaining(abroad));
    expect(changed?.files).toHaveLength(1);
  });

  it("give a name to one of two officers who add it at once", async () => {
    const add = () =>
      runAct(world.runtime, saveInstitution, officer, {
        institutionId: null,
        version: null,
        institution: { ...PLACE, name: "Gwadar Academy", otherNames: [], country: "PK" },
      });
    expect((await Promise.all([reasonOf(add()), reasonOf(add())])).sort()).toEqual(["already-done", "ok"]);
  });

  it("are taken in from a table: new ones added, known ones changed, the same left alone, clashes said", async () => {
    const line = (change: Partial<InstitutionInput>): InstitutionInput => ({ ...PLACE, otherNames: [], ...change });
    const became = async (...lines: InstitutionInput[]) =>
      (await must(world, takeRegister, officer, { institutions: lines })).taken.map((t) => t.became);
    const first = line({ name: "Instituto do Sal", country: "PT", otherNames: ["Salt Institute"], scales: ["to20"] });
    expect(await became(first, line({ name: "Escola do Rio", country: "PT", scales: ["nowhere"] }))).toEqual([
      "added",
      "unknown-scale",
    ]);
    expect(await became(first)).toEqual(["same"]);
    expect(await became({ ...first, note: "Seen." })).toEqual(["changed"]);
    // By another of its names, which stays; the name that it had stays, too.
    expect(await became({ ...first, name: "Salt Institute", otherNames: [], note: "Seen." })).toEqual(["changed"]);
    expect((await suggested("instituto do sal", "PT"))[0]).toBe("Salt Institute");
    expect(
      await became(line({ name: "Escola do Mar", country: "PT", otherNames: ["Salt Institute"], scales: [] })),
    ).toEqual(["name-taken"]);
    const known = await readView(world.runtime, knownNames, officer, {
      names: [first, { name: "Escola do Mar", country: "PT" }, { name: first.name, country: "BR" }].map(
        ({ name, country }) => ({
          name,
          country,
        }),
      ),
    });
    expect(known).toBe(1);
    const table = await readView(world.runtime, registerTable, officer, {});
    expect(table?.find((i) => i.name === "Salt Institute")).toMatchObject({
      otherNames: ["Instituto do Sal"],
      note: "Seen.",
    });
  });

  it("that grade on one scale are held against the files that count on another", async () => {
    const { roundId } = rounds;
    const degree = { institution: "Escola de Maré", country: "PT", scale: "to20", grade: "15" };
    const file = await submittedFile(world, roundId, "Scaled", {
      "education.institution": degree.institution,
      "education.country": degree.country,
    });
    await must(world, saveInstitution, officer, {
      institutionId: null,
      version: null,
      institution: { ...PLACE, name: degree.institution, otherNames: [], country: "PT", scales: ["to10"] },
    });
    const institutionId = await idOf(degree.institution);
    const listed = async (actor: Actor = officer) => readView(world.runtime, otherScales, actor, { institutionId });
    const place = { scope: "file", section: "education", entry: file.filled.degree };
    const { applicationId } = file;
    expect(await listed()).toEqual({
      usual: "to10",
      files: [{ ...place, applicationId, number: expect.any(String), name: "Scaled Maarteen-Quist", scale: "to20" }],
    });
    expect((await listed(await makePerson(world, "Elsewhere", ["officer", "standards keeper"], "FYC")))?.files).toEqual(
      [],
    );
    await must(world, confirmValues, officer, {
      applicationId,
      values: [{ ...place, field: "scale", value: "to10" }],
      note: "By the register",
    });
    expect((await listed())?.files).toEqual([]);
  });

  it("proposes the scale of an institution, else those of its country by the register and by what files use", async () => {
    const used = (country: string, institution = "") =>
      readView(world.runtime, scalesInUse, VISITOR, { country, institution });
    expect(await used("")).toEqual({ by: null, scales: [] });
    expect(await used("ZW")).toEqual({ by: null, scales: [] });
    // Two files are nobody's business; of three on one scale the country is known for it.
    for (const given of ["Rudo", "Tariro", "Farai"]) {
      const known = await used("ZW");
      expect(known?.scales).toEqual([]);
      await submittedFile(world, rounds.roundId, given, {
        "education.country": "ZW",
        "education.institution": "Zambezi Hill",
      });
    }
    const [scale] = (await used("ZW"))?.scales ?? [];
    expect(scale).toBeDefined();
    expect(await used("ZW", "Zambezi  hill")).toEqual({ by: "country", scales: [scale] });
    expect(await used("ZW", "zambezi hill")).toEqual({ by: "institution", scales: [scale] });
    expect((await used("PK", "University of Halden Sound"))?.by).toBe("institution");
  });
});
