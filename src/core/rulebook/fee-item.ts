import { z } from "zod";
import { conditionSchema } from "../rules/condition";
import { localTextSchema } from "../text/local-text";
import { partKeySchema } from "./part-key";

/** An amount of money: whole minor units (cents) and the ISO 4217 currency code. */
export const moneySchema = z.object({ minor: z.int(), currency: z.string().length(3) });
export type Money = z.infer<typeof moneySchema>;

const amountsSchema = z.array(z.object({ group: z.string(), minor: z.int().min(0) }));

/**
 * Something that is charged: for the file or for each choice, by applicant group. The same item from several choices
 * of a file is charged once, at the highest amount.
 * `reductions`: other amounts, each with its condition; the first whose condition is met is asked instead of the whole.
 */
export const feeItemSchema = z.object({
  key: z.string(),
  part: partKeySchema,
  title: localTextSchema,
  per: z.enum(["file", "choice"]),
  currency: z.string().length(3),
  amounts: amountsSchema,
  reductions: z
    .array(z.object({ title: localTextSchema, when: conditionSchema, amounts: amountsSchema }))
    .max(10)
    .optional(),
  when: conditionSchema.optional(),
  /** What becomes of it, once paid, when what it was paid for is withdrawn; kept where nothing is said. */
  whenWithdrawn: z.enum(["kept", "returned"]).optional(),
});
export type FeeItem = z.infer<typeof feeItemSchema>;

/** What a group pays of these amounts, in minor units: nothing where it is not named. */
export const minorFor = (amounts: FeeItem["amounts"], group: string | null): number =>
  amounts.find((a) => a.group === group)?.minor ?? 0;

/** Every list of amounts of an item: the whole and its reductions. */
export const allAmounts = ({ amounts, reductions = [] }: Pick<FeeItem, "amounts" | "reductions">) => [
  amounts,
  ...reductions.map((r) => r.amounts),
];
