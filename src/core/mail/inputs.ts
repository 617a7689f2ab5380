import { z } from "zod";
import { onFile } from "../file/place";

/** A message of a file that is to be sent once more. */
export const sendAgainInput = z.object({ ...onFile, messageId: z.uuid() });
