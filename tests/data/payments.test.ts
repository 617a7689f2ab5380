import { randomUUID } from "node:crypto";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { giveBack, recordPayment, startPayment } from "../../src/acts/payments/payments";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { readOrder, sign, simulatedCard } from "../../src/outside/card";
import { verifyAll } from "../../src/verify";
import { myApplication } from "../../src/views/application/my-application";
import { money } from "../../src/views/payments/money";
import { readView } from "../../src/views/view/view";
import { anybody, filledFile, lookAt } from "../support/files";
import { makePerson, must, openWorld, reasonOf, SYSTEM, type World } from "../support/world";

/** The fee of an overseas applicant, and a card service that answers late, twice, wrongly or not at all. */
describe("payments by card", () => {
  let world: World;
  let owner: Actor;
  let roundId = "";
  let applicationId = "";

  beforeAll(async () => {
    world = await openWorld("payments");
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    ({ owner, applicationId } = await filledFile(world, roundId));
  });

  const charges = async () => (await lookAt(world, applicationId)).loaded.facts.charges;
  const fee = async () => {
    const { result } = await lookAt(world, applicationId);
    return result.requirements.find((r) => r.kind === "fee")?.standing;
  };
  const start = async () => {
    const [charge] = await charges();
    return must(world, startPayment, owner, { applicationId, chargeId: charge?.id ?? "" });
  };
  const answer = (paymentId: string, result: "booked" | "declined" | "abandoned", providerKey: string = randomUUID()) =>
    must(world, recordPayment, SYSTEM, { paymentId, providerKey, result });

  it("begin with what is due, and settle it when they are booked", async () => {
    expect(await charges()).toMatchObject([{ minor: 6000, currency: "EUR", paidMinor: 0 }]);
    expect(await fee()).toBe("missing");
    const begun = await start();
    expect(begun).toMatchObject({ minor: 6000, currency: "EUR" });
    expect(await answer(begun.paymentId, "booked")).toEqual({ first: true });
    expect([await fee(), (await charges())[0]?.paidMinor]).toEqual(["accepted", 6000]);
    await expect(start()).rejects.toThrow("nothing-due");
  });

  it("begun in two windows are one, which is paid once", async () => {
    const [one, other] = await Promise.all([start(), start()]);
    expect(one.paymentId).toBe(other.paymentId);
    await answer(one.paymentId, "booked");
    await answer(other.paymentId, "booked");
    expect((await charges())[0]?.paidMinor).toBe(6000);
  });

  it("beyond what is due are given back by finance, never more, and both sides read it", async () => {
    const finance = await makePerson(world, "Inés Tollemache", ["finance"]);
    const officer = await makePerson(world, "Runa Okonjo", ["officer", "lead officer"]);
    const [charge] = await charges();
    const chargeId = charge?.id ?? "";
    const { paymentId } = await start();
    await answer(paymentId, "booked");
    const back = (by: Actor, minor: number, note = "Transfer of 3 December, 4471") =>
      reasonOf(runAct(world.runtime, giveBack, by, { applicationId, chargeId, minor, note }));
    expect(await back(finance, 1)).toBe("nothing-due");
    // A second window paid the same once more, before it could know.
    await world.runtime.pool.query(
      "insert into payment (charge_id, minor, currency, state, started_at, settled_at) values ($1, 6000, 'EUR', 'booked', $2, $2)",
      [chargeId, world.runtime.now()],
    );
    expect([await back(officer, 6000), await back(owner, 6000), await back(finance, 6001)]).toEqual([
      "not-yours",
      "not-yours",
      "nothing-due",
    ]);
    expect([await back(finance, 2000, " "), await back(finance, 2000), await back(finance, 4000)]).toEqual([
      "invalid-input",
      "ok",
      "ok",
    ]);
    expect(await back(finance, 1)).toBe("nothing-due");
    expect([await fee(), (await charges())[0]?.paidMinor]).toEqual(["accepted", 6000]);
    const { number } = (await lookAt(world, applicationId)).loaded.facts.application;
    const mine = await readView(world.runtime, myApplication, owner, { number });
    expect(mine?.events.filter((e) => e.act === "give-back")).toHaveLength(2);
    const row = (await readView(world.runtime, money, finance, { find: number }))?.rows[0];
    expect(row?.charges).toMatchObject([{ minor: 6000, paidMinor: 6000 }]);
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("count once, however often the service says so", async () => {
    const { paymentId } = await start();
    const both = await Promise.all([answer(paymentId, "booked", "same"), answer(paymentId, "booked", "same")]);
    expect(both.map((b) => b.first).sort()).toEqual([false, true]);
    expect(await answer(paymentId, "booked", "same")).toEqual({ first: false });
    expect((await charges())[0]?.paidMinor).toBe(6000);
    const { rows } = await world.runtime.pool.query(
      "select count(*)::int as n from event where application_id = $1 and act = 'record-payment'",
      [applicationId],
    );
    expect(rows[0]?.n).toBe(1);
  });

  it.each(["declined", "abandoned"] as const)(
    "that were %s leave the fee due, and another attempt open",
    async (how) => {
      const { paymentId } = await start();
      expect(await answer(paymentId, how)).toEqual({ first: true });
      expect(await fee()).toBe("missing");
      const again = await start();
      await answer(again.paymentId, "booked");
      expect(await fee()).toBe("accepted");
    },
  );

  it("once booked are not taken back by a late “declined”", async () => {
    const { paymentId } = await start();
    await answer(paymentId, "booked");
    expect(await answer(paymentId, "declined")).toEqual({ first: false });
    expect(await fee()).toBe("accepted");
  });

  it("whose money comes after all, once the payer was taken for gone, are booked", async () => {
    const { paymentId } = await start();
    await answer(paymentId, "abandoned");
    expect(await answer(paymentId, "booked")).toEqual({ first: true });
    expect(await fee()).toBe("accepted");
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("are begun by the applicant and answered by the service alone", async () => {
    const [charge] = await charges();
    const stranger = await anybody(world, "Stranger");
    expect(
      await runAct(world.runtime, startPayment, stranger, { applicationId, chargeId: charge?.id ?? "" }),
    ).toMatchObject({ ok: false });
    expect(await runAct(world.runtime, startPayment, owner, { applicationId, chargeId: randomUUID() })).toMatchObject({
      reason: "not-found",
    });
    const { paymentId } = await start();
    expect(
      await runAct(world.runtime, recordPayment, owner, { paymentId, providerKey: "mine", result: "booked" }),
    ).toMatchObject({ ok: false });
    expect(
      await runAct(world.runtime, recordPayment, SYSTEM, {
        paymentId: randomUUID(),
        providerKey: "x",
        result: "booked",
      }),
    ).toMatchObject({ reason: "not-found" });
    expect(await fee()).toBe("missing");
  });

  it("carry a signature that somebody without the secret cannot make", () => {
    const card = simulatedCard("the office's secret");
    const order = { paymentId: "p", minor: 6000, currency: "EUR", returnPath: "/my" };
    const page = new URL(card.pageFor(order), "http://127.0.0.1");
    const text = page.searchParams.get("order") ?? "";
    const signature = page.searchParams.get("signature") ?? "";
    expect(readOrder("the office's secret", text, signature)).toEqual(order);
    const cheaper = Buffer.from(JSON.stringify({ ...order, minor: 1 })).toString("base64url");
    expect(readOrder("the office's secret", cheaper, signature)).toBeNull();
    const body = JSON.stringify({ paymentId: "p", providerKey: "k", result: "booked" });
    expect(card.readAnswer(body, sign("the office's secret", body))).toMatchObject({ result: "booked" });
    expect(card.readAnswer(body, sign("another secret", body))).toBeNull();
    expect(card.readAnswer(body, "")).toBeNull();
  });
});
