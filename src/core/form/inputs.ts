import { z } from "zod";
import { onFile } from "../file/place";

/** A line of a list that an officer added. */
export const takeBackLineInput = z.object({
  ...onFile,
  scope: z.string().max(40),
  section: z.string().max(60),
  entry: z.string().min(1).max(40),
});
