import { z } from "zod";
import { onFile } from "../file/place";
import { TEMPLATES } from "./templates";

/** A message of a file that is to be sent once more. */
export const sendAgainInput = z.object({ ...onFile, messageId: z.uuid() });

const words = z.object({ subject: z.string().trim().min(1).max(200), body: z.string().trim().min(1).max(6000) });
export type MailWords = z.output<typeof words>;

/** Words of the office for a mail, in each language; null goes back to those that come with Unvex. `version`: the one that was changed. */
export const saveWordingInput = z.object({
  template: z.enum(TEMPLATES),
  version: z.int().min(0),
  words: z.object({ en: words, fr: words }).nullable(),
});

/** What came back is seen to; with `again` it goes out once more. */
export const settleReturnedInput = z.object({ ...onFile, again: z.boolean() });

/** The right address of the applicant's account, and how the office knows that it is theirs. */
export const correctAddressInput = z.object({
  ...onFile,
  email: z.string().trim().toLowerCase().pipe(z.email()).pipe(z.string().max(320)),
  reason: z.string().trim().min(1).max(500),
});

/** A mail that came in and that somebody places: into the conversation with the applicant, or with the file for the office alone. */
export const placeMailInput = z.object({ ...onFile, mailId: z.uuid(), as: z.enum(["message", "kept"]) });
