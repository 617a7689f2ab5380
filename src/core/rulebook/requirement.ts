import { z } from "zod";
import { conditionSchema } from "../rules/condition";
import { localTextSchema } from "../text/local-text";
import { partKeySchema } from "./part-key";
import { takesSchema } from "./takes";

/** The moments by which something can be needed, in the order in which a file passes them. */
export const MOMENTS = ["submission", "checking", "review", "decision", "answer", "enrolment"] as const;
export type Moment = (typeof MOMENTS)[number];
export const momentSchema = z.enum(MOMENTS);

/** How far a value or a document is proved, weakest first. */
export const PROOF_LEVELS = ["claimed", "copy", "certified copy", "original seen", "from the issuer"] as const;
export type ProofLevel = (typeof PROOF_LEVELS)[number];
export const proofLevelSchema = z.enum(PROOF_LEVELS);

/** Where a requirement stands. */
export const STANDINGS = ["missing", "promised", "to check", "accepted", "returned", "excused", "not needed"] as const;
export type Standing = (typeof STANDINGS)[number];

const templateSchema = z.object({ sha256: z.string().regex(/^[0-9a-f]{64}$/u), name: z.string().min(1).max(150) });
export type Template = z.infer<typeof templateSchema>;

export const pictureSchema = z.object({ width: z.int().min(50).max(2000), height: z.int().min(50).max(2000) });
export type Picture = z.infer<typeof pictureSchema>;

const common = {
  key: z.string().regex(/^[a-z][A-Za-z0-9]*$/u),
  part: partKeySchema,
  title: localTextSchema,
  help: localTextSchema.optional(),
  scope: z.enum(["file", "choice"]),
  neededBy: momentSchema,
  /** The least standing with which an application may be submitted; left out where it does not matter by then. */
  toSubmit: z.enum(["promised", "to check", "accepted"]).optional(),
  when: conditionSchema.optional(),
};

/** One thing that the file must have, by kind of what answers it. */
export const requirementSchema = z.discriminatedUnion("kind", [
  z.object({ ...common, kind: z.literal("sections"), sections: z.array(z.string()) }),
  z.object({
    ...common,
    kind: z.literal("document"),
    proof: proofLevelSchema,
    /** A higher level that is needed by a later moment. */
    laterProof: z.object({ level: proofLevelSchema, neededBy: momentSchema }).optional(),
    /** Asked once for each entry of this section. */
    perEntryOf: z.string().optional(),
    /** What must hold for it to be accepted; read on the values beside the document. */
    checks: z.array(z.object({ key: z.string(), title: localTextSchema, rule: conditionSchema })).default([]),
    /** While this is met and nothing was supplied, the evidence is on its way. */
    promise: conditionSchema.optional(),
    /** The field (`section.field`) that says for when it is promised: of the entry it is asked for, where it is asked entry by entry. */
    promisedFor: z.string().optional(),
    /** The fields whose claimed values stand beside the document, as `section.field`. */
    shows: z.array(z.string()).default([]),
    /** A picture of this size in pixels: what is sent is cropped to its shape and shrunk to it. A PDF is not taken. */
    picture: pictureSchema.optional(),
    /** Which files are taken, how large and how long. */
    takes: takesSchema.optional(),
    /** The languages in which it is read (ISO 639-1); what is in another one comes with a translation by whom this says. */
    languages: z
      .object({ read: z.array(z.string().regex(/^[a-z]{2}$/u)).min(1), translatedBy: localTextSchema })
      .optional(),
    /** The name counts as it stands on this one; what other documents say of it does not replace it. */
    governsName: z.boolean().optional(),
    /** It stays with the office: copies of the file that are passed on leave it out. */
    keptBack: z.boolean().optional(),
    /** It says something about money: finance opens it, too. */
    forFinance: z.boolean().optional(),
    /**
     * Whom the form names in a section, by its fields `name` and `email`, may sign this sentence by a link of their own; what was signed is
     * then the document.
     */
    signedBy: z.object({ section: z.string(), sentence: localTextSchema }).optional(),
    /** Forms to download and have filled in: the content (SHA-256 of its bytes) and the name under which it is saved. */
    templates: z.array(templateSchema).max(10).optional(),
  }),
  z.object({
    ...common,
    kind: z.literal("reference"),
    count: z.int().min(1),
    /** One of the roles that the referees' section offers, or `any`. */
    role: z.string(),
  }),
  z.object({ ...common, kind: z.literal("fee"), item: z.string() }),
  /** Something that the office does itself, and says when it has: nothing is asked of anybody for it. */
  z.object({ ...common, kind: z.literal("deed") }),
]);
export type Requirement = z.infer<typeof requirementSchema>;
export type DocumentRequirement = Extract<Requirement, { kind: "document" }>;

export function reachedBy(moment: Moment, at: Moment): boolean {
  return MOMENTS.indexOf(moment) <= MOMENTS.indexOf(at);
}

export function atLeastProof(have: ProofLevel, need: ProofLevel): boolean {
  return PROOF_LEVELS.indexOf(have) >= PROOF_LEVELS.indexOf(need);
}
