import { z } from "zod";
import { type LocalText, localTextSchema } from "../text/local-text";
import { LEVELS, type Level } from "./programme";

/**
 * The rules of a procedure about choices: how many programmes one application may name, how many of one level or field, and
 * which exclude each other. One application for each person, cycle and procedure follows from the model itself.
 */
export const choiceRulesSchema = z.object({
  least: z.int().min(1).max(20),
  most: z.int().min(1).max(20),
  limits: z
    .array(
      z.discriminatedUnion("by", [
        z.object({ by: z.literal("level"), value: z.enum(LEVELS), most: z.int().min(0).max(20) }),
        z.object({ by: z.literal("field"), value: z.string().regex(/^\d{2,3}$/u), most: z.int().min(0).max(20) }),
      ]),
    )
    .max(20),
  /** Pairs of programme codes of which one application may hold only one. */
  exclusive: z.array(z.tuple([z.string(), z.string()])).max(50),
  /** Whether the order of the choices says which is preferred. */
  ranked: z.boolean(),
  /** What applicants promise of the order of their choices, before they submit one of several. */
  undertaking: localTextSchema.optional(),
});
export type ChoiceRules = z.infer<typeof choiceRulesSchema>;

export interface ChosenProgramme {
  readonly code: string;
  readonly level: Level;
  readonly fields: readonly string[];
}

/** Why a further choice is not possible: the sentence for each code stands in the catalogue. */
export type ChoiceRefusal =
  | { readonly code: "held" }
  | { readonly code: "too-many"; readonly most: number }
  | { readonly code: "too-many-of-level"; readonly level: Level; readonly most: number }
  | { readonly code: "too-many-of-field"; readonly field: string; readonly most: number }
  | { readonly code: "excluded-by"; readonly other: string };

/** How many choices an application still lacks before any can be submitted. */
export const lackingChoices = (rules: Pick<ChoiceRules, "least">, live: number): number =>
  Math.max(0, rules.least - live);

/** The sentence that is promised of the order of these choices; null where nothing is. */
export const undertakingFor = (rules: Pick<ChoiceRules, "ranked" | "undertaking">, live: number): LocalText | null =>
  rules.ranked && live > 1 ? (rules.undertaking ?? null) : null;

/** The live choices in the order of preference. */
export const orderOf = <T extends { readonly rank: number; readonly withdrawnAt: unknown }>(
  choices: readonly T[],
): readonly T[] => choices.filter((c) => c.withdrawnAt === null).sort((a, b) => a.rank - b.rank);

/** Whether a promise was given for this very list: the same choices in the same order. */
export const standsFor = (given: readonly string[], order: readonly string[]): boolean =>
  given.length === order.length && given.every((id, i) => id === order[i]);

/**
 * Whether a programme may be added to those that an application holds.
 * @param held the live choices; withdrawn ones do not count
 * @returns the first rule that stops it, or null
 */
export function choiceRefusal(
  rules: ChoiceRules,
  held: readonly ChosenProgramme[],
  wanted: ChosenProgramme,
): ChoiceRefusal | null {
  if (held.some((h) => h.code === wanted.code)) return { code: "held" };
  const other = rules.exclusive.flatMap(([a, b]) => (a === wanted.code ? [b] : b === wanted.code ? [a] : []));
  const excluding = held.find((h) => other.includes(h.code));
  if (excluding) return { code: "excluded-by", other: excluding.code };
  if (held.length >= rules.most) return { code: "too-many", most: rules.most };
  const after = [...held, wanted];
  for (const limit of rules.limits) {
    const counts = (p: ChosenProgramme) =>
      limit.by === "level" ? p.level === limit.value : p.fields.some((f) => f.startsWith(limit.value));
    if (!counts(wanted) || after.filter(counts).length <= limit.most) continue;
    return limit.by === "level"
      ? { code: "too-many-of-level", level: limit.value, most: limit.most }
      : { code: "too-many-of-field", field: limit.value, most: limit.most };
  }
  return null;
}
