import { describe, expect, it } from "vitest";
import { NOW, office, person } from "../../../tests/support/sample-assessment";
import { gbc } from "../../demo/rulebooks/gbc";
import { sampleFile, sampleRound } from "../../demo/sample-file";
import { prepare } from "../assessment/assess";
import type { FeeItem } from "../rulebook/fee-item";
import type { RulebookBody } from "../rulebook/rulebook";
import type { Condition } from "../rules/condition";
import { feesDue } from "./fees-due";

const YES: Condition = { op: "fact", fact: "choice.rank", is: "equals", value: 1 };
const NO: Condition = { op: "not", of: YES };
/** Nobody has said it yet. */
const OPEN: Condition = { op: "fact", fact: "answers.nobody.asks", is: "equals", value: true };

const amounts = (home: number) => [{ group: "home", minor: home }];
const item = (reductions?: FeeItem["reductions"], more: Partial<FeeItem> = {}): FeeItem => ({
  key: "fee",
  title: { en: "Fee", fr: "Frais" },
  per: "choice",
  currency: "EUR",
  amounts: amounts(6000),
  ...(reductions ? { reductions } : {}),
  ...more,
});
const reduction = (en: string, when: Condition, home: number) => ({
  title: { en, fr: en },
  when,
  amounts: amounts(home),
});

function due(fees: RulebookBody["fees"], profile = person()) {
  const rulebook = { id: "mes-1", version: 1, body: { ...gbc, fees } };
  const { all } = prepare({
    facts: sampleFile(profile),
    rulebooks: { [rulebook.id]: rulebook },
    rounds: { [sampleRound.id]: sampleRound },
    office,
    at: Date.parse(NOW),
  });
  return feesDue(all).map((f) => [f.amount.minor, f.reduction?.en ?? null]);
}

describe("what is due", () => {
  it.each<readonly [string, FeeItem, readonly (readonly [number, string | null])[]]>([
    ["the whole where nothing is said of less", item(), [[6000, null]]],
    ["the whole where no reduction is met", item([reduction("Half", NO, 3000)]), [[6000, null]]],
    ["the whole while nobody knows whether one is", item([reduction("Half", OPEN, 3000)]), [[6000, null]]],
    ["what a reduction says", item([reduction("Half", YES, 3000)]), [[3000, "Half"]]],
    [
      "what the first that is met says, not the lowest",
      item([reduction("Third", NO, 2000), reduction("Half", YES, 3000), reduction("Sixth", YES, 1000)]),
      [[3000, "Half"]],
    ],
    ["nothing where that is nothing", item([reduction("Free", YES, 0)]), []],
    ["nothing where a reduction does not name the group", item([{ ...reduction("Free", YES, 0), amounts: [] }]), []],
    ["nothing of what is not asked for", item([reduction("Half", YES, 3000)], { when: NO }), []],
  ])("is %s", (_, fee, expected) => expect(due([fee])).toEqual(expected));

  it("is less for whoever is under 25 at the start, to the day", () => {
    const born = (birthDate: string) => due(gbc.fees, person({ birthDate }));
    expect(born("2002-09-01")).toEqual([[2500, null]]);
    expect(born("2002-09-02")).toEqual([[1000, "Under 25 at the start"]]);
  });
});
