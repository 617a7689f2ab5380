import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { withdraw } from "../../src/acts/application/withdraw";
import { answerErasure, askErasure, keepMe } from "../../src/acts/people/erasure";
import { requestReference } from "../../src/acts/references/request-reference";
import { loadReferenceSet } from "../../src/acts/standards/reference-set";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { referenceSet } from "../../src/demo/reference-set";
import { verifyAll } from "../../src/verify";
import { erasures, ownErasure } from "../../src/views/people/erasures";
import { ownData, SUBJECTS } from "../../src/views/people/own-data";
import { readView } from "../../src/views/view/view";
import { filledFile, readyFile, submittedFile, type TestFile } from "../support/files";
import { DAY, makePerson, must, openWorld, reasonOf, SYSTEM, type World } from "../support/world";

/** What is made of a file, or noted about it by the office for itself: how it is worked on, judged and found again. */
const OFFICE_OWN = [
  "applied_ruling",
  "awaited",
  "check_claim",
  "check_later",
  "choice_standing",
  "confirmation_version",
  "contact_note",
  "copy_of",
  "deed",
  "early_case",
  "file_key",
  "file_mark",
  "file_note",
  "file_presence",
  "file_search",
  "file_standing",
  "file_trouble",
  "keeper_note",
  "link_note",
  "override",
  "registry_query",
  "section_summary",
  "statement_text",
  "task",
  "turn_change",
];

/** What is kept of a person: a copy of it for them, and what may go when they ask. */
describe("what is kept of a person", () => {
  let world: World;
  let administrator: Actor;
  let round = "";

  beforeAll(async () => {
    world = await openWorld("own_data");
    ({
      rounds: { "MES 1": round = "" },
    } = await loadCatalogue(world.runtime, "2026-11-25"));
    administrator = await makePerson(world, "Administrator", ["administrator"]);
    await must(world, loadReferenceSet, SYSTEM, { ...referenceSet, keepFilesDays: 365 });
  });
  afterAll(() => world.close());

  const rows = async (sql: string, values: unknown[]) =>
    (await world.runtime.pool.query<Record<string, unknown>>(sql, values)).rows;
  const count = async (table: string, id: string) =>
    (await rows(`select count(*)::int as n from ${table} where application_id = $1`, [id]))[0]?.n;
  const idOf = (actor: Actor) => (actor.kind === "person" ? actor.id : "");
  const personOf = async ({ applicant }: Pick<TestFile, "applicant">) =>
    (await rows("select name, email::text, account_id from person where id = $1", [idOf(applicant)]))[0];
  const answer = async (who: Actor) => {
    const { requestId } = await must(world, askErasure, who, {});
    return { requestId, report: await must(world, answerErasure, administrator, { requestId }) };
  };

  it("knows of each table of a file whether its rows are the person's to have", async () => {
    const tables = await rows(
      "select table_name as name from information_schema.columns where column_name = 'application_id' and table_schema = 'public' order by 1",
      [],
    );
    const read = Object.values(SUBJECTS).join(" ");
    const left = tables.map(({ name }) => String(name)).filter((name) => !new RegExp(`\\b${name}\\b`, "u").test(read));
    expect(left).toEqual(OFFICE_OWN);
  });

  it("is handed out whole to that person, without a referee's words or the key of a link, and to nobody else", async () => {
    const { owner, applicationId, filled } = await filledFile(world, round);
    await must(world, requestReference, owner, { applicationId, referee: filled.referee });
    await world.runtime.pool.query(
      `update reference_request set answers = '{"text": "Only for the office"}' where application_id = $1`,
      [applicationId],
    );
    const other = await readyFile(world, round, "Other");
    const data = await readView(world.runtime, ownData, owner, {});
    const text = JSON.stringify(data);
    expect(data?.about.answers?.length).toBeGreaterThan(20);
    expect(data?.about.references).toMatchObject([{ email: "o.finnegan@halden-sound.example", state: "asked" }]);
    expect(data?.about.applications).toHaveLength(1);
    expect(text).not.toMatch(/Only for the office|token|\/reference\//u);
    const theirs = await readView(world.runtime, ownData, other.applicant, {});
    expect(theirs?.documents.length).toBeGreaterThan(1);
    const [mine] = data?.about.applications ?? [];
    expect(JSON.stringify(theirs)).not.toContain((mine as { number: string }).number);
    expect(text).not.toContain(idOf(other.applicant));
  });

  it("goes with its person where all of it are drafts, and leaves books, numbers and events that name nobody", async () => {
    const draft = await readyFile(world, round, "Drafted");
    const before = await personOf(draft);
    const { report, requestId } = await answer(draft.applicant);
    expect(report).toMatchObject({ files: [{ goes: true, why: "draft" }], personGoes: true });
    for (const table of ["answer", "answer_version", "upload", "evidence", "message", "file_key"])
      expect([table, await count(table, draft.applicationId)]).toEqual([table, 0]);
    expect(await personOf(draft)).toEqual({
      name: "",
      email: `${idOf(draft.applicant)}@erased.invalid`,
      account_id: null,
    });
    expect(await count("event", draft.applicationId)).toBeGreaterThan(2);
    const [told] = await rows("select template, person_id from message where to_address = $1", [before?.email]);
    expect(told).toEqual({ template: "erased-whole", person_id: null });
    const shown = (await readView(world.runtime, erasures, administrator, {}))?.find((e) => e.id === requestId);
    expect(shown).toMatchObject({ name: "", answeredBy: "Administrator", report });
    const [standing] = await rows("select stage, name, turn from file_standing where application_id = $1", [
      draft.applicationId,
    ]);
    expect(standing).toEqual({ stage: "closed", name: "", turn: "nobody" });
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("stays while a file is worked on, and until its days are over; each with its reason", async () => {
    const sent = await submittedFile(world, round, "Sender");
    const first = await answer(sent.applicant);
    expect(first.report).toMatchObject({ files: [{ goes: false, why: "open" }], personGoes: false });
    expect((await personOf(sent))?.name).not.toBe("");
    world.later(1000);
    await must(world, withdraw, sent.applicant, { applicationId: sent.applicationId });
    const second = await answer(sent.applicant);
    expect(second.report.files).toMatchObject([
      { goes: false, why: "kept", until: new Date(world.runtime.now().getTime() + 365 * DAY).toISOString() },
    ]);
    expect((await readView(world.runtime, ownErasure, sent.applicant, {}))?.newest?.report).toEqual(second.report);
    world.later(365 * DAY);
    const third = await answer(sent.applicant);
    expect(third.report).toMatchObject({ files: [{ goes: true, why: "over" }], personGoes: true });
    expect(await count("answer", sent.applicationId)).toBe(0);
    const [submission] = await rows("select answers, uploads from submission where application_id = $1", [
      sent.applicationId,
    ]);
    expect(submission).toEqual({ answers: [], uploads: [] });
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
    world.at("2026-11-26T09:00:00Z");
  });

  it("is erased once: a wish is open once, can be taken back, and is answered once", async () => {
    const { applicant } = await readyFile(world, round, "Wavering");
    const { requestId } = await must(world, askErasure, applicant, {});
    const again = () => reasonOf(runAct(world.runtime, askErasure, applicant, {}));
    expect(await again()).toBe("already-done");
    await must(world, keepMe, applicant, {});
    expect(await reasonOf(runAct(world.runtime, answerErasure, administrator, { requestId }))).toBe("not-found");
    const { requestId: second } = await must(world, askErasure, applicant, {});
    const both = await Promise.all(
      [1, 2].map(() => reasonOf(runAct(world.runtime, answerErasure, administrator, { requestId: second }))),
    );
    expect(both.sort()).toEqual(["already-done", "ok"]);
    expect(await reasonOf(runAct(world.runtime, keepMe, applicant, {}))).toBe("already-done");
  });

  it("of somebody who works in the office is not erased", async () => {
    const { applicant } = await readyFile(world, round, "Hired");
    const { requestId } = await must(world, askErasure, applicant, {});
    await world.runtime.pool.query(
      "insert into role_grant (person_id, role, scope, granted_at) values ($1, 'officer', '*', now())",
      [idOf(applicant)],
    );
    expect(await reasonOf(runAct(world.runtime, answerErasure, administrator, { requestId }))).toBe("locked");
  });
});
