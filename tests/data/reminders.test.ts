import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { remindDrafts } from "../../src/acts/application/remind-drafts";
import { extendChoice } from "../../src/acts/catalogue/rounds";
import { loadCatalogue } from "../../src/demo/catalogue";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { runJob } from "../../src/jobs/handlers";
import { renderMail } from "../../src/text/words/render-mail";
import { begunFile, filledFile, lookAt, submittedFile } from "../support/files";
import { DAY, makePerson, must, NO_REGISTRY, openWorld, SYSTEM, type World } from "../support/world";

/** Drafts whose round closes soon. */
describe("a reminder before the closing", () => {
  let world: World;
  let roundId: string;
  let first: string;
  beforeAll(async () => {
    world = await openWorld("reminders");
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
    first = (await filledFile(world, roundId)).applicationId;
    await submittedFile(world, roundId, "Sent");
  });
  afterAll(() => world.close());

  const mails = async () =>
    (
      await world.runtime.pool.query<{ id: string; locale: "en" | "fr"; values: Record<string, string> }>(
        "select application_id as id, locale, values from message where template = 'draft-closes' order by queued_at, id",
      )
    ).rows;
  const closing = async (id: string) => Date.parse((await lookAt(world, id)).result.choices[0]?.closesAt ?? "");
  const moveBefore = async (id: string, ms: number) => world.at(new Date((await closing(id)) - ms).toISOString());

  it("is not sent while there is time", async () => {
    await moveBefore(first, 8 * DAY);
    expect(await must(world, remindDrafts, SYSTEM, {})).toEqual({ told: 0 });
  });

  it("is sent once a week before, says what is missing and until when, and never for what was submitted", async () => {
    await moveBefore(first, 6 * DAY);
    expect(await must(world, remindDrafts, SYSTEM, {})).toEqual({ told: 1 });
    expect(await must(world, remindDrafts, SYSTEM, {})).toEqual({ told: 0 });
    const [mail] = await mails();
    expect(mail?.id).toBe(first);
    const missing = (await lookAt(world, first)).result.choices[0]?.missing.length;
    const { subject, body } = renderMail("en", "draft-closes", mail?.values ?? {}, "https://apply.example");
    expect(subject).toBe(`No. ${mail?.values.number} closes soon`);
    expect(body).toContain(`${missing} parts are not complete yet.`);
    expect(body).toMatch(/until 19 Dec 2026, 18:00/u);
  });

  it("is sent a second time a day before, also to those who began late", async () => {
    await moveBefore(first, DAY / 2);
    const late = await begunFile(world, roundId);
    await must(world, remindDrafts, SYSTEM, {});
    const ids = (await mails()).map((m) => m.id);
    expect(ids.filter((id) => id === first)).toHaveLength(2);
    // Their group is not known yet: the earlier closing counts.
    expect(ids.filter((id) => id === late.applicationId)).toHaveLength(1);
  });

  it("counts from somebody's own closing", async () => {
    const officer = await makePerson(world, "Officer", ["officer"]);
    const extended = await begunFile(world, roundId);
    const choiceId = (await lookAt(world, extended.applicationId)).result.choices[0]?.id ?? "";
    const until = new Date((await closing(extended.applicationId)) + 20 * DAY).toISOString();
    await must(world, extendChoice, officer, { applicationId: extended.applicationId, choiceId, until, reason: "Ill" });
    await runJob(
      {
        runtime: world.runtime,
        mail: { send: () => Promise.resolve({ result: "sent" }) },
        registry: NO_REGISTRY,
        workshop: IN_PLACE,
        baseUrl: "",
      },
      "remind-drafts",
      {},
    );
    expect((await mails()).some((m) => m.id === extended.applicationId)).toBe(false);
    world.at(new Date(Date.parse(until) - 3 * DAY).toISOString());
    await must(world, remindDrafts, SYSTEM, {});
    expect((await mails()).filter((m) => m.id === extended.applicationId)).toHaveLength(1);
  });
});
