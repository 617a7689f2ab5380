import { z } from "zod";
import { onFile } from "../file/place";

/** What somebody makes of two statements that have passages in common. */
export const judgeLikenessInput = z.object({
  ...onFile,
  /** The statement of this file, and the one of the other. */
  statementId: z.uuid(),
  otherId: z.uuid(),
  verdict: z.enum(["harmless", "copied", "undecided"]),
  note: z.string().trim().max(1000).default(""),
});
