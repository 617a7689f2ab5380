import { z } from "zod";
import { onFile } from "../file/place";

/** What the office notes in a file for itself. */

export const addNoteInput = z.object({
  ...onFile,
  text: z.string().trim().min(1).max(2000),
  /** Officers who are to read it. */
  mentions: z.array(z.uuid()).max(20).default([]),
});
export const dropNoteInput = z.object({ ...onFile, noteId: z.uuid() });

/** A word that officers put on files, to find them by. */
const mark = z
  .string()
  .trim()
  .min(1)
  .max(40)
  .regex(/^[^,;]+$/u);
export const markFileInput = z.object({ ...onFile, mark });
export const lookInInput = z.object(onFile);
