import { type KeptReason, RETURN_REASONS } from "../../core/evidence/return-reasons";
import type { Locale, LocalText } from "../../core/text/local-text";
import { isTextKey, sentence, words } from "../sentence";

const TITLES: Readonly<Record<(typeof RETURN_REASONS)[number], string>> = {
  unreadable: "It cannot be read",
  incomplete: "Pages are missing",
  "wrong-document": "It is another document",
  "not-matching": "It does not match what was typed",
  expired: "It is no longer valid, or ends too early",
  "translation-needed": "It needs a translation",
  other: "Another reason: see the note",
};

/** The reasons with which Unvex comes. */
export const BUILT_IN_REASONS: readonly KeptReason[] = RETURN_REASONS.map((key) => ({
  key,
  title: TITLES[key],
  words: { en: words("en", `return.${key}`), fr: words("fr", `return.${key}`) },
  offered: true,
  version: 0,
}));

/** The reasons as they are now: what the office wrote stands in the place of what came, or behind it. */
export const reasonsNow = (own: readonly KeptReason[]): readonly KeptReason[] => [
  ...BUILT_IN_REASONS.map((reason) => own.find((o) => o.key === reason.key) ?? reason),
  ...own.filter((o) => BUILT_IN_REASONS.every((reason) => reason.key !== o.key)),
];

/** What the applicant reads as the reason: the words of the office, or those of a check that failed. "" where none is known. */
export function reasonText(locale: Locale, code: string | null, own: Readonly<Record<string, LocalText>>): string {
  const key = `return.${code ?? ""}`;
  return own[code ?? ""]?.[locale] ?? (isTextKey(key) ? sentence(locale, key) : "");
}
