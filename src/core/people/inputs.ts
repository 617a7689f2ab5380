import { z } from "zod";
import { onFile } from "../file/place";

/** Whether the applicant of another file is the same person. */
export const judgeSamePersonInput = z.object({
  ...onFile,
  otherNumber: z.string().max(20),
  verdict: z.enum(["same", "different", "undecided"]),
});

/** Gives the files of two accounts of one person to one of them: the account of this file, or that of the other. */
export const joinAccountsInput = z.object({
  ...onFile,
  otherNumber: z.string().max(20),
  keep: z.enum(["this", "other"]),
  reason: z.string().trim().min(1).max(500),
});

/** Gives a file, and those that came with it, back to the account whose they were. */
export const partAccountsInput = z.object({ ...onFile, reason: z.string().trim().min(1).max(500) });
