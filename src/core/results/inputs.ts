import { z } from "zod";
import { onFile } from "../file/place";

/** What the acts on results of others take. */

export const askRegistryInput = z.object({
  ...onFile,
  scope: z.string().max(40),
  section: z.string().max(60),
  entry: z.string().max(40),
});
export const takeRegistryResultsInput = z.object({ ...onFile, queryId: z.uuid() });
