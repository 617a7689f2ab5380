import { z } from "zod";

/** What can be done to many files at once; each is done to each file by itself. */
export const manySchema = z.discriminatedUnion("do", [
  /** Into whose hands; null into nobody's. */
  z.object({ do: z.literal("hand"), officerId: z.uuid().nullable() }),
  /** Into the hands of whom the office's rules name. */
  z.object({ do: z.literal("assign") }),
  z.object({ do: z.literal("remind"), words: z.string().trim().max(1000) }),
  z.object({
    do: z.literal("ask"),
    requirement: z.string().min(1).max(60),
    text: z.string().trim().min(1).max(2000),
    due: z.iso.date(),
  }),
  z.object({
    do: z.literal("excuse"),
    requirement: z.string().min(1).max(60),
    reason: z.string().trim().min(1).max(1000),
  }),
]);
export type Many = z.infer<typeof manySchema>;

/** What came of it in one file, or would come of it. */
export interface ManyLine {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly done: boolean;
  /** What happens, or why it does not. */
  readonly says: string;
  /** In whose hands it was before. */
  readonly before?: string | null;
}
