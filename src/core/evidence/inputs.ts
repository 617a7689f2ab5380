import { z } from "zod";
import { answerValue } from "../answers/answer-value";
import { answerPlace, onFile, requirementPlace } from "../file/place";
import { proofLevelSchema } from "../rulebook/requirement";
import { MOST_PAGES } from "../rulebook/takes";

/** What the acts on evidence take. */

const requirement = { ...onFile, ...requirementPlace };
const value = { ...onFile, ...answerPlace };

export const acceptEvidenceInput = z.object({ ...requirement, proof: proofLevelSchema.default("copy") });
export const returnEvidenceInput = z.object({
  ...requirement,
  reason: z.string().max(60),
  text: z.string().trim().max(2000).default(""),
  due: z.iso.date(),
});
export const undoJudgementInput = z.object(requirement);

export const remindApplicantInput = z.object({ ...onFile, words: z.string().trim().max(1000).default("") });

export const confirmValuesInput = z.object({
  ...onFile,
  values: z
    .array(
      z.object({
        ...answerPlace,
        /** Left out: the claim is right as it stands. */
        value: answerValue.optional(),
      }),
    )
    .min(1)
    .max(2000),
  uploadId: z.uuid().nullable().default(null),
  note: z.string().trim().max(1000).nullable().default(null),
});

export const doDeedInput = z.object({ ...requirement, note: z.string().trim().min(1).max(1000) });
export const undoDeedInput = z.object(requirement);
export const excuseRequirementInput = z.object({ ...requirement, reason: z.string().trim().min(1).max(1000) });

export const noteKeeperInput = z.object({ ...value, text: z.string().trim().max(1000) });

export const linkPlace = { ...value, url: z.string().max(500) };
export const noteLinkInput = z.object({ ...linkPlace, opens: z.boolean() });

/** So many parts a bundle may be cut into. */
export const MOST_PARTS = 60;
export const filePagesInput = z.object({
  ...onFile,
  evidenceId: z.uuid(),
  parts: z
    .array(z.object({ ...requirementPlace, firstPage: z.int().min(1), lastPage: z.int().min(1) }))
    .min(1)
    .max(MOST_PARTS),
});
export const putTogetherInput = z.object({ ...onFile, evidenceId: z.uuid() });

/** Where the new document stands, and its pages in their order, each turned by so many degrees to the right. */
export const joinPagesInput = z.object({
  ...onFile,
  ...requirementPlace,
  laid: z
    .array(z.object({ evidenceId: z.uuid(), page: z.int().min(1), turn: z.literal([0, 90, 180, 270]) }))
    .min(1)
    .max(MOST_PAGES),
});
export const takeApartInput = z.object({ ...onFile, evidenceId: z.uuid() });

export const setAsideTwinInput = z.object({ ...onFile, evidenceId: z.uuid() });
export const signatureInput = z.object({ ...onFile, requirement: z.string().max(60) });
