import type { CopiedSection } from "../../../../../core/form/form-copy";
import { sentence } from "../../../../../text/sentence";
import { PrintCopies } from "../../../../../ui/copies/print-copies.client";
import { formCopy } from "../../../../../views/application/form-copy";
import { copiesOfFile } from "../../../../../views/copies/copies";
import { locale, see } from "../../../../request";
import { printOwn } from "../application.action";
import { loadApplication } from "../load";

function CopiedTable({ title, table }: { title: string; table: NonNullable<CopiedSection["table"]> }) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: on a narrow screen it scrolls, by the keyboard, too
    <section className="review-table" aria-label={title} tabIndex={0}>
      <table>
        <thead>
          <tr>
            {table.heads.map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.rows.map((row, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: lines of a list that only stands here to be read
            <tr key={i}>
              {row.map((value, column) => (
                <td key={table.heads[column]} data-head={table.heads[column]}>
                  {value}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** Everything on one printable page: what belongs to the application, then to each choice, in the order of the form. */
export default async function ReviewPage({ params }: { params: Promise<{ number: string }> }) {
  const { number } = await params;
  const language = await locale();
  const { application, actor } = await loadApplication(number);
  const copy = formCopy(application, actor.name, language);
  return (
    <div className="review">
      <h2 className="page-title">{sentence(language, "app.review")}</h2>
      <p className="quiet">{copy.under}</p>
      <PrintCopies
        number={number}
        locale={language}
        zone={application.zone}
        copies={(await see(copiesOfFile, actor, { number })) ?? []}
        labels={{
          form: sentence(language, "copy.download"),
          whole: application.documents.some((d) => d.supplied.length > 0)
            ? sentence(language, "copy.downloadAll")
            : null,
        }}
        order={printOwn.bind(null, number)}
      />
      {copy.parts.map((part) => (
        <section key={part.title ?? ""}>
          {part.title ? <h3 className="review-part">{part.title}</h3> : null}
          {part.sections.map((section) => (
            <section key={section.key}>
              <h3>{section.title}</h3>
              {section.table ? <CopiedTable title={section.title} table={section.table} /> : null}
              {section.empty ? <p className="quiet">{section.empty}</p> : null}
              {section.entries.map((entry) => (
                <div key={entry.id}>
                  {entry.title ? <p className="quiet">{entry.title}</p> : null}
                  <dl className="pairs">
                    {entry.pairs.map(({ label, value }) => (
                      <div key={label}>
                        <dt>{label}</dt>
                        <dd className="pre-line">{value}</dd>
                      </div>
                    ))}
                  </dl>
                </div>
              ))}
            </section>
          ))}
        </section>
      ))}
      {copy.annexes.map((annex) => (
        <section key={annex.title}>
          <h3>{annex.title}</h3>
          <dl className="pairs">
            {annex.lines.map(({ what, words }) => (
              <div key={what}>
                <dt>{what}</dt>
                <dd className="pre-line">{words.join("\n")}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
    </div>
  );
}
