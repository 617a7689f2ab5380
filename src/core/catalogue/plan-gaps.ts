import { parseDay } from "../time/day";
import { startOfDay, type ZoneTable } from "../time/zone";
import type { ProgrammeInput } from "./programme";

/** What a programme, one of its starts or a round still lacks before people come. */
export type PlanGap =
  | { readonly code: "no-field" | "no-prerequisites" | "no-contact" | "no-keywords" | "no-rulebook" | "no-places" }
  | { readonly code: "no-closing"; readonly round: string; readonly group: string }
  | { readonly code: "starts-before-closing"; readonly round: string };

export interface PlannedStart {
  /** The first day of study, `2027-09-01`. */
  readonly startsOn: string;
  readonly places: number;
  /** The published version; null where none is published. */
  readonly rulebook: number | null;
  readonly rounds: readonly {
    readonly key: string;
    readonly closings: readonly { readonly group: string; readonly at: string }[];
  }[];
}

type Described = Pick<ProgrammeInput, "fields" | "prerequisites" | "contact" | "keywords">;

/**
 * What is missing in one start of a programme. Nothing of it is wrong by itself: a programme without a field is not found by its
 * field, a group without a closing cannot apply, a contact is missed when somebody has a question.
 * @param groups the keys of the office's applicant groups
 * @param zone the office's, in which the first day of study is a day
 */
export function planGaps(
  programme: Described,
  start: PlannedStart,
  groups: readonly string[],
  zone: ZoneTable,
): readonly PlanGap[] {
  const studiesBegin = startOfDay(zone, (parseDay(start.startsOn) ?? 0) + 1);
  const lacks: readonly (PlanGap["code"] | null)[] = [
    programme.fields.length === 0 ? "no-field" : null,
    programme.prerequisites === null ? "no-prerequisites" : null,
    programme.contact === null ? "no-contact" : null,
    programme.keywords.length === 0 ? "no-keywords" : null,
    start.rulebook === null ? "no-rulebook" : null,
    start.places === 0 ? "no-places" : null,
  ];
  return [
    ...lacks.flatMap((code) => (code === null ? [] : [{ code } as PlanGap])), // the codes of this list carry nothing else
    ...start.rounds.flatMap(({ key, closings }): readonly PlanGap[] => [
      ...groups
        .filter((group) => !closings.some((c) => c.group === group))
        .map((group) => ({ code: "no-closing" as const, round: key, group })),
      ...(closings.some((c) => Date.parse(c.at) > studiesBegin)
        ? [{ code: "starts-before-closing" as const, round: key }]
        : []),
    ]),
  ];
}
