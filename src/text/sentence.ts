import type { Locale } from "../core/text/local-text";
import { messageFormat } from "./message-format";
import { en } from "./sentences/en";
import { fr } from "./sentences/fr";

/** Sentences by language and key, in ICU message format. Both catalogues hold every key: the types see to it. */
export type TextKey = keyof typeof en;
export type TextValues = Readonly<Record<string, string | number>>;

const CATALOGUES: Readonly<Record<Locale, Readonly<Record<TextKey, string>>>> = { en, fr };

export function sentence(locale: Locale, key: TextKey, values?: TextValues): string {
  const source = CATALOGUES[locale][key];
  if (values === undefined && !source.includes("{")) return source;
  return String(messageFormat(locale, source).format(values));
}

/** A sentence as it stands in the catalogue, with its fields. */
export const words = (locale: Locale, key: TextKey): string => CATALOGUES[locale][key];

export function isTextKey(key: string): key is TextKey {
  return Object.hasOwn(en, key);
}

/** The language to serve: what the reader chose, else what the browser asks for, else English. */
export function pickLocale(chosen: string | undefined, acceptLanguage: string | null): Locale {
  if (chosen === "en" || chosen === "fr") return chosen;
  const first = (acceptLanguage ?? "")
    .split(",")
    .map((part) => part.trim().slice(0, 2).toLowerCase())
    .find((l) => l === "en" || l === "fr");
  return first === "fr" ? "fr" : "en";
}
