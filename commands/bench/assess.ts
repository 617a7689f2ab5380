import { AnswerIndex } from "../../src/core/answers/answer-index";
import { assess } from "../../src/core/assessment/assess";
import { contexts } from "../../src/core/assessment/context";
import { explainFindings } from "../../src/core/assessment/explain";
import { findingsOf } from "../../src/core/assessment/findings";
import { makeOffice } from "../../src/core/standards/reference-set";
import { referenceSet } from "../../src/demo/reference-set";
import { sampleRound, sampleRulebook } from "../../src/demo/sample-file";
import { benchFile, byHand, byLibrary, fifteenRules, type Plain, plainFiles } from "./fifteen-rules";
import { garbageOf, report, timeTogether } from "./measure";

/** As many more files go through the hand-written rules in one turn, which would else be too short to be measured. */
const HAND = 20;

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
  if (!plainFiles.every(byHand) || !plainFiles.every(byLibrary))
    throw new Error("the rule library finds something else");
  let kept = 0;
  const index = new AnswerIndex(facts);
  const files = 320;
  const judge = () => {
    for (const context of contexts(facts, index, input.rulebooks, input.rounds, input.office, input.at))
      kept += findingsOf(context, []).length;
  };
  const explain = () => {
    for (const context of contexts(facts, index, input.rulebooks, input.rounds, input.office, input.at))
      kept += explainFindings(context, findingsOf(context, [])).length;
  };
  const assessWhole = () => {
    kept += assess(input).choices.length;
  };
  const [floor, rules, explained, whole, library] = timeTogether(41, [
    () => {
      for (let i = 0; i < files * HAND; i += 1) kept += byHand(plainFiles[i % plainFiles.length] as Plain) ? 1 : 0;
    },
    () => {
      for (let i = 0; i < files; i += 1) judge();
    },
    () => {
      for (let i = 0; i < files; i += 1) explain();
    },
    () => {
      for (let i = 0; i < files; i += 1) assessWhole();
    },
    () => {
      for (let i = 0; i < files; i += 1) kept += byLibrary(plainFiles[i % plainFiles.length] as Plain) ? 1 : 0;
    },
  ]);
  if (!floor || !rules || !explained || !whole || !library) throw new Error("nothing was measured");
  const perSecond = (ms: number) => Math.round((files * 1000) / ms);
  const line = (what: string, { ms, ratio }: typeof rules, most: number) => {
    const times = ratio * HAND;
    const speed = `${perSecond(ms)} a second (by hand ${perSecond(floor.ms) * HAND})`;
    report(what, speed, times, `at most ${most}`, times <= most);
  };
  line("the verdicts of a file's entry rules", rules, 4);
  line("the same, explained", explained, 15);
  report(
    "the same by a rule library, unexplained",
    `${perSecond(library.ms)} a second (ours ${perSecond(rules.ms)})`,
    rules.ratio / library.ratio,
    "below 1",
    rules.ratio < library.ratio,
  );
  line("assess one file whole", whole, 15);
  const garbage = (what: string, work: () => void) => {
    const kB = garbageOf(work) / 1024;
    report(what, `${kB.toFixed(1)} kB`, kB / 10, "at most 1 (10 kB)", kB <= 10);
  };
  garbage("garbage of the verdicts", judge);
  garbage("garbage of one file whole", assessWhole);
  if (kept < 0) process.stdout.write("never\n");
}
