import { z } from "zod";
import { onFile, requirementPlace } from "../file/place";
import { MOST_ATTACHED } from "./incoming";
import { TEXT_USES } from "./text-uses";

/** What the acts of a conversation on a file take. */

export const MOST_SIGNS = 6000;
const text = z.string().trim().min(1).max(MOST_SIGNS);

/** Documents that are held for the message, by the ids under which they are shown. */
const files = z.array(z.uuid()).max(MOST_ATTACHED).default([]);

/** `about`: the section of the form that it is about, by its key; "" where it is about none. */
export const writeToOfficeInput = z.object({ ...onFile, text, about: z.string().max(60).default(""), files });

export const writeToApplicantInput = z.object({
  ...onFile,
  text,
  /** What was asked, in general and without names, so that it is collected for the help texts; "" where nothing was. */
  question: z.string().trim().max(300).default(""),
  files,
});

export const takeMessageBackInput = z.object({ ...onFile, messageId: z.uuid() });
export const settleMessagesInput = z.object(onFile);
export const readConversationInput = z.object(onFile);

export const dropHeldInput = z.object({ ...onFile, uploadId: z.uuid() });
export const fileAttachmentInput = z.object({ ...onFile, ...requirementPlace, uploadId: z.uuid() });

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
