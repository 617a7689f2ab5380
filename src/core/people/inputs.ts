import { z } from "zod";
import { onFile } from "../file/place";

/** Whether the applicant of another file is the same person. */
export const judgeSamePersonInput = z.object({
  ...onFile,
  otherNumber: z.string().max(20),
  verdict: z.enum(["same", "different", "undecided"]),
});
