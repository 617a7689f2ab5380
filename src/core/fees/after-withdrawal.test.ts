import { describe, expect, it } from "vitest";
import { someone } from "../../demo/people";
import { mes } from "../../demo/rulebooks/mes";
import { sampleFile } from "../../demo/sample-file";
import type { Instant } from "../ids";
import { chargeAfterWithdrawal, isWithdrawn, withdrawnFee } from "./after-withdrawal";

const AT = "2026-11-25T09:00:00.000Z" as Instant;
const sample = sampleFile(someone("Ana", "Vale"));
const [one] = sample.choices;
if (!one) throw new Error("no choice");
const two = { ...one, id: "choice-2" };
const gone = { ...one, withdrawnAt: AT };

describe("a fee after withdrawal", () => {
  it.each([
    ["unpaid, kept", 6000, 0, "kept", 0],
    ["unpaid, returned", 6000, 0, "returned", 0],
    ["paid, kept", 6000, 6000, "kept", 6000],
    ["paid, returned", 6000, 6000, "returned", 0],
    ["paid in part, kept", 6000, 2500, "kept", 2500],
    ["paid too much, kept: the rest goes back", 6000, 7000, "kept", 6000],
  ] as const)("%s", (_, minor, paidMinor, rule, expected) =>
    expect(chargeAfterWithdrawal({ minor, paidMinor }, rule)).toBe(expected),
  );

  it.each([
    ["the choice that was withdrawn", [gone, two], "choice-1", true],
    ["a choice that runs", [gone, two], "choice-2", false],
    ["the file while a choice runs", [gone, two], "file", false],
    ["the file of which every choice was withdrawn", [gone], "file", true],
  ])("%s", (_, choices, scope, expected) => expect(isWithdrawn({ ...sample, choices }, scope)).toBe(expected));

  it("everything of an application that was withdrawn", () =>
    expect(isWithdrawn({ ...sample, application: { ...sample.application, withdrawnAt: AT } }, "choice-1")).toBe(true));

  it("the rulebooks say it; of two that differ the better one counts", () => {
    const returned = { ...mes, fees: mes.fees.map((f) => ({ ...f, whenWithdrawn: "returned" as const })) };
    const [fee] = mes.fees;
    const a = { id: "a", version: 1, body: mes };
    const b = { id: "b", version: 1, body: returned };
    expect(withdrawnFee({ a }, fee?.key ?? "")).toBe("kept");
    expect(withdrawnFee({ a, b }, fee?.key ?? "")).toBe("returned");
  });
});
