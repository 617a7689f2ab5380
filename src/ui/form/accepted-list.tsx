import type { EntitlementList } from "../../core/rulebook/ruled-case";
import type { Locale } from "../../core/text/local-text";
import { countryName } from "../../text/format";
import { sentence } from "../../text/sentence";

const MOST_SHOWN = 300;

/** What a programme accepts without further reading, country by country; all else is looked at by the office. */
export function AcceptedList({ list, language }: { list: EntitlementList; language: Locale }) {
  const countries = new Map<string, string[]>();
  for (const { country, title, institution, level } of list.entries.slice(0, MOST_SHOWN)) {
    const narrowed = [title, institution, level && sentence(language, "accepted.level", { level })].filter(Boolean);
    const line = narrowed.length > 0 ? narrowed.join(", ") : sentence(language, "accepted.all");
    countries.set(country, [...(countries.get(country) ?? []), line]);
  }
  const named = [...countries]
    .map(([country, lines]) => ({ name: countryName(language, country), lines }))
    .sort((a, b) => a.name.localeCompare(b.name, language));
  return (
    <details>
      <summary>{list.title[language]}</summary>
      <p className="quiet">{sentence(language, "accepted.else")}</p>
      <dl className="pairs">
        {named.map(({ name, lines }) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{lines.join("; ")}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}
