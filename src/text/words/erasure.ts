import type { ErasedFile, ErasureReason } from "../../core/people/erasure";
import type { Locale } from "../../core/text/local-text";
import { formatDayOf } from "../format";
import { sentence, type TextKey } from "../sentence";

const WHY: Readonly<Record<ErasureReason, TextKey>> = {
  draft: "account.erasureWhy.draft",
  over: "account.erasureWhy.over",
  open: "account.erasureWhy.open",
  kept: "account.erasureWhy.kept",
  "kept for good": "account.erasureWhy.keptForGood",
  "erased already": "account.erasureWhy.gone",
};

/** What becomes of one file of somebody who asked to be erased, and why. */
export function erasureWords(locale: Locale, file: ErasedFile, zone: string): string {
  const why = sentence(locale, WHY[file.why], {
    number: file.number,
    until: file.until === null ? "" : formatDayOf(locale, file.until, zone),
  });
  return file.goes && file.keepsPayments ? `${why}; ${sentence(locale, "account.erasureBooks")}` : why;
}
