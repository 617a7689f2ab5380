import { z } from "zod";
import { onFile } from "../file/place";
import { TEXT_USES } from "./text-uses";

/** What the acts of a conversation on a file take. */

export const MOST_SIGNS = 6000;
const text = z.string().trim().min(1).max(MOST_SIGNS);

/** `about`: the section of the form that it is about, by its key; "" where it is about none. */
export const writeToOfficeInput = z.object({ ...onFile, text, about: z.string().max(60).default("") });

export const writeToApplicantInput = z.object({
  ...onFile,
  text,
  /** What was asked, in general and without names, so that it is collected for the help texts; "" where nothing was. */
  question: z.string().trim().max(300).default(""),
});

export const takeMessageBackInput = z.object({ ...onFile, messageId: z.uuid() });
export const settleMessagesInput = z.object(onFile);
export const readConversationInput = z.object(onFile);

export const saveTextInput = z.object({
  /** Null for a new one. */
  textId: z.uuid().nullable(),
  version: z.int().min(1).nullable(),
  name: z.string().trim().min(1).max(80),
  en: text,
  fr: text,
  uses: z.array(z.enum(TEXT_USES)).min(1),
});
export type WrittenText = z.input<typeof saveTextInput>;
export const dropTextInput = z.object({ textId: z.uuid() });
