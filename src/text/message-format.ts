import { IntlMessageFormat } from "intl-messageformat";
import type { Locale } from "../core/text/local-text";

const ready = new Map<string, IntlMessageFormat>();
/** All sentences, and some hundred texts that the office wrote. */
const MOST_READY = 8000;

/** A text in ICU message format, taken apart once. @throws Error where it is not written rightly */
export function messageFormat(locale: Locale, text: string): IntlMessageFormat {
  const key = `${locale}|${text}`;
  const known = ready.get(key) ?? new IntlMessageFormat(text, locale, undefined, { ignoreTag: true });
  if (ready.size >= MOST_READY) ready.clear();
  ready.set(key, known);
  return known;
}
