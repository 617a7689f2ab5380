import type { MailWords } from "../../core/mail/inputs";
import type { Locale } from "../../core/text/local-text";
import { formatDate, formatMoment, formatZone } from "../format";
import { sentence } from "../sentence";
import { builtInWords, filledIn } from "./mail-words";

export interface RenderedMail {
  readonly subject: string;
  readonly body: string;
}

const DATE_VALUES = ["due", "until"];
/** Values that exist in both languages come as `documentEn` and `documentFr`; the sentences say `{document}`. */
const SUFFIX: Readonly<Record<Locale, string>> = { en: "En", fr: "Fr" };

/** What is called by a name stands in one line and leads nowhere: somebody else has typed it, and the mail goes out in our name. */
const NAMES = ["name", "applicant", "referee", "signer"];
const LONGEST_NAME = 120;
const LEADS = /\S*(?:[a-z][\w+.-]*:\/\/|www\.)\S*/giu;

const inOneLine = (name: string): string =>
  name
    .replace(LEADS, "…")
    .replace(/[\p{Cc}\p{Cf}\s]+/gu, " ")
    .trim()
    .slice(0, LONGEST_NAME);

/** Codes and dates among the values of a message become words of the reader's language. */
function readable(locale: Locale, values: Readonly<Record<string, string>>): Record<string, string> {
  const shown: Record<string, string> = { link: sentence(locale, "messages.linkGone"), ...values };
  for (const key of NAMES) if (values[key] !== undefined) shown[key] = inOneLine(values[key]);
  for (const key of DATE_VALUES) if (values[key]) shown[key] = formatDate(locale, values[key]);
  for (const [key, value] of Object.entries(values))
    if (key.endsWith(SUFFIX[locale])) shown[key.slice(0, -SUFFIX[locale].length)] = value;
  if (values.moment && values.zone)
    shown.moment = `${formatMoment(locale, values.moment, values.zone)} (${formatZone(values.zone)})`;
  return shown;
}

/**
 * Renders a mail in its reader's language. The same values and words always give the same mail, so a copy can be shown at any time.
 * @param wording the words of the office; null for those that come with Unvex
 */
export function renderMail(
  locale: Locale,
  template: string,
  values: Readonly<Record<string, string>>,
  baseUrl: string | null,
  wording: MailWords | null = null,
): RenderedMail {
  const words = wording ?? builtInWords(locale, template);
  const shown = readable(locale, values.link && baseUrl !== null ? { ...values, link: baseUrl + values.link } : values);
  const greeting = shown.name ? `${sentence(locale, "mail.greeting", { name: shown.name })}\n\n` : "";
  return {
    subject: filledIn(locale, words.subject, shown),
    body: `${greeting}${filledIn(locale, words.body, shown)}\n\n${sentence(locale, "mail.closing")}\n`,
  };
}
