import { programmeName } from "../../core/catalogue/programme";
import type { CopiedSection, FormCopy } from "../../core/form/form-copy";
import type { FormSection } from "../../core/form/form-sections";
import { type CopyReader, sees } from "../../core/form/readers";
import type { Field } from "../../core/rulebook/section";
import type { Locale } from "../../core/text/local-text";
import { formatMoment, formatMoney } from "../../text/format";
import { sentence } from "../../text/sentence";
import { feeTitle } from "../../text/words/fee";
import { standingWord } from "../../text/words/standing";
import { NOTHING_SAID, valueText } from "../../text/words/value-text";
import type { MyApplication } from "./application-data";

/** What the office says of a section in short. */
export interface SectionSummary {
  readonly scope: string;
  readonly section: string;
  readonly text: string;
}

const LONG = 90;
const MOST_COLUMNS = 7;

type Entries = CopiedSection["entries"];

/** Entries of a list as lines of a table, where they are many and short enough for one. */
function asTable(entries: Entries): CopiedSection["table"] {
  // What nobody answered in any entry needs no column.
  const answered = entries.flatMap((e) => e.pairs.filter((p) => p.value !== NOTHING_SAID).map((p) => p.label));
  const heads = [...new Set(entries.flatMap((e) => e.pairs.map((p) => p.label)))].filter((h) => answered.includes(h));
  const long = entries.some((e) => e.pairs.some((p) => p.long));
  if (entries.length < 2 || heads.length > MOST_COLUMNS || long) return null;
  return { heads, rows: entries.map((e) => heads.map((h) => e.pairs.find((p) => p.label === h)?.value ?? "")) };
}

function copiedSection(
  section: FormSection,
  locale: Locale,
  office: MyApplication["office"],
  reader: CopyReader,
): CopiedSection {
  const entries = section.entries.map((entry, i) => ({
    id: entry.id,
    title: section.repeats && section.entries.length > 1 ? sentence(locale, "form.entry", { no: i + 1 }) : null,
    pairs: section.fields
      .filter((f) => entry.shown.includes(f.key) && sees(reader, f))
      .map((f) => {
        const value = valueText(locale, f, entry.values[f.key]?.value ?? null, office);
        return { label: f.title[locale], value, long: value.length > LONG || value.includes("\n") };
      }),
  }));
  const filled = entries.filter((e) => e.pairs.length > 0);
  const table = section.repeats ? asTable(filled) : null;
  const isEmpty = section.repeats !== null && filled.length === 0 && section.fields.some((f) => sees(reader, f));
  return {
    key: `${section.scope}-${section.key}`,
    title: section.title[locale],
    table,
    entries: table ? [] : filled,
    empty: isEmpty ? sentence(locale, section.complete ? "form.none" : "form.notAnswered") : null,
  };
}

const documentTitle = (title: string, entry: string | null): string => (entry ? `${title} · ${entry}` : title);

const titleIn =
  ({ assessment }: MyApplication, locale: Locale) =>
  ({ requirement, scope, entry }: Pick<MyApplication["documents"][number], "requirement" | "scope" | "entry">) =>
    assessment.requirements.find((r) => r.key === requirement && r.scope === scope && r.entry === entry)?.title[
      locale
    ] ?? requirement;

/** The documents that a reader may see: one that only shows what the reader may not see is left out, and one that stays with the office. */
function documentsFor({ documents, sections }: MyApplication, reader: CopyReader) {
  if (reader === "applicant") return documents;
  const fields = new Map<string, Pick<Field, "seenBy">>(
    sections.flatMap((s) => s.fields.map((f) => [`${s.key}.${f.key}`, f])),
  );
  return documents.filter(({ keptBack, shows }) => {
    const known = shows.flatMap((place) => fields.get(place) ?? []);
    return !keptBack && (known.length === 0 || known.some((f) => sees(reader, f)));
  });
}

/**
 * Every document that was supplied, in the order of the form, under the title that it was asked for by.
 * @param reader without what stays with the office, and without what shows only values that this reader may not see
 */
export function suppliedInOrder(
  application: MyApplication,
  locale: Locale,
  reader: CopyReader,
): readonly {
  readonly uploadId: string;
  readonly title: string;
  readonly range: { readonly first: number; readonly last: number };
}[] {
  const titleOf = titleIn(application, locale);
  return documentsFor(application, reader).flatMap((d) =>
    d.supplied.map(({ uploadId, firstPage, lastPage }) => ({
      uploadId,
      title: documentTitle(titleOf(d), d.entryTitle),
      range: { first: firstPage, last: lastPage },
    })),
  );
}

/** Documents with their files, references with where they stand, and fees with what is due or paid. */
function annexes(application: MyApplication, locale: Locale, reader: CopyReader): FormCopy["annexes"] {
  const { assessment, charges } = application;
  const titleOf = titleIn(application, locale);
  return [
    {
      title: sentence(locale, "doc.title"),
      lines: documentsFor(application, reader)
        .filter((d) => d.supplied.length > 0)
        .map((d) => ({ what: documentTitle(titleOf(d), d.entryTitle), words: d.supplied.map((s) => s.name) })),
    },
    {
      title: sentence(locale, "copy.references"),
      lines: assessment.requirements
        .filter((r) => r.kind === "reference" && r.standing !== "not needed")
        .map((r) => ({ what: r.title[locale], words: [standingWord(locale, r, assessment.file.stage)] })),
    },
    {
      title: sentence(locale, "fee.all"),
      lines: (reader === "assessors" ? [] : assessment.fees).map((fee) => {
        const paid = charges.some((c) => c.item === fee.item && c.scope === fee.scope && c.paidMinor >= c.minor);
        const amount = formatMoney(locale, fee.amount);
        return {
          what: feeTitle(fee, locale),
          words: [paid ? `${amount} · ${sentence(locale, "fee.paid")}` : sentence(locale, "fee.due", { amount })],
        };
      }),
    },
  ];
}

/**
 * The form in words, as far as a reader may see it: what belongs to the application first, then what belongs to each choice, in the
 * order of the form.
 * @param summaries what the office says of sections in short, for those who read it
 */
export function formCopy(
  application: MyApplication,
  name: string,
  locale: Locale,
  reader: CopyReader = "applicant",
  summaries: readonly SectionSummary[] = [],
): FormCopy {
  const asked = application.sections.filter((s) => s.applies);
  const sectionsOf = (scope: string) =>
    asked
      .filter((s) => s.scope === scope)
      .map((s) => {
        const summary = summaries.find((d) => d.scope === s.scope && d.section === s.key)?.text;
        return { ...copiedSection(s, locale, application.office, reader), ...(summary ? { summary } : {}) };
      })
      .filter((s) => s.table !== null || s.entries.length > 0 || s.empty !== null || reader === "applicant");
  const live = application.choices.filter((c) => !c.withdrawn);
  const submitted = live.flatMap((c) => c.submittedAt ?? []).sort()[0];
  const { number } = application;
  const when = submitted
    ? sentence(locale, "copy.submitted", { when: formatMoment(locale, submitted, application.zone) })
    : sentence(locale, "copy.draft");
  return {
    title: live.map((c) => programmeName(c, locale)).join(", "),
    under: `${sentence(locale, "copy.under", { number, name })} · ${when}`,
    parts: [
      { title: null, sections: sectionsOf("file") },
      ...live
        .map((c) => ({ title: programmeName(c, locale), sections: sectionsOf(c.id) }))
        .filter((p) => p.sections.length > 0),
    ],
    annexes: annexes(application, locale, reader).filter((a) => a.lines.length > 0),
    foot: sentence(locale, "copy.foot", { number, name, page: "{page}", pages: "{pages}" }),
  };
}
