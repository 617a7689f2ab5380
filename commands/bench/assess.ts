import { assess } from "../../src/core/assessment/assess";
import { contexts } from "../../src/core/assessment/context";
import { findingsOf } from "../../src/core/assessment/findings";
import { makeOffice } from "../../src/core/office/reference-set";
import { AnswerIndex } from "../../src/core/sections/typed-facts";
import { referenceSet } from "../../src/demo/reference-set";
import { sampleRound, sampleRulebook } from "../../src/demo/sample-file";
import { benchFile, byHand, byLibrary, fifteenRules, plainFiles } from "./fifteen-rules";
import { report, time } from "./measure";

/** Files of 30 courses and 8 tests assessed per second on one core under 15 rules, beside a hand-written function of the same rules. */
export async function benchAssess(): Promise<void> {
  const facts = benchFile();
  const rulebook = { ...sampleRulebook, body: fifteenRules };
  const input = {
    facts,
    rulebooks: { [rulebook.id]: rulebook },
    rounds: { [sampleRound.id]: sampleRound },
    office: makeOffice(1, referenceSet),
    at: Date.parse("2026-11-25T09:00:00Z"),
  };
  let kept = 0;
  const floor = await time(15, () => {
    for (let round = 0; round < 500; round += 1) for (const file of plainFiles) kept += byHand(file) ? 1 : 0;
  });
  const floorPerSecond = (500 * 64 * 1000) / floor;
  if (!plainFiles.every(byHand) || !plainFiles.every(byLibrary))
    throw new Error("the rule library finds something else");
  const library = await time(9, () => {
    for (const file of plainFiles) kept += byLibrary(file) ? 1 : 0;
  });
  const libraryPerSecond = (64 * 1000) / library;
  const index = new AnswerIndex(facts);
  const rules = await time(15, () => {
    for (let i = 0; i < 500; i += 1)
      for (const context of contexts(facts, index, input.rulebooks, input.rounds, input.office))
        kept += findingsOf(context, []).length;
  });
  const whole = await time(15, () => {
    for (let i = 0; i < 500; i += 1) kept += assess(input).choices.length;
  });
  const line = (what: string, ms: number) => {
    const perSecond = 500_000 / ms;
    const ratio = floorPerSecond / perSecond;
    report(
      what,
      `${Math.round(perSecond)} a second (by hand ${Math.round(floorPerSecond)})`,
      ratio,
      "at most 15",
      ratio <= 15,
    );
  };
  line("the entry rules of a file, explained", rules);
  const explained = 500_000 / rules;
  report(
    "the same by a rule library, unexplained",
    `${Math.round(libraryPerSecond)} a second (ours ${Math.round(explained)})`,
    libraryPerSecond / explained,
    "below 1",
    libraryPerSecond < explained,
  );
  line("assess one file whole", whole);
  globalThis.gc?.();
  const before = process.memoryUsage().heapUsed;
  for (let i = 0; i < 200; i += 1) kept += assess(input).choices.length;
  const garbage = (process.memoryUsage().heapUsed - before) / 200 / 1024;
  report("garbage a file", `${garbage.toFixed(1)} kB`, garbage / 15, "at most 1 (15 kB)", garbage <= 15);
  if (kept < 0) process.stdout.write("never\n");
}
