import { z } from "zod";
import { onFile } from "../file/place";

/** What the acts on copies of files take. */

const LONGEST_SUMMARY = 600;

export const writeSummaryInput = z.object({
  ...onFile,
  scope: z.string().max(40),
  section: z.string().max(60),
  text: z.string().trim().max(LONGEST_SUMMARY),
});

export const leaveOutPageInput = z.object({
  ...onFile,
  uploadId: z.uuid(),
  page: z.int().min(1).max(5000),
  out: z.boolean(),
});
