import type { Registers } from "../../core/standards/reference-set";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import { valueText } from "../../text/words/value-text";
import type { ChangedAnswer } from "../../views/application/submissions";

/** What our office established otherwise than the applicant wrote it, and that it is what counts. */
export function EstablishedOtherwise({
  established,
  locale,
  office,
}: {
  established: readonly ChangedAnswer[];
  locale: Locale;
  office: Registers;
}) {
  if (established.length === 0) return null;
  return (
    <section className="notice established">
      <h2>{sentence(locale, "established.title")}</h2>
      <p>{sentence(locale, "established.about")}</p>
      <ChangedAnswers
        changes={established}
        locale={locale}
        office={office}
        heads={[sentence(locale, "established.before"), sentence(locale, "established.after")]}
      />
    </section>
  );
}

/** How answers changed from one submission to the next: what stood there, and what stands there now. */
export function ChangedAnswers({
  changes,
  locale,
  office,
  none = "",
  heads = [sentence(locale, "changed.before"), sentence(locale, "changed.after")],
}: {
  changes: readonly ChangedAnswer[];
  locale: Locale;
  office: Registers;
  /** What is said where nothing changed. */
  none?: string;
  heads?: readonly [before: string, after: string];
}) {
  if (changes.length === 0) return <p className="quiet">{none}</p>;
  return (
    <table className="changed-answers">
      <thead>
        <tr>
          <th scope="col">{sentence(locale, "changed.answer")}</th>
          <th scope="col">{heads[0]}</th>
          <th scope="col">{heads[1]}</th>
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
