import type { GradeMethod } from "../../grades/method";
import { compare, parseDecimal, type Ratio } from "../../numbers/ratio";
import type { Measure } from "../rulebook";
import type { RulebookProblem } from "./problem";

type Found = (code: RulebookProblem["code"], what: string) => RulebookProblem;

/** Whether numbers rise or fall from one to the next, without a standstill. */
function oneWay(numbers: readonly Ratio[]): boolean {
  const steps = numbers.slice(1).map((n, i) => Math.sign(compare(n, numbers[i] ?? n)));
  return steps.every((s) => s !== 0 && s === steps[0]);
}

function numbersOf(texts: readonly string[], found: Found): { numbers: readonly Ratio[]; bad: RulebookProblem[] } {
  const read = texts.map((text) => [text, parseDecimal(text)] as const);
  return {
    numbers: read.flatMap(([, n]) => (n === null ? [] : [n])),
    bad: read.flatMap(([text, n]) => (n === null ? [found("measure-number", text)] : [])),
  };
}

function methodProblems(method: GradeMethod, found: Found): readonly RulebookProblem[] {
  if (method.kind === "linear") {
    const { best, pass, worst } = method.target;
    const { numbers, bad } = numbersOf([best, pass, worst], found);
    return bad.length > 0 || oneWay(numbers) ? bad : [found("target-order", `${best}, ${pass}, ${worst}`)];
  }
  if (method.kind !== "bands") return [];
  if (method.tables.length === 0) return [found("no-tables", "")];
  return method.tables.flatMap(({ scale, bands }) => {
    const { numbers, bad } = numbersOf([...bands.map((b) => b.from), ...bands.map((b) => b.grade)], found);
    if (bands.length === 0) return [found("no-tables", scale)];
    return bad.length > 0 || oneWay(numbers.slice(0, bands.length)) ? bad : [found("bands-order", scale)];
  });
}

/** What keeps a computed value from being worked out. */
export function measureProblems(measure: Measure, facts: ReadonlySet<string>): readonly RulebookProblem[] {
  const found: Found = (code, what) => ({ code, about: `${measure.key}: ${what}` });
  switch (measure.kind) {
    case "span": {
      const both = facts.has(`${measure.list}.start`) && facts.has(`${measure.list}.end`);
      return both ? [] : [found("no-stretches", measure.list)];
    }
    case "grade":
      return measure.method ? methodProblems(measure.method, found) : [];
    case "proof": {
      if (measure.minimums.length === 0) return [found("no-minimums", "")];
      const texts = measure.minimums.flatMap((m) =>
        [m.total, m.every, ...Object.values(m.parts ?? {})].filter((text) => text !== undefined),
      );
      const empty = measure.minimums.filter(
        (m) => m.total === undefined && m.every === undefined && m.level === undefined && !m.parts,
      );
      return [...numbersOf(texts, found).bad, ...empty.map((m) => found("no-minimums", m.test))];
    }
    case "level":
      return measure.stated === undefined || facts.has(measure.stated) ? [] : [found("unknown-fact", measure.stated)];
    case "age":
      return facts.has(measure.of) ? [] : [found("unknown-fact", measure.of)];
    case "ruling": {
      // What is ruled on has to be asked for at all.
      const asked = [...facts].some((name) => name.startsWith(`${measure.of}.`));
      return [
        ...(asked ? [] : [found("unknown-section", measure.of)]),
        ...(measure.question.trim() === "" ? [found("no-question", "")] : []),
      ];
    }
    default:
      return [];
  }
}
