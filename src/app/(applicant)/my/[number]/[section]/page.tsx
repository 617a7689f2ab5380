import Link from "next/link";
import { notFound, redirect } from "next/navigation";
import type { FormSection } from "../../../../../core/form/form-sections";
import { shownName } from "../../../../../core/people/shown-name";
import type { Locale } from "../../../../../core/text/local-text";
import { sentence } from "../../../../../text/sentence";
import { sectionPage } from "../../../../../ui/application/addresses";
import { EstablishedOtherwise } from "../../../../../ui/application/changed-answers";
import { SectionForm } from "../../../../../ui/form/section-form.client";
import type { MyApplication } from "../../../../../views/application/application-data";
import { locale } from "../../../../request";
import { askReferee, askRefereeAgain, lookForLikeness, withdrawRequest } from "../application.action";
import { EarlyCases } from "../early-cases";
import { loadApplication } from "../load";
import { ChoicesPage } from "./choices-page";
import { DocumentsPage } from "./documents-page";
import { FeePage } from "./fee-page";

const pageOf = (s: FormSection): string => sectionPage(s.key, s.scope);

/** The sections on one page: test results stand with the question that opens them, and of a short form all but the declaration. */
function together({ sections, onePage }: MyApplication, page: string): readonly FormSection[] {
  const asked = sections.find((s) => pageOf(s) === page);
  if (onePage && asked && asked.core !== "declaration") return sections.filter((s) => s.core !== "declaration");
  const at = sections.findIndex((s) => pageOf(s) === page);
  const after = sections[at + 1];
  return sections.filter((s) => pageOf(s) === page || (at >= 0 && after?.core === "tests" && s === after));
}

/** Of lists that may still grow after submission: which papers show what is added, and where they are sent. */
function PapersDue({
  application: { documents, assessment, number },
  language,
  sections,
}: {
  application: MyApplication;
  language: Locale;
  sections: readonly FormSection[];
}) {
  const growing = sections.filter((s) => s.grows && s.open === "add");
  const due = documents.filter(
    (d) => d.open && growing.some((s) => d.shows.some((field) => field.startsWith(`${s.key}.`))),
  );
  if (due.length === 0) return null;
  const titleOf = new Map(assessment.requirements.map((r) => [r.key, r.title[language]]));
  return (
    <p className="notice">
      {sentence(language, "app.growingPaper", {
        papers: [...new Set(due.map((d) => titleOf.get(d.requirement) ?? d.requirement))].join(", "),
      })}{" "}
      <Link href={`/my/${number}/documents`}>{sentence(language, "app.toDocuments")}</Link>
    </p>
  );
}

export default async function SectionPage({ params }: { params: Promise<{ number: string; section: string }> }) {
  const { number, section: key } = await params;
  const language = await locale();
  const { application, personId } = await loadApplication(number);
  if (key === "documents") return <DocumentsPage application={application} language={language} />;
  if (key === "choices") return <ChoicesPage application={application} language={language} />;
  if (key === "fee") return <FeePage application={application} language={language} />;
  // Steps lead to the referees by what they are, whatever a rulebook calls their section.
  const referees = application.sections.find((s) => s.core === "referees");
  if (key === "referees" && referees && referees.key !== key) redirect(`/my/${number}/${pageOf(referees)}`);
  const tests = application.sections.find((s) => s.core === "tests");
  const asked = tests?.key === key ? (application.sections[application.sections.indexOf(tests) - 1]?.key ?? key) : key;
  const sections = together(application, asked);
  const [first] = sections;
  if (!first) notFound();
  const whole = application.onePage && first.core !== "declaration";
  return (
    <>
      <h2 className="page-title">
        {whole ? sentence(language, "app.answers") : first.title[language]}
        {first.programme && !whole ? <span className="quiet"> · {first.programme}</span> : null}
      </h2>
      {application.carried &&
      first.open === "all" &&
      sections.some((s) => application.carried?.sections.includes(s.key)) ? (
        <p className="notice">{sentence(language, "app.carriedHere", { number: application.carried.from })}</p>
      ) : null}
      <SectionForm
        key={whole ? "whole" : asked}
        applicationId={application.id}
        number={number}
        personId={personId}
        zone={application.zone}
        locale={language}
        sections={sections}
        office={application.office}
        look={lookForLikeness.bind(null, application.id)}
        requesting={{
          requests: application.references,
          ask: askReferee.bind(null, application.number, application.id),
          again: askRefereeAgain.bind(null, application.number, application.id),
          withdraw: withdrawRequest.bind(null, application.number, application.id),
        }}
        starts={
          application.choices
            .flatMap((c) => (c.withdrawn ? [] : [c.start]))
            .sort()
            .at(-1) ?? null
        }
        legalName={shownName({
          answers: application.sections.flatMap((s) =>
            s.entries.flatMap((e) =>
              Object.entries(e.values).map(([field, v]) => ({ section: s.key, field, value: v.value })),
            ),
          ),
        })}
      />
      <EstablishedOtherwise
        established={application.established.filter((e) =>
          sections.some((s) => s.key === e.key && s.scope === e.scope),
        )}
        locale={language}
        office={application.office}
      />
      <PapersDue application={application} language={language} sections={sections} />
      <EarlyCases application={application} language={language} sections={sections.map((s) => s.key)} />
    </>
  );
}
