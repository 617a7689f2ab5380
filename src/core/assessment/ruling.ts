import type { FileFacts } from "../file/facts";
import type { PlannedSection } from "../rulebook/plan";
import type { Measure } from "../rulebook/rulebook";
import {
  caseFields,
  caseOf,
  caseTitle,
  type Entitlement,
  entitledBy,
  nearnessOf,
  type RuledCase,
} from "../rulebook/ruled-case";
import { factName, type Section } from "../rulebook/section";
import { withEntry } from "../rules/compile";
import { judge } from "../rules/evaluate";
import type { Entry, Fact, FactSource } from "../rules/fact";
import { UNKNOWN } from "../rules/fact";
import type { Truth } from "../rules/truth";
import type { Office } from "../standards/reference-set";
import type { LocalText } from "../text/local-text";

export type RulingMeasure = Extract<Measure, { kind: "ruling" }>;

/** One thing that a measure asks a ruling on, and what answers it: the office's list, a ruling, or nothing yet. */
export interface CaseResult {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly about: RuledCase;
  readonly title: LocalText;
  readonly answer: "accepted" | "refused" | null;
  readonly by: "list" | "ruling" | null;
  readonly confirmed: boolean;
  /** Of a ruling: what the case is held equal to, and what it is accepted for no further than. */
  readonly equalTo: string | null;
  readonly limits: string | null;
  /** It was ruled on, and is no longer what it was then: somebody has to look again. */
  readonly changed: boolean;
}

export interface RulingInputs {
  readonly sections: readonly PlannedSection[];
  readonly rulings: FileFacts["rulings"];
  readonly office: Office;
  readonly choice: string;
}

interface Candidate {
  readonly entry: string;
  readonly read: (field: string) => Fact;
}

/** What the condition lets through, and whether something may still be added to it. */
function candidates(
  measure: RulingMeasure,
  section: Section,
  source: FactSource,
): { readonly found: readonly Candidate[]; readonly open: boolean } {
  const truth = (entry?: Entry): Truth =>
    measure.where === undefined ? "met" : judge(measure.where, entry ? withEntry(source, entry) : source).truth;
  if (!section.repeats) {
    const asked = truth();
    const read = (field: string) => source.scalar(`${factName(section)}.${field}`);
    return { found: asked === "met" ? [{ entry: "", read }] : [], open: asked === "open" };
  }
  const list = source.list(factName(section));
  const judged = list.entries.map((entry) => ({ entry, asked: truth(entry) }));
  return {
    found: judged
      .filter((j) => j.asked === "met")
      .map(({ entry }) => ({ entry: entry.id, read: (field) => entry.at(field) })),
    open: list.open || judged.some((j) => j.asked === "open"),
  };
}

const textIn = (fact: Fact): string | null =>
  fact.kind === "value" && typeof fact.value === "string" ? fact.value : null;

/** Whether all of a case that an entry of the list names was confirmed. */
function isConfirmed(named: Entitlement, fields: ReturnType<typeof caseFields>, read: Candidate["read"]): boolean {
  return (["country", "institution", "title", "level"] as const)
    .filter((part) => named[part] !== undefined)
    .every((part) => {
      const field = fields[part];
      const fact = field === null ? UNKNOWN : read(field);
      return fact.kind === "value" && fact.confirmed;
    });
}

interface Cases {
  readonly cases: readonly CaseResult[];
  /** Whether more may come. */
  readonly open: boolean;
}
const NOTHING_KNOWN: Cases = { cases: [], open: true };
const NOTHING_ASKED: Cases = { cases: [], open: false };

/** The cases of a measure with their answers. A ruling goes before the list, because somebody has looked at this very case. */
export function casesOf(
  measure: RulingMeasure,
  source: FactSource,
  { sections, rulings, office, choice }: RulingInputs,
): Cases {
  const section = sections.find((s) => s.name === measure.of)?.section;
  if (!section) return NOTHING_KNOWN;
  const { found, open } = candidates(measure, section, source);
  // Most people claim nothing that is ruled on.
  if (found.length === 0) return open ? NOTHING_KNOWN : NOTHING_ASKED;
  const scope = section.scope === "file" ? "file" : choice;
  const fields = caseFields(section);
  const list = office.set.entitlements.find((l) => l.key === measure.entitlement);
  const cases = found.map(({ entry, read }): CaseResult => {
    const about = caseOf(fields, (field) => textIn(read(field)));
    const place = { scope, section: section.key, entry, about, title: caseTitle(section, about) };
    const ruled = rulings.find(
      (r) => r.question === measure.question && r.scope === scope && r.section === section.key && r.entry === entry,
    );
    const changed = ruled !== undefined && nearnessOf(about, ruled.about) !== "same";
    if (ruled && !changed) {
      const { verdict: answer, equalTo, limits } = ruled;
      return { ...place, answer, by: "ruling", confirmed: true, equalTo, limits, changed };
    }
    const unsaid = { equalTo: null, limits: null, changed };
    const named = list && entitledBy(list, about);
    return named
      ? { ...place, answer: "accepted", by: "list", confirmed: isConfirmed(named, fields, read), ...unsaid }
      : { ...place, answer: null, by: null, confirmed: false, ...unsaid };
  });
  return { cases, open };
}

/** Whether one of the cases is accepted: true, false when all were refused, unknown while one waits for a ruling. */
export function rulingMeasure(measure: RulingMeasure, source: FactSource, inputs: RulingInputs): Fact {
  const { cases, open } = casesOf(measure, source, inputs);
  const detail = {
    kind: "ruling" as const,
    cases: cases.map(({ title, about: { institution, country }, answer, by, equalTo, limits }) => ({
      title,
      institution,
      country,
      answer,
      by,
      equalTo,
      limits,
    })),
  };
  const accepted = cases.find((c) => c.answer === "accepted");
  if (accepted) return { kind: "value", value: true, confirmed: accepted.confirmed, detail };
  if (open || cases.some((c) => c.answer === null)) return { kind: "unknown", detail };
  return { kind: "value", value: false, confirmed: cases.every((c) => c.confirmed), detail };
}
