import type { FeeDue } from "../../core/file/result";
import type { Locale } from "../../core/text/local-text";

/** What is charged, and by what it is less than the whole. */
export const feeTitle = ({ title, reduction }: Pick<FeeDue, "title" | "reduction">, locale: Locale): string =>
  reduction ? `${title[locale]} · ${reduction[locale]}` : title[locale];
