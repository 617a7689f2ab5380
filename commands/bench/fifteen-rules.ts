import jsonLogic from "json-logic-js";
import type { AnswerFact, FileFacts } from "../../src/core/file/facts";
import type { RulebookBody } from "../../src/core/rulebook/rulebook";
import type { Condition } from "../../src/core/rules/condition";
import { courses, someone } from "../../src/demo/people";
import { completed, ectsAtLeast } from "../../src/demo/rulebooks/degree";
import { sampleFile, sampleRulebook } from "../../src/demo/sample-file";

/** One file of 30 courses and 8 tests under 15 entry rules: as the product has it, by hand, and for a rule library. */
export const COURSES = [...courses(["16", "14", "15"]), ...courses(["16", "14", "15"]).slice(0, 7)];
const TESTS = Array.from({ length: 8 }, (_, i) => ({
  test: i === 7 ? "het" : "kle",
  date: `2026-0${i + 1}-01`,
  scores: (i === 7 ? { L: "41", R: "43", W: "38", S: "40" } : { L: "3", R: "3", W: "2", S: "3", M: "2" }) as Readonly<
    Record<string, string>
  >,
}));

const area = (key: string): Condition => ({
  op: "all",
  of: [completed, { op: "fact", fact: "it.area", is: "equals", value: key }],
});

const MORE: readonly (readonly [string, Condition])[] = [
  ["mathematics", ectsAtLeast(20, area("mathematics"))],
  ["engineering", { op: "count", list: "courses", where: area("engineering"), is: "atLeast", value: 2 }],
  [
    "registered",
    {
      op: "count",
      list: "courses",
      where: { op: "fact", fact: "it.status", is: "equals", value: "registered" },
      is: "atMost",
      value: 2,
    },
  ],
  [
    "passport",
    { op: "fact", fact: "citizenship.passportExpiry", is: "atLeast", value: { fact: "start", plusMonths: 3 } },
  ],
  ["age", { op: "fact", fact: "person.birthDate", is: "atMost", value: { fact: "start", plusMonths: -216 } }],
  [
    "language",
    { op: "some", list: "degrees", where: { op: "fact", fact: "it.language", is: "oneOf", value: ["nl", "en", "de"] } },
  ],
  [
    "recent",
    {
      op: "some",
      list: "degrees",
      where: { op: "fact", fact: "it.end", is: "atLeast", value: { fact: "start", plusMonths: -60 } },
    },
  ],
  ["other", { op: "sum", list: "courses", field: "ects", where: area("other"), is: "atMost", value: 60 }],
  [
    "two of three",
    {
      op: "atLeast",
      count: 2,
      of: [
        { op: "count", list: "tests", is: "atLeast", value: 2 },
        ectsAtLeast(150, completed),
        { op: "fact", fact: "citizenship.residence", is: "equals", value: "SR" },
      ],
    },
  ],
  [
    "elsewhere",
    { op: "not", of: { op: "fact", fact: "citizenship.citizenships", is: "includesOneOf", value: ["AQ", "BV"] } },
  ],
];

export const fifteenRules: RulebookBody = {
  ...sampleRulebook.body,
  entryRules: [
    ...sampleRulebook.body.entryRules,
    ...MORE.map(([key, rule]) => ({ key, title: { en: key, fr: key }, rule, curable: null })),
  ],
};

const profile = someone("Bench", "Mark", {
  courses: COURSES,
  english: { way: "test", test: "het", date: "2026-08-01", scores: TESTS[7]?.scores ?? {} },
});

export function benchFile(): FileFacts {
  const file = sampleFile(profile, {
    submittedAt: "2026-11-20T09:00:00.000Z" as never,
    evidence: ["passport", "certificate", "transcript", "motivation", "english"].map((requirement) => ({
      requirement,
      judgement: "accepted" as const,
    })),
  });
  const further = TESTS.slice(0, 7).flatMap((sitting, i) =>
    Object.entries({ ...sitting, status: "result" }).map(
      ([field, value]): AnswerFact => ({
        scope: "file",
        section: "tests",
        entry: `test-${i}`,
        field,
        value,
        version: 1,
        position: i + 50,
      }),
    ),
  );
  return { ...file, answers: [...file.answers, ...further] };
}

/** The same file as records that hold what people typed. */
export interface Plain {
  readonly level: number;
  readonly status: string;
  readonly grade: string;
  readonly language: string;
  readonly end: string;
  readonly birthDate: string;
  readonly passportExpiry: string;
  readonly residence: string;
  readonly citizenships: readonly string[];
  readonly courses: readonly { readonly credits: string; readonly area: string; readonly status: string }[];
  readonly tests: readonly {
    readonly test: string;
    readonly date: string;
    readonly scores: Readonly<Record<string, string>>;
  }[];
}

export const plainFiles: readonly Plain[] = Array.from({ length: 64 }, (_, i) => ({
  level: 6,
  status: "completed",
  grade: String(15 + (i % 5)),
  language: "nl",
  end: "2025-07-15",
  birthDate: profile.birthDate,
  passportExpiry: profile.passportExpiry,
  residence: profile.residence,
  citizenships: profile.citizenships,
  courses: COURSES.map((c) => ({ credits: c.credits, area: c.area, status: c.status })),
  tests: TESTS.map((t, n) => (n === 7 ? { ...t, scores: { ...t.scores, S: String(34 + (i % 3)) } } : t)),
}));

function credits(file: Plain, wanted: string | null): number {
  let sum = 0;
  for (const course of file.courses)
    if (course.status === "completed" && (wanted === null || course.area === wanted)) sum += Number(course.credits);
  return sum;
}

function engineering(file: Plain): number {
  let count = 0;
  for (const course of file.courses) if (course.status === "completed" && course.area === "engineering") count += 1;
  return count;
}

function registered(file: Plain): number {
  let count = 0;
  for (const course of file.courses) if (course.status === "registered") count += 1;
  return count;
}

function english(file: Plain): boolean {
  for (const sitting of file.tests) {
    if (sitting.test !== "het" || sitting.date < "2025-09-01") continue;
    let total = 0;
    let least = 99;
    for (const part in sitting.scores) {
      const score = Number(sitting.scores[part]);
      total += score;
      if (score < least) least = score;
    }
    if (total / 4 >= 37.5 && least >= 34) return true;
  }
  return false;
}

const truncated = (grade: string) => Math.floor((1 + (3 * (20 - Number(grade))) / 10) * 10) / 10;

/** The fifteen rules by hand, as booleans on binary fractions: the floor. They find yes or no, and say nothing. */
export function byHand(file: Plain): boolean {
  const two = Number(file.tests.length >= 2) + Number(credits(file, null) >= 150) + Number(file.residence === "SR");
  return [
    file.level >= 6 && file.status === "completed",
    credits(file, null) >= 180,
    credits(file, "natural") >= 20,
    truncated(file.grade) <= 2.5,
    english(file),
    credits(file, "mathematics") >= 20,
    engineering(file) >= 2,
    registered(file) <= 2,
    file.passportExpiry >= "2027-12-01",
    file.birthDate <= "2009-09-01",
    ["nl", "en", "de"].includes(file.language),
    file.end >= "2022-09-01",
    credits(file, "other") <= 60,
    two >= 2,
    !file.citizenships.some((c) => c === "AQ" || c === "BV"),
  ].every(Boolean);
}

const done = { "==": [{ var: "status" }, "completed"] };
const inArea = (key: string) => ({ and: [done, { "==": [{ var: "area" }, key] }] });
const sumOf = (which: unknown) => ({
  reduce: [
    { filter: [{ var: "courses" }, which] },
    { "+": [{ "+": [{ var: "current.credits" }] }, { var: "accumulator" }] },
    0,
  ],
});
const countOf = (list: string, which: unknown) => ({
  reduce: [{ filter: [{ var: list }, which] }, { "+": [1, { var: "accumulator" }] }, 0],
});
const SCORES = ["L", "R", "W", "S"].map((part) => ({ "+": [{ var: `scores.${part}` }] }));

/** The same rules for a general rule library: they, too, say no more than yes or no. */
const LOGIC = {
  and: [
    { and: [{ ">=": [{ var: "level" }, 6] }, done] },
    { ">=": [sumOf(done), 180] },
    { ">=": [sumOf(inArea("natural")), 20] },
    { "<": [{ "+": [1, { "/": [{ "*": [3, { "-": [20, { "+": [{ var: "grade" }] }] }] }, 10] }] }, 2.6] },
    {
      some: [
        { var: "tests" },
        {
          and: [
            { "==": [{ var: "test" }, "het"] },
            { ">=": [{ var: "date" }, "2025-09-01"] },
            { ">=": [{ "/": [{ "+": SCORES }, 4] }, 37.5] },
            { ">=": [{ min: SCORES }, 34] },
          ],
        },
      ],
    },
    { ">=": [sumOf(inArea("mathematics")), 20] },
    { ">=": [countOf("courses", inArea("engineering")), 2] },
    { "<=": [countOf("courses", { "==": [{ var: "status" }, "registered"] }), 2] },
    { ">=": [{ var: "passportExpiry" }, "2027-12-01"] },
    { "<=": [{ var: "birthDate" }, "2009-09-01"] },
    { in: [{ var: "language" }, ["nl", "en", "de"]] },
    { ">=": [{ var: "end" }, "2022-09-01"] },
    { "<=": [sumOf(inArea("other")), 60] },
    {
      or: [
        { and: [{ ">=": [countOf("tests", true), 2] }, { ">=": [sumOf(done), 150] }] },
        { and: [{ ">=": [countOf("tests", true), 2] }, { "==": [{ var: "residence" }, "SR"] }] },
        { and: [{ ">=": [sumOf(done), 150] }, { "==": [{ var: "residence" }, "SR"] }] },
      ],
    },
    { "!": { some: [{ var: "citizenships" }, { in: [{ var: "" }, ["AQ", "BV"]] }] } },
  ],
} as unknown as jsonLogic.RulesLogic;

export const byLibrary = (file: Plain): boolean => jsonLogic.apply(LOGIC, file) === true;
