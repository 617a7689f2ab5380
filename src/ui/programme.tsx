import type { Locale } from "../core/text/local-text";
import { formatDate, formatMoment, formatMoney, formatZone, languageName } from "../text/format";
import { say } from "../text/say";
import type { FinderHit } from "../views/finder";
import { LocalMoment } from "./local-moment.client";

interface Props {
  readonly hit: FinderHit;
  /** The office's time zone. */
  readonly zone: string;
  readonly language: Locale;
}

function Deadlines({ hit, zone, language }: Props) {
  return (
    <ul className="deadlines">
      {hit.groups.map((group) => (
        <li key={group.key}>
          <span className="strong">
            {say(language, "home.closes", {
              group: group.title[language],
              when: formatMoment(language, group.closesAt, zone),
            })}
          </span>{" "}
          <span className="quiet">{say(language, "home.officeZone", { zone: formatZone(zone) })}</span>
          <LocalMoment instant={group.closesAt} officeZone={zone} locale={language} />
          <span className="quiet">
            {group.fees.length === 0
              ? say(language, "home.noFee", { group: group.title[language] })
              : group.fees
                  .map((f) =>
                    say(language, "home.fee", { amount: formatMoney(language, f), group: group.title[language] }),
                  )
                  .join(" ")}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** What a programme is called wherever it is offered: "MSc Estuary Science". */
export const programmeName = (hit: Pick<FinderHit, "award" | "title">, language: Locale): string =>
  `${hit.award} ${hit.title[language]}`;

/** What somebody must know of a programme before they begin: start, language, deadlines on both clocks, fees, what it asks for. */
export function ProgrammeFacts({ hit, zone, language }: Props) {
  return (
    <>
      <p className="quiet">
        {hit.code} · {say(language, "home.start", { date: formatDate(language, hit.startsOn) })} ·{" "}
        {say(language, "home.language", { language: languageName(language, hit.language) })} · {hit.ects} ECTS ·{" "}
        {hit.campuses.join(", ")} · <strong>{say(language, `home.state.${hit.state}`)}</strong>
      </p>
      <p className="measure">{hit.description[language]}</p>
      <Deadlines hit={hit} zone={zone} language={language} />
      <details>
        <summary>{say(language, "home.needs")}</summary>
        <ul className="dashes">
          {hit.needs.map((need) => (
            <li key={need.en}>{need[language]}</li>
          ))}
        </ul>
      </details>
      {hit.state === "soon" ? (
        <p>{say(language, "home.opens", { when: formatMoment(language, hit.opensAt, zone) })}</p>
      ) : null}
    </>
  );
}
