import { z } from "zod";
import { onChoice } from "../file/place";

/** More time for one person. */
export const extendChoiceInput = z.object({
  ...onChoice,
  until: z.iso.datetime(),
  reason: z.string().trim().min(1).max(500),
});
