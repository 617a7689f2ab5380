import { z } from "zod";

/** What kind of place it is, and what the office thinks of its awards. */
export const INSTITUTION_KINDS = ["university", "college", "school", "examination board", "other"] as const;
export const RECOGNITIONS = ["recognised", "in part", "not recognised", "to be looked into"] as const;

const name = z.string().trim().min(2).max(200);

/** An institution of the register. Every name that it has, or had, leads to it. */
export const institutionSchema = z.object({
  name,
  /** Other and former names, in any script. */
  otherNames: z.array(name).max(40),
  country: z.string().regex(/^[A-Z]{2}$/u),
  kind: z.enum(INSTITUTION_KINDS),
  /** Languages of instruction, ISO 639. */
  languages: z.array(z.string().min(2).max(3)).max(10),
  /** Its usual grade scales, by their keys in the reference set. */
  scales: z.array(z.string()).max(10),
  /** Local credits of one full-time year; null where it is not known. */
  creditsPerYear: z.number().positive().max(2000).nullable(),
  recognition: z.enum(RECOGNITIONS),
  note: z.string().max(2000),
  /** SHA-256 fingerprints, in hexadecimal, of the certificates with which it signs files of results. */
  fingerprints: z
    .array(z.string().regex(/^[0-9a-f]{64}$/u))
    .max(10)
    .default([]),
});
export type InstitutionInput = z.infer<typeof institutionSchema>;

/** Words that names of institutions have in common, folded: by them alone nothing is found where something else was typed, too. */
const IN_MANY_NAMES = new Set(
  `university universite universidade universidad universita universitat universiteit universitet uni
   college institute institut instituto instituut school ecole escola escuela hochschule schule academy academie lycee
   of the for and at in de la le les du des do da dos das del di der die das fur et e y und van`.split(/\s+/u),
);

/** What tells the name of one institution from that of another. */
export const tellingWords = (folded: string): string =>
  folded
    .split(" ")
    .filter((word) => !IN_MANY_NAMES.has(word))
    .join(" ");

/** What the register proposes for the fields beside an institution's name, by their keys; nothing where it is not certain. */
export interface Proposal {
  readonly country: string;
  readonly language?: string;
  readonly scale?: string;
  readonly creditsPerYear?: string;
}

export function proposalOf(
  institution: Pick<InstitutionInput, "country" | "languages" | "scales" | "creditsPerYear">,
): Proposal {
  const [language, ...otherLanguages] = institution.languages;
  const [scale, ...otherScales] = institution.scales;
  return {
    country: institution.country,
    ...(language && otherLanguages.length === 0 ? { language } : {}),
    ...(scale && otherScales.length === 0 ? { scale } : {}),
    ...(institution.creditsPerYear === null ? {} : { creditsPerYear: String(institution.creditsPerYear) }),
  };
}
