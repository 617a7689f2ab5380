import { describe, expect, it } from "vitest";
import { NOW, office, person, SUBMITTED } from "../../../tests/support/sample-assessment";
import { type SampleChange, sampleFile, sampleRound, sampleRulebook } from "../../demo/sample-file";
import { assess } from "../assessment/assess";
import type { LoadedFile } from "../file/loaded-file";
import type { Instant } from "../ids";
import { fileTags, lastArrival, OPEN_STANDINGS, readTag, tagText } from "./file-tags";

const LATER = "2026-11-20T10:00:00.000Z" as Instant;
const LATEST = "2026-11-22T10:00:00.000Z" as Instant;

function loaded(change: SampleChange = {}): LoadedFile {
  const rulebooks = { [sampleRulebook.id]: sampleRulebook };
  return { facts: sampleFile(person(), change), asleep: [], rulebooks, rounds: { [sampleRound.id]: sampleRound } };
}
const at = Date.parse(NOW);
const tagsOf = (file: LoadedFile) => fileTags(file, assess({ ...file, office, at }));

describe("what a file can be narrowed down by", () => {
  it("is its programme, start, round, group and eligibility, and every requirement that is still open", () => {
    const file = loaded({ submittedAt: SUBMITTED, evidence: [{ requirement: "passport" }] });
    const tags = tagsOf(file);
    expect(tags).toEqual(
      expect.arrayContaining([
        "programme:MES",
        "start:2027-09-01",
        "round:round-1",
        "group:home",
        "standing:passport to check",
        "standing:certificate missing",
      ]),
    );
    const { requirements } = assess({ ...file, office, at });
    const open = requirements
      .filter((r) => OPEN_STANDINGS.includes(r.standing))
      .map((r) => `standing:${r.key} ${r.standing}`);
    expect(tags.filter((t) => t.startsWith("standing:"))).toEqual([...new Set(open)].sort());
    expect(tags.filter((t) => t.startsWith("eligibility:"))).toHaveLength(1);
  });

  it("leaves a choice that was withdrawn out while another one is live, and keeps it when none is", () => {
    const file = loaded({ submittedAt: SUBMITTED });
    const [choice] = file.facts.choices;
    if (!choice) throw new Error("no choice");
    const gone = { ...choice, id: "choice-2", programme: "MTE", withdrawnAt: LATER };
    const both = { ...file, facts: { ...file.facts, choices: [choice, gone] } };
    expect(tagsOf(both).filter((t) => t.startsWith("programme:"))).toEqual(["programme:MES"]);
    const none = { ...file, facts: { ...file.facts, choices: [{ ...choice, withdrawnAt: LATER }, gone] } };
    expect(tagsOf(none).filter((t) => t.startsWith("programme:"))).toEqual(["programme:MES", "programme:MTE"]);
  });

  it.each(["programme:MES", "standing:passport to check", "round:a:b"])("%s is read as it is written", (text) => {
    const tag = readTag(text);
    expect(tag && tagText(tag)).toBe(text);
  });

  it.each(["", "programme:", "colour:red", "programme", ":MES", "__proto__:x"])("%j is none", (text) => {
    expect(readTag(text)).toBeNull();
  });
});

describe("what came in last", () => {
  it("is nothing before anything was sent", () => {
    expect(lastArrival(loaded({ evidence: [{ requirement: "passport" }] }).facts)).toBeNull();
  });

  const charge = {
    id: "c",
    item: "handling",
    scope: "file",
    minor: 1,
    currency: "EUR",
    paidMinor: 1,
    announcedAt: null,
  };
  it.each<[string, SampleChange]>([
    ["the application", { submittedAt: LATEST }],
    ["a document", { submittedAt: SUBMITTED, evidence: [{ requirement: "passport", suppliedAt: LATEST }] }],
    [
      "a paper",
      {
        submittedAt: SUBMITTED,
        facts: { papers: [{ id: "p", requirement: "passport", scope: "file", entry: "", notedAt: LATEST }] },
      },
    ],
    ["money", { submittedAt: SUBMITTED, facts: { charges: [{ ...charge, paidAt: LATEST }] } }],
    [
      "a request for correction",
      { submittedAt: SUBMITTED, facts: { correctionRequests: [{ id: "r", askedAt: LATEST }] } },
    ],
  ])("is %s", (_, change) => {
    expect(lastArrival(loaded(change).facts)).toBe(LATEST);
  });
});
