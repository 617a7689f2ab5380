import { formatMoment } from "../../../../text/format";
import { say } from "../../../../text/say";
import { valueText } from "../../../../text/words/value-text";
import { ReachPress } from "../../../../ui/contact/contact-press.client";
import type { MyApplication } from "../../../../views/application/application-data";
import { confirmPlace } from "./application.action";
import type { PartProps } from "./corrections";

type Place = MyApplication["reach"][number];

/** Letters go to addresses, so each is asked about; of numbers only those that did not work, or that the office asks about. */
const isShown = ({ kind, reached, askedAt }: Place) => kind === "address" || reached === "fails" || askedAt !== null;

function stateOf({ kind, reached, since, askedAt, last }: Place, { application, language }: PartProps): string | null {
  const when = (at: string) => ({ when: formatMoment(language, at, application.zone) });
  if (askedAt !== null && reached !== "fails") return say(language, "reach.asked", when(askedAt));
  if (since === null) return null;
  if (reached === "fails")
    return say(language, kind === "phone" ? "reach.failed.phone" : "reach.failed.address", when(since));
  return say(language, last === "confirmed" ? "reach.since" : "reach.held", when(since));
}

/** Where letters and calls go, with one press to say that it is right. */
export function Reach({ application, language }: PartProps) {
  const shown = application.reach.filter(isShown);
  if (shown.length === 0) return null;
  const changeable = application.correctable.length > 0 && !application.request && !application.reopening;
  return (
    <section id="reach">
      <h2>{say(language, "reach.title")}</h2>
      <p className="quiet">{say(language, "reach.lead")}</p>
      <ul className="reach-list">
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
                  <ReachPress
                    label={say(language, "reach.right")}
                    confirm={confirmPlace.bind(null, application.number, {
                      applicationId: application.id,
                      scope,
                      section,
                      entry,
                      field,
                    })}
                  />
                  {changeable ? <a href="#correct">{say(language, "reach.changed")}</a> : null}
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
