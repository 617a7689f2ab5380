import { describe, expect, it } from "vitest";
import { NOW, office, person } from "../../../tests/support/sample-assessment";
import { sampleFile, sampleRound, sampleRulebook } from "../../demo/sample-file";
import { assessAndExplain } from "../assessment/explain";
import type { FileFacts } from "../file/facts";
import type { RequirementResult } from "../file/result";
import type { Instant } from "../ids";
import type { Standing } from "../rulebook/requirement";
import { standingFact } from "./standing-facts";

const stands = (...standings: readonly Standing[]) =>
  standings.map((standing) => ({ key: "letter", choices: ["one"], standing }) as unknown as RequirementResult); // nothing else is read

describe("how a requirement was settled, as a fact", () => {
  it.each<readonly [readonly Standing[], string]>([
    [[], "unknown"],
    [["missing"], "unknown"],
    [["promised"], "unknown"],
    [["to check"], "unknown"],
    [["returned"], "unknown"],
    [["accepted", "returned"], "unknown"],
    [["accepted"], "accepted"],
    [["not needed"], "not needed"],
    [["accepted", "not needed"], "accepted"],
    [["excused", "not needed", "accepted"], "excused"],
  ])("of entries that are %j is %s", (standings, expected) => {
    const fact = standingFact("letter", "one", stands(...standings));
    expect(fact.kind === "value" ? fact.value : fact.kind).toBe(expected);
  });

  it("is that of the choice which asks for it", () =>
    expect(standingFact("letter", "two", stands("accepted")).kind).toBe("unknown"));

  it("decides an entry rule, with its reason, as soon as it is settled and not before", () => {
    const rule = {
      key: "shown",
      title: { en: "Passport", fr: "Passeport" },
      rule: { op: "fact", fact: "requirement.passport", is: "equals", value: "accepted" },
      curable: null,
    } as const;
    const rulebook = { ...sampleRulebook, body: { ...sampleRulebook.body, entryRules: [rule] } };
    const found = (excuses: FileFacts["excuses"]) =>
      assessAndExplain({
        facts: { ...sampleFile(person()), excuses },
        rulebooks: { [rulebook.id]: rulebook },
        rounds: { [sampleRound.id]: sampleRound },
        office,
        at: Date.parse(NOW),
      }).choices[0]?.findings[0];
    expect(found([])).toMatchObject({ finding: "open", trace: { truth: "open", leaf: { seen: null } } });
    expect(found([{ requirement: "passport", scope: "file", entry: "", at: NOW as Instant }])).toMatchObject({
      finding: "not met",
      basis: "confirmed",
      trace: { leaf: { fact: "requirement.passport", seen: "excused" } },
    });
  });
});
