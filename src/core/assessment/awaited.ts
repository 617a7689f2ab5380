import { applies } from "../answers/completeness";
import { awaitedFromRegistry } from "../answers/given-by-registry";
import type { ChoiceContext } from "../file/choice-context";
import { isRunning, text } from "../file/entries";
import type { Awaited, ChoiceResult } from "../file/result";
import { planOf } from "../rulebook/plan";
import { factName } from "../rulebook/section";
import { show } from "../rules/compare";
import { evaluate } from "../rules/evaluate";
import type { Entry, Fact } from "../rules/fact";
import { isLeaf, type LeafTrace, type Trace } from "../rules/trace";
import type { Office } from "../standards/reference-set";
import { addMonths, formatDay, parseDay } from "../time/day";

const stated = (entry: Entry, ...fields: readonly string[]): string | null =>
  fields.map((f) => text(entry, f)?.value ?? null).find((value) => value !== null) ?? null;

function results({ source }: ChoiceContext, { set }: Office): readonly Awaited[] {
  return source
    .list("tests")
    .entries.filter((t) => stated(t, "status") === "pending")
    .map((t) => {
      const key = stated(t, "test");
      return {
        kind: "result",
        about: set.tests.find((d) => d.key === key)?.title.en ?? key ?? "",
        due: stated(t, "expected"),
      };
    });
}

function degrees({ source }: ChoiceContext): readonly Awaited[] {
  return source
    .list("degrees")
    .entries.filter(isRunning)
    .map((d) => ({
      kind: "degree",
      about: stated(d, "title", "institution") ?? "",
      due: stated(d, "expectedEnd", "end"),
    }));
}

/** Running courses come as one line with the last of their days: they are followed up together. */
function courses({ source }: ChoiceContext): readonly Awaited[] {
  const running = source.list("courses").entries.filter(isRunning);
  if (running.length === 0) return [];
  const days = running.flatMap((c) => stated(c, "date") ?? []);
  const [first] = running;
  const named = (first && stated(first, "title")) ?? "";
  return [
    {
      kind: "courses",
      about: running.length === 1 ? named : `${named} and ${running.length - 1} more`,
      due: [...days].sort().at(-1) ?? null,
    },
  ];
}

/** Results that a registry gives and has not given yet, one line an entry. */
function registryResults({ rulebook, source }: ChoiceContext): readonly Awaited[] {
  return rulebook.body.sections.flatMap((section) => {
    if (!section.fromRegistry) return [];
    const { list } = section.fromRegistry;
    return awaitedFromRegistry(section, source).map((id): Awaited => {
      const entry = source.list(list).entries.find((e) => e.id === id);
      const fields = rulebook.body.sections.find((s) => factName(s) === list)?.fields ?? [];
      const words = ["board", "year", "candidate"].flatMap((key) => {
        const fact = entry?.at(key);
        const value = fact?.kind === "value" ? show(fact.value) : null;
        const option = fields.find((f) => f.key === key)?.options?.find((o) => o.value === value);
        return option?.title.en ?? value ?? [];
      });
      const about = words.join(" ");
      return { kind: "registry", about, due: null };
    });
  });
}

/** A paper that ends within so many months after the start of studies is followed. */
const FOLLOWED_MONTHS = 12;

/** Papers that end before studies are well begun, by the day that is confirmed or else stated: asked about again before it is too late. */
function endings({ choice, rulebook, source }: ChoiceContext, { set }: Office): readonly Awaited[] {
  const start = parseDay(choice.start);
  if (start === null) return [];
  const last = formatDay(addMonths(start, FOLLOWED_MONTHS));
  return planOf(rulebook.body).endings.flatMap(({ section, field }) => {
    const name = factName(section);
    // Where the form asks which paper it is, that is its name.
    const kind = section.fields.find((f) => f.kind === "paper");
    const named = kind && !section.repeats ? source.scalar(`${name}.${kind.key}`) : null;
    const paper = named?.kind === "value" ? set.papers.find((p) => p.key === named.value)?.title.en : undefined;
    const about = paper ?? `${section.title.en}: ${field.title.en}`;
    const item = (fact: Fact, of: string | null): readonly Awaited[] =>
      fact.kind === "value" && typeof fact.value === "string" && fact.value <= last
        ? [{ kind: "paper ends", about: of ? `${of} · ${about}` : about, due: fact.value }]
        : [];
    if (!section.repeats)
      return applies(section.when, source) && applies(field.when, source)
        ? item(source.scalar(`${name}.${field.key}`), null)
        : [];
    return source.list(name).entries.flatMap((e) => item(e.at(field.key), stated(e, "title", "name")));
  });
}

/** The leaves of a trace, wherever they stand. */
function leavesOf(trace: Trace): readonly LeafTrace[] {
  if (trace.op === "not") return leavesOf(trace.part);
  if (trace.op === "some") return trace.entries.flatMap(leavesOf);
  return isLeaf(trace) ? [trace] : trace.parts.flatMap(leavesOf);
}

/** Tests that reach everything but one part: files that an officer may want to see together. */
function nearly({ findings }: ChoiceResult, { rulebook, source }: ChoiceContext): readonly Awaited[] {
  return findings
    .filter((f) => f.finding === "not met")
    .flatMap((f) => rulebook.body.entryRules.find((r) => r.key === f.key) ?? [])
    .flatMap(({ rule }) => leavesOf(evaluate(rule, source)))
    .flatMap(({ leaf }) => (leaf.detail?.kind === "proof" ? leaf.detail.parts : []))
    .flatMap(({ test, truth, short }) => {
      const [only, ...more] = short;
      if (truth !== "not met" || only === undefined || more.length > 0 || only.part === "total") return [];
      return [
        {
          kind: "one part short" as const,
          about: `${test.toUpperCase()} ${only.part}: ${only.got ?? "not read"}, ${only.needed} needed`,
          due: null,
        },
      ];
    });
}

/** What is still to come in a file, from the first of its submitted choices that is alive. */
export function awaitedOf(
  all: readonly ChoiceContext[],
  choices: readonly ChoiceResult[],
  office: Office,
): readonly Awaited[] {
  const live = choices.filter((c) => c.stage !== "closed" && c.stage !== "preparing");
  const context = all.find((c) => live.some((l) => l.id === c.choice.id));
  if (!context) return [];
  const found = [
    ...results(context, office),
    ...registryResults(context),
    ...degrees(context),
    ...courses(context),
    ...endings(context, office),
    ...all.flatMap((c) => live.filter((l) => l.id === c.choice.id).flatMap((l) => nearly(l, c))),
  ];
  const once = new Map(found.map((a) => [`${a.kind}|${a.about}|${a.due}`, a]));
  return [...once.values()];
}
