import { joinCounting } from "../people/papers";
import type { Field, Section } from "../rulebook/section";

/**
 * The form of an application is the union over its choices: a section that several rulebooks made from the same shared part is
 * shown and filled in once. A field is required if any of them requires it, and the strictest limit wins.
 */
const smaller = (a: number | undefined, b: number | undefined): number | undefined =>
  a === undefined ? b : b === undefined ? a : Math.min(a, b);
const larger = (a: number | undefined, b: number | undefined): number | undefined =>
  a === undefined ? b : b === undefined ? a : Math.max(a, b);

function joinLength(a: Field["length"], b: Field["length"]): Field["length"] {
  if (!a || !b) return a ?? b;
  if (a.unit !== b.unit) return a.strict ? a : b; // two units cannot be compared: the one that stops people is shown
  return {
    unit: a.unit,
    least: larger(a.least, b.least),
    most: Math.min(a.most, b.most),
    strict: a.strict || b.strict,
  };
}

function joinField(a: Field, b: Field): Field {
  const limits = {
    most: smaller(a.most, b.most),
    least: larger(a.least, b.least),
    length: joinLength(a.length, b.length),
  };
  const options =
    a.options && b.options
      ? a.options.filter((o) => b.options?.some((p) => p.value === o.value))
      : (a.options ?? b.options);
  const papers = joinCounting(a.papers, b.papers);
  const { when, ...rest } = a;
  return {
    ...rest,
    ...Object.fromEntries(Object.entries(limits).filter(([, v]) => v !== undefined)),
    ...(options ? { options } : {}),
    ...(papers ? { papers: [...papers] } : {}),
    required: a.required || b.required,
    ...(a.institutional || b.institutional ? { institutional: true } : {}),
    // Which of the conditions hold is asked choice by choice; the union shows the field where any of them does.
    ...(when && b.when
      ? { when: JSON.stringify(when) === JSON.stringify(b.when) ? when : { op: "any", of: [when, b.when] } }
      : {}),
  };
}

function joinRepeats(a: Section["repeats"], b: Section["repeats"]): Section["repeats"] {
  return a && b ? { min: Math.max(a.min, b.min), max: Math.min(a.max, b.max) } : (a ?? b);
}

/** Joins two definitions of one section; the first gives order and wording. */
export function joinSections(a: Section, b: Section): Section {
  if (a === b) return a;
  const theirs = new Map(b.fields.map((f) => [f.key, f]));
  const own = new Set(a.fields.map((f) => f.key));
  const repeats = joinRepeats(a.repeats, b.repeats);
  return {
    ...a,
    ...(repeats ? { repeats } : {}),
    fields: [
      ...a.fields.map((f) => {
        const other = theirs.get(f.key);
        return other ? joinField(f, other) : f;
      }),
      ...b.fields.filter((f) => !own.has(f.key)),
    ],
  };
}

/** What keeps two rulebooks of one procedure from sharing a form: the same section or field meaning two different things. */
export interface FormConflict {
  readonly code: "section-kind" | "section-repeats" | "field-kind" | "no-common-option";
  readonly section: string;
  readonly field: string | null;
}

export function formConflicts(mine: readonly Section[], theirs: readonly Section[]): readonly FormConflict[] {
  return mine.flatMap((a): readonly FormConflict[] => {
    const b = theirs.find((s) => s.key === a.key);
    if (!b || a.scope !== "file" || b.scope !== "file") return [];
    const at = (code: FormConflict["code"], field: string | null = null) => ({ code, section: a.key, field });
    if (a.core !== b.core) return [at("section-kind")];
    if ((a.repeats === undefined) !== (b.repeats === undefined)) return [at("section-repeats")];
    return a.fields.flatMap((f) => {
      const g = b.fields.find((other) => other.key === f.key);
      if (!g) return [];
      if (g.kind !== f.kind) return [at("field-kind", f.key)];
      const common = f.options?.some((o) => g.options?.some((p) => p.value === o.value)) ?? true;
      const papers = joinCounting(f.papers, g.papers);
      return common && papers?.length !== 0 ? [] : [at("no-common-option", f.key)];
    });
  });
}
