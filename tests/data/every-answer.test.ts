import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { changeChoice } from "../../src/acts/application/change-choices";
import { startApplication } from "../../src/acts/application/start-application";
import { recordPayment, startPayment } from "../../src/acts/payments/payments";
import type { LoadedFile } from "../../src/core/file/loaded-file";
import type { RequirementResult } from "../../src/core/file/result";
import { forApplicants } from "../../src/core/rulebook/section";
import { factNames } from "../../src/core/rules/names";
import { loadCatalogue } from "../../src/demo/catalogue";
import { fillAny } from "../../src/demo/filling";
import { someone } from "../../src/demo/people";
import { seeded } from "../../src/demo/picker";
import { supplyAny } from "../../src/demo/supplying";
import { verifyAll } from "../../src/verify";
import { anybody, lookAt } from "../support/files";
import { must, openWorld, SYSTEM, type World } from "../support/world";

/**
 * Every form is answered in full and by chance, what nobody has to answer included: over the seeds each yes or no goes both ways, and each
 * paper that hangs on an answer is asked of some and not of others.
 */
const LETTERS = "ABCDEFGHIJ";
const SEEDS = [...LETTERS].map((_, seed) => seed);

/** Where somebody lives and from where they come decides as much as what they answer. */
const PEOPLE = [
  { citizenships: ["IE"], residence: "IE", country: "IE" },
  { citizenships: ["SN"], residence: "FR", country: "FR" },
  { citizenships: ["JP"], residence: "JP", country: "JP" },
] as const;

describe("forms that are answered in full, by chance", () => {
  let world: World;
  let rounds: Readonly<Record<string, string>> = {};

  beforeAll(async () => {
    world = await openWorld("every_answer");
    ({ rounds } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());

  const pay = async (applicationId: string, applicant: Parameters<typeof must>[2]) => {
    const { loaded } = await lookAt(world, applicationId);
    for (const { id: chargeId, minor, paidMinor } of loaded.facts.charges) {
      if (minor <= paidMinor) continue;
      const { paymentId } = await must(world, startPayment, applicant, { applicationId, chargeId });
      await must(world, recordPayment, SYSTEM, { paymentId, providerKey: paymentId, result: "booked" });
    }
  };

  /** One application, filled by the seed, with all that it is then asked for. */
  const answered = async (round: string, seed: number) => {
    const applicant = await anybody(world, `Seed${seed} ${round}`);
    const { applicationId } = await must(world, startApplication, applicant, { roundId: rounds[round] ?? "" });
    const who = someone("Ana", `Vale-${LETTERS[seed]}`, {
      ...PEOPLE[(seed >> 1) % PEOPLE.length],
      birthDate: seed % 2 === 0 ? "2001-04-11" : "2010-02-03",
      email: `seed.${seed}.${round.replaceAll(" ", "-")}@people.example`.toLowerCase(),
    });
    const [choice] = (await lookAt(world, applicationId)).loaded.facts.choices;
    if (round.startsWith("MTE"))
      await must(world, changeChoice, applicant, {
        applicationId,
        choiceId: choice?.id ?? "",
        tracks: seed % 2 === 0 ? ["one-year", "two-year"] : ["two-year"],
      });
    await fillAny(world.runtime, applicant, applicationId, who, {}, {}, seeded(seed));
    await supplyAny(world.runtime, applicant, applicationId, who);
    await pay(applicationId, applicant);
    return { applicant, applicationId, ...(await lookAt(world, applicationId)) };
  };

  it.each([
    ["MES 1", "2026-11-25"],
    ["MTE 1", "2026-11-25"],
    ["PCS 1", "2026-11-25"],
    ["FYC rolling", "2026-11-25"],
    ["BHT 1", "2026-11-25"],
    ["MMH 1", "2026-11-25"],
    ["BMR 1", "2026-10-10"],
    ["GBC 1", "2026-10-10"],
  ])("%s", async (round, day) => {
    world.at(`${day}T10:00:00.000Z`);
    const all: { loaded: LoadedFile; requirements: readonly RequirementResult[] }[] = [];
    for (const seed of SEEDS) {
      const { loaded, result } = await answered(round, seed);
      expect([round, seed, result.requirements.flatMap((r) => (r.kind === "sections" ? r.gaps : []))]).toEqual([
        round,
        seed,
        [],
      ]);
      all.push({ loaded, requirements: result.requirements });
    }
    const [first] = all;
    const body = Object.values(first?.loaded.rulebooks ?? {})[0]?.body;
    const given = (section: string, field: string) =>
      all.flatMap(({ loaded }) =>
        loaded.facts.answers.filter((a) => a.section === section && a.field === field).map((a) => a.value),
      );
    const unanswered = (body?.sections ?? [])
      .map(forApplicants)
      .flatMap((s) => s.fields.filter((f) => given(s.key, f.key).length === 0).map((f) => `${s.key}.${f.key}`));
    const oneWay = (body?.sections ?? [])
      .map(forApplicants)
      .flatMap((s) =>
        s.fields
          .filter(
            (f) => f.kind === "yesNo" && new Set(given(s.key, f.key).filter((v) => typeof v === "boolean")).size < 2,
          )
          .map((f) => `${s.key}.${f.key}`),
      );
    const papers = (body?.requirements ?? [])
      .filter(
        (r) => r.kind === "document" && r.when !== undefined && factNames(r.when).some((f) => !f.startsWith("choice.")),
      )
      .flatMap((r) => {
        const asked = all.map(({ requirements }) =>
          requirements.some((q) => q.key === r.key && q.standing !== "not needed"),
        );
        return asked.includes(true) && asked.includes(false) ? [] : [`${r.key} ${asked.join()}`];
      });
    expect({ unanswered, oneWay, papers }).toEqual({ unanswered: [], oneWay: [], papers: [] });
  });

  it("stand in the database just as they are assessed anew", async () => {
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });
});
