"use client";

import { Button, Input, Progress, Select } from "antd";
import { useEffect, useId, useMemo, useState } from "react";
import type { Json } from "../../core/file/facts";
import type { FormSection } from "../../core/form/form-sections";
import type { Field } from "../../core/rulebook/section";
import { MOST_CHARACTERS, readTable, type TextTable } from "../../core/tables/read-table";
import {
  guessMapping,
  type Mapping,
  type Meanings,
  type OpenCell,
  openCells,
  type ReadLine,
  readableFields,
  readLines,
  type Source,
} from "../../core/tables/to-entries";
import type { Locale } from "../../core/text/local-text";
import { formatDate } from "../../text/format";
import { sentence } from "../../text/sentence";
import type { ResultsFile } from "../../views/results/results-file";
import { asTable, ResultsNote, readResults, refusalOf } from "../results/results-file.client";
import { columnsOf } from "./entry-grid.client";
import type { FieldContext } from "./field-context";
import { issueText } from "./issue-text";
import { type Answered, cellKey, meaningsOf, OpenCells, offeredIn } from "./paste-questions.client";
import { ResultAttachments } from "./result-attachments.client";

const SLICE = 400;
const MOST_SAID = 8;
const MOST_SHOWN = 5;
const MOST_ASKED = 20;
const EMPTY = "";
const TABLES = ".csv,.tsv,.txt,text/csv,text/tab-separated-values";

/** Lines read slice by slice, so that thousands of them never hold the page up. */
function useLines(
  table: TextTable | null,
  mapping: Mapping,
  meanings: Meanings,
  fields: readonly Field[],
  office: FieldContext["office"],
) {
  const [state, setState] = useState<{ readonly lines: readonly ReadLine[]; readonly done: number }>({
    lines: [],
    done: 0,
  });
  useEffect(() => {
    if (!table) return setState({ lines: [], done: 0 });
    let stopped = false;
    const lines: ReadLine[] = [];
    const slice = (from: number) => {
      if (stopped) return;
      const to = Math.min(table.rows.length, from + SLICE);
      lines.push(...readLines(table, mapping, fields, office, { meanings, from, to }));
      setState({ lines: [...lines], done: to });
      if (to < table.rows.length) setTimeout(() => slice(to));
    };
    slice(0);
    return () => {
      stopped = true;
    };
  }, [table, mapping, meanings, fields, office]);
  return state;
}

/** A value as it stands in the table of what would be taken in. */
function shown(field: Field, value: Json | undefined, office: FieldContext["office"], locale: Locale): string {
  if (value === undefined || value === null) return "";
  if (field.kind === "date") return formatDate(locale, String(value));
  return offeredIn(field, office, locale).find((o) => o.value === value)?.label ?? String(value);
}

/** The pick that asks for a value that is written, for all lines. */
const WRITTEN = "value ";

const code = (source: Source | undefined, picks: boolean): string => {
  if (source === undefined) return EMPTY;
  if ("column" in source) return `column ${source.column}`;
  return picks ? `value ${source.value}` : WRITTEN;
};

function sourceOf(picked: string): Source | undefined {
  if (picked === EMPTY) return undefined;
  const [kind, ...rest] = picked.split(" ");
  return kind === "column" ? { column: Number(rest[0]) } : { value: rest.join(" ") };
}

function Columns({
  table,
  fields,
  mapping,
  office,
  locale,
  change,
}: {
  table: TextTable;
  fields: readonly Field[];
  mapping: Mapping;
  office: FieldContext["office"];
  locale: Locale;
  change: (next: Mapping) => void;
}) {
  const id = useId();
  const columns = Array.from({ length: table.columns }, (_, c) => ({
    value: `column ${c}`,
    label: table.heads?.[c] || sentence(locale, "paste.column", { no: c + 1 }),
  }));
  return (
    <div className="paste-columns">
      {fields.map((field) => {
        const offered = offeredIn(field, office, locale);
        const source = mapping[field.key];
        const everywhere =
          offered.length > 0
            ? offered.map((o) => ({
                value: `value ${o.value}`,
                label: sentence(locale, "paste.everywhere", { value: o.label }),
              }))
            : [{ value: WRITTEN, label: sentence(locale, "paste.oneForAll") }];
        return (
          <div key={field.key}>
            <label htmlFor={`${id}-${field.key}`}>{field.title[locale]}</label>
            <Select<string>
              id={`${id}-${field.key}`}
              value={code(source, offered.length > 0)}
              popupMatchSelectWidth={false}
              showSearch={{ optionFilterProp: "label" }}
              options={[{ value: EMPTY, label: sentence(locale, "paste.leaveEmpty") }, ...columns, ...everywhere]}
              onChange={(picked) => {
                const { [field.key]: _, ...rest } = mapping;
                const next = sourceOf(picked);
                change(next ? { ...rest, [field.key]: next } : rest);
              }}
            />
            {source && "value" in source && offered.length === 0 ? (
              <Input
                aria-label={sentence(locale, "paste.valueForAll", { field: field.title[locale] })}
                maxLength={200}
                value={source.value}
                onChange={(e) => change({ ...mapping, [field.key]: { value: e.target.value } })}
              />
            ) : null}
          </div>
        );
      })}
    </div>
  );
}

/** What cannot be read, line by line; what is asked about once is not said again for each of its lines. */
function Problems({
  lines,
  open,
  fields,
  locale,
}: {
  lines: readonly ReadLine[];
  open: readonly OpenCell[];
  fields: readonly Field[];
  locale: Locale;
}) {
  const asked = new Set(open.map(cellKey));
  const all = lines.flatMap((line) =>
    line.problems.filter((p) => !asked.has(cellKey(p))).map((p) => ({ ...p, no: line.no })),
  );
  if (all.length === 0) return null;
  return (
    <ul className="plain-list wrong">
      {all.slice(0, MOST_SAID).map((p) => (
        <li key={`${p.no} ${p.field}`}>
          {sentence(locale, "paste.problem", {
            no: p.no,
            field: fields.find((f) => f.key === p.field)?.title[locale] ?? p.field,
            cell: p.cell.slice(0, 60),
            why: issueText(locale, p.issue),
          })}
        </li>
      ))}
      {all.length > MOST_SAID ? <li>{sentence(locale, "paste.more", { count: all.length - MOST_SAID })}</li> : null}
    </ul>
  );
}

function Sample({
  lines,
  fields,
  office,
  locale,
}: {
  lines: readonly ReadLine[];
  fields: readonly Field[];
  office: FieldContext["office"];
  locale: Locale;
}) {
  return (
    <div className="review-table">
      <table>
        <caption>{sentence(locale, "paste.preview")}</caption>
        <thead>
          <tr>
            {fields.map((f) => (
              <th key={f.key}>{f.title[locale]}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.slice(0, MOST_SHOWN).map((line) => (
            <tr key={line.no}>
              {fields.map((f) => (
                <td key={f.key} data-head={f.title[locale]}>
                  {shown(f, line.values[f.key], office, locale)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Takes a table that was copied from a spreadsheet, or a CSV file, into a list of the form: looked at before anything is taken in. */
export function PasteTable({
  application,
  section,
  locale,
  office,
  count,
  take,
}: {
  application: { readonly id: string; readonly number: string };
  section: FormSection;
  locale: Locale;
  office: FieldContext["office"];
  /** How many entries the list has. */
  count: number;
  /** Adds entries; gives back a way to take them out again. */
  take: (entries: readonly Readonly<Record<string, Json>>[]) => () => void;
}) {
  const id = useId();
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState("");
  const [own, setOwn] = useState<Mapping | null>(null);
  const [answers, setAnswers] = useState<readonly Answered[]>([]);
  const [results, setResults] = useState<ResultsFile | null>(null);
  const [taken, setTaken] = useState<{ readonly count: number; readonly undo: () => void } | null>(null);
  const fields = useMemo(() => readableFields(columnsOf(section)), [section]);
  const table = useMemo(() => (text.trim() === "" ? null : readTable(text)), [text]);
  const mapping = useMemo(
    () => own ?? (table ? guessMapping(table, fields, office) : {}),
    [own, table, fields, office],
  );
  const meanings = useMemo(() => meaningsOf(answers), [answers]);
  const { lines, done } = useLines(table, mapping, meanings, fields, office);
  const room = Math.max(0, (section.repeats?.max ?? 0) - count);
  const fitting = lines.slice(0, room);
  const open = openCells(fitting).slice(0, MOST_ASKED);
  const reading = table !== null && done < table.rows.length;
  const takesResults = section.core === "courses";
  const fill = (next: string) => {
    setText(next);
    setOwn(null);
    setAnswers([]);
    setTaken(null);
    setResults(null);
  };

  if (!isOpen)
    return (
      <p className="paste-open">
        <Button onClick={() => setOpen(true)}>{sentence(locale, "paste.open")}</Button>
        {taken ? (
          <span role="status">
            {" "}
            {sentence(locale, "paste.taken", { count: taken.count })}{" "}
            <Button
              size="small"
              onClick={() => {
                taken.undo();
                setTaken(null);
              }}
            >
              {sentence(locale, "paste.undo")}
            </Button>
          </span>
        ) : null}
      </p>
    );
  return (
    <section className="paste" aria-label={sentence(locale, "paste.open")}>
      <label htmlFor={id}>{sentence(locale, "paste.here")}</label>
      <Input.TextArea id={id} rows={4} value={text} onChange={(e) => fill(e.target.value)} />
      <label className="file-choice">
        {sentence(locale, takesResults ? "results.file" : "paste.file")}{" "}
        <input
          type="file"
          accept={takesResults ? `${TABLES},.xml,.elmo,text/xml,application/xml` : TABLES}
          onChange={async (e) => {
            const [file] = e.target.files ?? [];
            e.target.value = "";
            if (!file) return;
            if (takesResults && /\.(?:xml|elmo)$/iu.test(file.name)) {
              const read = await readResults(file, locale, application.number);
              fill(read.ok ? asTable(read) : "");
              setResults(read);
            } else fill(file.size > MOST_CHARACTERS ? " ".repeat(MOST_CHARACTERS + 1) : await file.text());
          }}
        />
      </label>
      {results?.ok ? (
        <>
          <ResultsNote file={results} of="courses" locale={locale} />
          <ResultAttachments
            applicationId={application.id}
            attachments={results.attachments}
            places={results.places}
            locale={locale}
          />
        </>
      ) : null}
      {results?.ok === false ? (
        <p role="alert" className="wrong">
          {refusalOf(results.reason, locale)}
        </p>
      ) : null}
      {text.length > MOST_CHARACTERS ? (
        <p role="alert" className="wrong">
          {sentence(locale, "paste.tooLarge")}
        </p>
      ) : text.trim() !== "" && !table ? (
        <p role="alert" className="wrong">
          {sentence(locale, "paste.none")}
        </p>
      ) : null}
      {table ? (
        <>
          <Columns table={table} fields={fields} mapping={mapping} office={office} locale={locale} change={setOwn} />
          {reading ? (
            <div role="status">
              {sentence(locale, "paste.reading", { done, total: table.rows.length })}
              <Progress percent={Math.round((done / table.rows.length) * 100)} showInfo={false} />
            </div>
          ) : (
            <>
              <p role="status">{sentence(locale, "paste.lines", { count: fitting.length })}</p>
              {lines.length > room ? <p className="wrong">{sentence(locale, "paste.room", { room })}</p> : null}
              <OpenCells
                open={open}
                answers={answers}
                fields={fields}
                office={office}
                locale={locale}
                say={setAnswers}
              />
              <Problems lines={fitting} open={open} fields={fields} locale={locale} />
              <Sample lines={fitting} fields={fields} office={office} locale={locale} />
            </>
          )}
        </>
      ) : null}
      <p className="presses">
        <Button
          type="primary"
          disabled={reading || fitting.length === 0}
          onClick={() => {
            setTaken({ count: fitting.length, undo: take(fitting.map((line) => line.values)) });
            setText("");
            setOwn(null);
            setAnswers([]);
            setResults(null);
            setOpen(false);
          }}
        >
          {sentence(locale, "paste.take", { count: fitting.length })}
        </Button>{" "}
        <Button onClick={() => setOpen(false)}>{sentence(locale, "paste.close")}</Button>
      </p>
    </section>
  );
}
