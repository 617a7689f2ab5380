import { and, eq } from "drizzle-orm";
import { z } from "zod";
import type { RequirementResult } from "../../core/file/result";
import type { ask, deed, evidence } from "../../db/schema";
import type { OpenFile } from "../act/file-act";

/** One requirement of a file, as acts name it: its key, `file` or the id of a choice, and the list entry it is asked for. */
export const placeFields = {
  requirement: z.string().max(60),
  scope: z.string().max(40),
  entry: z.string().max(40).default(""),
};

/** One answer of a file: its scope, its section and field, and the entry of a list that it stands in. */
export const valueFields = {
  scope: z.string().max(40),
  section: z.string().max(60),
  entry: z.string().max(40).default(""),
  field: z.string().max(60),
};

export type Place = { readonly requirement: string; readonly scope: string; readonly entry: string };

export const placeOf = ({ requirement, scope, entry }: Place): Place => ({ requirement, scope, entry });

export function resultAt(file: OpenFile, at: Place): RequirementResult | undefined {
  return file.assessment.requirements.find(
    (r) => r.key === at.requirement && r.scope === at.scope && r.entry === at.entry,
  );
}

/** Whether a choice that a requirement is for was submitted. */
export function isSubmitted(file: OpenFile, result: RequirementResult): boolean {
  return file.facts.choices.some((c) => result.choices.includes(c.id) && c.submittedAt !== null);
}

/** The rows of a file that belong to a place. */
export function rowsAt(table: typeof ask | typeof evidence | typeof deed, applicationId: string, at: Place) {
  return and(
    eq(table.applicationId, applicationId),
    eq(table.requirement, at.requirement),
    eq(table.scope, at.scope),
    eq(table.entry, at.entry),
  );
}
