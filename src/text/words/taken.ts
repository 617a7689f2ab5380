import type { DocumentRequirement } from "../../core/rulebook/requirement";
import { DEFAULT_MOST_BYTES, mostBytesOf, type Takes } from "../../core/rulebook/takes";
import type { Locale } from "../../core/text/local-text";
import { formatBytes, formatList, languageName } from "../format";
import { sentence } from "../sentence";

/** The kinds of files, the size and the pages that a requirement takes, as far as they are other than everywhere; else nothing. */
export function takenSentence(locale: Locale, takes: Takes): string {
  const size = mostBytesOf(takes);
  const parts = [
    ...(takes.formats?.length === 1 ? [sentence(locale, `doc.takes.${takes.formats[0] ?? "pdf"}`)] : []),
    ...(size === DEFAULT_MOST_BYTES ? [] : [sentence(locale, "doc.takes.size", { size: formatBytes(locale, size) })]),
    ...(takes.mostPages === undefined ? [] : [sentence(locale, "doc.takes.pages", { pages: takes.mostPages })]),
  ];
  return parts.join(" ");
}

/** In which languages it is read, and who may translate what is in another one. */
export function languagesSentence(
  locale: Locale,
  { read, translatedBy }: NonNullable<DocumentRequirement["languages"]>,
) {
  const names = formatList(
    locale,
    read.map((code) => languageName(locale, code)),
  );
  return sentence(locale, "doc.languages", { languages: names, who: translatedBy[locale] });
}
