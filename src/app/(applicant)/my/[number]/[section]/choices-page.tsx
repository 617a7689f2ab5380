import Link from "next/link";
import type { ApplicantChoice } from "../../../../../core/assessment/applicants-share";
import { type Option, programmeName } from "../../../../../core/catalogue/programme";
import type { Locale } from "../../../../../core/text/local-text";
import { formatDayInZone, formatMoment, formatZone, languageName } from "../../../../../text/format";
import { sentence } from "../../../../../text/sentence";
import { type ChoiceLine, ChoiceList } from "../../../../../ui/application/choice-list.client";
import { withdrawalFees } from "../../../../../ui/application/withdrawal";
import { ConfirmPress } from "../../../../../ui/frame/confirm-press.client";
import type { MyApplication } from "../../../../../views/application/application-data";
import { arrange, change, promiseOrder, withdrawChoice } from "../application.action";

type Choice = MyApplication["choices"][number];

/** Where a choice stands in time, in one sentence: its closing, its extension, the grace, or that it is over. */
function timeLine(
  application: MyApplication,
  choice: Choice,
  result: ApplicantChoice | undefined,
  language: Locale,
): string {
  const moment = (instant: string) =>
    `${formatMoment(language, instant, application.zone)} (${formatZone(application.zone)})`;
  if (choice.withdrawn) return sentence(language, "choices.withdrawn");
  if (choice.submittedAt)
    return sentence(language, "choices.submitted", {
      date: formatDayInZone(language, choice.submittedAt, application.zone),
    });
  if (!result) return "";
  if (result.closedAs === "lapsed") return sentence(language, "choices.lapsed");
  if (result.round === "not yet open") return sentence(language, "finder.opens", { when: moment(result.opensAt) });
  if (application.now >= result.closesAt)
    return sentence(language, "choices.grace", { when: moment(result.closesAt), until: moment(result.acceptsUntil) });
  if (choice.extendedTo) return sentence(language, "choices.extended", { when: moment(result.closesAt) });
  return sentence(language, "app.closes", {
    when: formatMoment(language, result.closesAt, application.zone),
    zone: formatZone(application.zone),
  });
}

function lineOf(application: MyApplication, choice: Choice, language: Locale): ChoiceLine {
  const result = application.assessment.choices.find((c) => c.id === choice.id);
  const editable = !choice.withdrawn && choice.submittedAt === null && result?.closedAs !== "lapsed";
  const option = (value: string, label: string) => ({ value, label });
  const pick = (name: Option, options: readonly { readonly value: string; readonly label: string }[]) =>
    options.length > 1 ? [{ name, label: sentence(language, `apply.${name}`), value: choice[name], options }] : [];
  const tracks = choice.offered.tracks.map((t) => option(t.key, t.title[language]));
  const ranked = choice.tracksRanked && tracks.length > 1;
  const missing = result?.missing.length ?? 0;
  return {
    id: choice.id,
    label: programmeName(choice, language),
    code: choice.code,
    note: timeLine(application, choice, result, language),
    lacks:
      result?.stage === "preparing"
        ? missing === 0
          ? sentence(language, "choices.ready")
          : sentence(language, "choices.parts", { count: missing })
        : null,
    live: !choice.withdrawn,
    fees: withdrawalFees(
      language,
      application,
      application.choices.some((c) => c.id !== choice.id && !c.withdrawn) ? [choice.id] : ["file", choice.id],
    ),
    editable,
    tracks: ranked
      ? {
          label: sentence(language, "apply.tracks"),
          picked: [...(choice.track === null ? [] : [choice.track]), ...choice.otherTracks],
          options: tracks,
        }
      : null,
    picks: [
      ...(ranked ? [] : pick("track", tracks)),
      ...pick(
        "campus",
        choice.offered.campuses.map((c) => option(c.key, c.title[language])),
      ),
      ...pick(
        "language",
        choice.offered.languages.map((l) => option(l, languageName(language, l))),
      ),
      ...pick(
        "mode",
        choice.offered.modes.map((m) => option(m, sentence(language, `mode.${m}`))),
      ),
    ],
  };
}

/** What is promised of the order of the choices: given for the order of now, or still to be given. */
function Undertaking({ application, language }: { application: MyApplication; language: Locale }) {
  const { undertaking } = application;
  if (!undertaking) return null;
  const live = application.choices.filter((c) => !c.withdrawn);
  return (
    <section className="undertaking">
      <h3>{sentence(language, "choices.undertaking")}</h3>
      <ol className="quiet">
        {live.map((c) => (
          <li key={c.id}>{programmeName(c, language)}</li>
        ))}
      </ol>
      <blockquote className="to-sign">{undertaking.text[language]}</blockquote>
      {undertaking.givenAt ? (
        <p className="quiet">
          {sentence(language, "choices.promised", {
            when: formatMoment(language, undertaking.givenAt, application.zone),
          })}
        </p>
      ) : application.assessment.file.stage === "closed" ? null : (
        <ConfirmPress
          key={live.map((c) => c.id).join(" ")}
          action={promiseOrder.bind(
            null,
            application.number,
            application.id,
            live.map((c) => c.id),
          )}
          label={sentence(language, "choices.promise")}
          question={undertaking.text[language]}
          primary
          locale={language}
        />
      )}
    </section>
  );
}

/** The choices of an application: in order, with what each still lacks, its options, and the way to a further one. */
export function ChoicesPage({ application, language }: { application: MyApplication; language: Locale }) {
  return (
    <>
      <h2 className="page-title">{sentence(language, "choices.title")}</h2>
      <ChoiceList
        lines={application.choices.map((c) => lineOf(application, c, language))}
        ranked={application.ranked && !application.choices.some((c) => c.decision)}
        locale={language}
        arrange={arrange.bind(null, application.number, application.id)}
        change={change.bind(null, application.number, application.id)}
        withdraw={withdrawChoice.bind(null, application.number, application.id)}
      />
      <Undertaking application={application} language={language} />
      <p className="page-foot">
        <Link className="plain-button" href="/">
          {sentence(language, "choices.add")}
        </Link>
      </p>
    </>
  );
}
