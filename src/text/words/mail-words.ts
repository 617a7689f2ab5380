import type { MailWords } from "../../core/mail/inputs";
import type { MailGroup } from "../../core/mail/templates";
import type { Locale } from "../../core/text/local-text";
import { messageFormat } from "../message-format";
import { isTextKey, type TextValues, words } from "../sentence";

/** Words of a mail are in ICU message format, whether they come with Unvex or the office wrote them. */

/** A text with its fields filled in. @throws Error where a field has no value */
export const filledIn = (locale: Locale, text: string, values: TextValues): string =>
  String(messageFormat(locale, text).format(values));

/** The words with which a mail comes. @throws Error where no mail is called so */
export function builtInWords(locale: Locale, template: string): MailWords {
  const [subject, body] = [`mail.${template}.subject`, `mail.${template}.body`];
  if (!isTextKey(subject) || !isTextKey(body)) throw new Error(`no mail is called ${template}`);
  return { subject: words(locale, subject), body: words(locale, body) };
}

interface Element {
  readonly type: number;
  readonly value: string;
  readonly options?: Readonly<Record<string, { readonly value: readonly Element[] }>>;
}
/** Of the package's syntax tree: plain text, a choice by a number, and the sign for that number in it. */
const [LITERAL, PLURAL, POUND] = [0, 6, 7];

/** What takes a value in a text, with whether that is a number; those inside plurals included. */
function slotsOf(elements: readonly Element[]): readonly (readonly [field: string, isNumber: boolean])[] {
  return elements.flatMap((e) =>
    e.type === LITERAL || e.type === POUND
      ? []
      : [[e.value, e.type === PLURAL] as const, ...Object.values(e.options ?? {}).flatMap((o) => slotsOf(o.value))],
  );
}

const slots = (text: string) => slotsOf(messageFormat("en", text).getAst() as readonly Element[]); // the package's own tree

/** The fields of a text, those inside plurals included, in the order of the alphabet; null where it is not written rightly. */
export function fieldsOf(text: string): readonly string[] | null {
  try {
    return [...new Set(slots(text).map(([field]) => field))].sort();
  } catch {
    return null;
  }
}

/** A straight apostrophe would take the meaning from a brace behind it. */
export const withApostrophes = (text: string): string => text.replaceAll("'", "’");

/** Values that look like some, for a mail that nobody was sent yet. @returns by field; numbers as text, as mails keep them */
export function sampleValues(template: string): Readonly<Record<string, string>> {
  const { subject, body } = builtInWords("en", template);
  const made = [...slots(subject), ...slots(body)].map(
    ([field, isNumber]) => [field, isNumber ? "2" : (SAMPLES[field] ?? `[${field}]`)] as const,
  );
  return { name: SAMPLES.name ?? "", zone: "UTC", ...Object.fromEntries(made) };
}

const SAMPLES: Readonly<Record<string, string>> = {
  name: "Kim Doe",
  number: "27-00012",
  link: "/my",
  due: "2027-03-31",
  until: "2027-03-31",
  moment: "2027-03-31T16:00:00Z",
};

export type WordsFault =
  | { readonly kind: "braces" }
  | { readonly kind: "unknown field"; readonly fields: readonly string[] }
  | { readonly kind: "no link" };

/** What is wrong with the words for a mail: it can say whatever it comes with, and no less than where its reader goes on. */
export function faultOf(template: string, { subject, body }: MailWords): WordsFault | null {
  const own = builtInWords("en", template);
  const known = [...(fieldsOf(own.subject) ?? []), ...(fieldsOf(own.body) ?? []), "name"];
  const [inSubject, inBody] = [fieldsOf(subject), fieldsOf(body)];
  if (inSubject === null || inBody === null) return { kind: "braces" };
  const fields = [...new Set([...inSubject, ...inBody])].filter((field) => !known.includes(field));
  if (fields.length > 0) return { kind: "unknown field", fields };
  return known.includes("link") && !inBody.includes("link") ? { kind: "no link" } : null;
}

/** What mails are about, for the office. */
export const MAIL_GROUP_WORDS: Readonly<Record<MailGroup, string>> = {
  account: "Accounts",
  before: "Before something is sent",
  application: "The application",
  asks: "What is asked for",
  others: "Referees and others who sign",
  decision: "Decision and answer",
};
