import { assess } from "../../src/core/assessment/assess";
import type { FileFacts } from "../../src/core/assessment/facts";
import { makeOffice } from "../../src/core/office/reference-set";
import { courses, someone } from "../../src/demo/people";
import { referenceSet } from "../../src/demo/reference-set";
import { sampleFile, sampleRound, sampleRulebook } from "../../src/demo/sample-file";
import { report, time } from "./measure";

/** The same five rules by hand, as booleans on numbers that are ready: the floor. */
function byHand(file: {
  readonly level: number;
  readonly done: boolean;
  readonly credits: readonly number[];
  readonly natural: readonly boolean[];
  readonly grade: number;
  readonly scores: readonly number[];
}): boolean {
  let all = 0;
  let natural = 0;
  for (let i = 0; i < file.credits.length; i += 1) {
    all += file.credits[i] ?? 0;
    if (file.natural[i]) natural += file.credits[i] ?? 0;
  }
  const grade = Math.floor((1 + (3 * (20 - file.grade)) / 10) * 10) / 10;
  let total = 0;
  let least = 99;
  for (const score of file.scores) {
    total += score;
    if (score < least) least = score;
  }
  return (
    file.level >= 6 && file.done && all >= 180 && natural >= 20 && grade <= 2.5 && total / 4 >= 37.5 && least >= 34
  );
}

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
  const hand = {
    level: 6,
    done: true,
    credits: many.map((c) => Number(c.credits)),
    natural: many.map((c) => c.area === "natural"),
    grade: 15.5,
    scores: [41, 43, 38, 40],
  };
  let kept = 0;
  const floor = await time(15, () => {
    for (let i = 0; i < 200_000; i += 1) kept += byHand({ ...hand, grade: 15 + (i % 5) }) ? 1 : 0;
  });
  const whole = await time(15, () => {
    for (let i = 0; i < 500; i += 1) kept += assess(input).choices.length;
  });
  const perSecond = 500_000 / whole;
  const ratio = 200_000_000 / floor / perSecond;
  report(
    "assess one file, 30 courses, explained",
    `${Math.round(perSecond)} files a second`,
    ratio,
    "at most 15",
    ratio <= 15,
  );
  globalThis.gc?.();
  const before = process.memoryUsage().heapUsed;
  for (let i = 0; i < 200; i += 1) kept += assess(input).choices.length;
  const garbage = (process.memoryUsage().heapUsed - before) / 200 / 1024;
  report("garbage a file", `${garbage.toFixed(1)} kB`, garbage / 15, "at most 1 (15 kB)", garbage <= 15);
  if (kept < 0) process.stdout.write("never\n");
}
