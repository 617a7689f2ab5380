import { z } from "zod";
import { onChoice, onFile } from "../file/place";

/** What the acts on an assessment take. */

const rule = { ...onChoice, rule: z.string().max(100) };
const reason = z.string().trim().min(1).max(1000);

export const overrideFindingInput = z.object({ ...rule, finding: z.enum(["met", "not met"]), reason });
export const endOverrideInput = z.object({ ...rule, reason });
export const takeFileInput = z.object({ ...onFile, mine: z.boolean() });
/** `officerId`: into whose hands; null into nobody's. */
export const handFileInput = z.object({ ...onFile, officerId: z.uuid().nullable() });

/** `section`: the section in which it was stated, by its key; "" where it is about none. */
export const addTaskInput = z.object({
  ...onFile,
  section: z.string().max(60).default(""),
  title: z.string().trim().min(1).max(500),
  due: z.iso.date(),
});
export const finishTaskInput = z.object({ ...onFile, taskId: z.uuid(), outcome: z.string().trim().min(1).max(1000) });
export const dropTaskInput = z.object({ ...onFile, taskId: z.uuid() });

export const grantAdjustmentInput = z.object({ ...onFile, what: z.string().trim().min(1).max(300), why: reason });
export const endAdjustmentInput = z.object({ ...onFile, adjustmentId: z.uuid() });
