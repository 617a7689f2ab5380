import type { AnswerIndex } from "../../core/answers/answer-index";
import { entryNames } from "../../core/form/entry-title";
import { firstOf, SETTLED } from "../../core/rulebook/facts";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import { type Field, factName, type Section } from "../../core/rulebook/section";
import type { Registers } from "../../core/standards/reference-set";
import { registerOptions } from "../../core/standards/register-options";
import type { LocalText } from "../../core/text/local-text";
import { sentence, type TextKey } from "../../text/sentence";

/** What may be picked in a field, with its titles: the field's own options, or what the office's register has. */
function picks(field: Field, registers: Registers | undefined): readonly (readonly [string, LocalText])[] {
  const registered = registers ? (registerOptions(field.kind, registers) ?? []) : [];
  return [...(field.options ?? []), ...registered].map(({ value, title }) => [value, title] as const);
}

const inEach = (key: TextKey): LocalText => ({ en: sentence("en", key), fr: sentence("fr", key) });

/** What is ranked first is called after its ranking, and its values as they are there. */
function firstTitles(name: string, titles: readonly (readonly [string, LocalText])[]) {
  const first = (title: LocalText): LocalText => ({
    en: sentence("en", "fact.first", { ranking: title.en }),
    fr: sentence("fr", "fact.first", { ranking: title.fr }),
  });
  return titles.map(
    ([key, title]) => [`${firstOf(name)}${key.slice(name.length)}`, key === name ? first(title) : title] as const,
  );
}

/**
 * What facts are called in a rulebook, in each language, by the names that rules use, and what their values are called, by
 * `name=value`.
 */
export function titlesOf(body: RulebookBody, registers?: Registers): Readonly<Record<string, LocalText>> {
  return Object.fromEntries([
    ...body.measures.map((m) => [`measure.${m.key}`, m.title] as const),
    ...body.requirements.flatMap((r) => [
      [`requirement.${r.key}`, r.title] as const,
      ...SETTLED.map((s) => [`requirement.${r.key}=${s}`, inEach(`standing.${s}`)] as const),
    ]),
    ...body.sections.flatMap((s) =>
      s.fields.flatMap((f) => {
        const name = `${factName(s)}.${f.key}`;
        const values = picks(f, registers).map(([value, title]) => [`${name}=${value}`, title] as const);
        const all = [[name, f.title] as const, ...values];
        return f.kind === "ranked" ? [...all, ...firstTitles(name, all)] : all;
      }),
    ),
  ]);
}

/** What the entries of lists are called, by `#id`, so that a trace says which of them fit. */
export const entryTitles = (index: AnswerIndex, sections: readonly Section[]): Readonly<Record<string, LocalText>> =>
  Object.fromEntries([...entryNames(index, sections)].map(([id, name]) => [`#${id}`, name]));
