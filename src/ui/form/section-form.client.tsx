"use client";

import { Fragment } from "react";
import { sectionKey } from "../../core/file/place";
import type { FormSection as Section } from "../../core/form/form-sections";
import type { Locale } from "../../core/text/local-text";
import { formatMoment } from "../../text/format";
import { sentence } from "../../text/sentence";
import type { SaveStatus } from "./autosave.client";
import { type Around, FormSection } from "./form-section.client";
import { HeldElsewhere } from "./held-change.client";
import { RefereeRequests, type Requesting } from "./referee-requests.client";
import { useFormPage } from "./use-form-page.client";

export function SaveLine({ status, locale, zone }: { status: SaveStatus; locale: Locale; zone: string }) {
  const text =
    status.kind === "saved"
      ? sentence(locale, "save.saved", { time: formatMoment(locale, status.at, zone).split(", ").at(-1) ?? "" })
      : sentence(
          locale,
          status.kind === "saving"
            ? "save.saving"
            : status.kind === "waiting"
              ? "save.waiting"
              : status.kind === "signedOut"
                ? "save.signedOut"
                : "save.idle",
        );
  return (
    <p className="save-line" role="status" data-kind={status.kind}>
      {text}
    </p>
  );
}

interface Props extends Around {
  readonly personId: string;
  readonly zone: string;
  readonly sections: readonly Section[];
  readonly requesting: Requesting;
}

/** The sections of one page of the form, saved field by field. */
export function SectionForm({ personId, zone, sections: initial, requesting, ...around }: Props) {
  const { applicationId, locale, office } = around;
  const page = useFormPage({ applicationId, personId, sections: initial });
  const { sections, values, set, autosave } = page;
  return (
    <div className="section-form">
      {autosave.status.kind === "idle" && sections.every((s) => s.open === "none") ? null : (
        <SaveLine status={autosave.status} locale={locale} zone={zone} />
      )}
      <HeldElsewhere
        context={{ locale, office, values, set, resolve: autosave.resolve, letGo: autosave.letGo }}
        held={Object.values(autosave.held).filter((h) => !page.isOnPage(h))}
      />
      {sections.map((section) => {
        if (!section.applies)
          return sections.length > 1 ? null : <p key={section.key}>{sentence(locale, "form.notNow")}</p>;
        const key = sectionKey({ scope: section.scope, section: section.key });
        return (
          <Fragment key={key}>
            <FormSection section={section} page={page} around={around} />
            {section.core === "referees" ? (
              <RefereeRequests section={section} requesting={requesting} locale={locale} zone={zone} />
            ) : null}
          </Fragment>
        );
      })}
    </div>
  );
}
