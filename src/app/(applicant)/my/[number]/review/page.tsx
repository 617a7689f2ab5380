import { say } from "../../../../../text/say";
import { valueText } from "../../../../../ui/value-text";
import { locale } from "../../../../request";
import { loadApplication } from "../load";

/** Everything on one printable page, in the order of the form. */
export default async function ReviewPage({ params }: { params: Promise<{ number: string }> }) {
  const { number } = await params;
  const language = await locale();
  const { application } = await loadApplication(number);
  return (
    <>
      <h2 className="page-title">{say(language, "app.review")}</h2>
      {application.sections
        .filter((s) => s.applies)
        .map((section) => (
          <section key={`${section.scope}-${section.key}`}>
            <h3>{section.title[language]}</h3>
            {section.entries.map((entry) => (
              <dl key={entry.id} className="pairs">
                {section.fields
                  .filter((f) => entry.shown.includes(f.key))
                  .map((f) => (
                    <div key={f.key}>
                      <dt>{f.title[language]}</dt>
                      <dd>{valueText(language, f, entry.values[f.key]?.value ?? null, application.office)}</dd>
                    </div>
                  ))}
              </dl>
            ))}
          </section>
        ))}
      <section>
        <h3>{say(language, "doc.title")}</h3>
        <ul className="dashes">
          {application.documents.flatMap((d) => d.supplied.map((s) => <li key={s.evidenceId}>{s.name}</li>))}
        </ul>
      </section>
    </>
  );
}
