import { z } from "zod";
import { PAPER_WAYS } from "../file/facts";
import { onFile, requirementPlace } from "../file/place";

/** How a paper came. */
export const PAPER_STATES = ["in order", "damaged", "opened", "incomplete"] as const;
export type PaperState = (typeof PAPER_STATES)[number];

/** What the acts on papers take that come otherwise than by upload. */

const requirement = { ...onFile, ...requirementPlace };
const onPaper = { ...onFile, paperId: z.uuid() };
const arrived = {
  /** What came, in words; needed where no requirement is named. */
  contents: z.string().trim().max(300).default(""),
  sender: z.string().trim().max(200).default(""),
  state: z.enum(PAPER_STATES).default("in order"),
  cameOn: z.iso.date(),
};

export const announcePaperInput = z.object({ ...requirement, way: z.enum(PAPER_WAYS), expectedOn: z.iso.date() });
export const dropAnnouncementInput = z.object(requirement);
/** The requirement is "" where what came belongs to none. */
export const notePaperInput = z.object({ ...requirement, ...arrived });
export const noteStrayPaperInput = z.object({ ...arrived, contents: z.string().trim().min(1).max(300) });
export const matchPaperInput = z.object({ ...requirement, paperId: z.uuid() });
export const takePaperBackInput = z.object(onPaper);
export const inspectPaperInput = z.object({ ...onPaper, sendBack: z.boolean() });
export const sendPaperBackInput = z.object(onPaper);
