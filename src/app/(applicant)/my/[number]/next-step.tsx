import { programmeName } from "../../../../core/catalogue/programme";
import type { Locale } from "../../../../core/text/local-text";
import { formatDayInZone, formatMoment, formatZone } from "../../../../text/format";
import { isTextKey, sentence } from "../../../../text/sentence";
import { applicantStep, othersSentence, stepSentence } from "../../../../text/words/applicant-step";
import { valueText } from "../../../../text/words/value-text";
import { LocalMoment } from "../../../../ui/frame/local-moment.client";
import type { MyApplication } from "../../../../views/application/application-data";

interface PartProps {
  readonly application: MyApplication;
  readonly language: Locale;
}

const DAY = 86_400_000;
/** A colon stands apart from its word in French. */
const COLON: Readonly<Record<Locale, string>> = { en: ":", fr: " :" };

/** The applicant group, and what was stated that decides it. */
function Group({ application, language }: PartProps) {
  const { groupTitle, groupBecause, office } = application;
  if (!groupTitle) return <p className="quiet">{sentence(language, "app.groupOpen")}</p>;
  const stated = groupBecause
    .map(
      ({ field, value }) => `${field.title[language]}${COLON[language]} ${valueText(language, field, value, office)}`,
    )
    .join("; ");
  return (
    <p className="quiet">
      {sentence(language, "app.group", { group: groupTitle[language] })}
      {stated ? ` ${sentence(language, "app.groupBecause", { stated })}` : ""}
    </p>
  );
}

/** The one next step, the time that is left for it, and the group that deadlines and fees follow. */
export function NextStep({ application, language }: PartProps) {
  const { assessment, now, zone } = application;
  const several = application.choices.filter((c) => !c.withdrawn);
  const programmeOf = (scope: string) => {
    const choice = several.length > 1 ? several.find((c) => c.id === scope) : undefined;
    return choice ? programmeName(choice, language) : null;
  };
  const drafts = assessment.choices.filter((c) => c.stage === "preparing");
  return (
    <section className="next-step" data-turn={assessment.file.turn} aria-label={sentence(language, "app.next")}>
      <h2>{sentence(language, "app.next")}</h2>
      <p className="serif next-sentence">{applicantStep(language, assessment, programmeOf)}</p>
      {assessment.file.besides.length > 0 ? (
        <ul className="dashes then">
          {assessment.file.besides.map((step) => (
            <li key={`${step.kind}-${step.requirement ?? ""}-${step.scope ?? ""}-${step.entry ?? ""}`}>
              {stepSentence(language, step, programmeOf)}
            </li>
          ))}
        </ul>
      ) : null}
      {assessment.file.others ? (
        <p className="quiet">{othersSentence(language, assessment.file.others, programmeOf)}</p>
      ) : null}
      {drafts.map((c) => {
        const days = Math.floor((Date.parse(c.closesAt) - Date.parse(now)) / DAY);
        return (
          <p key={c.id} className="quiet">
            {drafts.length > 1 ? <span className="strong">{programmeOf(c.id)} </span> : null}
            {sentence(language, "app.closes", {
              when: formatMoment(language, c.closesAt, zone),
              zone: formatZone(zone),
            })}{" "}
            {days >= 0 ? sentence(language, "app.daysLeft", { days }) : ""}{" "}
            <LocalMoment instant={c.closesAt} officeZone={zone} locale={language} />
          </p>
        );
      })}
      <Group application={application} language={language} />
    </section>
  );
}

/** What others still do: referees who were asked and have not answered. */
export function Others({ application, language }: PartProps) {
  const referees = application.sections.find((s) => s.core === "referees");
  const waiting = application.references.filter((r) => r.state === "asked" || r.state === "opened");
  if (waiting.length === 0) return null;
  return (
    <section>
      <h2>{sentence(language, "app.others")}</h2>
      <ul className="dashes">
        {waiting.map((request) => {
          const state = `referee.state.${request.state}`;
          const name = referees?.entries.find((e) => e.id === request.referee)?.values.name?.value;
          return (
            <li key={request.id}>
              <span className="strong">{String(name ?? "—")}</span>{" "}
              <span className="quiet">
                {isTextKey(state)
                  ? sentence(language, state, { date: formatDayInZone(language, request.askedAt, application.zone) })
                  : ""}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
