import { z } from "zod";
import { conditionSchema } from "../rules/condition";
import { localTextSchema } from "../text/local-text";
import { partKeySchema } from "./part-key";

/** An amount of money: whole minor units (cents) and the ISO 4217 currency code. */
export const moneySchema = z.object({ minor: z.int(), currency: z.string().length(3) });
export type Money = z.infer<typeof moneySchema>;

/**
 * Something that is charged: for the file or for each choice, by applicant group. The same item from several choices
 * of a file is charged once, at the highest amount.
 */
export const feeItemSchema = z.object({
  key: z.string(),
  part: partKeySchema,
  title: localTextSchema,
  per: z.enum(["file", "choice"]),
  currency: z.string().length(3),
  amounts: z.array(z.object({ group: z.string(), minor: z.int().min(0) })),
  when: conditionSchema.optional(),
  /** What becomes of it, once paid, when what it was paid for is withdrawn; kept where nothing is said. */
  whenWithdrawn: z.enum(["kept", "returned"]).optional(),
});
