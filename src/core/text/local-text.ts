import { z } from "zod";

/** The languages in which applicants and referees are served. */
export const LOCALES = ["en", "fr"] as const;
export type Locale = (typeof LOCALES)[number];
export const localeSchema = z.enum(LOCALES);

/** A text that an officer writes, in every language. In a draft it may still be empty; publication wants it whole. */
export const localTextSchema = z.object({ en: z.string().max(20_000), fr: z.string().max(20_000) });
/** The same where no draft stands behind it. */
export const writtenTextSchema = z.object({ en: z.string().trim().min(1), fr: z.string().trim().min(1) });
export type LocalText = z.infer<typeof localTextSchema>;
