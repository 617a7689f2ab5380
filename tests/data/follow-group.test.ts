import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { reopenSections, sendCorrections } from "../../src/acts/application/reopen-sections";
import { startApplication } from "../../src/acts/application/start-application";
import { confirmValues } from "../../src/acts/evidence/confirm-values";
import { saveAnswers } from "../../src/acts/form/save-answers";
import { assess } from "../../src/core/assessment/assess";
import type { Actor } from "../../src/core/rights/actor";
import { NO_LISTED } from "../../src/core/rulebook/section";
import { makeOffice } from "../../src/core/standards/reference-set";
import { database } from "../../src/db/connection";
import { currentOffice } from "../../src/db/queries/office";
import { loadCatalogue } from "../../src/demo/catalogue";
import { fillAny } from "../../src/demo/filling";
import { someone } from "../../src/demo/people";
import { renderMail } from "../../src/text/words/render-mail";
import { anybody, lookAt, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, openWorld, type World } from "../support/world";

/** The applicant group after the submission: what is confirmed or corrected moves it, and fees with it; nothing else does. */
describe("the applicant group of a submitted file", () => {
  let world: World;
  let officer: Actor;
  let roundId = "";
  let rounds: Readonly<Record<string, string>> = {};

  beforeAll(async () => {
    world = await openWorld("follow_group");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    ({ roundId, rounds } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());

  const place = { scope: "file", section: "citizenship", entry: "" };
  const establish = (file: TestFile, values: Readonly<Record<string, string | string[]>>) =>
    must(world, confirmValues, officer, {
      applicationId: file.applicationId,
      values: Object.entries(values).map(([field, value]) => ({ ...place, field, value })),
      note: "As it stands in the passport",
    });
  const stands = async ({ applicationId }: TestFile) => {
    const { loaded, result } = await lookAt(world, applicationId);
    const { rows } = await world.runtime.pool.query<{ minor: number }>(
      `select (coalesce((select sum(minor) from charge where application_id = $1), 0) + coalesce((select sum(j.minor) from charge_adjustment j
         join charge c on c.id = j.charge_id where c.application_id = $1), 0))::int as minor`,
      [applicationId],
    );
    return [loaded.facts.application.groupSinceSubmission, result.file.group, rows[0]?.minor];
  };
  const told = async ({ applicationId }: TestFile) => {
    const { rows } = await world.runtime.pool.query<{ values: Record<string, string> }>(
      "select values from message where application_id = $1 and template = 'group-changed' order by queued_at",
      [applicationId],
    );
    return rows.map(({ values }) => renderMail("en", "group-changed", values, "https://u").body.split("\n")[2]);
  };

  it("follows what the office finds in the papers, with the fee, and says so; and back again", async () => {
    const file = await submittedFile(world, roundId, "Ainsley");
    expect(await stands(file)).toEqual(["home", "home", 0]);
    await establish(file, { citizenships: ["SR"] });
    expect(await stands(file)).toEqual(["home", "home", 0]); // whoever lives here is at home still
    await establish(file, { residence: "SR" });
    expect(await stands(file)).toEqual(["overseas", "overseas", 6000]);
    expect(await told(file)).toEqual([
      "By what stands on your papers, or what you corrected, you are in the overseas group and no longer in the home group. Fees and deadlines follow the group. What is due or comes back to you now stands in your application:",
    ]);
    await establish(file, { citizenships: ["SR", "IE"] });
    expect(await stands(file)).toEqual(["home", "home", 0]);
    const { rows } = await world.runtime.pool.query(
      "select about->>'from' as from, about->>'to' as to from event where application_id = $1 and act = 'follow-group' order by id",
      [file.applicationId],
    );
    expect(rows).toEqual([
      { from: "home", to: "overseas" },
      { from: "overseas", to: "home" },
    ]);
  });

  it("takes graduates of the listed institutions as a group of theirs, until the certificate says otherwise", async () => {
    const applicant = await anybody(world, "Graduate");
    const { applicationId } = await must(world, startApplication, applicant, { roundId: rounds["MTE 1"] ?? "" });
    const stated = { "citizenship.citizenships": ["SR"], "citizenship.residence": "SR", "graduate.of": "halden" };
    await fillAny(world.runtime, applicant, applicationId, someone("Ana", "Vale"), stated);
    const file = { applicationId } as TestFile;
    expect((await stands(file)).slice(1)).toEqual(["alliance", 4000]);
    await world.runtime.pool.query("update choice set submitted_at = $2 where application_id = $1", [
      applicationId,
      world.runtime.now(),
    ]);
    await world.runtime.pool.query("update application set group_since_submission = 'alliance' where id = $1", [
      applicationId,
    ]);
    await must(world, confirmValues, officer, {
      applicationId,
      values: [{ scope: "file", section: "graduate", entry: "", field: "of", value: NO_LISTED }],
      note: "As it stands on the certificate",
    });
    expect(await stands(file)).toEqual(["overseas", "overseas", 6000]);
    expect(await told(file)).toEqual([
      expect.stringContaining("in the overseas group and no longer in the alliance group"),
    ]);
  });

  it("lets nobody be held up by a group of graduates where a form does not ask for them", async () => {
    const stated = { citizenships: ["SR"], residence: "SR" };
    const file = await submittedFile(world, roundId, "Doris");
    await establish(file, stated);
    expect((await stands(file))[1]).toBe("overseas");
  });

  it("follows what the applicant corrects once it is sent, and not while it is typed", async () => {
    const file = await submittedFile(world, roundId, "Brenda");
    const { applicationId, applicant } = file;
    await must(world, reopenSections, officer, {
      applicationId,
      sections: [{ scope: "file", section: "citizenship" }],
      reason: "Two passports",
      due: "2026-12-10",
    });
    const { loaded } = await lookAt(world, applicationId);
    const seen = (field: string) =>
      loaded.facts.answers.find((a) => a.section === "citizenship" && a.field === field)?.version ?? 0;
    await must(world, saveAnswers, applicant, {
      applicationId,
      changes: [
        { ...place, field: "citizenships", value: ["SR"], seen: seen("citizenships") },
        { ...place, field: "residence", value: "SR", seen: seen("residence") },
      ],
    });
    expect((await stands(file)).slice(0, 2)).toEqual(["home", "home"]);
    expect(await told(file)).toEqual([]);
    await must(world, sendCorrections, applicant, { applicationId, true: true });
    expect((await stands(file)).slice(0, 2)).toEqual(["overseas", "overseas"]);
    expect(await told(file)).toHaveLength(1);
  });

  it("does not follow new rules of the office about groups", async () => {
    const file = await submittedFile(world, roundId, "Carol");
    const { loaded } = await lookAt(world, file.applicationId);
    const { set } = await currentOffice(database(world.runtime.pool));
    const nobody = { op: "any" as const, of: [] };
    const groups = set.groups.map((g) => (g.key === "home" ? { ...g, when: nobody } : g));
    const office = makeOffice(2, { ...set, groups });
    expect(assess({ ...loaded, office, at: world.runtime.now().getTime() }).file.group).toBe("home");
    const fresh = { ...loaded.facts, application: { ...loaded.facts.application, groupSinceSubmission: null } };
    expect(assess({ ...loaded, facts: fresh, office, at: world.runtime.now().getTime() }).file.group).toBe("overseas");
  });
});
