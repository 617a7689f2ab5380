import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { doDeed, undoDeed } from "../../src/acts/evidence/deeds";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { fillAny } from "../../src/demo/filling";
import { someone } from "../../src/demo/people";
import { file as fileView } from "../../src/views/assessment/file";
import { readView } from "../../src/views/view/view";
import { anybody, lookAt } from "../support/files";
import { DAY, makePerson, must, openWorld, reasonOf, type World } from "../support/world";

/** Papers for the visa of somebody from overseas: the office makes them once the offer is accepted, and says so. */
describe("what the office does itself", () => {
  let world: World;
  let officer: Actor;
  let lead: Actor;
  let rounds: Readonly<Record<string, string>>;

  beforeAll(async () => {
    world = await openWorld("deeds");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    lead = await makePerson(world, "Tadhg Breen", ["lead officer"]);
    ({ rounds } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());

  const begun = async (holdsPermit: boolean) => {
    const applicant = await anybody(world, "Traveller");
    const { applicationId, number } = await must(world, startApplication, applicant, {
      roundId: rounds["MMH 1"] ?? "",
    });
    const told = { "visa.holds": holdsPermit, ...(holdsPermit ? { "visa.kind": "Student permit until 2029" } : {}) };
    await fillAny(world.runtime, applicant, applicationId, someone("Ana", "Vale"), told, {});
    const { result } = await lookAt(world, applicationId);
    const scope = result.choices[0]?.id ?? "";
    return { applicationId, number, place: { applicationId, requirement: "visaPapers", scope, entry: "" } };
  };
  const idOf = (actor: Actor) => (actor.kind === "person" ? actor.id : "");
  type Begun = Awaited<ReturnType<typeof begun>>;
  const submit = ({ place }: Begun) =>
    world.runtime.pool.query("update choice set submitted_at = $2 where id = $1", [place.scope, world.runtime.now()]);
  const acceptOffer = ({ place }: Begun) =>
    world.runtime.pool.query(
      `insert into decision (choice_id, kind, conditions, prepared_by_id, prepared_at, released_by_id, released_at, answer, answered_at)
       values ($1, 'offer', '[]', $2, $4, $3, $4, 'accepted', $4)`,
      [place.scope, idOf(officer), idOf(lead), world.runtime.now()],
    );
  const say = ({ place }: Begun, note = "Letter sent to the embassy") =>
    reasonOf(runAct(world.runtime, doDeed, officer, { ...place, note }));
  const seen = async ({ applicationId }: Begun) => {
    const { result } = await lookAt(world, applicationId);
    return {
      standing: result.requirements.find((r) => r.key === "visaPapers")?.standing,
      owed: result.file.owed.filter((s) => s.kind === "do").map((s) => [s.turn, s.requirement, s.due]),
    };
  };

  it("is owed by the office once the offer is accepted, and by nobody before", async () => {
    const file = await begun(false);
    expect(await seen(file)).toEqual({ standing: "missing", owed: [] });
    expect(await say(file)).toBe("locked");
    await submit(file);
    expect((await seen(file)).owed).toEqual([]);
    world.later(2 * DAY);
    await acceptOffer(file);
    // Two days after Wednesday the 25th, and five working days to see to it.
    expect((await seen(file)).owed).toEqual([["office", "visaPapers", "2026-12-04"]]);
  });

  it("is done with a word about what, once, and can be taken back", async () => {
    const file = await begun(false);
    await submit(file);
    await acceptOffer(file);
    const deeds = async () => (await readView(world.runtime, fileView, officer, { number: file.number }))?.deeds;
    expect(await say(file, "  ")).toBe("invalid-input");
    expect(await say(file)).toBe("ok");
    expect(await seen(file)).toEqual({ standing: "accepted", owed: [] });
    expect(await deeds()).toMatchObject([
      { requirement: "visaPapers", note: "Letter sent to the embassy", by: "Runa Okonjo" },
    ]);
    expect(await say(file)).toBe("already-done");
    expect(await reasonOf(runAct(world.runtime, undoDeed, officer, file.place))).toBe("ok");
    expect(await reasonOf(runAct(world.runtime, undoDeed, officer, file.place))).toBe("already-done");
    expect((await seen(file)).owed).toHaveLength(1);
    expect(await deeds()).toEqual([]);
  });

  it("is not needed from those who hold a permit", async () => {
    const file = await begun(true);
    await submit(file);
    expect((await seen(file)).standing).toBe("not needed");
    expect(await say(file)).toBe("not-found");
    expect(
      await reasonOf(runAct(world.runtime, doDeed, officer, { ...file.place, requirement: "cv", note: "x" })),
    ).toBe("not-found");
  });

  it("looks whether our own results are complete before anything is decided on somebody who studies here", async () => {
    const owed = async (ours: boolean) => {
      const applicant = await anybody(world, ours ? "Ours" : "Theirs");
      const { applicationId } = await must(world, startApplication, applicant, { roundId: rounds["PCS 1"] ?? "" });
      const told = { "status.ours": ours, ...(ours ? { "status.oursNumber": "S-20417" } : {}) };
      await fillAny(world.runtime, applicant, applicationId, someone("Ana", "Vale"), told, {});
      const scope = (await lookAt(world, applicationId)).result.choices[0]?.id;
      await world.runtime.pool.query("update choice set submitted_at = $2 where id = $1", [scope, world.runtime.now()]);
      const { result } = await lookAt(world, applicationId);
      const deeds = result.file.owed.filter((s) => s.kind === "do" && s.requirement !== "supervisor");
      return deeds.map((s) => [s.turn, s.requirement]);
    };
    expect(await owed(true)).toEqual([["office", "internalResults"]]);
    expect(await owed(false)).toEqual([]);
  });
});
