import { onStep } from "../grades/scale";
import { compare, isPositive, parseDecimal, type Ratio } from "../numbers/ratio";
import { CEFR } from "../rules/compare";
import { factNames } from "../rules/names";
import { canBeMet } from "../rules/possible";
import type { LocalText } from "../text/local-text";
import type { ReferenceSet } from "./reference-set";

/** What keeps a reference set from being put in force. */
export interface ReferenceProblem {
  readonly code:
    | "missing-text"
    | "duplicate-key"
    | "no-groups"
    | "last-group"
    | "unreachable-group"
    | "never-met"
    | "unknown-fact"
    | "unknown-zone"
    | "scale-number"
    | "scale-order"
    | "scale-step"
    | "scale-percent"
    | "letter-twice"
    | "letter-off-scale"
    | "no-parts"
    | "part-range"
    | "levels-order"
    | "level-range"
    | "still-used";
  /** The list it stands in. */
  readonly area:
    | "office"
    | "groups"
    | "campuses"
    | "areas"
    | "scales"
    | "tests"
    | "entitlements"
    | "papers"
    | "graduates";
  /** The key of the thing, and after a colon what is wrong there. */
  readonly about: string;
}

/** What rulebooks, programmes and rounds name, by list: it may not go away under them. */
export type Uses = Readonly<Record<Exclude<ReferenceProblem["area"], "office">, ReadonlySet<string>>>;

type Area = ReferenceProblem["area"];
const LISTS = ["groups", "campuses", "areas", "scales", "tests", "entitlements", "papers", "graduates"] as const;

const problem = (code: ReferenceProblem["code"], area: Area, about: string): ReferenceProblem => ({
  code,
  area,
  about,
});

function missingText(area: Area, about: string, text: LocalText | undefined): readonly ReferenceProblem[] {
  if (!text) return [];
  return [
    ...(text.en.trim() === "" ? [problem("missing-text", area, `${about}: English`)] : []),
    ...(text.fr.trim() === "" ? [problem("missing-text", area, `${about}: French`)] : []),
  ];
}

const always = (when: ReferenceSet["groups"][number]["when"]) => when.op === "all" && when.of.length === 0;

/** Groups are asked in their order, so the last has to take whoever is left, and none may stand behind one that takes everybody. */
function groupProblems(groups: ReferenceSet["groups"], facts: ReadonlySet<string> | null): readonly ReferenceProblem[] {
  if (groups.length === 0) return [problem("no-groups", "groups", "")];
  const last = groups.at(-1);
  const caught = groups.findIndex((g) => always(g.when));
  return [
    ...(last && !always(last.when) ? [problem("last-group", "groups", last.key)] : []),
    ...(caught < 0 ? [] : groups.slice(caught + 1).map((g) => problem("unreachable-group", "groups", g.key))),
    ...groups.filter((g) => !canBeMet(g.when)).map((g) => problem("never-met", "groups", g.key)),
    ...groups.flatMap((g) =>
      factNames(g.when)
        .filter((name) => facts !== null && !facts.has(name))
        .map((name) => problem("unknown-fact", "groups", `${g.key}: ${name}`)),
    ),
  ];
}

/** A step is a positive number, and a whole number of them leads from the worst mark to the best. */
function stepProblems(scale: ReferenceSet["scales"][number], best: Ratio, worst: Ratio): readonly string[] {
  if (scale.step === undefined) return [];
  const step = parseDecimal(scale.step);
  return step && isPositive(step) && onStep(worst, best, step) ? [] : [scale.step];
}

function scaleProblems(scale: ReferenceSet["scales"][number]): readonly ReferenceProblem[] {
  const at = (code: ReferenceProblem["code"], what: string) => problem(code, "scales", `${scale.key}: ${what}`);
  const [best, pass, worst] = [scale.best, scale.pass, scale.worst].map(parseDecimal);
  if (!best || !pass || !worst) return [at("scale-number", "best, pass and worst")];
  const between = (a: Ratio, low: Ratio, high: Ratio) =>
    (compare(a, low) >= 0 && compare(a, high) <= 0) || (compare(a, low) <= 0 && compare(a, high) >= 0);
  const letters = scale.letters ?? [];
  const labels = letters.map((l) => l.label.replace(/\s+/gu, "").toUpperCase());
  return [
    ...(compare(best, pass) === 0 || !between(pass, worst, best) ? [at("scale-order", "pass")] : []),
    ...stepProblems(scale, best, worst).map((what) => at("scale-step", what)),
    ...(scale.percent && [scale.percent.multiplier, scale.percent.offset].some((n) => parseDecimal(n) === null)
      ? [at("scale-percent", "numbers")]
      : []),
    ...(scale.percent && scale.percent.source.trim() === "" ? [at("scale-percent", "source")] : []),
    ...labels.filter((l, i) => labels.indexOf(l) !== i).map((l) => at("letter-twice", l)),
    ...letters
      .filter(({ points }) => {
        const value = parseDecimal(points);
        return value === null || !between(value, worst, best);
      })
      .map(({ label }) => at("letter-off-scale", label)),
  ];
}

function testProblems(test: ReferenceSet["tests"][number]): readonly ReferenceProblem[] {
  const at = (code: ReferenceProblem["code"], what: string) => problem(code, "tests", `${test.key}: ${what}`);
  if (test.parts.length === 0) return [at("no-parts", "")];
  const keys = test.parts.map((p) => p.key);
  const range = (low: (p: (typeof test.parts)[number]) => number) => test.parts.map(low);
  const [least, most] = [Math.min(...range((p) => p.min)), Math.max(...range((p) => p.max))];
  const sum = test.total?.method === "sum" ? test.parts.length : 1;
  const rising = [...test.levels].sort((a, b) => CEFR.indexOf(a.level) - CEFR.indexOf(b.level));
  return [
    ...keys.filter((k, i) => keys.indexOf(k) !== i).map((k) => at("duplicate-key", k)),
    ...test.parts.filter((p) => !(p.min < p.max && p.step > 0)).map((p) => at("part-range", p.key)),
    ...test.parts.flatMap((p) => missingText("tests", `${test.key}.${p.key}`, p.title)),
    ...test.levels
      .filter(
        (l) => l.every < least || l.every > most || (l.total !== null && (l.total < least || l.total > most * sum)),
      )
      .map((l) => at("level-range", l.level)),
    ...rising
      .filter((l, i) => {
        const below = rising[i - 1];
        return (
          below !== undefined &&
          (l.level === below.level || l.every < below.every || (l.total ?? 0) < (below.total ?? 0))
        );
      })
      .map((l) => at("levels-order", l.level)),
  ];
}

function knownZone(zone: string): boolean {
  try {
    return new Intl.DateTimeFormat("en", { timeZone: zone }).resolvedOptions().timeZone !== "";
  } catch {
    return false;
  }
}

/**
 * @param facts the facts that published forms ask for; null where there is no form yet
 * @param uses what is named elsewhere and therefore has to stay
 */
export function referenceProblems(
  set: ReferenceSet,
  facts: ReadonlySet<string> | null,
  uses: Uses,
): readonly ReferenceProblem[] {
  return [
    ...missingText("office", "name", set.name),
    ...(knownZone(set.zone) ? [] : [problem("unknown-zone", "office", set.zone)]),
    ...LISTS.flatMap((area) => {
      const keys = set[area].map((item) => item.key);
      return [
        ...set[area].flatMap((item) => missingText(area, item.key, item.title)),
        ...keys.filter((k, i) => keys.indexOf(k) !== i).map((k) => problem("duplicate-key", area, k)),
        ...[...uses[area]].filter((k) => !keys.includes(k)).map((k) => problem("still-used", area, k)),
      ];
    }),
    ...set.campuses.flatMap((c) => [
      ...missingText("campuses", `${c.key} (note)`, c.note),
      ...missingText("campuses", `${c.key} (region)`, c.region),
    ]),
    ...groupProblems(set.groups, facts),
    ...set.scales.flatMap(scaleProblems),
    ...set.tests.flatMap(testProblems),
  ];
}
