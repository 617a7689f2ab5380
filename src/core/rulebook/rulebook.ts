import { z } from "zod";
import { gradeMethodSchema } from "../grades/method";
import { meanPolicySchema } from "../grades/summary";
import { minimumSchema } from "../language/sittings";
import { conditionSchema } from "../rules/condition";
import { localTextSchema } from "../text/local-text";
import { LEAP_BIRTHDAYS } from "../time/age";
import { DAY_NAMES, SPAN_DAYS } from "./day-names";
import { feeItemSchema } from "./fee-item";
import { partKeySchema } from "./part-key";
import { requirementSchema } from "./requirement";
import { sectionSchema } from "./section";

const resultDays = {
  /** The day on which a result still has to be valid; the start of studies where nothing is said. */
  validOn: z.enum(DAY_NAMES).optional(),
  /** The day by which a pending result has to be there. */
  resultBy: z.enum(["start", "closing"]).optional(),
};

/** A computed fact that rules read as `measure.key`. */
export const measureSchema = z.discriminatedUnion("kind", [
  z.object({
    key: z.string(),
    part: partKeySchema,
    kind: z.literal("grade"),
    title: localTextSchema,
    /** Which degree counts; of several the one that ends last, or what `several` says. */
    degree: conditionSchema,
    /** `mean`: each degree that counts is carried over on its own scale, and the mean of what comes out counts. */
    several: z.enum(["last", "mean"]).optional(),
    /** How it is carried over to our scale; the modified Bavarian formula where nothing is said. */
    method: gradeMethodSchema.optional(),
    /** The final grade as stated, and the mean of the courses only while there is none; or that mean in any case. */
    basis: z.enum(["final grade", "courses"]).optional(),
    mean: meanPolicySchema.optional(),
    /** Only courses of these subject areas count. */
    areas: z.array(z.string()).optional(),
    /** Only so many of the latest ECTS credits count. */
    lastEcts: z.int().min(1).max(600).optional(),
    decimals: z.int().min(0).max(3),
    rounding: z.enum(["truncate", "half_up", "half_even"]),
    compare: z.enum(["exact", "rounded"]),
  }),
  z.object({
    key: z.string(),
    part: partKeySchema,
    kind: z.literal("level"),
    title: localTextSchema,
    language: z.string(),
    tests: z.array(z.string()),
    /** One sitting, or the best of each part over all valid sittings of a test. */
    mode: z.enum(["single", "combine"]).optional(),
    /** The fact in which applicants state their level themselves: it decides nothing, and stands beside what the tests show. */
    stated: z.string().optional(),
    ...resultDays,
  }),
  z.object({
    key: z.string(),
    part: partKeySchema,
    kind: z.literal("proof"),
    title: localTextSchema,
    /** The accepted tests, each with what it has to reach: one is enough. */
    minimums: z.array(minimumSchema),
    ...resultDays,
  }),
  z.object({
    key: z.string(),
    part: partKeySchema,
    kind: z.literal("studyMonths"),
    title: localTextSchema,
    language: z.string(),
    degree: conditionSchema,
  }),
  z.object({
    key: z.string(),
    part: partKeySchema,
    kind: z.literal("age"),
    title: localTextSchema,
    /** The fact that holds the date of birth. */
    of: z.string(),
    /** The day on which it is counted; the start of studies where nothing is said. */
    on: z.enum(DAY_NAMES).optional(),
    /** The birthday in common years of those born on 29 February; 1 March where nothing is said. */
    leap: z.enum(LEAP_BIRTHDAYS).optional(),
  }),
  z.object({
    key: z.string(),
    part: partKeySchema,
    kind: z.literal("ruling"),
    title: localTextSchema,
    /** The list, or the section, that holds what is ruled on, by its name in rules. */
    of: z.string(),
    where: conditionSchema.optional(),
    /** The question under which rulings are kept: rulebooks that ask the same one share them. */
    question: z.string(),
    /** The office's list of what is accepted without further reading. */
    entitlement: z.string().optional(),
  }),
  z.object({
    key: z.string(),
    part: partKeySchema,
    kind: z.literal("span"),
    title: localTextSchema,
    /** The list whose entries run from `start` to `end`. */
    list: z.string(),
    where: conditionSchema.optional(),
    /** The day up to which months count; the start of studies where none is named. */
    until: z.enum(SPAN_DAYS).optional(),
  }),
]);
export type Measure = z.infer<typeof measureSchema>;

/** A condition for eligibility. */
export const entryRuleSchema = z.object({
  key: z.string(),
  part: partKeySchema,
  title: localTextSchema,
  rule: conditionSchema,
  /** How the rule may still be met later, and the condition under which that is possible at all. */
  curable: z.object({ way: localTextSchema, possible: conditionSchema }).nullable(),
  /** The applicant sees how it stands once the application was submitted, in the same numbers. */
  shownToApplicant: z.boolean().optional(),
  /** Whoever does not meet it cannot submit a choice of the programme, unless a lead officer lets it count as met. */
  gate: z.boolean().optional(),
});

/**
 * Everything an intake asks for, as one immutable, versioned document. Published rulebooks stand alone: shared parts
 * are copied in, so that a file that was submitted under one is judged by the same words for ever.
 */
export const rulebookSchema = z.object({
  sections: z.array(sectionSchema).max(200),
  requirements: z.array(requirementSchema).max(200),
  measures: z.array(measureSchema),
  entryRules: z.array(entryRuleSchema),
  fees: z.array(feeItemSchema),
  /** Elements of shared parts that this rulebook holds otherwise, and does without. */
  without: z
    .array(z.object({ part: z.string(), area: z.string(), key: z.string() }))
    .max(200)
    .optional(),
});
export type RulebookBody = z.infer<typeof rulebookSchema>;

export const EMPTY_RULEBOOK: RulebookBody = {
  sections: [],
  requirements: [],
  measures: [],
  entryRules: [],
  fees: [],
};

export interface Rulebook {
  readonly id: string;
  readonly version: number;
  readonly body: RulebookBody;
}
