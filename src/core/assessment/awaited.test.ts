import { describe, expect, it } from "vitest";
import { courses, type ProfileChange, someone } from "../../demo/people";
import { referenceSet } from "../../demo/reference-set";
import { mmh } from "../../demo/rulebooks/mmh";
import { sampleFile, sampleRound, sampleRulebook } from "../../demo/sample-file";
import type { FileFacts } from "../file/facts";
import type { Instant } from "../ids";
import type { Rulebook } from "../rulebook/rulebook";
import { makeOffice } from "../standards/reference-set";
import { assess } from "./assess";

const office = makeOffice(1, referenceSet);
const SUBMITTED = "2026-11-20T09:00:00.000Z" as Instant;

function awaited(change: ProfileChange, facts: Partial<FileFacts> = {}, rulebook: Rulebook = sampleRulebook) {
  const file = sampleFile(someone("Ilse", "Maarteen-Quist", { citizenships: ["IE"], residence: "IE", ...change }), {
    submittedAt: SUBMITTED,
    facts,
  });
  const on = { ...file, choices: file.choices.map((c) => ({ ...c, rulebookId: rulebook.id })) };
  return assess({
    facts: on,
    rulebooks: { [rulebook.id]: rulebook },
    rounds: { [sampleRound.id]: sampleRound },
    office,
    at: Date.parse("2026-11-25T09:00:00Z"),
  }).awaited.map((a) => `${a.kind}: ${a.about}${a.due ? ` by ${a.due}` : ""}`);
}

describe("what is still to come in a file", () => {
  it("is nothing where everything is there", () => expect(awaited({})).toEqual([]));

  it("a degree that still runs, by the day on which it is expected", () =>
    expect(awaited({ degree: { status: "in progress", end: "2027-07-10" } })).toEqual([
      "degree: BSc Coastal Science by 2027-07-10",
    ]));

  it("running courses, together", () => {
    expect(awaited({ courses: courses(["15"], 1) })).toEqual(["courses: Bachelor thesis"]);
    expect(awaited({ courses: courses(["15"], 3) })).toEqual(["courses: Bachelor seminar and 2 more"]);
  });

  it("a pending test result", () =>
    expect(awaited({ english: { way: "test", test: "het", date: "2026-11-10", expected: "2026-12-04" } })).toEqual([
      "result: HET, Harbour English Test by 2026-12-04",
    ]));

  it("a paper that ends within the first year of study, and none that lasts longer", () => {
    // Studies begin on 1 September 2027.
    expect(awaited({ passportExpiry: "2028-09-02" })).toEqual([]);
    expect(awaited({ passportExpiry: "2028-09-01" })).toEqual(["paper ends: passport by 2028-09-01"]);
  });

  it("a test that misses its minimum in one part alone, and no other", () => {
    const heritage: Rulebook = { id: "mmh-1", version: 1, body: mmh };
    const scored = (W: string, S = "40") =>
      awaited(
        { english: { way: "test", test: "het", date: "2026-10-03", scores: { L: "41", R: "43", W, S } } },
        {},
        heritage,
      );
    expect(scored("42")).toEqual([]);
    expect(scored("36")).toEqual(["one part short: HET W: 36, 40 needed"]);
    expect(scored("36", "30")).toEqual([]);
  });

  it("is not looked for before submission, nor in what is closed", () => {
    const running = { degree: { status: "in progress", end: "2027-07-10" } } as const;
    expect(
      awaited(running, { application: { ...sampleFile(someone("A", "B")).application, withdrawnAt: SUBMITTED } }),
    ).toEqual([]);
    const file = sampleFile(someone("A", "B", running));
    const { awaited: before } = assess({
      facts: file,
      rulebooks: { [sampleRulebook.id]: sampleRulebook },
      rounds: { [sampleRound.id]: sampleRound },
      office,
      at: Date.parse("2026-11-25T09:00:00Z"),
    });
    expect(before).toEqual([]);
  });
});
