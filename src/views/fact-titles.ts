import type { RulebookBody } from "../core/rulebook/rulebook";
import { factName } from "../core/sections/definition";
import type { LocalText } from "../core/text/local-text";

/** What facts are called in a rulebook, in each language, by the names that rules use. */
export function titlesOf(body: RulebookBody): Readonly<Record<string, LocalText>> {
  return Object.fromEntries([
    ...body.measures.map((m) => [`measure.${m.key}`, m.title] as const),
    ...body.sections.flatMap((s) => s.fields.map((f) => [`${factName(s)}.${f.key}`, f.title] as const)),
  ]);
}
