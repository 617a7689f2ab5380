import { checkValue, type ValueIssue } from "../answers/check-value";
import type { Json } from "../file/facts";
import { fold } from "../people/fold";
import type { Field } from "../rulebook/section";
import { readTypedDate } from "../time/typed-date";
import type { TextTable } from "./read-table";

/** Where the value of a field comes from: a column of the table, or the same for every line. */
export type Source = { readonly column: number } | { readonly value: string };
export type Mapping = Readonly<Record<string, Source>>;

/**
 * What somebody said that a cell means, once for all lines: by field, then by the cell as it is folded, the value that it stands for.
 * A cell that means "" is left empty.
 */
export type Meanings = Readonly<Record<string, Readonly<Record<string, string>>>>;

type Registers = Parameters<typeof checkValue>[1];

export interface CellProblem {
  readonly field: string;
  readonly cell: string;
  readonly issue: ValueIssue;
}

/** One line of a table as the values of an entry; what could not be read is left out and said. */
export interface ReadLine {
  /** As people count, the line of names included. */
  readonly no: number;
  readonly values: Readonly<Record<string, Json>>;
  readonly problems: readonly CellProblem[];
}

/** What columns are often called, beside the title of the field itself; folded. */
const CALLED: Readonly<Record<string, readonly string[]>> = {
  code: ["code", "course code", "module code", "number", "numero", "sigle"],
  date: ["date", "result in", "term", "semester", "session", "semestre"],
  title: ["course", "module", "subject", "title", "name", "cours", "matiere", "intitule", "unite"],
  credits: ["credits", "credit", "ects", "cp", "points", "units", "credits ects"],
  grade: ["grade", "mark", "note", "result", "resultat", "score"],
  status: ["status", "state", "etat", "statut"],
  area: ["subject area", "area", "field", "domaine"],
};

const words = (field: Field): readonly string[] => [
  fold(field.key),
  fold(field.title.en),
  fold(field.title.fr),
  ...(CALLED[field.key] ?? []),
];

/** The kinds of field that a cell can stand for. */
const READABLE: readonly Field["kind"][] = [
  "text",
  "name",
  "choice",
  "entry",
  "area",
  "whole",
  "decimal",
  "money",
  "date",
];

export const readableFields = (fields: readonly Field[]): readonly Field[] =>
  fields.filter((f) => READABLE.includes(f.kind));

interface Offered {
  readonly value: string;
  readonly names: readonly string[];
}

/** What may be picked in a field, under every name that it has. */
function offered(field: Field, registers: Registers): readonly Offered[] {
  const items =
    field.kind === "area"
      ? registers.areas.map((a) => ({ value: a.key, title: a.title }))
      : (field.options ?? []).map((o) => ({ value: o.value, title: o.title }));
  return items.map(({ value, title }) => ({ value, names: [fold(value), fold(title.en), fold(title.fr)] }));
}

/** One cell as the value of a field. */
function readCell(field: Field, cell: string, registers: Registers): Json {
  switch (field.kind) {
    case "choice":
    case "entry":
    case "area": {
      const folded = fold(cell);
      const all = offered(field, registers);
      const exact = all.find((o) => o.names.includes(folded));
      const begins = all.filter((o) => folded.length > 2 && o.names.some((name) => name.startsWith(folded)));
      return (exact ?? (begins.length === 1 ? begins[0] : undefined))?.value ?? cell;
    }
    case "whole":
    case "decimal":
    case "money":
      return cell.replace(/\s+/gu, "").replace(",", ".");
    case "date": {
      const read = readTypedDate(cell);
      return read.kind === "read" ? read.value : cell;
    }
    default:
      return cell;
  }
}

function readField(field: Field, cell: string, registers: Registers): { value: Json; issue: ValueIssue | null } {
  const value = readCell(field, cell, registers);
  return { value, issue: checkValue(field, registers, value) };
}

/** How large a share of the filled cells of a column can be read as values of a field. */
function share(table: TextTable, column: number, field: Field, registers: Registers): number {
  const cells = table.rows.slice(0, 50).flatMap((row) => (row[column] ? [row[column]] : []));
  if (cells.length === 0) return 0;
  return cells.filter((cell) => readField(field, cell, registers).issue === null).length / cells.length;
}

const isText = (field: Field) => field.kind === "text" || field.kind === "name";
const MOST_OF_THEM = 0.6;

/** Letters in a column: the one that holds words is longer than one that holds marks. */
function length(table: TextTable, column: number): number {
  const cells = table.rows.slice(0, 50).map((row) => row[column] ?? "");
  return cells.reduce((sum, cell) => sum + cell.replace(/[\d\s.,]/gu, "").length, 0) / Math.max(1, cells.length);
}

/** By the names of the columns first, then by what stands in them: picks and numbers before texts. */
export function guessMapping(table: TextTable, fields: readonly Field[], registers: Registers): Mapping {
  const mapping: Record<string, Source> = {};
  const taken = new Set<number>();
  const take = (field: Field, column: number) => {
    mapping[field.key] = { column };
    taken.add(column);
  };
  // A list with one entry leaves no doubt which one is meant.
  for (const { key, kind, options = [] } of fields)
    if (kind === "entry" && options[0] && options.length === 1) mapping[key] = { value: options[0].value };
  const open = () => Array.from({ length: table.columns }, (_, c) => c).filter((c) => !taken.has(c));
  for (const field of fields.filter((f) => f.kind !== "entry")) {
    const names = words(field);
    const column = table.heads?.findIndex((head, c) => !taken.has(c) && names.includes(fold(head))) ?? -1;
    if (column >= 0) take(field, column);
  }
  if (table.heads) return mapping;
  for (const field of fields.filter((f) => f.kind === "choice" || f.kind === "area")) {
    const column = open().find((c) => share(table, c, field, registers) >= MOST_OF_THEM);
    if (column !== undefined) take(field, column);
  }
  const [longest, ...others] = fields.filter(isText);
  const wordy = open().sort((a, b) => length(table, b) - length(table, a))[0];
  if (longest && wordy !== undefined) take(longest, wordy);
  for (const field of fields.filter((f) => !isText(f) && f.kind !== "entry" && mapping[f.key] === undefined)) {
    const column = open().find((c) => share(table, c, field, registers) >= MOST_OF_THEM);
    if (column !== undefined) take(field, column);
  }
  for (const field of others) {
    const [column] = open();
    if (column !== undefined) take(field, column);
  }
  return mapping;
}

/** A cell that is not in the list, or that can be read in two ways, wherever it stands: one question for all its lines. */
export interface OpenCell {
  readonly field: string;
  readonly cell: string;
  /** How many lines have it. */
  readonly lines: number;
  /** The two days that it may be; null where it is to be picked from what the field offers. */
  readonly days: readonly [string, string] | null;
}

/** What is to be asked about once: the cells that somebody who knows them can give a meaning, the most frequent first. */
export function openCells(lines: readonly ReadLine[]): readonly OpenCell[] {
  const found = new Map<string, OpenCell>();
  for (const { problems } of lines)
    for (const { field, cell, issue } of problems) {
      if (issue.code !== "not-in-list" && issue.code !== "two-dates") continue;
      const key = `${field} ${fold(cell)}`;
      const days = issue.code === "two-dates" ? issue.days : null;
      found.set(key, { field, cell, days, lines: (found.get(key)?.lines ?? 0) + 1 });
    }
  return [...found.values()].sort((a, b) => b.lines - a.lines);
}

/** Reads the lines `from` up to (not including) `to`; lines that give nothing for any field are left out. */
export function readLines(
  table: TextTable,
  mapping: Mapping,
  fields: readonly Field[],
  registers: Registers,
  { meanings = {}, from = 0, to = table.rows.length }: { meanings?: Meanings; from?: number; to?: number } = {},
): readonly ReadLine[] {
  const first = table.heads ? 2 : 1;
  return table.rows.slice(from, to).flatMap((row, i): readonly ReadLine[] => {
    const values: Record<string, Json> = {};
    const problems: CellProblem[] = [];
    let said = false;
    for (const field of fields) {
      const source = mapping[field.key];
      if (source === undefined) continue;
      const written = "value" in source ? source.value : (row[source.column] ?? "");
      const cell = meanings[field.key]?.[fold(written)] ?? written;
      if (cell === "") continue;
      if ("column" in source) said = true;
      const { value, issue } = readField(field, cell, registers);
      if (issue) problems.push({ field: field.key, cell, issue });
      else values[field.key] = value;
    }
    return said ? [{ no: first + from + i, values, problems }] : [];
  });
}
