import type { AnswerIndex } from "../answers/answer-index";
import { applies, fieldsThatApply } from "../answers/completeness";
import { isAllFromRegistry } from "../answers/given-by-registry";
import { type Openness, openness, reopenedOf } from "../answers/lock";
import { COMPLETE_FIELD } from "../answers/typed-facts";
import type { ChoiceContext } from "../file/choice-context";
import type { FileFacts, Json } from "../file/facts";
import type { Gap } from "../file/gap";
import { sectionKey } from "../file/place";
import { papersFor } from "../people/papers";
import { testsCounted } from "../rulebook/conditions";
import { type RunningSum, runningSums } from "../rulebook/running-sums";
import { type Field, factName, forApplicants, type Section } from "../rulebook/section";
import type { Registers } from "../standards/reference-set";
import type { LocalText } from "../text/local-text";
import { withEntries } from "./entry-title";
import { joinSections } from "./union";

/** A section as the applicant's page shows it: definitions, answers, and which fields apply at present. */
export interface FormSection {
  readonly key: string;
  readonly scope: string;
  readonly core: Section["core"];
  readonly title: LocalText;
  readonly intro: LocalText | null;
  readonly repeats: { readonly min: number; readonly max: number } | null;
  readonly fields: readonly Field[];
  readonly applies: boolean;
  readonly open: Openness;
  /** Whether results may be added after submission. */
  readonly grows: boolean;
  /** Nobody has to type anything here: a registry gives all of it. */
  readonly fromRegistry: boolean;
  /** Whether the office opened it again after submission. */
  readonly reopened: boolean;
  readonly complete: boolean;
  /** The version of that tick; 0 where nobody has ticked or unticked it yet. */
  readonly completeVersion: number;
  readonly entries: readonly FormEntry[];
  readonly gaps: readonly { readonly entry: string; readonly field: string; readonly code: string }[];
  /** The programme of a section that belongs to one choice. */
  readonly programme: string | null;
  /** The fields that apply to an entry of which nothing is known yet. */
  readonly fresh: readonly string[];
  /** What entry rules add up over a list, as far as it has come. */
  readonly sums: readonly RunningSum[];
  /** The grade scales of the entries that a field of this list names (a course its degree), by entry; "" where there is one entry only. */
  readonly scales: Readonly<Record<string, string>>;
  /** What the other sections are called whose entries or fields a field of this one names. */
  readonly named: Readonly<Record<string, LocalText>>;
}

export interface FormEntry {
  readonly id: string;
  readonly values: Readonly<Record<string, { readonly value: Json; readonly version: number }>>;
  readonly shown: readonly string[];
}

/** One section of the form with the choices that ask for it: the union of their definitions. */
interface Asked {
  readonly section: Section;
  readonly scope: string;
  readonly by: readonly { readonly context: ChoiceContext; readonly section: Section }[];
}

export function askedSections(all: readonly ChoiceContext[]): readonly Asked[] {
  const asked = new Map<string, Asked>();
  for (const context of all)
    for (const section of context.rulebook.body.sections.map(forApplicants)) {
      const scope = section.scope === "file" ? "file" : context.choice.id;
      const place = sectionKey({ scope, section: section.key });
      const known = asked.get(place);
      const by = [...(known?.by ?? []), { context, section }];
      asked.set(place, { section: known ? joinSections(known.section, section) : section, scope, by });
    }
  return inOrder([...asked.values()]);
}

/** The first choice's order; what a later choice adds stands where it stands in its own rulebook, after what comes before it there. */
function inOrder(asked: readonly Asked[]): readonly Asked[] {
  const placed: Asked[] = [];
  for (const one of asked) {
    const own = one.by[0];
    const before = own
      ? own.context.rulebook.body.sections
          .slice(0, own.context.rulebook.body.sections.indexOf(own.section))
          .map((s) => s.key)
      : [];
    const after = placed.findLastIndex((p) => before.includes(p.section.key));
    placed.splice(after + 1, 0, one);
  }
  return placed;
}

/** What the sections are called that fields of this one name. */
function namedSections(section: Section, all: readonly Asked[]): FormSection["named"] {
  const keys = section.fields.flatMap((f) => [f.of ?? "", f.sameAs?.split(".")[0] ?? ""]);
  return Object.fromEntries(
    all.filter((a) => keys.includes(a.section.key)).map((a) => [a.section.key, a.section.title] as const),
  );
}

/** The grade scales of the entries that a field of a section names. */
function namedScales(section: Section, sections: readonly Section[], index: AnswerIndex): FormSection["scales"] {
  const of = section.fields.find((f) => f.kind === "entry")?.of;
  const list = sections.find((s) => s.key === of && s.scope === "file");
  const field = list?.fields.find((f) => f.kind === "scale");
  if (!list || !field) return {};
  const ids = index.entries("file", list.key);
  const scales = ids.flatMap((id) => {
    const scale = index.row("file", list.key, id).claim(field.key);
    return typeof scale === "string" ? [[id, scale] as const] : [];
  });
  return Object.fromEntries([...scales, ...(ids.length === 1 ? scales.map(([, scale]) => ["", scale]) : [])]);
}

/** Two programmes that ask for the same say it once. */
const once = (sums: readonly RunningSum[]): readonly RunningSum[] => [
  ...new Map(sums.map((s) => [`${s.title.en} ${s.least}`, s])).values(),
];

/** A field for a paper or a test, with those that count here as its options; any other field as it is. */
function withCounting(field: Field, { papers, tests }: Pick<Registers, "papers" | "tests">, by: Asked["by"]): Field {
  const offer = (items: readonly { readonly key: string; readonly title: LocalText }[]): Field => ({
    ...field,
    options: items.map(({ key, title }) => ({ value: key, title })),
  });
  const [first] = by;
  if (field.kind === "paper" && first) return offer(papersFor(papers, field.papers, first.context.source));
  const counted = new Set(
    field.kind === "test" ? by.flatMap(({ context }) => testsCounted(context.rulebook.body)) : [],
  );
  return counted.size > 0 ? offer(tests.filter((t) => counted.has(t.key))) : field;
}

/**
 * All sections of the form of a file: those of the file once, the union over its choices, and those of each choice.
 * @param wanted leaves out sections that nobody looks at now
 */
export function formSections(
  index: AnswerIndex,
  live: readonly ChoiceContext[],
  gaps: readonly Gap[],
  facts: Pick<FileFacts, "reopenings">,
  registers: Pick<Registers, "papers" | "tests">,
  wanted: (section: Pick<FormSection, "scope" | "key">) => boolean = () => true,
): readonly FormSection[] {
  const all = askedSections(live);
  const sections = all.map((a) => a.section);
  const shown = all.filter((a) => wanted({ scope: a.scope, key: a.section.key }));
  return shown.map(({ section, scope, by }) => {
    const own = by.filter(({ context, section: s }) => applies(s.when, context.source));
    const ownGaps = gaps.filter((g) => g.scope === scope && g.section === section.key);
    const reopened = reopenedOf(facts, { scope, section: section.key }, ownGaps.length > 0);
    const shownIn = (entry: string): readonly string[] => {
      const shown = new Set(
        own.flatMap(({ context, section: s }) =>
          fieldsThatApply(s, context.source, factName(s), entry).map((f) => f.key),
        ),
      );
      return section.fields.map((f) => f.key).filter((k) => shown.has(k));
    };
    const ids = section.repeats ? index.entries(scope, section.key) : [""];
    return {
      key: section.key,
      scope,
      core: section.core,
      title: section.title,
      intro: section.intro ?? null,
      repeats: section.repeats ?? null,
      fields: section.fields.map((f) => withCounting(withEntries(f, sections, index), registers, by)),
      applies: own.length > 0,
      open: openness(
        scope,
        by.map(({ context }) => context.choice),
        reopened,
        section.grows,
      ),
      grows: section.grows === true,
      fromRegistry: own.length > 0 && own.every(({ context, section: s }) => isAllFromRegistry(s, context.source)),
      reopened: reopened === "whole",
      complete: index.claim(scope, section.key, "", COMPLETE_FIELD) === true,
      completeVersion: index.row(scope, section.key, "").version(COMPLETE_FIELD) ?? 0,
      sums: once(own.flatMap(({ context, section: s }) => runningSums(context.rulebook.body, s, context.source))),
      fresh: section.repeats ? shownIn("") : [],
      entries: ids.map((id) => {
        const values = index
          .row(scope, section.key, id)
          .answered()
          .map(({ field, value, version }) => [field, { value, version }] as const);
        return {
          id,
          values: Object.fromEntries(values),
          shown: shownIn(id),
        };
      }),
      gaps: ownGaps.map(({ entry, field, code }) => ({ entry, field, code })),
      programme: scope === "file" ? null : (by[0]?.context.choice.programme ?? null),
      scales: namedScales(section, sections, index),
      named: namedSections(section, all),
    };
  });
}
