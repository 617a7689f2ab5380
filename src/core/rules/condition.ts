import { z } from "zod";

/**
 * The one rule language: conditions (when a section, a field, a requirement or a fee applies) and entry rules.
 * A condition is data. It reads facts by name, compares them, looks into lists, and joins conditions.
 * Inside `where`, a fact named `it.field` is a field of the list entry that is being looked at.
 */
export const COMPARISONS = [
  "equals",
  "differs",
  "oneOf",
  "includesOneOf",
  "atLeast",
  "atMost",
  "over",
  "under",
  "known",
] as const;
export type Comparison = (typeof COMPARISONS)[number];

/** A limit is a plain value, a list of values, or another fact (moved by months and days where dates are compared). */
const limitSchema = z.union([
  z.string(),
  z.number(),
  z.boolean(),
  z.array(z.string()),
  z.object({ fact: z.string(), plusMonths: z.int().optional(), plusDays: z.int().optional() }),
]);
export type Limit = z.infer<typeof limitSchema>;

/** Each kind by its `op`: how parts are joined, a comparison, or what is asked of the entries of a list. */
export type Condition =
  | { readonly op: "all" | "any"; readonly of: readonly Condition[] }
  | { readonly op: "not"; readonly of: Condition }
  | { readonly op: "atLeast"; readonly count: number; readonly of: readonly Condition[] }
  | { readonly op: "fact"; readonly fact: string; readonly is: Comparison; readonly value?: Limit | undefined }
  | { readonly op: "some"; readonly list: string; readonly where: Condition }
  | {
      readonly op: "count";
      readonly list: string;
      readonly where?: Condition | undefined;
      readonly is: Comparison;
      readonly value: Limit;
    }
  | {
      readonly op: "sum";
      readonly list: string;
      /** What is added up of each entry. */
      readonly field: string;
      readonly where?: Condition | undefined;
      readonly is: Comparison;
      readonly value: Limit;
    };
export type ConditionOp = Condition["op"];
export type ConditionOf<Op extends ConditionOp> = Extract<Condition, { readonly op: Op }>;

const comparison = { is: z.enum(COMPARISONS), value: limitSchema };

export const conditionSchema: z.ZodType<Condition> = z.lazy(() =>
  z.discriminatedUnion("op", [
    z.strictObject({ op: z.literal("all"), of: z.array(conditionSchema) }),
    z.strictObject({ op: z.literal("any"), of: z.array(conditionSchema) }),
    z.strictObject({ op: z.literal("not"), of: conditionSchema }),
    z.strictObject({ op: z.literal("atLeast"), count: z.int().min(0), of: z.array(conditionSchema) }),
    z.strictObject({ op: z.literal("fact"), fact: z.string(), is: comparison.is, value: limitSchema.optional() }),
    z.strictObject({ op: z.literal("some"), list: z.string(), where: conditionSchema }),
    z.strictObject({ op: z.literal("count"), list: z.string(), where: conditionSchema.optional(), ...comparison }),
    z.strictObject({
      op: z.literal("sum"),
      list: z.string(),
      field: z.string(),
      where: conditionSchema.optional(),
      ...comparison,
    }),
  ]),
);
