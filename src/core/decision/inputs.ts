import { z } from "zod";
import { onChoice } from "../file/place";

/** What the acts on decisions take. */

export const prepareDecisionInput = z.object({
  ...onChoice,
  kind: z.enum(["offer", "offer on conditions", "waiting list", "refusal"]),
  /** What the applicant reads. */
  reason: z.string().trim().max(2000).nullable().default(null),
  /** What stays with the office. */
  note: z.string().trim().max(2000).nullable().default(null),
});
export const dropDecisionInput = z.object(onChoice);
export const releaseDecisionInput = z.object(onChoice);
export const answerDecisionInput = z.object({ ...onChoice, answer: z.enum(["accepted", "declined"]) });
