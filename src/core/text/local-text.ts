import { z } from "zod";

/** The languages in which applicants and referees are served. */
export const LOCALES = ["en", "fr"] as const;
export type Locale = (typeof LOCALES)[number];
export const localeSchema = z.enum(LOCALES);

/** A text that an officer writes: rulebook data in every language, required at publication. */
export const localTextSchema = z.object({ en: z.string().min(1), fr: z.string().min(1) });
export type LocalText = z.infer<typeof localTextSchema>;
