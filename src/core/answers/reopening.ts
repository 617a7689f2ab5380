import type { FileFacts } from "../file/facts";
import type { Rulebook } from "../rulebook/rulebook";

/** A section of a file: `file`, or the choice that it belongs to, and its key. */
export interface SectionPlace {
  readonly scope: string;
  readonly section: string;
}

export const samePlace = (a: SectionPlace) => (b: SectionPlace) => a.scope === b.scope && a.section === b.section;

/** The sections of the submitted, living choices, which the office may open again; agreements are made anew, never corrected. */
export function reopenable({
  facts,
  rulebooks,
}: {
  readonly facts: FileFacts;
  readonly rulebooks: Readonly<Record<string, Rulebook>>;
}): readonly SectionPlace[] {
  const places = facts.choices
    .filter((c) => c.submittedAt !== null && c.withdrawnAt === null)
    .flatMap((c) =>
      (rulebooks[c.rulebookId]?.body.sections ?? [])
        .filter((s) => s.core !== "declaration")
        .map((s) => ({ scope: s.scope === "file" ? "file" : c.id, section: s.key })),
    );
  return places.filter((p, i) => places.findIndex(samePlace(p)) === i);
}
