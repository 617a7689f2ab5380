import Papa from "papaparse";
import { fold } from "../people/fold";
import { readCell, writeTable } from "../tables/write-table";
import { type InstitutionInput, institutionSchema } from "./institution";

/** The register as a table with a line an institution: to be worked on in a spreadsheet and taken back in. */
const COLUMNS = [
  "name",
  "other names",
  "country",
  "kind",
  "languages",
  "scales",
  "credits of a year",
  "recognition",
  "note",
] as const;
type Column = (typeof COLUMNS)[number];

/** Between the parts of one cell. */
const PARTS = /\s*[|;]\s*/u;

export interface RegisterLines {
  readonly institutions: readonly InstitutionInput[];
  /** Lines that could not be read, as people count them, with the column; 1 and no column where the names of columns are missing. */
  readonly wrong: readonly { readonly line: number; readonly column: Column | null }[];
}

const COLUMN_OF: Readonly<Record<keyof InstitutionInput, Column>> = {
  name: "name",
  otherNames: "other names",
  country: "country",
  kind: "kind",
  languages: "languages",
  scales: "scales",
  creditsPerYear: "credits of a year",
  recognition: "recognition",
  note: "note",
  fingerprints: "note",
};

function lineOf(cell: (column: Column) => string) {
  const parts = (column: Column) => cell(column).split(PARTS).filter(Boolean);
  const credits = cell("credits of a year").replace(",", ".");
  return institutionSchema.safeParse({
    name: cell("name"),
    otherNames: parts("other names"),
    country: cell("country").toUpperCase(),
    kind: cell("kind") || "other",
    languages: parts("languages"),
    scales: parts("scales"),
    creditsPerYear: credits === "" ? null : Number(credits),
    recognition: cell("recognition") || "to be looked into",
    note: cell("note"),
  });
}

/** Reads a register from CSV, or from what a spreadsheet copies. A name that stands twice in a country is taken from its last line. */
export function readRegister(text: string): RegisterLines {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/u, ""), {
    delimitersToGuess: ["\t", ",", ";"],
    skipEmptyLines: "greedy",
  });
  const [first = [], ...rows] = data;
  const heads = first.map(fold);
  const at = new Map(COLUMNS.map((c) => [c, heads.indexOf(c)] as const));
  if ((at.get("name") ?? -1) < 0 || (at.get("country") ?? -1) < 0)
    return { institutions: [], wrong: [{ line: 1, column: null }] };
  const found = new Map<string, InstitutionInput>();
  const wrong: RegisterLines["wrong"][number][] = [];
  rows.forEach((row, i) => {
    const read = lineOf((column) => readCell(row[at.get(column) ?? -1]?.trim() ?? ""));
    if (read.success) found.set(`${fold(read.data.name)}|${read.data.country}`, read.data);
    else {
      const key = read.error.issues[0]?.path[0] as keyof InstitutionInput; // a path into the schema of an institution
      wrong.push({ line: i + 2, column: COLUMN_OF[key] });
    }
  });
  return { institutions: [...found.values()], wrong };
}

/** The same register as CSV (RFC 4180). */
export function writeRegister(institutions: readonly InstitutionInput[]): string {
  return writeTable(
    COLUMNS,
    institutions.map((i) => [
      i.name,
      i.otherNames.join(" | "),
      i.country,
      i.kind,
      i.languages.join(" | "),
      i.scales.join(" | "),
      String(i.creditsPerYear ?? ""),
      i.recognition,
      i.note,
    ]),
  );
}
