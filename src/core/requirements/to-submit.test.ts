import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { RequirementResult } from "../file/result";
import { atLeastProof, MOMENTS, PROOF_LEVELS, reachedBy, STANDINGS } from "../rulebook/requirement";
import { enoughToSubmit, isSettled } from "./to-submit";

describe("what may be submitted", () => {
  const result = (toSubmit: RequirementResult["toSubmit"], at: RequirementResult["standing"]) =>
    ({ kind: "document", toSubmit, standing: at }) as RequirementResult; // nothing else is read
  const ORDER = ["promised", "to check", "accepted"] as const;

  it("is everything where the rulebook does not say", () => {
    for (const at of STANDINGS) expect(enoughToSubmit(result(null, at))).toBe(true);
  });
  it.each([
    ["promised", ["promised", "to check", "accepted", "excused", "not needed"]],
    ["to check", ["to check", "accepted", "excused", "not needed"]],
    ["accepted", ["accepted", "excused", "not needed"]],
  ] as const)("with at least %s is %j", (least, enough) =>
    expect(STANDINGS.filter((at) => enoughToSubmit(result(least, at)))).toEqual(enough),
  );
  it("with sections whose lines a registry still has to give", () => {
    const given = { ...result("to check", "promised"), kind: "sections" } as RequirementResult; // nothing else is read
    expect(enoughToSubmit(given)).toBe(true);
  });
  it("grows with what is asked less, and holds all that is settled", () => {
    fc.assert(
      fc.property(fc.nat(1), fc.constantFrom(...STANDINGS), (i, at) => {
        if (enoughToSubmit(result(ORDER[i + 1] ?? null, at)))
          expect(enoughToSubmit(result(ORDER[i] ?? null, at))).toBe(true);
        if (isSettled(result(null, at))) expect(enoughToSubmit(result("accepted", at))).toBe(true);
      }),
    );
  });
});

describe("moments and proofs are ordered", () => {
  it("each is reached by itself and by all that follow", () => {
    MOMENTS.forEach((a, i) => {
      MOMENTS.forEach((b, k) => {
        expect(reachedBy(a, b)).toBe(i <= k);
      });
    });
    PROOF_LEVELS.forEach((a, i) => {
      PROOF_LEVELS.forEach((b, k) => {
        expect(atLeastProof(a, b)).toBe(i >= k);
      });
    });
  });
});
