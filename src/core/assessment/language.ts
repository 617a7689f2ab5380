import { endOf, text } from "../file/entries";
import {
  countable,
  judgeSittings,
  type Minimum,
  type ScoreSet,
  type Sitting,
  scoreSets,
  type Verdict,
} from "../language/sittings";
import { type Result, resultOf, type Scores, type TestDefinition } from "../language/test-definition";
import { toShort, whole } from "../numbers/ratio";
import type { Measure } from "../rulebook/rulebook";
import { CEFR } from "../rules/compare";
import { withEntry } from "../rules/compile";
import { judge } from "../rules/evaluate";
import {
  columnOf,
  type Detail,
  type Fact,
  type FactList,
  type FactSource,
  type ProofPart,
  UNKNOWN,
} from "../rules/fact";
import type { Truth } from "../rules/truth";
import type { Office } from "../standards/reference-set";
import { formatDay, monthsBetween, parseDay } from "../time/day";
import { type ChoiceDays, dayOf } from "./days";

/** The claimed or confirmed scores of a sitting. */
export type ScoresOf = (entry: string) => { readonly value: unknown; readonly confirmed: boolean };

function scoresIn(value: unknown): Scores {
  return typeof value === "object" && value !== null ? (value as Scores) : {}; // answers of kind "scores" are checked when saved
}

const textOf = (fact: Fact | undefined): string | null =>
  fact?.kind === "value" && typeof fact.value === "string" ? fact.value : null;

/** The sittings of a file by their test, in the order in which they were entered: read once for all measures. */
export type Sittings = ReadonlyMap<string, readonly Sitting[]>;

export function readSittings(list: FactList, scoresOf: ScoresOf): Sittings {
  const byTest = new Map<string, Sitting[]>();
  const names = columnOf(list, "test");
  for (const [i, entry] of list.entries.entries()) {
    const name = names[i];
    if (name?.kind !== "value" || typeof name.value !== "string") continue;
    const taken = entry.at("date");
    const date = textOf(taken);
    const pending = textOf(entry.at("status")) === "pending";
    const expected = pending ? textOf(entry.at("expected")) : null;
    const scores = scoresOf(entry.id);
    const sitting: Sitting = {
      date: date === null ? null : parseDay(date),
      status: pending ? "pending" : "final",
      expected: expected === null ? null : parseDay(expected),
      scores: scoresIn(scores.value),
      confirmed: scores.confirmed && name.confirmed && taken.kind === "value" && taken.confirmed,
    };
    const known = byTest.get(name.value);
    if (known === undefined) byTest.set(name.value, [sitting]);
    else known.push(sitting);
  }
  return byTest;
}

const WHOLE_LEVELS = CEFR.filter((level) => /^[A-C][12]$/u.test(level));

/** What an applicant says of themselves decides nothing; beside a result it says how far the two are apart. */
function statedLevel(
  { stated }: Extract<Measure, { kind: "level" }>,
  facts: FactSource,
  shown: string | null,
): Extract<Detail, { kind: "level" }>["stated"] {
  const fact = stated === undefined ? UNKNOWN : facts.scalar(stated);
  const level = fact.kind === "value" ? WHOLE_LEVELS.find((l) => l === fact.value) : undefined;
  if (level === undefined) return null;
  const whole = (of: string | null) => (of === null ? -1 : WHOLE_LEVELS.findIndex((l) => of.startsWith(l)));
  return { level, above: whole(level) - whole(shown) };
}

/** The best level over the valid sittings of the accepted tests; a sitting off its scale is not known, not failed. */
export function levelMeasure(
  measure: Extract<Measure, { kind: "level" }>,
  facts: FactSource,
  office: Office,
  days: ChoiceDays,
  sittings: Sittings,
): Fact {
  let best: { test: TestDefinition; set: ScoreSet; result: Result } | null = null;
  let bestAt = -1;
  let perhaps = facts.list("tests").open;
  const day = dayOf(days, measure.validOn);
  for (const key of measure.tests) {
    const taken = sittings.get(key);
    const test = taken && office.set.tests.find((t) => t.key === key);
    if (!taken || !test) continue;
    const { valid, reasons } = countable(test, taken, day, dayOf(days, measure.resultBy));
    if (reasons.has("pending_result") || reasons.has("score_not_on_scale")) perhaps = true;
    for (const set of scoreSets(test, valid, measure.mode ?? "single")) {
      const result = resultOf(test, set.scores);
      if (!result.complete) perhaps = true;
      const at = result.level ? CEFR.indexOf(result.level) : 0;
      if (!result.complete || at <= bestAt) continue;
      bestAt = at;
      best = { test, set, result };
    }
  }
  if (best === null) return perhaps ? UNKNOWN : { kind: "value", value: "pre-A1", confirmed: true };
  const { test, set, result } = best;
  return {
    kind: "value",
    value: result.level ?? "pre-A1",
    confirmed: set.confirmed,
    detail: {
      kind: "level",
      test: test.key,
      dates: set.dates.map(formatDay),
      scores: set.scores,
      total: result.total && toShort(result.total),
      level: result.level,
      stated: statedLevel(measure, facts, result.level),
    },
    mayRise: perhaps,
  };
}

function proofPart({ test }: Minimum, { truth, reasons, counted }: Verdict): ProofPart {
  return {
    test,
    truth,
    reasons,
    dates: counted?.dates.map(formatDay) ?? [],
    scores: counted?.scores ?? {},
    total: counted?.total ?? null,
    short: counted?.short ?? [],
  };
}

/** Whether one of the accepted tests reaches its minimum: true, false, or unknown while one may. */
export function proofMeasure(
  measure: Extract<Measure, { kind: "proof" }>,
  facts: FactSource,
  office: Office,
  days: ChoiceDays,
  sittings: Sittings,
): Fact {
  const judged = measure.minimums.flatMap((minimum) => {
    const taken = sittings.get(minimum.test);
    const test = taken && office.set.tests.find((t) => t.key === minimum.test);
    if (!taken || !test) return [];
    const verdict = judgeSittings(test, minimum, taken, dayOf(days, measure.validOn), dayOf(days, measure.resultBy));
    return [{ verdict, part: proofPart(minimum, verdict) }];
  });
  const detail = { kind: "proof" as const, parts: judged.map((j) => j.part) };
  const met = judged.find((j) => j.verdict.truth === "met");
  if (met)
    return {
      kind: "value",
      value: true,
      confirmed: met.verdict.counted?.confirmed ?? false,
      detail: { ...detail, parts: [met.part] },
    };
  const open: Truth = facts.list("tests").open || judged.some((j) => j.verdict.truth === "open") ? "open" : "not met";
  if (open === "open") return judged.length > 0 ? { kind: "unknown", detail } : UNKNOWN;
  return { kind: "value", value: false, confirmed: judged.every((j) => j.verdict.counted?.confirmed ?? true), detail };
}

/** Months of degree study taught in a language, from the degrees that the condition lets through. Where it is not stated, they are perhaps. */
export function monthsMeasure(measure: Extract<Measure, { kind: "studyMonths" }>, facts: FactSource): Fact {
  let sure = 0;
  let perhaps = 0;
  let confirmed = true;
  const list = facts.list("degrees");
  for (const degree of list.entries) {
    const language = text(degree, "language");
    const start = text(degree, "start");
    const from = start ? parseDay(start.value) : null;
    const to = parseDay(endOf(degree));
    if (
      (language !== null && language.value !== measure.language) ||
      judge(measure.degree, withEntry(facts, degree)).truth !== "met"
    )
      continue;
    if (from === null || to === null) return UNKNOWN;
    const months = monthsBetween(from, to + 1);
    if (language === null) perhaps += months;
    else sure += months;
    if (!language?.confirmed || !start?.confirmed) confirmed = false;
  }
  const detail = { kind: "years" as const, language: measure.language, months: sure };
  if (list.open) return { kind: "range", low: whole(sure), high: null, confirmed };
  if (perhaps > 0) return { kind: "range", low: whole(sure), high: whole(sure + perhaps), confirmed };
  return { kind: "value", value: whole(sure), confirmed, detail };
}
