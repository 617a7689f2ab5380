import { z } from "zod";
import { ASK_WANTS } from "../file/facts";
import { onFile, requirementPlace } from "../file/place";

/** What the acts on asks take. A question about no requirement has the place of none: its key is "". */

export const MOST_ITEMS = 30;
export const LONGEST_ASK = 2000;

const requirement = { ...onFile, ...requirementPlace };
const words = z.string().trim().min(1).max(LONGEST_ASK);
const oneAsk = { ...onFile, askId: z.uuid() };

export const askApplicantInput = z.object({ ...requirement, text: words, due: z.iso.date() });
/** @property askId one of those at the place; all of them where it is left out */
export const settleAskInput = z.object({ ...requirement, askId: z.uuid().optional() });

const askItemSchema = z.object({ ...requirementPlace, wants: z.enum(ASK_WANTS), text: words });

export const sendAskListInput = z.object({
  ...onFile,
  items: z.array(askItemSchema).max(MOST_ITEMS),
  /** Sections that are opened for correction with it. */
  sections: z
    .array(z.object({ scope: z.string().max(40), section: z.string().max(60) }))
    .max(MOST_ITEMS)
    .default([]),
  /** What is to be corrected in them. */
  correction: z.string().trim().max(LONGEST_ASK).default(""),
  /** What stands above the list. */
  words: z.string().trim().max(LONGEST_ASK).default(""),
  /** Whether it answers what the applicant wrote. */
  answers: z.boolean().default(false),
  due: z.iso.date(),
});
export const takeAsksBackInput = z.object({ ...onFile, letter: z.uuid() });
export const readAnswerInput = z.object(oneAsk);
export const extendAskInput = z.object({ ...oneAsk, due: z.iso.date() });
export const answerAskInput = z.object({ ...oneAsk, text: z.string().trim().min(1).max(5000) });
