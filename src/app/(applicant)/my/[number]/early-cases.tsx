import type { Locale } from "../../../../core/text/local-text";
import { formatMoment } from "../../../../text/format";
import { sentence } from "../../../../text/sentence";
import { ContactPress } from "../../../../ui/contact/contact-press.client";
import type { MyApplication } from "../../../../views/application/application-data";
import { askEarly } from "./application.action";

/** What an entry rule leaves to the office, case by case: it may be asked before anything is submitted. */
export function EarlyCases({
  application,
  language,
  sections,
}: {
  application: MyApplication;
  language: Locale;
  /** Only cases of these sections; of all where left out. */
  sections?: readonly string[];
}) {
  const cases = application.cases.filter((c) => sections === undefined || sections.includes(c.section));
  if (cases.length === 0) return null;
  return (
    <section className="early-cases" aria-label={sentence(language, "case.title")}>
      <h2>{sentence(language, "case.title")}</h2>
      <p className="quiet measure">{sentence(language, "case.lead")}</p>
      <ul className="plain-list">
        {cases.map(({ question, scope, section, entry, asks, title, answer, askedAt }) => (
          <li key={`${question} ${scope} ${section} ${entry}`}>
            <p>
              <span className="strong">{asks[language]}</span> · {title[language]}
            </p>
            {answer !== null ? (
              <p>{sentence(language, answer === "accepted" ? "case.accepted" : "case.refused")}</p>
            ) : askedAt !== null ? (
              <p>{sentence(language, "case.asked", { when: formatMoment(language, askedAt, application.zone) })}</p>
            ) : (
              <ContactPress
                label={sentence(language, "case.ask")}
                confirm={askEarly.bind(null, application.number, {
                  applicationId: application.id,
                  question,
                  scope,
                  section,
                  entry,
                })}
              />
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
