import { z } from "zod";
import { countingPaperSchema } from "../people/papers";
import { conditionSchema } from "../rules/condition";
import { localTextSchema } from "../text/local-text";
import { partKeySchema } from "./part-key";

/**
 * A section of the application form as data. A section of a core kind feeds facts that Unvex knows how to compute with;
 * an office-made one has any fields, and its facts are named `answers.section.field`.
 */
export const FIELD_KINDS = [
  "text",
  "longText",
  "statement",
  "name",
  "date",
  "country",
  "countries",
  "language",
  "choice",
  "several",
  "ranked",
  "yesNo",
  "whole",
  "decimal",
  "money",
  "email",
  "phone",
  "address",
  "links",
  "entry",
  "institution",
  "scale",
  "area",
  "test",
  "paper",
  "graduateOf",
  "scores",
  "agree",
] as const;
export type FieldKind = (typeof FIELD_KINDS)[number];

/** The answer to `graduateOf` of somebody whose degree is from none of the listed institutions. */
export const NO_LISTED = "none";

/** How long a statement may be, counted as people count. A limit that is advice is shown and never stops anybody. */
const lengthSchema = z.object({
  unit: z.enum(["words", "characters"]),
  least: z.int().min(0).optional(),
  most: z.int().min(1),
  strict: z.boolean().default(true),
});
export type LengthLimit = z.infer<typeof lengthSchema>;

/** A system that owns a value, and the page on which it is changed. */
export const keeperSchema = z.object({ name: localTextSchema, link: z.string().max(300).optional() });
export type Keeper = z.infer<typeof keeperSchema>;

/** The page of a keeper where it is an address of the web; null for anything else, which is never followed. */
export function keeperLink({ link }: Keeper): string | null {
  if (link === undefined || !URL.canParse(link)) return null;
  return ["https:", "http:"].includes(new URL(link).protocol) ? link : null;
}

export const fieldSchema = z.object({
  key: z.string().regex(/^[a-z][A-Za-z0-9]*$/u),
  kind: z.enum(FIELD_KINDS),
  title: localTextSchema,
  help: localTextSchema.optional(),
  required: z.boolean(),
  /** “I do not know it” is an answer here. */
  mayBeUnknown: z.boolean().optional(),
  /** Longest text in characters; for a number the largest value; for a list of picks or links the most entries. */
  most: z.number().optional(),
  least: z.number().optional(),
  /** For a statement. */
  length: lengthSchema.optional(),
  /** For a date: the year, or the year and the month, is enough. */
  rough: z.boolean().optional(),
  /** For a date: a paper ends on it, and the office follows that in submitted files. */
  ends: z.boolean().optional(),
  /** For money: the ISO 4217 code. */
  currency: z.string().length(3).optional(),
  /** For an address: the field (`section.field`) that it may be the same as. */
  sameAs: z.string().optional(),
  /** Another system owns this value: its name, and where changes are made. The office confirms it here and never changes it. */
  keptBy: keeperSchema.optional(),
  /** For an e-mail address: one that an institution gives; those that anybody can open are not taken. */
  institutional: z.boolean().optional(),
  /** For an address: letters go there. */
  forLetters: z.boolean().optional(),
  /** For a field that names an entry of another list: that section. */
  of: z.string().optional(),
  /** For an identity paper: those that count; all of the office's where left out. */
  papers: z.array(countingPaperSchema).optional(),
  /** For a text: it is the number of the paper that this field of the same section names. */
  numberOf: z.string().optional(),
  /** For a list: no value twice, within the entries that share another field, or within all. */
  once: z.object({ within: z.string().optional(), except: z.array(z.string()).default([]) }).optional(),
  /** `scales`: on a kind of qualification, the grade scales that its kind is marked on. */
  options: z
    .array(z.object({ value: z.string(), title: localTextSchema, scales: z.array(z.string()).optional() }))
    .optional(),
  when: conditionSchema.optional(),
  /** The office fills it in, as it gives points to an award: applicants neither see nor answer it. */
  byOffice: z.boolean().optional(),
  /** Who may see it; anything but `assessment` never enters the facts. */
  seenBy: z.enum(["assessment", "office", "advisers", "finance", "figures"]).default("assessment"),
  /** Its answers are counted over all applications of a start; what is for figures alone always is. */
  counted: z.boolean().optional(),
  /** For a yes or no, and for a text: whether there was an earlier application, and its number, where Unvex knows of it. */
  earlier: z.boolean().optional(),
});
export type Field = z.infer<typeof fieldSchema>;

export const CORE_KINDS = [
  "person",
  "contact",
  "citizenship",
  "education",
  "courses",
  "schools",
  "sittings",
  "subjects",
  "experience",
  "tests",
  "referees",
  "declaration",
] as const;

/** Kinds whose value is a list of texts. */
export function isListKind(kind: FieldKind): boolean {
  return kind === "countries" || kind === "several" || kind === "ranked" || kind === "links";
}

export const sectionSchema = z.object({
  key: z.string().regex(/^[a-z][A-Za-z0-9]*$/u),
  part: partKeySchema,
  core: z.enum(CORE_KINDS).nullable(),
  scope: z.enum(["file", "choice"]),
  title: localTextSchema,
  intro: localTextSchema.optional(),
  repeats: z.object({ min: z.int(), max: z.int() }).optional(),
  fields: z.array(fieldSchema),
  when: conditionSchema.optional(),
  /** For a list: results that come later may be added after submission, until the decision. */
  grows: z.boolean().optional(),
  /** What is answered here stays true from one application to the next, and is taken over into it. */
  carries: z.boolean().optional(),
  /**
   * For a list: the lines of some entries of another list come from whoever issued them, and nobody types those. `list` is that list as
   * rules name it, `by` the field of a line that names its entry, `where` says which entries.
   */
  fromRegistry: z.object({ list: z.string(), by: z.string(), where: conditionSchema }).optional(),
});
export type Section = z.infer<typeof sectionSchema>;

/** A field of another list that entries of a section reach by naming one of its entries. */
export interface Reached {
  /** Inside an entry: `sitting.board`. */
  readonly name: string;
  readonly by: Field;
  readonly section: Section;
  readonly field: Field;
}

/** What rules read of the entries that a section names, one step far. */
export function linkedFields(section: Section, sections: readonly Section[]): readonly Reached[] {
  return section.fields.flatMap((by) => {
    const other = by.kind === "entry" ? sections.find((s) => s.key === by.of) : undefined;
    return (other?.fields ?? []).map((field) => ({
      name: `${by.key}.${field.key}`,
      by,
      section: other as Section, // it has fields
      field,
    }));
  });
}

const applicantsOwn = new WeakMap<Section, Section>();

/** A section as applicants have it: without what the office fills in. */
export function forApplicants(section: Section): Section {
  if (!section.fields.some((f) => f.byOffice)) return section;
  const known = applicantsOwn.get(section) ?? { ...section, fields: section.fields.filter((f) => !f.byOffice) };
  applicantsOwn.set(section, known);
  return known;
}

/** The name under which rules see a section: `degrees` for education, its own name for core kinds, `answers.x` otherwise. */
export function factName(section: Section): string {
  if (section.core === "education") return "degrees";
  return section.core ?? `answers.${section.key}`;
}
