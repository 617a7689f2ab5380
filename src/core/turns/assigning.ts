import { z } from "zod";
import type { FileFacts } from "../file/facts";
import type { PlainDate } from "../ids";
import { fold } from "../people/fold";
import { shownName, standsIn } from "../people/shown-name";
import { type Grant, holds, OFFICE } from "../rights/actor";

/** By which rules files go into the hands of officers, and who stands in for whom. */

const MOST_RULES = 100;
const MOST_OFFICERS = 50;
const letter = z.string().regex(/^[A-Z]?$/u);

/** What a rule says nothing of counts for all: no programmes are all programmes, no letters all names. */
export const assigningRuleSchema = z
  .object({
    programmes: z.array(z.string().max(20)).max(MOST_RULES),
    groups: z.array(z.string().max(60)).max(MOST_RULES),
    /** First letters of the family name, both included; "" leaves an end open. */
    from: letter,
    to: letter,
    officers: z.array(z.uuid()).min(1).max(MOST_OFFICERS),
  })
  .refine(({ from, to }) => from === "" || to === "" || from <= to, { path: ["to"] });
export type AssigningRule = z.infer<typeof assigningRuleSchema>;

/** `version`: the one that the writer saw; 0 where there was none. */
export const saveAssigningInput = z.object({
  version: z.int().min(0),
  rules: z.array(assigningRuleSchema).max(MOST_RULES),
});

export const noteAbsenceInput = z
  .object({ personId: z.uuid(), coverId: z.uuid(), from: z.iso.date(), until: z.iso.date() })
  .refine(({ from, until }) => from <= until, { path: ["until"] })
  .refine(({ personId, coverId }) => personId !== coverId, { path: ["coverId"] });
export const dropAbsenceInput = z.object({ absenceId: z.uuid() });

/** Somebody who may be given files. */
export interface Officer {
  readonly id: string;
  readonly name: string;
  readonly grants: readonly Grant[];
  /** Files in their hands that are neither drafts nor closed. */
  readonly inHand: number;
  /** Who stands in for them today; null while they are there. */
  readonly coverId: string | null;
}

/** What rules look at. */
export interface ToAssign {
  /** In the order of the choices: rules go by the first. */
  readonly programmes: readonly string[];
  readonly group: string | null;
  readonly familyName: string;
}

export function toAssign(facts: FileFacts, group: string | null): ToAssign {
  const live = facts.choices.filter((c) => c.submittedAt !== null && c.withdrawnAt === null);
  const family = standsIn(facts, "person", "familyName");
  return {
    programmes: (live.length > 0 ? live : facts.choices).map((c) => c.programme),
    group,
    familyName: typeof family === "string" && family.trim() !== "" ? family : shownName(facts),
  };
}

/** The letter that a name is filed under; "" where it has none from A to Z. */
export const filedUnder = (name: string): string => /[a-z]/u.exec(fold(name))?.[0].toUpperCase() ?? "";

function fits({ programmes, groups, from, to }: AssigningRule, file: ToAssign): boolean {
  const [first] = file.programmes;
  if (programmes.length > 0 && (first === undefined || !programmes.includes(first))) return false;
  if (groups.length > 0 && (file.group === null || !groups.includes(file.group))) return false;
  if (from === "" && to === "") return true;
  const at = filedUnder(file.familyName);
  return at !== "" && at >= from && (to === "" || at <= to);
}

/** Who has the file's place today: the officer, or while they are away who stands in for them; null where both are away. */
function thereFor(id: string, officers: ReadonlyMap<string, Officer>): Officer | null {
  const officer = officers.get(id);
  if (!officer) return null;
  if (officer.coverId === null) return officer;
  const cover = officers.get(officer.coverId);
  return cover && cover.coverId === null ? cover : null;
}

/**
 * Into whose hands a file goes: by the first rule that fits and has somebody who is there and works on its programmes, to who has the
 * fewest files, and among equals to who stands first in the rule. Null where no rule has anybody.
 */
export function assignee(
  file: ToAssign,
  rules: readonly AssigningRule[],
  officers: ReadonlyMap<string, Officer>,
): Officer | null {
  for (const rule of rules) {
    if (!fits(rule, file)) continue;
    const there = rule.officers
      .flatMap((id) => thereFor(id, officers) ?? [])
      .filter(({ id, name, grants }) => holds({ kind: "person", id, name, grants }, OFFICE, file.programmes));
    const [first] = there.toSorted((a, b) => a.inHand - b.inHand);
    if (first) return first;
  }
  return null;
}

/** An officer who is away, and who stands in for them. */
export interface Absence {
  readonly id: string;
  readonly personId: string;
  readonly coverId: string;
  readonly from: PlainDate;
  readonly until: PlainDate;
}
