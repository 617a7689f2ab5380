import type { Registers } from "../../core/standards/reference-set";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import { valueText } from "../../text/words/value-text";
import type { ChangedAnswer } from "../../views/application/submissions";

/** How answers changed from one submission to the next: what stood there, and what stands there now. */
export function ChangedAnswers({
  changes,
  locale,
  office,
  none,
}: {
  changes: readonly ChangedAnswer[];
  locale: Locale;
  office: Registers;
  none: string;
}) {
  if (changes.length === 0) return <p className="quiet">{none}</p>;
  return (
    <table className="changed-answers">
      <thead>
        <tr>
          <th scope="col">{sentence(locale, "changed.answer")}</th>
          <th scope="col">{sentence(locale, "changed.before")}</th>
          <th scope="col">{sentence(locale, "changed.after")}</th>
        </tr>
      </thead>
      <tbody>
        {changes.map((c) => (
          <tr key={`${c.section.en}-${c.entry}-${c.field.title.en}`}>
            <th scope="row">
              {c.field.title[locale]} <span className="quiet">{c.section[locale]}</span>
            </th>
            <td>
              {c.before === null ? (
                <span className="quiet">—</span>
              ) : (
                <del>{valueText(locale, c.field, c.before, office)}</del>
              )}
            </td>
            <td>
              {c.after === null ? (
                <span className="quiet">—</span>
              ) : (
                <ins>{valueText(locale, c.field, c.after, office)}</ins>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
