import { randomUUID } from "node:crypto";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { confirmValues } from "../../src/acts/evidence/confirm-values";
import { takeBackLine } from "../../src/acts/form/take-back-line";
import type { Actor } from "../../src/core/rights/actor";
import { leafOf } from "../../src/core/rules/trace";
import { loadCatalogue } from "../../src/demo/catalogue";
import { verifyAll } from "../../src/verify";
import { myApplication } from "../../src/views/application/my-application";
import { file as fileView } from "../../src/views/assessment/file";
import { readView } from "../../src/views/view/view";
import { lookAt, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, openWorld, reasonOf, type World } from "../support/world";

/** A course that the transcript shows and the applicant has left out. */
describe("a line that an officer adds from a document", () => {
  let world: World;
  let officer: Actor;
  let file: TestFile;
  const entry = randomUUID();
  const line = { scope: "file", section: "courses", entry };

  beforeAll(async () => {
    world = await openWorld("added_line");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    file = await submittedFile(world, roundId, "Tomasa");
  });
  afterAll(() => world.close());

  const credits = async () => {
    const { result } = await lookAt(world, file.applicationId);
    const finding = result.choices[0]?.findings.find((f) => f.key === "credits");
    const leaf = finding && leafOf(finding.trace);
    return { seen: Number(leaf?.seen), entries: leaf?.entries };
  };
  const number = async () => (await lookAt(world, file.applicationId)).loaded.facts.application.number;
  const values = (more: Readonly<Record<string, string>> = {}) =>
    Object.entries({ title: "Tides II", credits: "10", area: "natural", status: "completed", ...more }).map(
      ([field, value]) => ({ ...line, field, value }),
    );
  const add = (given: ReturnType<typeof values>) => ({
    applicationId: file.applicationId,
    values: given,
    note: "Page 2.",
  });

  it("is refused with a value that its field does not take", async () => {
    const outcome = runAct(world.runtime, confirmValues, officer, add(values({ credits: "many" })));
    expect(await reasonOf(outcome)).toBe("invalid-input");
    const elsewhere = [{ scope: "file", section: "person", entry, field: "birthDate", value: "2001-01-01" }];
    expect(await reasonOf(runAct(world.runtime, confirmValues, officer, add(elsewhere)))).toBe("not-found");
  });

  it("counts for the rules as what it is, confirmed, and stands in no form of the applicant's", async () => {
    const before = await credits();
    await must(world, confirmValues, officer, add(values()));
    expect(await credits()).toEqual({ seen: before.seen + 10, entries: (before.entries ?? 0) + 1 });
    const data = await readView(world.runtime, fileView, officer, { number: await number() });
    const added = data?.values.filter((v) => v.entry === entry && v.confirmed !== null) ?? [];
    expect(added.map((v) => [v.field, v.claim, v.state])).toEqual(
      ["title", "credits", "area", "status"].map((field) => [field, null, "changed"]),
    );
    const form = await readView(world.runtime, myApplication, file.applicant, { number: await number() });
    const courses = form?.sections.find((s) => s.key === "courses");
    expect(courses?.entries.map((e) => e.id)).not.toContain(entry);
    expect(courses?.gaps).toEqual([]);
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("is taken out again, and only it: what the applicant has claimed stays", async () => {
    const { loaded } = await lookAt(world, file.applicationId);
    const claimed = loaded.facts.answers.find((a) => a.section === "courses" && a.entry !== "")?.entry ?? "";
    const takeBack = (of: string) =>
      reasonOf(runAct(world.runtime, takeBackLine, officer, { applicationId: file.applicationId, ...line, entry: of }));
    expect(await takeBack(claimed)).toBe("locked");
    const before = await credits();
    expect(await takeBack(entry)).toBe("ok");
    expect((await credits()).seen).toBe(before.seen - 10);
    expect(await takeBack(entry)).toBe("not-found");
  });
});
