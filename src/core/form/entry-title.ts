import type { AnswerIndex } from "../answers/answer-index";
import type { Field, Section } from "../rulebook/section";
import type { LocalText } from "../text/local-text";

const MOST_WORDS = 2;
/** Fields that name an entry best stand first. */
const NAMES: readonly string[] = ["title", "name", "role"];
/** The kinds whose values say by themselves what an entry is: a country or a day does not. */
const TELLING: readonly Field["kind"][] = ["text", "name", "institution", "choice", "whole"];

/** What an entry is called where another section names it: the first words that were answered in it, else its place in the list. */
function entryTitle(index: AnswerIndex, scope: string, section: Section, id: string, no: number): LocalText {
  const row = index.row(scope, section.key, id);
  const telling = section.fields.filter((f) => TELLING.includes(f.kind));
  const words = [...telling.filter((f) => NAMES.includes(f.key)), ...telling.filter((f) => !NAMES.includes(f.key))]
    .flatMap((f) => {
      const value = row.claim(f.key);
      if (typeof value !== "string" || value === "") return [];
      return f.options?.find((o) => o.value === value)?.title ?? { en: value, fr: value };
    })
    .slice(0, MOST_WORDS);
  if (words.length === 0) return { en: `${section.title.en} ${no}`, fr: `${section.title.fr} ${no}` };
  return { en: words.map((w) => w.en).join(", "), fr: words.map((w) => w.fr).join(", ") };
}

/** A field that names an entry of another list, with the entries that there are as its options; any other field as it is. */
export function withEntries(field: Field, sections: readonly Section[], index: AnswerIndex): Field {
  const target = field.kind === "entry" ? sections.find((s) => s.key === field.of && s.scope === "file") : undefined;
  if (!target) return field;
  const entries = index.entries("file", target.key);
  return {
    ...field,
    options: entries.map((value, i) => ({ value, title: entryTitle(index, "file", target, value, i + 1) })),
  };
}

/** What the entries of all lists are called, by their id; one that belongs to an entry of another list (a subject to its sitting) names it. */
export function entryNames(index: AnswerIndex, sections: readonly Section[]): ReadonlyMap<string, LocalText> {
  const lists = sections.filter((s) => s.repeats && s.scope === "file");
  const own = new Map(
    lists.flatMap((list) =>
      index
        .entries("file", list.key)
        .map((id, i) => [id, { list, title: entryTitle(index, "file", list, id, i + 1) }] as const),
    ),
  );
  return new Map(
    [...own].map(([id, { list, title }]) => {
      const above = list.fields.flatMap((f) => {
        const value = f.kind === "entry" ? index.row("file", list.key, id).claim(f.key) : null;
        return (typeof value === "string" && own.get(value)?.title) || [];
      });
      const join = (locale: keyof LocalText) => [title, ...above].map((t) => t[locale]).join(" · ");
      return [id, { en: join("en"), fr: join("fr") }];
    }),
  );
}
