import Link from "next/link";
import type { ApplicantChoice, ApplicantRequirement } from "../../../../core/assessment/applicants-share";
import { programmeName } from "../../../../core/catalogue/programme";
import { gapsOf } from "../../../../core/file/result";
import type { Locale } from "../../../../core/text/local-text";
import { formatDate, formatDayInZone, formatMoment } from "../../../../text/format";
import { isTextKey, sentence } from "../../../../text/sentence";
import { standingWord } from "../../../../text/words/standing";
import { gapHref, requirementHref } from "../../../../ui/application/addresses";
import { EstablishedOtherwise } from "../../../../ui/application/changed-answers";
import { eventSentence } from "../../../../ui/application/event-sentence";
import { withdrawalFees } from "../../../../ui/application/withdrawal";
import { CombBar } from "../../../../ui/assessment/comb";
import { ConfirmPress } from "../../../../ui/frame/confirm-press.client";
import type { MyApplication } from "../../../../views/application/application-data";
import { submissions } from "../../../../views/application/submissions";
import { locale, see } from "../../../request";
import { answerOffer, submitChoices, withdrawApplication } from "./application.action";
import { Asks } from "./asks";
import { ContactDetails } from "./contact-details";
import { AskCorrection, Corrections, Submitted } from "./corrections";
import { EarlyCases } from "./early-cases";
import { loadApplication } from "./load";
import { NextStep, Others } from "./next-step";
import { Rules, ToldFinding } from "./rules";
import { WhatComesWhen } from "./schedule";

interface PartProps {
  readonly application: MyApplication;
  readonly language: Locale;
}

function Decisions({ application, language }: PartProps) {
  return application.choices.map((choice) => {
    const { decision } = choice;
    if (!decision) return null;
    const programme = programmeName(choice, language);
    const key = `decision.${decision.kind}`;
    return (
      <section key={choice.id} className="decision">
        <h2>{sentence(language, "decision.title")}</h2>
        {isTextKey(key) ? (
          <p className="serif next-sentence">
            {sentence(language, key, { programme, start: formatDate(language, choice.start) })}
          </p>
        ) : null}
        {decision.conditions.length > 0 ? (
          <ul className="dashes">
            {decision.conditions.map((c) => (
              <li key={c.en}>{c[language]}</li>
            ))}
          </ul>
        ) : null}
        {decision.reason ? <p>{sentence(language, "decision.reason", { reason: decision.reason })}</p> : null}
        {decision.answer ? (
          <p className="strong">
            {sentence(language, decision.answer === "accepted" ? "decision.accepted" : "decision.declined", {
              date: decision.answeredAt ? formatDayInZone(language, decision.answeredAt, application.zone) : "",
            })}
          </p>
        ) : application.assessment.choices.some((c) => c.id === choice.id && c.closedAs === "offer lapsed") ? (
          <p>{sentence(language, "decision.lapsed", { date: formatDate(language, decision.answerBy ?? "") })}</p>
        ) : decision.answerBy ? (
          <>
            <p>{sentence(language, "decision.answerBy", { date: formatDate(language, decision.answerBy) })}</p>
            <div className="presses">
              <ConfirmPress
                action={answerOffer.bind(null, application.number, application.id, choice.id, "accepted")}
                label={sentence(language, "decision.accept")}
                question={sentence(language, "decision.acceptAsk", { programme })}
                primary
                locale={language}
              />
              <ConfirmPress
                action={answerOffer.bind(null, application.number, application.id, choice.id, "declined")}
                label={sentence(language, "decision.decline")}
                question={sentence(language, "decision.declineAsk", { programme })}
                locale={language}
              />
            </div>
          </>
        ) : null}
      </section>
    );
  });
}

function RequirementLine({ application, language, requirement }: PartProps & { requirement: ApplicantRequirement }) {
  const entry = application.documents.find(
    (d) => d.requirement === requirement.key && d.entry === requirement.entry && d.scope === requirement.scope,
  )?.entryTitle;
  const holds =
    application.assessment.file.next?.requirement === requirement.key &&
    application.assessment.file.next.entry === requirement.entry;
  const line = (
    <>
      <span className="comb" data-turn={application.assessment.file.turn}>
        <CombBar standing={requirement.standing} holds={holds} large />
      </span>
      <span>
        {requirement.title[language]}
        {entry ? <span className="quiet"> · {entry}</span> : null}
      </span>
      <span className="quiet">{standingWord(language, requirement, application.assessment.file.stage)}</span>
    </>
  );
  return (
    <li>
      {requirement.kind === "deed" ? (
        <div className="plain">{line}</div>
      ) : (
        <Link href={requirementHref(application.number, requirement)}>{line}</Link>
      )}
    </li>
  );
}

function missingLines(
  application: MyApplication,
  language: Locale,
  choice: ApplicantChoice,
): readonly { readonly href: string; readonly text: string }[] {
  const wanted = application.assessment.requirements.filter((r) =>
    choice.missing.some((m) => m.requirement === r.key && m.scope === r.scope && m.entry === r.entry),
  );
  return wanted.flatMap((r) => {
    if (r.kind === "document")
      return [
        {
          href: requirementHref(application.number, r),
          text: sentence(language, "gap.document", { title: r.title[language] }),
        },
      ];
    if (r.kind === "reference")
      return [
        {
          href: requirementHref(application.number, r),
          text: sentence(language, "gap.reference", { title: r.title[language] }),
        },
      ];
    if (r.kind === "fee")
      return [
        {
          href: requirementHref(application.number, r),
          text: sentence(language, "gap.fee", { title: r.title[language] }),
        },
      ];
    return gapsOf(r).map((gap) => {
      const section = application.sections.find((s) => s.key === gap.section && s.scope === gap.scope);
      const field = section?.fields.find((f) => f.key === gap.field)?.title[language] ?? gap.field;
      return {
        href: gapHref(application.number, gap),
        text: sentence(language, `gap.${gap.code}`, { field, section: section?.title[language] ?? gap.section }),
      };
    });
  });
}

/** Said in place of what is missing: nobody is to fill in what cannot be submitted. */
function Barred({ application, language, choice, title }: PartProps & { choice: ApplicantChoice; title: string }) {
  return (
    <section className="submission">
      <h2>{title}</h2>
      <p className="strong">{sentence(language, "app.barred")}</p>
      {choice.findings.map((finding) => (
        <ToldFinding key={finding.key} finding={finding} application={application} language={language} />
      ))}
      <p>{sentence(language, "app.barredThen")}</p>
      <p className="presses">
        <Link className="plain-button" href={`/my/${application.number}/choices`}>
          {sentence(language, "choices.title")}
        </Link>
      </p>
    </section>
  );
}

function Submission({ application, language, choice }: PartProps & { choice: ApplicantChoice }) {
  const lines = missingLines(application, language, choice);
  const programme = application.choices.find((c) => c.id === choice.id);
  const title = programme ? programmeName(programme, language) : choice.programme;
  const unpromised = application.undertaking !== null && application.undertaking.givenAt === null;
  if (choice.barredBy.length > 0)
    return <Barred application={application} language={language} choice={choice} title={title} />;
  return (
    <section className="submission">
      <h2>
        {sentence(language, "app.submit")} · {title}
      </h2>
      <p>{sentence(language, "app.missing", { count: lines.length })}</p>
      <ul className="dashes" data-testid="missing">
        {lines.map((line) => (
          <li key={line.href + line.text}>
            <Link href={line.href}>{line.text}</Link>
          </li>
        ))}
      </ul>
      {application.lackingChoices > 0 ? (
        <p>
          <Link href={`/my/${application.number}/choices`}>
            {sentence(language, "app.moreChoices", { count: application.lackingChoices })}
          </Link>
        </p>
      ) : null}
      {unpromised ? (
        <p>
          <Link href={`/my/${application.number}/choices`}>{sentence(language, "app.undertaking")}</Link>
        </p>
      ) : null}
      {choice.round === "not yet open" ? (
        <p>
          {sentence(language, "app.waitsForOpening", {
            when: formatMoment(language, choice.opensAt, application.zone),
          })}
        </p>
      ) : null}
      <div className="presses">
        <Link className="plain-button" href={`/my/${application.number}/review`}>
          {sentence(language, "app.review")}
        </Link>
        {lines.length === 0 && application.lackingChoices === 0 && !unpromised && choice.round === "open" ? (
          <ConfirmPress
            action={submitChoices.bind(null, application.number, application.id, choice.id)}
            label={sentence(language, "app.submit")}
            question={sentence(language, "app.submitAsk", { programme: title })}
            primary
            locale={language}
          />
        ) : null}
      </div>
    </section>
  );
}

/** One application on one page: what comes next, what is here, what is missing, and what has happened. */
export default async function ApplicationPage({ params }: { params: Promise<{ number: string }> }) {
  const { number } = await params;
  const language = await locale();
  const { application, actor } = await loadApplication(number);
  const { assessment } = application;
  const submitted = application.choices.some((c) => c.submittedAt);
  const lines = submitted ? await see(submissions, actor, { number }) : null;
  const open = assessment.choices.some((c) => c.stage !== "closed");
  const urgent = application.contacts.some((p) => p.reached === "fails" || p.askedAt !== null);
  const erased = application.events.findLast((e) => e.act === "erase-draft" || e.act === "erase-file");
  return (
    <>
      <NextStep application={application} language={language} />
      {erased && !open ? (
        <p className="notice">
          {sentence(language, erased.act === "erase-file" ? "app.erasedAsked" : "app.erased", {
            when: formatMoment(language, erased.at, application.zone),
          })}
        </p>
      ) : null}
      <Decisions application={application} language={language} />
      {application.granted.map((what) => (
        <p key={what} className="notice">
          {sentence(language, "app.granted", { what })}
        </p>
      ))}
      <Asks application={application} language={language} />
      <EarlyCases application={application} language={language} />
      <Corrections application={application} language={language} />
      <EstablishedOtherwise established={application.established} locale={language} office={application.office} />
      {submitted && open && urgent ? <ContactDetails application={application} language={language} /> : null}
      <Others application={application} language={language} />
      <WhatComesWhen application={application} language={language} />
      <Rules application={application} language={language} />
      {application.carried && !submitted ? (
        <p className="notice">
          {sentence(language, "app.carried", {
            number: application.carried.from,
            papers: application.carried.papers ?? 0,
          })}
        </p>
      ) : null}
      {assessment.choices
        .filter((c) => c.stage === "preparing")
        .map((choice) => (
          <Submission key={choice.id} application={application} language={language} choice={choice} />
        ))}
      {assessment.choices
        .filter((c) => c.closedAs === "lapsed")
        .map((c) => (
          <p key={c.id} className="notice">
            {sentence(language, "app.roundClosed", { when: formatMoment(language, c.closesAt, application.zone) })}
          </p>
        ))}
      <section>
        <h2>{sentence(language, "app.what")}</h2>
        <ul className="big-comb">
          {assessment.requirements
            .filter((r) => r.kind !== "deed" || r.standing !== "not needed")
            .map((r) => (
              <RequirementLine
                key={`${r.scope}-${r.key}-${r.entry}`}
                application={application}
                language={language}
                requirement={r}
              />
            ))}
        </ul>
      </section>
      <Submitted application={application} language={language} lines={lines ?? []} />
      <section>
        <h2>{sentence(language, "app.history")}</h2>
        <ol className="history">
          {application.events.map((event) => (
            <li key={event.at + event.act}>
              <span className="quiet">{formatMoment(language, event.at, application.zone)}</span>{" "}
              {eventSentence(application, event, language)}
            </li>
          ))}
        </ol>
      </section>
      {submitted && open && !urgent ? <ContactDetails application={application} language={language} /> : null}
      <AskCorrection application={application} language={language} />
      {open ? (
        <ConfirmPress
          action={withdrawApplication.bind(null, number, application.id)}
          label={sentence(language, "app.withdraw")}
          question={`${sentence(language, "app.withdrawAsk", { number })} ${withdrawalFees(language, application, [
            "file",
            ...application.choices.map((c) => c.id),
          ])}`}
          locale={language}
        />
      ) : null}
    </>
  );
}
