import { z } from "zod";

/** One kind of evidence, worked through file by file. */
export const checkRun = {
  requirement: z.string().min(1).max(60),
  /** Only of this institution, folded; "" for any. */
  institution: z.string().max(200).default(""),
};

/** `passed`: files that are not given again in this run. */
export const nextCheckInput = z.object({ ...checkRun, passed: z.array(z.uuid()).max(1000) });
/** A file that is left for later in a run. */
export const leaveForLaterInput = z.object({ applicationId: z.uuid(), requirement: checkRun.requirement });
export const leaveChecksInput = z.object({ requirement: checkRun.requirement });

/** What a run is of, with how much of it there is. */
export const checkTag = (requirement: string): string => `standing:${requirement} to check`;
