import { formatMoment } from "../../../../text/format";
import { sentence } from "../../../../text/sentence";
import { valueText } from "../../../../text/words/value-text";
import { ContactPress } from "../../../../ui/contact/contact-press.client";
import type { MyApplication } from "../../../../views/application/application-data";
import { confirmPlace } from "./application.action";
import type { PartProps } from "./corrections";

type Contact = MyApplication["contacts"][number];

/** Letters go to addresses, so each is asked about; of numbers only those that did not work, or that the office asks about. */
const isShown = ({ kind, reached, askedAt }: Contact) => kind === "address" || reached === "fails" || askedAt !== null;

function stateOf(
  { kind, reached, since, askedAt, last }: Contact,
  { application, language }: PartProps,
): string | null {
  const when = (at: string) => ({ when: formatMoment(language, at, application.zone) });
  if (askedAt !== null && reached !== "fails") return sentence(language, "contact.asked", when(askedAt));
  if (since === null) return null;
  if (reached === "fails")
    return sentence(language, kind === "phone" ? "contact.failed.phone" : "contact.failed.address", when(since));
  return sentence(language, last === "confirmed" ? "contact.since" : "contact.held", when(since));
}

/** Where letters and calls go, with one press to say that it is right. */
export function ContactDetails({ application, language }: PartProps) {
  const shown = application.contacts.filter(isShown);
  if (shown.length === 0) return null;
  const changeable = application.correctable.length > 0 && !application.request && !application.reopening;
  return (
    <section id="contact">
      <h2>{sentence(language, "contact.title")}</h2>
      <p className="quiet">{sentence(language, "contact.lead")}</p>
      <ul className="plain-list">
        {shown.map((place) => {
          const { scope, section, entry, field } = place;
          const words = stateOf(place, { application, language });
          return (
            <li key={`${scope}-${section}-${entry}-${field}`}>
              <p>
                <span className="quiet">
                  {place.purpose[language]} · {place.title[language]}
                </span>
                <br />
                {valueText(language, { kind: place.kind, options: undefined }, place.value, application.office)}
                {words ? (
                  <>
                    <br />
                    <span className={place.reached === "fails" ? "wrong" : "quiet"}>{words}</span>
                  </>
                ) : null}
              </p>
              {place.reached === "holds" && place.askedAt === null ? null : (
                <div className="presses">
                  <ContactPress
                    label={sentence(language, "contact.right")}
                    confirm={confirmPlace.bind(null, application.number, {
                      applicationId: application.id,
                      scope,
                      section,
                      entry,
                      field,
                    })}
                  />
                  {changeable ? <a href="#correct">{sentence(language, "contact.changed")}</a> : null}
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
