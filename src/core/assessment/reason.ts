import type { Assessment } from "./result";

/** The reason under which a file stands in the lists: the kind of its next step, or why it has none. */
export function reasonOf(assessment: Assessment): string {
  if (assessment.file.next) return assessment.file.next.kind;
  return assessment.choices.map((c) => c.closedAs).find((c) => c !== null) ?? assessment.file.stage;
}
