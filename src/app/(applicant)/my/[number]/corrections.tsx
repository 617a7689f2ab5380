import Link from "next/link";
import { gapsOf } from "../../../../core/file/result";
import type { Locale } from "../../../../core/text/local-text";
import { formatDate, formatMoment } from "../../../../text/format";
import { sentence } from "../../../../text/sentence";
import { gapHref, sectionPage } from "../../../../ui/application/addresses";
import { ChangedAnswers } from "../../../../ui/application/changed-answers";
import { CorrectionForm } from "../../../../ui/application/correction-form.client";
import { ConfirmPress } from "../../../../ui/frame/confirm-press.client";
import type { MyApplication } from "../../../../views/application/application-data";
import type { SubmissionLine } from "../../../../views/application/submissions";
import { askCorrection, sendCorrected } from "./application.action";

export interface PartProps {
  readonly application: MyApplication;
  readonly language: Locale;
}

/** The parts that the office opened again: why, until when, what they still lack, and the way to send them. */
export function Corrections({ application, language }: PartProps) {
  const { reopening, number } = application;
  if (!reopening) return null;
  const open = application.sections.filter((s) => s.reopened);
  const submitted = application.assessment.requirements.filter((r) =>
    r.choices.some((id) => application.choices.some((c) => c.id === id && c.submittedAt && !c.withdrawn)),
  );
  const gaps = submitted.flatMap(gapsOf);
  return (
    <section className="asks">
      <h2>{sentence(language, "reopened.title")}</h2>
      <p>{sentence(language, "reopened.until", { date: formatDate(language, reopening.due) })}</p>
      <p className="pre-line">{reopening.reason}</p>
      <ul>
        {open.map((s) => (
          <li key={`${s.scope}-${s.key}`}>
            <Link href={`/my/${number}/${sectionPage(s.key, s.scope)}`}>
              {s.title[language]}
              {s.programme ? ` · ${s.programme}` : ""}
            </Link>
          </li>
        ))}
      </ul>
      {gaps.length > 0 ? (
        <>
          <p>{sentence(language, "reopened.missing", { count: gaps.length })}</p>
          <ul className="dashes">
            {gaps.map((gap) => {
              const section = application.sections.find((s) => s.key === gap.section && s.scope === gap.scope);
              const field = section?.fields.find((f) => f.key === gap.field)?.title[language] ?? gap.field;
              return (
                <li key={`${gap.scope}-${gap.section}-${gap.entry}-${gap.field}`}>
                  <Link href={gapHref(number, gap)}>
                    {sentence(language, `gap.${gap.code}`, { field, section: section?.title[language] ?? gap.section })}
                  </Link>
                </li>
              );
            })}
          </ul>
        </>
      ) : (
        <ConfirmPress
          action={sendCorrected.bind(null, number, application.id)}
          label={sentence(language, "reopened.send")}
          question={sentence(language, "reopened.sendAsk")}
          primary
          locale={language}
        />
      )}
    </section>
  );
}

/** Every numbered submission, with what it changed. */
export function Submitted({ application, language, lines }: PartProps & { lines: readonly SubmissionLine[] }) {
  if (lines.length === 0) return null;
  return (
    <section>
      <h2>{sentence(language, "submissions.title")}</h2>
      {lines.map((line) => (
        <details key={line.no} className="submission-line" open={lines.length > 1 && line === lines[0]}>
          <summary>
            {sentence(language, "submissions.no", { no: line.no })}{" "}
            <span className="quiet">
              {formatMoment(language, line.at, application.zone)} · {line.programmes.join(", ")}
            </span>
          </summary>
          {line.changes ? (
            <ChangedAnswers
              changes={line.changes}
              locale={language}
              office={application.office}
              none={sentence(language, "submissions.same")}
            />
          ) : null}
        </details>
      ))}
    </section>
  );
}

/** What was submitted is closed: the way to ask for a correction, or what was asked. */
export function AskCorrection({ application, language }: PartProps) {
  const { request, correctable, number, reopening } = application;
  if (request)
    return (
      <section className="asks">
        <p>
          {sentence(language, "correction.asked", { when: formatMoment(language, request.askedAt, application.zone) })}
        </p>
        <p className="quiet pre-line">{request.text}</p>
      </section>
    );
  if (reopening || correctable.length === 0) return null;
  const titleOf = (place: { scope: string; section: string }) => {
    const section = application.sections.find((s) => s.scope === place.scope && s.key === place.section);
    return section?.applies ? [section.title[language], section.programme].filter(Boolean).join(" · ") : null;
  };
  return (
    <details id="correct">
      <summary>{sentence(language, "correction.title")}</summary>
      <CorrectionForm
        locale={language}
        parts={correctable.flatMap((place) => {
          const title = titleOf(place);
          return title ? [{ ...place, title }] : [];
        })}
        ask={askCorrection.bind(null, number, application.id)}
      />
    </details>
  );
}
