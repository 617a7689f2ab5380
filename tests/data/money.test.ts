import { randomUUID } from "node:crypto";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { startApplication } from "../../src/acts/application/start-application";
import { recordPayment, startPayment } from "../../src/acts/payments/payments";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { fillAny } from "../../src/demo/filling";
import { someone } from "../../src/demo/people";
import { supplyAny } from "../../src/demo/supplying";
import { document } from "../../src/views/evidence/document";
import { type MoneyKind, money } from "../../src/views/payments/money";
import { readingsOf, readView } from "../../src/views/view/view";
import { anybody, filledFile, lookAt } from "../support/files";
import { makePerson, must, openWorld, SYSTEM, type World } from "../support/world";

/** What finance sees: amounts by file, and what was said for finance alone. */
describe("the page of finance", () => {
  let world: World;
  let finance: Actor;
  const number: Record<string, string> = {};

  beforeAll(async () => {
    world = await openWorld("money");
    finance = await makePerson(world, "Inés Tollemache", ["finance"]);
    const { roundId, rounds } = await loadCatalogue(world.runtime, "2026-11-25");
    for (const [key, given] of [
      ["owing", "Ola"],
      ["paid", "Pia"],
    ] as const) {
      const { owner, applicationId } = await filledFile(world, roundId, someone(given, "Vale"));
      const { loaded } = await lookAt(world, applicationId);
      number[key] = loaded.facts.application.number;
      if (key === "owing") continue;
      const chargeId = loaded.facts.charges[0]?.id ?? "";
      const { paymentId } = await must(world, startPayment, owner, { applicationId, chargeId });
      await must(world, recordPayment, SYSTEM, { paymentId, providerKey: randomUUID(), result: "booked" });
    }
    applicant = await anybody(world, "Sam");
    const begun = await must(world, startApplication, applicant, { roundId: rounds["PCS 1"] ?? "" });
    const told = { "funding.wanted": true, "funding.own": "4200", "funding.people": "3", "sponsor.fellowship": true };
    await fillAny(world.runtime, applicant, begun.applicationId, someone("Sam", "Okafor"), told);
    number.said = begun.number;
    applicationId = begun.applicationId;
  });
  afterAll(() => world.close());
  let applicationId = "";
  let applicant: Actor;

  const page = async (kind: MoneyKind = "all", find = "", actor = finance) =>
    readView(world.runtime, money, actor, { kind, find });
  const numbers = async (kind: MoneyKind, find = "") => (await page(kind, find))?.rows.map((r) => r.number);

  it("lists what is owed and what is paid, with sums, and finds by reference, name and number", async () => {
    expect(await numbers("owed")).toContain(number.owing);
    expect(await numbers("owed")).not.toContain(number.paid);
    expect(await numbers("paid")).toEqual([number.paid]);
    const all = await page();
    const [row] = all?.rows.filter((r) => r.number === number.paid) ?? [];
    expect(row?.charges).toMatchObject([{ title: "Handling fee", minor: 6000, paidMinor: 6000, currency: "EUR" }]);
    expect(all?.sums.find((s) => s.currency === "EUR")).toMatchObject({ paidMinor: 6000 });
    expect(await numbers("all", row?.charges[0]?.reference ?? "")).toEqual([number.paid]);
    expect(await numbers("all", "Pía")).toEqual([number.paid]);
    expect(await numbers("all", number.owing)).toEqual([number.owing]);
    expect(await numbers("all", "nobody")).toEqual([]);
  });

  it("shows what was said for finance alone, once it is submitted, and leaves that it was read", async () => {
    expect((await page("said"))?.rows).toEqual([]);
    await world.runtime.pool.query("update choice set submitted_at = $2 where application_id = $1", [
      applicationId,
      world.runtime.now(),
    ]);
    const shown = await page("said");
    const said = shown?.rows[0]?.said.map((s) => `${s.title} ${s.text}`);
    expect(said).toContain("Funding: Own means for one year, in euros 4200 EUR");
    expect(said).toContain("Funding: People in your household 3");
    expect(JSON.stringify(shown)).not.toMatch(/birth|passport|@/iu);
    const rowsRead = readingsOf(money, finance, { kind: "said" }, shown);
    expect(rowsRead).toEqual([{ kind: "file opened", file: number.said }]);
  });

  it("opens the papers that its work needs, of submitted files, and no others", async () => {
    await supplyAny(world.runtime, applicant, applicationId, someone("Sam", "Okafor"));
    const papers = (await page("said"))?.rows[0]?.papers ?? [];
    expect(papers.map((p) => p.title)).toEqual(["Letter of the fellowship", "Income statement"]);
    const opens = async (uploadId: string, actor = finance) =>
      (await readView(world.runtime, document, actor, { uploadId }))?.requirement ?? null;
    expect(await opens(papers[0]?.uploadId ?? "")).toBe("fellowship");
    const { rows } = await world.runtime.pool.query<{ id: string }>(
      "select upload_id as id from evidence where application_id = $1 and requirement = 'passport'",
      [applicationId],
    );
    expect(await opens(rows[0]?.id ?? "")).toBeNull();
    const elsewhere = await makePerson(world, "Elsewhere Too", ["finance"], "FYC");
    expect(await opens(papers[0]?.uploadId ?? "", elsewhere)).toBeNull();
    await world.runtime.pool.query("update choice set submitted_at = null where application_id = $1", [applicationId]);
    expect(await opens(papers[0]?.uploadId ?? "")).toBeNull();
  });

  it("is for the finance of the programmes alone", async () => {
    expect(await page("all", "", await makePerson(world, "Officer", ["officer"]))).toBeNull();
    const elsewhere = await page("all", "", await makePerson(world, "Elsewhere", ["finance"], "FYC"));
    expect([elsewhere?.rows, elsewhere?.counts.all, elsewhere?.sums]).toEqual([[], 0, []]);
  });
});
