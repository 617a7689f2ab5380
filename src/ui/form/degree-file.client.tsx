"use client";

import { Button } from "antd";
import { useState } from "react";
import { degreeValues, type NamedDegree } from "../../core/education/from-results";
import type { Json } from "../../core/file/facts";
import type { FormSection } from "../../core/form/form-sections";
import type { Locale } from "../../core/text/local-text";
import { formatDate } from "../../text/format";
import { sentence } from "../../text/sentence";
import { countryOptions } from "../../text/words/code-lists";
import type { ResultsFile } from "../../views/results/results-file";
import { ResultsNote, readResults, refusalOf } from "../results/results-file.client";
import type { FieldContext } from "./field-context";

const COUNTRIES = new Set(countryOptions("en").map((c) => c.value));

type Values = Readonly<Record<string, Json>>;

interface Props {
  readonly application: { readonly id: string; readonly number: string };
  readonly section: FormSection;
  readonly locale: Locale;
  readonly office: FieldContext["office"];
  /** How many entries may still be added. */
  readonly room: number;
  /** Adds an entry; gives back a way to take it out again. */
  readonly take: (values: Values) => () => void;
}

/** A degree in one line, with all that would be taken over of it. */
function DegreeLine({
  degree,
  values,
  section,
  locale,
}: Pick<Props, "section" | "locale"> & { degree: NamedDegree; values: Values }) {
  const wordOf = (field: string) =>
    section.fields.find((f) => f.key === field)?.options?.find((o) => o.value === values[field])?.title[locale];
  const day = (field: string) => (typeof values[field] === "string" ? formatDate(locale, values[field]) : undefined);
  const days = [day("start"), day("end")].filter(Boolean).join(" – ");
  return (
    <span>
      <strong>{degree.title}</strong>
      <span className="quiet">
        {" "}
        {[degree.institution, wordOf("level"), wordOf("status"), days, values.grade].filter(Boolean).join(" · ")}
      </span>
    </span>
  );
}

/** Takes a degree over from a file of student results: looked at first, one at a time. */
export function DegreeFile({ application, section, locale, office, room, take }: Props) {
  const [results, setResults] = useState<ResultsFile | null>(null);
  const [taken, setTaken] = useState<Readonly<Record<string, () => void>>>({});
  const [open, setOpen] = useState(false);
  const degrees = results?.ok ? results.degrees : [];
  if (!open)
    return (
      <p className="paste-open">
        <Button onClick={() => setOpen(true)}>{sentence(locale, "results.degreeOpen")}</Button>
      </p>
    );
  return (
    <div className="paste">
      <label className="file-choice">
        {sentence(locale, "results.degreeFile")}{" "}
        <input
          type="file"
          accept=".xml,.elmo,text/xml,application/xml"
          onChange={async (e) => {
            const [file] = e.target.files ?? [];
            e.target.value = "";
            if (!file) return;
            setTaken({});
            setResults(await readResults(file, locale, application.number));
          }}
        />
      </label>
      {results?.ok ? <ResultsNote file={{ ...results, questions: [] }} of="degree" locale={locale} /> : null}
      {results?.ok === false ? (
        <p role="alert" className="wrong">
          {refusalOf(results.reason, locale)}
        </p>
      ) : null}
      {results?.ok && degrees.length === 0 ? <p role="status">{sentence(locale, "results.noDegree")}</p> : null}
      {degrees.length > 0 ? (
        <ul className="requests">
          {degrees.map((degree) => {
            const values = degreeValues(degree, section.fields, office, COUNTRIES);
            const key = [degree.institution, degree.title, degree.start].join("|");
            const undo = taken[key];
            return (
              <li key={key}>
                <DegreeLine degree={degree} values={values} section={section} locale={locale} />{" "}
                {undo ? (
                  <span role="status">
                    {sentence(locale, "results.degreeTaken")}{" "}
                    <Button
                      size="small"
                      onClick={() => {
                        undo();
                        setTaken(({ [key]: _, ...rest }) => rest);
                      }}
                    >
                      {sentence(locale, "results.degreeUndo")}
                    </Button>
                  </span>
                ) : (
                  <Button
                    size="small"
                    disabled={room < 1}
                    onClick={() => setTaken((all) => ({ ...all, [key]: take(values) }))}
                  >
                    {sentence(locale, "results.degreeTake")}
                  </Button>
                )}
              </li>
            );
          })}
        </ul>
      ) : null}
      <p className="presses">
        <Button onClick={() => setOpen(false)}>
          {sentence(locale, results?.ok ? "results.degreeDone" : "paste.close")}
        </Button>
      </p>
    </div>
  );
}
