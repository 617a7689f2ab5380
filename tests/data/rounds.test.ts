import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { submitApplication } from "../../src/acts/application/submit-application";
import { reassessFiles } from "../../src/acts/assessment/reassess";
import { announceOpenings } from "../../src/acts/catalogue/interest";
import { changeRound, closeRound, extendChoice, reopenRound } from "../../src/acts/catalogue/rounds";
import { answerDecision } from "../../src/acts/decision/decisions";
import type { Actor } from "../../src/core/rights/actor";
import { type LoadedCatalogue, loadCatalogue } from "../../src/demo/catalogue";
import { verifyAll } from "../../src/verify";
import { finder } from "../../src/views/catalogue/finder";
import { turns } from "../../src/views/turns/turns";
import { readView } from "../../src/views/view/view";
import { anybody, begunFile, lookAt, readyFile, submittedFile } from "../support/files";
import { DAY, makePerson, must, openWorld, SYSTEM, VISITOR, type World } from "../support/world";

/** Rounds that move, close and open again, and what becomes of those who prepare an application meanwhile. */
describe("rounds", () => {
  let world: World;
  let catalogue: LoadedCatalogue;
  let lead: Actor;
  let second: Actor;
  let officer: Actor;
  const round = (name: string): string => catalogue.rounds[name] ?? "";

  beforeAll(async () => {
    world = await openWorld("rounds");
    catalogue = await loadCatalogue(world.runtime, "2026-11-25");
    [lead, second, officer] = await Promise.all([
      makePerson(world, "Lead", ["lead officer"]),
      makePerson(world, "Second Lead", ["lead officer"]),
      makePerson(world, "Officer", ["officer"]),
    ]);
  });
  afterAll(() => world.close());

  const mailsOf = async (applicationId: string): Promise<readonly string[]> =>
    (
      await world.runtime.pool.query<{ template: string }>(
        "select template from message where application_id = $1 order by queued_at, template",
        [applicationId],
      )
    ).rows.map((r) => r.template);
  const stored = async (roundId: string) => {
    const { rows } = await world.runtime.pool.query<{
      version: number;
      opens_at: Date;
      closings: { group: string; at: string }[];
      promise_days: number;
    }>("select version, opens_at, closings, promise_days from round where id = $1", [roundId]);
    const [row] = rows;
    if (!row) throw new Error("no round");
    return {
      version: row.version,
      round: {
        key: "1",
        opensAt: row.opens_at.toISOString(),
        closings: row.closings,
        rolling: false,
        closesWhenFull: false,
        ifPlacesLeft: false,
        prepareBefore: true,
        promiseDays: row.promise_days,
      },
    };
  };
  const states = async (code: string) =>
    (await readView(world.runtime, finder, VISITOR, { code }))?.hits[0]?.rounds.map((r) => `${r.key} ${r.state}`);

  it("say that no visa can be sponsored to those alone who may need one", async () => {
    const seen = async (code: string, citizenships: string[], residence: string | null) =>
      (await readView(world.runtime, finder, VISITOR, { code, citizenships, residence }))?.hits[0]?.withoutVisa;
    expect(await seen("GBC", [], null)).toBe(true);
    expect(await seen("GBC", ["JP"], "JP")).toBe(true);
    expect(await seen("GBC", ["IE"], "IE")).toBe(false);
    expect(await seen("MES", ["JP"], "JP")).toBe(false);
  });

  it("stand as the catalogue says on the anchor day", async () => {
    const seen = [];
    for (const code of ["FYC", "BMR", "BHT", "MES", "MTE", "MMH", "PCS", "GBC"])
      seen.push(`${code}: ${(await states(code))?.join(", ")}`);
    expect(seen).toEqual([
      "FYC: rolling open",
      "BMR: 1 closed, 2 coming",
      "BHT: 1 open",
      "MES: 1 open",
      "MTE: 1 open, 2 coming",
      "MMH: 1 coming",
      "PCS: 1 open",
      "GBC: 1 closed",
    ]);
  });

  it("take a draft before they open only where they allow it", async () => {
    const person = await anybody(world, "Early");
    expect((await runAct(world.runtime, startApplication, person, { roundId: round("MMH 1") })).ok).toBe(true);
    expect(await runAct(world.runtime, startApplication, person, { roundId: round("BMR 2") })).toMatchObject({
      ok: false,
      reason: "round-not-open",
    });
    expect(await runAct(world.runtime, startApplication, person, { roundId: round("GBC 1") })).toMatchObject({
      ok: false,
      reason: "round-closed",
    });
  });

  it("when moved, tell those who prepare an application in them, and nobody else", async () => {
    const mine = await begunFile(world, round("MTE 1"));
    const other = await begunFile(world, round("PCS 1"));
    const known = await stored(round("MTE 1"));
    const at = "2027-01-20T18:00:00.000Z";
    const moved = { ...known.round, closings: known.round.closings.map((c) => ({ ...c, at })) };
    const input = { roundId: round("MTE 1"), version: known.version, round: moved, reason: "The ferry stands still." };
    expect(await must(world, changeRound, lead, input)).toEqual({ told: 1 });
    expect([await mailsOf(mine.applicationId), await mailsOf(other.applicationId)]).toEqual([["round-changed"], []]);
    expect((await lookAt(world, mine.applicationId)).result.choices[0]?.closesAt).toBe(at);
    // The second of two who change it at once is told, and nobody gets a second mail.
    expect(await runAct(world.runtime, changeRound, second, input)).toMatchObject({ reason: "changed-meanwhile" });
    expect(await mailsOf(mine.applicationId)).toEqual(["round-changed"]);
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
    await must(world, reassessFiles, SYSTEM, { applicationIds: [mine.applicationId] });
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("closed early take nothing more, open again they do", async () => {
    const { applicationId } = await begunFile(world, round("BHT 1"));
    await must(world, closeRound, lead, { roundId: round("BHT 1"), reason: "Too many." });
    expect(await states("BHT")).toEqual(["1 closed"]);
    expect((await lookAt(world, applicationId)).result.choices[0]).toMatchObject({ stage: "preparing", round: "open" });
    world.later(11 * 60_000); // the office's grace
    expect((await lookAt(world, applicationId)).result.choices[0]).toMatchObject({ closedAs: "lapsed" });
    expect(
      await runAct(world.runtime, closeRound, second, { roundId: round("BHT 1"), reason: "Again." }),
    ).toMatchObject({
      reason: "already-done",
    });
    await must(world, reopenRound, lead, { roundId: round("BHT 1"), reason: "A second look." });
    expect(await states("BHT")).toEqual(["1 open"]);
    expect((await lookAt(world, applicationId)).result.choices[0]?.stage).toBe("preparing");
    expect(await mailsOf(applicationId)).toEqual(["round-closed", "round-reopened"]);
  });

  it("are extended for one person alone", async () => {
    const [mine, other] = [await begunFile(world, round("PCS 1")), await begunFile(world, round("PCS 1"))];
    const choiceId = (await lookAt(world, mine.applicationId)).result.choices[0]?.id ?? "";
    const until = "2026-12-20T18:00:00.000Z";
    const input = { applicationId: mine.applicationId, choiceId, until, reason: "Ill." };
    expect(
      await runAct(world.runtime, extendChoice, officer, { ...input, until: "2026-11-01T00:00:00.000Z" }),
    ).toMatchObject({
      reason: "invalid-input",
    });
    await must(world, extendChoice, officer, input);
    const closing = async (id: string) => (await lookAt(world, id)).result.choices[0]?.closesAt;
    expect([await closing(mine.applicationId), await closing(other.applicationId)]).toEqual([
      until,
      "2026-12-02T18:00:00.000Z",
    ]);
    expect(await mailsOf(mine.applicationId)).toEqual(["extended"]);
  });

  it("say of submitted files until when gaps can be mended, and are followed by them when they move", async () => {
    const file = await submittedFile(world, round("MES 1"), "Mender");
    const ends = (await lookAt(world, file.applicationId)).result.choices[0]?.closesAt ?? "";
    const mendable = async () => {
      const page = await readView(world.runtime, turns, officer, { round: "open" });
      expect(page?.counts.reduce((sum, c) => sum + c.count, 0)).toBe(page?.rows.length);
      return page?.rows.find((r) => r.id === file.applicationId)?.mendUntil;
    };
    expect(await mendable()).toBe(ends);
    const known = await stored(round("MES 1"));
    const at = new Date(Date.parse(ends) + 5 * DAY).toISOString();
    const moved = { ...known.round, closings: known.round.closings.map((c) => ({ ...c, at })) };
    const input = { roundId: round("MES 1"), version: known.version, round: moved, reason: "Later." };
    await must(world, changeRound, lead, input);
    expect(await mendable()).toBe(at); // looked at again before it is shown
    expect(await mailsOf(file.applicationId)).not.toContain("round-changed");
    const before = world.runtime.now().toISOString();
    world.at(at);
    expect(await mendable()).toBeUndefined();
    // What was left with gaps is swept up from a list of its own.
    const left = async () =>
      (await readView(world.runtime, turns, officer, { round: "closed" }))?.rows.some(
        (r) => r.id === file.applicationId,
      );
    expect(await left()).toBe(true);
    world.at(before);
    expect(await left()).toBe(false);
  });

  /** Waits until somebody waits for a lock in this database. */
  const somebodyWaits = async () => {
    const waiting = "select 1 from pg_stat_activity where datname = current_database() and wait_event_type = 'Lock'";
    while ((await world.runtime.pool.query(waiting)).rows.length === 0)
      await new Promise((resolve) => setTimeout(resolve, 20));
  };

  it("that are closed while somebody submits refuse what comes after them", async () => {
    const { applicationId, choiceId, applicant } = await readyFile(world, round("MES 1"), "Racer");
    const submit = () => runAct(world.runtime, submitApplication, applicant, { applicationId, choiceIds: [choiceId] });
    const closer = await world.runtime.pool.connect();
    await closer.query("begin");
    await closer.query("update round set closed_at = $2, closed_reason = 'Full.' where id = $1", [
      round("MES 1"),
      new Date(world.runtime.now().getTime() - DAY), // long enough for the office's grace to be over
    ]);
    const submitting = submit();
    await somebodyWaits();
    await closer.query("commit");
    closer.release();
    expect(await submitting).toMatchObject({ ok: false, reason: "round-closed" });
    await must(world, reopenRound, lead, { roundId: round("MES 1"), reason: "A mistake." });
    const twice = await Promise.all([submit(), submit()]);
    expect(twice.map((o) => (o.ok ? "ok" : o.reason)).sort()).toEqual(["already-done", "ok"]);
  });

  it("close with the last place where they are planned so, and tell those who are late", async () => {
    const late = await begunFile(world, round("MES 1"));
    const file = await submittedFile(world, round("MES 1"), "Lucky");
    await world.runtime.pool.query(
      "update intake set places = 1 where id = (select intake_id from round where id = $1)",
      [round("MES 1")],
    );
    await world.runtime.pool.query("update round set closes_when_full = true where id = $1", [round("MES 1")]);
    const choice = { applicationId: file.applicationId, choiceId: file.choiceId };
    // An offer as it stands once it was released; how it comes to be is tested elsewhere.
    await world.runtime.pool.query(
      `insert into decision (choice_id, kind, conditions, prepared_by_id, prepared_at, released_by_id, released_at, answer_by)
       select $1, 'offer', '[]', a.id, $2, b.id, $2, '2026-12-20' from person a, person b where a.name = 'Lead' and b.name = 'Second Lead'`,
      [file.choiceId, world.runtime.now()],
    );
    expect(await states("MES")).toEqual(["1 open"]);
    await must(world, answerDecision, file.applicant, { ...choice, answer: "accepted" });
    expect(await states("MES")).toEqual(["1 full"]);
    expect(await mailsOf(late.applicationId)).toEqual(["round-full"]);
    const person = await anybody(world, "Toolate");
    expect(await runAct(world.runtime, startApplication, person, { roundId: round("MES 1") })).toMatchObject({
      reason: "round-closed",
    });
  });

  it("that open only if places are left wait until that is found, and stay closed where none is", async () => {
    const { pool } = world.runtime;
    const id = round("BMR 2");
    const { rows } = await pool.query<{ opens_at: Date; intake_id: string }>(
      "select opens_at, intake_id from round where id = $1",
      [id],
    );
    const [{ opens_at: opens, intake_id: intakeId } = { opens_at: new Date(), intake_id: "" }] = rows;
    await pool.query("update round set if_places_left = true where id = $1", [id]);
    const places = (n: number) => pool.query("update intake set places = $2 where id = $1", [intakeId, n]);
    const second = async () => (await states("BMR"))?.[1];
    world.at(opens.toISOString());
    expect(await second()).toBe("2 coming");
    const early = await anybody(world, "Atonce");
    expect(await runAct(world.runtime, startApplication, early, { roundId: id })).toMatchObject({
      reason: "round-not-open",
    });
    await places(0);
    await must(world, announceOpenings, SYSTEM, {});
    expect(await second()).toBe("2 full");
    await places(20);
    await must(world, reopenRound, lead, { roundId: id, reason: "A place came back." });
    expect(await second()).toBe("2 coming");
    await must(world, announceOpenings, SYSTEM, {});
    expect(await second()).toBe("2 open");
    // Once it is open, places that go later close it no more than any other round.
    await places(0);
    await must(world, announceOpenings, SYSTEM, {});
    expect(await second()).toBe("2 open");
    expect((await runAct(world.runtime, startApplication, early, { roundId: id })).ok).toBe(true);
  });

  it("take a submission in the grace after the closing, and none after it", async () => {
    const { owner, applicationId } = await begunFile(world, round("FYC rolling"));
    const choiceIds = [(await lookAt(world, applicationId)).result.choices[0]?.id ?? ""];
    const submit = async (moment: string) => {
      world.at(moment);
      const outcome = await runAct(world.runtime, submitApplication, owner, { applicationId, choiceIds });
      return outcome.ok ? "submitted" : outcome.reason;
    };
    expect(await submit("2027-01-24T18:09:59.999Z")).toBe("not-complete");
    expect(await submit("2027-01-24T18:10:00.000Z")).toBe("round-closed");
  });
});
