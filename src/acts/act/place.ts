import { and, eq } from "drizzle-orm";
import type { RequirementPlace } from "../../core/file/place";
import type { RequirementResult } from "../../core/file/result";
import type { announcedPaper, ask, deed, evidence } from "../../db/schema";
import type { OpenFile } from "./file-act";

/** The place alone of what names one among other things. */
export const placeOf = ({ requirement, scope, entry }: RequirementPlace) => ({ requirement, scope, entry });

export function resultAt(file: OpenFile, at: RequirementPlace): RequirementResult | undefined {
  return file.assessment.requirements.find(
    (r) => r.key === at.requirement && r.scope === at.scope && r.entry === at.entry,
  );
}

/** Whether a choice that a requirement is for was submitted. */
export function isSubmitted(file: OpenFile, result: RequirementResult): boolean {
  return file.facts.choices.some((c) => result.choices.includes(c.id) && c.submittedAt !== null);
}

/** The rows of a file that belong to a place. */
export function rowsAt(
  table: typeof ask | typeof evidence | typeof deed | typeof announcedPaper,
  applicationId: string,
  at: RequirementPlace,
) {
  return and(
    eq(table.applicationId, applicationId),
    eq(table.requirement, at.requirement),
    eq(table.scope, at.scope),
    eq(table.entry, at.entry),
  );
}
