import Link from "next/link";
import type { Locale } from "../../core/text/local-text";
import { formatDate, formatMoment, formatMoney, formatZone, languageName } from "../../text/format";
import { say } from "../../text/say";
import { LocalMoment } from "../../ui/local-moment.client";
import { type FinderData, type FinderHit, finder } from "../../views/finder";
import { locale, see, VISITOR } from "../request";

function Deadlines({ hit, data, language }: { hit: FinderHit; data: FinderData; language: Locale }) {
  return (
    <ul className="deadlines">
      {hit.groups.map((group) => (
        <li key={group.key}>
          <span className="strong">
            {say(language, "home.closes", {
              group: group.title[language],
              when: formatMoment(language, group.closesAt, data.zone),
            })}
          </span>{" "}
          <span className="quiet">{say(language, "home.officeZone", { zone: formatZone(data.zone) })}</span>
          <LocalMoment instant={group.closesAt} officeZone={data.zone} locale={language} />
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

function Programme({ hit, data, language }: { hit: FinderHit; data: FinderData; language: Locale }) {
  return (
    <article className="programme">
      <header>
        <h2>
          {hit.award} {hit.title[language]}
        </h2>
        <p className="quiet">
          {hit.code} · {say(language, "home.start", { date: formatDate(language, hit.startsOn) })} ·{" "}
          {say(language, "home.language", { language: languageName(language, hit.language) })} · {hit.ects} ECTS ·{" "}
          {hit.campuses.join(", ")} · <strong>{say(language, `home.state.${hit.state}`)}</strong>
        </p>
      </header>
      <p className="measure">{hit.description[language]}</p>
      <Deadlines hit={hit} data={data} language={language} />
      <details>
        <summary>{say(language, "home.needs")}</summary>
        <ul className="dashes">
          {hit.needs.map((need) => (
            <li key={need.en}>{need[language]}</li>
          ))}
        </ul>
      </details>
      {hit.state === "soon" ? (
        <p>{say(language, "home.opens", { when: formatMoment(language, hit.opensAt, data.zone) })}</p>
      ) : null}
      {hit.state === "closed" ? null : (
        <Link className="press" href={`/apply/${hit.roundId}`} prefetch={false}>
          {say(language, "home.apply")}
        </Link>
      )}
    </article>
  );
}

/** The programmes that take applications, with the deadlines of each group on the office's clock and the reader's. */
export default async function HomePage() {
  const language = await locale();
  const data = await see(finder, VISITOR, {});
  const hits = data?.hits ?? [];
  return (
    <div className="sheet">
      <h1>{say(language, "home.title")}</h1>
      <p className="measure quiet">{say(language, "home.intro")}</p>
      {data && hits.length > 0 ? (
        hits.map((hit) => <Programme key={hit.roundId} hit={hit} data={data} language={language} />)
      ) : (
        <p className="empty">{say(language, "home.none")}</p>
      )}
    </div>
  );
}
