import { z } from "zod";
import { conditionSchema } from "../rules/condition";
import { localTextSchema } from "../text/local-text";

/**
 * A section of the application form as data. A section of a core kind feeds facts that Unvex knows how to compute with;
 * an office-made one has any fields, and its facts are named `answers.section.field`.
 */
const FIELD_KINDS = [
  "text",
  "longText",
  "name",
  "date",
  "country",
  "countries",
  "language",
  "choice",
  "yesNo",
  "decimal",
  "email",
  "phone",
  "institution",
  "scale",
  "area",
  "test",
  "scores",
  "agree",
] as const;

export const fieldSchema = z.object({
  key: z.string().regex(/^[a-z][A-Za-z0-9]*$/u),
  kind: z.enum(FIELD_KINDS),
  title: localTextSchema,
  help: localTextSchema.optional(),
  required: z.boolean(),
  /** Longest text in characters; for a decimal the largest value. */
  most: z.number().optional(),
  least: z.number().optional(),
  options: z.array(z.object({ value: z.string(), title: localTextSchema })).optional(),
  when: conditionSchema.optional(),
  /** Who may see it; anything but `assessment` never enters the facts. */
  seenBy: z.enum(["assessment", "office", "finance", "figures"]).default("assessment"),
});
export type Field = z.infer<typeof fieldSchema>;

const CORE_KINDS = [
  "person",
  "contact",
  "citizenship",
  "education",
  "courses",
  "tests",
  "referees",
  "declaration",
] as const;

export const sectionSchema = z.object({
  key: z.string().regex(/^[a-z][A-Za-z0-9]*$/u),
  core: z.enum(CORE_KINDS).nullable(),
  scope: z.enum(["file", "choice"]),
  title: localTextSchema,
  intro: localTextSchema.optional(),
  repeats: z.object({ min: z.int(), max: z.int() }).optional(),
  fields: z.array(fieldSchema),
  when: conditionSchema.optional(),
});
export type Section = z.infer<typeof sectionSchema>;

/** The name under which rules see a section: `degrees` for education, its own name for core kinds, `answers.x` otherwise. */
export function factName(section: Section): string {
  if (section.core === "education") return "degrees";
  return section.core ?? `answers.${section.key}`;
}
