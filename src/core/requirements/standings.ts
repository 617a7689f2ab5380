import type { AnswerIndex } from "../answers/answer-index";
import { applies, sectionGaps } from "../answers/completeness";
import { awaitedFromRegistry } from "../answers/given-by-registry";
import type { ChoiceContext } from "../file/choice-context";
import type { EvidenceFact, FileFacts, ReferenceFact } from "../file/facts";
import type { Gap } from "../file/gap";
import { resultKey } from "../file/place";
import {
  type DeedResult,
  type DocumentResult,
  type FeeDue,
  type FeeResult,
  gapsOf,
  type ReferenceResult,
  type RequirementResult,
  type SectionsResult,
} from "../file/result";
import { allAmounts } from "../rulebook/fee-item";
import {
  atLeastProof,
  type DocumentRequirement,
  MOMENTS,
  PROOF_LEVELS,
  type ProofLevel,
  type Requirement,
  type Standing,
} from "../rulebook/requirement";
import { factName } from "../rulebook/section";
import { withEntry } from "../rules/compile";
import type { Condition } from "../rules/condition";
import { judge } from "../rules/evaluate";
import type { FactSource } from "../rules/fact";
import { factNames } from "../rules/names";
import type { Office } from "../standards/reference-set";
import { announcedAt, promisedDay } from "./promised";

/** What the standings of one choice are read from. */
export interface StandingInput {
  readonly context: ChoiceContext;
  readonly facts: FileFacts;
  readonly index: AnswerIndex;
  readonly office: Office;
  readonly fees: readonly FeeDue[];
}

/** What a result of any kind says of its requirement. */
function base(requirement: Requirement, { context }: StandingInput, scope: string, entry: string) {
  return {
    choices: [context.choice.id],
    key: requirement.key,
    title: requirement.title,
    scope,
    entry,
    neededBy: requirement.neededBy,
    toSubmit: requirement.toSubmit ?? (requirement.neededBy === "submission" ? "to check" : null),
  };
}

/** A requirement that is asked of nobody here. */
function notNeeded(requirement: Requirement, input: StandingInput, scope: string): RequirementResult {
  const own = { ...base(requirement, input, scope, ""), standing: "not needed" as const };
  switch (requirement.kind) {
    case "sections":
      return { ...own, kind: "sections", sections: requirement.sections, gaps: [] };
    case "document":
      return { ...own, ...documentDraft(requirement), proof: "claimed", shows: [] };
    case "reference":
      return { ...own, kind: "reference", request: null };
    case "fee":
      return { ...own, kind: "fee", amount: null, charges: [] };
    case "deed":
      return { ...own, kind: "deed" };
  }
}

const documentDraft = ({ proof, shows }: DocumentRequirement) =>
  ({
    kind: "document",
    proof,
    shows,
    owedProof: null,
    promisedFor: null,
    evidence: [],
    checks: [],
    reason: null,
  }) as const;

function sectionsStanding(
  requirement: Extract<Requirement, { kind: "sections" }>,
  input: StandingInput,
  scope: string,
): SectionsResult {
  const { context, index, office } = input;
  const sections = context.rulebook.body.sections.filter(
    (s) => requirement.sections.includes(s.key) && applies(s.when, context.source),
  );
  const gaps = sections.flatMap((section): readonly Gap[] =>
    sectionGaps(
      section,
      section.scope === "file" ? "file" : context.choice.id,
      index,
      context.source,
      factName(section),
      office.set,
    ),
  );
  const standing: Standing =
    sections.length === 0
      ? "not needed"
      : gaps.length > 0
        ? "missing"
        : // From the submission on somebody waits for the lines that a registry has still to give.
          context.choice.submittedAt !== null && sections.some((s) => awaitedFromRegistry(s, context.source).length > 0)
          ? "promised"
          : "accepted";
  return { ...base(requirement, input, scope, ""), kind: "sections", standing, sections: requirement.sections, gaps };
}

function evidenceStanding(evidence: readonly EvidenceFact[], proof: ProofLevel): Standing {
  if (evidence.some((e) => e.judgement === null)) return "to check";
  if (evidence.some((e) => e.judgement === "returned")) return "returned";
  return evidence.some((e) => e.judgement === "accepted" && atLeastProof(e.proof, proof)) ? "accepted" : "to check";
}

/** Whether everything that a document would show of one of its sections came from whoever issued it: then no paper is needed. */
function isIssued(
  requirement: DocumentRequirement,
  { facts, index }: StandingInput,
  scope: string,
  entry: string,
): boolean {
  if (facts.issued.length === 0) return false; // nearly every file
  const sections = [...new Set(requirement.shows.map((place) => place.split(".")[0] ?? ""))];
  return sections.some((section) => {
    const issued = facts.issued.filter((i) => i.section === section && i.scope === scope).map((i) => i.entry);
    if (issued.length === 0) return false;
    if (requirement.perEntryOf === section) return issued.includes(entry);
    return index.entries(scope, section).every((e) => issued.includes(e));
  });
}

/** What the conditions of a document read: of one that is asked for entry by entry, `it.field` is the entry. */
function ofEntry({ perEntryOf }: DocumentRequirement, { rulebook, source }: ChoiceContext, entry: string): FactSource {
  const section = entry === "" ? undefined : rulebook.body.sections.find((s) => s.key === perEntryOf);
  if (!section) return source;
  return withEntry(
    source,
    source.list(factName(section)).entries.find((e) => e.id === entry),
  );
}

function documentStanding(
  requirement: DocumentRequirement,
  input: StandingInput,
  scope: string,
  entry: string,
): DocumentResult {
  const { context, facts } = input;
  const source = ofEntry(requirement, context, entry);
  const evidence = facts.evidence.filter(
    (e) => e.requirement === requirement.key && e.scope === scope && e.entry === entry,
  );
  const checks = requirement.checks.map((c) => ({
    key: c.key,
    title: c.title,
    truth: judge(c.rule, source).truth,
  }));
  const failed = checks.find((c) => c.truth === "not met");
  const draft = {
    ...base(requirement, input, scope, entry),
    ...documentDraft(requirement),
    checks,
    evidence: evidence.map((e) => e.id),
  };
  if (isIssued(requirement, input, scope, entry) && !evidence.some((e) => e.judgement === null))
    return { ...draft, standing: "accepted" };
  const announced = announcedAt(facts, { requirement: requirement.key, scope, entry });
  if (announced && evidence.every((e) => e.judgement === "returned"))
    return { ...draft, standing: "promised", promisedFor: announced.expectedOn };
  if (evidence.length === 0) {
    const promised =
      (requirement.signedBy !== undefined && facts.signatures.some((s) => s.requirement === requirement.key)) ||
      (requirement.promise !== undefined && judge(requirement.promise, source).truth === "met");
    return {
      ...draft,
      standing: promised ? "promised" : "missing",
      promisedFor: promised ? promisedDay(requirement, context, source) : null,
    };
  }
  const standing = evidenceStanding(evidence, requirement.proof);
  const best = evidence.reduce<ProofLevel>(
    (level, e) =>
      e.judgement === "accepted" && PROOF_LEVELS.indexOf(e.proof) > PROOF_LEVELS.indexOf(level) ? e.proof : level,
    "claimed",
  );
  const later = requirement.laterProof;
  // A check that fails on an accepted document takes it back: the applicant is asked for another, never refused for it.
  const settled: Standing = standing === "accepted" && failed ? "returned" : standing;
  return {
    ...draft,
    standing: settled,
    owedProof: later && !atLeastProof(best, later.level) ? later : null,
    reason:
      settled === "returned" ? (evidence.find((e) => e.judgement === "returned")?.reason ?? failed?.key ?? null) : null,
  };
}

function requestStanding(request: ReferenceFact | undefined): Standing {
  if (!request) return "missing";
  switch (request.state) {
    case "asked":
    case "opened":
      return "promised";
    case "given":
      return request.judgement === "accepted" ? "accepted" : request.judgement === "returned" ? "returned" : "to check";
    case "declined":
    case "withdrawn":
    case "undeliverable":
      return "missing";
  }
}

const FURTHEST: readonly Standing[] = ["accepted", "to check", "promised", "missing", "returned"];

/** References are taken up into the slots of a requirement, the furthest first; a request that failed fills no slot. */
function referenceStandings(
  requirement: Extract<Requirement, { kind: "reference" }>,
  input: StandingInput,
  scope: string,
): readonly ReferenceResult[] {
  const { facts, context, index } = input;
  const section = context.rulebook.body.sections.find((s) => s.core === "referees");
  const roleFits = (request: ReferenceFact) =>
    requirement.role === "any" ||
    (section !== undefined && index.claim("file", section.key, request.referee, "role") === requirement.role);
  const requests = facts.references
    .filter((r) => (r.scopes.includes("file") || r.scopes.includes(context.choice.id)) && roleFits(r))
    .filter((r) => requestStanding(r) !== "missing")
    .sort((a, b) => FURTHEST.indexOf(requestStanding(a)) - FURTHEST.indexOf(requestStanding(b)));
  return Array.from({ length: requirement.count }, (_, slot) => {
    const request = requests[slot];
    return {
      ...base(requirement, input, scope, requirement.count === 1 ? "" : String(slot + 1)),
      kind: "reference",
      standing: requestStanding(request),
      request: request?.id ?? null,
    };
  });
}

function feeStanding(
  requirement: Extract<Requirement, { kind: "fee" }>,
  input: StandingInput,
  scope: string,
): FeeResult {
  const { context, facts, fees } = input;
  const draft = { ...base(requirement, input, scope, ""), kind: "fee" as const, amount: null, charges: [] };
  const due = fees.find((f) => f.item === requirement.item && (f.scope === "file" || f.scope === context.choice.id));
  if (!due) {
    const item = context.rulebook.body.fees.find((f) => f.key === requirement.item);
    const mayCome =
      context.group === null &&
      item &&
      allAmounts(item)
        .flat()
        .some((a) => a.minor > 0);
    return { ...draft, standing: mayCome ? "missing" : "not needed" };
  }
  const charges = facts.charges.filter((c) => c.item === due.item && c.scope === due.scope);
  const paid = charges.reduce((sum, c) => sum + c.paidMinor, 0);
  const announced = charges.some((c) => c.announcedAt !== null);
  return {
    ...draft,
    amount: due.amount,
    charges: charges.map((c) => c.id),
    standing: paid >= due.amount.minor ? "accepted" : announced ? "promised" : "missing",
  };
}

function deedStanding(requirement: Requirement, input: StandingInput, scope: string): DeedResult {
  const done = input.facts.deeds.some((d) => d.requirement === requirement.key && d.scope === scope);
  return { ...base(requirement, input, scope, ""), kind: "deed", standing: done ? "accepted" : "missing" };
}

/** A document that is asked for entry by entry: for each that its condition lets through. */
function entryInstances(
  requirement: DocumentRequirement,
  perEntryOf: string,
  input: StandingInput,
  scope: string,
): readonly RequirementResult[] {
  const { context, index } = input;
  const entries = index.entries("file", perEntryOf);
  if (entries.length > 0) {
    const asked = entries.filter((entry) => applies(requirement.when, ofEntry(requirement, context, entry)));
    return asked.length > 0
      ? asked.map((entry) => documentStanding(requirement, input, scope, entry))
      : [notNeeded(requirement, input, scope)];
  }
  // Of a list that may stay empty nothing is asked until something stands in it.
  const list = context.rulebook.body.sections.find((s) => s.key === perEntryOf);
  return list?.repeats?.min === 0 || !mayComeToApply(requirement.when, context.source)
    ? [notNeeded(requirement, input, scope)]
    : [documentStanding(requirement, input, scope, "")];
}

/** Whether a condition holds, or hangs on what an entry that has to come will say. */
function mayComeToApply(when: Condition | undefined, source: FactSource): boolean {
  if (when === undefined || applies(when, source)) return true;
  return factNames(when).some((fact) => fact.startsWith("it.")) && judge(when, source).truth === "open";
}

function instances(requirement: Requirement, input: StandingInput): readonly RequirementResult[] {
  const { context } = input;
  const scope = requirement.scope === "file" ? "file" : context.choice.id;
  if (requirement.kind === "document" && requirement.perEntryOf !== undefined)
    return entryInstances(requirement, requirement.perEntryOf, input, scope);
  if (!applies(requirement.when, context.source)) return [notNeeded(requirement, input, scope)];
  switch (requirement.kind) {
    case "sections":
      return [sectionsStanding(requirement, input, scope)];
    case "reference":
      return referenceStandings(requirement, input, scope);
    case "fee":
      return [feeStanding(requirement, input, scope)];
    case "deed":
      return [deedStanding(requirement, input, scope)];
    case "document":
      return [documentStanding(requirement, input, scope, "")];
  }
}

function excused(draft: RequirementResult, facts: FileFacts): RequirementResult {
  if (facts.excuses.length === 0) return draft; // nearly every file
  const excuse = facts.excuses.some(
    (e) => e.requirement === draft.key && e.scope === draft.scope && e.entry === draft.entry,
  );
  return excuse && draft.standing !== "accepted" ? { ...draft, standing: "excused" } : draft;
}

/** The same thing asked by two choices: needed by the earlier moment, at the higher proof, once. */
function merge(a: RequirementResult, b: RequirementResult): RequirementResult {
  const needed = a.standing === "not needed" ? b : b.standing === "not needed" ? a : higherProof(a, b);
  const both = {
    neededBy: MOMENTS.indexOf(a.neededBy) <= MOMENTS.indexOf(b.neededBy) ? a.neededBy : b.neededBy,
    toSubmit: a.toSubmit ?? b.toSubmit,
    choices: [...a.choices, ...b.choices],
  };
  if (needed.kind !== "sections") return { ...needed, ...both };
  const known = gapsOf(a);
  const gaps = [
    ...known,
    ...gapsOf(b).filter(
      (g) => !known.some((h) => h.section === g.section && h.entry === g.entry && h.field === g.field),
    ),
  ];
  const sections = [a, b].flatMap((r) => (r.kind === "sections" ? r.sections : []));
  return {
    ...needed,
    ...both,
    standing: gaps.length > 0 ? "missing" : needed.standing,
    gaps,
    sections: [...new Set(sections)],
  };
}

function higherProof(a: RequirementResult, b: RequirementResult): RequirementResult {
  if (a.kind !== "document" || b.kind !== "document") return a;
  return PROOF_LEVELS.indexOf(a.proof) >= PROOF_LEVELS.indexOf(b.proof) ? a : b;
}

/** Every requirement of every live choice with its standing, the first choice's order first. */
export function requirementResults(inputs: readonly StandingInput[]): readonly RequirementResult[] {
  const results = new Map<string, RequirementResult>();
  for (const input of inputs)
    for (const requirement of input.context.rulebook.body.requirements)
      for (const draft of instances(requirement, input)) {
        const result = excused(draft, input.facts);
        const place = resultKey(result);
        const known = results.get(place);
        results.set(place, known ? merge(known, result) : result);
      }
  return [...results.values()];
}
