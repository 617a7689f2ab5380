import Papa from "papaparse";
import { fold } from "../people/fold";
import { type Entitlement, entitlementListSchema } from "../rulebook/ruled-case";
import { readCell, writeTable } from "../tables/write-table";

/** A list of what is accepted, as a table with a line an entry: how offices send such lists to each other. */
const COLUMNS = ["country", "institution", "title", "level"] as const;
type Column = (typeof COLUMNS)[number];

const CALLED: Readonly<Record<Column, readonly string[]>> = {
  country: ["country", "pays", "land"],
  institution: ["institution", "etablissement", "university", "school"],
  title: ["title", "degree", "award", "certificate", "diplome", "intitule"],
  level: ["level", "isced", "niveau"],
};

const schema = entitlementListSchema.shape.entries.element;

export interface EntitlementLines {
  readonly entries: readonly Entitlement[];
  /** The lines that could not be read, as people count them. */
  readonly wrong: readonly { readonly line: number; readonly what: "country" | "columns" | "too-long" }[];
}

function columnsIn(first: readonly string[]): Readonly<Partial<Record<Column, number>>> | null {
  const folded = first.map(fold);
  const found = COLUMNS.flatMap((c) => {
    const at = folded.findIndex((name) => CALLED[c].includes(name));
    return at < 0 ? [] : [[c, at] as const];
  });
  return found.some(([c]) => c === "country") ? Object.fromEntries(found) : null;
}

/** Reads a list from CSV; the first line has to name its columns. Lines that stand twice are taken once. */
export function readEntitlements(text: string): EntitlementLines {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/u, ""), {
    delimitersToGuess: ["\t", ";", ",", "|"],
    skipEmptyLines: "greedy",
  });
  const [first = [], ...rows] = data;
  const columns = columnsIn(first);
  if (!columns) return { entries: [], wrong: [{ line: 1, what: "columns" }] };
  const entries = new Map<string, Entitlement>();
  const wrong: EntitlementLines["wrong"][number][] = [];
  rows.forEach((row, i) => {
    const cell = (c: Column) => readCell(row[columns[c] ?? -1]?.trim() ?? "");
    const filled = Object.fromEntries(
      COLUMNS.flatMap((c) => {
        const value = c === "country" ? cell(c).toUpperCase() : cell(c);
        return value === "" ? [] : [[c, value]];
      }),
    );
    const read = schema.safeParse(filled);
    if (read.success) entries.set(JSON.stringify(read.data), read.data);
    else wrong.push({ line: i + 2, what: read.error.issues[0]?.path[0] === "country" ? "country" : "too-long" });
  });
  return { entries: [...entries.values()], wrong };
}

/** The same list as CSV (RFC 4180), to be read again or by a spreadsheet. */
export function writeEntitlements(entries: readonly Entitlement[]): string {
  return writeTable(
    COLUMNS,
    entries.map((e) => COLUMNS.map((c) => e[c] ?? "")),
  );
}
