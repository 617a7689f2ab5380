import { z } from "zod";
import { onFile } from "../file/place";
import { RULINGS } from "../rulebook/ruled-case";

/** What the acts on rulings take. */

const said = (most: number) => z.string().trim().min(1).max(most).nullable().default(null);

const ruledCase = {
  ...onFile,
  question: z.string().max(60),
  scope: z.string().max(40),
  section: z.string().max(60),
  entry: z.string().max(40),
};

/** A case in a file, by the question that is asked of it and where it stands. */
export const caseInput = z.object(ruledCase);
export type CaseAt = Omit<z.output<typeof caseInput>, "applicationId">;

export const rulingReason = z.string().trim().min(1).max(1000);
export const ruleOnCaseInput = z.object({
  ...ruledCase,
  /** The earlier ruling that is taken over. */
  earlier: z.uuid().optional(),
  verdict: z.enum(RULINGS).optional(),
  reason: rulingReason.optional(),
  /** What the case is held equal to: a level, a degree, a grade on our scale. */
  equalTo: said(200),
  /** What it is accepted for no further than. */
  limits: said(500),
});
