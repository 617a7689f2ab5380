import type { ApplicantAssessment, ApplicantRequirement } from "../../core/assessment/applicants-share";

const ID_LETTERS = 8;

/** The address of a section's page: a section of one choice carries the beginning of the choice's id. */
export function sectionPage(section: string, scope: string): string {
  return scope === "file" ? section : `${section}.${scope.slice(0, ID_LETTERS)}`;
}

/** Where on the applicant's side a requirement is answered. */
export function requirementHref(number: string, requirement: ApplicantRequirement): string {
  const base = `/my/${number}`;
  switch (requirement.kind) {
    case "sections": {
      const gap = requirement.gaps[0];
      return gap ? gapHref(number, gap) : `${base}/${sectionPage(requirement.sections[0] ?? "", requirement.scope)}`;
    }
    case "document":
      return `${base}/documents#${requirement.key}-${requirement.entry}`;
    case "reference":
      return `${base}/referees`;
    case "fee":
      return `${base}/fee`;
    case "deed":
      return base;
  }
}

/** The field that a gap is about: an entry that is missing leads to its section. */
export function gapHref(
  number: string,
  gap: {
    readonly scope: string;
    readonly section: string;
    readonly entry: string;
    readonly field: string;
    readonly code: string;
  },
): string {
  const anchor =
    gap.code === "missing" || gap.code === "wrong" ? `${gap.section}-${gap.entry}-${gap.field}` : gap.section;
  return `/my/${number}/${sectionPage(gap.section, gap.scope)}#${anchor}`;
}

/** Where somebody who comes back goes on: the first thing that is missing, or the overview where nothing is. */
export function landingHref(number: string, { choices, requirements }: ApplicantAssessment): string {
  const draft = choices.find((c) => c.stage === "preparing");
  const missing = requirements.find((r) =>
    draft?.missing.some((m) => m.requirement === r.key && m.scope === r.scope && m.entry === r.entry),
  );
  return missing ? requirementHref(number, missing) : `/my/${number}`;
}
