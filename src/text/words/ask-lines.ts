import type { Locale, LocalText } from "../../core/text/local-text";
import { sentence } from "../sentence";

/** What is asked for, as the lines of its mail: what each is about, where it is about something, and what is written of it. */
export function askLines(
  locale: Locale,
  items: readonly { readonly title: LocalText | null; readonly text: string }[],
  corrected: { readonly titles: readonly LocalText[]; readonly text: string },
): string {
  const lines = items.map(({ title, text }) =>
    title === null ? `– ${text}` : sentence(locale, "ask.line", { title: title[locale], text }),
  );
  const titles = [...new Set(corrected.titles.map((t) => t[locale]))].join(", ");
  if (titles !== "")
    lines.push(
      sentence(locale, "ask.line", { title: sentence(locale, "ask.sections", { titles }), text: corrected.text }),
    );
  return lines.join("\n");
}
