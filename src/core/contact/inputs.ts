import { z } from "zod";
import { answerPlace, onFile } from "../file/place";

/** What the acts on the ways to somebody take: a number or an address, by where it stands in the form. */

export const contactPlaceInput = z.object({ ...onFile, ...answerPlace });

export const noteContactInput = z.object({
  ...onFile,
  ...answerPlace,
  kind: z.enum(["talked", "no answer", "dead", "returned"]),
  text: z.string().trim().max(1000).default(""),
});
