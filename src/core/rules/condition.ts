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

/** A limit is a plain value, a list of values, or another fact (moved by months where dates are compared). */
const limitSchema = z.union([
  z.string(),
  z.number(),
  z.boolean(),
  z.array(z.string()),
  z.object({ fact: z.string(), plusMonths: z.int().optional() }),
]);
export type Limit = z.infer<typeof limitSchema>;

export type Condition =
  | { readonly all: readonly Condition[] }
  | { readonly any: readonly Condition[] }
  | { readonly not: Condition }
  | { readonly atLeast: number; readonly of: readonly Condition[] }
  | { readonly fact: string; readonly is: Comparison; readonly value?: Limit | undefined }
  | { readonly some: string; readonly where: Condition }
  | { readonly count: string; readonly where?: Condition | undefined; readonly is: Comparison; readonly value: Limit }
  | {
      readonly sum: string;
      readonly of: string;
      readonly where?: Condition | undefined;
      readonly is: Comparison;
      readonly value: Limit;
    };

export const conditionSchema: z.ZodType<Condition> = z.lazy(() =>
  z.union([
    z.strictObject({ all: z.array(conditionSchema) }),
    z.strictObject({ any: z.array(conditionSchema) }),
    z.strictObject({ not: conditionSchema }),
    z.strictObject({ atLeast: z.int().min(0), of: z.array(conditionSchema) }),
    z.strictObject({ fact: z.string(), is: z.enum(COMPARISONS), value: limitSchema.optional() }),
    z.strictObject({ some: z.string(), where: conditionSchema }),
    z.strictObject({
      count: z.string(),
      where: conditionSchema.optional(),
      is: z.enum(COMPARISONS),
      value: limitSchema,
    }),
    z.strictObject({
      sum: z.string(),
      of: z.string(),
      where: conditionSchema.optional(),
      is: z.enum(COMPARISONS),
      value: limitSchema,
    }),
  ]),
);
