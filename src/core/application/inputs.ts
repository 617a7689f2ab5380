import { z } from "zod";
import { MODES } from "../file/mode";
import { onChoice, onFile } from "../file/place";

/** What the acts on an application take. */

const reason = z.string().trim().min(1).max(500);

export const moveChoiceInput = z.object({
  ...onChoice,
  campus: z.string().nullable(),
  /** Left out where it stays. */
  language: z.string().optional(),
  mode: z.enum(MODES).nullable(),
  track: z.string().nullable(),
  reason,
});

/** A choice, another place for it (a round, and a track of what it is for), and why. */
export const moveProgrammeInput = z.object({
  ...onChoice,
  roundId: z.uuid(),
  track: z.string().nullable().default(null),
  reason,
});

export const moveToRulebookInput = z.object({ ...onChoice, reason });

export const sectionPlace = z.object({ scope: z.string().max(40), section: z.string().max(60) });

export const reopenSectionsInput = z.object({
  ...onFile,
  sections: z.array(sectionPlace).min(1).max(60),
  reason: z.string().trim().min(1).max(2000),
  due: z.iso.date(),
});
export const endReopeningInput = z.object(onFile);
export const readCorrectionsInput = z.object(onFile);
export const refuseCorrectionInput = z.object({ ...onFile, reason });
