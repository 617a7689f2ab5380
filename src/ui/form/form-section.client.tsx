"use client";

import { Button } from "antd";
import type { FormSection as Section } from "../../core/form/form-sections";
import type { Registers } from "../../core/standards/reference-set";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import { DegreeFile } from "./degree-file.client";
import { EntryGrid, fitsGrid } from "./entry-grid.client";
import type { LookForLikeness } from "./likeness-note.client";
import { PasteTable } from "./paste-table.client";
import { RunningSums } from "./running-sums";
import { EntryFields, ListFoot, mayRemove } from "./section-fields.client";
import type { FormPage } from "./use-form-page.client";

/** What every section of a page is shown with. */
export interface Around {
  readonly applicationId: string;
  readonly number: string;
  readonly locale: Locale;
  readonly office: Registers;
  /** The latest first day of study among the choices; null while nothing is chosen. */
  readonly starts: string | null;
  /** The applicant's name as it stands in the form; "" while unknown. */
  readonly legalName: string;
  readonly look: LookForLikeness;
}

/** One section: what is said above it, its fields or its entries, and what a list is filled with in other ways. */
export function FormSection({ section, page, around }: { section: Section; page: FormPage; around: Around }) {
  const { applicationId, number, locale, office, starts, legalName, look } = around;
  const { values, left, set, leave, autosave } = page;
  const entries = section.repeats ? page.entriesOf(section) : [""];
  const leftToRegistry = page.isLeftToRegistry(section);
  const context = {
    section,
    locale,
    office,
    starts,
    legalName,
    values,
    left,
    stateOf: autosave.stateOf,
    set,
    leave,
    resolve: autosave.resolve,
    letGo: autosave.letGo,
    look,
  };
  return (
    <section aria-label={section.title[locale]} id={section.key}>
      {page.sections.length > 1 ? <h2>{section.title[locale]}</h2> : null}
      {section.intro ? <p className="measure quiet">{section.intro[locale]}</p> : null}
      {section.open === "all" ? null : (
        <p className="notice">
          {sentence(locale, section.open === "none" ? "app.readOnly" : section.grows ? "app.growing" : "app.addOnly")}
        </p>
      )}
      {section.fromRegistry ? <p className="notice">{sentence(locale, "form.fromRegistry")}</p> : null}
      {section.reopened ? <p className="notice">{sentence(locale, "reopened.here")}</p> : null}
      {leftToRegistry ? null : fitsGrid(section) ? (
        <EntryGrid context={context} entries={entries} onRemove={(entry) => page.takeOut(section, entry)} />
      ) : (
        entries.map((entry, i) => (
          <fieldset key={entry} className={section.repeats ? "entry" : undefined}>
            {section.repeats ? <legend>{sentence(locale, "form.entry", { no: i + 1 })}</legend> : null}
            <EntryFields context={context} entry={entry} />
            {section.repeats && mayRemove(section, entry) ? (
              <Button type="text" onClick={() => page.takeOut(section, entry)}>
                {sentence(locale, "form.remove")}
              </Button>
            ) : null}
          </fieldset>
        ))
      )}
      {page.removed.map((item, i) =>
        item.section.key === section.key && (item.kept || !item.quiet) ? (
          <p key={item.entry} role="status" className="notice">
            {sentence(locale, item.kept ? "form.kept" : "form.removed")}{" "}
            {item.kept ? null : (
              <Button size="small" onClick={() => page.bringBack(i)}>
                {sentence(locale, "form.undo")}
              </Button>
            )}
          </p>
        ) : null,
      )}
      {section.core === "education" && section.repeats && section.open === "all" ? (
        <DegreeFile
          application={{ id: applicationId, number }}
          section={section}
          locale={locale}
          office={office}
          room={section.repeats.max - page.begunIn(section, entries)}
          take={(values) => page.takeIn(section, [values])}
        />
      ) : null}
      {fitsGrid(section) && section.open === "all" && !leftToRegistry ? (
        <PasteTable
          application={{ id: applicationId, number }}
          section={section}
          locale={locale}
          office={office}
          count={page.begunIn(section, entries)}
          take={(rows) => page.takeIn(section, rows)}
        />
      ) : null}
      <RunningSums sums={section.sums} locale={locale} />
      {section.repeats && section.open !== "none" && !leftToRegistry ? (
        <ListFoot
          section={section}
          locale={locale}
          count={entries.length}
          complete={page.isComplete(section)}
          onAdd={() => page.addEntry(section)}
          onComplete={(complete) => page.setComplete(section, complete)}
        />
      ) : null}
    </section>
  );
}
