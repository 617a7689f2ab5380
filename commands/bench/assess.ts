import jsonLogic from "json-logic-js";
import { assess } from "../../src/core/assessment/assess";
import { contexts } from "../../src/core/assessment/context";
import type { FileFacts } from "../../src/core/assessment/facts";
import { findingsOf } from "../../src/core/assessment/findings";
import { makeOffice } from "../../src/core/office/reference-set";
import { AnswerIndex } from "../../src/core/sections/typed-facts";
import { courses, someone } from "../../src/demo/people";
import { referenceSet } from "../../src/demo/reference-set";
import { sampleFile, sampleRound, sampleRulebook } from "../../src/demo/sample-file";
import { report, time } from "./measure";

interface Plain {
  readonly level: number;
  readonly status: string;
  readonly grade: string;
  readonly courses: readonly { readonly credits: string; readonly area: string; readonly status: string }[];
  readonly scores: Readonly<Record<string, string>>;
}

/** The same five rules by hand, as booleans on binary fractions, over records that hold what people typed: the floor. */
function byHand(file: Plain): boolean {
  let all = 0;
  let natural = 0;
  for (const course of file.courses) {
    if (course.status !== "completed") continue;
    all += Number(course.credits);
    if (course.area === "natural") natural += Number(course.credits);
  }
  const grade = Math.floor((1 + (3 * (20 - Number(file.grade))) / 10) * 10) / 10;
  let total = 0;
  let least = 99;
  for (const part in file.scores) {
    const score = Number(file.scores[part]);
    total += score;
    if (score < least) least = score;
  }
  const degree = file.level >= 6 && file.status === "completed";
  return degree && all >= 180 && natural >= 20 && grade <= 2.5 && total / 4 >= 37.5 && least >= 34;
}

const completed = { "==": [{ var: "status" }, "completed"] };
const creditsOf = (which: unknown) => ({
  reduce: [
    { filter: [{ var: "courses" }, which] },
    { "+": [{ "+": [{ var: "current.credits" }] }, { var: "accumulator" }] },
    0,
  ],
});
const SCORES = ["L", "R", "W", "S"].map((part) => ({ "+": [{ var: `scores.${part}` }] }));

/** The same rules for a general rule library: they say no more than yes or no. */
const LOGIC = {
  and: [
    { ">=": [{ var: "level" }, 6] },
    completed,
    { ">=": [creditsOf(completed), 180] },
    { ">=": [creditsOf({ and: [completed, { "==": [{ var: "area" }, "natural"] }] }), 20] },
    { "<=": [{ "+": [1, { "/": [{ "*": [3, { "-": [20, { "+": [{ var: "grade" }] }] }] }, 10] }] }, 2.59] },
    { ">=": [{ "/": [{ "+": SCORES }, 4] }, 37.5] },
    { ">=": [{ min: SCORES }, 34] },
  ],
} as jsonLogic.RulesLogic;

/** Files assessed per second on one core, beside a hand-written function of the same rules. */
export async function benchAssess(): Promise<void> {
  const many = [...courses(["16", "14", "15"]), ...courses(["16", "14", "15"]).slice(0, 7)];
  const facts: FileFacts = sampleFile(
    someone("Bench", "Mark", {
      courses: many,
      english: { way: "test", test: "het", date: "2026-10-01", scores: { L: "41", R: "43", W: "38", S: "40" } },
    }),
    {
      submittedAt: "2026-11-20T09:00:00.000Z" as never,
      evidence: ["passport", "certificate", "transcript", "motivation", "english"].map((requirement) => ({
        requirement,
        judgement: "accepted" as const,
      })),
    },
  );
  const input = {
    facts,
    rulebooks: { [sampleRulebook.id]: sampleRulebook },
    rounds: { [sampleRound.id]: sampleRound },
    office: makeOffice(1, referenceSet),
    at: Date.parse("2026-11-25T09:00:00Z"),
  };
  const hand: Plain[] = Array.from({ length: 64 }, (_, i) => ({
    level: 6,
    status: "completed",
    grade: String(15 + (i % 5)),
    courses: many.map((c) => ({ credits: c.credits, area: c.area, status: c.status })),
    scores: { L: "41", R: "43", W: "38", S: String(34 + (i % 3)) },
  }));
  let kept = 0;
  const floor = await time(15, () => {
    for (let round = 0; round < 500; round += 1) for (const file of hand) kept += byHand(file) ? 1 : 0;
  });
  const floorPerSecond = (500 * 64 * 1000) / floor;
  if (!hand.every((file) => jsonLogic.apply(LOGIC, file) === byHand(file)))
    throw new Error("the rule library finds something else");
  const library = await time(9, () => {
    for (const file of hand) kept += jsonLogic.apply(LOGIC, file) === true ? 1 : 0;
  });
  const libraryPerSecond = (64 * 1000) / library;
  const index = new AnswerIndex(facts);
  const rules = await time(15, () => {
    for (let i = 0; i < 500; i += 1)
      for (const context of contexts(facts, index, input.rulebooks, input.rounds, input.office))
        kept += findingsOf(context).length;
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
  line("assess one file whole, 30 courses", whole);
  globalThis.gc?.();
  const before = process.memoryUsage().heapUsed;
  for (let i = 0; i < 200; i += 1) kept += assess(input).choices.length;
  const garbage = (process.memoryUsage().heapUsed - before) / 200 / 1024;
  report("garbage a file", `${garbage.toFixed(1)} kB`, garbage / 15, "at most 1 (15 kB)", garbage <= 15);
  if (kept < 0) process.stdout.write("never\n");
}
