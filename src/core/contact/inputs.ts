import { z } from "zod";
import { answerPlace, onFile } from "../file/place";

/** What the acts on the ways to somebody take: a number or an address, by where it stands in the form. */

export const contactPlaceInput = z.object({ ...onFile, ...answerPlace });

export const noteContactInput = z.object({
  ...onFile,
  ...answerPlace,
  kind: z.enum(["talked", "no answer", "dead", "returned"]),
  text: z.string().trim().max(1000).default(""),
  /** The section of the form that was asked about, and the question without names: what is asked again and again is collected. */
  about: z.string().max(60).default(""),
  question: z.string().trim().max(160).default(""),
});
