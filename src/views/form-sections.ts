import type { ChoiceContext } from "../core/assessment/context";
import type { FileFacts, Json } from "../core/assessment/facts";
import type { Gap } from "../core/sections/completeness";
import { applies, fieldsThatApply } from "../core/sections/completeness";
import { type Field, factName, type Section } from "../core/sections/definition";
import { type Openness, openness, reopenedOf } from "../core/sections/lock";
import { type AnswerIndex, COMPLETE_FIELD } from "../core/sections/typed-facts";
import { joinSections } from "../core/sections/union";
import type { LocalText } from "../core/text/local-text";

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
  /** Whether the office opened it again after submission. */
  readonly reopened: boolean;
  readonly complete: boolean;
  readonly entries: readonly FormEntry[];
  readonly gaps: readonly { readonly entry: string; readonly field: string; readonly code: string }[];
  /** The programme of a section that belongs to one choice. */
  readonly programme: string | null;
  /** The entries of other sections that a field of this one may name, by section. */
  readonly named: Readonly<Record<string, { readonly title: LocalText; readonly entries: readonly NamedEntry[] }>>;
}

interface NamedEntry {
  readonly id: string;
  readonly words: string;
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

function askedSections(all: readonly ChoiceContext[]): readonly Asked[] {
  const asked = new Map<string, Asked>();
  for (const context of all)
    for (const section of context.rulebook.body.sections) {
      const scope = section.scope === "file" ? "file" : context.choice.id;
      const place = `${scope}|${section.key}`;
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

const MOST_WORDS = 3;

/** What an entry is called where another section names it: the first words that were typed into it. */
function entryWords(index: AnswerIndex, section: Section, id: string): string {
  const slots = index.fieldsOf("file", section.key, id);
  return section.fields
    .flatMap((f) => {
      const value = slots.get(f.key)?.answer?.value;
      if (typeof value !== "string" || value === "") return [];
      return f.options?.find((o) => o.value === value)?.title.en ?? value;
    })
    .slice(0, MOST_WORDS)
    .join(", ");
}

function namedEntries(section: Section, all: readonly Asked[], index: AnswerIndex): FormSection["named"] {
  const targets = new Set(section.fields.flatMap((f) => (f.of ? [f.of] : [])));
  const sameAs = new Set(section.fields.flatMap((f) => (f.sameAs ? [f.sameAs.split(".")[0] ?? ""] : [])));
  return Object.fromEntries(
    [...targets, ...sameAs].flatMap((key) => {
      const target = all.find((a) => a.section.key === key)?.section;
      if (!target) return [];
      const entries = targets.has(key)
        ? index.entries("file", key).map((id) => ({ id, words: entryWords(index, target, id) }))
        : [];
      return [[key, { title: target.title, entries }] as const];
    }),
  );
}

/** All sections of the form of a file: those of the file once, the union over its choices, and those of each choice. */
export function formSections(
  index: AnswerIndex,
  live: readonly ChoiceContext[],
  gaps: readonly Gap[],
  facts: Pick<FileFacts, "reopenings">,
): readonly FormSection[] {
  const all = askedSections(live);
  return all.map(({ section, scope, by }) => {
    const own = by.filter(({ context, section: s }) => applies(s.when, context.source));
    const ownGaps = gaps.filter((g) => g.scope === scope && g.section === section.key);
    const reopened = reopenedOf(facts, { scope, section: section.key }, ownGaps.length > 0);
    const ids = section.repeats ? index.entries(scope, section.key) : [""];
    return {
      key: section.key,
      scope,
      core: section.core,
      title: section.title,
      intro: section.intro ?? null,
      repeats: section.repeats ?? null,
      fields: section.fields,
      applies: own.length > 0,
      open: openness(
        scope,
        by.map(({ context }) => context.choice),
        reopened,
      ),
      reopened: reopened === "whole",
      complete: index.claim(scope, section.key, "", COMPLETE_FIELD) === true,
      entries: ids.map((id) => {
        const shown = new Set(
          own.flatMap(({ context, section: s }) =>
            fieldsThatApply(s, context.source, factName(s), id).map((f) => f.key),
          ),
        );
        const values = [...index.fieldsOf(scope, section.key, id)].flatMap(([field, { answer }]) =>
          answer ? [[field, { value: answer.value, version: answer.version }] as const] : [],
        );
        return {
          id,
          values: Object.fromEntries(values),
          shown: section.fields.map((f) => f.key).filter((k) => shown.has(k)),
        };
      }),
      gaps: ownGaps.map(({ entry, field, code }) => ({ entry, field, code })),
      programme: scope === "file" ? null : (by[0]?.context.choice.programme ?? null),
      named: namedEntries(section, all, index),
    };
  });
}
